<script setup lang="ts">
import PressCard from '../../../kit/PressCard.vue'
import { computed } from 'vue'
import { dateOf } from '../../../words/moments'
import type { ShelvedBottle } from '../useShelf'

/** One bottle or jar on its board: its shape says what it is, its level what is left, its label the rest. */
const props = defineProps<{ standing: ShelvedBottle; chosen: boolean; now: number }>()
defineEmits<{ choose: [] }>()

/** Narrow-necked for solutions, stoppered for bought liquids, wide jars for powders: outlines in a box of 60 by 132. */
const SHAPES = {
  solution: {
    path: 'M20 2h20v18c0 10 18 16 18 32v68q0 10-10 10H12q-10 0-10-10V52c0-16 18-22 18-32z',
    top: 30,
    bottom: 130,
  },
  liquid: {
    path: 'M22 14h16v10q20 4 20 20v76q0 10-10 10H12q-10 0-10-10V44q0-16 20-20zM18 2h24v10H18z',
    top: 30,
    bottom: 130,
  },
  solid: {
    path: 'M6 30h48v-12H6zM4 32q-2 0-2 4v84q0 10 10 10h36q10 0 10-10V36q0-4-2-4z',
    top: 38,
    bottom: 130,
  },
} as const
const shape = computed(() => SHAPES[props.standing.bottle.kind])
const surface = computed(
  () => shape.value.bottom - (shape.value.bottom - shape.value.top) * props.standing.level,
)
const clip = computed(() => `clip-${props.standing.bottle.id}`)
const foot = computed(() => {
  const { label, madeAt } = props.standing.bottle
  return madeAt === undefined ? label : `${label} · ${dateOf(madeAt, props.now)}`
})
</script>

<template>
  <PressCard
    class="BottleFigure"
    :class="[`is-${standing.bottle.kind}`, { 'is-chosen': chosen }]"
    :aria-pressed="chosen"
    @click="$emit('choose')"
  >
    <span class="BottleFigure-glass" :style="{ '--liquid': standing.colour }">
      <svg viewBox="0 0 60 132" aria-hidden="true">
        <defs>
          <clipPath :id="clip"><path :d="shape.path" /></clipPath>
        </defs>
        <path class="BottleFigure-inside" :d="shape.path" />
        <rect
          :clip-path="`url(#${clip})`"
          x="0"
          :y="surface"
          width="60"
          :height="132 - surface"
          class="BottleFigure-liquid"
        />
        <path class="BottleFigure-outline" :d="shape.path" />
      </svg>
    </span>
    <span class="BottleFigure-label">
      <strong>{{ standing.bottle.name }}</strong>
      <span>{{ standing.strength }}</span>
      <span>{{ foot }}</span>
    </span>
    <span class="BottleFigure-said" :class="{ 'is-wrong': standing.condition?.tone === 'wrong' }">
      {{ standing.condition?.words ?? '' }}
    </span>
  </PressCard>
</template>

<style scoped>
.BottleFigure {
  display: grid;
  flex: none;
  grid-template: 1.375rem 8.25rem / 6.5rem;
  justify-items: center;
  padding: 0 0 1px;
  border: 0;
  background: none;
  cursor: pointer;
}

.BottleFigure-said {
  grid-row: 1;
  color: var(--es-quiet);
  font-size: var(--es-size-small);
  white-space: nowrap;
}

.BottleFigure-said.is-wrong {
  color: var(--es-ember);
}

.BottleFigure-glass {
  grid-row: 2;
  grid-column: 1;
  width: 3.75rem;
  height: 8.25rem;
}

svg {
  display: block;
}

.BottleFigure-inside {
  fill: var(--es-drawing-glass);
}

.BottleFigure-liquid {
  fill: var(--liquid);
}

.BottleFigure-outline {
  fill: none;
  stroke: var(--es-drawing-glass-edge);
  stroke-width: 1.6;
}

/* In the dim room the glass is drawn in the room's own colours; what it holds is said by the label. */
html[data-palette='dim'] .BottleFigure-inside {
  fill: none;
}

html[data-palette='dim'] .BottleFigure-liquid {
  fill: var(--es-rule);
}

html[data-palette='dim'] .BottleFigure-outline {
  stroke: var(--es-quiet);
}

.BottleFigure-label {
  display: grid;
  z-index: 1;
  grid-row: 2;
  grid-column: 1;
  align-self: end;
  width: 6.125rem;
  margin-bottom: var(--es-space-5);
  padding: var(--es-space-2) var(--es-space-1);
  border: 1px solid var(--es-rule);
  background: var(--es-card);
  font-size: var(--es-size-tiny);
  line-height: 1.2;
  text-align: center;
}

.BottleFigure-label strong {
  font-size: var(--es-size-tiny);
  overflow-wrap: anywhere;
}

.BottleFigure.is-chosen .BottleFigure-label {
  border-color: var(--es-ember);
  box-shadow: 0 2px 0 var(--es-ember);
}

.BottleFigure:hover .BottleFigure-label {
  border-color: var(--es-ink);
}
</style>
