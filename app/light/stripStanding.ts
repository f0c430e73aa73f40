import { countedDose } from '@core/light/countedDose'
import type { LightCourse, Sample } from '@core/run/dose'
import { cueWords, stripCues, stripTimes, type StripCue } from '@core/light/strip'
import { elapsedSeconds } from '@core/run/clock'
import { clockOf, stepInHand } from '@core/run/run'
import type { SheetInRoom } from '../data/workroom.store'

/** How a test strip stands in the frame at a moment. */
export interface StripStanding {
  /** Seconds that each mark is to have, shortest first. */
  times: number[]
  /** Marks under the card. */
  covered: number
  last: (StripCue & { words: string }) | null
  next: (StripCue & { words: string }) | null
  /** Seconds counted so far: of the dose, or of the wall where nobody counts. */
  counted: number
  isRunning: boolean
}

/**
 * How a test strip stands: which marks the card covers, and what it is to do next.
 *
 * @param now milliseconds.
 * @returns `null` for a sheet that is no strip or does not lie in the light.
 */
export function stripStanding(
  { sheet, state }: Pick<SheetInRoom, 'sheet' | 'state'>,
  course: LightCourse | null,
  samples: readonly Sample[],
  now: number,
): StripStanding | null {
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
