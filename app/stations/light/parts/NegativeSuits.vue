<script setup lang="ts">
import { texts } from '../words'
import { numberOrNull } from '@core/quantity/number'
import { computed, ref } from 'vue'
import { digits } from '@core/quantity/format'
import type { Characteristic } from '@core/tone/characteristic'
import { suitNegative } from '@core/tone/tablet'
import TextField from '../../../kit/TextField.vue'
import ContrastMeans from './ContrastMeans.vue'

/** Which of several measured papers suits a negative of some range. */
const props = defineProps<{
  papers: readonly { id: string; name: string; processId: string | undefined; curve: Characteristic }[]
}>()
const negative = ref('')
const range = computed(() => {
  const typed = numberOrNull(negative.value)
  return typed !== null && typed > 0 && typed <= 6 ? typed : null
})
const suits = computed(() => (range.value === null ? [] : suitNegative(range.value, props.papers)))
/** Scales that were measured, in densities of a negative. */
const own = computed(() =>
  props.papers.flatMap(({ curve, ...one }) =>
    curve.negativeRange ? [{ ...one, scale: curve.negativeRange.value }] : [],
  ),
)
const SUIT_WORDS = {
  fits: 'fits',
  shortPaper: texts.tooContrasty,
  longPaper: texts.tooSoft,
  unknown: 'its tablet was too short to tell',
} as const
</script>

<template>
  <TextField
    v-model="negative"
    label="Density range of a negative"
    placeholder="1.65"
    hint="shows which of these fit it"
  />
  <ul v-if="suits.length" :aria-label="texts.papersAndMixesThatFit">
    <li
      v-for="(suit, at) in suits"
      :key="suit.id"
      :class="{ 'is-best': at === 0 && suit.says !== 'unknown' }"
    >
      {{ suit.name }}: {{ SUIT_WORDS[suit.says] }}
      <span v-if="suit.spare !== null" class="es-quiet">
        {{ suit.spare > 0 ? '+' : '−' }}{{ digits(Math.abs(suit.spare), 2) }}
      </span>
    </li>
  </ul>
  <ContrastMeans v-if="range !== null" :range="range" :own="own" />
</template>

<style scoped>
ul {
  display: grid;
  gap: var(--es-space-3);
  margin: var(--es-space-3) 0 var(--es-space-5);
  padding: 0;
  list-style: none;
}

li .es-quiet {
  margin: 0 var(--es-space-4);
}

li.is-best {
  font-weight: 700;
}
</style>
