import { solutesIn, type SubstanceBook } from '../chemistry/lots'
import { metalContent } from '../chemistry/metalContent'
import { mix } from '../chemistry/mixture'
import { digits } from '../quantity/format'
import type { RunState, StepState } from '../run/runState'
import type { ProcessDefinition } from '../schema/definition'
import type { Bottle } from '../schema/records'

/**
 * What was really in each glass of a sheet, in words: the drops that were counted, their ratio, and from the bottles that
 * they were drawn from the strength of each solute and the metal. Where a bottle is unknown, strengths are not said.
 *
 * @returns one line a count that was finished, with the coat where there are several.
 */
export function glassesOf(
  state: RunState,
  definition: ProcessDefinition,
  bottles: readonly Bottle[],
  book: SubstanceBook,
): string[] {
  return state.steps.flatMap((step) => {
    if (step.planned.kind !== 'count' || step.finishedAt === undefined) return []
    const coat = (step.planned.coat ?? 1) > 1 ? `coat ${step.planned.coat}: ` : ''
    return [`${coat}${[dropsSaid(step, definition), ...strengthsIn(step, bottles, book)].join('; ')}`]
  })
}

function dropsSaid({ planned, drops }: StepState, definition: ProcessDefinition): string {
  const counted = (planned.drops ?? []).map(({ component }) => ({
    name: definition.components.find(({ id }) => id === component)?.name ?? component,
    drops: drops[component] ?? 0,
  }))
  const [first] = counted
  const said = counted.map(({ name, drops: count }) => `${name} ${count}`).join(', ')
  return counted.length > 1 && first && first.drops > 0
    ? `${said} drops (${counted.map((one) => digits(one.drops / first.drops)).join(' : ')})`
    : `${said} drops`
}

function strengthsIn(
  { planned, drawn }: StepState,
  bottles: readonly Bottle[],
  book: SubstanceBook,
): string[] {
  const pours = drawn.flatMap(({ bottleId, millilitres }) => {
    const bottle = bottles.find(({ id }) => id === bottleId)
    return bottle?.contents.length
      ? [{ name: bottle.label, volumeMillilitres: millilitres, solutes: solutesIn(bottle, book) }]
      : []
  })
  const known = new Set(drawn.map(({ component }) => component))
  const isWhole = (planned.drops ?? []).every(({ component }) => known.has(component))
  if (
    !isWhole ||
    pours.length < drawn.length ||
    !pours.some(({ volumeMillilitres }) => volumeMillilitres > 0)
  )
    return []
  const metals = metalContent(
    pours.flatMap(({ volumeMillilitres, solutes }) =>
      solutes.map((solute) => ({ ...solute, millilitres: volumeMillilitres })),
    ),
  )
  const assumed = drawn.flatMap(({ bottleId }) => {
    const bottle = bottles.find(({ id }) => id === bottleId)
    return bottle?.isAssumed ? [bottle.label] : []
  })
  return [
    mix(pours)
      .map(({ name, strength }) => `${name} ${digits(strength.value)}\u00a0%`)
      .join(', '),
    ...(assumed.length ? [`strength of ${[...new Set(assumed)].join(', ')} assumed`] : []),
    ...metals.map(({ name, mass }) => `${name} ${digits(mass.value)}\u00a0mg`),
  ]
}
