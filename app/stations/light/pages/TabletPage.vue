<script setup lang="ts">
import { texts } from '../words'
import KitCheckbox from '../../../kit/KitCheckbox.vue'
import KitButton from '../../../kit/KitButton.vue'
import { undoTabletPrint } from '../../../state/actions/light.actions'
import { digits } from '@core/quantity/format'
import TakeReading from '../../../kit/TakeReading.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChartFigure from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import SelectField from '../../../kit/SelectField.vue'
import TextField from '../../../kit/TextField.vue'
import NegativeSuits from '../parts/NegativeSuits.vue'
import OwnTablet from '../parts/OwnTablet.vue'
import { useTabletPage } from '../useTabletPage'

const {
  workroom,
  tabletId,
  tablets,
  tablet,
  name,
  typed,
  scale,
  processId,
  processOptions,
  read,
  take,
  curveOf,
  refusalOfHand,
  inHand,
  kept,
  isShown,
  toggle,
  figured,
  drawn,
  series,
  ends,
  keep,
  measured,
} = useTabletPage()
</script>

<template>
  <section class="TabletPage">
    <header>
      <h1>Step tablet</h1>
    </header>
    <div class="TabletPage-entry">
      <ChoiceRow v-model="tabletId" label="Tablet" :options="tablets" />
      <TextField
        v-model="name"
        label="Sensitizer and conditions"
        placeholder="3 drops of chlorate, 50 % RH"
      />
      <SelectField
        v-model="processId"
        label="Process"
        :options="processOptions"
        clearable
        placeholder="any"
      />
      <ChoiceRow
        v-model="scale"
        label="Readings in"
        :options="[
          { id: 'density', name: 'densities' },
          { id: 'lightness', name: 'L*' },
        ]"
      />
      <TextField
        v-model="typed"
        label="Readings, clear step first"
        :placeholder="texts.exampleOfTabletReadings"
        :fault="read.fault ?? refusalOfHand"
        :hint="
          read.print
            ? `${read.print.filter((one) => one !== null).length} of ${tablet.densities.length} steps`
            : ''
        "
      />
      <div class="TabletPage-acts">
        <TakeReading quantity="density" label="Read next step" @read="take" />
        <BigTarget label="Save tablet" :disabled="!inHand" @press="keep" />
      </div>
    </div>

    <div class="TabletPage-result">
      <ChartFigure
        v-if="series.length"
        label="Density by log exposure"
        :series="series"
        x-name="log exposure behind the tablet"
        y-name="density of the print"
        :y-text="(y) => digits(y, 3)"
        :x-text="(x) => digits(x, 3)"
        :y-min="0"
        :marks="
          figured && figured.curve.foot !== null && figured.curve.shoulder !== null
            ? [
                { x: figured.curve.foot, name: '0.04 above paper white' },
                { x: figured.curve.shoulder, name: '90 % of Dmax' },
              ]
            : []
        "
      />
      <p v-if="figured && drawn.length > 1" class="es-kicker">{{ figured.name }}</p>
      <div v-if="figured" class="TabletPage-figures">
        <FigureValue
          v-if="figured.curve.negativeRange"
          label="density range the negative needs"
          :figure="figured.curve.negativeRange"
          :text="figured.curve.negativeRange.value.toFixed(2)"
        />
        <FigureValue
          v-if="figured.curve.exposureRange"
          label="ISO range"
          :figure="figured.curve.exposureRange"
          :text="String(Math.round(figured.curve.exposureRange.value))"
        />
        <FigureValue
          v-if="figured.curve.averageGradient"
          label="average gradient"
          :figure="figured.curve.averageGradient"
          :text="figured.curve.averageGradient.value.toFixed(2)"
        />
        <p v-for="end in ends" :key="end.title">
          <strong>{{ end.value }}</strong>
          <span>{{ end.title }}: {{ end.says }}</span>
        </p>
      </div>
    </div>

    <section v-if="kept.length">
      <h2>Saved tablets</h2>
      <ul>
        <li v-for="one in kept" :key="one.id">
          <KitCheckbox :model-value="isShown(one.id)" @update:model-value="toggle(one.id)">
            {{ one.name }}
          </KitCheckbox>
          <span class="es-quiet">
            {{ one.processId ? workroom.definitionOf(one.processId).name : '' }}
            {{
              curveOf(one.id)?.negativeRange
                ? `needs ${digits(curveOf(one.id)!.negativeRange!.value, 3)}`
                : ''
            }}
          </span>
          <KitButton kind="quiet" :aria-label="`Remove ${one.name}`" @click="undoTabletPrint(one.id)">
            remove
          </KitButton>
        </li>
      </ul>
      <NegativeSuits :papers="measured" />
    </section>
    <OwnTablet @kept="tabletId = $event" />
  </section>
</template>

<style scoped>
.TabletPage {
  display: grid;
  grid-template-columns: minmax(0, 15rem) minmax(0, 1fr);
  gap: var(--es-space-5) var(--es-space-7);
}

/* The entry beside the curve that it draws; what is saved below both. */
.TabletPage > :not(.TabletPage-entry, .TabletPage-result) {
  grid-column: 1 / -1;
}

.TabletPage-entry,
.TabletPage-result {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
}

@media (width <= 51.25em) {
  .TabletPage {
    grid-template-columns: minmax(0, 1fr);
  }
}

.TabletPage-acts,
.TabletPage-figures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-7);
  align-items: center;
}

.TabletPage-figures p {
  display: grid;
  max-width: 17em;
}

.TabletPage-figures strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.TabletPage-figures span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}

ul {
  display: grid;
  gap: var(--es-space-3);
  margin: var(--es-space-3) 0 var(--es-space-5);
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin: 0 var(--es-space-4);
}
</style>
