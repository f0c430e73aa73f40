import type { RunState } from '../run/runState'
import type { SoluteDefinition } from '../schema/definition'
import type { Bottle, Taking } from '../schema/records'
import type { Substance } from '../schema/substance'
import { formOf } from './forms'
import type { Solute } from './mixture'

/** Everything a workroom knows of substances, by id. */
export type SubstanceBook = Readonly<Record<string, Substance>>

/** A solution that can be poured from: a bottle of the shelf, or what the chosen school says is in one. */
export interface Lot {
  name: string
  solutes: readonly Solute[]
  /** Its strength is what the recipe means, and was not stated. */
  isAssumed?: true
  /** `null` where no one measured. */
  leftMillilitres: number | null
  /** Absent for a bottle that is not on the shelf. */
  bottleId?: string
  pricePerMillilitre?: number
  ripeAt?: number
  bestUntil?: number
}

export interface LotShare {
  lot: Lot
  millilitres: number
}

/**
 * Pours a volume from lots in their order: each until it is empty, then the next; the last one gives what is missing,
 * since less on the shelf than in the glass is a fault of the count, not of the glass.
 */
export function drawFromLots(millilitres: number, lots: readonly Lot[]): LotShare[] {
  const shares: LotShare[] = []
  let wanted = millilitres
  for (const [index, lot] of lots.entries()) {
    const isLast = index === lots.length - 1
    const given = isLast ? wanted : Math.min(wanted, Math.max(0, lot.leftMillilitres ?? wanted))
    if (given > 0) shares.push({ lot, millilitres: given })
    wanted -= given
    if (wanted <= 1e-9) break
  }
  return shares
}

/** What has been taken from each bottle: for coats, by the logs of the sheets; for all else, by takings. */
export function takenByBottle(
  states: readonly RunState[],
  takings: readonly Taking[],
): ReadonlyMap<string, number> {
  const taken = new Map<string, number>()
  const add = (bottleId: string, amount: number) => taken.set(bottleId, (taken.get(bottleId) ?? 0) + amount)
  for (const state of states)
    for (const step of state.steps) for (const draw of step.drawn) add(draw.bottleId, draw.millilitres)
  for (const taking of takings) if (taking.takenBackAt === undefined) add(taking.bottleId, taking.amount)
  return taken
}

/** What is left in a bottle, never below nothing; `null` where its first amount was not measured. */
export function leftIn(bottle: Bottle, taken: ReadonlyMap<string, number>): number | null {
  if (bottle.ended) return 0
  return bottle.amount === undefined ? null : Math.max(0, bottle.amount - (taken.get(bottle.id) ?? 0))
}

/** What a solution's bottle holds, named; solids and bought liquids hold nothing dissolved in this sense. */
export const solutesIn = (bottle: Bottle, book: SubstanceBook): Solute[] =>
  bottle.contents.map(({ substanceId, form, percent }) =>
    named({ substanceId, percentWv: percent }, book, form),
  )

/** Solutes of a process's stock, with their names and formulas. */
export const solutesOf = (stock: readonly SoluteDefinition[], book: SubstanceBook): Solute[] =>
  stock.map((solute) => named(solute, book))

function named(solute: SoluteDefinition, book: SubstanceBook, form?: string): Solute {
  const substance = book[solute.substanceId]
  const known =
    substance && formOf(substance, substance.forms.some((one) => one.id === form) ? form : undefined)
  return {
    substanceId: solute.substanceId,
    name: substance?.name ?? solute.substanceId,
    percentWv: solute.percentWv,
    ...(known && { formula: known.formula }),
  }
}

/** Whether a bottle is a solution of exactly these substances, whatever their strengths. */
export function holdsStock(bottle: Bottle, stock: readonly SoluteDefinition[]): boolean {
  const [held, wanted] = [bottle.contents.map((one) => one.substanceId), stock.map((one) => one.substanceId)]
  return (
    bottle.kind === 'solution' &&
    held.length === wanted.length &&
    wanted.every((substanceId) => held.includes(substanceId))
  )
}

/**
 * The lots a component can be poured from, in the order of opening: the bottle that was chosen, then the older before
 * the newer. Where none is on the shelf, the one lot that the chosen school means.
 *
 * @param stock what the component's bottle holds by the chosen school.
 * @param chosenId bottle the user picked, which comes first whatever it holds.
 */
export function lotsFor(
  name: string,
  stock: readonly SoluteDefinition[],
  bottles: readonly Bottle[],
  taken: ReadonlyMap<string, number>,
  book: SubstanceBook,
  chosenId?: string,
): Lot[] {
  const open = bottles
    .filter((bottle) => !bottle.ended && (bottle.id === chosenId || holdsStock(bottle, stock)))
    .filter((bottle) => bottle.id === chosenId || leftIn(bottle, taken) !== 0)
    .sort((a, b) => Number(b.id === chosenId) - Number(a.id === chosenId) || openedAt(a) - openedAt(b))
  if (!open.length) return [{ name, solutes: solutesOf(stock, book), leftMillilitres: null }]
  return open.map((bottle) => ({
    name: `${bottle.name} ${bottle.label}`,
    solutes: solutesIn(bottle, book),
    leftMillilitres: leftIn(bottle, taken),
    bottleId: bottle.id,
    ...(bottle.isAssumed && { isAssumed: true }),
    ...pricePer(bottle),
    ...(bottle.ripeAt !== undefined && { ripeAt: bottle.ripeAt }),
    ...(bottle.bestUntil !== undefined && { bestUntil: bottle.bestUntil }),
  }))
}

const openedAt = (bottle: Bottle) => bottle.madeAt ?? Infinity

/** Price of a millilitre or a gram, where both the price and the amount are known. */
export const pricePer = (bottle: Bottle): { pricePerMillilitre?: number } =>
  bottle.price !== undefined && bottle.amount ? { pricePerMillilitre: bottle.price / bottle.amount } : {}
