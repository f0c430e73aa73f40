import { computed, onDeactivated, onUnmounted, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { stepsOf, type PracticeStep } from '@core/simulate/practiceFault'
import { lessonResult } from '@core/simulate/lesson'
import { practiceScore } from '@core/simulate/practiceScore'
import { looksOfWork, milkOf, waterColour } from '@core/simulate/practiceWater'
import { UNTOUCHED, type SheetWork } from '@core/simulate/virtualProcess'
import { practiceSteps } from '@library/practice'
import { useKeyRows } from '../../state/keys.store'
import { useLessons } from './lessons.store'
import { usePracticeFaults } from './usePracticeFaults'
import { usePracticeForm } from './usePracticeForm'
import { usePracticeReading } from './usePracticeReading'
import { texts } from './words'

/** Light of the practice frame, mW/cm². */
export const IRRADIANCE = 5
/** The clock of a practice print is looked at so often, ms. */
const TICK = 100
/** A print is judged so many hours after it was hung up; and looked at again after so many. */
const [A_DAY, TWO_YEARS] = [24, 2 * 8766]
const SPEEDS = { '1': 1, '60': 60, '240': 240, '960': 960 } as const

/** Which bath a step fills the time of. */
const BATHS = { develop: 'developed', clear: 'cleared', tone: 'toned', fix: 'fixed', wash: 'washed' } as const
type Bath = keyof typeof BATHS
const isBath = (step: PracticeStep | 'sheet'): step is Bath => step in BATHS

/** One practice print: its light, its baths, and what it is worth a day later. */
export function usePractice() {
  const [lessons, route] = [useLessons(), useRoute()]
  const sheet = usePracticeForm()
  const { form, lesson, process, definition, hidden, conditionsWith, filmWith } = sheet
  const work = reactive<SheetWork>({ ...UNTOUCHED })
  const problem = usePracticeFaults(sheet)
  const reading = usePracticeReading(sheet, work, A_DAY)
  const speed = ref<keyof typeof SPEEDS>('60')
  const step = ref<PracticeStep | 'sheet'>('sheet')
  const [seconds, looks, isRunning, isOpen, isSalted] = [ref(0), ref(0), ref(false), ref(false), ref(false)]
  const isOld = ref(false)

  const steps = computed(() => stepsOf(process.value, form.isToned))
  /** The step of the real process, with its words, its time and its cautions. */
  const realStep = computed(() => {
    const id = step.value === 'sheet' ? undefined : practiceSteps[process.value.processId]?.[step.value]
    return definition.value.steps.find((one) => one.id === id) ?? null
  })
  const milk = computed(() => milkOf(process.value, work, isSalted.value || !form.hasSoftWater))
  const water = computed(() =>
    step.value === 'clear' && process.value.showsMilk ? `rgb(${waterColour(milk.value).join(' ')})` : '',
  )
  const score = computed(() =>
    step.value === 'judged'
      ? practiceScore(process.value, conditionsWith(hidden.value), { ...work, hoursDry: A_DAY }, {
          ...problem.effort.value,
          isLadder: sheet.ladderSteps.value !== null,
          looks: looks.value,
        })
      : null,
  ) // prettier-ignore

  /** What the picture shows now: the print, or a test sheet made otherwise. */
  const question = computed(() => {
    if (step.value === 'sheet' || !isOpen.value) return null
    const wrong = problem.shown.value?.left ?? hidden.value
    return {
      film: filmWith(wrong),
      looks: [...wrong.flatMap(({ look }) => (look ? [look] : [])), ...looksOfWork(process.value, work)],
      process: process.value,
      conditions: conditionsWith(wrong),
      work: { ...work },
    }
  })

  let before = 0
  /** Lets the time pass that has gone by since it was last looked at. */
  function advance(): void {
    const now = performance.now()
    const passed = ((now - before) / 1000) * SPEEDS[speed.value]
    before = now
    if (!isRunning.value) return
    seconds.value += passed
    if (step.value === 'light') work.dose += IRRADIANCE * passed
    else if (isBath(step.value)) work[BATHS[step.value]] = (work[BATHS[step.value]] ?? 0) + passed
  }
  const timer = window.setInterval(advance, TICK)
  onUnmounted(() => window.clearInterval(timer))

  function startSheet(): void {
    Object.assign(work, UNTOUCHED)
    problem.clear()
    reading.clear()
    ;[seconds.value, looks.value, isSalted.value, isOld.value] = [0, 0, false, false]
    ;[isRunning.value, isOpen.value, step.value] = [false, true, 'light']
  }
  function coatSheet(): void {
    sheet.hideFaults()
    reading.curve.value = null
    startSheet()
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
  /** Adds salt to water without chlorine: milk shows, and the washing is counted from here. */
  const addSalt = () => (isSalted.value = true)
  function age(): void {
    isOld.value = !isOld.value
    work.hoursDry = isOld.value ? TWO_YEARS : A_DAY
  }
  /** The lesson that the address asks for, empty for none; `null` while another page is shown. */
  const asked = computed(() => (route.name === 'practice' ? String(route.query.lesson ?? '') : null))
  function again(): void {
    step.value = 'sheet'
    if (asked.value === null || asked.value === sheet.lessonId.value) return
    sheet.lessonId.value = asked.value
    sheet.startForm()
  }
  // A lesson that is chosen is a new sheet, unless its print is being made. Any print stays while one is elsewhere.
  watch(asked, (lessonId) => {
    if (lessonId === null || (lessonId === '' && step.value !== 'sheet')) return
    if (lessonId !== sheet.lessonId.value || step.value === 'judged') {
      isRunning.value = false
      again()
    }
  })
  onDeactivated(() => {
    advance()
    isRunning.value = false
  })
  /** Prints the same again through a curve made from this print. */
  function printCorrected(): void {
    if (reading.correct()) startSheet()
  }

  /** What a lesson still asks for, once its print is judged; empty when nothing is left. */
  const isAsked = computed(() => {
    if (!lesson.value) return ''
    const { causeId, aims, isCalibrated } = lesson.value
    if (causeId && !problem.named.value) return texts.nameTheCause
    if (aims.reading !== undefined && reading.reading.value === null) return texts.readTheSteps
    return isCalibrated && reading.linearity.value === null ? texts.printCorrected : ''
  })
  /** The result of a lesson; `null` until everything it asks for is answered. */
  const result = computed(() => {
    if (!lesson.value || !score.value || isAsked.value) return null
    const [read, linearity] = [reading.reading.value, reading.linearity.value]
    return lessonResult(lesson.value, score.value, {
      ...(read !== null && { reading: read }),
      ...(linearity !== null && { linearity }),
    })
  })
  watch(result, (now) => {
    if (now?.isPassed && lesson.value) lessons.pass(lesson.value.id)
  })

  useKeyRows('Practice', () =>
    step.value === 'sheet'
      ? [{ key: ' ', name: 'Coat the sheet', run: coatSheet }]
      : step.value === 'light' || isBath(step.value)
        ? [
            { key: ' ', name: isRunning.value ? 'Stop the time' : 'Start the time', run: toggle },
            ...(step.value === 'light' ? [{ key: 'o', name: 'Open the frame', run: look }] : []),
            ...(water.value && form.hasSoftWater && !isSalted.value
              ? [{ key: 's', name: 'Add a pinch of salt', run: addSalt }]
              : []),
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
  return {
    ...sheet, ...problem, reading, work, speed, step, steps, realStep, seconds, looks, isRunning, isOpen, isSalted, isOld, water,
    question, score, isAsked, result, coatSheet, toggle, look, next, addSalt, age, again, printCorrected, isBath,
  } // prettier-ignore
}

export type Practice = ReturnType<typeof usePractice>
