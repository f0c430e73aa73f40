<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import { formatSpan } from '@core/quantity/format'
import KitButton from '../../../kit/KitButton.vue'
import { timeOfDay } from '../../../words/moments'
import type { Cue, DoneStep, Gap } from '../runningOrder'
import SheetMark from './SheetMark.vue'

/** The moments that need hands, in order of time, with the waits between; what was finished today is folded. */
const props = defineProps<{
  order: readonly (Cue | Gap)[]
  done: readonly DoneStep[]
  stepTitle: (sheetId: string, stepId: string) => string
  durationOf: (cue: Cue) => string
  placeToGo: (sheetId: string) => RouteLocationRaw
}>()
const emit = defineEmits<{ move: [cue: Cue, quarters: number] }>()

/** More than these are shown when they are asked for. */
const SHOWN_FIRST = 24
const isAllShown = ref(false)
const shown = computed(() => (isAllShown.value ? props.order : props.order.slice(0, SHOWN_FIRST)))
function move(row: Cue, quarters: number): void {
  if (row.planId) emit('move', row, quarters)
}
</script>

<template>
  <section class="RunningOrder" aria-labelledby="running-order">
    <h2 id="running-order">Next steps</h2>
    <p v-if="!order.length" class="es-quiet">No steps to come.</p>
    <ol>
      <li v-for="row in shown" :key="row.key" :class="`is-${row.kind}`">
        <p v-if="row.kind === 'gap'">{{ formatSpan(Math.round(row.seconds / 60) * 60) }} wait</p>
        <template v-else>
          <RouterLink
            :to="placeToGo(row.sheetId)"
            class="RunningOrder-cue"
            :class="{ 'is-now': row.isNow }"
            @keydown.alt.down.prevent="move(row, 1)"
            @keydown.alt.up.prevent="move(row, -1)"
          >
            <time>{{ row.isNow ? 'Now' : timeOfDay(row.at) }}</time>
            <SheetMark :numbers="row.numbers" :mark="row.mark" />
            <span class="RunningOrder-what">
              <strong>{{ stepTitle(row.sheetId, row.stepId) }}</strong>
              <span class="es-quiet">
                {{ row.numbers.length > 1 ? `${row.numbers.length} sheets` : row.title }}
              </span>
            </span>
            <span class="RunningOrder-lasts">{{ durationOf(row) }}</span>
          </RouterLink>
          <span v-if="row.planId" class="RunningOrder-move">
            <KitButton
              kind="quiet"
              :aria-label="`− 15 min: ${stepTitle(row.sheetId, row.stepId)}, sheet ${row.number}`"
              @click="move(row, -1)"
            >
              −&nbsp;15&nbsp;min
            </KitButton>
            <KitButton
              kind="quiet"
              :aria-label="`+ 15 min: ${stepTitle(row.sheetId, row.stepId)}, sheet ${row.number}`"
              @click="move(row, 1)"
            >
              +&nbsp;15&nbsp;min
            </KitButton>
          </span>
        </template>
      </li>
    </ol>
    <KitButton v-if="shown.length < order.length" @click="isAllShown = true">
      Show all {{ order.filter((row) => row.kind === 'cue').length }} steps
    </KitButton>
    <details v-if="done.length">
      <summary>Done today: {{ done.length }}</summary>
      <ol>
        <li v-for="step in done" :key="step.key" class="RunningOrder-done">
          <time>{{ timeOfDay(step.at) }}</time>
          <SheetMark :numbers="step.numbers" :mark="step.mark" />
          <span>
            {{ stepTitle(step.sheetId, step.stepId) }},
            {{ step.numbers.length > 1 ? `${step.numbers.length} sheets` : step.title }}
          </span>
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.RunningOrder {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--es-space-3);
  align-items: center;
  border-top: 1px solid var(--es-rule);
}

.is-gap {
  padding: var(--es-space-2) 0 var(--es-space-2) var(--es-space-8);
  border-top: 0;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.RunningOrder-cue {
  display: grid;
  flex: 1 1 15rem;
  grid-template-columns: 3.75rem auto minmax(0, 1fr) auto;
  gap: var(--es-space-4);
  align-items: center;
  min-height: 2.875rem;
  padding: var(--es-space-2) 0;
  text-decoration: none;
}

.RunningOrder-cue:hover strong {
  text-decoration: underline;
}

.RunningOrder-cue time {
  font-size: var(--es-size-lead);
}

.RunningOrder-cue.is-now time {
  color: var(--es-ember);
  font-weight: 700;
}

.RunningOrder-what {
  display: grid;
  overflow-wrap: anywhere;
}

.RunningOrder-what span {
  font-size: var(--es-size-small);
}

.RunningOrder-lasts {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.RunningOrder-move {
  display: flex;
  gap: var(--es-space-2);
  margin-left: auto;
  font-size: var(--es-size-small);
}

/* With a mouse they are over the end of their row while it is pointed at, and take no room from the words. */
@media (hover: hover) {
  .RunningOrder-move {
    position: absolute;
    right: 0;
    padding-left: var(--es-space-3);
    background: var(--es-page);
    opacity: 0;
  }

  li:hover .RunningOrder-move,
  li:focus-within .RunningOrder-move {
    opacity: 1;
  }
}

.RunningOrder-done {
  min-height: 2.25rem;
  font-size: var(--es-size-small);
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}
</style>
