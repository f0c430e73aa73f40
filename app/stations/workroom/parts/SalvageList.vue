<script setup lang="ts">
import { computed } from 'vue'
import type { SalvageNote } from '@core/archive/salvage'

/** What could not be read as it was, and what became of it. */
const { notes } = defineProps<{ notes: readonly SalvageNote[] }>()

const SHOWN = 30
const OUTCOMES: Readonly<Record<SalvageNote['outcome'], string>> = {
  repaired: 'Repaired',
  setAside: 'Set aside',
  leftOut: 'Left out',
  doubtful: 'Read, please check',
}
const shown = computed(() => notes.slice(0, SHOWN))
</script>

<template>
  <ul class="SalvageList">
    <li v-for="(note, i) in shown" :key="i">
      <strong>{{ OUTCOMES[note.outcome] }}: {{ note.name }}.</strong>
      {{ note.problem }}
    </li>
    <li v-if="notes.length > SHOWN">And {{ notes.length - SHOWN }} more.</li>
  </ul>
</template>

<style scoped>
.SalvageList {
  margin: 0;
  padding-left: var(--es-space-6);
  overflow-wrap: anywhere;
}
</style>
