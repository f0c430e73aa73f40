<script setup lang="ts">
import KitTable from '../../../kit/KitTable.vue'
import { computed } from 'vue'
import type { PlannedMove } from '@core/schedule/bookings'
import { formatSpan } from '@core/quantity/format'
import { numbersSaid } from '@core/quantity/numbers'
import { toldInRows } from '@core/schedule/inRows'
import { useWorkroom } from '../../../state/workroom.store'
import { timeOfDay } from '../../../words/moments'
import { stepNamed } from '../stepNamed'

/** A plan told in the order of the day: what the hands do when, and with which sheet or row. */
const props = defineProps<{ moves: readonly PlannedMove[]; hands: readonly PlannedMove[] }>()
const workroom = useWorkroom()

const rows = computed(() =>
  toldInRows(props.moves, props.hands, (id) => {
    const batch = workroom.find(id)?.sheet.batch
    return batch && !batch.isAlone ? batch.id : undefined
  }).map((move) => {
    const sheets = move.sheetIds.map((id) => workroom.find(id))
    const [first] = sheets
    const isRow = sheets.length > 1
    return {
      key: `${move.sheetIds[0]}/${move.stepId}`,
      at: isRow ? `${timeOfDay(move.from)} to ${timeOfDay(move.to)}` : timeOfDay(move.from),
      numbers: numbersSaid(sheets.flatMap((one) => (one ? [one.sheet.number] : []))),
      mark: first?.definition.mark ?? 'graphite',
      title: stepNamed(first, move.stepId)?.title ?? move.stepId,
      lasts: `${formatSpan(move.each / 1000)}${isRow ? ' each' : ''}`,
      hands: move.hands ? formatSpan(move.hands / 1000) : '',
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
        {{ row.numbers }}
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
