<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { CoreError, type Refusal } from '@core/errors'
import { expectedLight, sunSceneOf } from '@core/light/lightNow'
import { digits, formatSpan } from '@core/quantity/format'
import type { Figure } from '@core/quantity/figure'
import { Light } from '@core/record/light'
import { cloudFromUvIndex, SKIES, type SkyName } from '@core/sun/cloud'
import { bestWindow, doneAt, lightAt, sunCurve, sunTimes } from '@core/sun/day'
import { sunPosition } from '@core/sun/position'
import { places } from '@library/index'
import { db } from '../data/db'
import { useNow } from '../data/useNow'
import { useWorkroom } from '../data/workroom.store'
import ChartFigure, { type ChartSeries } from '../shell/ChartFigure.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import FigureValue from '../shell/FigureValue.vue'
import { useMarginNotes } from '../shell/margin.store'
import { dayOf, timeOfDay } from '../shell/moments'
import { useNotice } from '../shell/notice.store'
import TextField from '../shell/TextField.vue'
import { placeText, readPlace, readPositive } from './lightDraft'
import LightNav from './LightNav.vue'
import { useLights } from './lights.store'
import { irradianceText, skyText } from './lightWords'

const [route, workroom, lights, now, notice] = [useRoute(), useWorkroom(), useLights(), useNow(), useNotice()]
const DAY = 86_400_000

const suns = computed(() => workroom.lights.filter((light) => light.kind === 'sun'))
const sunId = ref(typeof route.query.light === 'string' ? route.query.light : '')
const light = computed(() => suns.value.find((one) => one.id === sunId.value) ?? suns.value[0] ?? null)

// --- where, and under which sky
const placeName = ref('')
const coordinates = ref('')
const altitude = ref('')
const faults = ref<Record<string, Refusal | undefined>>({})
watch(
  () => light.value?.id,
  () => {
    const place = light.value?.place
    placeName.value = place?.name ?? ''
    coordinates.value = place ? placeText(place) : ''
    altitude.value = place ? String(place.altitudeMetres) : ''
  },
  { immediate: true },
)
watch(placeName, (name) => {
  const known = places.find((one) => one.name === name)
  if (!known || name === light.value?.place?.name) return
  coordinates.value = placeText(known)
  altitude.value = String(known.altitudeMetres)
})
async function attempt(field: string, work: () => Promise<void>): Promise<void> {
  faults.value = { ...faults.value, [field]: undefined }
  try {
    await work()
  } catch (error) {
    if (error instanceof CoreError) faults.value = { ...faults.value, [field]: error.refusal }
    else notice.refuse(error, field)
  }
}
async function change(part: Partial<Light>): Promise<void> {
  const before = light.value
  const fresh: Light = before ?? { id: uuid(), name: 'the sun', kind: 'sun', note: '', changedAt: Date.now() }
  await db.lights.put(Light.parse({ ...fresh, ...part, changedAt: Date.now() }))
  if (before) notice.say(`${before.name} is changed.`, () => void db.lights.put(before))
}
/** The sky is kept with its light, and in the ledger, so that a frame that is out is counted under each sky it had. */
async function saySky(sky: Omit<NonNullable<Light['sky']>, 'at'>): Promise<void> {
  const one = light.value
  if (!one) return
  await lights.tell(one.id, { type: 'sky', share: sky.share })
  await change({ sky: { ...sky, at: Date.now() } })
}
const keepPlace = () =>
  attempt('place', async () => {
    const metres = altitude.value.trim() ? Number(altitude.value.replace(/[^\d.-]/g, '')) : 0
    if (!Number.isFinite(metres) || metres < -500 || metres > 6000)
      throw new CoreError({
        code: 'out-of-range',
        field: 'altitude',
        problem: `“${altitude.value}” is no height to work at.`,
        remedy: 'Write metres above the sea, from −500 to 6000.',
      })
    const { latitude, longitude } = readPlace(coordinates.value)
    await change({ place: { name: placeName.value.trim(), latitude, longitude, altitudeMetres: metres } })
  })
const sky = computed<string | undefined>({
  get: () => {
    const said = light.value?.sky
    return said && now.now - said.at < DAY / 4 && typeof said.by === 'string' ? said.by : undefined
  },
  set: (id) => {
    const one = SKIES.find((other) => other.id === id)
    if (one) void saySky({ share: one.share, factor: one.factor, by: id as SkyName })
  },
})
const uvIndex = ref('')
const keepIndex = () =>
  attempt('uvIndex', async () => {
    const place = light.value?.place
    if (!place) return
    const index = readPositive(uvIndex.value, 'UV index', 'Write the forecast, such as 4.5.')
    const figure = cloudFromUvIndex(index, sunPosition(place, Date.now()).zenith)
    await saySky({ share: figure.value, factor: 1 + (figure.uncertainty ?? 0.3), by: { uvIndex: index } })
    uvIndex.value = ''
  })
