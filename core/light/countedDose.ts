import { clockOf, type StepState } from '../run/runState'
import type { CountedDose } from '../schema/event'
import {
  doseSeconds,
  integrateIrradiance,
  STEADY,
  stretchesOf,
  type LightCourse,
  type Sample,
} from '../run/dose'

/** Less than this between readings is the meter's own pace. */
const WORTH_SAYING_SECONDS = 3

/**
 * What an exposure came to when it ended, to be written into its record.
 *
 * @param course the light it lay under; `null` where time stands for dose.
 * @param samples what a meter read, in order of time; empty without one.
 * @param now milliseconds.
 * @returns `null` for a step that has not started.
 */
export function countedDose(
  step: StepState,
  course: LightCourse | null,
  samples: readonly Sample[],
  now: number,
): CountedDose | null {
  const clock = clockOf(step)
  if (!clock) return null
  const { by, referenceMilliwattsPerCm2: reference } = course ?? STEADY
  const seconds = doseSeconds(course ?? STEADY, clock, now)
  const silent =
    by === 'meter'
      ? stretchesOf(clock, now)
          .map(([from, to]) => integrateIrradiance(samples, from, to))
          .reduce((sum, one) => sum + one.bridgedSeconds + one.assumedSeconds, 0)
      : 0
  return {
    by,
    seconds: Math.round(seconds * 10) / 10,
    ...(reference !== undefined && { millijoulesPerCm2: Math.round(seconds * reference * 10) / 10 }),
    ...(silent > WORTH_SAYING_SECONDS && { silentSeconds: Math.round(silent) }),
  }
}
