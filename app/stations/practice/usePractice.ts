import { computed, onUnmounted, reactive, ref, shallowRef, watch } from 'vue'
import { spoiltBy, stepsOf, type PracticeFault, type PracticeStep } from '@core/simulate/practiceFault'
import type { GreyPicture } from '@core/negative/resample'
import { negativeOfPicture } from '@core/simulate/practiceNegative'
import { practiceScore } from '@core/simulate/practiceScore'
import { UNTOUCHED, USUAL_CONDITIONS, type SheetWork } from '@core/simulate/virtualProcess'
import { practiceFaults, practiceProcesses } from '@library/practice'
import { faults } from '@library/faults'
import { workOn } from '../../workers/negativeWork'
import { useNotice } from '../../state/notice.store'
import { useKeyRows } from '../../state/keys.store'
import { useWorkroom } from '../../state/workroom.store'
import { useRoute } from 'vue-router'
import { lessonResult } from '@core/simulate/lesson'
import { useMarginNotes } from '../../state/margin.store'
import { useLessons } from './lessons.store'
import { texts } from './words'

/** Light of the practice frame, mW/cm², and density of all the ink on its film. */
export const IRRADIANCE = 5
export const FILM_RANGE = 2.1
/** The clock of a practice print is looked at so often, ms. */
const TICK = 100
/** A print is judged so many hours after it was hung up. */
const A_DAY = 24

/** Which bath a step fills the time of. */
const BATHS = { develop: 'developed', clear: 'cleared', fix: 'fixed' } as const
type Bath = keyof typeof BATHS

