import { elapsedSeconds } from './clock'
import { clockOf, type StepState } from './runState'

/** A press comes when the hands are free: under this no one calls it early. */
const SLACK_SECONDS = 5
const SLACK_SHARE = 0.03

/** A step that ended within so many seconds of its least time was long enough: for the clock, the record and a diagnosis. */
export const slackOf = (leastSeconds: number): number => Math.max(SLACK_SECONDS, SLACK_SHARE * leastSeconds)

/** Seconds that a finished step lacks of its least time; 0 where it lacks no more than a hand is quick. */
export function missingSeconds(step: StepState): number {
  const clock = clockOf(step)
  const least = step.planned.leastSeconds
  if (!clock || least === undefined || step.finishedAt === undefined || step.byHairDryer) return 0
  const missing = least - elapsedSeconds(clock, step.finishedAt)
  return missing > slackOf(least) ? missing : 0
}

/**
 * The steps of a sheet after one of them was finished: where it was cut short, the step that makes up for it takes longer.
 *
 * @param index of the step that has just been finished.
 */
export function madeUpFor(steps: StepState[], index: number): StepState[] {
  const step = steps[index] as StepState
  const { ifShort, id } = step.planned
  const missing = step.skipped ? (step.planned.leastSeconds ?? 0) : missingSeconds(step)
  if (!ifShort || !missing) return steps
  return steps.map((later, i) => {
    if (i <= index || later.planned.id !== ifShort.lengthens) return later
    const own = later.planned.leastSeconds ?? 0
    const leastSeconds = Math.max(own, ifShort.toSeconds ?? own + Math.round(missing))
    // A greatest time below the new least one would blame it for what it makes up for.
    const { mostSeconds, ...planned } = later.planned
    const most = mostSeconds === undefined ? {} : { mostSeconds: Math.max(mostSeconds, leastSeconds) }
    return leastSeconds === own
      ? later
      : { ...later, planned: { ...planned, leastSeconds, ...most }, lengthenedBy: id }
  })
}
