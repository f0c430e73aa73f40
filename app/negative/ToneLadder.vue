<script setup lang="ts">
import { computed } from 'vue'
import TintedPicture from '../shell/TintedPicture.vue'
import type { Rung } from './negativeWords'

/** Tones as a ladder from picture to print: its rungs crowd where tones merge. */
const props = defineProps<{ rungs: readonly Rung[] }>()
const HEIGHT = 340
const y = (lightness: number) => 14 + ((100 - lightness) / 100) * (HEIGHT - 28)
const grey = (lightness: number) => {
  const Y = lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / (29 / 3) ** 3
  const coded = Y <= 0.0031308 ? 12.92 * Y : 1.055 * Y ** (1 / 2.4) - 0.055
  const level = Math.round(255 * Math.min(1, Math.max(0, coded)))
  return `rgb(${level} ${level} ${level})`
}
const drawn = computed(() =>
  props.rungs.map((rung) => ({
    ...rung,
    from: y(rung.tone),
    to: y(rung.print),
    path: `M44 ${y(rung.tone)}C110 ${y(rung.tone)} 130 ${y(rung.print)} 196 ${y(rung.print)}`,
  })),
)
const closed = computed(() => props.rungs.filter((rung) => rung.closesUp).length)
</script>

<template>
  <figure class="ToneLadder">
    <figcaption>
      <span>picture</span>
      <span>print</span>
    </figcaption>
    <TintedPicture class="ToneLadder-ground">
      <svg
        :viewBox="`0 0 240 ${HEIGHT}`"
        role="img"
        :aria-label="`Tones from picture to print; ${closed} of ${rungs.length} close up`"
      >
        <g v-for="rung in drawn" :key="rung.tone">
          <path :d="rung.path" :class="{ 'is-closed': rung.closesUp }" />
          <rect x="14" :y="rung.from - 5" width="30" height="10" :fill="grey(rung.tone)" />
          <rect x="196" :y="rung.to - 5" width="30" height="10" :fill="grey(rung.print)" />
        </g>
      </svg>
    </TintedPicture>
  </figure>
</template>

<style scoped>
.ToneLadder {
  width: 260px;
  margin: 0;
}

figcaption {
  display: flex;
  justify-content: space-between;
  padding: 0 14px 4px;
  color: var(--es-quiet);
  font-size: 14px;
}

.ToneLadder-ground {
  background: var(--es-picture);
}

path {
  fill: none;
  stroke: #8d8672;
  stroke-width: 1.5;
}

path.is-closed {
  stroke: #b83a0a;
  stroke-width: 2.2;
}
</style>
