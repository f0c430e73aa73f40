<script setup lang="ts">
import { computed } from 'vue'
import type { SaltBalance } from '@core/chemistry/saltBalance'
import FigureValue from '../../../kit/FigureValue.vue'

/** Whether there is silver enough for the salt in the paper, in figures that open to what is assumed. */
const props = defineProps<{ balance: SaltBalance }>()

const WORDS = {
  silverShort: 'Too little silver for the salt: expect pale grey-red patches. Use less salt or more silver.',
  even: 'Barely enough silver for the salt. A second silver coat or a weaker salt solution is safer.',
  silverAmple: 'Enough silver, with an excess that printing out needs.',
} as const
const words = computed(() => WORDS[props.balance.verdict])
</script>

<template>
  <section
    class="SaltBalance"
    :class="{ 'is-short': balance.verdict === 'silverShort' }"
    aria-label="Salt and silver"
  >
    <p>{{ words }}</p>
    <FigureValue label="halide" :figure="balance.halide" />
    <FigureValue label="silver" :figure="balance.silver" />
    <FigureValue label="silver to halide" :figure="balance.ratio" />
  </section>
</template>

<style scoped>
.SaltBalance {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-7);
}

.SaltBalance p {
  flex-basis: 100%;
  color: var(--es-quiet);
}

.SaltBalance.is-short p {
  color: var(--es-ember);
}
</style>