const facing = computed<string | undefined>({
  get: () => light.value?.facing ?? 'flat',
  set: (id) => void change({ facing: id === 'sun' ? 'sun' : 'flat' }),
})

// --- the day
const dayStart = ref(new Date(now.now).setHours(0, 0, 0, 0))
const goDay = (by: number) =>
  (dayStart.value = new Date(dayStart.value + by * DAY + DAY / 2).setHours(0, 0, 0, 0))
const date = ref('')
const goDate = () =>
  attempt('date', async () => {
    const at = Date.parse(`${date.value.trim()}T12:00`)
    if (!Number.isFinite(at))
      throw new CoreError({
        code: 'unreadable',
        field: 'date',
        problem: `“${date.value}” is not a date.`,
        remedy: 'Write it like 2026-06-21.',
      })
    dayStart.value = new Date(at).setHours(0, 0, 0, 0)
  })
const isToday = computed(() => lights.minute >= dayStart.value && lights.minute < dayStart.value + DAY)
const history = computed(() => lights.history(light.value?.id))
const scene = computed(
  () => history.value && sunSceneOf(history.value, isToday.value ? lights.minute : dayStart.value + DAY / 2),
)
const curve = computed(() => scene.value && sunCurve(scene.value.scene, dayStart.value, dayStart.value + DAY))
const times = computed(() => light.value?.place && sunTimes(light.value.place, dayStart.value))
const isUpAtNoon = computed(() => curve.value && times.value && lightAt(curve.value, times.value.highest) > 0)
const expected = computed(() => history.value && expectedLight(history.value, lights.minute))

