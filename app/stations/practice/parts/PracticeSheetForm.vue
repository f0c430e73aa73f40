<script setup lang="ts">
import { computed } from 'vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import SelectField from '../../../kit/SelectField.vue'
import type { PracticeForm } from '../usePracticeForm'

/** How a free practice sheet is made, and how much is wrong with it without a word. */
defineProps<{ options: readonly { id: string; name: string }[]; hasToner: boolean; showsMilk: boolean }>()
const form = defineModel<PracticeForm>({ required: true })

const NEGATIVES = [
  { id: 'scene', name: 'Picture' },
  { id: 'strip', name: 'Test strip, 8 steps' },
  { id: 'tablet', name: 'Step tablet, 21 steps' },
] as const
const LEVELS = [
  { id: 'none', name: 'None' },
  { id: 'plain', name: 'One that shows in places' },
  { id: 'depth', name: 'One of depth, whites or contrast' },
  { id: 'two', name: 'Two, one of each' },
] as const
const named = (names: Readonly<Record<string, string>>) =>
  Object.entries(names).map(([id, name]) => ({ id, name }))
/** How the sheet is made; of a strip or tablet the film is known. */
const rows = computed(() =>
  (
    [
      { id: 'coat', label: 'Coat', options: named({ thin: 'thin', usual: 'as usual', heavy: 'heavy' }) },
      {
        id: 'paper',
        label: 'Paper',
        options: named({ usual: 'as usual', chalk: 'with chalk', unsized: 'unsized' }),
      },
      { id: 'air', label: 'Humidity, %', options: named({ 30: '30', 50: '50', 70: '70' }) },
      { id: 'film', label: 'Film', options: named({ thin: 'thin', usual: 'as usual', dense: 'dense' }) },
      {
        id: 'contrast',
        label: 'Contrast agent',
        options: named({ none: 'none', some: 'some', much: 'much' }),
      },
      { id: 'lamp', label: 'Lamp', options: named({ 365: '365 nm', 405: '405 nm', cold: 'cold, 365 nm' }) },
    ] as const
  ).filter(({ id }) => id !== 'film' || form.value.negative === 'scene'),
)
</script>

<template>
  <FieldGrid class="PracticeSheetForm">
    <SelectField v-model="form.processId" label="Process" :options="options" />
    <SelectField v-model="form.negative" label="Negative" :options="NEGATIVES" />
    <SelectField v-model="form.level" label="Hidden faults" :options="LEVELS" />
  </FieldGrid>
  <div class="PracticeSheetForm-rows">
    <ChoiceRow
      v-for="row in rows"
      :key="row.id"
      v-model="form[row.id]"
      :label="row.label"
      :options="row.options"
    />
  </div>
  <KitCheckbox v-if="hasToner" v-model="form.isToned">Tone the print</KitCheckbox>
  <KitCheckbox v-if="showsMilk" v-model="form.hasSoftWater">Water without chlorine</KitCheckbox>
</template>

<style scoped>
.PracticeSheetForm {
  width: 100%;
}

.PracticeSheetForm-rows {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4) var(--es-space-6);
}
</style>
