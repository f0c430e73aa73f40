<script setup lang="ts">
import { computed } from 'vue'
import type { CoatPlan } from '@core/process/plan'
import { digits, formatQuantity } from '@core/quantity/format'
import FigureValue from '../shell/FigureValue.vue'

/** The figures of one coat, each of which opens to its working. */
const props = defineProps<{ plan: CoatPlan }>()

const ratioText = computed(() => {
  const [first = 1, ...rest] = props.plan.count.drops
  const ratio = [first, ...rest].map((drops) => digits(drops / first)).join(' : ')
  return props.plan.count.worstError === 0
    ? ratio
    : `${ratio}, off by ${digits(props.plan.ratioError.value, 2)} %`
})
</script>

<template>
  <div class="CoatFigures">
    <FigureValue :label="`on ${formatQuantity(plan.area.value, 'area')}`" :figure="plan.volume" />
    <FigureValue label="drops in all" :figure="plan.total" :text="String(plan.total.value)" />
    <template v-for="solute in plan.mixture" :key="solute.substanceId">
      <FigureValue :label="`${solute.name} in the mix`" :figure="solute.strength" />
      <FigureValue v-if="solute.molarity" :label="`${solute.name} by moles`" :figure="solute.molarity" />
    </template>
    <FigureValue label="ratio by drops" :figure="plan.ratioError" :text="ratioText" />
  </div>
</template>

<style scoped>
.CoatFigures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 34px;
}
</style>
