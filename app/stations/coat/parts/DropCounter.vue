<script setup lang="ts">
import InlineField from '../../../kit/InlineField.vue'
import { parseNumber } from '@core/quantity/number'
import { useNotice } from '../../../state/notice.store'
import { computed, onUnmounted, ref, watch } from 'vue'
import { dropsVolume } from '@core/coating/drops'
import { componentInHand } from '@core/run/nextMove'
import type { StepState } from '@core/run/runState'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Happening } from '@core/schema/event'
import BigTarget from '../../../kit/BigTarget.vue'
import { figureText } from '../../../words/figureText'
import { useKeyRows } from '../../../state/keys.store'
import { speak, tick } from '../../../state/voice'

const props = defineProps<{
  step: StepState
  definition: ProcessDefinition
  bottleLabels: Readonly<Record<string, string>>
  /** Said on the target that ends the count. */
  finishWords: string
  dropsPerMillilitre: number
}>()
const emit = defineEmits<{ record: [happening: Happening]; finish: [] }>()
const notice = useNotice()
/** One drop in this many milliseconds: slow enough for a steady hand. */
const PACE_MS = 1200

const rows = computed(() =>
  (props.step.planned.drops ?? []).map(({ component, count }) => ({
    component,
    count,
    counted: props.step.drops[component] ?? 0,
    name: props.definition.components.find((one) => one.id === component)?.name ?? component,
  })),
)
/** The bottle in hand: the one the user took, else the first that is short. */
const chosen = ref<string | null>(null)
const inHand = computed(() => chosen.value ?? componentInHand(props.step))
const isAllIn = computed(() => componentInHand(props.step) === null)
/** From here on counting drops is folly: a small measure does it in one go. */
const MEASURED_FROM = 60
const isMuch = computed(() => rows.value.some((row) => row.count >= MEASURED_FROM))
/** Everything of the bottle in hand at once, poured from a measure. */
function pour(): void {
  const row = rows.value.find((one) => one.component === inHand.value)
  if (row && row.count > row.counted) change(row.component, row.count - row.counted)
}

function change(component: string | null, by: number): void {
  if (component) emit('record', { type: 'dropped', component, change: by })
}
function next(): void {
  if (isAllIn.value && !chosen.value) emit('finish')
  else change(inHand.value, 1)
}
/** Typing how many really went in, when counting by eye went wrong. */
/** What is being typed, which no redraw may wipe out. */
const typing = ref<{ component: string; text: string } | null>(null)
function keepTyped(component: string, text: string): void {
  typing.value = null
  if (!text.trim()) return
  try {
    const meant = parseNumber(text, { field: 'drops counted', isWhole: true, min: 0, example: '20' })
    const counted = props.step.drops[component] ?? 0
    if (meant !== counted) change(component, meant - counted)
  } catch (error) {
    notice.refuse(error, 'the drops')
  }
}
function latest(): string | null {
  return inHand.value && (props.step.drops[inHand.value] ?? 0) > 0
    ? inHand.value
    : (rows.value.findLast((row) => row.counted > 0)?.component ?? null)
}

const pace = ref(0)
function togglePace(): void {
  if (pace.value) stopPace()
  else
    pace.value = window.setInterval(
      () => (isAllIn.value ? stopPace() : change(componentInHand(props.step), 1)),
      PACE_MS,
    )
}
function stopPace(): void {
  clearInterval(pace.value)
  pace.value = 0
}
onUnmounted(stopPace)

watch(
  () => ({ ...props.step.drops }),
  (counts, before) => {
    for (const { component, count, name } of rows.value) {
      const counted = counts[component] ?? 0
      if (counted <= (before[component] ?? 0)) continue
      tick()
      speak(counted === count ? `${counted}. ${name} is in.` : String(counted))
      // A full count gives the hand to the next bottle by itself.
      if (chosen.value === component && counted === count) chosen.value = null
    }
  },
)

useKeyRows('Drops', () => [
  { key: ' ', name: isAllIn.value ? props.finishWords : 'Next drop', run: next },
  { key: 'b', name: 'Undo one drop', run: () => change(latest(), -1) },
  { key: 'm', name: 'Mark as fully measured', run: pour },
  { key: 'p', name: 'Metronome: one drop per tick', run: togglePace },
])

