import { isChosen } from '../process/mixPlan'
import { stepsFor } from '../process/plan'
import type { ProcessDefinition } from '../schema/definition'
import type { SheetConditions } from './virtualProcess'

/** What options of a choice of the real process do to a virtual sheet. */
export interface PracticeSchool {
  choice: string
  options: readonly string[]
  change: Partial<SheetConditions>
}

/** A virtual sheet made by these choices. */
export const bySchools = (
  conditions: SheetConditions,
  choices: Readonly<Record<string, string>>,
  schools: readonly PracticeSchool[],
): SheetConditions =>
  schools
    .filter(({ choice, options }) => options.includes(choices[choice] ?? ''))
    .reduce((sheet, { change }) => ({ ...sheet, ...change }), conditions)

/** The print goes through a toner by these choices. */
export const isTonedBy = (
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): boolean => stepsFor(definition, choices).some(({ role }) => role === 'tone')

/** Least time of all steps by these choices until the print hangs, s, without its exposure. */
export const leastSecondsOf = (
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): number =>
  stepsFor(definition, choices)
    .filter(({ kind }) => kind !== 'expose' && kind !== 'hang')
    .reduce((sum, { time }) => sum + (time?.leastSeconds ?? 0), 0)

/** Titles of the cautions that hold by these choices, each once, in the order of work. */
export function hazardsOf(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): string[] {
  const inSteps = stepsFor(definition, choices).flatMap(({ cautions }) => cautions)
  const inUse = new Set(
    definition.mixes.flatMap(({ parts }) =>
      parts.filter(({ when }) => isChosen(when, choices)).map(({ component }) => component),
    ),
  )
  const inParts = definition.components.flatMap(({ id, cautions }) => (inUse.has(id) ? cautions : []))
  const ids = [...new Set([...inParts, ...inSteps])]
  return ids.flatMap((id) => definition.cautions.find((one) => one.id === id)?.title ?? [])
}
