import { texts } from './words'
import { computed } from 'vue'
import { countedDose } from '@core/light/countedDose'
import { isStuck } from '@core/run/dose'
import { readingAtTheEnd, referenceLight } from '@core/light/liveLight'
import type { StepState } from '@core/run/runState'
import type { Happening } from '@core/schema/event'
import { timeNow } from '../../storage/time'
import { useNow } from '../../state/useNow'
import type { SheetInRoom } from '../../state/workroom.store'
import { useInstruments } from '../../state/instruments.store'
import { useNotice } from '../../state/notice.store'
import { useLights } from '../../state/lights.store'
import { stripState } from '@core/light/stripProgress'

/** What the exposure clock knows of light: who counts, what the meter says, where the card of a strip is. */
export function useDoseClock(inHand: () => SheetInRoom | null, step: () => StepState | null) {
  const [now, lights, instruments, notice] = [useNow(), useLights(), useInstruments(), useNotice()]

  const course = computed(() => {
    const one = inHand()
    return one && now.now ? lights.courseOf(one.state) : null
  })
  const samples = computed(() => {
    const one = inHand()
    return one && now.now ? lights.samplesOf(one.sheet.id) : []
  })
  const live = computed(() => lights.lightNow(inHand()?.sheet.lightId))
  /** Readings of the meter that the light can hardly have made; they do not count until the user says that they are right. */
  const doubt = computed(() => {
    const one = inHand()
    return one && now.now ? lights.doubtOf(one.sheet.id) : null
  })
  const believeMeter = () => {
    const one = inHand()
    if (one) lights.believeMeter(one.sheet.id)
  }
  /** What is wrong with the meter, said plainly; empty while nothing is. */
  const trouble = computed(() => {
    const last = samples.value.at(-1)
    if (course.value?.by !== 'meter' || !last || doubt.value) return ''
    if (instruments.meterSilentSince !== null || now.now - last[0] > 5000)
      return step()?.status === 'running' ? texts.meterNotRespondingDoseCounted : ''
    return isStuck(samples.value) ? texts.meterReadingHasNotChanged : ''
  })

  /** The light to be recorded when the cover comes off: one second of dose is a second of it. */
  function reference(): number | undefined {
    const sheet = inHand()?.sheet
    if (!sheet) return undefined
    if (sheet.millijoulesPerCm2 !== undefined) return sheet.millijoulesPerCm2 / sheet.exposureSeconds
    return referenceLight(
      live.value?.by === 'meter' ? live.value.milliwattsPerCm2 : null,
      lights.expectedNow(sheet.lightId),
    )
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
      lights.writeTraces(timeNow())
      const dose = countedDose(one, course.value, samples.value, timeNow())
      if (dose?.by === 'meter') keepReading()
      return dose ? { ...next, dose } : next
    }
    return next
  }

  /** What the meter read at the end of an exposure is a reading of its light like any other: it says how the lamp ages, and how far the model of the sun is out. */
  function keepReading(): void {
    const lightId = inHand()?.sheet.lightId
    const read = readingAtTheEnd(samples.value)
    if (!lightId || !read || isStuck(samples.value)) return
    void lights
      .tellReading(lightId, read.milliwattsPerCm2, 'meter', read.at)
      .catch((error: unknown) => notice.refuse(error, 'the lamp reading'))
  }

  const strip = computed(() => {
    const one = inHand()
    return one ? stripState(one, course.value, samples.value, now.now) : null
  })
  return { course, samples, live, trouble, doubt, believeMeter, withLight, strip }
}
