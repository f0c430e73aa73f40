<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
import { computed } from 'vue'
import { clocksOf } from '@core/run/deadlines'
import { stepInHand } from '@core/run/runState'
import { useNow } from '../../../state/useNow'
import type { SheetInRoom } from '../../../state/workroom.store'
import { ledgeFigure } from '../../../words/clockWords'

/** One sheet in its tray, with its clock. It alone is drawn at every beat. */
const props = defineProps<{ one: SheetInRoom; isInHand: boolean; hasClock: boolean }>()
defineEmits<{ choose: [] }>()
const now = useNow()
const clock = computed(() =>
  clocksOf(props.one.state, now.now).find(
    (reading) => reading.stepId === stepInHand(props.one.state)?.planned.id,
  ),
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
    <span class="es-unseen">Sheet {{ one.sheet.number }}, {{ one.sheet.title }}</span>
    <span aria-hidden="true">{{ one.sheet.number }}</span>
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
