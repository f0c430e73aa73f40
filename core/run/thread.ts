import type { PlaceName } from '../schema/definition'
import type { PlannedStep } from '../schema/event'
import { targetOf } from './deadlines'
import { stepInHand, wordsIdOf, type RunState, type StepState } from './runState'

/** One stretch of a sheet's day: where it is, from when to when (milliseconds), and whether hands are needed. */
export interface ThreadStretch {
  stepId: string
  /** Step of the plan, where it is ahead by one. */
  planId?: string
  place: PlaceName
  from: number
  to: number
  /** `hands` while someone must work, `alone` while it works by itself, `waits` while it may be left. */
  manner: 'hands' | 'alone' | 'waits'
  /** Whether it is ahead: computed from the least times, not yet happened. */
  ahead: boolean
}

const HANDS: ReadonlySet<string> = new Set(['count', 'act', 'bath'])
/** Counting and mixing has no clock of its own; a coat's worth of drops takes about this long (common practice). */
const COUNTING_SECONDS = 180

/**
 * A sheet's way through the room: what has happened, then what would follow if nothing waited.
 *
 * @param now milliseconds; the border between what happened and what is ahead.
 */
export function threadOf(state: RunState, now: number): ThreadStretch[] {
  if (state.begunAt === null) return []
  const stretches: ThreadStretch[] = []
  let cursor = state.begunAt
  for (const step of state.steps.slice(0, state.current)) {
    if (step.skipped) continue
    const from = step.startedAt ?? cursor
    if (from > cursor) stretches.push(waiting(step, stretches.at(-1)?.place, cursor, from))
    cursor = step.finishedAt ?? from
    stretches.push(stretch(step, from, cursor, false))
  }
  if (state.setAside) return stretches
  const step = stepInHand(state)
  if (!step) return stretches

  const from = step.startedAt ?? (step.planned.kind === 'count' ? cursor : null)
  if (from === null) stretches.push(waiting(step, stretches.at(-1)?.place, cursor, now))
  else {
    if (from > cursor) stretches.push(waiting(step, stretches.at(-1)?.place, cursor, from))
    stretches.push(stretch(step, from, now, false))
  }
  return [...stretches, ...ahead(state, from, now)]
}

/** A step of a plan that is still to come: when it is due. */
export interface DueStep {
  planned: PlannedStep
  from: number
  to: number
}

/**
 * A sheet's way with a plan to go by: what has happened, then its steps as they were planned, pushed on by what is late.
 *
 * @param due the steps from the one in hand on; all of them for a sheet that has not begun.
 */
export function plannedThread(state: RunState, due: readonly DueStep[], now: number): ThreadStretch[] {
  const past = threadOf(state, now).filter((one) => !one.ahead)
  const inHand = stepInHand(state)
  const stretches: ThreadStretch[] = []
  let cursor = now
  let place = past.at(-1)?.place
  for (const { planned, from, to } of due) {
    const isRunning = inHand?.planned.id === planned.id && inHand.startedAt !== undefined
    const begins = isRunning ? now : Math.max(cursor, from)
    const ends = isRunning
      ? Math.max(now, (inHand.startedAt ?? now) + (targetOf(inHand).seconds ?? (to - from) / 1000) * 1000)
      : begins + (to - from)
    if (begins > cursor && place)
      stretches.push({
        stepId: wordsIdOf(planned),
        planId: planned.id,
        place,
        from: cursor,
        to: begins,
        manner: 'waits',
        ahead: true,
      })
    if (ends > begins)
      stretches.push({
        stepId: wordsIdOf(planned),
        planId: planned.id,
        place: planned.place,
        from: begins,
        to: ends,
        manner: mannerOf(planned),
        ahead: true,
      })
    cursor = ends
    place = planned.place
  }
  return [...past, ...stretches]
}

function ahead(state: RunState, startedAt: number | null, now: number): ThreadStretch[] {
  const stretches: ThreadStretch[] = []
  let cursor = now
  for (const [offset, step] of state.steps.slice(state.current).entries()) {
    if (step.planned.kind === 'hang') {
      if (offset > 0) stretches.push(stretch(step, cursor, cursor + 1_800_000, true))
      break
    }
    const begins = offset === 0 && startedAt !== null ? startedAt : cursor
    const ends = Math.max(cursor, begins + lengthOf(step) * 1000)
    if (ends > cursor) stretches.push(stretch(step, cursor, ends, true))
    cursor = ends
  }
  return stretches
}

function lengthOf(step: StepState): number {
  if (step.planned.kind === 'count') return COUNTING_SECONDS
  return targetOf(step).seconds ?? 0
}

const mannerOf = ({ kind }: PlannedStep): ThreadStretch['manner'] =>
  kind === 'hang' ? 'waits' : HANDS.has(kind) ? 'hands' : 'alone'

const stretch = (step: StepState, from: number, to: number, isAhead: boolean): ThreadStretch => ({
  stepId: wordsIdOf(step.planned),
  place: step.planned.place,
  from,
  to,
  manner: mannerOf(step.planned),
  ahead: isAhead,
})

const waiting = (step: StepState, place: PlaceName | undefined, from: number, to: number): ThreadStretch => ({
  stepId: wordsIdOf(step.planned),
  place: place ?? step.planned.place,
  from,
  to,
  manner: 'waits',
  ahead: false,
})
