import { CoreError } from '../errors'
import type { Figure, Standing } from '../quantity/figure'
import type { Size } from '../quantity/size'

/** 40 drops of 0.05 ml brushed over 8 x 10 in, in ml/m²: common practice. */
export const BRUSH_COVERAGE = 38.8

/** Where the usual coverage comes from. */
export const BRUSH_SOURCE = 'Coverage by brush: 40 drops on 8 × 10 in, common practice'

/** Drops in a millilitre of an uncalibrated dropper: common practice. */
export const DROPS_PER_MILLILITRE = 20

export interface CoatVolumeInput extends Size {
  coverageMillilitresPerM2: number
  /** Whole coats over the same area, at least 1. */
  coats: number
  /** Sheets of the same size that are coated from one glass. */
  sheets?: number
  coverageStanding?: Standing
  /** Where the coverage comes from, when it is not the usual one by brush. */
  coverageSource?: string
}

/** Area of the coated image in cm². */
export function imageArea(size: Size): Figure {
  return {
    value: (size.widthMillimetres * size.heightMillimetres) / 100,
    unit: 'cm²',
    working: {
      words: 'width × height',
      formula: 'A = w·h / 100',
      inputs: [
        { name: 'width', symbol: 'w', value: size.widthMillimetres, unit: 'mm' },
        { name: 'height', symbol: 'h', value: size.heightMillimetres, unit: 'mm' },
      ],
      standing: 'arithmetic',
      source: 'Plane geometry',
    },
  }
}

/**
 * Sensitizer to mix for one sheet, or for several from one glass.
 *
 * @returns millilitres for all coats together.
 * @throws CoreError `out-of-range` for a coverage or a number of coats that cannot be meant.
 */
export function coatVolume(input: CoatVolumeInput): Figure {
  if (!(input.coverageMillilitresPerM2 > 0))
    throw outOfRange(
      'coverage',
      'The coverage must be above zero.',
      `Enter a coverage in ml/m², for example ${BRUSH_COVERAGE} for a brush.`,
    )
  if (!Number.isInteger(input.coats) || input.coats < 1)
    throw outOfRange('coats', 'The number of coats must be a whole number of 1 or more.', 'Enter 1 or 2.')
  const area = imageArea(input)
  const sheets = input.sheets ?? 1
  return {
    value: (area.value / 10_000) * input.coverageMillilitresPerM2 * input.coats * sheets,
    unit: 'ml',
    working: {
      words: sheets === 1 ? 'area × coverage × coats' : 'area × coverage × coats × sheets',
      formula: sheets === 1 ? 'V = A·k·n' : 'V = A·k·n·s',
      inputs: [
        { name: 'area', symbol: 'A', value: area.value, unit: 'cm²' },
        {
          name: 'coverage',
          symbol: 'k',
          value: input.coverageMillilitresPerM2,
          unit: 'ml/m²',
          standing: input.coverageStanding ?? 'practice',
        },
        { name: 'coats', symbol: 'n', value: input.coats, unit: '' },
        ...(sheets === 1 ? [] : [{ name: 'sheets', symbol: 's', value: sheets, unit: '' }]),
      ],
      standing: input.coverageStanding ?? 'practice',
      source: input.coverageSource ?? BRUSH_SOURCE,
    },
  }
}

const outOfRange = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
