<script setup lang="ts">
import { texts } from '../words'
import { computed, shallowRef } from 'vue'
import { checkingChart, checkOf, checkPatchesOf, worthOfCorrecting } from '@core/calibration/calibration'
import { scaleError } from '@core/calibration/curveError'
import type { Calibration, ChartCheck } from '@core/schema/light'
import { inkOf, type CheckResult, type NegativeCurve } from '@core/tone/curve'
import { useNow } from '../../../state/useNow'
import BigTarget from '../../../kit/BigTarget.vue'
import { dateOf } from '../../../words/moments'
import { useNotice } from '../../../state/notice.store'
import ChartFilm from './ChartFilm.vue'
import type { ReadOfChart } from '../chartReading'
import CheckList from './CheckList.vue'
import ReadChart from './ReadChart.vue'

/** The same chart, laid through its curve: printed and read again it shows how good the curve is. */
const props = defineProps<{
  calibration: Calibration
  curve: NegativeCurve
  checks: readonly { check: ChartCheck; result: CheckResult | null }[]
  fileName: string
}>()
const emit = defineEmits<{ keep: [ChartCheck]; correct: [index: number] }>()
const [notice, now] = [useNotice(), useNow()]
const chart = computed(() => checkingChart(props.calibration.chart, props.curve))
const reading = shallowRef<ReadOfChart | null>(null)
const worth = computed(() => worthOfCorrecting(props.calibration))
function keep(): void {
  if (!reading.value) return
  const patches = checkPatchesOf(chart.value, reading.value.readings, inkOf(props.curve))
  try {
    const { by, scale } = reading.value
    const check = checkOf(props.calibration, patches, Date.now(), by)
    emit('keep', {
      ...check,
      ...(scale && { scanError: scaleError(props.curve, props.calibration.aim, scale) }),
    })
    reading.value = null
  } catch (error) {
    notice.refuse(error, 'the check')
  }
}
</script>

<template>
  <CheckList :checks="checks" :worth="worth" @correct="$emit('correct', $event)" />
  <p>
    {{ texts.sameChartMadeWithCurve }}
  </p>
  <ChartFilm
    :plan="chart"
    :curve="curve"
    :writing="`${calibration.name} · check ${chart.tag} · ${dateOf(now.now, now.now)}`"
    :file-name="`${fileName}-check`"
    label="Save the check chart negative"
  />
  <ReadChart :key="chart.tag" :plan="chart" @read="reading = $event" />
  <BigTarget label="Save check" :disabled="!reading" @press="keep" />
</template>
