<script setup lang="ts">
import type { LightKind } from '@core/schema/definition'

/** A light as one sees it: the sun, a bulb, a row of tubes, a box of them. `strength` is what is left of it, 0 to 1. */
withDefaults(defineProps<{ kind: LightKind; strength?: number; lit?: boolean }>(), {
  strength: 1,
  lit: false,
})
const RAYS = Array.from({ length: 12 }, (_, i) => (i * Math.PI) / 6)
</script>

<template>
  <svg class="LightGlyph" :class="{ 'is-lit': lit }" viewBox="0 0 96 72" aria-hidden="true">
    <g v-if="kind === 'sun'">
      <circle cx="48" cy="36" r="13" class="LightGlyph-glow" />
      <line
        v-for="angle in RAYS"
        :key="angle"
        :x1="48 + 19 * Math.cos(angle)"
        :y1="36 + 19 * Math.sin(angle)"
        :x2="48 + 29 * Math.cos(angle)"
        :y2="36 + 29 * Math.sin(angle)"
      />
    </g>
    <g v-else-if="kind === 'lamp'">
      <path d="M30 20 L66 20 L76 44 L20 44 Z" fill="none" />
      <path d="M36 44 A12 12 0 0 0 60 44 Z" class="LightGlyph-glow" />
      <line x1="48" y1="4" x2="48" y2="20" />
    </g>
    <g v-else>
      <rect v-if="kind === 'uvBox'" x="8" y="8" width="80" height="56" fill="none" />
      <g v-for="row in 4" :key="row">
        <rect x="14" :y="4 + row * 12" width="68" height="6" fill="none" />
        <rect x="14" :y="4 + row * 12" :width="68 * strength" height="6" class="LightGlyph-glow" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.LightGlyph {
  width: 6rem;
  height: 72px;
  fill: none;
  stroke: var(--es-ink);
  stroke-width: 2;
}

.LightGlyph-glow {
  fill: var(--es-rule);
  stroke: none;
}

.LightGlyph.is-lit .LightGlyph-glow {
  fill: var(--es-ember);
}
</style>
