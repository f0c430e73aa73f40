<script setup lang="ts">
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
    <input :id="id" v-model.number="value" type="range" :min="min" :max="max" :step="step" />
  </div>
</template>

<style scoped>
.SlideField {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px 12px;
  min-height: 62px;
  color: var(--es-quiet);
  font-size: 14px;
}

output {
  color: var(--es-ink);
}

input {
  grid-column: 1 / -1;
  width: 100%;
  height: 3px;
  margin: 8px 0;
  background: var(--es-line);
  appearance: none;
}

input::-webkit-slider-thumb {
  width: 14px;
  height: 22px;
  border: 2px solid var(--es-ember);
  background: var(--es-page);
  appearance: none;
}

input::-moz-range-thumb {
  width: 12px;
  height: 20px;
  border: 2px solid var(--es-ember);
  border-radius: 0;
  background: var(--es-page);
}
</style>
