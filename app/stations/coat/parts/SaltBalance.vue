<script setup lang="ts">
import { texts } from '../words'
import { computed } from 'vue'
import type { SaltBalance } from '@core/chemistry/saltBalance'
import FigureValue from '../../../kit/FigureValue.vue'

/** Whether there is silver enough for the salt in the paper, in figures that open to what is assumed. */
const props = defineProps<{ balance: SaltBalance }>()

const WORDS = {
  silverShort: texts.tooLittleSilverForSalt,
  even: texts.barelyEnoughSilverForSalt,
  silverAmple: texts.enoughSilverWithExcessThat,
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
