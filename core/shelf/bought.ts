import { mixesFor, partsOf } from '../process/mixPlan'
import { startingChoices, schoolStocks } from '../process/plan'
import type { ProcessDefinition, SoluteDefinition } from '../schema/definition'
import type { Bottle } from '../schema/records'

/** What a bought solution holds, and whether that was only assumed. */
export type Bought = Pick<Bottle, 'contents' | 'isAssumed'>

/**
 * What is in a solution that was bought ready.
 *
 * @param solutes what the recipe of that name holds, the one that names it first, % w/v.
 * @param statedPercent strength on its label, % w/v of the first; what else is in it is in the recipe's proportion.
 *   Without it the recipe's strengths are assumed, and the bottle says so.
 */
export function boughtSolution(solutes: readonly SoluteDefinition[], statedPercent: number | null): Bought {
  const usual = solutes[0]?.percentWv ?? 1
  const share = statedPercent === null ? 1 : statedPercent / usual
  return {
    contents: solutes.map(({ substanceId, percentWv }) => ({ substanceId, percent: percentWv * share })),
    ...(statedPercent === null && { isAssumed: true as const }),
  }
}

/** One bottle of a kit. */
export interface KitBottle {
  id: string
  name: string
  solutes: readonly SoluteDefinition[]
  /** How long it rests after water was poured on its powder, at least. */
  restsSeconds: number
}

/** A powder that was just dissolved is used the next day: common practice for kits of two bottles. */
const KIT_RESTS_SECONDS = 24 * 3600

/** The bottles that a kit for a process holds: one for every solution that is coated in its usual school. */
export function kitOf(definition: ProcessDefinition): KitBottle[] {
  const choices = startingChoices(definition)
  const stocks = schoolStocks(definition, choices)
  const mixed = mixesFor(definition, choices).flatMap((mix) => partsOf(definition, mix, choices))
  const coated = mixed.length ? mixed.map(({ component }) => component) : definition.components
  return coated.flatMap(({ id, name, stock }) => {
    const solutes = stocks[id] ?? stock.solutes
    return solutes.length
      ? [{ id, name, solutes, restsSeconds: Math.max(KIT_RESTS_SECONDS, stock.ripensSeconds ?? 0) }]
      : []
  })
}
