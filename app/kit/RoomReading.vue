<script setup lang="ts">
import { texts } from './words'
import KitButton from './KitButton.vue'
import { airFor, conditioningTime, humidityOver, saltFor } from '@core/run/air'
import { parseAir } from '@core/quantity/air'
import { computed, ref } from 'vue'
import { CoreError, type Refusal } from '@core/errors'
import { digits, formatSpan } from '@core/quantity/format'
import type { RunState } from '@core/run/runState'
import type { Happening } from '@core/schema/event'
import type { WantedAir } from '@core/schema/air'
import { usualAir } from '@library/processes/air'
import { useInstruments } from '../state/instruments.store'
import { useNotice } from '../state/notice.store'
import TextField from './TextField.vue'

/** Air of the room, written into the sheet's record: by the instrument, or as the wall has it. */
const props = defineProps<{
  room: RunState['room']
  wanted: WantedAir | undefined
  gramsPerM2: number | undefined
}>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const [instruments, notice] = [useInstruments(), useNotice()]
const typed = ref('')
const fault = ref<Refusal | undefined>()
const isThere = computed(() => instruments.deviceFor('humidity') !== null)
const said = computed(() =>
  props.room ? `${digits(props.room.celsius)}\u00a0°C, ${digits(props.room.relativeHumidity, 2)}\u00a0%` : '',
)

/** What to do where the air is not what the process wants: how the print would suffer, and which salt fixes it in how long. */
const advice = computed(() => {
  const { room, wanted = usualAir } = props
  if (!room) return ''
  const air = airFor(room.relativeHumidity, wanted)
  if (air === 'right') return ''
  const salt = saltFor(wanted.aimPercent, room.celsius)
  return texts.airAdvice({
    humidity: digits(room.relativeHumidity, 2),
    does: wanted[air],
    aim: digits(wanted.aimPercent, 2),
    isDry: air === 'dry',
    salt: salt.name,
    over: digits(humidityOver(salt, room.celsius).value, 2),
    time: formatSpan(Math.round(conditioningTime(props.gramsPerM2).value / 300) * 300),
  })
})
const write = (celsius: number, relativeHumidity: number) =>
  emit('record', {
    type: 'roomRead',
    celsius: Math.round(celsius * 10) / 10,
    relativeHumidity: Math.round(relativeHumidity),
  })
async function measure(): Promise<void> {
  try {
    write(await instruments.measure('temperature'), await instruments.measure('humidity'))
  } catch (error) {
    notice.refuse(error, 'the room')
  }
}
function keep(): void {
  fault.value = undefined
  try {
    const { celsius, relativeHumidity } = parseAir(typed.value, 'degC')
    if (!(celsius > -30 && celsius < 60))
      throw new CoreError({
        code: 'out-of-range',
        field: 'room',
        problem: `${Math.round(celsius)} °C cannot be a room temperature.`,
        remedy: texts.enterTemperatureAndHumidity,
      })
    write(celsius, relativeHumidity)
    typed.value = ''
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    fault.value = error.refusal
  }
}
</script>

<template>
  <form class="RoomReading" @submit.prevent="keep">
    <span v-if="said">The room: {{ said }}</span>
    <KitButton v-if="isThere" @click="measure">Read room sensor</KitButton>
    <TextField v-else v-model="typed" label="The room" placeholder="21 °C, 48 %" :fault="fault" />
    <p v-if="advice" role="status">{{ advice }}</p>
  </form>
</template>

<style scoped>
.RoomReading p {
  flex-basis: 100%;
  color: var(--es-ember);
}

.RoomReading {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-2) var(--es-space-5);
  align-items: center;
  max-width: 26.25rem;
  color: var(--es-quiet);
}
</style>
