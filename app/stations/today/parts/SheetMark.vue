<script setup lang="ts">
import { computed } from 'vue'
import { numbersSaid } from '@core/quantity/numbers'

/** The round mark of a sheet, or of the sheets of a row: numbers in the colour of the process. */
const props = defineProps<{ numbers: readonly number[]; mark: string }>()
const said = computed(() => numbersSaid(props.numbers))
</script>

<template>
  <span class="SheetMark" :style="{ background: `var(--es-${mark})` }">
    <span class="es-unseen">{{ numbers.length > 1 ? 'Sheets' : 'Sheet' }}</span>
    {{ said }}
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
