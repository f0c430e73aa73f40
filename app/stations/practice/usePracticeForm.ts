import { computed, reactive, ref, shallowRef } from 'vue'
import { useRoute } from 'vue-router'
import { traitsOf } from '@core/judge/traits'
import type { GreyPicture } from '@core/negative/resample'
import { startingChoices } from '@core/process/plan'
import { drawFaults, faultsFor, filmOf, spoiltBy, type FaultLevel, type PracticeFault } from '@core/simulate/practiceFault' // prettier-ignore
import { negativeOfPicture, practiceLadder, practiceNegative } from '@core/simulate/practiceNegative'
import { LADDER_DENSITY } from '@core/simulate/practiceReading'
import { USUAL_CONDITIONS, USUAL_FILM } from '@core/simulate/virtualProcess'
import { faults } from '@library/faults'
import { practiceFaults } from '@library/practice'
import { useNotice } from '../../state/notice.store'
import { workOn } from '../../workers/negativeWork'
import { useLessons } from './lessons.store'
import { usePracticeProcesses } from './usePracticeProcesses'

/** What is printed: the drawn negative or one's own picture, a test strip, or a step tablet. */
export type PracticeNegativeKind = 'scene' | 'strip' | 'tablet'
/** How many half stops each has. */
const STEPS = { strip: 8, tablet: 21 } as const

const COATS = { thin: 0.6, usual: 1, heavy: 1.5 } as const
const FILMS = { thin: 1.2, usual: USUAL_FILM.range, dense: 3 } as const
const CONTRASTS = { none: 1, some: 1.35, much: 1.8 } as const
/** Lamps: peak, nm, and dose on the clock in which it warms up, mJ/cm². */
const LAMPS = {
  '365': { nanometres: 365, coldDose: 0 },
  '405': { nanometres: 405, coldDose: 0 },
  cold: { nanometres: 365, coldDose: 500 },
} as const
const PAPERS = { usual: {}, chalk: { isBuffered: true }, unsized: { sizing: 0 } } as const

export interface PracticeForm {
  processId: string
  coat: keyof typeof COATS
  air: '30' | '50' | '70'
  paper: keyof typeof PAPERS
  film: keyof typeof FILMS
  contrast: keyof typeof CONTRASTS
  lamp: keyof typeof LAMPS
  negative: PracticeNegativeKind
  level: FaultLevel
  isToned: boolean
  hasSoftWater: boolean
}

/** How a practice sheet is made: by a lesson, or by choice; and what is wrong with it without a word. */
export function usePracticeForm() {
  const [lessons, route, notice] = [useLessons(), useRoute(), useNotice()]
  const { processOf, definitionOf, options, tuned } = usePracticeProcesses()
  /** The lesson that is played: what was asked for when this page was last opened, unless a print is being made. */
  const lessonId = ref(String(route.query.lesson ?? ''))
  const lesson = computed(() => lessons.lessonOf(lessonId.value))
  const usual = (): PracticeForm => ({
    processId: lesson.value?.processId ?? options.value[0]?.id ?? '',
    coat: 'usual',
    air: '50',
    paper: 'usual',
    film: 'usual',
    contrast: 'none',
    lamp: '365',
    negative: lesson.value?.negative ?? 'scene',
    level: 'none',
    isToned: lesson.value?.isToned ?? false,
    hasSoftWater: lesson.value?.hasSoftWater ?? false,
  })
  const form = reactive(usual())
  const startForm = () => Object.assign(form, usual())
  const process = computed(() => {
    const plain = processOf(form.processId)
    return lesson.value ? plain : tuned(plain)
  })
  /** It is made as one's own prints have shown this process to be. */
  const isTuned = computed(() => process.value !== processOf(form.processId))
  const definition = computed(() => definitionOf(form.processId))
  const choices = computed(() => ({ ...startingChoices(definition.value), subject: 'negative' }))
  const traits = computed(() => traitsOf(definition.value, { choices: choices.value }, { kind: 'uvBox' }))

  const possible = computed(() => faultsFor(practiceFaults, faults, traits.value))
  const hidden = shallowRef<PracticeFault[]>([])
  function hideFaults(): void {
    const causeId = lesson.value?.causeId
    hidden.value = lesson.value
      ? possible.value.filter((fault) => fault.causeId === causeId)
      : drawFaults(form.level, possible.value, () => Math.random())
  }

  /** The sheet as it would be with so much wrong with it. */
  const conditionsWith = (wrong: readonly PracticeFault[]) => ({
    ...spoiltBy(
      {
        ...USUAL_CONDITIONS,
        coverage: COATS[form.coat],
        relativeHumidity: { '30': 30, '50': 50, '70': 70 }[form.air],
        ...PAPERS[form.paper],
        contrast: CONTRASTS[form.contrast],
        ...LAMPS[form.lamp],
      },
      process.value,
      wrong,
    ),
    ...lesson.value?.sheet,
  })
  /** Steps of the strip or tablet that is printed; `null` for a picture. */
  const ladderSteps = computed(() => (form.negative === 'scene' ? null : STEPS[form.negative]))
  const filmWith = (wrong: readonly PracticeFault[]) =>
    ladderSteps.value
      ? { ...USUAL_FILM, range: (ladderSteps.value - 1) * LADDER_DENSITY }
      : filmOf({ ...USUAL_FILM, range: lesson.value?.filmRange ?? FILMS[form.film] }, wrong)

  /** One's own picture as a negative; without one a drawn one is printed. */
  const own = shallowRef<GreyPicture | null>(null)
  const drawn = practiceNegative()
  const ink = computed(() => (ladderSteps.value ? practiceLadder(ladderSteps.value) : (own.value ?? drawn)))
  async function takePicture([file]: File[]): Promise<void> {
    if (!file) return
    try {
      const { preview } = await workOn({ act: 'look', file, mix: null, longestSide: 930 })
      own.value = negativeOfPicture(preview)
    } catch (error) {
      notice.refuse(error, 'the picture')
    }
  }
  return { form, startForm, lessonId, lesson, process, isTuned, definition, choices, traits, options, possible, hidden, hideFaults, conditionsWith, filmWith, ladderSteps, own, ink, takePicture } // prettier-ignore
}
