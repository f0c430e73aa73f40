import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautionOf } from '@library/index'
import type { MarginNote } from '../state/margin.store'

/** What the margin says of a step: what to look for, the caution for what is in hand, why it is done, a habit. */
export function stepNotes(definition: ProcessDefinition, step: StepDefinition | null): MarginNote[] {
  if (!step) return []
  const notes: MarginNote[] = []
  if (step.endpoint)
    notes.push({ title: 'What to look for', lines: [step.endpoint.good, step.endpoint.doubt] })
  for (const id of step.cautions) notes.push(...cautionNotes(definition, id))
  notes.push({ title: `Why: ${step.title.toLowerCase()}`, lines: [step.why] })
  if (step.habit) notes.push({ title: 'Good practice', lines: [step.habit] })
  return notes
}

/** A caution in the margin: the hazard and what to do, then first aid. */
export const hazardNote = (
  title: string,
  { text, firstAid }: ProcessDefinition['cautions'][number],
): MarginNote => ({ title, lines: firstAid ? [text, firstAid] : [text], tone: 'caution', isHazard: true })

/** Cautions of the library, each once, under words for the moment such as `Before the cap comes off`. */
export const hazardNotes = (moment: string, ids: readonly (string | undefined)[]): MarginNote[] =>
  [...new Set(ids)].flatMap((id) => {
    const caution = cautionOf(id)
    return caution ? [hazardNote(`${moment}: ${caution.title.toLowerCase()}`, caution)] : []
  })

/** One caution, under the name of the thing in hand. */
export function cautionNotes(definition: ProcessDefinition, id: string): MarginNote[] {
  const caution = definition.cautions.find((one) => one.id === id)
  return caution ? [hazardNote(`Safety: ${caution.title.toLowerCase()}`, caution)] : []
}
