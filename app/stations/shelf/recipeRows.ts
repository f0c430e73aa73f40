import { texts } from './words'
import { concentratePerLitre } from '@core/chemistry/dilution'
import { digits } from '@core/quantity/format'
import { substances } from '@library/index'
import { type Finding } from '@core/chemistry/audits'
import { type SubstanceBook } from '@core/chemistry/lots'
import { type Solution } from '@core/chemistry/solution'
import { type Measure } from '@core/chemistry/recipe'
import { type Refusal } from '@core/errors'
import { numberOrNull, parseNumber, toSignificant } from '@core/quantity/number'
import { parseQuantity } from '@core/quantity/parse'
import type { StockDefinition } from '@core/schema/definition'
import type { Bottle } from '@core/schema/records'
import type { Incompatibility } from '@core/schema/substance'

/** How an amount is written: as core measures it, or as a label says it, so many ml to a litre. */
export type WrittenMeasure = Measure | 'millilitresPerLitre'

/** One line of a recipe as it is written. */
export interface RecipeRow {
  key: string
  /** Id of a substance, or of a bottle that is poured from. */
  source: string
  amount: string
  measure: WrittenMeasure
  /** Jar it is weighed from; empty for one that is not on the shelf. */
  jarId: string
  /** What the balance or the measure really said, once it was read. */
  read: string
  /** The hydrate in the jar was pointed out and is computed with. */
  formSeen: boolean
}

export interface SolutionDraft {
  name: string
  volume: string
  finish: 'topUpTo' | 'addTo'
  /** What it is called, in % of its first solute; empty for its true strength. */
  stated: string
  rows: RecipeRow[]
}

export interface SolutionRoom {
  book: SubstanceBook
  incompatibilities: readonly Incompatibility[]
  bottles: readonly Bottle[]
  taken: ReadonlyMap<string, number>
  dropsPerMillilitre: number
  celsius: number
  now: number
}

export interface ReadSolution {
  /** `null` where something cannot be read. */
  solution: Solution | null
  volumeMillilitres: number | null
  faults: Record<string, Refusal>
  findings: (Finding & { rowKey?: string })[]
  /** How far the recipe has to shrink so that nothing runs short, and what limits it. */
  fit: { factor: number; limitedBy: string | null }
  /** Price of what goes in, as far as it is known. */
  cost: number | null
}

/** A row of a recipe for so much percent of a substance. */
export const rowOf = (key: string, source: string, amount: number, measure: Measure): RecipeRow => ({
  key,
  source,
  amount: String(toSignificant(amount, 4)),
  measure,
  jarId: '',
  read: '',
  formSeen: false,
})

/** What the bottle is called, in % of its first solute; `null` where nothing can be read. */
export function statedIn(draft: SolutionDraft): number | null {
  try {
    return parseQuantity(draft.stated, 'fraction', { field: 'stated', bareUnit: 'percent' })
  } catch {
    return null
  }
}

/** The draft of a weaker solution from a bottle: half its strength until something else is typed. */
export const draftOfDilution = ({ id, name, contents }: Bottle): SolutionDraft => ({
  name: `${name}, diluted`,
  volume: '100 ml',
  finish: 'topUpTo',
  stated: '',
  rows: [rowOf('0', id, (contents[0]?.percent ?? 1) / 2, 'percentWv')],
})

/**
 * The draft of a bottle that is filled up again: what is left in it, and fresh solution of the same strength.
 *
 * @param left ml that are left.
 * @param volume ml that it holds when it is full.
 */
export const draftOfTopUp = (
  { id, name, contents }: Bottle,
  left: number,
  volume: number,
): SolutionDraft => ({
  name,
  volume: `${toSignificant(volume, 4)} ml`,
  finish: 'topUpTo',
  stated: '',
  rows: [
    rowOf('0', id, left, 'millilitres'),
    ...contents.map(({ substanceId, percent }, i) =>
      rowOf(String(i + 1), substanceId, (percent * Math.max(0, volume - left)) / 100, 'grams'),
    ),
  ],
})

/** The draft of a stock as a process asks for it. */
export const draftOfStock = (name: string, stock: StockDefinition, volume: string): SolutionDraft => ({
  name,
  volume,
  finish: 'topUpTo',
  stated: '',
  rows: stock.solutes.map((one, i) => rowOf(String(i), one.substanceId, one.percentWv, 'percentWv')),
})

export const bottleOf = (id: string, room: SolutionRoom) => room.bottles.find((one) => one.id === id)

export const amountIn = (row: RecipeRow): number =>
  parseNumber(row.amount, { field: 'amount', example: '12 or 1.5' })

/** What a percentage of a bought liquid means: of the pure substance by weight, or of the concentrate by volume. */
export function percentWords(row: RecipeRow): string {
  const liquid = substances[row.source]?.liquid
  const percent = numberOrNull(row.amount) ?? 0
  if (!liquid || liquid.percentWw >= 99 || !(percent > 0)) return ''
  if (!['percentWv', 'percentVv'].includes(row.measure)) return ''
  const { byWeight, byVolume } = concentratePerLitre(percent, liquid)
  return texts.byWeightOrByVolume({
    percent: digits(percent),
    byWeight: digits(byWeight),
    concentrate: digits(liquid.percentWw),
    byVolume: digits(byVolume),
  })
}
