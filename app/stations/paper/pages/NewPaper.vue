<script setup lang="ts">
import { texts } from '../words'
import { useMarginNotes } from '../../../state/margin.store'
import PaperPanel from '../parts/PaperPanel.vue'

useMarginNotes(() => [
  {
    title: 'Measure the sheet',
    lines: [texts.sizeAndWeightOfSheets],
  },
  {
    title: 'Is the paper buffered?',
    lines: [texts.putDropWeakAcidOn],
  },
])
</script>

<template>
  <section class="NewPaper">
    <h1>Add a paper</h1>
    <PaperPanel />
  </section>
</template>

<style scoped>
.NewPaper {
  display: grid;
  gap: var(--es-space-4);
  max-width: 38.75rem;
}
</style>
