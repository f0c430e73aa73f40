<script setup lang="ts">
import { formatSpan } from '@core/quantity/format'

/** A test strip lying in the frame: its marks, and the card over those that are covered. */
defineProps<{
  times: readonly number[]
  /** Marks under the card, from 1. */
  covered: number
  /** Density of each mark where it was read, for shading. */
  densities?: readonly (number | null)[]
  chosen?: number | null
}>()
defineEmits<{ pick: [mark: number] }>()
</script>

<template>
  <ol class="StripCard" aria-label="Steps of the test strip">
    <li
      v-for="(seconds, at) in times"
      :key="at"
      :class="{ 'is-covered': at < covered, 'is-chosen': chosen === at + 1 }"
      :style="{
        '--black': densities?.[at] == null ? undefined : String(Math.min(1, (densities[at] ?? 0) / 1.6)),
      }"
    >
      <slot :mark="at + 1" :seconds="seconds">
        <strong>{{ at + 1 }}</strong>
        <span>{{ formatSpan(Math.round(seconds)) }}</span>
        <span v-if="at < covered" class="es-unseen">covered</span>
      </slot>
    </li>
  </ol>
</template>

<style scoped>
.StripCard {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(4.75rem, 1fr));
  max-width: 56.25rem;
  margin: 0;
  padding: 0;
  border: 1px solid var(--es-line);
  list-style: none;
}

.StripCard li {
  display: grid;
  gap: var(--es-space-1);
  align-content: end;
  min-height: 4.625rem;
  padding: var(--es-space-3) var(--es-space-3);
  box-shadow: 1px 0 var(--es-line);
  background: linear-gradient(
    color-mix(in srgb, var(--es-graphite) calc(var(--black, 0) * 100%), transparent) 0 34px,
    transparent 34px
  );
}

.StripCard li.is-covered {
  background: repeating-linear-gradient(-45deg, var(--es-rule) 0 6px, transparent 6px 12px);
}

.StripCard li.is-chosen {
  box-shadow: inset 0 -4px var(--es-ember);
}

.StripCard strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.StripCard span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
