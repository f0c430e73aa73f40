import type { Figure } from '../quantity/figure'

/** Radiant exposure of the unprotected eye to UVA, 315 to 400 nm, in 8 hours: 10 kJ/m² = 1000 mJ/cm². */
const DAILY_LIMIT = 1000

/**
 * How long an unprotected eye may be in UVA before its limit for a day is reached.
 *
 * @param milliwattsPerCm2 UVA where the eye is, above 0.
 * @returns seconds, at most a working day of 8 h.
 * @see ICNIRP Guidelines on limits of exposure to ultraviolet radiation, 2004: 10 kJ/m² within 8 h; value from memory
 */
export function eyeLimitSeconds(milliwattsPerCm2: number): Figure {
  return {
    value: Math.min(28_800, DAILY_LIMIT / milliwattsPerCm2),
    unit: 's',
    working: {
      words: 'daily limit for the eye ÷ irradiance',
      formula: 't = H / E',
      inputs: [
        {
          name: 'limit for the eye in 8 hours, UVA',
          symbol: 'H',
          value: DAILY_LIMIT,
          unit: 'mJ/cm²',
          standing: 'published',
        },
        { name: 'irradiance', symbol: 'E', value: milliwattsPerCm2, unit: 'mW/cm²', standing: 'yours' },
      ],
      standing: 'published',
      source: 'ICNIRP Guidelines on UV radiation, 2004; value from memory',
      leavesOut:
        'the skin, and lamps that also shine below 315 nm, whose limits are far shorter; local rules decide',
    },
  }
}
