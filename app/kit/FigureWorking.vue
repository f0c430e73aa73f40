<script setup lang="ts">
import { computed } from 'vue'
import KitButton from './KitButton.vue'
import type { Figure, Standing } from '@core/quantity/figure'
import { digits } from '@core/quantity/format'
import { figureText } from '../words/figureText'

const props = defineProps<{ label: string; figure: Figure }>()
const emit = defineEmits<{ close: [] }>()

const STANDING: Readonly<Record<Standing, string>> = {
  published: 'published',
  practice: 'common practice',
  memory: 'from memory',
  yours: 'measured by you',
  arithmetic: 'arithmetic',
}
/** The source, with its standing where the source does not say it itself. */
const source = computed(() => {
  const { source: from, standing } = props.figure.working
  return from.toLowerCase().includes(STANDING[standing]) ? from : `${from} (${STANDING[standing]})`
})
</script>

<template>
  <section class="FigureWorking" aria-live="polite">
    <h2>Working: {{ figureText(figure) }}</h2>
    <p>{{ label }}: {{ figure.working.words }}</p>
    <p class="FigureWorking-formula">{{ figure.working.formula }}</p>
    <ul>
      <li v-for="(input, index) in figure.working.inputs" :key="index">
        {{ input.name }}, {{ input.symbol }} = {{ digits(input.value, 4) }} {{ input.unit }}
        <span v-if="input.standing" class="es-quiet">({{ STANDING[input.standing] }})</span>
      </li>
    </ul>
    <p>= {{ figureText(figure) }}</p>
    <p class="es-quiet">{{ source }}.</p>
    <p v-if="figure.working.leavesOut" class="es-quiet">Not included: {{ figure.working.leavesOut }}.</p>
    <KitButton kind="quiet" @click="emit('close')">Close the working</KitButton>
  </section>
</template>

<style scoped>
.FigureWorking {
  display: grid;
  gap: var(--es-space-2);
  margin-bottom: var(--es-space-6);
  padding-left: var(--es-space-5);
  border-left: 2px solid var(--es-ember);
  font-size: var(--es-size-small);
}

.FigureWorking-formula {
  font-size: var(--es-size-body);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
