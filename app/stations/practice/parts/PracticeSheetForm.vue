<script setup lang="ts">
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
</script>

<template>
  <FieldGrid class="PracticeSheetForm">
    <SelectField v-model="form.processId" label="Process" :options="options" />
    <SelectField v-model="form.negative" label="Negative" :options="NEGATIVES" />
    <SelectField v-model="form.level" label="Hidden faults" :options="LEVELS" />
  </FieldGrid>
  <div class="PracticeSheetForm-rows">
    <ChoiceRow
      v-model="form.coat"
      label="Coat"
      :options="[
        { id: 'thin', name: 'thin' },
        { id: 'usual', name: 'as usual' },
        { id: 'heavy', name: 'heavy' },
      ]"
    />
    <ChoiceRow
      v-model="form.paper"
      label="Paper"
      :options="[
        { id: 'usual', name: 'as usual' },
        { id: 'chalk', name: 'with chalk' },
        { id: 'unsized', name: 'unsized' },
      ]"
    />
    <ChoiceRow
      v-model="form.air"
      label="Humidity, %"
      :options="['30', '50', '70'].map((id) => ({ id, name: id }))"
    />
    <ChoiceRow
      v-if="form.negative === 'scene'"
      v-model="form.film"
      label="Film"
      :options="[
        { id: 'thin', name: 'thin' },
        { id: 'usual', name: 'as usual' },
        { id: 'dense', name: 'dense' },
      ]"
    />
    <ChoiceRow
      v-model="form.contrast"
      label="Contrast agent"
      :options="['none', 'some', 'much'].map((id) => ({ id, name: id }))"
    />
    <ChoiceRow
      v-model="form.lamp"
      label="Lamp"
      :options="[
        { id: '365', name: '365 nm' },
        { id: '405', name: '405 nm' },
        { id: 'cold', name: 'cold, 365 nm' },
      ]"
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
