<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import { CoreError } from '@core/errors'
import { patchesOf } from '@core/calibration/calibration'
import type { Calibration } from '@core/schema/light'
import { solveCurve } from '@core/tone/curve'
import BigTarget from '../../../kit/BigTarget.vue'
import type { ReadOfChart } from '../chartReading'
import ReadChart from './ReadChart.vue'

/** The reading of a chart, kept once a curve can be solved from it. */
const props = defineProps<{ calibration: Calibration }>()
const emit = defineEmits<{ keep: [Pick<Calibration, 'patches' | 'by' | 'whiteDensity'>] }>()
const reading = shallowRef<ReadOfChart | null>(null)
/** What is wrong with the reading as a whole. */
const fault = computed(() => {
  if (!reading.value) return null
  try {
    solveCurve(patchesOf(props.calibration.chart, reading.value.readings))
    return null
  } catch (error) {
    if (error instanceof CoreError) return error.refusal
    throw error
  }
})
function keep(): void {
  if (!reading.value || fault.value) return
  const { readings, by, whiteDensity } = reading.value
  emit('keep', {
    patches: patchesOf(props.calibration.chart, readings),
    by,
    ...(whiteDensity !== undefined && { whiteDensity }),
  })
}
</script>

<template>
  <ReadChart :plan="calibration.chart" @read="reading = $event" />
  <p v-if="fault" role="alert" class="ReadPart-fault">{{ fault.problem }} {{ fault.remedy }}</p>
  <BigTarget label="Save reading" :disabled="!reading || !!fault" @press="keep" />
</template>

<style scoped>
.ReadPart-fault {
  color: var(--es-ember);
}
</style>
