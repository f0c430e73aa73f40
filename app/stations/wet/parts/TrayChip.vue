<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
import { computed } from 'vue'
import { clocksOf } from '@core/run/deadlines'
import { numbersSaid } from '@core/quantity/numbers'
import { stepInHand } from '@core/run/runState'
import { useNow } from '../../../state/useNow'
import type { SheetInRoom } from '../../../state/workroom.store'
import { ledgeFigure } from '../../../words/clockWords'

/** One sheet, or sheets of a row that went in together, in a tray, with its clock. It alone is drawn at every beat. */
const props = defineProps<{ group: readonly SheetInRoom[]; isInHand: boolean; hasClock: boolean }>()
defineEmits<{ choose: [] }>()
const now = useNow()
const numbers = computed(() => numbersSaid(props.group.map(({ sheet }) => sheet.number)))
const state = computed(() => props.group[0]?.state)
const clock = computed(() =>
  state.value
    ? clocksOf(state.value, now.now).find(
        (reading) => state.value && reading.stepId === stepInHand(state.value)?.planned.id,
      )
    : undefined,
)
const figure = computed(() => (clock.value && props.hasClock ? ledgeFigure(clock.value) : ''))
const isOver = computed(() => (clock.value?.remainingSeconds ?? 1) <= 0)
</script>

<template>
  <PressCard
    class="TrayChip"
    :class="{ 'is-over': isOver }"
    :aria-pressed="isInHand"
    @click="$emit('choose')"
  >
    <span class="es-unseen">
      {{ group.length > 1 ? `Sheets ${numbers}` : `Sheet ${numbers}, ${group[0]?.sheet.title}` }}
    </span>
    <span aria-hidden="true">{{ numbers }}</span>
    <small v-if="hasClock">{{ figure }}</small>
  </PressCard>
</template>

<style scoped>
.TrayChip {
  display: grid;
  contain: layout style;
  gap: var(--es-space-1);
  align-content: center;
  justify-items: center;
  width: 3.875rem;
  height: 5rem;
  border: 0;
  background: var(--es-card);
  box-shadow: var(--es-shadow);
  cursor: pointer;
  font-size: var(--es-size-lead);
}

small {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
  font-variant-numeric: tabular-nums;
  text-align: center;
}

.is-over small {
  color: var(--es-ember);
  font-weight: 700;
}

.TrayChip[aria-pressed='true'] {
  box-shadow:
    inset 0 -4px 0 var(--es-ember),
    var(--es-shadow);
}
</style>
