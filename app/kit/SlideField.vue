<script setup lang="ts">
import RangeSlider from './RangeSlider.vue'
import { useId } from 'vue'

/** A share that is slid by hand or by key, with what it comes to beside it. */
withDefaults(defineProps<{ label: string; min?: number; max?: number; step?: number; said?: string }>(), {
  min: 0,
  max: 100,
  step: 1,
})
const value = defineModel<number>({ required: true })
const id = useId()
</script>

<template>
  <div class="SlideField">
    <label :for="id">{{ label }}</label>
    <output :for="id">{{ said ?? value }}</output>
    <RangeSlider :id="id" v-model="value" class="SlideField-line" :min="min" :max="max" :step="step" />
  </div>
</template>

<style scoped>
.SlideField {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--es-space-3) var(--es-space-4);
  min-height: 3.875rem;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

output {
  color: var(--es-ink);
}

.SlideField-line {
  grid-column: 1 / -1;
  width: 100%;
}
</style>
