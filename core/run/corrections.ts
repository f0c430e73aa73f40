import { CoreError } from '../errors'
import type { Correction, CountedDose, Draw, Happening, Missed, SheetEvent } from '../schema/event'
import { elapsedSeconds, type Hold } from './clock'
import { effectiveEvents } from './history'
import { advance } from './run'
import { clockOf, emptyRun, type StepState } from './runState'

/** The entries that began and ended one step; `null` where none did. */
export interface StepEntries {
  step: StepState
  /** Of a step that flows on from the one before, the entry that ended that one. */
  start: SheetEvent | null
  end: SheetEvent | null
  /** Whether the start has an entry of its own, so that it can be corrected by itself. */
  ownsStart: boolean
}

/**
 * Which entries began and ended each step that has begun.
 *
 * @param log a whole log, which has to replay.
 * @throws CoreError as `replay`.
 */
export function stepEntriesOf(sheetId: string, log: readonly SheetEvent[]): StepEntries[] {
  let state = emptyRun(sheetId)
  const [starts, ends] = [new Map<string, SheetEvent>(), new Map<string, SheetEvent>()]
  for (const event of effectiveEvents(log)) {
    const before = state.steps
    state = advance(state, event)
    for (const [index, step] of state.steps.entries()) {
      const was = before[index]
      if (step === was) continue
      if (step.startedAt !== undefined && was?.startedAt === undefined) starts.set(step.planned.id, event)
      if (step.finishedAt !== undefined && was?.finishedAt === undefined) ends.set(step.planned.id, event)
    }
  }
  return state.steps
    .filter(({ planned }) => starts.has(planned.id) || ends.has(planned.id))
    .map((step) => {
      const start = starts.get(step.planned.id) ?? null
      return { step, start, end: ends.get(step.planned.id) ?? null, ownsStart: start?.type === 'stepStarted' }
    })
}

/** What was really so about one step; what is absent was right. Moments in milliseconds. */
export interface RightStep {
  startedAt?: number
  finishedAt?: number
  /** Drops that were really counted, by component. */
  drops?: Readonly<Record<string, number>>
  /** Pauses of an exposure, and changes of water, that were made without a press. */
  pauses?: readonly { from: number; to: number }[]
  waters?: readonly number[]
}

/**
 * The corrections that make one step right. What was drawn follows the drops, and what an exposure came to its time: the
 * light is taken to have been as strong, on average, in the time that was not recorded.
 *
 * @param entries of the step, from `stepEntriesOf`.
 * @returns entries to write, none where nothing differs.
 */
export function correctionsFor({ step, start, end, ownsStart }: StepEntries, right: RightStep): Happening[] {
  const made: Happening[] = []
  const correct = (entry: SheetEvent | null, what: Correction): void => {
    if (entry && Object.keys(what).length) made.push({ type: 'corrected', eventId: entry.id, right: what })
  }
  const { startedAt = start?.at, finishedAt = end?.at } = right
  if (ownsStart && startedAt !== start?.at) correct(start, { at: startedAt })
  const drops = (step.planned.drops ?? []).flatMap(({ component }) => {
    const count = right.drops?.[component]
    return count === undefined || count === step.drops[component] ? [] : [{ component, count }]
  })
  const { pauses = [], waters = [] } = right
  const dose = doseAfter(step, startedAt, finishedAt, pauses)
  correct(end, {
    ...(finishedAt !== end?.at && { at: finishedAt }),
    ...(drops.length && { drops }),
    ...(drops.length && step.drawn.length && { drawn: drawnFor(step, right.drops ?? {}) }),
    ...(dose && { dose }),
  })
  const late = (type: Missed['type'], happenedAt: number): Happening => ({
    type: 'enteredLate',
    happenedAt,
    what: { type, step: step.planned.id },
  })
  made.push(...pauses.flatMap(({ from, to }) => [late('looked', from), late('returned', to)]))
  made.push(...waters.map((at) => late('waterChanged', at)))
  return made
}

/** What was drawn for other drops than those recorded: in proportion. */
const drawnFor = ({ drawn, drops }: StepState, right: Readonly<Record<string, number>>): Draw[] =>
  drawn.map((draw) => {
    const [was, is] = [drops[draw.component] ?? 0, right[draw.component] ?? drops[draw.component] ?? 0]
    return was > 0 ? { ...draw, millilitres: (draw.millilitres * is) / was } : draw
  })

/** What an exposure came to in another time; absent where its time is the same. */
function doseAfter(
  step: StepState,
  startedAt: number | undefined,
  finishedAt: number | undefined,
  pauses: readonly Hold[],
): CountedDose | undefined {
  const clock = clockOf(step)
  if (!step.dose || !clock || startedAt === undefined || finishedAt === undefined) return undefined
  const was = elapsedSeconds(clock, Infinity)
  const share =
    elapsedSeconds({ startedAt, finishedAt, holds: [...clock.holds, ...pauses] }, finishedAt) / was
  if (was <= 0 || share === 1) return undefined
  const { seconds, millijoulesPerCm2, ...rest } = step.dose
  return {
    ...rest,
    seconds: seconds * share,
    ...(millijoulesPerCm2 !== undefined && { millijoulesPerCm2: millijoulesPerCm2 * share }),
  }
}

/** Refusals of a replay that a time out of place brings about. */
const OUT_OF_PLACE = new Set([
  'back-in-time', 'not-begun', 'already-begun', 'all-done', 'other-step', 'running', 'not-started', 'not-exposing',
  'not-held', 'not-in-bath', 'not-counting', 'not-counted', 'not-hung', 'not-exposed', 'not-coated', 'judged-already',
  'set-aside',
]) // prettier-ignore

/**
 * Why a corrected log could not have happened, in words for whoever corrects it.
 *
 * @param error what replaying it threw; what is not about the order of things is returned as it is.
 */
export function misfit(error: unknown): unknown {
  if (!(error instanceof CoreError) || !OUT_OF_PLACE.has(error.code)) return error
  return new CoreError({
    code: 'does-not-fit',
    field: 'correction',
    problem:
      'These times do not fit together: one step would overlap another, or an entry is outside its step.',
    remedy: 'Check that every step starts after the step before it has ended, then save again.',
  })
}
