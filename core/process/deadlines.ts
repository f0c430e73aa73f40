import { elapsedSeconds, isHeld, momentAt } from './clock'
import { clockOf, stepInHand, type RunState, type StepState } from './run'

/** One running clock of one sheet, read at a moment. */
export interface ClockReading {
  sheetId: string
  stepId: string
  /**
   * `toEnd` runs down to the planned end; `atLeast` to the least time, after which the eye decides; `within` to a limit
   * of handwork; `keeps` to the end of a coat's life.
   */
  kind: 'toEnd' | 'atLeast' | 'within' | 'keeps'
  elapsedSeconds: number
  /** What the clock runs to; `null` for one that only counts up. */
  targetSeconds: number | null
  /** Below 0 once it is over; `null` without a target. */
  remainingSeconds: number | null
  /** When it will be over (milliseconds); `null` while held or without a target. */
  dueAt: number | null
  held: boolean
}

/** A coat's life is shown on the ledge only in its last day. */
const LIFE_SHOWN_SECONDS = 86_400

/**
 * Every clock of one sheet that runs at this moment.
 *
 * @param now milliseconds.
 */
export function clocksOf(state: RunState, now: number): ClockReading[] {
  if (state.setAside) return []
  const step = stepInHand(state)
  const readings: ClockReading[] = []
  if (step && (step.status === 'running' || step.status === 'held') && step.planned.kind !== 'hang')
    readings.push(read(state.sheetId, step, now))
  const before = state.steps[state.current - 1]
  if (
    step?.status === 'waiting' &&
    before?.finishedAt !== undefined &&
    before.planned.keepsSeconds !== undefined
  ) {
    const reading = readLife(state.sheetId, before, before.finishedAt, before.planned.keepsSeconds, now)
    if ((reading.remainingSeconds ?? 0) < LIFE_SHOWN_SECONDS) readings.push(reading)
  }
  return readings
}

/** Clocks of many sheets, nearest deadline first; held ones and those without an end come last. */
export function ledgeOf(states: readonly RunState[], now: number): ClockReading[] {
  return states
    .flatMap((state) => clocksOf(state, now))
    .sort((a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || a.elapsedSeconds - b.elapsedSeconds)
}

/** What a step's clock runs to, and in which sense. */
export function targetOf(step: StepState): { kind: ClockReading['kind']; seconds: number | null } {
  const { kind, leastSeconds, mostSeconds } = step.planned
  if (kind === 'expose') return { kind: 'toEnd', seconds: step.plannedSeconds ?? null }
  if (kind === 'act') return { kind: 'within', seconds: mostSeconds ?? null }
  return { kind: 'atLeast', seconds: leastSeconds ?? null }
}

function read(sheetId: string, step: StepState, now: number): ClockReading {
  const clock = clockOf(step) ?? { startedAt: now, holds: [] }
  const target = targetOf(step)
  const elapsed = elapsedSeconds(clock, now)
  return {
    sheetId,
    stepId: step.planned.id,
    kind: target.kind,
    elapsedSeconds: elapsed,
    targetSeconds: target.seconds,
    remainingSeconds: target.seconds === null ? null : target.seconds - elapsed,
    dueAt: target.seconds === null ? null : momentAt(clock, target.seconds),
    held: isHeld(clock),
  }
}

function readLife(
  sheetId: string,
  step: StepState,
  finishedAt: number,
  keeps: number,
  now: number,
): ClockReading {
  const elapsed = elapsedSeconds({ startedAt: finishedAt, holds: [] }, now)
  return {
    sheetId,
    stepId: step.planned.id,
    kind: 'keeps',
    elapsedSeconds: elapsed,
    targetSeconds: keeps,
    remainingSeconds: keeps - elapsed,
    dueAt: finishedAt + keeps * 1000,
    held: false,
  }
}
