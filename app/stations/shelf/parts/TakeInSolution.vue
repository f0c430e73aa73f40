<script setup lang="ts">
import BigTarget from '../../../kit/BigTarget.vue'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import FieldGrid from '../../../kit/FieldGrid.vue'
import MomentField from '../../../kit/MomentField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import { useTakeInSolution } from '../useTakeInSolution'
import { texts } from '../words'

/** A solution that was bought ready to use, as its label has it. */
const props = defineProps<{ recipeId: string }>()
const {
  faults,
  options,
  recipeId,
  strength,
  strongIn,
  volume,
  opened,
  bestBefore,
  label,
  suggestedLabel,
  save,
} = useTakeInSolution(() => props.recipeId)
</script>

<template>
  <form class="TakeInSolution" @submit.prevent="save">
    <SelectField
      v-model="recipeId"
      label="Solution"
      :options="options"
      placeholder="name, trade name or formula"
    />
    <p v-if="faults.recipe" role="alert">{{ faults.recipe.problem }} {{ faults.recipe.remedy }}</p>
    <FieldGrid>
      <QuantityField
        v-model="strength"
        :label="strongIn"
        :fault="faults.strength"
        placeholder="not stated"
        :hint="texts.emptyWhenNotStated"
        dimension="fraction"
        unit="percent"
      />
      <QuantityField
        v-model="volume"
        label="Volume"
        :fault="faults.volume"
        placeholder="25 ml"
        hint="leave empty if not measured"
        dimension="volume"
        unit="ml"
      />
      <MomentField v-model="opened" label="Opened" :fault="faults.opened" placeholder="today" />
      <MomentField
        v-model="bestBefore"
        label="Best before"
        :fault="faults.bestBefore"
        placeholder="2028-06"
        is-end
      />
      <TextField v-model="label" label="Label" :fault="faults.label" :placeholder="suggestedLabel" />
    </FieldGrid>
    <p v-if="!strength.trim()" class="es-quiet">{{ texts.notStatedMeans }}</p>
    <BigTarget label="Add to shelf" hint="enter" @press="save" />
    <EnterSubmits>Add to shelf</EnterSubmits>
  </form>
</template>

<style scoped>
.TakeInSolution {
  display: grid;
  gap: var(--es-space-4);
  justify-items: start;
}

.TakeInSolution > * {
  width: 100%;
}

.TakeInSolution > :deep(.BigTarget) {
  width: auto;
}

[role='alert'] {
  color: var(--es-ember);
}
</style>
