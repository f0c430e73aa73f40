<script setup lang="ts">
import KitButton from './KitButton.vue'
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { QUANTITIES, type MeasuredQuantity } from '@core/instrument/protocol'
import { useNotice } from '../state/notice.store'
import { DEVICES, useInstruments } from '../state/instruments.store'

/** Takes one reading straight into the field beside it; not there while no instrument for it is connected. */
const props = defineProps<{ quantity: MeasuredQuantity; label?: string }>()
const emit = defineEmits<{ read: [value: number] }>()
const [instruments, notice] = [useInstruments(), useNotice()]
const isAsking = ref(false)
const device = computed(() => {
  const id = instruments.deviceFor(props.quantity)
  return id ? DEVICES[id] : null
})
async function take(): Promise<void> {
  isAsking.value = true
  try {
    emit('read', await instruments.measure(props.quantity))
  } catch (error) {
    if (error instanceof CoreError) notice.refuse(error, QUANTITIES[props.quantity].header)
    else throw error
  } finally {
    isAsking.value = false
  }
}
defineExpose({ take })
</script>

<template>
  <KitButton v-if="device" class="TakeReading" :disabled="isAsking" @click="take">
    {{ label ?? `From the ${device.name.toLowerCase()}` }}
  </KitButton>
</template>

<style scoped>
.TakeReading {
  padding: var(--es-space-3) var(--es-space-4);
  border: 1px solid var(--es-line);
  background: none;
  cursor: pointer;
}

.TakeReading:hover {
  border-color: var(--es-ember);
}
</style>
