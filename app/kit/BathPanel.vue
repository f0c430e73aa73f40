<script setup lang="ts">
import KitButton from './KitButton.vue'
import { digits, formatQuantity } from '@core/quantity/format'
import ChoiceRow from './ChoiceRow.vue'
import BigTarget from './BigTarget.vue'
import FigureValue from './FigureValue.vue'
import FindingList from './FindingList.vue'
import FixerTest from './FixerTest.vue'
import SilverByDrops from './SilverByDrops.vue'
import SelectField from './SelectField.vue'
import QuantityField from './QuantityField.vue'
import { useBathPanel, type BathPanelProps } from './useBathPanel'

/** One tray opened: filled from the shelf, replenished, filtered, its temperature, poured away into its jar. */
const props = defineProps<BathPanelProps>()
defineEmits<{ close: [] }>()

const {
  faults,
  solution,
  bath,
  standing,
  solutesLine,
  capacityLine,
  silverPercent,
  isFixer,
  besides,
  use,
  MANNERS,
  manner,
  volume,
  water,
  celsius,
  bottleId,
  addition,
  bottleOptions,
  addOptions,
  isFillingAnother,
  fill,
  add,
  filter,
  warm,
  findings,
  pressWords,
  pourAway,
} = useBathPanel(props)
</script>

<template>
  <section v-if="solution" class="BathPanel" :aria-label="solution.name">
    <header>
      <h2>{{ solution.name }}</h2>
      <p class="es-quiet">{{ solutesLine }}</p>
      <KitButton v-if="!stays" kind="quiet" @click="$emit('close')">Close</KitButton>
    </header>

    <div v-if="bath && standing && !isFillingAnother" class="BathPanel-row">
      <p>{{ capacityLine }}</p>
      <FigureValue
        v-if="standing.used"
        label="of capacity used"
        :figure="standing.used"
        :text="`${digits(100 * standing.used.value, 2)} %`"
      />
      <FigureValue
        label="in the tray"
        :figure="standing.level"
        :text="formatQuantity(standing.level.value, 'volume')"
      />
      <FigureValue
        label="of strength left"
        :figure="standing.strength"
        :text="`${digits(100 * standing.strength.value, 3)} %`"
      />
      <QuantityField
        v-model="celsius"
        label="Temperature, °C"
        :fault="faults.temperature"
        dimension="temperature"
        unit="degC"
        @change="warm"
      />
      <template v-if="bath.manner !== 'oneShot'">
        <QuantityField
          v-model="addition"
          label="Fresh solution"
          :fault="faults.addition"
          dimension="volume"
          unit="ml"
        />
        <SelectField
          v-if="addOptions.length > 1"
          v-model="bottleId"
          label="From bottle"
          :options="addOptions"
        />
        <BigTarget quiet label="Replenish" @press="add" />
        <BigTarget quiet label="Filtered" @press="filter" />
      </template>
      <BigTarget quiet :label="pressWords" @press="pourAway" />
      <BigTarget plain label="Fill a fresh one beside it" @press="isFillingAnother = true" />
    </div>

    <form v-else class="BathPanel-row" @submit.prevent="fill">
      <QuantityField
        v-model="volume"
        label="Volume in the tray"
        :fault="faults.volume"
        dimension="volume"
        unit="ml"
      />
      <QuantityField
        v-if="bottleId"
        v-model="water"
        label="Of this, water"
        :fault="faults.water"
        placeholder="none"
        dimension="volume"
        unit="ml"
      />
      <QuantityField
        v-model="celsius"
        label="Temperature, °C"
        :fault="faults.temperature"
        placeholder="as it is"
        dimension="temperature"
        unit="degC"
      />
      <SelectField
        v-if="bottleOptions.length > 1"
        v-model="bottleId"
        label="From bottle"
        :options="bottleOptions"
      />
      <ChoiceRow v-model="manner" label="Use" :options="MANNERS" />
      <BigTarget :quiet="stays" label="Fill the tray" @press="fill" />
      <BigTarget v-if="isFillingAnother" plain label="Cancel" @press="isFillingAnother = false" />
    </form>
    <p v-for="{ one: other, words } in besides" :key="other.id">
      {{ words }}
      <KitButton kind="quiet" @click="use(other)">Use this one</KitButton>
    </p>
    <SilverByDrops
      v-if="bath && standing && silverPercent"
      :wanted-percent="silverPercent"
      :millilitres="standing.level.value"
    />
    <FixerTest v-if="bath && isFixer" :key="bath.id" :bath="bath" />
    <FindingList :findings="findings" />
    <ul v-if="!bath" class="es-quiet">
      <li v-for="line in solution.stock.making" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.BathPanel {
  padding: var(--es-space-4) var(--es-space-5) var(--es-space-5);
  border: 1px solid var(--es-rule);
  background: var(--es-card);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: baseline;
}

.BathPanel-row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
  align-items: end;
  margin-top: var(--es-space-3);
}

.BathPanel-row > p {
  align-self: center;
  font-size: var(--es-size-body);
}

.BathPanel-row :deep(.BigTarget) {
  min-height: 2.875rem;
  margin-bottom: var(--es-space-5);
  padding: var(--es-space-3) var(--es-space-5);
  font-size: var(--es-size-body);
}

ul {
  margin: 0;
  padding-left: 1.1em;
  font-size: var(--es-size-small);
}

h2 {
  font-size: var(--es-size-lead);
}
</style>
