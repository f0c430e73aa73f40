<script setup lang="ts">
import { texts } from '../words'
import KitDialog from '../../../kit/KitDialog.vue'
import EnterSubmits from '../../../kit/EnterSubmits.vue'
import PressCard from '../../../kit/PressCard.vue'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { changeExposure } from '@core/light/exposureChange'
import { formatSpan } from '@core/quantity/format'
import { parseExposureChange, type ExposureChange } from '@core/quantity/parse'
import BigTarget from '../../../kit/BigTarget.vue'
import TextField from '../../../kit/TextField.vue'

const props = defineProps<{ plannedSeconds: number }>()
const emit = defineEmits<{ give: [change: ExposureChange, said: string]; close: [] }>()

const OFFERED = ['+1/3 stop', '+1/2 stop', '+1 stop', '+10 %', '+1 min', '-1/3 stop']
const typed = ref('')
const field = ref<InstanceType<typeof TextField> | null>(null)

const readChange = (text: string): { seconds: number; change: ExposureChange } | Refusal => {
  try {
    const change = parseExposureChange(text, 'change')
    return { change, seconds: changeExposure(props.plannedSeconds, change).value }
  } catch (error) {
    if (error instanceof CoreError) return error.refusal
    throw error
  }
}
const reading = computed(() => (typed.value.trim() ? readChange(typed.value) : null))
const fault = computed(() => (reading.value && 'problem' in reading.value ? reading.value : undefined))
const offers = computed(() =>
  OFFERED.flatMap((text) => {
    const read = readChange(text)
    return 'seconds' in read ? [{ text: text.replace('-', '−'), said: text, ...read }] : []
  }),
)
function giveTyped(): void {
  if (reading.value && 'change' in reading.value) emit('give', reading.value.change, typed.value.trim())
}
</script>

<template>
  <KitDialog title="Change the exposure" @opened="field?.focus()" @close="emit('close')">
    <p class="es-quiet">{{ texts.plannedNow({ planned: formatSpan(plannedSeconds) }) }}</p>
    <div class="GiveMore-offers">
      <PressCard v-for="offer in offers" :key="offer.text" @click="emit('give', offer.change, offer.said)">
        <strong>{{ offer.text }}</strong>
        <span>to {{ formatSpan(offer.seconds) }}</span>
      </PressCard>
    </div>
    <form @submit.prevent="giveTyped">
      <TextField
        ref="field"
        v-model="typed"
        label="Or enter it"
        placeholder="1/4 stop, 15 %, 2 min 30"
        :fault="fault"
        :hint="reading && 'seconds' in reading ? `to ${formatSpan(reading.seconds)}` : ''"
      />
      <BigTarget
        label="Apply change"
        hint="enter"
        :disabled="!reading || 'problem' in reading"
        @press="giveTyped"
      />
      <EnterSubmits>Apply change</EnterSubmits>
    </form>
  </KitDialog>
</template>

<style scoped>
.GiveMore-offers {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--es-space-3);
  margin: var(--es-space-5) 0 var(--es-space-5);
}

.GiveMore-offers .PressCard {
  display: grid;
  gap: var(--es-space-1);
  min-height: 4rem;
  padding: var(--es-space-3) var(--es-space-4);
  border: 1px solid var(--es-line);
  text-align: left;
}

.GiveMore-offers .PressCard:hover {
  border-color: var(--es-ember);
}

.GiveMore-offers strong {
  font-size: var(--es-size-lead);
  font-weight: 400;
}

.GiveMore-offers span {
  color: var(--es-quiet);
  font-size: var(--es-size-small);
}
</style>
