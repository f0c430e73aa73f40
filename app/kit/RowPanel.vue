<script setup lang="ts">
import { computed } from 'vue'
import { numbersSaid } from '@core/quantity/numbers'
import type { SheetInRoom } from '../state/workroom.store'
import KitButton from './KitButton.vue'
import { texts } from './words'

/** The sheets of a row for which the next press counts as well; single ones can be left out of it, or taken out for good. */
const props = defineProps<{
  inHand: SheetInRoom
  row: readonly SheetInRoom[]
  leftOut: ReadonlySet<string>
}>()
const emit = defineEmits<{ toggle: [sheetId: string]; takeOut: [] }>()
const pressed = computed(() =>
  numbersSaid(
    [props.inHand, ...props.row.filter(({ sheet }) => !props.leftOut.has(sheet.id))].map(
      ({ sheet }) => sheet.number,
    ),
  ),
)
</script>

<template>
  <details v-if="row.length" class="RowPanel" aria-label="Row">
    <summary>
      <strong>{{ texts.pressCountsFor({ numbers: pressed }) }}</strong>
      <span class="es-quiet">Change</span>
    </summary>
    <p class="es-quiet">{{ texts.leaveOutOfPress }}</p>
    <div>
      <KitButton
        v-for="one in row"
        :key="one.sheet.id"
        :aria-pressed="!leftOut.has(one.sheet.id)"
        :aria-label="`Sheet ${one.sheet.number}, ${one.sheet.title}, with it`"
        @click="emit('toggle', one.sheet.id)"
      >
        {{ one.sheet.number }}
        <span class="RowPanel-name">{{ one.sheet.title }}</span>
      </KitButton>
      <KitButton kind="quiet" @click="emit('takeOut')">
        Take sheet {{ inHand.sheet.number }} out of the row
      </KitButton>
    </div>
  </details>
</template>

<style scoped>
.RowPanel summary {
  min-height: 1.75rem;
  cursor: pointer;
}

.RowPanel summary .es-quiet {
  margin-left: var(--es-space-3);
  text-decoration: underline;
}

.RowPanel p {
  margin: var(--es-space-3) 0;
}

.RowPanel div {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2);
}

.RowPanel-name {
  overflow: hidden;
  max-width: 5rem;
  margin-left: var(--es-space-2);
  font-size: var(--es-size-small);
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
