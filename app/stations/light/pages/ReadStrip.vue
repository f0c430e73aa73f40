<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import PressCard from '../../../kit/PressCard.vue'
import { digits, formatSpan } from '@core/quantity/format'
import TakeReading from '../../../kit/TakeReading.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChartFigure from '../../../kit/ChartFigure.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import FigureValue from '../../../kit/FigureValue.vue'
import TextField from '../../../kit/TextField.vue'
import StripCard from '../parts/StripCard.vue'
import { useReadStrip } from '../useReadStrip'

const {
  one,
  exposed,
  seconds,
  way,
  WAYS,
  typedRows,
  white,
  difference,
  mark,
  typed,
  found,
  result,
  trouble,
  take,
  readWhole,
  canReadWhole,
  keep,
  densities,
  series,
} = useReadStrip()
</script>

<template>
  <EmptyPage v-if="!one?.sheet.strip" kicker="Test strip" :title="texts.thisSheetNotTestStrip">
    <p>{{ texts.planTestStripFirstThen }}</p>
  </EmptyPage>
  <EmptyPage
    v-else-if="!exposed"
    :kicker="`Sheet ${one.sheet.number} · ${one.sheet.title}`"
    :title="texts.thisStripHasNotBeen"
  >
    <p>{{ texts.exposeAndProcessStripAnd }}</p>
  </EmptyPage>
  <section v-else class="ReadStrip">
    <header>
      <p class="es-kicker">Sheet {{ one.sheet.number }} · {{ one.sheet.title }}</p>
      <h1>Read test strip</h1>
    </header>
    <ChoiceRow v-model="way" label="Read" :options="WAYS" />
    <StripCard v-if="way === 'eye'" :times="seconds" :covered="0" :chosen="mark">
      <template #default="{ mark: at, seconds: time }">
        <PressCard :aria-pressed="mark === at" @click="mark = at">
          <strong>{{ at }}</strong>
          <span>{{ formatSpan(Math.round(time)) }}</span>
        </PressCard>
      </template>
    </StripCard>
    <p v-if="way === 'eye'" class="es-quiet">{{ texts.chooseFirstStepThatLooks }}</p>
    <template v-else>
      <StripCard :times="seconds" :covered="0" :densities="densities" />
      <div class="ReadStrip-fields">
        <TextField
          v-for="(time, at) in seconds"
          :key="at"
          :model-value="typedRows[at] ?? ''"
          :label="`Step ${at + 1}`"
          :fault="typed.faults[at]"
          :hint="formatSpan(Math.round(time))"
          @update:model-value="typedRows[at] = $event"
        />
      </div>
      <div class="ReadStrip-row">
        <TakeReading quantity="density" label="Read next step" @read="take" />
        <KitButton v-if="canReadWhole" @click="readWhole">
          {{ texts.readAllStepsWithSimulated }}
        </KitButton>
        <TextField v-model="difference" label="Tolerance in density" hint="usually 0.04" />
        <TextField
          v-model="white"
          label="Paper white"
          placeholder="0.06"
          hint="leave empty for the usual value"
        />
      </div>
    </template>
    <p v-for="line in trouble" :key="line" role="alert" class="ReadStrip-trouble">{{ line }}</p>
    <ChartFigure
      v-if="series.length"
      label="Density by exposure"
      :series="series"
      x-name="exposure"
      y-name="density"
      x-log
      :x-text="(x) => formatSpan(Math.round(x))"
      :y-text="(y) => digits(y, 3)"
      :x-ticks="seconds.filter((_, at) => at % Math.ceil(seconds.length / 6) === 0)"
      :band="result ? { from: Math.max(seconds[0] ?? 1, result.low), to: result.high } : null"
      :marks="result ? [{ x: result.figure.value, name: 'base' }] : []"
    />
    <div v-if="result" class="ReadStrip-result">
      <FigureValue
        label="base exposure"
        :figure="result.figure"
        :text="formatSpan(Math.round(result.figure.value))"
      />
      <p>between {{ formatSpan(Math.round(result.low)) }} and {{ formatSpan(Math.round(result.high)) }}</p>
      <p v-if="found.base" class="es-quiet">Dmax {{ digits(found.base.black, 3) }}</p>
    </div>
    <BigTarget class="ReadStrip-go" label="Save as base exposure" :disabled="!result" @press="keep" />
  </section>
</template>

<style scoped>
.ReadStrip {
  display: grid;
  gap: var(--es-space-5);
  max-width: 55rem;
}

.ReadStrip-fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(185px, 1fr));
  gap: var(--es-space-1) var(--es-space-5);
}

.ReadStrip-row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-6);
  align-items: center;
}

.ReadStrip-trouble {
  color: var(--es-ember);
}

.ReadStrip-result {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-6);
  align-items: baseline;
}

.ReadStrip-go {
  justify-self: start;
}

.StripCard .PressCard {
  display: grid;
  height: 100%;
}
</style>
