<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import { Calibration } from '@core/record/light'
import { inkOf, printOf, solveCurve, type CurveAim } from '@core/tone/curve'
import { db } from '../data/db'
import { useWorkroom } from '../data/workroom.store'
import TakeReading from '../instruments/TakeReading.vue'
import { useLights } from '../light/lights.store'
import BigTarget from '../shell/BigTarget.vue'
import ChartFigure, { type ChartSeries } from '../shell/ChartFigure.vue'
import ChoiceRow from '../shell/ChoiceRow.vue'
import { useMarginNotes } from '../shell/margin.store'
import { dayOf } from '../shell/moments'
import { useNotice } from '../shell/notice.store'
import SelectField from '../shell/SelectField.vue'
import TextField from '../shell/TextField.vue'
import { readChart } from './chartReading'
import { useCalibrations } from './useCalibrations'
import { download, useNegative } from './useNegative'

/** A printed step chart is read here, and becomes the curve of a process, paper and light. */
const [workroom, lights, notice] = [useWorkroom(), useLights(), useNotice()]
const calibrations = useCalibrations()
const name = ref('')
const steps = ref<string | undefined>('21')
const scale = ref<string | undefined>('density')
const aim = ref<string | undefined>('lightness')
const typed = ref('')
const processId = ref(workroom.sheets[0]?.sheet.process.id ?? '')
const paperId = ref('')
const lightId = ref(workroom.lights[0]?.id ?? '')
const film = ref('')
const isByInstrument = ref(false)

const read = computed(() =>
  readChart(typed.value, Number(steps.value), scale.value === 'lightness' ? 'lightness' : 'density'),
)
const solved = computed(() => {
  if (!read.value.patches) return { curve: null, fault: read.value.fault }
  try {
    return { curve: solveCurve(read.value.patches, aim.value as CurveAim), fault: undefined }
  } catch (error) {
    if (error instanceof CoreError) return { curve: null, fault: error.refusal }
    throw error
  }
})
const base = computed(() =>
  lights.bases.find((one) => one.processId === processId.value && one.lightId === lightId.value),
)
const series = computed<ChartSeries[]>(() => {
  const { curve } = solved.value
  if (!curve) return []
  const [ink, print] = [inkOf(curve), printOf(curve)]
  const row = Array.from({ length: 51 }, (_, i) => i / 50)
  return [
    {
      name: 'patches',
      kind: 'points',
      points: curve.patchInks.map((x, i) => ({
        x: 100 * x,
        y: (curve.patchLightness[i] ?? 0) + (curve.residuals[i] ?? 0),
      })),
    },
    {
      name: 'print by ink',
      kind: 'line',
      isDrawnOnly: true,
      points: row.map((x) => ({ x: 100 * x, y: print(x) })),
    },
    {
      name: 'ink by tone',
      kind: 'line',
      colour: 'ember',
      isDrawnOnly: true,
      points: row.map((tone) => ({ x: 100 * tone, y: 100 * ink(tone) })),
    },
  ]
})
async function keep(): Promise<void> {
  if (!read.value.patches || !solved.value.curve) return
  const id = uuid()
  try {
    await db.calibrations.add(
      Calibration.parse({
        id,
        at: Date.now(),
        name: name.value.trim() || `${workroom.definitionOf(processId.value).name}, ${dayOf(Date.now())}`,
        patches: read.value.patches.map((patch) => ({ ink: patch.ink, densities: [...patch.densities] })),
        aim: aim.value,
        by: isByInstrument.value ? 'instrument' : 'typed',
        ...(processId.value && { processId: processId.value }),
        ...(paperId.value && { paperId: paperId.value }),
        ...(lightId.value && { lightId: lightId.value }),
        film: film.value.trim(),
        ...(base.value && { seconds: base.value.seconds }),
        note: '',
      }),
    )
    notice.say('The curve is kept.', () => takeBack(id))
    ;[name.value, typed.value] = ['', '']
  } catch (error) {
    notice.refuse(error, 'the curve')
  }
}
const takeBack = (id: string) => void db.calibrations.update(id, { takenBackAt: Date.now() })
function take(value: number): void {
  isByInstrument.value = true
  typed.value = `${typed.value.trim()} ${value.toFixed(3)}`.trim()
}
const { fault, makeChart } = useNegative()
const CHART_PIXELS_PER_INCH = 360
async function saveChart(): Promise<void> {
  const file = await makeChart({
    steps: Number(steps.value),
    pixelsPerInch: CHART_PIXELS_PER_INCH,
    isMirrored: true,
  })
  if (file) download(file, `chart-${steps.value}.png`)
  else if (fault.value) notice.refuse(new CoreError(fault.value), 'the chart')
}
const options = (list: readonly { id: string; name: string }[]) =>
  list.map(({ id, name: called }) => ({ id, name: called }))

