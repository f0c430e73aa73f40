<script setup lang="ts">
import { computed } from 'vue'
import KitButton from '../../../kit/KitButton.vue'
import SelectField from '../../../kit/SelectField.vue'
import { texts } from '../words'

/** Reads the print of a test strip or a step tablet, and says how it should have been read. */
const props = defineProps<{
  steps: number
  isTablet: boolean
  canBeRead: boolean
  isRead: boolean
  truth: { lastBlack: number; lastTone: number }
  mark: number | null
}>()
defineEmits<{ check: [] }>()
const read = defineModel<{ lastBlack: string; lastTone: string }>({ required: true })
const options = computed(() => [
  { id: '0', name: 'none' },
  ...Array.from({ length: props.steps }, (_, i) => ({ id: String(i + 1), name: `step ${i + 1}` })),
])
const said = computed(() =>
  props.truth.lastBlack < 1
    ? texts.ladderTooShort
    : props.truth.lastBlack >= props.steps
      ? texts.ladderTooLong
      : props.isTablet
        ? texts.tabletSaid({
            ...props.truth,
            scale: (0.5 * (props.truth.lastTone - props.truth.lastBlack)).toFixed(1),
          })
        : texts.stripSaid(props.truth),
)
</script>

<template>
  <form class="LadderReading" @submit.prevent="$emit('check')">
    <SelectField
      v-model="read.lastBlack"
      placeholder="choose a step"
      label="Last step as black as possible"
      :options="options"
    />
    <SelectField
      v-if="isTablet"
      v-model="read.lastTone"
      placeholder="choose a step"
      label="Last step darker than paper"
      :options="options"
    />
    <KitButton v-if="!isRead" :disabled="!canBeRead" @click="$emit('check')">Check the reading</KitButton>
    <p v-else role="status">{{ mark }} of 100 for the reading. {{ said }}</p>
  </form>
</template>

<style scoped>
.LadderReading {
  display: grid;
  gap: var(--es-space-3);
  justify-items: start;
  width: 100%;
}

.LadderReading :deep(.SelectField) {
  width: 100%;
}

.LadderReading p {
  margin: 0;
}
</style>
