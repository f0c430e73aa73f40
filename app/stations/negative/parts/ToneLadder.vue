<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref, useTemplateRef } from 'vue'
import { AS_IT_IS, MOST_POINTS, withPointMore, withPointMoved, type TonePoint } from '@core/negative/tone'
import { colourOf, srgbOf, type PrintColours } from '@core/negative/proof'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { greyOf } from '../greyOf'
import type { Rung } from '../negativeWords'

/**
 * Tones as a ladder from picture over plan to print: its rungs crowd where tones merge, and the handles between picture
 * and plan are pulled by mouse or by key. Along the picture stands how much of it has each tone.
 */
const props = defineProps<{
  rungs: readonly Rung[]
  histogram: readonly number[]
  /** Colours of the print. */
  colours: PrintColours
}>()
const points = defineModel<TonePoint[]>({ required: true })

const [WIDTH, HEIGHT] = [330, 340] as const
const y = (lightness: number) => 14 + ((100 - lightness) / 100) * (HEIGHT - 28)
const drawn = computed(() =>
  props.rungs.map((rung) => {
    const [a, b, c] = [y(rung.tone), y(rung.planned), y(rung.print)]
    return {
      ...rung,
      from: a,
      to: c,
      path: `M76 ${a}C106 ${a} 126 ${b} 156 ${b}C196 ${b} 236 ${c} 276 ${c}`,
    }
  }),
)
const closed = computed(() => props.rungs.filter((rung) => rung.closesUp).length)
/** Shares of the picture as bars; the root keeps small ones in sight. */
const bars = computed(() => {
  const most = Math.sqrt(Math.max(1, ...props.histogram))
  return props.histogram.map((count, tone) => ({ tone, width: (40 * Math.sqrt(count)) / most }))
})

/** What is moved: a point's place in the picture, or what it is to become. */
type Side = 'from' | 'to'
const held = ref<{ index: number; side: Side } | null>(null)
const svg = useTemplateRef<SVGSVGElement>('svg')

const isEnd = (index: number) => index === 0 || index === points.value.length - 1
const move = (index: number, side: Side, value: number) =>
  (points.value = withPointMoved(points.value, index, side, value))
function follow(event: PointerEvent): void {
  if (!held.value || !svg.value) return
  const box = svg.value.getBoundingClientRect()
  const place = ((event.clientY - box.top) / box.height) * HEIGHT
  move(held.value.index, held.value.side, 100 * (1 - (place - 14) / (HEIGHT - 28)))
}
function take(event: PointerEvent, index: number, side: Side): void {
  held.value = { index, side }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
const STEP: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 5,
  PageDown: -5,
}
function key(event: KeyboardEvent, index: number, side: Side): void {
  const step = STEP[event.key]
  const point = points.value[index]
  if (step !== undefined && point) move(index, side, point[side] + step)
  else if ((event.key === 'Delete' || event.key === 'Backspace') && !isEnd(index))
    points.value = points.value.filter((_, i) => i !== index)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const nameOf = (index: number) =>
  index === 0 ? 'the black point' : index === points.value.length - 1 ? 'the white point' : `point ${index}`
</script>

<template>
  <figure class="ToneLadder">
    <figcaption>
      <span>picture</span>
      <span>planned</span>
      <span>print</span>
    </figcaption>
    <TintedPicture class="ToneLadder-ground">
      <svg
        ref="svg"
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="group"
        :aria-label="texts.tonesThatMerge({ merging: closed, of: rungs.length })"
        @pointermove="follow"
        @pointerup="held = null"
      >
        <rect
          v-for="bar in bars"
          :key="bar.tone"
          class="ToneLadder-bar"
          :x="42 - bar.width"
          :y="y(bar.tone) - 1.6"
          :width="bar.width"
          height="3.2"
        />
        <g v-for="rung in drawn" :key="rung.tone">
          <path :d="rung.path" :class="{ 'is-closed': rung.closesUp }" />
          <rect x="46" :y="rung.from - 5" width="30" height="10" :fill="greyOf(rung.tone)" />
          <rect
            x="276"
            :y="rung.to - 5"
            width="30"
            height="10"
            :fill="`rgb(${srgbOf(colourOf(colours, rung.print)).join(' ')})`"
          />
        </g>
        <template v-for="(point, index) in points" :key="index">
          <path
            class="ToneLadder-handle"
            :d="`M80 ${y(point.from)}l14 -9v18z`"
            role="slider"
            tabindex="0"
            :aria-label="`Tone of the picture at ${nameOf(index)}`"
            aria-orientation="vertical"
            aria-valuemin="0"
            aria-valuemax="100"
            :aria-valuenow="point.from"
            :aria-valuetext="`L* ${point.from} becomes ${point.to}`"
            @pointerdown="take($event, index, 'from')"
            @keydown="key($event, index, 'from')"
          />
          <circle
            v-if="!isEnd(index)"
            class="ToneLadder-handle"
            cx="156"
            :cy="y(point.to)"
            r="9"
            role="slider"
            tabindex="0"
            :aria-label="`What ${nameOf(index)} becomes`"
            aria-orientation="vertical"
            aria-valuemin="0"
            aria-valuemax="100"
            :aria-valuenow="point.to"
            :aria-valuetext="`L* ${point.from} becomes ${point.to}`"
            @pointerdown="take($event, index, 'to')"
            @keydown="key($event, index, 'to')"
          />
        </template>
      </svg>
    </TintedPicture>
    <p>
      <KitButton
        kind="quiet"
        :disabled="points.length >= MOST_POINTS"
        @click="points = withPointMore(points)"
      >
        Add a point
      </KitButton>
      <KitButton
        v-if="points.length > 2 || points[0]?.from !== 0 || points.at(-1)?.from !== 100"
        kind="quiet"
        @click="points = AS_IT_IS.map((point) => ({ ...point }))"
      >
        reset
      </KitButton>
    </p>
  </figure>
</template>

<style scoped>
.ToneLadder {
  width: 21.25rem;
  margin: 0;
}

figcaption {
  display: flex;
  justify-content: space-between;
  padding: 0 var(--es-space-7) var(--es-space-2) var(--es-space-8);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.ToneLadder-ground {
  background: var(--es-picture);
  touch-action: none;
}

svg {
  display: block;
  max-height: 320px;
}

path {
  fill: none;
  stroke: var(--es-drawing-grid);
  stroke-width: 1.5;
}

path.is-closed {
  stroke: var(--es-drawing-mark);
  stroke-width: 2.2;
}

.ToneLadder-bar {
  fill: var(--es-drawing-bar);
}

.ToneLadder-handle {
  fill: var(--es-drawing-point);
  stroke: var(--es-drawing-mark);
  stroke-width: 2;
  cursor: ns-resize;
}

.ToneLadder-handle:focus-visible {
  fill: var(--es-drawing-mark);
  outline: none;
}

p {
  display: flex;
  gap: var(--es-space-5);
}
</style>
