import type { Figure } from '../quantity/figure'
import { interpolate } from '../quantity/interpolate'

/**
 * Weight of blue light for the retina, by wavelength in nm.
 *
 * @see ICNIRP, Guidelines on limits of exposure to incoherent visible and infrared radiation, 2013, and IEC 62471; from memory
 */
const BLUE_HAZARD: readonly (readonly [number, number])[] = [
  [300, 0.01], [380, 0.01], [385, 0.013], [390, 0.025], [395, 0.05], [400, 0.1], [405, 0.2], [410, 0.4], [415, 0.8],
  [420, 0.9], [425, 0.95], [430, 0.98], [435, 1], [440, 1], [445, 0.97], [450, 0.94], [455, 0.9], [460, 0.8],
  [465, 0.7], [470, 0.62], [475, 0.55], [480, 0.45], [485, 0.4], [490, 0.22], [495, 0.16], [500, 0.1], [600, 0.001],
] // prettier-ignore
/** Of a small source, weighted: up to 100 s the dose counts, mJ/cm²; beyond that the level, mW/cm². */
const [DOSE_LIMIT, LEVEL_LIMIT] = [10, 0.1]

/** How much light of one wavelength counts against the retina, 0 to 1. @param nanometres 300 to 700. */
export const blueHazard = (nanometres: number): number => interpolate(BLUE_HAZARD, nanometres)

/**
 * How long an unprotected eye may look straight into a small lamp before the blue-light limit is reached. A lamp of one
 * peak is taken as if all its light were there.
 *
 * @param milliwattsPerCm2 where the eye is, above 0.
 * @param peakNanometres of the lamp, 300 to 700.
 * @returns seconds, at most 100; `null` where the level is below the limit for any time.
 */
export function blueLightSeconds(milliwattsPerCm2: number, peakNanometres: number): Figure | null {
  const weight = blueHazard(peakNanometres)
  const weighted = milliwattsPerCm2 * weight
  if (weighted <= LEVEL_LIMIT) return null
  return {
    value: DOSE_LIMIT / weighted,
    unit: 's',
    working: {
      words: 'limit for blue light ÷ weighted irradiance',
      formula: 't = H / (E · B)',
      inputs: [
        {
          name: 'limit for blue light up to 100 s, small source',
          symbol: 'H',
          value: DOSE_LIMIT,
          unit: 'mJ/cm²',
          standing: 'published',
        },
        { name: 'irradiance', symbol: 'E', value: milliwattsPerCm2, unit: 'mW/cm²', standing: 'yours' },
        {
          name: `weight at ${peakNanometres} nm`,
          symbol: 'B',
          value: weight,
          unit: '1',
          standing: 'published',
        },
      ],
      standing: 'published',
      source: 'ICNIRP 2013 and IEC 62471, blue-light hazard of a small source; values from memory',
      leavesOut: 'light beside the peak, and what the skin gets; local rules decide',
    },
  }
}
