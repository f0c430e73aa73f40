import { computed, reactive, ref, shallowRef } from 'vue'
import {
  dryChange,
  linearityMark,
  offLinear,
  readingMark,
  readLadder,
  readWedge,
  type PrintSaid,
} from '@core/simulate/practiceReading'
import { throughCurve } from '@core/simulate/practiceNegative'
import type { SheetWork } from '@core/simulate/virtualProcess'
import { writtenNumber } from '@core/quantity/number'
import { inkOf, solveCurve, type NegativeCurve } from '@core/tone/curve'
import { useNotice } from '../../state/notice.store'
import type { usePracticeForm } from './usePracticeForm'

const PLAIN = (tone: number) => tone

/** What is read from a practice print: the steps of a strip or tablet, or a wedge and the curve that follows from it. */
export function usePracticeReading(
  { form, process, conditionsWith, filmWith, hidden, ladderSteps, ink }: ReturnType<typeof usePracticeForm>,
  worked: SheetWork,
  hoursDry: number,
) {
  /** As it is judged, however old it is when it is looked at. */
  const work = computed<SheetWork>(() => ({ ...worked, hoursDry }))
  const notice = useNotice()
  /** Steps as they were read: last black, and on a tablet last tone. */
  const read = reactive<{ lastBlack: string; lastTone: string }>({ lastBlack: '', lastTone: '' })
  const isRead = ref(false)
  const truth = computed(() =>
    ladderSteps.value
      ? readLadder(process.value, conditionsWith(hidden.value), work.value, ladderSteps.value)
      : null,
  )
  const canBeRead = computed(
    () => read.lastBlack !== '' && (form.negative === 'strip' || read.lastTone !== ''),
  )
  const reading = computed(() => {
    if (!truth.value || !ladderSteps.value || !isRead.value) return null
    const [black, tone] = [writtenNumber(read.lastBlack), writtenNumber(read.lastTone)]
    return form.negative === 'strip'
      ? readingMark([black], [truth.value.lastBlack], ladderSteps.value)
      : readingMark([black, tone], [truth.value.lastBlack, truth.value.lastTone], ladderSteps.value)
  })

  const curve = shallowRef<NegativeCurve | null>(null)
  const wedge = (of: NegativeCurve | null) =>
    readWedge(
      process.value,
      conditionsWith(hidden.value),
      work.value,
      filmWith(hidden.value),
      of ? inkOf(of) : PLAIN,
    )
  /** Farthest of this print's tones from even steps, L*. */
  const off = computed(() => (ladderSteps.value ? null : offLinear(wedge(curve.value))))
  const linearity = computed(() => (curve.value && off.value !== null ? linearityMark(off.value) : null))
  const inked = computed(() => (curve.value ? throughCurve(ink.value, inkOf(curve.value)) : ink.value))
  /** Makes a curve from this print's wedge. @returns whether the print could be read. */
  function correct(): boolean {
    try {
      curve.value = solveCurve(wedge(null))
      return true
    } catch (error) {
      notice.refuse(error, 'the wedge')
      return false
    }
  }
  /** What the eye said while it was wet; and how much drying changed. */
  const wetSaid = ref<PrintSaid | undefined>()
  const dried = computed(() => dryChange(process.value, conditionsWith(hidden.value), work.value))
  function clear(): void {
    wetSaid.value = undefined
    ;[read.lastBlack, read.lastTone, isRead.value] = ['', '', false]
  }
  return {
    read,
    isRead,
    canBeRead,
    truth,
    reading,
    curve,
    off,
    linearity,
    inked,
    correct,
    wetSaid,
    dried,
    clear,
  }
}
