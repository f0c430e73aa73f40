<script setup lang="ts">
import { texts } from '../words'
import ChartFigure from '../../../kit/ChartFigure.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { dateOf } from '../../../words/moments'
import SelectField from '../../../kit/SelectField.vue'
import { useTrendsPage } from '../useTrendsPage'

const {
  now,
  router,
  portfolio,
  portfolioOptions,
  trends,
  TITLE,
  MEANS,
  placeOf,
  valueText,
  warnings,
  series,
  keyOf,
} = useTrendsPage()
</script>

<template>
  <div class="TrendsPage">
    <header>
      <h1>Trends</h1>
    </header>
    <SelectField
      v-if="portfolioOptions.length > 1"
      v-model="portfolio"
      label="Prints of"
      placeholder="all portfolios"
      clearable
      :options="portfolioOptions"
    />
    <EmptyPage
      v-if="!trends.length"
      under
      kicker="Trends"
      title="No trends yet"
      action="All prints"
      @act="router.push({ name: 'prints' })"
    >
      <p>
        {{ texts.measureDmaxAndPaperWhite }}
      </p>
    </EmptyPage>
    <div class="TrendsPage-charts">
      <section
        v-for="trend in trends"
        :key="keyOf(trend)"
        :aria-label="`${TITLE[trend.kind]}, ${placeOf(trend)}`"
      >
        <h2>{{ TITLE[trend.kind] }}</h2>
        <p class="es-quiet">{{ placeOf(trend) }}</p>
        <ChartFigure
          :label="`${TITLE[trend.kind]}, ${placeOf(trend)}`"
          x-name="day"
          :y-name="trend.unit === 's' ? 'time' : trend.unit"
          :x-text="(x) => dateOf(x, now.now)"
          :y-text="valueText(trend)"
          :series="series(trend)"
        />
        <p v-for="line in warnings(trend)" :key="line" class="TrendsPage-warning">{{ line }}</p>
        <p v-if="warnings(trend).length">{{ MEANS[trend.kind] }}</p>
        <p v-else-if="!trend.chart" class="es-quiet">{{ texts.controlLimitsNeedAtLeast }}</p>
        <p v-else class="es-quiet">Within control limits.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.TrendsPage {
  display: grid;
  gap: var(--es-space-6);
}

.TrendsPage-charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(360px, 100%), 1fr));
  gap: var(--es-space-7) var(--es-space-6);
}

section {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  min-width: 0;
}

.TrendsPage-warning {
  color: var(--es-ember);
}
</style>
