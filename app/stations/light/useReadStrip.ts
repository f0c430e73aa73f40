import { texts } from './words'
import { addBase, undoBase } from '../../state/actions/light.actions'
import { median } from '@core/quantity/statistics'
import { numberOrNull } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { CoreError } from '@core/errors'
import { baseByEye, baseExposure, USUAL_DIFFERENCE, type BaseExposure } from '@core/light/baseExposure'
import { formatSpan } from '@core/quantity/format'
import { useRecording } from '../../state/useRecording'
import { useWorkroom } from '../../state/workroom.store'
import { useInstruments } from '../../state/instruments.store'
import type { ChartSeries } from '../../kit/useChartFigure'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { useNotice } from '../../state/notice.store'
import { doseText } from './lightWords'
import { markSeconds } from '@core/light/stripProgress'
import { readStrip } from './stripReading'

/** A test strip being read: densities or the eye, the base exposure that follows, and keeping it. */
export function useReadStrip() {
  const [route, router, workroom, instruments, notice] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    useInstruments(),
    useNotice(),
  ]
  /** Readings of one mark: their middle is taken, so that a hair or a fibre has no say. */
  const READINGS = 3

  const sheetId = computed(() => String(route.params.sheetId))
  const one = computed(() => workroom.find(sheetId.value) ?? null)
  const exposed = computed(
    () =>
      one.value?.state.steps.find(
        (step) => step.planned.kind === 'expose' && step.finishedAt !== undefined,
      ) ?? null,
  )
  const seconds = computed(() =>
    one.value?.sheet.strip && exposed.value ? markSeconds(one.value.sheet.strip, exposed.value) : [],
  )
  const { record } = useRecording(() => sheetId.value)

  const way = ref<string | undefined>('density')
  const WAYS = [
    { id: 'density', name: 'densities' },
    { id: 'lightness', name: 'L*' },
    { id: 'eye', name: 'by eye' },
  ]
  const typedRows = ref<string[]>([])
  const white = ref('')
  const difference = ref(String(USUAL_DIFFERENCE))
  const mark = ref<number | null>(null)
  const isByInstrument = ref(false)
  // What was read before is in the fields again.
  watch(
    () => one.value?.state.stripRead,
    (read) => {
      if (!read) return
      typedRows.value = read.densities.map((densities) =>
        densities.map((density) => density.toFixed(3)).join(' '),
      )
      way.value = read.by === 'eye' ? 'eye' : 'density'
      mark.value = read.mark ?? null
    },
    { immediate: true },
  )

  const scale = computed(() => (way.value === 'lightness' ? 'lightness' : 'density'))
  const typed = computed(() => readStrip(typedRows.value, seconds.value, scale.value))
  const allowed = computed(() => {
    const value = numberOrNull(difference.value)
    return value !== null && value > 0 && value < 1 ? value : null
  })
  const found = computed((): { base: BaseExposure | null; problem: string } => {
    if (way.value === 'eye' || allowed.value === null) return { base: null, problem: '' }
    if (!typed.value.readings.some((reading) => reading.densities.length)) return { base: null, problem: '' }
    const paper = white.value.trim()
      ? readStrip([white.value], [1], scale.value).readings[0]?.densities[0]
      : undefined
    try {
      return { base: baseExposure(typed.value.readings, allowed.value, paper), problem: '' }
    } catch (error) {
      if (error instanceof CoreError)
        return { base: null, problem: `${error.refusal.problem} ${error.refusal.remedy}` }
      throw error
    }
  })
  const byEye = computed(() => {
    if (way.value !== 'eye' || mark.value === null) return null
    try {
      return { base: baseByEye(seconds.value, mark.value), problem: '' }
    } catch (error) {
      if (error instanceof CoreError)
        return { base: null, problem: `${error.refusal.problem} ${error.refusal.remedy}` }
      throw error
    }
  })
  const result = computed(() => {
    const eye = byEye.value?.base
    if (eye) return { figure: eye.seconds, low: eye.low, high: eye.high, by: 'eye' as const }
    const base = found.value.base
    return base?.seconds
      ? { figure: base.seconds, low: base.low ?? 0, high: base.high ?? 0, by: 'strip' as const }
      : null
  })
  const REACH = {
    enough: '',
    tooShort: texts.stripTooShortItsLast,
    tooLong: texts.stripStartsTooLateIts,
  } as const
  const trouble = computed(() => {
    const base = found.value.base
    if (!base) return [found.value.problem, byEye.value?.problem ?? ''].filter(Boolean)
    return [
      REACH[base.reach],
      ...(base.reverses ? [texts.longestStepsPrintLighterAgain] : []),
      ...base.outliers.map((at) => texts.stepFarOffCurve({ step: at + 1 })),
    ].filter(Boolean)
  })

  /** One reading of the mark in hand, then on to the next that has none. */
  function take(value: number): void {
    const at = seconds.value.findIndex(
      (_, i) => (typedRows.value[i] ?? '').split(/\s+/).filter(Boolean).length < READINGS,
    )
    if (at < 0) return
    isByInstrument.value = true
    typedRows.value = seconds.value.map((_, i) =>
      i === at ? `${typedRows.value[i] ?? ''} ${value.toFixed(3)}`.trim() : (typedRows.value[i] ?? ''),
    )
  }
  /** The stand-in is shown the strip: it has no eyes, only doses. */
  async function readWhole(): Promise<void> {
    const milliwatts = exposed.value?.milliwattsPerCm2 ?? 4
    instruments.layUnder(
      seconds.value.flatMap((one) => Array.from({ length: READINGS }, () => one * milliwatts)),
    )
    typedRows.value = []
    try {
      for (let n = 0; n < seconds.value.length * READINGS; n++) take(await instruments.measure('density'))
    } catch (error) {
      notice.refuse(error, 'the densitometer')
    }
  }
  const canReadWhole = computed(() => instruments.deviceFor('density') === 'densitometer')

  async function keep(): Promise<void> {
    if (!one.value || !result.value) return
    const { sheet } = one.value
    const by = way.value === 'eye' ? 'eye' : isByInstrument.value ? 'instrument' : 'typed'
    const isRecorded = await record({
      type: 'stripRead',
      by,
      densities: by === 'eye' ? [] : typed.value.readings.map((reading) => [...reading.densities]),
      ...(by === 'eye' && mark.value !== null && { mark: mark.value }),
    })
    if (!isRecorded || !sheet.lightId) return
    try {
      const id = await addBase({
        processId: sheet.process.id,
        choices: sheet.choices,
        ...(sheet.paperId && { paperId: sheet.paperId }),
        lightId: sheet.lightId,
        film: sheet.subject || 'clear film',
        seconds: result.value.figure.value,
        lowSeconds: result.value.low,
        highSeconds: result.value.high,
        ...(result.value.by === 'strip' && allowed.value !== null && { difference: allowed.value }),
        ...(exposed.value?.milliwattsPerCm2 !== undefined && {
          milliwattsPerCm2: exposed.value.milliwattsPerCm2,
        }),
        by: result.value.by,
        sheetId: sheet.id,
        note: '',
      })
      notice.say(`Base exposure saved: ${formatSpan(Math.round(result.value.figure.value))}.`, () =>
        undoBase(id),
      )
      await router.push({ name: 'bases' })
    } catch (error) {
      notice.refuse(error, 'the base exposure')
    }
  }

  const densities = computed(() =>
    typed.value.readings.map((reading) => (reading.densities.length ? median(reading.densities) : null)),
  )
  const series = computed<ChartSeries[]>(() => {
    const base = found.value.base
    if (!base) return []
    const [from, to] = [seconds.value[0] ?? 1, seconds.value.at(-1) ?? 2]
    return [
      { name: 'marks', kind: 'points', points: typed.value.readings.flatMap(({ seconds: x, densities: all }) => all.map((y) => ({ x, y }))) },
      {
        name: 'curve', kind: 'line', colour: 'ember', isDrawnOnly: true,
        points: Array.from({ length: 60 }, (_, i) => from * (to / from) ** (i / 59)).map((x) => ({ x, y: base.densityAt(x) })),
      },
    ] // prettier-ignore
  })

  useMarginNotes(() => {
    const milliwatts = exposed.value?.milliwattsPerCm2
    const notes: MarginNote[] = [
      {
        title: 'Read the strip dry',
        lines: [texts.blacksChangeAsTheyDry],
      },
      {
        title: 'Where to measure',
        lines: [texts.measureUnderClearFilmIn],
      },
    ]
    if (result.value && milliwatts)
      notes.unshift({
        title: 'As a dose',
        lines: [texts.clockCanUseDose({ dose: doseText(result.value.figure.value * milliwatts) })],
      })
    return notes
  })
  return {
    one,
    exposed,
    seconds,
    way,
    WAYS,
    typedRows,
    white,
    difference,
    mark,
    typed,
    found,
    result,
    trouble,
    take,
    readWhole,
    canReadWhole,
    keep,
    densities,
    series,
  }
}
