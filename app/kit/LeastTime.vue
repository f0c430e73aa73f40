<script setup lang="ts">
import { computed } from 'vue'
import { leastTime } from '@core/process/plan'
import type { StepDefinition } from '@core/schema/definition'
import type { Sheet } from '@core/schema/records'
import { useWorkroom } from '../state/workroom.store'
import FigureValue from './FigureValue.vue'

/** The minimum time of a step on this sheet's paper, which opens to where it comes from. */
const props = defineProps<{ step: StepDefinition; sheet: Sheet }>()
const workroom = useWorkroom()

const figure = computed(() =>
  leastTime(props.step, workroom.papers.find((paper) => paper.id === props.sheet.paperId)?.gramsPerM2),
)
</script>

<template>
  <FigureValue v-if="figure" label="minimum time" :figure="figure" />
</template>
