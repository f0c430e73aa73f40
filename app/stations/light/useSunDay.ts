import { texts } from './words'
import { computed, ref } from 'vue'
import { expectedLight, sunSceneOf } from '@core/light/lightNow'
import { formatSpan } from '@core/quantity/format'
import type { Figure } from '@core/quantity/figure'
import type { Light } from '@core/schema/light'
import { bestWindow, doneAt, lightAt, sunCurve, sunTimes } from '@core/sun/day'
import type { ChartSeries } from '../../kit/useChartFigure'
import { useNow } from '../../state/useNow'
import { dayOf } from '../../words/moments'
import { readClock, readDose } from './light.draft'
import { useLights } from '../../state/lights.store'

const DAY = 86_400_000

/** One day of a sun at its place: its light, the best window, and when a frame that is put out will have its dose. */
export function useSunDay(light: { readonly value: Light | null }) {
  const [lights, now] = [useLights(), useNow()]
  const dayStart = ref(new Date(now.now).setHours(0, 0, 0, 0))
  const goDay = (by: number) =>
    (dayStart.value = new Date(dayStart.value + by * DAY + DAY / 2).setHours(0, 0, 0, 0))
  const isToday = computed(() => lights.minute >= dayStart.value && lights.minute < dayStart.value + DAY)
  const history = computed(() => lights.history(light.value?.id))
  const scene = computed(
    () =>
      history.value && sunSceneOf(history.value, isToday.value ? lights.minute : dayStart.value + DAY / 2),
  )
  const curve = computed(
    () => scene.value && sunCurve(scene.value.scene, dayStart.value, dayStart.value + DAY),
  )
  const times = computed(() => light.value?.place && sunTimes(light.value.place, dayStart.value))
  const isUpAtNoon = computed(
    () => curve.value && times.value && lightAt(curve.value, times.value.highest) > 0,
  )
  const expected = computed(() => history.value && expectedLight(history.value, lights.minute))

  const typedDose = ref('')
  const doseFault = computed(() => (typedDose.value.trim() ? readDose(typedDose.value).fault : undefined))
  const base = computed(
    () =>
      lights.bases
        .filter((one) => one.lightId === light.value?.id && one.milliwattsPerCm2)
        .sort((a, b) => b.at - a.at)[0],
  )
  /** From what is typed, a base exposure under this sun, or the usual time at noon of this day: the first that is known. */
  const dose = computed<{ value: number; says: string } | null>(() => {
    if (typedDose.value.trim()) {
      const { value } = readDose(typedDose.value)
      return value ? { value, says: 'as typed' } : null
    }
    if (base.value?.milliwattsPerCm2)
      return {
        value: base.value.seconds * base.value.milliwattsPerCm2,
        says: `base exposure of ${dayOf(base.value.at)}`,
      }
    const seconds = light.value?.usualSeconds ?? 600
    const noon = curve.value && times.value ? lightAt(curve.value, times.value.highest) : 0
    return noon > 0
      ? {
          value: seconds * noon,
          says: texts.timeAtNoonAsFirstGuess({ time: formatSpan(seconds) }),
        }
      : null
  })
  const best = computed(() => (curve.value && dose.value ? bestWindow(curve.value, dose.value.value) : null))
  const outAt = ref('')
  const putOut = computed(() => readClock(outAt.value))
  /** When a frame that is put out at the time in hand will have its dose, and how far that may be out. */
  const finish = computed(() => {
    if (!curve.value || !dose.value || !scene.value) return null
    const { clock } = putOut.value
    const from = clock
      ? new Date(dayStart.value).setHours(clock.hours, clock.minutes, 0, 0)
      : isToday.value && lightAt(curve.value, lights.minute) > 0.02
        ? lights.minute
        : (best.value?.at ?? dayStart.value + DAY / 2)
    const spread = Math.exp(scene.value.correction.uncertainty ?? 0.3)
    const [day, needs] = [curve.value, dose.value.value]
    const [at, early, late] = [1, 1 / spread, spread].map((factor) => doneAt(day, from, needs * factor))
    return { from, at: at ?? null, early: early ?? null, late: late ?? null }
  })
  const finishFigure = computed<Figure | null>(() => {
    const { at, from, early, late } = finish.value ?? {}
    if (!at || from === undefined) return null
    return {
      value: (at - from) / 1000,
      unit: 's',
      ...(early && late && { uncertainty: (late - early) / 2000 }),
      working: {
        words: 'the time in which the daylight adds up to the dose',
        formula: '∫E dt = H',
        inputs: [
          {
            name: 'dose needed',
            symbol: 'H',
            value: dose.value?.value ?? 0,
            unit: 'mJ/cm²',
            standing: 'yours',
          },
          {
            name: 'light at the start',
            symbol: 'E',
            value: curve.value ? lightAt(curve.value, from) : 0,
            unit: 'mW/cm²',
            standing: 'memory',
          },
          {
            name: 'your own results',
            symbol: 'k',
            value: scene.value?.correction.value ?? 1,
            unit: '×',
            standing: 'yours',
          },
        ],
        standing: 'memory',
        source: expected.value?.working.source ?? '',
        leavesOut: texts.changesSkyOneTimeIn,
      },
    }
  })

  const series = computed<ChartSeries[]>(() => {
    if (!curve.value || !scene.value) return []
    const { milliwattsPerCm2: row, from, stepMilliseconds } = curve.value
    const hours = (i: number) => (from + i * stepMilliseconds - dayStart.value) / 3_600_000
    const all = [...row].map((y, i) => ({ x: hours(i), y })).filter((_, i) => i % 5 === 0)
    const spread = Math.exp(scene.value.correction.uncertainty ?? 0)
    const line = (name: string, factor: number) => ({
      name, kind: 'line' as const, colour: 'quiet' as const, dashed: true, isDrawnOnly: true,
      points: all.map(({ x, y }) => ({ x, y: y * factor })),
    }) // prettier-ignore
    return [
      { name: 'light on the frame', kind: 'line', isDrawnOnly: true, points: all },
      line('high', spread),
      line('low', 1 / spread),
      {
        name: 'on the hour',
        kind: 'points',
        colour: 'ink',
        points: all.filter(({ x, y }) => Number.isInteger(x) && y > 0.01),
      },
    ]
  })
  const hourText = (x: number) =>
    `${String(Math.floor(x + 1e-6)).padStart(2, '0')}:${String(Math.round((x % 1) * 60) % 60).padStart(2, '0')}`
  const asHour = (at: number) => (at - dayStart.value) / 3_600_000
  return {
    dayStart,
    goDay,
    isToday,
    scene,
    curve,
    times,
    isUpAtNoon,
    expected,
    typedDose,
    doseFault,
    dose,
    best,
    outAt,
    putOut,
    finish,
    finishFigure,
    series,
    hourText,
    asHour,
  }
}
