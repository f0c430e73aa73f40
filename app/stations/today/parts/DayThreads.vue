<script setup lang="ts">
import { timeOfDay } from '../../../words/moments'
import { useDayThreads, type DayThreadsProps, type MovedStep } from '../useDayThreads'

/** The day as threads: time runs down, one line a sheet through bench, dark, light, water and line. */
const props = defineProps<DayThreadsProps>()
/** A step of the plan that was dragged, or moved by key, to another time. */
const emit = defineEmits<{ move: [step: MovedStep] }>()

const { now, workroom, size, layout, dragged, grasp, drag, drop, shiftOf, shift, open } = useDayThreads(
  props,
  emit,
)
</script>

<template>
  <div ref="frame" class="DayThreads">
    <svg
      :viewBox="`0 0 ${size.width} ${size.height}`"
      :width="size.width"
      :height="size.height"
      role="group"
      aria-label="The day as threads"
    >
      <g v-for="column in layout.columns" :key="column.place">
        <text class="DayThreads-column" :x="column.x" y="18">{{ column.title }}</text>
        <line class="DayThreads-rail" :x1="column.x" :x2="column.x" y1="34" :y2="size.height" />
      </g>
      <text
        v-for="hour in layout.hours"
        v-show="Math.abs(hour.y - layout.nowY) > 16"
        :key="hour.at"
        class="DayThreads-hour"
        x="0"
        :y="hour.y + 5"
      >
        {{ timeOfDay(hour.at) }}
      </text>
      <g v-if="layout.hands.length" aria-hidden="true">
        <text class="DayThreads-column" :x="layout.handsX + 8" y="18">Hands</text>
        <line
          v-for="(span, i) in layout.hands"
          :key="`h${i}`"
          class="DayThreads-hands"
          :style="{ stroke: `var(--es-${span.mark})` }"
          :x1="layout.handsX"
          :x2="layout.handsX"
          :y1="span.y1"
          :y2="Math.max(span.y2, span.y1 + 1)"
        />
      </g>
      <line class="DayThreads-now" x1="58" :x2="size.width" :y1="layout.nowY" :y2="layout.nowY" />
      <text class="DayThreads-time" x="0" :y="layout.nowY + 5">{{ timeOfDay(now.now) }}</text>
      <path class="DayThreads-present" :d="`M50 ${layout.nowY - 7}l13 7l-13 7z`" />

      <a
        v-for="thread in layout.threads"
        :key="thread.sheetId"
        class="DayThreads-thread"
        :style="{ '--thread': `var(--es-${thread.mark})` }"
        role="link"
        tabindex="0"
        :aria-label="`Sheet ${thread.number}, ${workroom.find(thread.sheetId)?.sheet.title}`"
        @click="open(thread.sheetId)"
        @keydown.enter="open(thread.sheetId)"
        @keydown.alt.down.prevent="shift(thread.sheetId, 1)"
        @keydown.alt.up.prevent="shift(thread.sheetId, -1)"
      >
        <path
          v-for="(one, i) in thread.joins"
          :key="`j${i}`"
          class="DayThreads-join"
          :class="{ 'is-ahead': one.ahead }"
          :d="one.path"
        />
        <line
          v-for="(stretch, i) in thread.stretches"
          :key="i"
          class="DayThreads-stretch"
          :class="[`is-${stretch.manner}`, { 'is-ahead': stretch.ahead, 'is-loose': stretch.planId }]"
          :transform="`translate(0 ${shiftOf(thread.sheetId, stretch)})`"
          :x1="stretch.x"
          :x2="stretch.x"
          :y1="stretch.y1"
          :y2="Math.max(stretch.y2, stretch.y1 + 0.5)"
          @pointerdown="grasp($event, thread.sheetId, stretch)"
          @pointermove="drag"
          @pointerup="drop"
          @pointercancel="dragged = null"
        />
        <circle class="DayThreads-head" :cx="thread.head.x" :cy="thread.head.y" r="13" />
        <text class="DayThreads-number" :x="thread.head.x" :y="thread.head.y + 5">{{ thread.number }}</text>
      </a>
      <!-- Words lie over all threads, so that no line crosses them out. -->
      <g v-for="thread in layout.threads" :key="thread.sheetId" class="DayThreads-words" aria-hidden="true">
        <template v-for="(stretch, i) in thread.stretches" :key="i">
          <text
            v-if="stretch.label"
            :x="stretch.x + (i === 0 ? 18 : 12)"
            :y="stretch.y1 + (i === 0 ? -5 : 15)"
          >
            {{ stretch.label }}
          </text>
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.DayThreads {
  overflow: auto;
  min-height: 320px;
}

svg {
  display: block;
}

.DayThreads-column {
  fill: var(--es-ink);
  font: 500 var(--es-size-lead) var(--es-serif);
  text-anchor: middle;
}

.DayThreads-rail {
  stroke: var(--es-rule);
  stroke-width: 2;
}

.DayThreads-hour {
  fill: var(--es-quiet);
  font-size: var(--es-size-small);
}

.DayThreads-now {
  stroke: var(--es-ember);
  stroke-width: 1;
  stroke-dasharray: 2 5;
}

.DayThreads-time {
  fill: var(--es-ember);
  font-size: var(--es-size-small);
  font-weight: 700;
}

.DayThreads-present {
  fill: var(--es-ember);
}

.DayThreads-thread {
  cursor: pointer;
  outline-offset: 6px;
}

.DayThreads-join {
  fill: none;
  stroke: var(--thread);
  stroke-width: 2.5;
}

.DayThreads-stretch {
  stroke: var(--thread);
  stroke-width: 5;
  stroke-linecap: round;
}

.DayThreads-hands {
  stroke-width: 8;
}

.DayThreads-stretch.is-loose {
  cursor: ns-resize;
  touch-action: none;
}

.DayThreads-stretch.is-hands {
  stroke-width: 12;
}

.DayThreads-stretch.is-waits {
  stroke-width: 3.5;
  stroke-dasharray: 0.1 8;
}

.is-ahead {
  opacity: 0.42;
}

.DayThreads-words {
  pointer-events: none;
  fill: var(--es-ink);
  font-size: var(--es-size-small);
  paint-order: stroke;
  stroke: var(--es-page);
  stroke-width: 4;
}

.DayThreads-head {
  fill: var(--thread);
}

.DayThreads-number {
  fill: var(--es-page);
  font-size: var(--es-size-small);
  font-weight: 700;
  text-anchor: middle;
}

.DayThreads-thread:hover .DayThreads-stretch,
.DayThreads-thread:focus-visible .DayThreads-stretch {
  stroke: var(--es-ember);
}
</style>
