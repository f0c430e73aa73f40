import { texts } from './words'
import { baseFor } from '@core/light/bases'
import { addBase, undoBase } from '../../state/actions/light.actions'
import { removeCalibration, restoreCalibration } from '../../state/actions/calibration.actions'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { formatSpan } from '@core/quantity/format'
import { chartLayout } from '@core/chart/chart'
import type { Calibration, ChartCheck } from '@core/schema/light'
import { curveAdvice } from '@core/tone/curveAdvice'
import { densityFromLightness } from '@core/tone/density'
import { aimOf, inkOf, printOf, type CurveAim } from '@core/tone/curve'
import { useNow } from '../../state/useNow'
import { useWorkroom } from '../../state/workroom.store'
import { useLights } from '../../state/lights.store'
import { useMarginNotes, type MarginNote } from '../../state/margin.store'
import { dateOf } from '../../words/moments'
import { useNotice } from '../../state/notice.store'
import { useCalibration } from './useCalibration'

/** The step in hand opens automatically; any that is done can be opened again. */
type StepName = 'film' | 'print' | 'read' | 'curve' | 'check'

/** One calibration, step by step: film, print, reading, curve, check. It can be left at any step. */
export function useCalibrationPath() {
  const [route, router, workroom, notice, now, lights] = [
    useRoute(),
    useRouter(),
    useWorkroom(),
    useNotice(),
    useNow(),
    useLights(),
  ]
  const id = () => String(route.params.calibrationId)
  const { one, withCurve, isLoaded, checks, change } = useCalibration(id)
  const calibration = computed(() => one.value?.calibration ?? null)
  const curve = computed(() => one.value?.curve ?? null)
  const chosen = ref<StepName | null>(null)
  const open = computed<StepName>(() => {
    if (chosen.value) return chosen.value
    const stage = one.value?.stage ?? 'film'
    if (stage === 'film' || stage === 'print' || stage === 'read') return stage
    // A curve without a check is shown first.
    return calibration.value?.checks.length ? 'check' : 'curve'
  })
  watch(
    () => one.value?.stage,
    () => (chosen.value = null),
  )

  const moment = () => Date.now()
  async function keepReading(what: Partial<Calibration>): Promise<void> {
    // Checks belong to the reading they were laid through.
    const before = calibration.value
    await change({ ...what, checks: [], readAt: moment() }, 'Reading saved and curve computed.')
    const baseId = await keepBase()
    if (baseId)
      notice.say(texts.readingAndBaseSaved, async () => {
        if (before) await restoreCalibration(before)
        await undoBase(baseId)
      })
    chosen.value = 'curve'
  }
  /** A chart that was read was exposed rightly: its exposure is the base exposure of its combination. */
  async function keepBase(): Promise<string | undefined> {
    const { processId, lightId, paperId, seconds, film, name } = calibration.value ?? {}
    if (!processId || !lightId || !seconds) return undefined
    const known = baseFor(lights.bases, { processId, lightId, paperId, choices: {} })
    if (known && !known.differs.includes('paper')) return undefined
    const light = lights.lightNow(lightId)
    const isSun = workroom.lights.find(({ id }) => id === lightId)?.kind === 'sun'
    return addBase({
      processId,
      choices: {},
      ...(paperId && { paperId }),
      lightId,
      film: film ?? '',
      seconds,
      // What the sun was then is not known now.
      ...(light && !isSun && { milliwattsPerCm2: light.milliwattsPerCm2 }),
      by: 'calibration',
      note: name ?? '',
    })
  }
  const keepCheck = (check: ChartCheck) =>
    change({ checks: [...(calibration.value?.checks ?? []), check] }, 'Check saved.')
  const correct = (index: number) =>
    change(
      {
        checks: (calibration.value?.checks ?? []).map((check, i) =>
          i === index ? { ...check, isUsed: true } : check,
        ),
      },
      texts.curveWasCorrectedWithThis,
    )

  const others = computed(() =>
    withCurve.value
      .filter((other) => other.calibration.id !== id())
      .map(({ calibration: of, curve: its }) => {
        const [print, ink] = [printOf(its), inkOf(its)]
        const points = Array.from({ length: 5 }, (_, i) => ({ tone: i / 4, lightness: print(ink(i / 4)) }))
        return { id: of.id, name: of.name, aim: { name: of.name, points } }
      }),
  )
  const setAim = (aim: CurveAim) => void change({ aim: aim as Calibration['aim'] })

  /** A base exposure that was found since, for the same process and light. */
  const base = computed(() =>
    lights.bases.find(
      (found) =>
        found.processId === calibration.value?.processId && found.lightId === calibration.value.lightId,
    ),
  )
  /** What is known of the film, the print and their circumstances, in one line. */
  const combination = computed(() => {
    const of = calibration.value
    if (!of) return ''
    const paper = workroom.papers.find((one_) => one_.id === of.paperId)?.name
    const light = workroom.lights.find((one_) => one_.id === of.lightId)?.name
    const process = of.processId ? workroom.definitionOf(of.processId).name : undefined
    const exposure = of.seconds !== undefined ? formatSpan(Math.round(of.seconds)) : undefined
    return [process, paper, light && `under ${light}`, of.film, exposure].filter(Boolean).join(' · ')
  })
  const when = (at: number | undefined) => (at === undefined ? '' : dateOf(at, now.now))
  const slug = computed(() =>
    (calibration.value?.name ?? '')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .toLowerCase()
      .slice(0, 60),
  )

  /** Paper around the chart, so that the coat reaches beyond it, mm. */
  const AROUND = 10
  /** The chart as the next sheet: of its size, paper, light and exposure. */
  function planSheet(): void {
    const of = calibration.value
    if (!of) return
    const { width, height } = chartLayout(of.chart)
    void router.push({
      name: 'begin',
      query: {
        ...(of.processId && { process: of.processId }),
        chart: `Chart: ${of.name}`,
        width: String(Math.ceil(width + 2 * AROUND)),
        height: String(Math.ceil(height + 2 * AROUND)),
        ...(of.paperId && { paper: of.paperId }),
        ...(of.lightId && { light: of.lightId }),
        ...(of.seconds !== undefined && { seconds: String(of.seconds) }),
      },
    })
  }

  async function undoLast(): Promise<void> {
    const of = calibration.value
    if (!of) return
    notice.say(`Removed: ${of.name}.`, await removeCalibration(of.id))
    await router.push({ name: 'calibrate' })
  }

  const residualNote = computed((): MarginNote[] => {
    const [of, its] = [calibration.value, curve.value]
    if (!of || !its) return []
    const last = checks.value.at(-1)?.result
    if (!last) return []
    const worst = last.rows.reduce((a, b) =>
      Math.abs(b.read - b.wanted) > Math.abs(a.read - a.wanted) ? b : a,
    )
    const wanted = aimOf(of.aim, its.black, its.white)(worst.tone)
    return [
      {
        title: 'Largest error',
        lines: [
          texts.worstTone({
            tone: Math.round(100 * worst.tone),
            wanted: wanted.toFixed(1),
            read: worst.read.toFixed(1),
            density: densityFromLightness(Math.max(1, worst.read)).toFixed(2),
          }),
        ],
      },
    ]
  })
  useMarginNotes(() => {
    const notes: MarginNote[] = []
    if (one.value?.standing.hasDrifted)
      notes.push({
        title: 'Drift',
        tone: 'caution',
        lines: [texts.lastCheckClearlyWorseThan],
      })
    const isClaimed =
      calibration.value?.by === 'curve' && !calibration.value.checks.some(({ isUsed }) => isUsed)
    if (curve.value && !isClaimed)
      notes.push(
        ...curveAdvice(curve.value).map(({ title, lines, code }) => ({
          title,
          lines,
          ...(code !== 'good' && { tone: 'caution' as const }),
        })),
        ...residualNote.value,
      )
    if (open.value === 'print')
      notes.push({
        title: 'How to print the chart',
        lines: [texts.coatSheetLittleLargerThan, texts.youCanCutOffStrip],
      })
    if (open.value === 'read' || open.value === 'check')
      notes.push({
        title: 'Scanning',
        lines: [texts.scanDryFlatPrintIn],
      })
    return notes
  })
  return {
    now,
    one,
    isLoaded,
    checks,
    change,
    calibration,
    planSheet,
    curve,
    chosen,
    open,
    moment,
    keepReading,
    keepCheck,
    correct,
    others,
    setAim,
    base,
    combination,
    when,
    slug,
    undoLast,
  }
}
