<script setup lang="ts">
import KitButton from './KitButton.vue'
import { Scatter } from 'vue-chartjs'
import { useChartFigure, type ChartFigureProps } from './useChartFigure'

/** A chart that can be read in both palettes, by keyboard, and as a table. */
const props = defineProps<ChartFigureProps>()

const { showsTable, at, data, xShown, yShown, options, overlay, tabled, spoken, go, drawing } =
  useChartFigure(props)
</script>

<template>
  <figure class="ChartFigure">
    <div
      class="ChartFigure-canvas"
      role="application"
      tabindex="0"
      :aria-label="`${label}. Use the arrow keys to move between values.`"
      @keydown.right.prevent="go(1)"
      @keydown.left.prevent="go(-1)"
      @keydown.esc="at = -1"
    >
      <Scatter :key="drawing" :aria-label="label" :data="data" :options="options" :plugins="[overlay]" />
    </div>
    <figcaption>
      <span aria-live="polite">{{ spoken }}</span>
      <KitButton kind="quiet" :aria-expanded="showsTable" @click="showsTable = !showsTable">
        {{ showsTable ? 'Close the table' : 'Show as table' }}
      </KitButton>
    </figcaption>
    <div v-if="showsTable" class="ChartFigure-tables">
      <table v-for="one in tabled" :key="one.name">
        <caption>{{ one.name }}</caption>
        <thead>
          <tr>
            <th scope="col">{{ xName }}</th>
            <th scope="col">{{ yName }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(point, row) in one.points" :key="row">
            <td>{{ xShown(point.x) }}</td>
            <td>{{ yShown(point.y) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </figure>
</template>

<style scoped>
.ChartFigure {
  margin: 0;
}

.ChartFigure-canvas {
  position: relative;
  height: 280px;
  /* A drawing follows the page and never holds it open when the page gets narrower. */
  contain: inline-size;
}

figcaption {
  display: flex;
  gap: var(--es-space-5);
  justify-content: space-between;
  min-height: 24px;
  color: var(--es-quiet);
}

.ChartFigure-tables {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4) var(--es-space-8);
  margin-top: var(--es-space-3);
}

caption {
  padding-bottom: var(--es-space-2);
  color: var(--es-quiet);
  text-align: left;
}

th,
td {
  padding: var(--es-space-1) var(--es-space-5) var(--es-space-1) 0;
  border-bottom: 1px solid var(--es-rule);
  font-weight: 400;
  text-align: left;
}
</style>
