import { texts } from './words'
import { numberOrNull, writtenNumber } from '@core/quantity/number'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { chartLayout, chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { Refusal } from '@core/errors'
import { CoreError } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useLights } from '../../state/lights.store'
import { useMarginNotes } from '../../state/margin.store'
import { dateOf } from '../../words/moments'
import { useNotice } from '../../state/notice.store'
import { beginCalibration } from '../../state/actions/calibration.actions'
import { useCalibrations } from './useCalibrations'
import type { ImportedCurve } from './useCurveImport'

/** Calibrations with where they stand, and a new one begun. */
export function useCalibratePage() {
  const [workroom, lights, notice, now, router] = [
    useWorkroom(),
    useLights(),
    useNotice(),
    useNow(),
    useRouter(),
  ]
  const { all, isLoaded } = useCalibrations()
  /** What is made: a chart, or a curve from elsewhere. */
  const creating = ref<'chart' | 'curve' | null>(null)
  const isBeginning = computed(() => creating.value !== null)
  const imported = shallowRef<ImportedCurve | null>(null)
  const options = (list: readonly { id: string; name: string }[]) =>
    list.map(({ id, name }) => ({ id, name }))

  const name = ref('')
  const processId = ref(workroom.sheets[0]?.sheet.process.id ?? workroom.allProcesses[0]?.id ?? '')
  const paperId = ref('')
  const lightId = ref(workroom.lights[0]?.id ?? '')
  const film = ref('')
  const exposure = ref('')
  const steps = ref<string | undefined>('31')
  const repeats = ref<string | undefined>('2')
  const scattered = ref<string | undefined>('scattered')
  const strip = ref<string | undefined>('with')

  const base = computed(() =>
    lights.bases.find(
      (one) =>
        one.processId === processId.value &&
        one.lightId === lightId.value &&
        (!paperId.value || !one.paperId || one.paperId === paperId.value),
    ),
  )
  watch(base, (one) => (exposure.value = one ? formatSpan(Math.round(one.seconds)) : ''), { immediate: true })
  const ownSteps = ref('')
  const chart = computed<ChartPlan>(() => ({
    steps: (steps.value === 'own' ? numberOrNull(ownSteps.value) : writtenNumber(steps.value)) ?? Number.NaN,
    repeats: writtenNumber(repeats.value),
    isScattered: scattered.value === 'scattered',
    hasStrip: strip.value === 'with',
    // Another scattering for every calibration, so that no paper fault falls on the same tones twice.
    seed: all.value.length % 32,
    tag: 0,
  }))
  const drawn = computed((): { said: string; fault?: Refusal } => {
    try {
      const { width, height } = chartLayout(chart.value)
      return {
        said: `${chartPlaces(chart.value).length} patches on ${Math.round(width)} × ${Math.round(height)} mm`,
      }
    } catch (error) {
      if (error instanceof CoreError) return { said: '', fault: error.refusal }
      throw error
    }
  })
  const exposureFault = ref<Refusal | undefined>()

  async function begin(): Promise<void> {
    exposureFault.value = undefined
    try {
      const seconds = exposure.value.trim()
        ? parseQuantity(exposure.value, 'time', { field: 'base exposure', bareUnit: 'min' })
        : undefined
      const id = await beginCalibration({
        name:
          name.value.trim() ||
          (creating.value === 'curve' && imported.value?.title) ||
          `${workroom.definitionOf(processId.value).name}, ${dateOf(now.now, now.now)}`,
        chart: chart.value,
        film: film.value.trim(),
        ...(creating.value === 'curve' && imported.value && { patches: imported.value.patches }),
        ...(processId.value && { processId: processId.value }),
        ...(paperId.value && { paperId: paperId.value }),
        ...(lightId.value && { lightId: lightId.value }),
        ...(seconds !== undefined && { seconds }),
      })
      await router.push({ name: 'calibration', params: { calibrationId: id } })
    } catch (error) {
      if (error instanceof CoreError) exposureFault.value = error.refusal
      else notice.refuse(error, 'the calibration')
    }
  }

  useMarginNotes(() => [
    {
      title: 'What calibration does',
      lines: [texts.youPrintAndReadChart],
    },
    {
      title: 'What a curve applies to',
      lines: [texts.curveAppliesItsProcessPaper],
    },
    ...(base.value || !isBeginning.value
      ? []
      : [
          {
            title: 'Find the base exposure first',
            tone: 'caution' as const,
            lines: [texts.noBaseExposureSavedFor2],
          },
        ]),
  ])
  return {
    workroom,
    now,
    all,
    isLoaded,
    creating,
    isBeginning,
    imported,
    options,
    name,
    processId,
    paperId,
    lightId,
    film,
    exposure,
    steps,
    repeats,
    scattered,
    strip,
    base,
    ownSteps,
    drawn,
    exposureFault,
    begin,
  }
}
