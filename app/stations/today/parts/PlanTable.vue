<script setup lang="ts">
import KitTable from '../../../kit/KitTable.vue'
import { computed } from 'vue'
import type { PlannedMove } from '@core/schedule/bookings'
import { formatSpan } from '@core/quantity/format'
import { useWorkroom } from '../../../state/workroom.store'
import { timeOfDay } from '../../../words/moments'
import { stepNamed } from '../stepNamed'

/** A plan told in the order of the day: what the hands do when, and with which sheet. */
const props = defineProps<{ moves: readonly PlannedMove[]; hands: readonly PlannedMove[] }>()
const workroom = useWorkroom()

const rows = computed(() =>
  [...props.moves]
    .sort((a, b) => a.from - b.from)
    .map((move) => {
      const one = workroom.find(move.sheetId)
      const words = stepNamed(one, move.stepId)
      const busy = props.hands
        .filter((span) => span.sheetId === move.sheetId && span.stepId === move.stepId)
        .reduce((sum, span) => sum + span.to - span.from, 0)
      return {
        key: `${move.sheetId}/${move.stepId}`,
        at: timeOfDay(move.from),
        number: one?.sheet.number,
        mark: one?.definition.mark ?? 'graphite',
        title: words?.title ?? move.stepId,
        lasts: formatSpan((move.to - move.from) / 1000),
        hands: busy ? formatSpan(busy / 1000) : '',
      }
    }),
)
</script>

<template>
  <KitTable class="PlanTable" :columns="['Time', 'Sheet', 'Step', 'Duration', 'Hands']">
    <tr v-for="row in rows" :key="row.key">
      <td>{{ row.at }}</td>
      <td>
        <span :style="{ background: `var(--es-${row.mark})` }" />
        {{ row.number }}
      </td>
      <td>{{ row.title }}</td>
      <td>{{ row.lasts }}</td>
      <td>{{ row.hands }}</td>
    </tr>
  </KitTable>
</template>

<style scoped>
.PlanTable {
  width: 100%;
  max-width: 47.5rem;
  margin-top: var(--es-space-3);
}

td span {
  display: inline-block;
  width: 9px;
  height: 9px;
  border-radius: 50%;
}
</style>
