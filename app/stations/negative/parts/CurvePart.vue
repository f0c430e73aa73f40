<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed } from 'vue'
import { errorOfCalibration } from '@core/calibration/curveError'
import { readingsCgats, readingsCsv } from '@core/formats/chartText'
import { curveCgats, curveCsv, curveCube } from '@core/formats/curveText'
import type { Calibration } from '@core/schema/light'
import { aimOf, inkOf, printOf, type CurveAim, type NamedAim, type NegativeCurve } from '@core/tone/curve'
import ChartFigure from '../../../kit/ChartFigure.vue'
import type { ChartSeries } from '../../../kit/useChartFigure'
import { saveFile } from '../../../state/saveFile'
import AimField from './AimField.vue'

/** The curve of a calibration: what its chart says, what it aims at, and what a print through it comes to. */
const props = defineProps<{
  calibration: Calibration
  curve: NegativeCurve
  others: readonly { id: string; name: string; aim: NamedAim }[]
  fileName: string
}>()
const emit = defineEmits<{ aim: [CurveAim] }>()
const aim = computed({
  get: () => props.calibration.aim as CurveAim,
  set: (next) => emit('aim', next),
})
const error = computed(() => errorOfCalibration(props.calibration, props.curve))
/** Patches were read, of its own chart or of a check that corrected it; a curve made elsewhere only claims them. */
const isRead = computed(() => error.value !== null)
const series = computed<ChartSeries[]>(() => {
  const { curve } = props
  const [ink, print, wanted] = [
    inkOf(curve),
    printOf(curve),
    aimOf(props.calibration.aim, curve.black, curve.white),
  ]
  const row = Array.from({ length: 51 }, (_, i) => i / 50)
  return [
    ...(isRead.value
      ? [
          {
            name: 'patches, by ink',
            kind: 'points' as const,
            points: curve.patchInks.map((x, i) => ({
              x: 100 * x,
              y: (curve.patchLightness[i] ?? 0) + (curve.residuals[i] ?? 0),
            })),
          },
        ]
      : []),
    {
      name: 'print by ink',
      kind: 'line',
      isDrawnOnly: true,
      points: row.map((x) => ({ x: 100 * x, y: print(x) })),
    },
    {
      name: 'ink by tone',
      kind: 'line',
      colour: 'ember',
      isDrawnOnly: true,
      points: row.map((tone) => ({ x: 100 * tone, y: 100 * ink(tone) })),
    },
    {
      name: 'target',
      kind: 'line',
      colour: 'quiet',
      dashed: true,
      isDrawnOnly: true,
      points: row.map((tone) => ({ x: 100 * tone, y: wanted(tone) })),
    },
  ]
})
/** The readings of the chart, to be taken elsewhere. */
function exportReadings(kind: 'csv' | 'cgats'): void {
  const { patches, readAt, at } = props.calibration
  const rows = patches.flatMap((patch, step) =>
    patch.densities.map((density, i) => ({ id: `${step + 1}.${i + 1}`, ink: patch.ink, density })),
  )
  const day = new Date(readAt ?? at).toISOString().slice(0, 10)
  const text = kind === 'csv' ? readingsCsv(rows) : readingsCgats(rows, 'Ember Sheet', day)
  const type = kind === 'csv' ? 'text/csv' : 'text/plain'
  saveFile(new Blob([text], { type }), `${props.fileName}.${kind === 'csv' ? 'csv' : 'txt'}`)
}
/** The curve, to be used in an image editor or elsewhere. */
function exportCurve(kind: 'cube' | 'csv' | 'cgats'): void {
  const { curve, calibration, fileName } = props
  const day = new Date(calibration.readAt ?? calibration.at).toISOString().slice(0, 10)
  const text = {
    cube: () => curveCube(curve, calibration.name),
    csv: () => curveCsv(curve),
    cgats: () => curveCgats(curve, 'Ember Sheet', day),
  }[kind]()
  const type = kind === 'csv' ? 'text/csv' : 'text/plain'
  saveFile(new Blob([text], { type }), `${fileName}-curve.${kind === 'cgats' ? 'txt' : kind}`)
}
</script>

<template>
  <div class="CurvePart">
    <AimField v-model="aim" :others="others" :black="curve.black" :white="curve.white" />
    <ChartFigure
      label="Result"
      :series="series"
      x-name="ink or tone, %"
      y-name="L* of the print, or ink, %"
      :y-min="0"
      :x-min="0"
      :x-max="100"
    />
    <p>
      Black L* {{ curve.black.toFixed(1) }}, white {{ curve.white.toFixed(1) }}
      <template v-if="isRead">; patch repeatability {{ curve.scatter.toFixed(1) }} L*</template>
      .
    </p>
    <p v-if="error">
      {{ texts.curveMayBeOff({ total: error.total.toFixed(1) }) }}
      <template v-if="error.scan > error.total / 2">{{ texts.mostIsScan }}</template>
    </p>
    <p v-else>{{ texts.curveFromElsewhereUnchecked }}</p>
    <p class="CurvePart-acts">
      <KitButton kind="quiet" @click="exportCurve('cube')">Curve as .cube (1D LUT)</KitButton>
      <KitButton kind="quiet" @click="exportCurve('csv')">Curve as CSV</KitButton>
      <KitButton kind="quiet" @click="exportCurve('cgats')">Curve as CGATS.17</KitButton>
      <template v-if="calibration.by !== 'curve'">
        <KitButton kind="quiet" @click="exportReadings('csv')">Readings as CSV</KitButton>
        <KitButton kind="quiet" @click="exportReadings('cgats')">Readings as CGATS.17</KitButton>
      </template>
    </p>
  </div>
</template>

<style scoped>
.CurvePart {
  display: grid;
  gap: var(--es-space-4);
  width: 100%;
}

.CurvePart-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
}
</style>
