import type { ProcessDefinition } from '../schema/definition'
import type { ContrastMeans } from '../tone/contrast'
import { partsOf } from './mixPlan'
import { startingChoices } from './plan'

/** Choices and ratio of a sheet that is mixed with a means of contrast. */
export interface ContrastPlan {
  choices: Record<string, string>
  mix: string
  /** Parts in the order of the mix; `null` for the process's own ratio. */
  parts: number[] | null
}

/**
 * The plan that has so much of a means of contrast in its glass.
 *
 * @param amount of the means, in its own unit; 0 for none.
 * @returns `null` for a means that is not counted into the glass, and for more of it than there is to give way.
 */
export function contrastPlan(
  definition: ProcessDefinition,
  means: ContrastMeans,
  amount: number,
): ContrastPlan | null {
  const { plan } = means
  const mix = definition.mixes.find(({ id }) => id === plan?.mix)
  if (!plan || !mix || !(amount >= 0)) return null
  if (amount === 0) return { choices: startingChoices(definition), mix: mix.id, parts: null }
  const choices = { ...startingChoices(definition), ...plan.choices }
  const own = partsOf(definition, mix, choices)
  const partOf = (id: string | undefined) => own.find(({ component }) => component.id === id)?.parts ?? 0
  const given = plan.takesFrom ? partOf(plan.takesFrom) + partOf(plan.part) - amount : null
  if (!own.length || !partOf(plan.part) || (given !== null && given < 0)) return null
  // A part of which nothing is left would not be a ratio: the whole of it is the means then.
  const parts = own.map(({ component, parts }) =>
    component.id === plan.part ? amount : component.id === plan.takesFrom ? (given ?? parts) : parts,
  )
  return parts.every((part) => part > 0) ? { choices, mix: mix.id, parts } : null
}
