<script setup lang="ts">
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import type { CoatJudgement } from '@core/run/runState'
import { CoreError } from '@core/errors'
import { parseQuantity } from '@core/quantity/parse'
import type { Happening } from '@core/schema/event'
import { useNotice } from '../../../state/notice.store'
import QuantityField from '../../../kit/QuantityField.vue'

/** Whether what was mixed for a coat was enough: this is what coverage is learned from. */
const props = defineProps<{ coat: number; judged?: CoatJudgement }>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const notice = useNotice()

const by = ref('')
const ANSWERS = [
  { said: 'short', name: 'Not enough' },
  { said: 'right', name: 'Just right' },
  { said: 'over', name: 'Too much' },
] as const
const question = computed(() =>
  props.coat > 1 ? `Was there enough for coat ${props.coat}?` : 'Was there enough for the coat?',
)

function answer(said: CoatJudgement['said']): void {
  try {
    const byMillilitres =
      said !== 'right' && by.value.trim()
        ? parseQuantity(by.value, 'volume', { field: 'left over or missing', bareUnit: 'ml' })
        : undefined
    emit('record', { type: 'coatJudged', coat: props.coat, said, ...(byMillilitres && { byMillilitres }) })
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    notice.refuse(error, 'the coat')
  }
}
</script>

<template>
  <fieldset class="CoatEnough">
    <legend>{{ question }}</legend>
    <KitButton
      v-for="one in ANSWERS"
      :key="one.said"
      :aria-pressed="judged?.said === one.said"
      @click="answer(one.said)"
    >
      {{ one.name }}
    </KitButton>
    <QuantityField v-model="by" label="how much, ml" placeholder="optional" dimension="volume" unit="ml" />
  </fieldset>
</template>

<style scoped>
.CoatEnough {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3) var(--es-space-3);
  align-items: end;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 var(--es-space-3);
  color: var(--es-quiet);
  font: italic var(--es-size-lead) var(--es-serif);
}

.CoatEnough :deep(.TextField) {
  width: 9.375rem;
  margin-left: var(--es-space-4);
}
</style>
