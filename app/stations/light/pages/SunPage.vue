<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { CoreError } from '@core/errors'
import { digits, formatSpan } from '@core/quantity/format'
import { useWorkroom } from '../../../state/workroom.store'
import ChartFigure from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { dayOf, timeOfDay } from '../../../words/moments'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { useLights } from '../../../state/lights.store'
import { irradianceText, skyText } from '../lightWords'
import SunPlace from '../parts/SunPlace.vue'
import { useSunDay } from '../useSunDay'

const [route, workroom, lights] = [useRoute(), useWorkroom(), useLights()]
const { faults, attempt } = useAttempt()

const suns = computed(() => workroom.lights.filter((light) => light.kind === 'sun'))
const sunId = ref(typeof route.query.light === 'string' ? route.query.light : '')
const light = computed(() => suns.value.find((one) => one.id === sunId.value) ?? suns.value[0] ?? null)

const {
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
} = useSunDay(light)
const date = ref('')
const goDate = () =>
  attempt('date', async () => {
    const at = Date.parse(`${date.value.trim()}T12:00`)
    if (!Number.isFinite(at))
      throw new CoreError({
        code: 'unreadable',
        field: 'date',
        problem: `“${date.value}” is not a date.`,
        remedy: 'Enter a date like 2026-06-21.',
      })
    dayStart.value = new Date(at).setHours(0, 0, 0, 0)
  })

useMarginNotes(() => [
  {
    title: 'Uncertainty',
    lines: scene.value
      ? [
          texts.likelyWithinFactor({
            factor: digits(Math.exp(scene.value.correction.uncertainty ?? 0), 2),
            sky: skyText(light.value?.sky),
          }),
          texts.eachMeterReadingUnderThis,
        ]
      : [texts.enterWhereYouPrintNothing],
  },
  {
    title: 'When the sky changes',
    lines: [texts.updateSkyWhenItChanges, texts.uvIndexForecastForHour],
  },
  {
    title: 'Glass and wind',
    lines: [texts.holdEverythingInPlaceWith],
  },
])
</script>

<template>
  <section class="SunPage">
    <header>
      <p class="es-kicker">{{ light ? light.name : 'Light' }}</p>
      <h1>The sun, {{ dayOf(dayStart) }}</h1>
      <p v-if="times" class="es-quiet">
        <template v-if="times.rises && times.sets">
          up {{ timeOfDay(times.rises) }}, down {{ timeOfDay(times.sets) }}
        </template>
        <template v-else>{{ isUpAtNoon ? 'the sun does not set' : 'the sun does not rise' }}</template>
      </p>
    </header>
    <ChoiceRow v-if="suns.length > 1" v-model="sunId" label="Window or place" :options="suns" />

    <template v-if="curve && times && light">
      <div class="SunPage-days">
        <KitButton @click="goDay(-1)">The day before</KitButton>
        <KitButton @click="goDay(1)">The day after</KitButton>
        <form @submit.prevent="goDate">
          <TextField v-model="date" label="Day" placeholder="2026-06-21" :fault="faults.date" />
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
          <span>best start; {{ formatSpan(Math.round(best.seconds)) }} at {{ timeOfDay(best.at) }}</span>
        </p>
        <p v-else-if="dose">
          <strong>no time</strong>
          <span>{{ texts.notEnoughLightForOne }}</span>
        </p>
        <template v-if="finish && finishFigure && finish.at">
          <FigureValue
            label="exposure"
            :figure="finishFigure"
            :text="formatSpan(Math.round(finishFigure.value))"
          />
          <p>
            <strong>{{ timeOfDay(finish.at) }}</strong>
            <span>
              finished if you start at {{ timeOfDay(finish.from) }} (likely
              {{ finish.early ? timeOfDay(finish.early) : 'at dusk' }} to
              {{ finish.late ? timeOfDay(finish.late) : 'not today' }})
            </span>
          </p>
        </template>
        <p v-else-if="finish && dose">
          <strong>not today</strong>
          <span>{{ texts.doseNotReachedBeforeDark({ start: timeOfDay(finish.from) }) }}</span>
        </p>
      </div>
      <div class="SunPage-row">
        <TextField
          v-model="outAt"
          label="Start at"
          :placeholder="finish ? timeOfDay(finish.from) : '12:30'"
          :fault="putOut.fault"
        />
        <QuantityField
          v-model="typedDose"
          :fault="doseFault"
          label="Dose needed, mJ/cm²"
          :placeholder="dose ? String(Math.round(dose.value)) : ''"
          :hint="dose?.says ?? ''"
          dimension="dose"
          unit="mJPerCm2"
        />
      </div>
    </template>

    <SunPlace :light="light" />
  </section>
</template>

<style scoped>
.SunPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 55rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.SunPage-days,
.SunPage-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}

.SunPage-answers {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4) var(--es-space-7);
}

.SunPage-answers p {
  display: grid;
  max-width: 20em;
}

.SunPage-answers strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.SunPage-answers span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