// --- what a frame needs
const typedDose = ref('')
const base = computed(
  () =>
    lights.bases
      .filter((one) => one.lightId === light.value?.id && one.milliwattsPerCm2)
      .sort((a, b) => b.at - a.at)[0],
)
/** From what is typed, a base exposure under this sun, or the usual time at noon of this day: the first that is known. */
const dose = computed<{ value: number; says: string } | null>(() => {
  if (typedDose.value.trim()) {
    const value = Number(typedDose.value.replace(',', '.').replace(/[^\d.]/g, ''))
    return value > 0 ? { value, says: 'as typed' } : null
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
        says: `${formatSpan(seconds)} at this day’s noon, until a base exposure is found`,
      }
    : null
})
const best = computed(() => (curve.value && dose.value ? bestWindow(curve.value, dose.value.value) : null))
const outAt = ref('')
/** When a frame that is put out at the time in hand will have its dose, and how far that may be out. */
const finish = computed(() => {
  if (!curve.value || !dose.value || !scene.value) return null
  const typed = /^(\d{1,2})[:.](\d{2})$/.exec(outAt.value.trim())
  const from = typed
    ? new Date(dayStart.value).setHours(Number(typed[1]), Number(typed[2]), 0, 0)
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
      words: 'the time in which the light of the day adds up to the dose',
      formula: '∫E dt = H',
      inputs: [
        {
          name: 'dose wanted',
          symbol: 'H',
          value: dose.value?.value ?? 0,
          unit: 'mJ/cm²',
          standing: 'yours',
        },
        {
          name: 'light when it is put out',
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
      leavesOut: 'what the sky does meanwhile; the interval is left one time in three',
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

useMarginNotes(() => [
  {
    title: 'How sure this is',
    lines: scene.value
      ? [
          `Two times in three the light lies within a factor of ${digits(Math.exp(scene.value.correction.uncertainty ?? 0), 2)} of this, either way. The sky: ${skyText(light.value?.sky)}.`,
          'Each reading of a meter under this sun, and each exposure that a meter counts, makes the model yours.',
        ]
      : ['Say where the frame is put out; nothing leaves this machine.'],
  },
  {
    title: 'The sky changes',
    lines: [
      'Say it again when it does; what was said six hours ago is not believed any more.',
      'A forecast of the UV index for the hour says it better than the eye.',
    ],
  },
  {
    title: 'Glass and wind',
    lines: [
      'Clips and glass keep things where they lie. Cover the frame while carrying it; the clock starts when the cover comes off.',
    ],
  },
])
</script>

<template>
  <section class="SunPage">
    <header>
      <p class="es-kicker">{{ light ? light.name : 'Printing out of doors' }}</p>
      <h1>The sun, {{ dayOf(dayStart) }}</h1>
      <p v-if="times" class="es-quiet">
        <template v-if="times.rises && times.sets">
          up {{ timeOfDay(times.rises) }}, down {{ timeOfDay(times.sets) }}
        </template>
        <template v-else>{{ isUpAtNoon ? 'the sun does not set' : 'the sun does not rise' }}</template>
      </p>
      <LightNav here="sun" />
    </header>
    <ChoiceRow v-if="suns.length > 1" v-model="sunId" label="Which window or place" :options="suns" />

    <template v-if="curve && times && light">
      <div class="SunPage-days">
        <button type="button" @click="goDay(-1)">The day before</button>
        <button type="button" @click="goDay(1)">The day after</button>
        <form @submit.prevent="goDate">
          <TextField v-model="date" label="Another day" placeholder="2026-06-21" :fault="faults.date" />
        </form>
      </div>
      <ChartFigure
        :label="`Light on the frame, ${dayOf(dayStart)}`"
        :series="series"
        x-name="time of day"
        y-name="mW/cm², 350 to 420 nm"
        :x-text="hourText"
        :y-text="(y) => digits(y, 2)"
        :x-ticks="[3, 6, 9, 12, 15, 18, 21]"
        :y-min="0"
        :x-min="0"
        :x-max="24"
        :band="best ? { from: asHour(best.from), to: asHour(best.to) } : null"
        :marks="isToday ? [{ x: asHour(lights.minute), name: 'now' }] : []"
      />
      <div class="SunPage-answers">
        <FigureValue
          v-if="isToday && expected"
          label="light now"
          :figure="expected"
          :text="irradianceText(expected.value)"
        />
        <p v-if="best">
          <strong>{{ timeOfDay(best.from) }} to {{ timeOfDay(best.to) }}</strong>
          <span>
            best to put it out; {{ formatSpan(Math.round(best.seconds)) }} at {{ timeOfDay(best.at) }}
          </span>
        </p>
        <p v-else-if="dose">
          <strong>no time</strong>
          <span>this day has not light enough for one print</span>
        </p>
        <template v-if="finish && finishFigure && finish.at">
          <FigureValue
            label="it will take"
            :figure="finishFigure"
            :text="formatSpan(Math.round(finishFigure.value))"
          />
          <p>
            <strong>{{ timeOfDay(finish.at) }}</strong>
            <span>
              done, if put out {{ timeOfDay(finish.from) }}; between
              {{ finish.early ? timeOfDay(finish.early) : 'dusk' }} and
              {{ finish.late ? timeOfDay(finish.late) : 'not today' }}
            </span>
          </p>
        </template>
        <p v-else-if="finish && dose">
          <strong>not today</strong>
          <span>put out {{ timeOfDay(finish.from) }}, it will not have its dose before dark</span>
        </p>
      </div>
      <div class="SunPage-row">
        <TextField
          v-model="outAt"
          label="Put out at"
          :placeholder="finish ? timeOfDay(finish.from) : '12:30'"
        />
        <TextField
          v-model="typedDose"
          label="Dose it needs, mJ/cm²"
          :placeholder="dose ? String(Math.round(dose.value)) : ''"
          :hint="dose?.says ?? ''"
        />
      </div>
    </template>

    <ChoiceRow v-if="light?.place" v-model="sky" label="The sky now" :options="SKIES" />
    <form v-if="light?.place" class="SunPage-row" @submit.prevent="keepIndex">
      <TextField
        v-model="uvIndex"
        label="Or the UV index forecast for now"
        placeholder="4.5"
        :fault="faults.uvIndex"
        :hint="skyText(light.sky)"
      />
      <button type="submit">Take the sky from it</button>
    </form>
    <ChoiceRow
      v-if="light?.place"
      v-model="facing"
      label="The frame lies"
      :options="[
        { id: 'flat', name: 'flat' },
        { id: 'sun', name: 'facing the sun' },
      ]"
    />
    <form class="SunPage-row" @submit.prevent="keepPlace">
      <TextField
        v-model="placeName"
        label="Place"
        :options="places.map((one) => one.name)"
        placeholder="pick one, or its name"
      />
      <TextField
        v-model="coordinates"
        label="Latitude, longitude"
        placeholder="52.09 N, 5.12 E"
        :fault="faults.place"
      />
      <TextField v-model="altitude" label="Height above the sea, m" placeholder="0" />
      <button type="submit">{{ light?.place ? 'Change the place' : 'The frame is put out here' }}</button>
    </form>
  </section>
</template>

<style scoped>
.SunPage {
  display: grid;
  gap: 14px;
  max-width: 880px;
}

header {
  display: grid;
  gap: 10px;
}

.SunPage-days,
.SunPage-row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: center;
}

.SunPage-answers {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 34px;
}

.SunPage-answers p {
  display: grid;
  max-width: 20em;
}

.SunPage-answers strong {
  font-size: 22px;
  font-weight: 400;
}

.SunPage-answers span {
  color: var(--es-quiet);
  font-size: 14px;
}

button {
  padding: 9px 14px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

button:hover {
  border-color: var(--es-ember);
}
</style>
