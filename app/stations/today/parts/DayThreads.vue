<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { plannedThread, threadOf, type DueStep, type ThreadStretch } from '@core/run/thread'
import { stepInHand, wordsIdOf } from '@core/run/run'
import { hungAtOf, placeOf } from '@core/run/place'
import { formatSpan } from '@core/quantity/format'
import { useNow } from '../../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../../state/workroom.store'
import { timeOfDay } from '../../../words/moments'
import { stationOfSheet } from '../../../state/stations'
import { usePlan } from '../../../state/plan.store'
import { layOutDay, type DayThread, type DrawnStretch } from '../threadLayout'

/** The day as threads: time runs down, one line a sheet through bench, dark, light, water and line. */
const props = defineProps<{ sheets: readonly SheetInRoom[] }>()
/** A step of the plan that was dragged, or moved by key, to another time. */
const emit = defineEmits<{ move: [step: { sheetId: string; stepId: string; from: number; to: number }] }>()
const [now, router, workroom, plans] = [useNow(), useRouter(), useWorkroom(), usePlan()]

const HUNG_LATELY_MS = 3_600_000

const frame = ref<HTMLElement | null>(null)
const size = ref({ width: 800, height: 480 })
const watcher = new ResizeObserver(([entry]) => {
  if (entry)
    size.value = {
      width: Math.max(entry.contentRect.width, 460),
      height: Math.max(entry.contentRect.height, 320),
    }
})
onMounted(() => frame.value && watcher.observe(frame.value))
onUnmounted(() => watcher.disconnect())

// Threads move by the minute; there is no need to lay them out at every beat.
const minute = computed(() => Math.floor(now.now / 20_000) * 20_000)
/** Steps that a sheet has still to come by the plan. */
function dueOf(one: SheetInRoom): DueStep[] | null {
  const plan = plans.current
  if (!plan?.sheetIds.includes(one.sheet.id)) return null
  const begun = one.state.begunAt !== null
  const steps = begun
    ? one.state.steps.slice(one.state.current).map((step) => step.planned)
    : (plans.sheetsOf([one.sheet.id])[0]?.outline ?? [])
  return steps.flatMap((planned) => {
    const move = plan.moves.find((known) => known.sheetId === one.sheet.id && known.stepId === planned.id)
    return move ? [{ planned, from: move.from, to: move.to }] : []
  })
}
const threads = computed<DayThread[]>(() =>
  props.sheets
    // A print that only hangs belongs to Prints, unless it was hung within this very span.
    .filter(
      (one) =>
        ['coat', 'light', 'wet'].includes(placeOf(one.state)) ||
        (placeOf(one.state) === 'planned' && plans.current?.sheetIds.includes(one.sheet.id)) ||
        minute.value - (hungAtOf(one.state) ?? 0) < HUNG_LATELY_MS,
    )
    .filter((one) => !one.state.setAside)
    .map((one) => {
      const at = Math.max(minute.value, one.state.lastAt)
      const due = dueOf(one)
      return {
        sheetId: one.sheet.id,
        number: one.sheet.number,
        mark: one.definition.mark,
        stretches: due ? plannedThread(one.state, due, at) : threadOf(one.state, at),
      }
    })
    .filter((one) => one.stretches.length > 0)
    .sort((a, b) => a.number - b.number),
)
const planned = computed(() => {
  const plan = plans.current
  if (!plan) return null
  const hands = plan.hands
    .filter((span) => span.to > minute.value)
    .map((span) => ({ ...span, mark: workroom.find(span.sheetId)?.definition.mark ?? 'graphite' }))
  return { hands, endsAt: plan.endsAt }
})
const layout = computed(() => layOutDay(threads.value, minute.value, size.value, words, planned.value))

const STEP_MS = 300_000
/** A stretch of the plan that is being dragged along the day. */
const dragged = ref<{ sheetId: string; stretch: DrawnStretch; startY: number; by: number } | null>(null)
function grasp(event: PointerEvent, sheetId: string, stretch: DrawnStretch): void {
  if (!stretch.planId) return
  dragged.value = { sheetId, stretch, startY: event.clientY, by: 0 }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  if (dragged.value) dragged.value = { ...dragged.value, by: event.clientY - dragged.value.startY }
}
function drop(): void {
  const held = dragged.value
  if (!held) return
  const shift = held.by * layout.value.millisecondsPerPixel
  // The click that ends a drag must not open the sheet; it comes before the next turn.
  setTimeout(() => (dragged.value = null))
  if (Math.abs(held.by) < 6 || !held.stretch.planId) return
  const { from, planId } = held.stretch
  emit('move', {
    sheetId: held.sheetId,
    stepId: planId,
    from,
    to: Math.round((from + shift) / STEP_MS) * STEP_MS,
  })
}
const shiftOf = (sheetId: string, stretch: DrawnStretch) =>
  dragged.value?.sheetId === sheetId && dragged.value.stretch.from === stretch.from ? dragged.value.by : 0
/** With alt, the arrows move the next step of the plan by a quarter of an hour. */
function shift(sheetId: string, quarters: number): void {
  const thread = layout.value.threads.find((one) => one.sheetId === sheetId)
  const inHand = workroom.find(sheetId)?.state
  const running =
    inHand && stepInHand(inHand)?.startedAt !== undefined ? stepInHand(inHand)?.planned.id : null
  const next = thread?.stretches.find((stretch) => stretch.planId && stretch.planId !== running)
  if (next?.planId)
    emit('move', { sheetId, stepId: next.planId, from: next.from, to: next.from + quarters * 900_000 })
}

function words(sheetId: string, stretch: ThreadStretch): string | null {
  if (stretch.manner === 'waits') return null
  const one = workroom.find(sheetId)
  const step = one?.definition.steps.find((definition) => definition.id === stretch.stepId)
  if (!one || !step) return null
  if (step.kind === 'count') return 'mix, coat'
  if (step.kind === 'act') return null
  const inHand = stepInHand(one.state)
  const handId = inHand && wordsIdOf(inHand.planned)
  const isNow = handId === stretch.stepId
  if (isNow && stretch.ahead && stepInHand(one.state)?.status !== 'waiting') return null
  return `${step.title.toLowerCase()} ${stretch.ahead ? formatSpan((stretch.to - stretch.from) / 1000) : ''}`.trim()
}
function open(sheetId: string): void {
  if (dragged.value && Math.abs(dragged.value.by) >= 6) return
  const one = workroom.find(sheetId)
  if (one) void router.push({ name: stationOfSheet(one.state), params: { sheetId } })
}
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
