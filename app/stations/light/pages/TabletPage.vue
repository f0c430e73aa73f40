<script setup lang="ts">
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import KitButton from '../../../kit/KitButton.vue'
import { addTabletPrint, undoTabletPrint } from '../../../state/actions/light.actions'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { densityBehind, type Characteristic } from '@core/tone/characteristic'
import { TABLETS } from '@core/tone/tablet'
import { digits } from '@core/quantity/format'
import { useWorkroom } from '../../../state/workroom.store'
import TakeReading from '../../../kit/TakeReading.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChartFigure, { type ChartSeries } from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useMarginNotes, type MarginNote } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import LightNav from '../parts/LightNav.vue'
import { useLights } from '../../../state/lights.store'
import NegativeSuits from '../parts/NegativeSuits.vue'
import OwnTablet from '../parts/OwnTablet.vue'
import { readRow } from '@core/tone/typedReadings'
import { useCurves } from '../useCurves'

const [workroom, lights, notice] = [useWorkroom(), useLights(), useNotice()]
const HAND = 'in hand'

const tabletId = ref<string | undefined>(TABLETS[0].id)
const tablets = computed(() => [
  ...TABLETS.map(({ id, name, densities }) => ({
    id: id as string,
    name: name as string,
    densities: densities as readonly number[],
  })),
  ...lights.tablets,
])
const tablet = computed(() => tablets.value.find((one) => one.id === tabletId.value) ?? TABLETS[0])
const name = ref('')
const typed = ref('')
const scale = ref<string | undefined>('density')
const processId = ref('')
const isByInstrument = ref(false)
const processOptions = computed(() => workroom.allProcesses.map((one) => ({ id: one.id, name: one.name })))

/** Readings in a row, clear step first; a dash for a step that could not be read. */
const read = computed((): { print: (number | null)[] | null; fault?: Refusal } => {
  if (!typed.value.trim()) return { print: null }
  try {
    const print = readRow(typed.value, scale.value === 'lightness' ? 'lightness' : 'density')
    if (print.length > tablet.value.densities.length)
      throw new CoreError({
        code: 'too-many',
        field: 'readings',
        problem: `These are ${print.length} readings, and the tablet has ${tablet.value.densities.length} steps.`,
        remedy: 'Choose the other tablet, or take out what is double.',
      })
    return {
      print: [...print, ...Array.from({ length: tablet.value.densities.length - print.length }, () => null)],
    }
  } catch (error) {
    if (error instanceof CoreError) return { print: null, fault: error.refusal }
    throw error
  }
})
function take(value: number): void {
  isByInstrument.value = true
  typed.value = `${typed.value.trim()} ${value.toFixed(3)}`.trim()
}

// --- curves
const shownIds = ref<string[]>([])
const question = computed(() => [
  ...(read.value.print ? [{ id: HAND, tablet: [...tablet.value.densities], print: read.value.print }] : []),
  ...lights.tabletPrints.map((one) => ({ id: one.id, tablet: one.tablet, print: one.print })),
])
const curves = useCurves(() => question.value)
const curveOf = (id: string): Characteristic | null => {
  const found = curves.value[id]
  return found && 'curve' in found ? found.curve : null
}
const refusalOfHand = computed(() => {
  const found = read.value.print ? curves.value[HAND] : undefined
  return found && 'refusal' in found ? found.refusal : undefined
})
const inHand = computed(() => (read.value.print ? curveOf(HAND) : null))
const kept = computed(() => [...lights.tabletPrints].sort((a, b) => b.at - a.at))
const isShown = (id: string) => shownIds.value.includes(id)
const toggle = (id: string) =>
  (shownIds.value = isShown(id) ? shownIds.value.filter((one) => one !== id) : [...shownIds.value, id])
/** What the figures are of: the one in hand, else the one shown last, else the newest. */
const figured = computed(() => {
  if (inHand.value) return { name: name.value.trim() || 'in hand', curve: inHand.value }
  const one = kept.value.find((print) => print.id === shownIds.value.at(-1)) ?? kept.value[0]
  const curve = one && curveOf(one.id)
  return one && curve ? { name: one.name, curve } : null
})

