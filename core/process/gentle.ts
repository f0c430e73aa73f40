import { labelElements, mixtureStatements } from '../chemistry/ghs'
import type { SubstanceBook } from '../chemistry/lots'
import type { ProcessDefinition, SoluteDefinition } from '../schema/definition'
import { isChosen, mixesFor, partsOf } from './mixPlan'
import { schoolStocks, stepsFor } from './plan'
import { trayOf } from './trays'

/**
 * Whether a process may be offered to children, with an adult beside them who has made the solutions: no solution of it, as it
 * is used, carries the signal word “Danger”, may cause an allergy, or is harmful when swallowed or on the skin.
 *
 * @param choices of the process; a bath that belongs to other choices does not count.
 * @returns `false` for a process whose solutions are not known.
 * @see UN GHS rev. 9 (2021) for the signal words; that children use no such solution is common practice in schools
 */
export function isGentle(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  book: SubstanceBook,
): boolean {
  const stocks = schoolStocks(definition, choices)
  const counted = mixesFor(definition, choices).flatMap((mix) => partsOf(definition, mix, choices))
  const solutions = [
    ...counted.map(({ component }) => component),
    ...definition.baths.filter((bath) => isChosen(bath.when, choices)),
    // What a sheet is floated on or soaked in is no mix that is counted.
    ...stepsFor(definition, choices).flatMap((step) => trayOf(definition, step, choices) ?? []),
  ]
  return (
    solutions.length > 0 &&
    solutions.every(({ id, stock }) => isGentleSolution(stocks[id] ?? stock.solutes, book))
  )
}

/** Allergy of skin and lungs; harmful when swallowed and on the skin. */
const NOT_FOR_CHILDREN = ['H317', 'H334', 'H302', 'H312']

function isGentleSolution(solutes: readonly SoluteDefinition[], book: SubstanceBook): boolean {
  const parts = solutes.flatMap(({ substanceId, percentWv }) => {
    const substance = book[substanceId]
    return substance ? [{ substance, percent: percentWv }] : []
  })
  if (parts.length < solutes.length) return false
  const { signal, statements } = labelElements(mixtureStatements(parts))
  return signal !== 'danger' && !statements.some((code) => NOT_FOR_CHILDREN.includes(code))
}
