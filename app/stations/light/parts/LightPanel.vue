<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { restoreLight, saveLight } from '../../../state/actions/light.actions'
import { measuredAgainst } from '@core/light/ageing'
import { numberOrNull, parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import type { LampHealth } from '@core/light/ageing'
import { strengthAtDistance, throughLayers } from '@core/light/distance'
import { exposureForLight } from '@core/light/exposureChange'
import { warmAfterSeconds } from '@core/light/lamp'
import { fitAgeing } from '@core/light/ageing'
import { readingsOf, type LightHistory } from '@core/light/lightLedger'
import { digits, formatQuantity, formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import type { Light } from '@core/schema/light'
import TakeReading from '../../../kit/TakeReading.vue'
import ChartFigure, { type ChartSeries } from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useNotice } from '../../../state/notice.store'
import { usePreferences } from '../../../state/preferences.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { falloffText, readFalloffTable, readIrradiance, readShare } from '../light.draft'
import { useLights } from '../../../state/lights.store'
import { irradianceText } from '../lightWords'

/** One light in hand: its ledger, its readings, and what another distance or a tissue would do. */
const props = defineProps<{
  history: LightHistory
  health: LampHealth & { from: 'meter' | 'bases' }
  isLit: boolean
}>()
const [lights, notice, preferences] = [useLights(), useNotice(), usePreferences()]
const light = computed(() => props.history.light)
const isSun = computed(() => light.value.kind === 'sun')

const reading = ref('')
const hours = ref('')
const { faults, attempt } = useAttempt()
/** Runs what a field asks for; a refusal stands under the field and what was typed stays. */
async function told(what: Parameters<typeof lights.tell>[1], said: string): Promise<void> {
  const id = await lights.tell(light.value.id, what)
  notice.say(said, () => lights.takeBack(id))
}
const keepReading = (by: 'meter' | 'typed', value?: number) =>
  attempt('reading', async () => {
    const milliwattsPerCm2 = value ?? readIrradiance(reading.value, 'reading')
    const id = await lights.tellReading(light.value.id, milliwattsPerCm2, by, Date.now())
    notice.say(`${light.value.name}: ${irradianceText(milliwattsPerCm2)} written down.`, () =>
      lights.takeBack(id),
    )
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
  notice.say(`${before.name} is changed.`, () => restoreLight(before))
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
  { id: 'table', name: 'as I measured' },
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
        problem: `${exponent} is no exponent that a coat has.`,
        remedy: 'They lie between 0.5 and 1.2; most coats have 1.',
      })
    await change({ schwarzschild: exponent })
  })

/** Readings by hours, and the line through them. */
const chart = computed<ChartSeries[]>(() => {
  const { readings } = readingsOf(props.history)
  const fit = fitAgeing(readings)
  const shown = (value: number) => (props.health.from === 'meter' ? value : value * 1000)
  if (!fit || readings.length < 2) return []
  const to = props.health.hours.value
  return [
    { name: props.health.from === 'meter' ? 'readings' : 'base exposures', kind: 'points', points: readings.map((one) => ({ x: one.hours, y: shown(one.strength) })) },
    {
      name: 'line through them', kind: 'line', colour: 'ember', isDrawnOnly: true,
      points: Array.from({ length: 21 }, (_, i) => ({ x: (to * i) / 20, y: shown(fit.at((to * i) / 20)) })),
    },
  ] // prettier-ignore
})
const newTubes = () => told({ type: 'renewed' }, `${light.value.name}: hours and readings begin afresh.`)
</script>

