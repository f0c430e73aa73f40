<script setup lang="ts">
import { computed } from 'vue'
import { formatClock } from '@core/quantity/format'

/** The exposure as a rule: how far it has run, where looks pay, where they were taken. */
const props = defineProps<{
  elapsed: number
  planned: number
  looks: readonly { share: number; lookFor: string }[]
  /** Looks that were taken, in seconds of the exposure. */
  taken: readonly number[]
}>()

/** An exposure that was forgotten fills the rule, and the marks of its plan stay apart. */
const full = computed(() => Math.max(props.planned, Math.min(props.elapsed, 2 * props.planned), 1))
const at = (seconds: number) => `${Math.min(100, (100 * seconds) / full.value)}%`
</script>

<template>
  <div class="ExposureRule" aria-hidden="true">
    <div class="ExposureRule-done" :style="{ width: at(elapsed) }" />
    <span class="ExposureRule-mark is-start">start</span>
    <span
      v-for="look in looks"
      :key="look.share"
      class="ExposureRule-mark"
      :style="{ left: at(look.share * planned) }"
    >
      <span v-if="look.share > 0.12 && look.share < 0.8" class="ExposureRule-check">check</span>
    </span>
    <span class="ExposureRule-mark is-end" :style="{ left: at(planned) }">{{ formatClock(planned) }}</span>
    <span v-for="seconds in taken" :key="seconds" class="ExposureRule-taken" :style="{ left: at(seconds) }" />
  </div>
</template>

<style scoped>
.ExposureRule {
  position: relative;
  min-height: 2.75rem;
  margin-top: var(--es-space-3);
  border-top: 2px solid var(--es-rule);
}

.ExposureRule-done {
  height: 10px;
  margin-top: calc(-1 * var(--es-space-1));
  background: var(--es-ember);
}

.ExposureRule-mark {
  position: absolute;
  top: -2px;
  padding: var(--es-space-5) 0 0;
  border-left: 2px solid var(--es-line);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
  text-indent: 5px;
}

.ExposureRule-mark.is-start {
  left: 0;
}

.ExposureRule-mark.is-end {
  padding-right: var(--es-space-2);
  border-right: 2px solid var(--es-ink);
  border-left: 0;
  transform: translateX(-100%);
}

@media (width <= 40em) {
  .ExposureRule-check {
    display: none;
  }
}

.ExposureRule-taken {
  position: absolute;
  top: -9px;
  width: 9px;
  height: 9px;
  border: 2px solid var(--es-ink);
  border-radius: 50%;
  background: var(--es-page);
  transform: translateX(-50%);
}
</style>
