import { countedDose } from './countedDose'
import type { LightCourse, Sample } from '../run/dose'
import { cueWords, stripCues, stripTimes, type StripCue } from './strip'
import { elapsedSeconds } from '../run/clock'
import { clockOf, stepInHand, type RunState, type StepState } from '../run/runState'
import type { Sheet } from '../schema/records'

/** How a test strip is in the frame at a moment. */
export interface StripState {
  /** Seconds that each mark is to have, shortest first. */
  times: number[]
  /** Marks under the card. */
  covered: number
  last: (StripCue & { words: string }) | null
  next: (StripCue & { words: string }) | null
  /** Seconds counted so far: of the dose, or of the wall where no one counts. */
  counted: number
  isRunning: boolean
}

/**
 * How a test strip stands: which marks the card covers, and what it is to do next.
 *
 * @param now milliseconds.
 * @returns `null` for a sheet that is no strip or does not be in the light.
 */
export function stripState(
  { sheet, state }: { sheet: Sheet; state: RunState },
  course: LightCourse | null,
  samples: readonly Sample[],
  now: number,
): StripState | null {
  const [plan, step] = [sheet.strip, stepInHand(state)]
  if (!plan || step?.planned.kind !== 'expose') return null
  const clock = clockOf(step)
  const counted = !clock
    ? 0
    : course
      ? (countedDose(step, course, samples, now)?.seconds ?? 0)
      : elapsedSeconds(clock, now)
  // More or less given under the light stretches the whole strip.
  const stretch = (step.plannedSeconds ?? plan.lastSeconds) / plan.lastSeconds
  const cues = stripCues(plan).map((cue) => ({
    ...cue,
    atSeconds: cue.atSeconds * stretch,
    words: cueWords(plan, cue),
  }))
  const done = cues.filter((cue) => cue.atSeconds <= counted)
  return {
    times: stripTimes(plan).map((seconds) => seconds * stretch),
    covered: done.at(-1)?.mark ?? (plan.card === 'frees' ? plan.count - 1 : 0),
    last: done.at(-1) ?? null,
    next: cues[done.length] ?? null,
    counted,
    isRunning: step.status === 'running',
  }
}

/**
 * What each mark of a strip really had, in seconds of the light it was planned for: the marks that were covered by the
 * plan, the last one by the clock.
 *
 * @param exposed the exposing step, finished.
 */
export function markSeconds(strip: NonNullable<Sheet['strip']>, exposed: StepState): number[] {
  const stretch = (exposed.plannedSeconds ?? strip.lastSeconds) / strip.lastSeconds
  const times = stripTimes(strip).map((seconds) => seconds * stretch)
  const total = exposed.dose?.seconds
  if (total === undefined) return times
  // A card that frees mark after mark gives what is over to every mark; one that covers gives it to the last.
  const over = total - (times.at(-1) ?? 0)
  return strip.card === 'frees'
    ? times.map((seconds) => Math.max(0.1, seconds + over))
    : times.map((seconds, i) => (i === times.length - 1 ? total : Math.min(seconds, total)))
}
