import { doseMoment, doseSeconds, STEADY, type CountedBy, type LightCourse } from './dose'
import { elapsedSeconds, isHeld } from './clock'
import { lifeOf, type CoatLife } from './coatLife'
import { clockOf, stepInHand, wordsIdOf, type RunState, type StepState } from './runState'

/** One running clock of one sheet, read at a moment. */
export interface ClockReading {
  sheetId: string
  stepId: string
  /** Id under which the process has words for the step. */
  wordsId: string
  /**
   * `toEnd` runs down to the planned end; `atLeast` to the least time, after which the eye decides; `within` to a limit
   * of handwork; `rests` to the moment before which a coat should not be used, `keeps` to the end of its life.
   */
  kind: 'toEnd' | 'atLeast' | 'within' | 'rests' | 'keeps'
  elapsedSeconds: number
  /** What the clock runs to; `null` for one that only counts up. */
  targetSeconds: number | null
  /** Below 0 once it is over; `null` without a target. */
  remainingSeconds: number | null
  /** When it will be over (milliseconds); `null` while held or without a target. */
  dueAt: number | null
  held: boolean
  /** Who counts an exposure; then its seconds are those of the light it was planned for, not of the wall. */
  by: CountedBy
}

/** The light that a sheet is under now, as far as it is known. */
export type Courses = (state: RunState) => LightCourse | null

const NO_COURSES: Courses = () => null

/** A coat's life is shown on the ledge only in its last day. */
const LIFE_SHOWN_SECONDS = 86_400

/**
 * Every clock of one sheet that runs at this moment.
 *
 * @param now milliseconds.
 * @param courses the light of a sheet that is exposed; without one, time stands for dose.
 */
export function clocksOf(state: RunState, now: number, courses = NO_COURSES): ClockReading[] {
  if (state.setAside) return []
  const step = stepInHand(state)
  const readings: ClockReading[] = []
  if (step && (step.status === 'running' || step.status === 'held') && step.planned.kind !== 'hang')
    readings.push(read(state, step, now, courses))
  const life = lifeOf(state)
  if (life) {
    const rest = life.notBefore === null ? null : readLife(state.sheetId, life, 'rests', life.notBefore, now)
    if (rest && (rest.remainingSeconds ?? 0) > 0) readings.push(rest)
    const keeps = life.notAfter === null ? null : readLife(state.sheetId, life, 'keeps', life.notAfter, now)
    if (keeps && (keeps.remainingSeconds ?? 0) < LIFE_SHOWN_SECONDS) readings.push(keeps)
  }
  return readings
}

/** Clocks of many sheets, nearest deadline first; held ones and those without an end come last. */
export function ledgeOf(states: readonly RunState[], now: number, courses = NO_COURSES): ClockReading[] {
  return states
    .flatMap((state) => clocksOf(state, now, courses))
    .sort((a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || a.elapsedSeconds - b.elapsedSeconds)
}

/** From one and a half times the planned exposure on, a print is over-exposed beyond what toning or drying hides. */
const OVER_EXPOSED = 1.5

/** Whether an exposure went so far past its plan that it has to be said. */
export const isOverExposed = (seconds: number, plannedSeconds: number): boolean =>
  seconds >= OVER_EXPOSED * plannedSeconds

/** Seconds past its end at which a clock that is not answered is heard again; from the last on, every five minutes. */
const HEARD_AGAIN = [0, 30, 60, 120, 180, 300]

/**
 * How often a clock should have been heard by now if it is not answered.
 *
 * @param overSeconds since it ran out, 0 or more.
 * @returns 1 at its end, growing without limit.
 */
export function ringsDue(overSeconds: number): number {
  const last = HEARD_AGAIN.at(-1) as number
  const listed = HEARD_AGAIN.filter((at) => at <= overSeconds).length
  return listed + Math.max(0, Math.floor((overSeconds - last) / last))
}

/** What a step's clock runs to, and in which sense. */
export function targetOf(step: StepState): { kind: ClockReading['kind']; seconds: number | null } {
  const { kind, leastSeconds, mostSeconds } = step.planned
  if (kind === 'expose') return { kind: 'toEnd', seconds: step.plannedSeconds ?? null }
  if (kind === 'act') return { kind: 'within', seconds: mostSeconds ?? null }
  return { kind: 'atLeast', seconds: leastSeconds ?? null }
}

function read(state: RunState, step: StepState, now: number, courses: Courses): ClockReading {
  const clock = clockOf(step) ?? { startedAt: now, holds: [] }
  const target = targetOf(step)
  const course = (step.planned.kind === 'expose' && courses(state)) || STEADY
  const elapsed = doseSeconds(course, clock, now)
  const dueAt = target.seconds === null ? null : doseMoment(course, clock, target.seconds, now)
  const held = isHeld(clock)
  const remaining =
    target.seconds === null
      ? null
      : dueAt === null || held || course.by === 'steady'
        ? target.seconds - elapsed
        : (dueAt - now) / 1000
  return {
    sheetId: state.sheetId,
    stepId: step.planned.id,
    wordsId: wordsIdOf(step.planned),
    kind: target.kind,
    elapsedSeconds: elapsed,
    targetSeconds: target.seconds,
    remainingSeconds: remaining,
    dueAt: held ? null : dueAt,
    held,
    by: course.by,
  }
}

function readLife(
  sheetId: string,
  { step, from }: CoatLife,
  kind: 'rests' | 'keeps',
  dueAt: number,
  now: number,
): ClockReading {
  const elapsed = elapsedSeconds({ startedAt: from, holds: [] }, now)
  const target = (dueAt - from) / 1000
  return {
    sheetId,
    stepId: step.planned.id,
    wordsId: wordsIdOf(step.planned),
    kind,
    elapsedSeconds: elapsed,
    targetSeconds: target,
    remainingSeconds: target - elapsed,
    dueAt,
    held: false,
    by: 'steady',
  }
}
