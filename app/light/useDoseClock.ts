import { computed } from 'vue'
import { countedDose } from '@core/light/countedDose'
import { isStuck } from '@core/light/dose'
import type { StepState } from '@core/process/run'
import type { Happening } from '@core/record/event'
import { useNow } from '../data/useNow'
import type { SheetInRoom } from '../data/workroom.store'
import { median } from '@core/tone/leastSquares'
import { useInstruments } from '../instruments/instruments.store'
import { useLights } from './lights.store'
import { stripStanding } from './stripStanding'

/** So many of the last readings are taken for the light at the end. */
const READINGS_AT_THE_END = 15

/** What the exposure clock knows of light: who counts, what the meter says, where the card of a strip lies. */
export function useDoseClock(inHand: () => SheetInRoom | null, step: () => StepState | null) {
  const [now, lights, instruments] = [useNow(), useLights(), useInstruments()]

  const course = computed(() => {
    const one = inHand()
    return one && now.now ? lights.courseOf(one.state) : null
  })
  const samples = computed(() => {
    const one = inHand()
    return one && now.now ? lights.samplesOf(one.sheet.id) : []
  })
  const live = computed(() => lights.lightNow(inHand()?.sheet.lightId))
  /** What is wrong with the meter, said plainly; empty while nothing is. */
  const trouble = computed(() => {
    const last = samples.value.at(-1)
    if (course.value?.by !== 'meter' || !last) return ''
    if (instruments.meterSilentSince !== null || now.now - last[0] > 5000)
      return step()?.status === 'running'
        ? 'The meter is silent. Counting on by its last reading; the record will say so.'
        : ''
    return isStuck(samples.value)
      ? 'The meter has not moved by a digit for ten seconds: it may have stuck.'
      : ''
  })

  /** The light to be written down when the cover comes off: one second of dose is a second of it. */
  function reference(): number | undefined {
    const sheet = inHand()?.sheet
    if (!sheet) return undefined
    if (sheet.millijoulesPerCm2 !== undefined) return sheet.millijoulesPerCm2 / sheet.exposureSeconds
    return live.value?.milliwattsPerCm2
  }
  /** Adds to what is recorded what the light has to say of it. */
  function withLight(next: Happening): Happening {
    const one = step()
    if (one?.planned.kind !== 'expose') return next
    if (next.type === 'stepStarted') {
      const milliwattsPerCm2 = reference()
      return milliwattsPerCm2 === undefined ? next : { ...next, light: { milliwattsPerCm2 } }
    }
    if (next.type === 'stepFinished') {
      lights.writeTraces(Date.now())
      const dose = countedDose(one, course.value, samples.value, Date.now())
      if (dose?.by === 'meter') keepReading()
      return dose ? { ...next, dose } : next
    }
    return next
  }

  /** What the meter read at the end of an exposure is a reading of its light like any other: it says how the lamp ages, and how far the model of the sun is out. */
  function keepReading(): void {
    const lightId = inHand()?.sheet.lightId
    const last = samples.value.slice(-READINGS_AT_THE_END)
    if (!lightId || last.length < READINGS_AT_THE_END || isStuck(samples.value)) return
    void lights.tellReading(
      lightId,
      median(last.map(([, value]) => value)),
      'meter',
      last.at(-1)?.[0] ?? Date.now(),
    )
  }

  const strip = computed(() => {
    const one = inHand()
    return one ? stripStanding(one, course.value, samples.value, now.now) : null
  })
  return { course, samples, live, trouble, withLight, strip }
}
