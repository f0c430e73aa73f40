import { CoreError } from '@core/errors'
import { numberOrNull } from '@core/quantity/number'
import { correctionsFor, type RightStep, type StepEntries } from '@core/run/corrections'
import type { Happening } from '@core/schema/event'
import { momentIn } from '../../words/readMoment'

/** What is written of one step in the form of corrections. */
export interface StepDraft {
  id: string
  title: string
  /** Absent where the step flows on from the one before. */
  started?: string
  /** Absent while it is under way. */
  finished?: string
  drops: { component: string; name: string; count: string }[]
}

/** Something that was done without a press. */
export interface MissedDraft {
  /** The step and what was missed, as in `wash/waterChanged`; empty for nothing. */
  what: string
  at: string
  /** The end of a pause. */
  until: string
}

/** Names of what the log has only identities for. */
interface Names {
  step(entries: StepEntries): string
  component(id: string): string
}

const two = (value: number) => String(value).padStart(2, '0')

/** A moment as it is written in a field, with its day and seconds: `2026-05-12 14:05:20`. */
export function momentText(at: number): string {
  const day = new Date(at)
  const date = [day.getFullYear(), two(day.getMonth() + 1), two(day.getDate())].join('-')
  return `${date} ${[day.getHours(), day.getMinutes(), day.getSeconds()].map(two).join(':')}`
}

/** The form as the record has it. */
export const stepDrafts = (entries: readonly StepEntries[], names: Names): StepDraft[] =>
  entries.map((one) => ({
    id: one.step.planned.id,
    title: names.step(one),
    ...(one.ownsStart && one.start && { started: momentText(one.start.at) }),
    ...(one.end && { finished: momentText(one.end.at) }),
    drops: one.end
      ? Object.entries(one.step.drops).map(([component, count]) => ({
          component,
          name: names.component(component),
          count: String(count),
        }))
      : [],
  }))

/** Steps in which something may have been done without a press, as choices. */
export function missable(entries: readonly StepEntries[], names: Names): { id: string; name: string }[] {
  return entries.flatMap((one) => {
    const { id, kind } = one.step.planned
    if (kind === 'bath') return [{ id: `${id}/waterChanged`, name: `Water change in ${names.step(one)}` }]
    if (kind === 'expose') return [{ id: `${id}/looked`, name: `Pause in ${names.step(one)}` }]
    return []
  })
}

/**
 * The corrections that the form asks for.
 *
 * @param entries that the form was made from.
 * @returns what to write, none where nothing was changed.
 * @throws CoreError where something cannot be read; its field is the id of the step and what of it.
 */
export function readCorrections(
  entries: readonly StepEntries[],
  steps: readonly StepDraft[],
  missed: MissedDraft,
): Happening[] {
  return steps.flatMap((draft) => {
    const one = entries.find(({ step }) => step.planned.id === draft.id)
    if (!one) return []
    const startedAt = changedMoment(draft.started, one.start?.at, `${draft.id}/started`)
    const finishedAt = changedMoment(draft.finished, one.end?.at, `${draft.id}/finished`)
    return correctionsFor(one, {
      ...(startedAt !== undefined && { startedAt }),
      ...(finishedAt !== undefined && { finishedAt }),
      ...missedIn(missed, one),
      drops: Object.fromEntries(
        draft.drops.map(({ component, count }) => [component, dropsIn(count, `${draft.id}/${component}`)]),
      ),
    })
  })
}

/** @returns `undefined` where the text is still what the record says, or nothing can be written there. */
function changedMoment(
  text: string | undefined,
  recorded: number | undefined,
  field: string,
): number | undefined {
  if (text === undefined || recorded === undefined || text === momentText(recorded)) return undefined
  return momentIn(text, recorded, field)
}

function dropsIn(text: string, field: string): number {
  const count = numberOrNull(text)
  if (count !== null && Number.isInteger(count) && count > 0 && count < 10_000) return count
  throw new CoreError({
    code: 'unreadable',
    field,
    problem: `“${text}” is not a number of drops.`,
    remedy: 'Enter a whole number such as 24.',
    part: text,
  })
}

/** What of the missed entry concerns a step. */
function missedIn(
  { what, at, until }: MissedDraft,
  { step, start }: StepEntries,
): Pick<RightStep, 'pauses' | 'waters'> {
  if (!start || what.split('/')[0] !== step.planned.id) return {}
  const moment = (text: string, field: string) => momentIn(text, start.at, field)
  return step.planned.kind === 'expose'
    ? { pauses: [{ from: moment(at, 'missed/at'), to: moment(until, 'missed/until') }] }
    : { waters: [moment(at, 'missed/at')] }
}
