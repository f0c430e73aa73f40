<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { wasteClasses } from '@library/index'
import FindingList from '../../../kit/FindingList.vue'
import { dayOf } from '../../../words/moments'
import QuantityField from '../../../kit/QuantityField.vue'
import { downloadLabel } from '../downloadLabel'
import { undoTakeIn } from '../../../state/actions/shelf.actions'
import { useBottlePanel, type BottlePanelProps } from '../useBottlePanel'

/** A bottle in hand: take some out, count it, print its label, throw it away; and what has gone out of it so far. */
const props = defineProps<BottlePanelProps>()
const emit = defineEmits<{ gone: [] }>()

const {
  router,
  bottle,
  unit,
  dimension,
  amount,
  fault,
  take,
  count,
  wasteClass,
  findings,
  pressWords,
  discard,
  unmake,
  relabel,
  gone,
  isMadeHere,
  mayTopUp,
  shown,
} = useBottlePanel(props, emit)
</script>

<template>
  <section class="BottlePanel" :aria-label="`${bottle.name} ${bottle.label}`">
    <div class="BottlePanel-acts">
      <h2>
        {{ bottle.name }} {{ bottle.label }}
        <span class="es-quiet">
          {{ standing.left === null ? 'not measured' : `${shown(standing.left)} left` }}
        </span>
      </h2>
      <QuantityField
        v-model="amount"
        :label="`Amount, ${unit}`"
        :fault="fault"
        :placeholder="unit === 'g' ? '5 g' : '20 ml'"
        :dimension="dimension"
        :unit="unit"
      />
      <div class="BottlePanel-buttons">
        <KitButton @click="take">Remove this amount</KitButton>
        <KitButton @click="count">Set as amount left</KitButton>
        <KitButton @click="downloadLabel(bottle)">Label, PDF</KitButton>
        <KitButton
          v-if="bottle.kind !== 'solution'"
          @click="router.push({ name: 'make', query: { substance: bottle.contents[0]?.substanceId } })"
        >
          Make a solution from it
        </KitButton>
        <template v-if="bottle.kind === 'solution'">
          <KitButton @click="router.push({ name: 'make', query: { dilute: bottle.id } })">Dilute</KitButton>
          <KitButton v-if="mayTopUp" @click="router.push({ name: 'make', query: { topUp: bottle.id } })">
            Top up
          </KitButton>
        </template>
        <KitButton v-if="bottle.statedPercent !== undefined" @click="relabel">Correct the label</KitButton>
        <KitButton @click="discard">{{ pressWords }}</KitButton>
        <KitButton v-if="isMadeHere" @click="unmake">Undo this bottle</KitButton>
      </div>
      <FindingList :findings="findings" />
      <p class="es-quiet">{{ wasteClasses[wasteClass].ask }}</p>
    </div>
    <ol class="BottlePanel-gone" aria-label="Uses">
      <li v-for="one in gone.slice(0, 12)" :key="one.key">
        <span>{{ dayOf(one.at) }}</span>
        <span>{{ one.words }}</span>
        <strong>{{ one.amount < 0 ? `+${shown(-one.amount)}` : shown(one.amount) }}</strong>
        <KitButton v-if="one.takingId" kind="quiet" @click="undoTakeIn(one.takingId)">undo</KitButton>
        <RouterLink v-else :to="{ name: 'print', params: { sheetId: one.sheetId } }">sheet</RouterLink>
      </li>
      <li v-if="!gone.length" class="es-quiet">Not used yet.</li>
    </ol>
  </section>
</template>

<style scoped>
.BottlePanel {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: var(--es-space-5) var(--es-space-8);
}

.BottlePanel-acts {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

.BottlePanel-buttons {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-3);
}

.BottlePanel-gone {
  display: grid;
  gap: var(--es-space-1);
  align-content: start;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 92px 1fr auto 54px;
  gap: var(--es-space-3);
  align-items: baseline;
  padding: var(--es-space-2) 0;
  border-bottom: 1px solid var(--es-rule);
  font-size: var(--es-size-body);
}

li strong {
  font-weight: 400;
}

@media (width <= 68.75em) {
  .BottlePanel {
    grid-template-columns: 1fr;
  }
}
</style>
