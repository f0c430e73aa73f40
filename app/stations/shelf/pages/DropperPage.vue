<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { addDropper, chooseDropper, removeDropper } from '../../../state/actions/shelf.actions'
import { parseQuantity } from '@core/quantity/parse'
import { parseNumber } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { calibrateDropper, type DropWeighing } from '@core/coating/dropper'
import { CoreError, type Refusal } from '@core/errors'
import { digits } from '@core/quantity/format'
import { useWorkroom } from '../../../state/workroom.store'
import BigTarget from '../../../kit/BigTarget.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { dayOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'

const [workroom, notice] = [useWorkroom(), useNotice()]
const WATER = 0.998
const name = ref('')
const density = ref('')
const rows = ref([
  { drops: '20', grams: '' },
  { drops: '20', grams: '' },
  { drops: '20', grams: '' },
])

const readWeighings = (): DropWeighing[] =>
  rows.value
    .filter((row) => row.grams.trim())
    .map((row) => ({
      drops: parseNumber(row.drops, { field: 'drops', isWhole: true, min: 1, example: '20' }),
      grams: parseQuantity(row.grams, 'mass', { field: 'weight', bareUnit: 'g' }),
    }))
const readDensity = (): number =>
  density.value.trim()
    ? parseQuantity(density.value, 'liquidDensity', { field: 'density', bareUnit: 'gPerMl' })
    : WATER
type Calibrated = { figure: ReturnType<typeof calibrateDropper>; weighings: DropWeighing[]; density: number }
const calibrated = computed((): { read: Calibrated | null; fault: Refusal | null } => {
  try {
    const [weighings, gramsPerMillilitre] = [readWeighings(), readDensity()]
    if (!weighings.length) return { read: null, fault: null }
    const figure = calibrateDropper(weighings, gramsPerMillilitre)
    return { read: { figure, weighings, density: gramsPerMillilitre }, fault: null }
  } catch (error) {
    if (error instanceof CoreError) return { read: null, fault: error.refusal }
    throw error
  }
})
async function save(): Promise<void> {
  const { read } = calibrated.value
  if (!read) return
  try {
    const written = name.value.trim() || `Dropper ${workroom.droppers.length + 1}`
    const id = await addDropper({
      name: written,
      weighings: read.weighings,
      gramsPerMillilitre: read.density,
    })
    notice.say(`Coats are now counted with ${written}.`, () => removeDropper(id))
    rows.value.forEach((row) => (row.grams = ''))
  } catch (error) {
    notice.refuse(error, 'the dropper')
  }
}
/** The one that is used is the one that was changed last. */
const known = computed(() =>
  [...workroom.droppers]
    .sort((a, b) => b.changedAt - a.changedAt)
    .map((one) => ({
      ...one,
      figure: calibrateDropper(one.weighings, one.gramsPerMillilitre).dropsPerMillilitre,
    })),
)

useMarginNotes(() => [
  {
    title: 'How to calibrate a dropper',
    lines: [texts.putSmallGlassOnBalance, texts.doThisThreeTimesSpread, texts.otherLiquidsGiveOtherDrop],
  },
])
</script>

<template>
  <section class="DropperPage">
    <header>
      <h1>Calibrate a dropper</h1>
    </header>
    <div class="DropperPage-row">
      <TextField v-model="name" label="Name" placeholder="the glass one" />
      <QuantityField
        v-model="density"
        label="Density of the liquid, g/ml"
        placeholder="0.998, water"
        dimension="liquidDensity"
        unit="gPerMl"
      />
    </div>
    <div v-for="(row, at) in rows" :key="at" class="DropperPage-row">
      <TextField v-model="row.drops" :label="`Drops, weighing ${at + 1}`" />
      <TextField v-model="row.grams" :label="`Grams, weighing ${at + 1}`" placeholder="0.98" />
    </div>
    <p v-if="calibrated.fault" role="alert" class="DropperPage-fault">
      {{ calibrated.fault.problem }} {{ calibrated.fault.remedy }}
    </p>
    <div v-if="calibrated.read" class="DropperPage-figures">
      <FigureValue
        label="drops per ml"
        :figure="calibrated.read.figure.dropsPerMillilitre"
        :text="`${digits(calibrated.read.figure.dropsPerMillilitre.value)}${calibrated.read.figure.dropsPerMillilitre.uncertainty ? ` ± ${digits(calibrated.read.figure.dropsPerMillilitre.uncertainty, 2)}` : ''}`"
      />
      <FigureValue
        label="one drop"
        :figure="calibrated.read.figure.dropVolume"
        :text="`${digits(calibrated.read.figure.dropVolume.value)} ml`"
      />
    </div>
    <BigTarget class="DropperPage-go" label="Use this dropper" :disabled="!calibrated.read" @press="save" />
    <ul v-if="known.length" aria-label="Droppers">
      <li v-for="(one, at) in known" :key="one.id">
        {{ one.name }}, {{ digits(one.figure.value) }} drops/ml
        <template v-if="one.figure.uncertainty">± {{ digits(one.figure.uncertainty, 2) }}</template>
        ,
        <span class="es-quiet">weighed {{ dayOf(one.changedAt) }}</span>
        <em v-if="at === 0">in use</em>
        <KitButton v-else kind="quiet" @click="chooseDropper(one.id)">use this dropper</KitButton>
      </li>
    </ul>
    <p v-else class="es-quiet">
      {{ texts.withoutCalibrationAppAssumes20 }}
    </p>
  </section>
</template>

<style scoped>
.DropperPage {
  display: grid;
  gap: var(--es-space-4);
  max-width: 40rem;
}

.DropperPage-row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--es-space-1) var(--es-space-6);
}

.DropperPage-figures {
  display: flex;
  gap: var(--es-space-7);
}

.DropperPage-fault {
  color: var(--es-ember);
}

.DropperPage-go {
  justify-self: start;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
