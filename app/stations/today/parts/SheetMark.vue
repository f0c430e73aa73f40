<script setup lang="ts">
/** The round mark of a sheet: its number in the colour of its process. */
defineProps<{ number: number; mark: string }>()
</script>

<template>
  <span class="SheetMark" :style="{ background: `var(--es-${mark})` }">
    <span class="es-unseen">Sheet</span>
    {{ number }}
  </span>
</template>

<style scoped>
.SheetMark {
  display: inline-grid;
  place-content: center;
  min-width: 1.875rem;
  height: 30px;
  padding: 0 var(--es-space-2);
  border-radius: 15px;
  color: var(--es-page);
  font-size: var(--es-size-small);
  font-weight: 700;
}
</style>
