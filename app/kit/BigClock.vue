<script setup lang="ts">
import { computed } from 'vue'
import { isOverExposed, type ClockReading } from '@core/run/deadlines'
import { formatClock, formatSpan } from '@core/quantity/format'

const props = defineProps<{ reading: ClockReading }>()

/** A limit of handwork and a clock without a target count up; everything else counts down to the end. */
const countsUp = computed(() => props.reading.remainingSeconds === null || props.reading.kind === 'within')
const shown = computed(() =>
  countsUp.value
    ? formatClock(props.reading.elapsedSeconds)
    : formatClock(Math.ceil(props.reading.remainingSeconds ?? 0)),
)
const isOver = computed(() => (props.reading.remainingSeconds ?? 1) <= 0)
const line = computed(() => {
  const { kind, targetSeconds, held } = props.reading
  if (targetSeconds === null) return 'since the start'
  const span = formatSpan(targetSeconds)
  if (held) return `left of ${span}, clock paused`
  if (kind === 'toEnd' && isOverExposed(props.reading.elapsedSeconds, targetSeconds))
    return `past the planned ${span}: over-exposed`
  if (kind === 'toEnd') return isOver.value ? `past the planned ${span}` : `left of ${span}`
  if (kind === 'within') return isOver.value ? `past the ${span} a coat takes` : `of at most ${span}`
  return isOver.value ? `past the minimum ${span}: judge by eye` : `left of at least ${span}`
})
</script>

<template>
  <div class="BigClock" :class="{ 'is-over': isOver, 'is-held': reading.held }">
    <div class="BigClock-figure" :style="{ '--digits': shown.length }" role="timer">{{ shown }}</div>
    <p>{{ line }}</p>
  </div>
</template>

<style scoped>
.BigClock {
  container-type: inline-size;
}

/* As large as its place allows, however many digits it has: one takes about 0.62 of its height. */
.BigClock-figure {
  font-size: min(var(--clock-size, calc(1.6 * var(--es-size-clock))), calc(155cqi / var(--digits)));
  line-height: 1;
  letter-spacing: -0.02em;
}

.BigClock.is-over .BigClock-figure {
  color: var(--es-ember);
}

.BigClock.is-held .BigClock-figure {
  opacity: 0.6;
}

p {
  font-size: var(--es-size-lead);
}
</style>
