<script setup lang="ts">
import { numberOrNull, writtenNumber } from '@core/quantity/number'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { chartLayout, chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { Refusal } from '@core/errors'
import { CoreError } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import { useLights } from '../../../state/lights.store'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { dateOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { stageWords, standingWords } from '../calibrationWords'
import FieldGrid from '../parts/FieldGrid.vue'
import { beginCalibration } from '../../../state/actions/calibration.actions'
import { useCalibrations } from '../useCalibrations'

/** Calibrations with where they stand, and a new one begun. */
const [workroom, lights, notice, now, router] = [
  useWorkroom(),
  useLights(),
  useNotice(),
  useNow(),
  useRouter(),
]
const { all, isLoaded } = useCalibrations()
const isBeginning = ref(false)
const options = (list: readonly { id: string; name: string }[]) => list.map(({ id, name }) => ({ id, name }))

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
        name.value.trim() || `${workroom.definitionOf(processId.value).name}, ${dateOf(now.now, now.now)}`,
      chart: chart.value,
      film: film.value.trim(),
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
    title: 'What it is for',
    lines: [
      'One fixed exposure that always gives the planned tones: a chart is printed once, read, and turned round. It takes an evening, and can be left at any step and taken up days later.',
    ],
  },
  {
    title: 'One combination',
    lines: [
      'A curve holds for its process, paper, light, film and base exposure. Change one, and print a checking chart.',
    ],
  },
  ...(base.value || !isBeginning.value
    ? []
    : [
        {
          title: 'The exposure comes first',
          tone: 'caution' as const,
          lines: [
            'No base exposure is kept for this process and light. Print a test strip through the clear film first: a chart that was exposed too short or too long tells of little else.',
          ],
        },
      ]),
])
</script>

<template>
  <section class="CalibratePage">
    <header>
      <p class="es-kicker">So that tones land where they were planned</p>
      <h1>Calibrate</h1>
      <RouterLink :to="{ name: 'negative' }">Back to the negative</RouterLink>
    </header>

    <ul v-if="all.length" aria-label="Calibrations">
      <li v-for="one in all" :key="one.calibration.id" :class="{ 'has-drifted': one.standing.hasDrifted }">
        <RouterLink :to="{ name: 'calibration', params: { calibrationId: one.calibration.id } }">
          {{ one.calibration.name }}
        </RouterLink>
        <strong>{{ standingWords(one.standing) }}</strong>
        <span class="es-quiet">
          {{ stageWords(one.stage) }}, {{ dateOf(one.calibration.changedAt, now.now) }}
        </span>
      </li>
    </ul>
    <p v-else-if="isLoaded && !isBeginning">
      No chart has been printed yet. With a plain inversion the tones fall as they may; with a chart they
      land.
    </p>

    <BigTarget
      v-if="!isBeginning"
      class="CalibratePage-go"
      label="Begin a calibration"
      @press="isBeginning = true"
    />
    <form v-else @submit.prevent="begin">
      <FieldGrid>
        <TextField v-model="name" label="What you call it" placeholder="rag, the box" autofocus />
        <SelectField v-model="processId" label="Process" :options="options(workroom.allProcesses)" />
        <SelectField
          v-model="paperId"
          label="Paper"
          :options="options(workroom.papers)"
          clearable
          placeholder="any"
        />
        <SelectField
          v-model="lightId"
          label="Light"
          :options="options(workroom.lights)"
          clearable
          placeholder="any"
        />
        <TextField v-model="film" label="Film, printer and ink" placeholder="as you call them" />
        <QuantityField
          v-model="exposure"
          label="Base exposure"
          :hint="base ? 'as it was found' : 'find it by a test strip'"
          :fault="exposureFault"
          dimension="time"
          unit="min"
        />
      </FieldGrid>
      <p v-if="!base">
        <RouterLink :to="{ name: 'strip' }">Plan a test strip first</RouterLink>
      </p>
      <div class="CalibratePage-row">
        <ChoiceRow
          v-model="steps"
          label="Tones of the chart"
          :options="[
            ...['21', '31', '51', '101'].map((id) => ({ id, name: id })),
            { id: 'own', name: 'another number' },
          ]"
        />
        <ChoiceRow
          v-model="repeats"
          label="Each laid"
          :options="[
            { id: '1', name: 'once' },
            { id: '2', name: 'twice' },
            { id: '3', name: '3 times' },
            { id: '4', name: '4 times' },
          ]"
        />
        <ChoiceRow
          v-model="scattered"
          label="Patches lie"
          :options="[
            { id: 'scattered', name: 'scattered' },
            { id: 'rows', name: 'in order' },
          ]"
        />
        <ChoiceRow
          v-model="strip"
          label="Strip of clear film"
          :options="[
            { id: 'with', name: 'with' },
            { id: 'without', name: 'without' },
          ]"
        />
      </div>
      <TextField
        v-if="steps === 'own'"
        v-model="ownSteps"
        label="How many tones"
        :fault="drawn.fault"
        hint="5 to 101"
      />
      <p class="es-quiet">{{ drawn.said }}</p>
      <BigTarget class="CalibratePage-go" label="To the chart" :disabled="!!drawn.fault" @press="begin" />
    </form>
  </section>
</template>

<style scoped>
.CalibratePage,
form {
  display: grid;
  gap: var(--es-space-5);
  max-width: 900px;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.CalibratePage-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

.CalibratePage-go {
  justify-self: start;
}

ul {
  display: grid;
  gap: 0;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: baseline;
  padding: var(--es-space-4) 0;
  border-bottom: 1px solid var(--es-rule);
}

li a {
  color: var(--es-ink);
  font: 500 var(--es-size-lead)/1.2 var(--es-serif);
}

li strong {
  font-weight: 400;
}

li.has-drifted strong {
  color: var(--es-ember);
}

@media (width <= 820px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