<template>
  <article class="LightPanel" :aria-label="light.name">
    <div class="LightPanel-figures">
      <FigureValue
        v-if="!isSun"
        label="hours burnt"
        :figure="health.hours"
        :text="`${digits(Math.round(health.hours.value * 10) / 10)} h`"
      />
      <FigureValue
        v-if="health.left && !isSun"
        :label="measuredAgainst(health.firstReadAtHours)"
        :figure="health.left"
        :text="`${Math.round(health.left.value)} %${health.left.uncertainty ? ` ± ${Math.ceil(health.left.uncertainty)}` : ''}`"
      />
      <p v-if="!isSun" class="LightPanel-next">
        {{
          health.nextCheckHours > 0
            ? `to be read again in ${digits(health.nextCheckHours, 2)} h of light`
            : 'to be read again now'
        }}
        {{
          isFirstReadLate
            ? 'The percentage counts from your first reading. Read new tubes once they have burned in, and it counts from new.'
            : ''
        }}
      </p>
    </div>

    <ChartFigure
      v-if="chart.length"
      :label="`${light.name}, strength by hours`"
      :series="chart"
      x-name="hours"
      :y-name="health.from === 'meter' ? 'mW/cm²' : '1000 ÷ base exposure in s'"
      :y-min="0"
    />

    <div class="LightPanel-acts">
      <template v-if="!isSun">
        <KitButton v-if="!isLit" @click="told({ type: 'lit' }, `${light.name} is lit.`)">
          It is lit now
        </KitButton>
        <KitButton v-else @click="told({ type: 'out' }, `${light.name} is out.`)">It is out</KitButton>
        <KitButton @click="newTubes">New tubes or bulb</KitButton>
      </template>
      <RouterLink v-else :to="{ name: 'sun', query: { light: light.id } }">The day of this sun</RouterLink>
    </div>

    <form class="LightPanel-row" @submit.prevent="keepReading('typed')">
      <QuantityField
        v-model="reading"
        label="Reading at the frame, mW/cm²"
        placeholder="4.82"
        :fault="faults.reading"
        dimension="irradiance"
        unit="mWPerCm2"
      />
      <KitButton type="submit">Write it down</KitButton>
      <TakeReading quantity="irradiance" @read="keepReading('meter', $event)" />
    </form>
    <form v-if="!isSun" class="LightPanel-row" @submit.prevent="keepHours">
      <QuantityField
        v-model="hours"
        label="Hours it has burnt, by its counter"
        placeholder="340"
        :fault="faults.hours"
        dimension="time"
        unit="h"
      />
      <KitButton type="submit">Count from there</KitButton>
    </form>

    <details v-if="!isSun">
      <summary>
        Warm-up and distance
        <span class="es-quiet">
          {{
            light.warmUp
              ? `warm after ${formatSpan(Math.round(warmAfterSeconds(light.warmUp)))}`
              : 'warm-up not said'
          }},
          {{
            light.distanceMillimetres
              ? formatQuantity(light.distanceMillimetres, 'length', {
                  length: preferences.chosen.length,
                  temperature: 'degC',
                })
              : 'distance not said'
          }},
          {{ falloffText(light.falloff) }}
        </span>
      </summary>
      <form class="LightPanel-row" @submit.prevent="keepWarmUp">
        <QuantityField
          v-model="startsAt"
          label="Starts at, % of its full light"
          :fault="faults.warmUp"
          dimension="fraction"
          unit="percent"
        />
        <QuantityField
          v-model="settles"
          label="Two thirds of the rest come in"
          hint="such as 90 s"
          dimension="time"
          unit="s"
        />
        <KitButton type="submit">Keep</KitButton>
      </form>
      <form class="LightPanel-row" @submit.prevent="keepDistance">
        <QuantityField
          v-model="distance"
          label="Lamp to paper, mm"
          placeholder="150"
          :fault="faults.distance"
          dimension="length"
          unit="mm"
        />
        <ChoiceRow v-model="falloff" label="It falls off" :options="falloffs" />
        <QuantityField
          v-if="falloff === 'line'"
          v-model="lineLength"
          label="Length of the tubes, mm"
          dimension="length"
          unit="mm"
        />
        <TextField
          v-if="falloff === 'table'"
          v-model="table"
          label="Distances and readings"
          placeholder="150 mm 4.8; 300 mm 2.1"
        />
        <KitButton type="submit">Keep</KitButton>
      </form>
    </details>

    <details>
      <summary>Another distance, a tissue, an interleaf film</summary>
      <div class="LightPanel-row">
        <QuantityField v-model="wanted.time" label="Time that was right" dimension="time" unit="min" />
        <QuantityField
          v-if="!isSun"
          v-model="wanted.distance"
          label="New distance, mm"
          :placeholder="
            light.distanceMillimetres ? String(light.distanceMillimetres) : 'say the present one first'
          "
          dimension="length"
          unit="mm"
        />
        <QuantityField
          v-model="wanted.transmission"
          label="A sheet lets through, %"
          placeholder="60"
          dimension="fraction"
          unit="percent"
        />
        <TextField v-model="wanted.sheets" label="Sheets of it" />
        <TextField
          v-model="wanted.exponent"
          label="Schwarzschild exponent"
          :fault="faults.exponent"
          hint="1: light and time stand for each other"
        />
        <KitButton @click="keepExponent">Keep the exponent for this light</KitButton>
      </div>
      <p v-if="other.fault" role="alert" class="LightPanel-fault">
        {{ other.fault.problem }} {{ other.fault.remedy }}
      </p>
      <FigureValue
        v-if="other.figure"
        label="time then"
        :figure="other.figure"
        :text="formatSpan(Math.round(other.figure.value))"
      />
    </details>
  </article>
</template>

<style scoped>
.LightPanel {
  display: grid;
  gap: var(--es-space-5);
}

.LightPanel-figures,
.LightPanel-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
  align-items: end;
}

.LightPanel-next {
  color: var(--es-quiet);
}

.LightPanel-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}

.LightPanel-row > .TextField {
  flex: 0 1 280px;
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}

.LightPanel-fault {
  color: var(--es-ember);
}
</style>
