<script setup lang="ts">
import { texts } from './words'
import { computed } from 'vue'
import FigureWorking from '../kit/FigureWorking.vue'
import { useMargin } from '../state/margin.store'

const margin = useMargin()
const hasHazard = computed(() => margin.notes.some((note) => note.isHazard))
</script>

<template>
  <aside class="MarginColumn" aria-label="Margin" tabindex="0">
    <FigureWorking
      v-if="margin.opened"
      :label="margin.opened.label"
      :figure="margin.opened.figure"
      @close="margin.opened = null"
    />
    <section
      v-for="note in margin.notes"
      :key="note.title"
      class="MarginColumn-note"
      :class="{ 'is-caution': note.tone === 'caution' }"
    >
      <h2>{{ note.title }}</h2>
      <p v-for="line in note.lines" :key="line">{{ line }}</p>
    </section>
    <p v-if="hasHazard" class="MarginColumn-sheet">{{ texts.readSafetyDataSheets }}</p>
  </aside>
</template>

<style scoped>
.MarginColumn {
  overflow: hidden auto;
  padding: var(--es-space-7) var(--es-space-6);
  border-left: 1px solid var(--es-rule);
  background: var(--es-margin);
  font-size: var(--es-size-body);
}

.MarginColumn-note {
  display: grid;
  gap: var(--es-space-3);
  margin-bottom: var(--es-space-6);
  padding-left: var(--es-space-5);
  border-left: 2px solid var(--es-line);
}

.MarginColumn-sheet {
  padding-left: var(--es-space-5);
  color: var(--es-quiet);
}

.MarginColumn-note.is-caution {
  border-color: var(--es-ember);
}

@media (width <= 51.25em) {
  .MarginColumn {
    border-top: 1px solid var(--es-rule);
    border-left: 0;
  }
}
</style>
