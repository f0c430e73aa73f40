import { texts } from './words'
import type { ReadOfChart } from './chartReading'
import type FileChoice from '../../kit/FileChoice.vue'
import { parseQuantity } from '@core/quantity/parse'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { readReadings } from '@core/formats/chartText'
import { laidOutByName, readingsOf } from '@core/calibration/calibration'
import type { ScanScale } from '@core/calibration/curveError'
import { chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { ChartScan } from '@core/scan/chartScan'
import type { Anchor } from '@core/scan/response'
import { refusalOfWork, workOn } from '../../workers/negativeWork'
import { readTyped, wrongCount, type ChartReading } from './chartReading'

/** What a ReadChart is given. */
export interface ReadChartProps {
  plan: ChartPlan
}

/** Readings of a printed chart from a scan, typed, from a file or from the instrument, and what is wrong with them. */
export function useReadChart(
  props: Readonly<ReadChartProps>,
  emit: (event: 'read', found: ReadOfChart | null) => void,
) {
  const WAYS = [
    { id: 'scan', name: 'a scan or photo' },
    { id: 'typed', name: 'by hand' },
    { id: 'file', name: 'a file of readings' },
  ] as const
  const way = ref<string | undefined>('scan')
  const scale = ref<string | undefined>('density')
  const typed = ref('')
  const isByInstrument = ref(false)
  const white = ref('0.08')
  const black = ref('')
  const tablet = shallowRef<Anchor[] | null>(null)
  /** Densities of a tablet beside the chart in its picture. */
  const beside = shallowRef<number[] | null>(null)
  const lastFile = shallowRef<File | null>(null)
  const scan = shallowRef<ChartScan | null>(null)
  const fromFile = shallowRef<ChartReading[] | null>(null)
  const fault = ref<Refusal | null>(null)
  const isReading = ref(false)
  const input = useTemplateRef<InstanceType<typeof FileChoice>>('input')

  const number = (text: string) => {
    try {
      return parseQuantity(text, 'opticalDensity', { field: 'density', bareUnit: 'D' })
    } catch {
      return Number.NaN
    }
  }
  const whiteFault = computed<Refusal | undefined>(() =>
    number(white.value) >= -0.05 && number(white.value) < 2.5
      ? undefined
      : {
          code: 'unreadable',
          field: 'white',
          problem: texts.thisNotPlausibleDensityFor,
          remedy: texts.enterPaperWhiteDensity,
        },
  )
  const blackFault = computed<Refusal | undefined>(() =>
    !black.value.trim() || (number(black.value) > number(white.value) + 0.2 && number(black.value) < 6)
      ? undefined
      : {
          code: 'unreadable',
          field: 'black',
          problem: texts.thisBlackNotDarkerThan,
          remedy: texts.enterDensityPrintUnderClear,
        },
  )
  const byHand = computed(() =>
    readTyped(typed.value, props.plan, scale.value === 'lightness' ? 'lightness' : 'density'),
  )
  const next = computed(() => typed.value.split(/[\s;]+/).filter(Boolean).length)
  const shown = computed(() => {
    if (way.value === 'scan') {
      if (!scan.value || (whiteFault.value && !tablet.value && !scan.value.tablet)) return null
      const blackDensity = black.value.trim() && !blackFault.value ? number(black.value) : undefined
      return readingsOf(scan.value, {
        whiteDensity: number(white.value),
        blackDensity,
        tablet: tablet.value ?? undefined,
      })
    }
    return way.value === 'typed' ? byHand.value.readings : fromFile.value
  })
  watch(shown, (readings) =>
    emit(
      'read',
      readings && {
        readings,
        by:
          way.value === 'scan'
            ? 'scan'
            : way.value === 'file'
              ? 'file'
              : isByInstrument.value
                ? 'instrument'
                : 'typed',
        ...(way.value === 'scan' && scan.value && { scale: scaleOfScan(scan.value) }),
        ...(way.value === 'scan' &&
          !tablet.value &&
          !scan.value?.tablet &&
          !whiteFault.value && { whiteDensity: number(white.value) }),
      },
    ),
  )
  function scaleOfScan(of: ChartScan): ScanScale {
    const hasBlack = !!black.value.trim() && !blackFault.value
    return {
      by: of.tablet || tablet.value ? 'tablet' : hasBlack ? 'black' : 'white',
      isByCamera: of.warnings.includes('by-camera'),
      isGlared: of.warnings.includes('glare'),
    }
  }
  const mapped = computed(() => {
    if (way.value === 'scan' && scan.value)
      return scan.value.patches.map((patch, i) => ({
        density: shown.value?.[i]?.density ?? null,
        damage: patch.damage,
      }))
    const readings = shown.value
    return readings?.length === chartPlaces(props.plan).length ? readings : undefined
  })

  async function take([file]: File[]): Promise<void> {
    if (!file) return
    fault.value = null
    isReading.value = true
    // What an earlier file held is no reading of this one.
    if (way.value === 'file') fromFile.value = null
    else [scan.value, lastFile.value] = [null, file]
    try {
      if (way.value === 'file') fromFile.value = fileReadings(await file.text())
      else scan.value = await scanned(file)
    } catch (error) {
      fault.value = refusalOfWork(error)
    } finally {
      isReading.value = false
    }
  }
  // The tablet is looked for in the picture that was chosen already.
  watch(beside, () => lastFile.value && void take([lastFile.value]))
  async function scanned(file: File): Promise<ChartScan> {
    const read = await workOn({ act: 'scan', file, tablet: beside.value })
    const found = read.plan
    const differs = (Object.keys(found) as (keyof ChartPlan)[]).some((key) => found[key] !== props.plan[key])
    if (differs)
      throw new CoreError({
        code: 'other-chart',
        field: 'the scan',
        problem: texts.differentChart({
          tones: found.steps,
          repeats: found.repeats,
          curve: found.tag ?? null,
        }),
        remedy: props.plan.tag
          ? texts.scanCheckChartMarked({ tag: props.plan.tag })
          : texts.scanChartThatWasMade,
      })
    return read
  }
  function fileReadings(text: string): ChartReading[] {
    const rows = readReadings(text, scale.value === 'lightness' ? 'lightness' : 'density')
    const readings = laidOutByName(props.plan, rows)
    if (!readings) throw wrongCount(rows.length, props.plan)
    return readings
  }
  function takeReading(value: number): void {
    isByInstrument.value = true
    typed.value = `${typed.value.trim()} ${value.toFixed(3)}`.trim()
  }
  return {
    WAYS,
    way,
    scale,
    typed,
    white,
    black,
    tablet,
    beside,
    scan,
    fault,
    isReading,
    input,
    whiteFault,
    blackFault,
    byHand,
    next,
    mapped,
    take,
    takeReading,
  }
}
