<script setup lang="ts">
import { computed } from 'vue'
import type { Figure } from '@core/quantity/figure'
import { figureText } from './figureText'
import { useMargin } from './margin.store'

const props = defineProps<{ label: string; figure: Figure; text?: string }>()
const margin = useMargin()
const isOpen = computed(() => margin.isShowing(props.label))
</script>

<template>
  <button class="FigureValue" type="button" :aria-expanded="isOpen" @click="margin.toggle(label, figure)">
    <strong>{{ text ?? figureText(figure) }}</strong>
    <span>{{ label }}</span>
  </button>
</template>

<style scoped>
.FigureValue {
  display: grid;
  gap: 3px;
  padding: 6px 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
}

.FigureValue strong {
  justify-self: start;
  border-bottom: 1px dotted var(--es-line);
  font-size: 17px;
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
  font-size: 14px;
}
</style>
