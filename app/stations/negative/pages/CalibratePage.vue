<script setup lang="ts">
import WayBack from '../../../kit/WayBack.vue'
import { texts } from '../words'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { dateOf } from '../../../words/moments'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import CurveImport from '../parts/CurveImport.vue'
import InkColour from '../parts/InkColour.vue'
import { stageWords, standingWords } from '../calibrationWords'
import FieldGrid from '../../../kit/FieldGrid.vue'
import { useCalibratePage } from '../useCalibratePage'

const {
  workroom,
  now,
  all,
  isLoaded,
  creating,
  isBeginning,
  imported,
  options,
  name,
  processId,
  paperId,
  lightId,
  film,
  exposure,
  steps,
  repeats,
  scattered,
  strip,
  base,
  ownSteps,
  drawn,
  exposureFault,
  begin,
} = useCalibratePage()
</script>

<template>
  <section class="CalibratePage">
    <WayBack />
    <header>
      <h1>Calibrate</h1>
    </header>

    <ul v-if="all.length" aria-label="Calibrations">
      <li v-for="one in all" :key="one.calibration.id" :class="{ 'has-drifted': one.standing.hasDrifted }">
        <RouterLink :to="{ name: 'calibration', params: { calibrationId: one.calibration.id } }">
          {{ one.calibration.name }}
        </RouterLink>
        <strong>{{ standingWords(one.standing) }}</strong>
        <span class="es-quiet">
          {{ stageWords(one.stage) }}, {{ dateOf(one.calibration.changedAt, now.now) }}
        </span>
      </li>
    </ul>
    <p v-else-if="isLoaded && !isBeginning">
      {{ texts.noCalibrationsYetWithPlain }}
    </p>

    <InkColour v-if="!isBeginning" />
    <div v-if="!isBeginning" class="CalibratePage-row">
      <BigTarget label="New calibration" @press="creating = 'chart'" />
      <BigTarget quiet label="Take in a curve" @press="creating = 'curve'" />
    </div>
    <form v-else @submit.prevent="begin">
      <CurveImport v-if="creating === 'curve'" @read="imported = $event" />
      <FieldGrid>
        <TextField v-model="name" label="Name" placeholder="rag, the box" autofocus />
        <SelectField v-model="processId" label="Process" :options="options(workroom.allProcesses)" />
        <SelectField
          v-model="paperId"
          label="Paper"
          :options="options(workroom.papers)"
          clearable
          placeholder="any"
        />
        <SelectField
          v-model="lightId"
          label="Light"
          :options="options(workroom.lights)"
          clearable
          placeholder="any"
        />
        <TextField v-model="film" label="Film, printer and ink" placeholder="the names you use" />
        <QuantityField
          v-model="exposure"
          label="Base exposure"
          :hint="base ? 'from your test strip' : 'find it with a test strip'"
          :fault="exposureFault"
          dimension="time"
          unit="min"
        />
      </FieldGrid>
      <p v-if="!base">
        <RouterLink :to="{ name: 'strip' }">Plan a test strip first</RouterLink>
      </p>
      <p v-if="creating === 'curve'" class="es-quiet">{{ texts.chartChecksTheCurve }}</p>
      <div class="CalibratePage-row">
        <ChoiceRow
          v-model="steps"
          label="Tones in the chart"
          :options="[
            ...['21', '31', '51', '101'].map((id) => ({ id, name: id })),
            { id: 'own', name: 'other' },
          ]"
        />
        <ChoiceRow
          v-model="repeats"
          label="Patches per tone"
          :options="[
            { id: '1', name: 'once' },
            { id: '2', name: 'twice' },
            { id: '3', name: '3 times' },
            { id: '4', name: '4 times' },
          ]"
        />
        <ChoiceRow
          v-model="scattered"
          label="Patch order"
          :options="[
            { id: 'scattered', name: 'scattered' },
            { id: 'rows', name: 'in order' },
          ]"
        />
        <ChoiceRow
          v-model="strip"
          label="Strip of clear film"
          :options="[
            { id: 'with', name: 'with' },
            { id: 'without', name: 'without' },
          ]"
        />
      </div>
      <TextField
        v-if="steps === 'own'"
        v-model="ownSteps"
        label="How many tones"
        :fault="drawn.fault"
        hint="5 to 101"
      />
      <p class="es-quiet">{{ drawn.said }}</p>
      <BigTarget
        class="CalibratePage-go"
        :label="creating === 'curve' ? 'Save the curve' : 'Create chart'"
        :disabled="!!drawn.fault || (creating === 'curve' && !imported)"
        @press="begin"
      />
    </form>
  </section>
</template>

<style scoped>
.CalibratePage,
form {
  display: grid;
  gap: var(--es-space-5);
  max-width: 56.25rem;
}

header {
  display: grid;
  gap: var(--es-space-3);
}

.CalibratePage-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
}

.CalibratePage-go {
  justify-self: start;
}

ul {
  display: grid;
  gap: 0;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: baseline;
  padding: var(--es-space-4) 0;
  border-bottom: 1px solid var(--es-rule);
}

li a {
  color: var(--es-ink);
  padding: var(--es-space-2) 0;
  font: 500 var(--es-size-lead)/1.2 var(--es-serif);
}

li strong {
  font-weight: 400;
}

li.has-drifted strong {
  color: var(--es-ember);
}

@media (width <= 51.25em) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
