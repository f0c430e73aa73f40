<script setup lang="ts">
import { computed, ref } from 'vue'
import { numberOrNull, parseNumber } from '@core/quantity/number'
import { coatReaches } from '@library/spectrum'
import type { Light } from '@core/schema/light'
import KitButton from '../../../kit/KitButton.vue'
import TextField from '../../../kit/TextField.vue'
import { useAttempt } from '../../../state/useAttempt'
import { suitsLine } from '../../../words/spectrumNotes'
import { texts } from '../words'

/** Where the light of a lamp is strongest, and what each kind of coat makes of it. */
const props = defineProps<{ light: Light }>()
const emit = defineEmits<{ save: [peak: number | undefined] }>()
const { faults, attempt } = useAttempt()
const peak = ref(props.light.peakNanometres === undefined ? '' : String(props.light.peakNanometres))
const lines = computed(() => {
  const typed = numberOrNull(peak.value)
  return typed !== null && typed >= 250 && typed <= 780
    ? coatReaches.map((reach) => suitsLine(typed, reach))
    : []
})
const save = () =>
  attempt('peak', () =>
    emit(
      'save',
      peak.value.trim()
        ? parseNumber(peak.value, { field: 'peak', min: 250, max: 780, example: '365' })
        : undefined,
    ),
  )
</script>

<template>
  <details>
    <summary>
      Wavelength
      <span class="es-quiet">{{ light.peakNanometres ? `${light.peakNanometres} nm` : 'not set' }}</span>
    </summary>
    <p class="es-quiet">{{ texts.peakIsOnLamp }}</p>
    <form class="LightPeak" @submit.prevent="save">
      <TextField v-model="peak" label="Peak, nm" placeholder="365" :fault="faults.peak" />
      <KitButton type="submit">Save</KitButton>
    </form>
    <p v-for="line in lines" :key="line">{{ line }}</p>
  </details>
</template>

<style scoped>
.LightPeak {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}
</style>
