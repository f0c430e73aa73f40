<script setup lang="ts">
import { useMarginNotes } from '../../../state/margin.store'
import PaperPanel from '../parts/PaperPanel.vue'

useMarginNotes(() => [
  {
    title: 'Measure the sheet',
    lines: [
      'A sheet sold as 22 x 30 in often measures 22.5 x 30. Paper of 140 lb (22 x 30 in) is about 300 g/m².',
    ],
  },
  {
    title: 'Is the paper buffered?',
    lines: ['Put a drop of weak acid on it: chalk fizzes. The maker’s data sheet also says.'],
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
