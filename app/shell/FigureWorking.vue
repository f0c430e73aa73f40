<script setup lang="ts">
import type { Figure, Standing } from '@core/quantity/figure'
import { digits } from '@core/quantity/format'
import { figureText } from './figureText'

defineProps<{ label: string; figure: Figure }>()
const emit = defineEmits<{ close: [] }>()

const STANDING: Readonly<Record<Standing, string>> = {
  published: 'published',
  practice: 'common practice',
  memory: 'from memory of the literature',
  yours: 'your own',
  arithmetic: 'arithmetic',
}
</script>

<template>
  <section class="FigureWorking" aria-live="polite">
    <h2>How {{ figureText(figure) }} comes about</h2>
    <p>{{ label }}: {{ figure.working.words }}</p>
    <p class="FigureWorking-formula">{{ figure.working.formula }}</p>
    <ul>
      <li v-for="(input, index) in figure.working.inputs" :key="index">
        {{ input.name }}, {{ input.symbol }} = {{ digits(input.value, 4) }} {{ input.unit }}
        <span v-if="input.standing" class="es-quiet">({{ STANDING[input.standing] }})</span>
      </li>
    </ul>
    <p>= {{ figureText(figure) }}</p>
    <p class="es-quiet">{{ figure.working.source }} ({{ STANDING[figure.working.standing] }}).</p>
    <p v-if="figure.working.leavesOut" class="es-quiet">Left out: {{ figure.working.leavesOut }}.</p>
    <button type="button" @click="emit('close')">Close the working</button>
  </section>
</template>

<style scoped>
.FigureWorking {
  display: grid;
  gap: 5px;
  margin-bottom: 24px;
  padding-left: 14px;
  border-left: 2px solid var(--es-ember);
  font-size: 14px;
}

.FigureWorking-formula {
  font-size: 15px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

button {
  justify-self: start;
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--es-quiet);
  cursor: pointer;
  text-decoration: underline;
}
</style>
