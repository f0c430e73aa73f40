<script setup lang="ts">
import { computed } from 'vue'
import type { TearingPlan } from '@core/paper/tearing'
import type { Sides } from '@core/paper/tearingBlocks'

/** The sheet to scale, its pieces, and the tears as numbered lines in the order in which they are made. */
const props = defineProps<{ sheet: Sides; plan: TearingPlan; sizeNames: readonly string[]; upTo: number }>()

/** Room on the page beside the marks, in pixels. */
const VIEW = { width: 300, height: 360 }
const scale = computed(() => Math.min(VIEW.width / props.sheet.width, VIEW.height / props.sheet.height))
const at = (value: number) => value * scale.value
const tears = computed(() =>
  props.plan.tears.map((tear, i) => {
    const { piece, way, at: mark } = tear
    const line =
      way === 'down'
        ? { x1: piece.x + mark, x2: piece.x + mark, y1: piece.y, y2: piece.y + piece.height }
        : { x1: piece.x, x2: piece.x + piece.width, y1: piece.y + mark, y2: piece.y + mark }
    return {
      n: i + 1,
      x1: at(line.x1),
      x2: at(line.x2),
      y1: at(line.y1),
      y2: at(line.y2),
      isNow: i + 1 === props.upTo,
    }
  }),
)
</script>

<template>
  <svg
    class="TearingDrawing"
    :viewBox="`-14 -14 ${at(sheet.width) + 28} ${at(sheet.height) + 28}`"
    :width="at(sheet.width) + 28"
    :height="at(sheet.height) + 28"
    role="img"
    :aria-label="`${plan.pieces.length} pieces by ${plan.tears.length} tears`"
  >
    <rect class="is-sheet" x="0" y="0" :width="at(sheet.width)" :height="at(sheet.height)" />
    <g v-for="(piece, i) in plan.pieces" :key="`p${i}`">
      <rect
        class="is-piece"
        :x="at(piece.x)"
        :y="at(piece.y)"
        :width="at(piece.width)"
        :height="at(piece.height)"
      />
      <text :x="at(piece.x + piece.width / 2)" :y="at(piece.y + piece.height / 2) + 5">
        {{ sizeNames[piece.size] }}
      </text>
    </g>
    <g v-for="tear in tears" :key="tear.n" :class="{ 'is-now': tear.isNow }">
      <line :x1="tear.x1" :x2="tear.x2" :y1="tear.y1" :y2="tear.y2" />
      <circle :cx="tear.x1" :cy="tear.y1" r="10" />
      <text class="is-number" :x="tear.x1" :y="tear.y1 + 4.5">{{ tear.n }}</text>
    </g>
  </svg>
</template>

<style scoped>
.TearingDrawing {
  max-width: 100%;
  height: auto;
}

.is-sheet {
  fill: var(--es-margin);
  stroke: var(--es-line);
}

.is-piece {
  fill: var(--es-card);
  stroke: var(--es-line);
}

text {
  fill: var(--es-quiet);
  font-size: var(--es-size-small);
  text-anchor: middle;
}

line {
  stroke: var(--es-ink);
  stroke-dasharray: 5 4;
}

circle {
  fill: var(--es-page);
  stroke: var(--es-ink);
}

.is-number {
  fill: var(--es-ink);
  font-size: var(--es-size-tiny);
}

.is-now line {
  stroke: var(--es-ember);
  stroke-dasharray: none;
  stroke-width: 2.5;
}

.is-now circle {
  stroke: var(--es-ember);
  stroke-width: 2.5;
}
</style>
