<script setup lang="ts">
import { computed } from 'vue'
import type { Figure } from '@core/quantity/figure'
import type { MixPlan } from '@core/process/mixPlan'
import { digits, formatQuantity } from '@core/quantity/format'
import FigureValue from '../../../kit/FigureValue.vue'

/** The figures of one mix, each of which opens to its working. */
const props = defineProps<{
  plan: MixPlan
  named?: boolean
  /** The coat that the glass gives, once something of everything is in it. */
  coverage?: Figure | null
}>()

const ratioText = computed(() => {
  const [first = 1, ...rest] = props.plan.count.drops
  const ratio = [first, ...rest].map((drops) => digits(drops / first)).join(' : ')
  return props.plan.count.worstError < 1e-9
    ? ratio
    : `${ratio}, off by ${digits(props.plan.ratioError.value, 2)} %`
})
/** Less than half of the smallest coin is not worth a figure. */
const cost = computed(() => ((props.plan.cost?.value ?? 0) >= 0.005 ? props.plan.cost : null))
/** Shares of a single metal say nothing; its mass does. */
const areMetalsMixed = computed(() => props.plan.metals.length > 1)
</script>

<template>
  <div class="CoatFigures">
    <h2 v-if="named">{{ plan.mix.name }}</h2>
    <FigureValue
      :label="`on ${plan.sheets > 1 ? `${plan.sheets} × ` : ''}${formatQuantity(plan.area.value, 'area')}`"
      :figure="plan.volume"
    />
    <FigureValue label="drops in all" :figure="plan.total" :text="String(plan.count.total)" />
    <FigureValue v-if="coverage" label="coat from this glass" :figure="coverage" />
    <template v-for="solute in plan.mixture" :key="solute.substanceId">
      <FigureValue :label="`${solute.name} in the mix`" :figure="solute.strength" />
      <FigureValue
        v-if="solute.molarity && plan.mixture.length <= 2"
        :label="`${solute.name} by moles`"
        :figure="solute.molarity"
      />
    </template>
    <FigureValue
      v-if="plan.pours.length > 1"
      label="ratio in drops"
      :figure="plan.ratioError"
      :text="ratioText"
    />
    <template v-for="metal in plan.metals" :key="metal.metal">
      <FigureValue :label="`${metal.name} itself`" :figure="metal.mass" />
      <template v-if="areMetalsMixed">
        <FigureValue :label="`${metal.name}, share of metal by mass`" :figure="metal.massShare" />
        <FigureValue :label="`${metal.name}, share of metal by mole`" :figure="metal.moleShare" />
      </template>
    </template>
    <FigureValue v-if="cost" label="cost of this mix" :figure="cost" :text="cost.value.toFixed(2)" />
  </div>
</template>

<style scoped>
.CoatFigures {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
}

h2 {
  flex-basis: 100%;
  font-size: var(--es-size-lead);
}
</style>
