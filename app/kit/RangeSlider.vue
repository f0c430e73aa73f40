<script setup lang="ts">
/** A value that is set by drawing a thumb along a line. */
const { min = 0, max = 100, step = 1 } = defineProps<{ min?: number; max?: number; step?: number }>()
const value = defineModel<number>({ required: true })
</script>

<template>
  <input v-model.number="value" class="RangeSlider" type="range" :min="min" :max="max" :step="step" />
</template>

<style scoped>
.RangeSlider {
  height: 24px;
  margin: 0;
  background: linear-gradient(var(--es-line), var(--es-line)) center / 100% 3px no-repeat;
  appearance: none;
}

.RangeSlider::-webkit-slider-thumb {
  width: 16px;
  height: 24px;
  border: 2px solid var(--es-ember);
  background: var(--es-page);
  appearance: none;
}

.RangeSlider::-moz-range-thumb {
  width: 14px;
  height: 22px;
  border: 2px solid var(--es-ember);
  border-radius: 0;
  background: var(--es-page);
}
</style>
