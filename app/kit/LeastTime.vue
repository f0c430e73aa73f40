<script setup lang="ts">
import { computed } from 'vue'
import { leastTime, madeUpTime } from '@core/process/stepTimes'
import type { StepState } from '@core/run/runState'
import type { StepDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import { useWorkroom } from '../state/workroom.store'
import FigureValue from './FigureValue.vue'

/** The minimum time of a step on this sheet's paper, which opens to where it comes from. */
const props = defineProps<{ step: StepDefinition; state: StepState; sheet: Sheet }>()
const workroom = useWorkroom()

/** The step that was cut short, for which this one is longer. */
const short = computed(() =>
  workroom.definitionOf(props.sheet.process.id).steps.find(({ id }) => id === props.state.lengthenedBy),
)
const figure = computed(() => {
  const { leastSeconds } = props.state.planned
  if (short.value && leastSeconds !== undefined) return madeUpTime(leastSeconds, short.value)
  const paper = workroom.papers.find(({ id }) => id === props.sheet.paperId)
  return leastTime(props.step, paper?.gramsPerM2)
})
</script>

<template>
  <FigureValue
    v-if="figure"
    :label="short ? `minimum time, since “${short.title}” was short` : 'minimum time'"
    :figure="figure"
  />
</template>
