import { CoreError, type Refusal } from '@core/errors'
import type { StripReading } from '@core/light/baseExposure'
import { readDensities } from '@core/tone/typedReadings'

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
