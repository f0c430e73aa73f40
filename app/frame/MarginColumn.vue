<script setup lang="ts">
import { computed, watch } from 'vue'
import FigureWorking from '../kit/FigureWorking.vue'
import KitButton from '../kit/KitButton.vue'
import { useMargin, type MarginNote } from '../state/margin.store'
import { usePreferences } from '../state/preferences.store'
import { texts } from './words'

const [margin, preferences] = [useMargin(), usePreferences()]
const hasHazard = computed(() => margin.notes.some((note) => note.isHazard))
const cautions = computed(() => margin.notes.filter((note) => note.tone === 'caution').length)
/** Of a caution the hazard and what to do are seen at once, the rest is asked for; a note is shown whole. */
const seen = (note: MarginNote) => (note.isHazard ? note.lines.slice(0, 1) : note.lines)
const folded = (note: MarginNote) => (note.isHazard ? note.lines.slice(1) : [])
// A figure that is opened wants to be read.
watch(
  () => margin.opened,
  (opened) => {
    if (opened) preferences.chosen.notes = true
  },
)
</script>

<template>
  <aside
    class="MarginColumn"
    :class="{ 'is-folded': !preferences.chosen.notes }"
    aria-label="Margin"
    tabindex="0"
  >
    <KitButton
      kind="quiet"
      class="MarginColumn-fold"
      :aria-expanded="preferences.chosen.notes"
      @click="preferences.chosen.notes = !preferences.chosen.notes"
    >
      {{ preferences.chosen.notes ? 'Hide notes' : texts.notesWithCautions({ cautions }) }}
    </KitButton>
    <div class="MarginColumn-notes">
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
        <p v-for="line in seen(note)" :key="line">{{ line }}</p>
        <details v-if="folded(note).length">
          <summary>More</summary>
          <p v-for="line in folded(note)" :key="line">{{ line }}</p>
        </details>
      </section>
      <p v-if="hasHazard" class="MarginColumn-sheet">{{ texts.readSafetyDataSheets }}</p>
    </div>
  </aside>
</template>

<style scoped>
.MarginColumn {
  overflow: hidden auto;
  padding: var(--es-space-4) var(--es-space-6) var(--es-space-7);
  border-left: 1px solid var(--es-rule);
  background: var(--es-margin);
  font-size: var(--es-size-body);
}

.MarginColumn-fold {
  margin-bottom: var(--es-space-4);
}

.MarginColumn.is-folded {
  padding-inline: var(--es-space-2);
}

.is-folded .MarginColumn-fold {
  min-height: 8rem;
  padding: var(--es-space-4) var(--es-space-2);
  writing-mode: vertical-rl;
}

.is-folded .MarginColumn-notes {
  display: none;
}

details {
  display: grid;
  gap: var(--es-space-3);
}

details p {
  margin-top: var(--es-space-3);
}

summary {
  min-height: var(--es-touch, 1.5rem);
  color: var(--es-quiet);
  cursor: pointer;
  font-size: var(--es-size-small);
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

  .is-folded .MarginColumn-fold {
    min-height: 1.875rem;
    writing-mode: horizontal-tb;
  }
}
</style>
