<script setup lang="ts">
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import { digits } from '@core/quantity/format'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { useTakeIn } from '../useTakeIn'

const {
  router,
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
  save,
} = useTakeIn()
</script>

<template>
  <form class="TakeIn" @submit.prevent="save">
    <header>
      <h1>Add a chemical</h1>
    </header>
    <SelectField
      v-model="substanceId"
      label="Chemical"
      :options="options"
      placeholder="name, trade name or formula"
    />
    <p v-if="faults.substance" class="TakeIn-fault">
      {{ faults.substance.problem }} {{ faults.substance.remedy }}
    </p>
    <ChoiceRow
      v-if="substance && substance.forms.length > 1"
      v-model="form"
      label="Form, as on the label"
      :options="substance.forms.map((one) => ({ id: one.id, name: `${one.name}, ${one.formula}` }))"
    />
    <div class="TakeIn-row">
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
    <div class="TakeIn-acts">
      <BigTarget label="Add to shelf" hint="enter" @press="save" />
      <BigTarget plain label="Back to Shelf" @press="router.push({ name: 'shelf' })" />
    </div>
    <EnterSubmits>Add to shelf</EnterSubmits>
  </form>
</template>

<style scoped>
.TakeIn {
  display: grid;
  gap: var(--es-space-4);
  max-width: 51.25rem;
}

.TakeIn-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--es-space-1) var(--es-space-6);
}

.TakeIn-fault {
  color: var(--es-ember);
}

.TakeIn-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}
</style>
