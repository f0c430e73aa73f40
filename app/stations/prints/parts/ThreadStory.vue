<script setup lang="ts">
import type { StoryLine } from '@core/run/story'
import { dayOf, timeOfDay } from '../../../words/moments'

/** A sheet's record, read from top to bottom. */
const props = defineProps<{ lines: readonly StoryLine[] }>()

/** The day is named where it changes, the hour always. */
const dayBefore = (index: number) => props.lines[index - 1] && dayOf((props.lines[index - 1] as StoryLine).at)
</script>

<template>
  <ol class="ThreadStory">
    <li v-for="(line, index) in lines" :key="index" :class="`is-${line.tone}`">
      <time>
        <span v-if="dayOf(line.at) !== dayBefore(index)">{{ dayOf(line.at) }}</span>
        {{ timeOfDay(line.at) }}
      </time>
      <div>
        <strong>{{ line.what }}</strong>
        <p v-if="line.detail">{{ line.detail }}</p>
      </div>
    </li>
    <li v-if="!lines.length" class="es-quiet">No steps recorded yet.</li>
  </ol>
</template>

<style scoped>
.ThreadStory {
  margin: 0;
  padding: 0;
  border-left: 3px solid var(--es-prussian);
  list-style: none;
}

li {
  position: relative;
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: var(--es-space-3);
  padding: 0 0 var(--es-space-4) var(--es-space-5);
  font-size: var(--es-size-body);
}

li::before {
  position: absolute;
  top: 6px;
  left: -7px;
  width: 11px;
  height: 11px;
  border-radius: 50%;
  background: var(--es-prussian);
  content: '';
}

.is-note::before {
  background: var(--es-page);
  box-shadow: inset 0 0 0 2px var(--es-prussian);
}

.is-judgement::before,
.is-ended::before {
  background: var(--es-ember);
}

time {
  color: var(--es-quiet);
}

time span {
  display: block;
  color: var(--es-ink);
}

strong {
  font: 500 var(--es-size-lead) var(--es-serif);
}
</style>