useMarginNotes(() => [
  {
    title: 'The chart',
    lines: [
      `Even steps of ink on film, from clear to all the ink, printed without any curve. Expose it at the base exposure${base.value ? `: ${formatSpan(Math.round(base.value.seconds))}` : ''}, process it as you always do, let it dry.`,
    ],
  },
  {
    title: 'What is made of it',
    lines: [
      'Repeats are averaged, the row is put in order, and turned round: each tone of a picture gets the ink that prints it where it belongs.',
    ],
  },
  {
    title: 'One combination',
    lines: [
      'A curve holds for its process, paper, light, film and base exposure. Change one, and read a new chart.',
    ],
  },
])
</script>

<template>
  <section class="CalibratePage">
    <header>
      <p class="es-kicker">So that tones land where they were planned</p>
      <h1>Calibrate</h1>
      <RouterLink :to="{ name: 'negative' }">Back to the negative</RouterLink>
    </header>
    <ChoiceRow
      v-model="steps"
      label="Patches of the chart"
      :options="['11', '21', '31', '51', '101'].map((id) => ({ id, name: id }))"
    />
    <div class="CalibratePage-acts">
      <button type="button" class="CalibratePage-chart" @click="saveChart">The chart as a negative</button>
      <span class="es-quiet">
        to be printed on film at 360 to the inch, without scaling or colour management
      </span>
    </div>
    <ChoiceRow
      v-model="scale"
      label="Readings are"
      :options="[
        { id: 'density', name: 'densities' },
        { id: 'lightness', name: 'L*' },
      ]"
    />
    <TextField
      v-model="typed"
      label="Readings, clear film first"
      placeholder="1.42 1.40/1.41 1.37 … a dash for a damaged patch"
      :fault="read.fault ?? solved.fault"
    />
    <ChoiceRow
      v-model="aim"
      label="Even steps are to be even in"
      :options="[
        { id: 'lightness', name: 'lightness' },
        { id: 'density', name: 'density' },
      ]"
    />
    <ChartFigure
      v-if="series.length"
      label="What the chart says"
      :series="series"
      x-name="ink, or tone, per cent"
      y-name="L* of the print, or ink per cent"
      :y-min="0"
      :x-min="0"
      :x-max="100"
    />
    <p v-if="solved.curve">
      Black L* {{ solved.curve.black.toFixed(1) }}, white {{ solved.curve.white.toFixed(1) }}; the patches
      scatter by {{ solved.curve.scatter.toFixed(1) }} L*.
      <template v-if="solved.curve.blockedFrom < 0.97">
        From {{ Math.round(100 * solved.curve.blockedFrom) }} % of ink on nothing grows lighter: less ink
        would do.
      </template>
      <template v-if="solved.curve.mergedTo > 0.05">
        Up to {{ Math.round(100 * solved.curve.mergedTo) }} % nothing is lighter than black: less exposure
        would open it.
      </template>
    </p>
    <div class="CalibratePage-row">
      <TextField v-model="name" label="Name of the curve" placeholder="rag, the box" />
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
      <TextField v-model="film" label="Film and printer" placeholder="as you call them" />
    </div>
    <div class="CalibratePage-acts">
      <TakeReading quantity="density" label="Read the next patch" @read="take" />
      <BigTarget label="Keep this curve" :disabled="!solved.curve" @press="keep" />
    </div>
    <ul v-if="calibrations.solved.value.length" aria-label="Curves">
      <li v-for="one in calibrations.solved.value" :key="one.id">
        {{ one.name }}
        <span class="es-quiet">
          {{ one.patches.length }} patches, {{ dayOf(one.at) }}, scatter {{ one.curve.scatter.toFixed(1) }} L*
        </span>
        <button type="button" :aria-label="`Take ${one.name} back`" @click="takeBack(one.id)">
          take back
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.CalibratePage {
  display: grid;
  gap: 14px;
  max-width: 880px;
}

header {
  display: grid;
  gap: 8px;
}

.CalibratePage-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 24px;
}

.CalibratePage-acts {
  display: flex;
  gap: 16px;
  align-items: center;
}

.CalibratePage-chart {
  padding: 9px 14px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

ul {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin: 0 12px;
}

li button {
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  text-decoration: underline;
}
</style>
