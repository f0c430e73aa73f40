<script setup lang="ts">
import { texts } from '../words'
import { computed, shallowRef } from 'vue'
import { CoreError } from '@core/errors'
import { patchesOf, sheetsOf, withSheet } from '@core/calibration/calibration'
import { scanErrorOf } from '@core/calibration/curveError'
import type { Calibration } from '@core/schema/light'
import { solveCurve } from '@core/tone/curve'
import BigTarget from '../../../kit/BigTarget.vue'
import type { ReadOfChart } from '../chartReading'
import ReadChart from './ReadChart.vue'

/** The reading of a chart, kept once a curve can be solved from it. */
const props = defineProps<{ calibration: Calibration }>()
const emit = defineEmits<{ keep: [Pick<Calibration, 'patches' | 'by' | 'whiteDensity' | 'scanError'>] }>()
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
/** Readings of one place that are kept at most. */
const MOST_READINGS = 40
const sheets = computed(() => (props.calibration.readAt === undefined ? 0 : sheetsOf(props.calibration)))
const hasRoom = computed(() => (sheets.value + 1) * props.calibration.chart.repeats <= MOST_READINGS)
/** @param isAnother it is another sheet of the same chart, to be averaged with those before it. */
function keep(isAnother = false): void {
  if (!reading.value || fault.value) return
  const { readings, by, whiteDensity, scale } = reading.value
  const sheet = patchesOf(props.calibration.chart, readings)
  emit('keep', {
    patches: isAnother ? withSheet(props.calibration.patches, sheet) : sheet,
    by,
    scanError: scale && scanErrorOf(props.calibration, sheet, scale, isAnother),
    ...(whiteDensity !== undefined && { whiteDensity }),
  })
}
</script>

<template>
  <ReadChart :plan="calibration.chart" @read="reading = $event" />
  <p v-if="fault" role="alert" class="ReadPart-fault">{{ fault.problem }} {{ fault.remedy }}</p>
  <div class="ReadPart-acts">
    <BigTarget
      v-if="sheets && hasRoom"
      :label="sheets === 1 ? 'Average with the first sheet' : `Average with the ${sheets} sheets before`"
      :disabled="!reading || !!fault"
      @press="keep(true)"
    />
    <BigTarget
      :quiet="sheets > 0"
      :label="sheets ? 'Replace the reading' : 'Save reading'"
      :disabled="!reading || !!fault"
      @press="keep()"
    />
  </div>
  <p v-if="sheets" class="es-quiet">{{ texts.sheetsAreAveraged({ sheets }) }}</p>
</template>

<style scoped>
.ReadPart-fault {
  color: var(--es-ember);
}

.ReadPart-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
