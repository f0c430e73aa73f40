<script setup lang="ts">
import { texts } from '../words'
import FileChoice from '../../../kit/FileChoice.vue'
import PressCard from '../../../kit/PressCard.vue'
import TakeReading from '../../../kit/TakeReading.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import TextField from '../../../kit/TextField.vue'
import ChartMap from './ChartMap.vue'
import { type ReadOfChart } from '../chartReading'
import FieldGrid from '../../../kit/FieldGrid.vue'
import { scanSentences } from '../scanWords'
import ScanTablet from './ScanTablet.vue'
import { useReadChart, type ReadChartProps } from '../useReadChart'

/** Readings of one printed chart: from a scan or photo, typed, from a file, or from the instrument. */
const props = defineProps<ReadChartProps>()
/** What was read, as soon as there is something to go on with. */
const emit = defineEmits<{ read: [ReadOfChart | null] }>()

const {
  WAYS,
  way,
  scale,
  typed,
  white,
  black,
  tablet,
  beside,
  scan,
  fault,
  isReading,
  input,
  whiteFault,
  blackFault,
  byHand,
  next,
  mapped,
  take,
  takeReading,
} = useReadChart(props, emit)
</script>

<template>
  <div class="ReadChart">
    <ChoiceRow v-model="way" label="Read from" :options="WAYS" />
    <ChoiceRow
      v-if="way !== 'scan'"
      v-model="scale"
      label="Readings in"
      :options="[
        { id: 'density', name: 'densities' },
        { id: 'lightness', name: 'L*' },
      ]"
    />
    <template v-if="way !== 'typed'">
      <PressCard class="ReadChart-file" :disabled="isReading" @click="input?.open()">
        {{
          isReading
            ? 'Reading…'
            : way === 'scan'
              ? 'Choose the scan or photo'
              : 'Choose a file: CSV or CGATS.17'
        }}
      </PressCard>
      <FileChoice
        ref="input"
        :label="way === 'scan' ? 'Scan of the chart' : 'File of readings'"
        :accept="way === 'scan' ? 'image/*,.tif,.tiff' : '.csv,.txt,.cgats,text/*'"
        @chosen="take"
      />
    </template>
    <p v-if="fault" role="alert" class="ReadChart-fault">{{ fault.problem }} {{ fault.remedy }}</p>
    <FieldGrid v-if="way === 'scan'">
      <TextField
        v-model="white"
        label="Density of the white background"
        :hint="texts.measuredOnceOrAboutThat"
        :fault="whiteFault"
      />
      <TextField
        v-model="black"
        label="Density of its black (optional)"
        :hint="texts.printedThroughClearFilmCorrects"
        :fault="blackFault"
      />
    </FieldGrid>
    <ScanTablet v-if="way === 'scan'" v-model="tablet" v-model:beside="beside" />
    <template v-if="way === 'typed'">
      <TextField
        v-model="typed"
        :label="texts.readingsRowByRowFrom"
        :placeholder="texts.exampleOfChartReadings"
        :fault="byHand.fault"
      />
      <TakeReading quantity="density" label="Read next patch" @read="takeReading" />
    </template>
    <ChartMap
      v-if="way === 'typed' || mapped"
      :plan="plan"
      v-bind="{ ...(mapped && { readings: mapped }), ...(way === 'typed' && { next }) }"
    />
    <ul v-if="way === 'scan' && scan" aria-label="Scan result">
      <li v-for="line in scanSentences(scan)" :key="line">{{ line }}</li>
    </ul>
  </div>
</template>

<style scoped>
.ReadChart {
  display: grid;
  gap: var(--es-space-4);
  justify-items: start;
}

.ReadChart > .FieldGrid {
  width: 100%;
}

.ReadChart-file {
  min-height: 3rem;
  padding: var(--es-space-3) var(--es-space-5);
  border: 2px dashed var(--es-line);
  background: none;
  cursor: pointer;
}

.ReadChart-fault {
  color: var(--es-ember);
}

ul {
  display: grid;
  gap: var(--es-space-2);
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
