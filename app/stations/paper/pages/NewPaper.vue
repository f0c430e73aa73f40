<script setup lang="ts">
import { useMarginNotes } from '../../../state/margin.store'
import PaperPanel from '../parts/PaperPanel.vue'

useMarginNotes(() => [
  {
    title: 'Measure it',
    lines: ['A sheet sold as 22 x 30 in is often 22.5 x 30. 140 lb, of 22 x 30 in, is about 300 g/m².'],
  },
  { title: 'Is it buffered?', lines: ['A drop of weak acid fizzes on chalk. The maker says so too.'] },
])
</script>

<template>
  <section class="NewPaper">
    <p class="es-kicker">Into the drawer</p>
    <h1>Add a paper</h1>
    <PaperPanel />
  </section>
</template>

<style scoped>
.NewPaper {
  display: grid;
  gap: var(--es-space-4);
  max-width: 620px;
}
</style>
