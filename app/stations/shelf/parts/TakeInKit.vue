<script setup lang="ts">
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import SelectField from '../../../kit/SelectField.vue'
import { useTakeInKit } from '../useTakeInKit'
import { texts } from '../words'

/** A kit for one process: its bottles are added together, and rest together. */
const { COMES, faults, options, processId, bottles, comes, volumes, restSaid, save } = useTakeInKit()
</script>

<template>
  <form class="TakeInKit" @submit.prevent="save">
    <SelectField v-model="processId" label="Kit for" :options="options" />
    <ChoiceRow v-model="comes" label="It holds" :options="COMES" />
    <FieldGrid>
      <QuantityField
        v-for="one in bottles"
        :key="one.id"
        :model-value="volumes[one.id] ?? ''"
        :label="one.name"
        :fault="faults[one.id]"
        :hint="texts.emptyIfNotInKit"
        dimension="volume"
        unit="ml"
        @update:model-value="volumes[one.id] = $event"
      />
    </FieldGrid>
    <p>{{ restSaid }}</p>
    <p class="es-quiet">{{ texts.notStatedMeans }}</p>
    <p v-if="faults.kit" role="alert">{{ faults.kit.problem }} {{ faults.kit.remedy }}</p>
    <BigTarget :label="comes === 'powder' ? 'Water added: start the clock' : 'Add to shelf'" @press="save" />
    <EnterSubmits>Add to shelf</EnterSubmits>
  </form>
</template>

<style scoped>
.TakeInKit {
  display: grid;
  gap: var(--es-space-4);
  justify-items: start;
}

.TakeInKit > * {
  width: 100%;
}

.TakeInKit > :deep(.BigTarget) {
  width: auto;
}

[role='alert'] {
  color: var(--es-ember);
}
</style>