const COLOURS = ['ember', 'prussian', 'umber', 'plum', 'ink'] as const
const drawn = computed(() => [
  ...(read.value.print && inHand.value
    ? [
        {
          id: HAND,
          name: name.value.trim() || 'in hand',
          tablet: [...tablet.value.densities],
          print: read.value.print,
          curve: inHand.value,
        },
      ]
    : []),
  ...kept.value
    .filter((one, at) => isShown(one.id) || (!inHand.value && !shownIds.value.length && at === 0))
    .flatMap((one) => {
      const curve = curveOf(one.id)
      return curve ? [{ id: one.id, name: one.name, tablet: one.tablet, print: one.print, curve }] : []
    }),
])
const series = computed<ChartSeries[]>(() =>
  drawn.value.flatMap(({ name: title, tablet: steps, print, curve }, n) => {
    const last = Math.max(...steps)
    const colour = COLOURS[n % COLOURS.length]
    return [
      { name: title, kind: 'points' as const, colour, points: steps.flatMap((density, i) => (print[i] == null ? [] : [{ x: -density, y: print[i] }])) },
      {
        name: `${title}, curve`, kind: 'line' as const, colour, isDrawnOnly: true,
        points: Array.from({ length: 61 }, (_, i) => (last * i) / 60).map((density) => ({ x: -density, y: densityBehind(curve, density) })),
      },
    ] // prettier-ignore
  }),
)
const outliers = computed(() => figured.value?.curve.outliers.flatMap((is, at) => (is ? [at + 1] : [])) ?? [])
const ends = computed(() => {
  const curve = figured.value?.curve
  if (!curve) return []
  const said = (title: string, end: Characteristic['minimum'], word: string) =>
    end.isMet
      ? { title, value: end.fitted.toFixed(2), says: 'the tablet reaches it' }
      : {
          title,
          value: end.reached.toFixed(2),
          says:
            Math.abs(end.fitted - end.reached) < 0.005
              ? `the tablet ends here, before the curve levels out: ${word}`
              : `the tablet ends here; the curve goes on to about ${end.fitted.toFixed(2)}: ${word}`,
        }
  return [
    said('whitest', curve.minimum, 'a longer tablet, or less exposure'),
    said('deepest', curve.maximum, 'more exposure would show it'),
  ]
})

async function keep(): Promise<void> {
  if (!read.value.print) return
  try {
    const id = await addTabletPrint({
      name: name.value.trim() || `tablet ${lights.tabletPrints.length + 1}`,
      tablet: [...tablet.value.densities],
      print: read.value.print,
      by: isByInstrument.value ? 'instrument' : 'typed',
      ...(processId.value && { processId: processId.value }),
      note: '',
    })
    shownIds.value = [...shownIds.value, id]
    ;[name.value, typed.value, isByInstrument.value] = ['', '', false]
    notice.say('The tablet is kept.', () => undoTabletPrint(id))
  } catch (error) {
    notice.refuse(error, 'the tablet')
  }
}

/** Kept tablets that gave a curve. */
const measured = computed(() =>
  kept.value.flatMap((one) => {
    const curve = curveOf(one.id)
    return curve ? [{ id: one.id, name: one.name, curve }] : []
  }),
)

const bronzed = computed(() => figured.value?.curve.bronzed.flatMap((is, at) => (is ? [at + 1] : [])) ?? [])

useMarginNotes(() => {
  const notes: MarginNote[] = []
  if (bronzed.value.length)
    notes.push({
      title: 'The coat bronzes',
      tone: 'caution',
      lines: [
        `Step ${bronzed.value.join(', ')}: lighter again with more light. Keep exposures below these steps; they are no part of the curve.`,
      ],
    })
  if (figured.value?.curve.curve.by === 'readings')
    notes.push({
      title: 'Read without a model',
      lines: [
        'No usual curve fits these readings, so the range is read off the steps themselves, between the lightest and the darkest. The interval says how far noise may shift it.',
      ],
    })
  if (outliers.value.length)
    notes.push({
      title: 'Off the curve',
      tone: 'caution',
      lines: [
        `Step ${outliers.value.join(', ')}: read again, or look for a hair or a spot. They are shown, and do not bend the curve.`,
      ],
    })
  notes.push(
    {
      title: 'How to print it',
      lines: [
        'The tablet in the frame like a negative, at the base exposure. Read each step in its middle, dry.',
      ],
    },
    {
      title: 'What it tells',
      lines: [
        'How much density range a negative must have to use the whole paper. Print one for each contrast addition, humidity or paper, and compare.',
      ],
    },
    {
      title: 'Two kinds of end',
      lines: [
        'Where the curve levels out is the paper. Where it just stops is the tablet: then the true range is longer.',
      ],
    },
  )
  return notes
})
</script>