/** Drawn drops are in groups of five, as one counts. */
const groups = (row: (typeof rows.value)[number]) => {
  const total = Math.min(Math.max(row.count, row.counted), 120)
  return Array.from({ length: Math.ceil(total / 5) }, (_, group) =>
    Array.from({ length: Math.min(5, total - group * 5) }, (_, i) => {
      const n = group * 5 + i
      return n < row.counted ? (n < row.count ? 'in' : 'over') : 'due'
    }),
  )
}
</script>

<template>
  <section class="DropCounter" :style="{ '--mark': `var(--es-${definition.mark})` }">
    <div class="DropCounter-bottles">
      <section
        v-for="row in rows"
        :key="row.component"
        class="DropCounter-bottle"
        :class="{ 'is-in-hand': row.component === inHand }"
        @click="chosen = row.component"
      >
        <h2>
          {{ row.name }}
          <span class="es-quiet">{{ bottleLabels[row.component] }}</span>
        </h2>
        <p class="DropCounter-count">
          <strong>{{ row.counted }}</strong>
          <em>of {{ row.count }} drops</em>
          {{ figureText(dropsVolume(row.count, dropsPerMillilitre)) }}
        </p>
        <p class="DropCounter-drops" aria-hidden="true">
          <span v-for="(group, g) in groups(row)" :key="g" class="DropCounter-five">
            <svg v-for="(state, i) in group" :key="i" :class="`is-${state}`" viewBox="0 0 11 15">
              <path d="M5.5.9C7.6 4.6 10.2 7 10.2 10a4.7 4.3 0 0 1-9.4 0C.8 7 3.4 4.6 5.5.9z" />
            </svg>
          </span>
        </p>
        <label class="DropCounter-typed" @click.stop>
          drops counted
          <InlineField
            class="DropCounter-number"
            inputmode="numeric"
            :model-value="typing?.component === row.component ? typing.text : String(row.counted)"
            :label="`${row.name}, drops counted`"
            @update:model-value="typing = { component: row.component, text: $event }"
            @change="keepTyped(row.component, $event)"
            @blur="typing = null"
          />
        </label>
      </section>
    </div>
    <slot />
    <div class="DropCounter-acts">
      <BigTarget :label="isAllIn && !chosen ? finishWords : 'Next drop'" hint=" " @press="next" />
      <BigTarget v-if="!isAllIn" :quiet="!isMuch" label="All measured" hint="m" @press="pour" />
      <BigTarget quiet :label="pace ? 'Stop metronome' : 'Start metronome'" hint="p" @press="togglePace" />
      <BigTarget quiet label="Undo one drop" hint="b" @press="change(latest(), -1)" />
    </div>
  </section>
</template>

<style scoped>
.DropCounter {
  display: grid;
  gap: var(--es-space-5);
}

.DropCounter-bottles {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  border-block: 1px solid var(--es-rule);
}

.DropCounter-bottle {
  padding: var(--es-space-5) var(--es-space-6) var(--es-space-5) 0;
  cursor: pointer;
}

.DropCounter-bottle + .DropCounter-bottle {
  padding-left: var(--es-space-7);
  border-left: 1px solid var(--es-rule);
}

.DropCounter-bottle.is-in-hand h2 {
  text-decoration: underline var(--es-ember) 2px;
  text-underline-offset: 6px;
}

.DropCounter-count strong {
  margin-right: var(--es-space-3);
  font-size: calc(0.8 * var(--es-size-clock));
  font-weight: 400;
  line-height: 1.1;
}

.DropCounter-count em {
  color: var(--es-quiet);
  font: italic var(--es-size-lead) var(--es-serif);
}

.DropCounter-drops {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
}

.DropCounter-five {
  display: flex;
  gap: var(--es-space-2);
}

.DropCounter-five svg {
  width: 12px;
  height: 16px;
  fill: none;
  stroke: var(--mark);
}

.DropCounter-five .is-in {
  fill: var(--mark);
}

.DropCounter-five .is-over {
  fill: var(--es-ember);
  stroke: var(--es-ember);
}

.DropCounter-typed {
  display: inline-flex;
  gap: var(--es-space-3);
  align-items: center;
  margin-top: var(--es-space-4);
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

.DropCounter-number {
  width: 4rem;
}

.DropCounter-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

@media (width <= 40em) {
  .DropCounter-bottle + .DropCounter-bottle {
    padding-left: 0;
    border-top: 1px solid var(--es-rule);
    border-left: 0;
  }
}
</style>
