<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { measuredAgainst } from '@core/light/ageing'
import { warmAfterSeconds } from '@core/light/lamp'
import { digits, formatQuantity, formatSpan } from '@core/quantity/format'
import TakeReading from '../../../kit/TakeReading.vue'
import ChartFigure from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import { falloffText } from '../light.draft'
import LightPeak from './LightPeak.vue'
import { useLightPanel, type LightPanelProps } from '../useLightPanel'

/** One light in hand: its ledger, its readings, and what another distance or a tissue would do. */
const props = defineProps<LightPanelProps>()

const {
  preferences,
  light,
  isSun,
  besideSun,
  reading,
  hours,
  faults,
  told,
  keepReading,
  keepHours,
  isFirstReadLate,
  startsAt,
  settles,
  keepWarmUp,
  falloff,
  falloffs,
  lineLength,
  table,
  distance,
  keepDistance,
  wanted,
  other,
  keepExponent,
  chart,
  newTubes,
  change,
} = useLightPanel(props)
</script>

<template>
  <article class="LightPanel" :aria-label="light.name">
    <div class="LightPanel-figures">
      <FigureValue
        v-if="!isSun"
        label="hours used"
        :figure="health.hours"
        :text="`${digits(Math.round(health.hours.value * 10) / 10)} h`"
      />
      <FigureValue
        v-if="health.left && !isSun"
        :label="measuredAgainst(health.firstReadAtHours)"
        :figure="health.left"
        :text="`${Math.round(health.left.value)} %${health.left.uncertainty ? ` ± ${Math.ceil(health.left.uncertainty)}` : ''}`"
      />
      <FigureValue
        v-if="besideSun"
        label="beside a clear, high sun"
        :figure="besideSun"
        :text="texts.stopsFromSun(besideSun.value)"
      />
      <p v-if="!isSun" class="LightPanel-next">
        {{
          health.nextCheckHours > 0
            ? `Measure again in ${digits(health.nextCheckHours, 2)} h of lamp time.`
            : 'Measure again now.'
        }}
        {{ isFirstReadLate ? texts.relativeToFirstReading : '' }}
      </p>
    </div>

    <ChartFigure
      v-if="chart.length"
      :label="`${light.name}, output by hours`"
      :series="chart"
      x-name="hours"
      :y-name="health.from === 'meter' ? 'mW/cm²' : '1000 ÷ base exposure in s'"
      :y-min="0"
    />

    <div class="LightPanel-acts">
      <template v-if="!isSun">
        <KitButton v-if="!isLit" @click="told({ type: 'lit' }, `${light.name} is on.`)">Lamp is on</KitButton>
        <KitButton v-else @click="told({ type: 'out' }, `${light.name} is off.`)">Lamp is off</KitButton>
        <KitButton @click="newTubes">New tubes or bulb</KitButton>
      </template>
      <RouterLink v-else :to="{ name: 'sun', query: { light: light.id } }">Sun through the day</RouterLink>
    </div>

    <form class="LightPanel-row" @submit.prevent="keepReading('typed')">
      <QuantityField
        v-model="reading"
        label="Reading at the frame, mW/cm²"
        placeholder="4.82"
        :fault="faults.reading"
        dimension="irradiance"
        unit="mWPerCm2"
      />
      <KitButton type="submit">Save reading</KitButton>
      <TakeReading quantity="irradiance" @read="keepReading('meter', $event)" />
    </form>
    <form v-if="!isSun" class="LightPanel-row" @submit.prevent="keepHours">
      <QuantityField
        v-model="hours"
        label="Hours on its counter"
        placeholder="340"
        :fault="faults.hours"
        dimension="time"
        unit="h"
      />
      <KitButton type="submit">Set hours</KitButton>
    </form>

    <details v-if="!isSun">
      <summary>
        Warm-up and distance
        <span class="es-quiet">
          {{
            light.warmUp
              ? `warm after ${formatSpan(Math.round(warmAfterSeconds(light.warmUp)))}`
              : 'warm-up not set'
          }},
          {{
            light.distanceMillimetres
              ? formatQuantity(light.distanceMillimetres, 'length', {
                  length: preferences.chosen.length,
                  temperature: 'degC',
                })
              : 'distance not set'
          }},
          {{ falloffText(light.falloff) }}
        </span>
      </summary>
      <form class="LightPanel-row" @submit.prevent="keepWarmUp">
        <QuantityField
          v-model="startsAt"
          label="Output at switch-on, % of full"
          :fault="faults.warmUp"
          dimension="fraction"
          unit="percent"
        />
        <QuantityField
          v-model="settles"
          :label="texts.warmUpTimeTwoThirds"
          hint="such as 90 s"
          dimension="time"
          unit="s"
        />
        <KitButton type="submit">Save</KitButton>
      </form>
      <form class="LightPanel-row" @submit.prevent="keepDistance">
        <QuantityField
          v-model="distance"
          label="Lamp to paper, mm"
          placeholder="150"
          :fault="faults.distance"
          dimension="length"
          unit="mm"
        />
        <ChoiceRow v-model="falloff" label="Falloff with distance" :options="falloffs" />
        <QuantityField
          v-if="falloff === 'line'"
          v-model="lineLength"
          label="Length of the tubes, mm"
          dimension="length"
          unit="mm"
        />
        <TextField
          v-if="falloff === 'table'"
          v-model="table"
          label="Distances and readings"
          placeholder="150 mm 4.8; 300 mm 2.1"
        />
        <KitButton type="submit">Save</KitButton>
      </form>
    </details>

    <LightPeak v-if="!isSun" :light="light" @save="change({ peakNanometres: $event })" />

    <details>
      <summary>Convert an exposure: distance, tissue, film</summary>
      <div class="LightPanel-row">
        <QuantityField v-model="wanted.time" label="Known exposure" dimension="time" unit="min" />
        <QuantityField
          v-if="!isSun"
          v-model="wanted.distance"
          label="New distance, mm"
          :placeholder="
            light.distanceMillimetres ? String(light.distanceMillimetres) : 'enter the present distance first'
          "
          dimension="length"
          unit="mm"
        />
        <QuantityField
          v-model="wanted.transmission"
          label="Transmission of one sheet, %"
          placeholder="60"
          dimension="fraction"
          unit="percent"
        />
        <TextField v-model="wanted.sheets" label="Number of sheets" />
        <TextField
          v-model="wanted.exponent"
          label="Schwarzschild exponent"
          :fault="faults.exponent"
          hint="1: no reciprocity failure"
        />
        <KitButton @click="keepExponent">Save exponent for this light</KitButton>
      </div>
      <p v-if="other.fault" role="alert" class="LightPanel-fault">
        {{ other.fault.problem }} {{ other.fault.remedy }}
      </p>
      <FigureValue
        v-if="other.figure"
        label="new exposure"
        :figure="other.figure"
        :text="formatSpan(Math.round(other.figure.value))"
      />
    </details>
  </article>
</template>

<style scoped>
.LightPanel {
  display: grid;
  grid-template-columns: minmax(0, 19rem) minmax(0, 1fr);
  gap: var(--es-space-4) var(--es-space-7);
}

/* The history of the light beside what is entered into it. */
.LightPanel > :deep(.ChartFigure) {
  grid-row: 1 / span 4;
  grid-column: 2;
}

.LightPanel > details {
  grid-column: 1 / -1;
}

@media (width <= 68.75em) {
  .LightPanel {
    grid-template-columns: minmax(0, 1fr);
  }

  .LightPanel > :deep(.ChartFigure) {
    grid-row: auto;
    grid-column: auto;
  }
}

.LightPanel-figures,
.LightPanel-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-5);
  align-items: end;
}

.LightPanel-next {
  color: var(--es-quiet);
}

.LightPanel-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}

.LightPanel-row > .TextField {
  flex: 0 1 280px;
}

summary {
  padding: var(--es-space-3) 0;
  cursor: pointer;
}

.LightPanel-fault {
  color: var(--es-ember);
}
</style>
