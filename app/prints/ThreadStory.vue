<script setup lang="ts">
import type { StoryLine } from '@core/process/story'
import { momentSaid } from '../shell/moments'

/** A sheet's record, read from top to bottom. */
defineProps<{ lines: readonly StoryLine[]; now: number }>()
</script>

<template>
  <ol class="ThreadStory">
    <li v-for="(line, index) in lines" :key="index" :class="`is-${line.tone}`">
      <time>{{ momentSaid(line.at, now) }}</time>
      <div>
        <strong>{{ line.what }}</strong>
        <p v-if="line.detail">{{ line.detail }}</p>
      </div>
    </li>
    <li v-if="!lines.length" class="es-quiet">Nothing has happened to this sheet yet.</li>
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
  grid-template-columns: 118px minmax(0, 1fr);
  gap: 10px;
  padding: 0 0 12px 18px;
  font-size: 15px;
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

strong {
  font: 500 17px var(--es-serif);
}
</style>
