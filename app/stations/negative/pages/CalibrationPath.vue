<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { chartPlaces } from '@core/chart/chart'
import { formatSpan } from '@core/quantity/format'
import BigTarget from '../../../kit/BigTarget.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { dateOf } from '../../../words/moments'
import { standingWords } from '../calibrationWords'
import ChartFilm from '../parts/ChartFilm.vue'
import CheckPart from '../parts/CheckPart.vue'
import CurvePart from '../parts/CurvePart.vue'
import PathStep from '../parts/PathStep.vue'
import ReadPart from '../parts/ReadPart.vue'
import { useCalibrationPath } from '../useCalibrationPath'

const {
  now,
  one,
  isLoaded,
  checks,
  change,
  calibration,
  planSheet,
  curve,
  chosen,
  open,
  moment,
  keepReading,
  keepCheck,
  correct,
  others,
  setAim,
  base,
  combination,
  when,
  slug,
  undoLast,
} = useCalibrationPath()
</script>

<template>
  <EmptyPage v-if="isLoaded && !calibration" kicker="Calibrate" title="Calibration not found">
    <p><RouterLink :to="{ name: 'calibrate' }">Go to calibrations</RouterLink></p>
  </EmptyPage>
  <section v-else-if="calibration" class="CalibrationPath">
    <header>
      <p class="es-kicker">{{ combination }}</p>
      <h1>{{ calibration.name }}</h1>
      <p
        v-if="one && standingWords(one.standing)"
        class="CalibrationPath-good"
        :class="{ 'has-drifted': one.standing.hasDrifted }"
      >
        {{ standingWords(one.standing) }}
      </p>
      <KitButton kind="quiet" @click="undoLast">Remove calibration</KitButton>
    </header>
    <ol>
      <PathStep
        v-if="calibration.by !== 'curve'"
        :number="1"
        title="Chart on film"
        :said="
          calibration.filmMadeAt
            ? `made ${when(calibration.filmMadeAt)}`
            : `${chartPlaces(calibration.chart).length} patches`
        "
        :is-done="!!calibration.filmMadeAt"
        :is-open="open === 'film'"
        @open="chosen = 'film'"
      >
        <p>
          {{ texts.printChartOnFilmAt }}
        </p>
        <ChartFilm
          :plan="calibration.chart"
          :curve="null"
          :writing="`${calibration.name} · chart · ${dateOf(now.now, now.now)}`"
          :file-name="`${slug}-chart`"
          label="Save the chart negative"
          @made="change({ filmMadeAt: moment() }, texts.chartSaved)"
        />
      </PathStep>
      <PathStep
        v-if="calibration.by !== 'curve'"
        :number="2"
        title="Print of the chart"
        :said="calibration.printedAt ? `printed ${when(calibration.printedAt)}` : ''"
        :is-done="!!calibration.printedAt"
        :is-open="open === 'print'"
        :is-ahead="!calibration.filmMadeAt"
        @open="chosen = 'print'"
      >
        <p>
          {{
            texts.exposeChart({
              time: calibration.seconds ? formatSpan(Math.round(calibration.seconds)) : null,
            })
          }}
        </p>
        <BigTarget
          v-if="!calibration.seconds && base"
          quiet
          :label="`Use the base exposure ${formatSpan(Math.round(base.seconds))}`"
          @press="change({ seconds: base.seconds }, 'Base exposure saved.')"
        />
        <p v-else-if="!calibration.seconds">
          {{ texts.noBaseExposureSavedFor }}
          <RouterLink :to="{ name: 'strip' }">Plan a test strip</RouterLink>
        </p>
        <BigTarget quiet label="Plan a sheet for the chart" @press="planSheet" />
        <BigTarget
          label="Chart is printed and dry"
          @press="change({ printedAt: moment() }, 'Saved. Now read the chart.')"
        />
      </PathStep>
      <PathStep
        v-if="calibration.by !== 'curve'"
        :number="3"
        title="Reading"
        :said="calibration.readAt ? `read ${when(calibration.readAt)}` : ''"
        :is-done="!!calibration.readAt"
        :is-open="open === 'read'"
        :is-ahead="!calibration.printedAt && !calibration.readAt"
        @open="chosen = 'read'"
      >
        <ReadPart :calibration="calibration" @keep="keepReading" />
      </PathStep>
      <PathStep
        :number="calibration.by === 'curve' ? 1 : 4"
        title="Correction curve"
        :said="curve ? `from L* ${curve.black.toFixed(0)} to ${curve.white.toFixed(0)}` : ''"
        :is-done="!!curve"
        :is-open="open === 'curve'"
        :is-ahead="!curve"
        @open="chosen = 'curve'"
      >
        <CurvePart
          v-if="curve"
          :calibration="calibration"
          :curve="curve"
          :others="others"
          :file-name="slug"
          @aim="setAim"
        />
        <BigTarget label="Go to the check" @press="chosen = 'check'" />
      </PathStep>
      <PathStep
        :number="calibration.by === 'curve' ? 2 : 5"
        title="Check"
        :said="one ? standingWords(one.standing) : ''"
        :is-done="!!calibration.checks.length"
        :is-open="open === 'check'"
        :is-ahead="!curve"
        @open="chosen = 'check'"
      >
        <CheckPart
          v-if="curve"
          :calibration="calibration"
          :curve="curve"
          :checks="checks"
          :file-name="slug"
          @keep="keepCheck"
          @correct="correct"
        />
      </PathStep>
    </ol>
  </section>
</template>

<style scoped>
.CalibrationPath {
  display: grid;
  gap: var(--es-space-5);
  max-width: 56.25rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.CalibrationPath-good {
  font-size: var(--es-size-lead);
}

.CalibrationPath-good.has-drifted {
  color: var(--es-ember);
}

ol {
  margin: 0;
  padding: 0;
}
</style>