/** One practice print: how its sheet is made, its light, its baths, and what it is worth a day later. */
export function usePractice() {
  const [workroom, lessons, route, notice] = [useWorkroom(), useLessons(), useRoute(), useNotice()]
  const lesson = computed(() => lessons.lessonOf(String(route.query.lesson ?? '')))
  const processId = ref(lesson.value?.processId ?? practiceProcesses[0]?.processId ?? '')
  const [first] = practiceProcesses
  if (!first) throw new Error('no process to practise')
  const process = computed(() => practiceProcesses.find((one) => one.processId === processId.value) ?? first)
  const options = practiceProcesses.map((one) => ({
    id: one.processId,
    name: workroom.definitionOf(one.processId).name,
  }))
  const coat = ref<string | undefined>('usual')
  const air = ref<string | undefined>('50')
  const hasFault = ref(false)
  const speed = ref<string | undefined>('60')
  const fault = ref<PracticeFault | null>(null)
  const work = reactive<SheetWork>({ ...UNTOUCHED })
  const step = ref<PracticeStep | 'sheet'>('sheet')
  const [seconds, looks] = [ref(0), ref(0)]
  const [isRunning, isOpen] = [ref(false), ref(false)]
  const guess = ref('')
  /** The negative of one's own picture; without one a drawn one is printed. */
  const own = shallowRef<GreyPicture | null>(null)
  async function takePicture([file]: File[]): Promise<void> {
    if (!file) return
    try {
      const { preview } = await workOn({ act: 'look', file, mix: null, longestSide: 930 })
      own.value = negativeOfPicture(preview)
    } catch (error) {
      notice.refuse(error, 'the picture')
    }
  }

  const conditions = computed(() =>
    spoiltBy(
      {
        ...USUAL_CONDITIONS,
        coverage: { thin: 0.6, usual: 1, heavy: 1.5 }[coat.value as 'thin' | 'usual' | 'heavy'],
        relativeHumidity: { '30': 30, '50': 50, '70': 70 }[air.value as '30' | '50' | '70'],
        ...lesson.value?.sheet,
      },
      process.value,
      fault.value,
    ),
  )
  const steps = computed(() => stepsOf(process.value))
  const isBath = (one: PracticeStep | 'sheet'): one is Bath => one in BATHS
  const score = computed(() =>
    step.value === 'judged' ? practiceScore(process.value, conditions.value, work, looks.value) : null,
  )

  let before = 0
  /** Lets the time pass that has gone by since it was last looked at. */
  function advance(): void {
    const now = performance.now()
    const passed =
      ((now - before) / 1000) * { '10': 10, '60': 60, '240': 240 }[speed.value as '10' | '60' | '240']
    before = now
    if (!isRunning.value) return
    seconds.value += passed
    if (step.value === 'light') work.dose += IRRADIANCE * passed
    else if (isBath(step.value)) work[BATHS[step.value]] = (work[BATHS[step.value]] ?? 0) + passed
  }
  const timer = window.setInterval(advance, TICK)
  onUnmounted(() => window.clearInterval(timer))

  function coatSheet(): void {
    Object.assign(work, UNTOUCHED)
    const chosen = practiceFaults[Math.floor(Math.random() * practiceFaults.length)]
    fault.value = hasFault.value && !lesson.value ? (chosen ?? null) : null
    ;[seconds.value, looks.value, guess.value] = [0, 0, '']
    ;[isRunning.value, isOpen.value, step.value] = [false, true, 'light']
  }
  function toggle(): void {
    advance()
    isRunning.value = !isRunning.value
    if (step.value !== 'light') return
    // The light is on behind a closed frame.
    if (isRunning.value) isOpen.value = false
  }
  function look(): void {
    advance()
    isRunning.value = false
    isOpen.value = true
    looks.value++
  }
  function next(): void {
    advance()
    const at = steps.value.indexOf(step.value as PracticeStep)
    isRunning.value = false
    isOpen.value = true
    seconds.value = 0
    step.value = steps.value[at + 1] ?? 'judged'
    if (isBath(step.value)) work[BATHS[step.value]] = 0
    if (step.value === 'judged') work.hoursDry = A_DAY
  }
  const again = () => (step.value = 'sheet')

  const causes = practiceFaults.flatMap(({ causeId }) => {
    const cause = faults.causes.find(({ id }) => id === causeId)
    return cause ? [{ id: cause.id, name: cause.name }] : []
  })
  /** Cause of what is wrong with this sheet without a word. */
  const hiddenId = computed(() => lesson.value?.causeId ?? fault.value?.causeId ?? '')
  /** A lesson counts the first cause that is named. */
  const firstGuess = ref('')
  watch(guess, (one) => (firstGuess.value = one ? firstGuess.value || one : ''))
  const result = computed(() =>
    lesson.value && score.value && (!lesson.value.causeId || firstGuess.value)
      ? lessonResult(lesson.value, score.value, firstGuess.value)
      : null,
  )
  watch(result, (one) => one?.isPassed && lesson.value && lessons.pass(lesson.value.id))
  // Another lesson, or none: a new sheet.
  watch(lesson, (one) => {
    if (one) processId.value = one.processId
    step.value = 'sheet'
  })
  const verdict = computed(() => {
    const name = causes.find(({ id }) => id === hiddenId.value)?.name ?? ''
    if (!guess.value || !name) return ''
    return guess.value === hiddenId.value ? texts.rightCause({ name }) : texts.wrongCause({ name })
  })

  useKeyRows('Practice', () =>
    step.value === 'sheet'
      ? [{ key: ' ', name: 'Coat the sheet', run: coatSheet }]
      : step.value === 'light' || isBath(step.value)
        ? [
            { key: ' ', name: isRunning.value ? 'Stop the time' : 'Start the time', run: toggle },
            ...(step.value === 'light' ? [{ key: 'o', name: 'Open the frame', run: look }] : []),
            { key: 'enter', name: 'Go on', run: next },
          ]
        : [
            {
              key: 'enter',
              name: step.value === 'dry' ? 'A day later' : 'Practise again',
              run: step.value === 'dry' ? next : again,
            },
          ],
  )
  useMarginNotes(() => [
    ...(lesson.value && step.value !== 'sheet'
      ? [{ title: lesson.value.title, lines: [lesson.value.before] }]
      : []),
    ...(fault.value && step.value !== 'judged'
      ? [{ title: 'Hidden fault', lines: [texts.hiddenFault] }]
      : []),
    { title: 'On paper', tone: 'caution' as const, lines: [texts.cautionsHold] },
  ])
  return {
    processId, process, options, coat, air, hasFault, speed, work, step, seconds, looks, isRunning, isOpen, guess, own, takePicture,
    conditions, score, lesson, result, hiddenId, causes, verdict, coatSheet, toggle, look, next, again, isBath,
  } // prettier-ignore
}
