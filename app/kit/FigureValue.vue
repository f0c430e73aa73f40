<script setup lang="ts">
import PressCard from './PressCard.vue'
import { computed, watch } from 'vue'
import type { Figure } from '@core/quantity/figure'
import { figureText } from '../words/figureText'
import { useMargin } from '../state/margin.store'

const props = defineProps<{ label: string; figure: Figure; text?: string }>()
const margin = useMargin()
const isOpen = computed(() => margin.isShowing(props.label))
// An open working follows its figure.
watch(
  () => props.figure,
  (figure) => {
    if (isOpen.value) margin.opened = { label: props.label, figure }
  },
)
</script>

<template>
  <PressCard class="FigureValue" :aria-expanded="isOpen" @click="margin.toggle(label, figure)">
    <strong>{{ text ?? figureText(figure) }}</strong>
    <span>{{ label }}</span>
  </PressCard>
</template>

<style scoped>
.FigureValue {
  display: grid;
  gap: var(--es-space-2);
  padding: var(--es-space-3) 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
}

.FigureValue strong {
  justify-self: start;
  border-bottom: 1px dotted var(--es-line);
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.FigureValue:hover strong {
  border-bottom: 1px solid var(--es-ink);
}

.FigureValue[aria-expanded='true'] strong {
  box-shadow: 0 2px 0 var(--es-ember);
  border-color: var(--es-ember);
}

.FigureValue span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
