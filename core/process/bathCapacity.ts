import type { Figure, FigureInput } from '../quantity/figure'
import type { Bath } from '../schema/bath'
import type { BathUse } from '../schema/definition'
import type { Exchange } from './trayExchange'

/** A print of 8 × 10 in, m²: what the trade counts prints in. */
export const PRINT_SQUARE_METRES = 0.2032 * 0.254

/** One print that lay in a bath. */
export interface Pass {
  sheetId: string
  at: number
  squareMetres: number
  /** Silver that it brought, g; only known for sheets of silver. */
  silverGrams?: number
  /** What it took along and brought in; without it as a wet sheet does. */
  exchange?: Exchange
}

/** What decides how far a fixer goes. */
export interface FixerAim {
  /** Whether a second bath follows, so that this one may hold more silver. */
  isFirstOfTwo: boolean
  /** Silver that the next sheet brings, g/m². */
  silverPerM2: Figure
}

/** How much a bath bears, in what is counted: m² of paper, or g of silver. */
interface Capacity {
  kind: 'area' | 'silver'
  value: number
  /** What one more print of 8 × 10 in takes of it. */
  perPrint: number
  inputs: FigureInput[]
}

/**
 * What a bath can take before it is exhausted: silver in grams, or area in m², whichever its solution is judged by.
 *
 * @param use capacity of the solution as the process gives it.
 * @param fixer limit of silver for the aimed permanence, where the bath is a fixer.
 * @returns `null` where no capacity is known.
 */
export function capacityOf(
  bath: Bath,
  use: BathUse | undefined,
  fixer: FixerAim | undefined,
): Capacity | null {
  const litres: FigureInput = {
    name: 'in the tray',
    symbol: 'V',
    value: bath.millilitres / 1000,
    unit: 'l',
    standing: 'yours',
  }
  if (use?.silver && fixer && fixer.silverPerM2.value > 0) {
    const aim = fixer.isFirstOfTwo ? use.silver.firstOfTwo : use.silver.alone
    return {
      kind: 'silver',
      value: aim * litres.value,
      perPrint: fixer.silverPerM2.value * PRINT_SQUARE_METRES,
      inputs: [
        {
          name: fixer.isFirstOfTwo ? 'silver limit of a first bath' : 'silver limit of a single bath',
          symbol: 'c',
          value: aim,
          unit: 'g/l',
          standing: use.standing,
        },
        litres,
        {
          name: 'silver from the next sheet',
          symbol: 'm',
          value: fixer.silverPerM2.value,
          unit: 'g/m²',
          standing: fixer.silverPerM2.working.standing,
        },
      ],
    }
  }
  if (use?.squareMetresPerLitre === undefined) return null
  return {
    kind: 'area',
    value: use.squareMetresPerLitre * litres.value,
    perPrint: PRINT_SQUARE_METRES,
    inputs: [
      {
        name: 'capacity',
        symbol: 'c',
        value: use.squareMetresPerLitre,
        unit: 'm²/l',
        standing: use.standing,
      },
      litres,
    ],
  }
}

/** Share of a bath's capacity that these prints have used up; 1 is exhausted, more is beyond. */
export function usedShare(capacity: Capacity, passes: readonly Pass[], use: BathUse | undefined): Figure {
  const isSilver = capacity.kind === 'silver'
  const brought = passes.reduce(
    (sum, pass) => sum + (isSilver ? (pass.silverGrams ?? 0) : pass.squareMetres),
    0,
  )
  return {
    value: brought / capacity.value,
    unit: '',
    working: {
      words: isSilver
        ? 'silver brought in, divided by the limit'
        : 'paper processed, divided by the capacity',
      formula: isSilver ? 'u = Σ m·A / (c·V)' : 'u = A / (c·V)',
      inputs: [
        isSilver
          ? { name: 'silver brought into it', symbol: 'Σ m·A', value: brought, unit: 'g', standing: 'memory' }
          : { name: 'paper through it', symbol: 'A', value: brought, unit: 'm²', standing: 'yours' },
        ...capacity.inputs,
      ],
      standing: use?.standing ?? 'memory',
      source: use?.source ?? '',
      leavesOut: isSilver
        ? 'the silver of the picture and what the first water took: the estimate is on the safe side'
        : 'how much of each sheet is picture; dense prints and their borders take less or more',
    },
  }
}
