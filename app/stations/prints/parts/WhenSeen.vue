<script setup lang="ts">
import type { FaultFact } from '@core/judge/faultBook'
import KitButton from '../../../kit/KitButton.vue'
import { momentNames } from '../words'

/** When a fault was first seen: one question of as many answers as there are moments. */
defineProps<{ facts: readonly FaultFact[] }>()
const emit = defineEmits<{ answer: [factId: string] }>()
</script>

<template>
  <span class="WhenSeen">
    <template v-for="fact in facts" :key="fact.id">
      <KitButton v-if="fact.moment" @click="emit('answer', fact.id)">
        {{ momentNames[fact.moment] }}
      </KitButton>
    </template>
    <slot />
  </span>
</template>

<style scoped>
.WhenSeen {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
}
</style>
