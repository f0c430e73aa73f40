<script setup lang="ts">
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { digits } from '@core/quantity/format'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import KitButton from '../../../kit/KitButton.vue'
import { useTakeIn } from '../useTakeIn'
import { texts } from '../words'

/** A chemical in its jar, as its label has it. */
const emit = defineEmits<{ dissolved: [recipeId: string] }>()
const {
  substanceId,
  form,
  amount,
  purity,
  density,
  price,
  label,
  faults,
  substance,
  isLiquid,
  options,
  suggestedLabel,
  usualPurity,
  byDensity,
  dissolved,
  save,
} = useTakeIn()
</script>

<template>
  <form class="TakeInChemical" @submit.prevent="save">
    <SelectField
      v-model="substanceId"
      label="Chemical"
      :options="options"
      placeholder="name, trade name or formula"
    />
    <p v-if="faults.substance" class="TakeInChemical-fault">
      {{ faults.substance.problem }} {{ faults.substance.remedy }}
    </p>
    <ChoiceRow
      v-if="substance && substance.forms.length > 1"
      v-model="form"
      label="Form, as on the label"
      :options="substance.forms.map((one) => ({ id: one.id, name: `${one.name}, ${one.formula}` }))"
    />
    <p v-if="dissolved">
      {{ texts.powderOrSolution({ name: substance?.name ?? '' }) }}
      <KitButton kind="quiet" @click="emit('dissolved', dissolved.id)">It is a solution</KitButton>
    </p>
    <div class="TakeInChemical-row">
      <QuantityField
        v-model="amount"
        label="Amount"
        :fault="faults.amount"
        :placeholder="isLiquid ? '500 ml' : '100 g'"
        hint="leave empty if not measured"
        :dimension="isLiquid ? 'volume' : 'mass'"
        :unit="isLiquid ? 'ml' : 'g'"
      />
      <QuantityField
        v-model="purity"
        :label="isLiquid ? 'Strength, % by weight' : 'Purity, %'"
        :fault="faults.purity"
        :placeholder="digits(byDensity?.value ?? usualPurity)"
        :hint="byDensity ? 'from its density' : 'leave empty for the usual'"
        dimension="fraction"
        unit="percent"
      />
      <QuantityField
        v-if="substance?.densities"
        v-model="density"
        label="Density, g/ml"
        :fault="faults.density"
        :placeholder="String(substance.liquid?.gramsPerMillilitre ?? '')"
        hint="measured with a hydrometer"
        dimension="liquidDensity"
        unit="gPerMl"
      />
      <TextField v-model="price" label="Price" :fault="faults.price" placeholder="in your currency" />
      <TextField v-model="label" label="Label" :fault="faults.label" :placeholder="suggestedLabel" />
    </div>
    <div class="TakeInChemical-acts">
      <BigTarget label="Add to shelf" hint="enter" @press="save" />
    </div>
    <EnterSubmits>Add to shelf</EnterSubmits>
  </form>
</template>

<style scoped>
.TakeInChemical {
  display: grid;
  gap: var(--es-space-4);
}

.TakeInChemical-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
}

.TakeInChemical-fault {
  color: var(--es-ember);
}

.TakeInChemical-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
