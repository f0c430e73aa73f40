import { mean } from '@core/quantity/statistics'
import { CoreError, type Refusal } from '@core/errors'
import type { StripReading } from '@core/light/baseExposure'
import { stripTimes } from '@core/light/strip'
import type { StepState } from '@core/run/run'
import { parseNumber } from '@core/quantity/number'
import { parseQuantity } from '@core/quantity/parse'
import { densityFromLightness } from '@core/tone/density'
import type { Sheet } from '@core/schema/records'

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

/**
 * Densities as they are typed for one mark: one or more readings, `1.32 1.34`, as densities or as L*.
 *
 * @throws CoreError `unreadable`, or as `densityFromLightness`.
 */
export function readDensities(text: string, scale: 'density' | 'lightness'): number[] {
  return text
    .split(/[\s;]+/)
    .filter((word) => word && !/^D$/i.test(word))
    .map((word) => {
      const value =
        scale === 'density'
          ? parseQuantity(word, 'opticalDensity', { field: 'density', bareUnit: 'D' })
          : parseNumber(word, { field: 'L*', example: '24.5' })
      const isSound = scale === 'density' ? value <= 4.5 : value > 0 && value <= 105
      if (!isSound)
        throw new CoreError({
          code: 'out-of-range',
          field: scale === 'density' ? 'density' : 'L*',
          problem: `“${word}” is not ${scale === 'density' ? 'a density' : 'an L*'}.`,
          remedy:
            scale === 'density'
              ? 'Enter it like 1.32, or several for one mark: 1.32 1.34.'
              : 'Enter it like 24.5.',
        })
      return scale === 'density' ? value : densityFromLightness(value)
    })
}

/** Every mark as it was typed, with what cannot be read. */
export function readStrip(
  texts: readonly string[],
  seconds: readonly number[],
  scale: 'density' | 'lightness',
): { readings: StripReading[]; faults: (Refusal | undefined)[] } {
  const faults: (Refusal | undefined)[] = []
  const readings = seconds.map((one, i) => {
    try {
      faults.push(undefined)
      return { seconds: one, densities: readDensities(texts[i] ?? '', scale) }
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[i] = error.refusal
      return { seconds: one, densities: [] }
    }
  })
  return { readings, faults }
}

/**
 * Readings in a row as they are typed: one word a step, a dash for one that could not be read, several readings of one
 * joined by a slash, of which the mean is taken.
 *
 * @returns `null` for a dash.
 * @throws CoreError as `readDensities`.
 */
export function readRow(text: string, scale: 'density' | 'lightness'): (number | null)[] {
  const words = text.split(/[\s;]+/).filter((word) => word && !/^D$/i.test(word))
  return words.map((word) => {
    if (/^[-–—x]$/i.test(word)) return null
    const densities = readDensities(word.replaceAll('/', ' '), scale)
    return mean(densities)
  })
}