<template>
  <section class="TabletPage">
    <header>
      <p class="es-kicker">How the paper answers</p>
      <h1>Step tablet</h1>
      <LightNav here="tablet" />
    </header>
    <ChoiceRow v-model="tabletId" label="Tablet" :options="tablets" />
    <div class="TabletPage-row">
      <TextField v-model="name" label="What was printed" placeholder="3 drops of chlorate, 50 % RH" />
      <SelectField
        v-model="processId"
        label="Process"
        :options="processOptions"
        clearable
        placeholder="any"
      />
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
      label="Readings, clear step first"
      placeholder="1.42 1.40 1.36 1.28 … a dash for a step that cannot be read"
      :fault="read.fault ?? refusalOfHand"
      :hint="
        read.print
          ? `${read.print.filter((one) => one !== null).length} of ${tablet.densities.length} steps`
          : ''
      "
    />
    <div class="TabletPage-acts">
      <TakeReading quantity="density" label="Read the next step" @read="take" />
      <BigTarget label="Keep this tablet" :disabled="!inHand" @press="keep" />
    </div>

    <ChartFigure
      v-if="series.length"
      label="Density by log exposure"
      :series="series"
      x-name="log exposure behind the tablet"
      y-name="density of the print"
      :y-text="(y) => digits(y, 3)"
      :x-text="(x) => digits(x, 3)"
      :y-min="0"
      :marks="
        figured && figured.curve.foot !== null && figured.curve.shoulder !== null
          ? [
              { x: figured.curve.foot, name: '0.04 over white' },
              { x: figured.curve.shoulder, name: '90 % of black' },
            ]
          : []
      "
    />
    <p v-if="figured && drawn.length > 1" class="es-kicker">{{ figured.name }}</p>
    <div v-if="figured" class="TabletPage-figures">
      <FigureValue
        v-if="figured.curve.negativeRange"
        label="density range a negative needs"
        :figure="figured.curve.negativeRange"
        :text="figured.curve.negativeRange.value.toFixed(2)"
      />
      <FigureValue
        v-if="figured.curve.exposureRange"
        label="ISO range"
        :figure="figured.curve.exposureRange"
        :text="String(Math.round(figured.curve.exposureRange.value))"
      />
      <FigureValue
        v-if="figured.curve.averageGradient"
        label="average gradient"
        :figure="figured.curve.averageGradient"
        :text="figured.curve.averageGradient.value.toFixed(2)"
      />
      <p v-for="end in ends" :key="end.title">
        <strong>{{ end.value }}</strong>
        <span>{{ end.title }}: {{ end.says }}</span>
      </p>
    </div>

    <section v-if="kept.length">
      <h2>Kept tablets</h2>
      <ul>
        <li v-for="one in kept" :key="one.id">
          <KitCheckbox :model-value="isShown(one.id)" @update:model-value="toggle(one.id)">
            {{ one.name }}
          </KitCheckbox>
          <span class="es-quiet">
            {{ one.processId ? workroom.definitionOf(one.processId).name : '' }}
            {{
              curveOf(one.id)?.negativeRange
                ? `needs ${digits(curveOf(one.id)!.negativeRange!.value, 3)}`
                : ''
            }}
          </span>
          <KitButton kind="link" :aria-label="`Take ${one.name} back`" @click="undoTabletPrint(one.id)">
            take back
          </KitButton>
        </li>
      </ul>
      <NegativeSuits :papers="measured" />
    </section>
    <OwnTablet @kept="tabletId = $event" />
  </section>
</template>

<style scoped>
.TabletPage {
  display: grid;
  gap: var(--es-space-5);
  max-width: 880px;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.TabletPage-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.TabletPage-acts,
.TabletPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
  align-items: center;
}

.TabletPage-figures p {
  display: grid;
  max-width: 17em;
}

.TabletPage-figures strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.TabletPage-figures span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

ul {
  display: grid;
  gap: var(--es-space-3);
  margin: var(--es-space-3) 0 var(--es-space-5);
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin: 0 var(--es-space-4);
}
</style>
