<script setup lang="ts">
import { ElDialog } from 'element-plus'
import 'element-plus/es/components/dialog/style/css'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { changeExposure } from '@core/light/exposureChange'
import { formatSpan } from '@core/quantity/format'
import { parseExposureChange, type ExposureChange } from '@core/quantity/parse'
import BigTarget from '../shell/BigTarget.vue'
import TextField from '../shell/TextField.vue'

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
  <ElDialog
    model-value
    title="How much more?"
    width="min(560px, 94vw)"
    @opened="field?.focus()"
    @close="emit('close')"
  >
    <p class="es-quiet">Planned now: {{ formatSpan(plannedSeconds) }}. A minus takes away.</p>
    <div class="GiveMore-offers">
      <button
        v-for="offer in offers"
        :key="offer.text"
        type="button"
        @click="emit('give', offer.change, offer.said)"
      >
        <strong>{{ offer.text }}</strong>
        <span>to {{ formatSpan(offer.seconds) }}</span>
      </button>
    </div>
    <form @submit.prevent="giveTyped">
      <TextField
        ref="field"
        v-model="typed"
        label="Or as you say it"
        placeholder="1/4 stop, 15 %, 2 min 30"
        :fault="fault"
        :hint="reading && 'seconds' in reading ? `to ${formatSpan(reading.seconds)}` : ''"
      />
      <BigTarget
        label="Give it"
        hint="enter"
        :disabled="!reading || 'problem' in reading"
        @press="giveTyped"
      />
      <button type="submit" class="es-unseen" tabindex="-1" aria-hidden="true">Give it</button>
    </form>
  </ElDialog>
</template>

<style scoped>
.GiveMore-offers {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin: 14px 0 18px;
}

.GiveMore-offers button {
  display: grid;
  gap: 2px;
  min-height: 64px;
  padding: 8px 12px;
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
  text-align: left;
}

.GiveMore-offers button:hover {
  border-color: var(--es-ember);
}

.GiveMore-offers strong {
  font-size: 19px;
  font-weight: 400;
}

.GiveMore-offers span {
  color: var(--es-quiet);
  font-size: 14px;
}
</style>
