import { expectedLight } from '@core/light/lightNow'
import { stopsFromHighSun } from '@core/light/sunGuess'
import { texts } from './words'
import type { LampHealth } from '@core/light/ageing'
import type { LightHistory } from '@core/light/lightLedger'
import { restoreLight, saveLight } from '../../state/actions/light.actions'
import { measuredAgainst } from '@core/light/ageing'
import { numberOrNull, parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { strengthAtDistance, throughLayers } from '@core/light/distance'
import { exposureForLight } from '@core/light/exposureChange'
import { fitAgeing } from '@core/light/ageing'
import { readingsOf } from '@core/light/lightLedger'
import { digits, formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import type { Light } from '@core/schema/light'
import type { ChartSeries } from '../../kit/useChartFigure'
import { useNotice } from '../../state/notice.store'
import { usePreferences } from '../../state/preferences.store'
import { useAttempt } from '../../state/useAttempt'
import { readFalloffTable, readIrradiance, readShare } from './light.draft'
import { useLights } from '../../state/lights.store'
import { irradianceText } from './lightWords'

/** What a LightPanel is given. */
export interface LightPanelProps {
  history: LightHistory
  health: LampHealth & { from: 'meter' | 'bases' }
  isLit: boolean
}

/** One light: readings, hours, warm-up, distance, and what another distance or a tissue makes of a time. */
export function useLightPanel(props: Readonly<LightPanelProps>) {
  const [lights, notice, preferences] = [useLights(), useNotice(), usePreferences()]
  const light = computed(() => props.history.light)
  const isSun = computed(() => light.value.kind === 'sun')

  /** A lamp beside a clear, high sun, where its output is known. */
  const besideSun = computed(() => {
    const expected = isSun.value ? null : expectedLight(props.history, Date.now())
    return expected && expected.value > 0 ? stopsFromHighSun(expected) : null
  })
  const reading = ref('')
  const hours = ref('')
  const { faults, attempt } = useAttempt()
  /** Runs what a field asks for; a refusal is under the field and what was typed stays. */
  async function told(what: Parameters<typeof lights.tell>[1], said: string): Promise<void> {
    const id = await lights.tell(light.value.id, what)
    notice.say(said, () => lights.undoLast(id))
  }
  const keepReading = (by: 'meter' | 'typed', value?: number) =>
    attempt('reading', async () => {
      const milliwattsPerCm2 = value ?? readIrradiance(reading.value, 'reading')
      const id = await lights.tellReading(light.value.id, milliwattsPerCm2, by, Date.now())
      notice.say(`${light.value.name}: ${irradianceText(milliwattsPerCm2)} saved.`, () => lights.undoLast(id))
      reading.value = ''
    })
  const keepHours = () =>
    attempt('hours', async () => {
      const value = parseQuantity(hours.value, 'time', { field: 'hours', bareUnit: 'h' }) / 3600
      await told({ type: 'hours', hours: value }, `${light.value.name}: ${digits(value)} h so far.`)
      hours.value = ''
    })
  async function change(part: Partial<Light>): Promise<void> {
    const before = light.value
    await saveLight({ ...before, ...part })
    notice.say(`${before.name} saved.`, () => restoreLight(before))
  }

  /** The lamp was not read when it was new, so what it lost before its first reading is not known. */
  const isFirstReadLate = computed(
    () => !!props.health.left && !measuredAgainst(props.health.firstReadAtHours).endsWith('new'),
  )
  const startsAt = ref(String(Math.round((light.value.warmUp?.startsAt ?? 0.55) * 100)))
  const settles = ref(formatSpan(light.value.warmUp?.settlesSeconds ?? 90))
  const keepWarmUp = () =>
    attempt('warmUp', async () => {
      const share = readShare(startsAt.value, 'warm-up')
      await change({
        warmUp: {
          startsAt: Math.min(1, share),
          settlesSeconds: parseQuantity(settles.value, 'time', { field: 'warm-up', bareUnit: 's' }),
        },
      })
    })

  const falloff = ref<string | undefined>(
    light.value.falloff?.kind ?? (light.value.kind === 'lamp' ? 'point' : 'line'),
  )
  const falloffs = [
    { id: 'point', name: 'like a bulb' },
    { id: 'line', name: 'like a tube' },
    { id: 'table', name: 'as measured' },
  ]
  const lineLength = ref(
    light.value.falloff?.kind === 'line' ? String(light.value.falloff.lengthMillimetres) : '600',
  )
  const table = ref(
    light.value.falloff?.kind === 'table'
      ? light.value.falloff.rows.map((row) => `${row.millimetres} mm ${row.strength}`).join('; ')
      : '',
  )
  const distance = ref(light.value.distanceMillimetres ? String(light.value.distanceMillimetres) : '')
  const length = (text: string, field: string) => parseQuantity(text, 'length', { field, bareUnit: 'mm' })
  const readFalloff = (): NonNullable<Light['falloff']> =>
    falloff.value === 'table'
      ? { kind: 'table', rows: readFalloffTable(table.value, 'mm') }
      : falloff.value === 'line'
        ? { kind: 'line', lengthMillimetres: length(lineLength.value, 'length of the tubes') }
        : { kind: 'point' }
  const keepDistance = () =>
    attempt('distance', () =>
      change({ distanceMillimetres: length(distance.value, 'distance'), falloff: readFalloff() }),
    )

  const wanted = ref({
    time: '8 min',
    distance: '',
    transmission: '',
    sheets: '1',
    exponent: String(light.value.schwarzschild ?? 1),
  })
  /** What another distance or something in the light's way makes of a time. */
  const other = computed(() => {
    try {
      const share =
        (wanted.value.distance.trim() && light.value.distanceMillimetres
          ? strengthAtDistance(
              light.value.falloff ?? { kind: 'point' },
              light.value.distanceMillimetres,
              length(wanted.value.distance, 'distance'),
            )
          : 1) *
        throughLayers(
          wanted.value.transmission.trim()
            ? Array.from(
                { length: Math.min(20, Math.max(1, Math.round(numberOrNull(wanted.value.sheets) ?? 1))) },
                () => readShare(wanted.value.transmission, 'tissue'),
              )
            : [],
        )
      const seconds = parseQuantity(wanted.value.time, 'time', { field: 'time', bareUnit: 'min' })
      return {
        figure: exposureForLight(
          seconds,
          share,
          parseNumber(wanted.value.exponent, { field: 'exponent', isPositive: true, example: '1' }),
        ),
        fault: undefined,
      }
    } catch (error) {
      if (error instanceof CoreError) return { figure: null, fault: error.refusal }
      throw error
    }
  })

  const keepExponent = () =>
    attempt('exponent', async () => {
      const exponent = parseNumber(wanted.value.exponent, { field: 'exponent', example: '0.95' })
      if (exponent < 0.5 || exponent > 1.2)
        throw new CoreError({
          code: 'out-of-range',
          field: 'exponent',
          problem: texts.exponentNotPlausible({ exponent }),
          remedy: texts.enterExponentBetween,
        })
      await change({ schwarzschild: exponent })
    })

  /** Readings by hours, and the fitted line. */
  const chart = computed<ChartSeries[]>(() => {
    const { readings } = readingsOf(props.history)
    const fit = fitAgeing(readings)
    const shown = (value: number) => (props.health.from === 'meter' ? value : value * 1000)
    if (!fit || readings.length < 2) return []
    const to = props.health.hours.value
    return [
      { name: props.health.from === 'meter' ? 'readings' : 'base exposures', kind: 'points', points: readings.map((one) => ({ x: one.hours, y: shown(one.strength) })) },
      {
        name: 'fitted line', kind: 'line', colour: 'ember', isDrawnOnly: true,
        points: Array.from({ length: 21 }, (_, i) => ({ x: (to * i) / 20, y: shown(fit.at((to * i) / 20)) })),
      },
    ] // prettier-ignore
  })
  const newTubes = () => told({ type: 'renewed' }, `${light.value.name}: hours and readings start from zero.`)
  return {
    preferences,
    light,
    isSun,
    besideSun,
    reading,
    hours,
    faults,
    told,
    keepReading,
    keepHours,
    isFirstReadLate,
    startsAt,
    settles,
    keepWarmUp,
    falloff,
    falloffs,
    lineLength,
    table,
    distance,
    keepDistance,
    wanted,
    other,
    keepExponent,
    chart,
    newTubes,
    change,
  }
}
