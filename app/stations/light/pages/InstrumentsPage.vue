<script setup lang="ts">
import { texts } from '../words'
import KitButton from '../../../kit/KitButton.vue'
import { computed, ref } from 'vue'
import { CoreError } from '@core/errors'
import { QUANTITIES, type MeasuredQuantity } from '@core/instrument/protocol'
import { digits } from '@core/quantity/format'
import { FAULTS, INSTRUMENT_KINDS, type Fault, type InstrumentKind } from '@core/simulate/instruments'
import { useNow } from '../../../state/useNow'
import { useWorkroom } from '../../../state/workroom.store'
import { useLights } from '../../../state/lights.store'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import { useMarginNotes } from '../../../state/margin.store'
import { useNotice } from '../../../state/notice.store'
import { DEVICES, useInstruments, type DeviceId, type DeviceState } from '../../../state/instruments.store'
import { hasServer } from '../../../storage/server'
import { hasSerial } from '../../../state/instrumentLink'

const [instruments, notice, workroom, lights, now] = [
  useInstruments(),
  useNotice(),
  useWorkroom(),
  useLights(),
  useNow(),
]
const FAULT_WORDS: Readonly<Record<Fault, string>> = {
  none: 'behave',
  drop: 'drop out',
  stick: 'stick',
  garbage: 'send garbage',
  drift: 'drift',
}
const faultOptions = FAULTS.map((id) => ({ id, name: FAULT_WORDS[id] }))
const faults = ref<Partial<Record<DeviceId, Fault>>>({})
function behave(id: InstrumentKind, fault: Fault): void {
  faults.value[id] = fault
  instruments.misbehave(id, fault)
}
const shown = computed<DeviceId[]>(() => [
  ...(hasServer ? INSTRUMENT_KINDS : []),
  ...(hasSerial ? (['serial'] as const) : []),
])
const isStandIn = (id: DeviceId): id is InstrumentKind => id !== 'serial'

const STATE_WORDS = {
  off: 'not connected',
  calling: 'calling…',
  on: 'connected',
  gone: 'no answer: trying again',
} as const
const stateWords = (device: DeviceState) => STATE_WORDS[device.state]
const readings = (device: DeviceState) =>
  (Object.keys(device.readings) as MeasuredQuantity[]).flatMap((quantity) => {
    const reading = device.readings[quantity]
    if (!reading) return []
    const old = Math.floor((now.now - reading.at) / 1000)
    return [
      {
        quantity,
        text: `${digits(reading.value, 4)}\u00a0${QUANTITIES[quantity].unit}`,
        old: old > 3 ? `${old} s ago` : 'now',
      },
    ]
  })
async function toggle(id: DeviceId): Promise<void> {
  if (instruments.devices[id].isWanted) return instruments.disconnect(id)
  try {
    await instruments.connect(id)
  } catch (error) {
    notice.refuse(error, DEVICES[id].name)
  }
}
async function readAll(id: DeviceId): Promise<void> {
  try {
    for (const quantity of DEVICES[id].measures) await instruments.measure(quantity)
  } catch (error) {
    if (error instanceof CoreError) notice.refuse(error, DEVICES[id].name)
  }
}
/** Switches the lamp, and tells the ledger of the light it belongs to, so that its hours and its warm-up are known. */
function switchLamp(isOn: boolean): void {
  instruments.switchLamp(isOn)
  const lamps = workroom.lights.filter((light) => light.kind !== 'sun')
  const lamp =
    lamps.find((light) => light.id === lights.meterAt) ?? (lamps.length === 1 ? lamps[0] : undefined)
  if (lamp) void lights.tell(lamp.id, { type: isOn ? 'lit' : 'out' })
}
/** Which light the meter is under; a choice row knows no nothing, so a word stands for it. */
const meterAt = computed({
  get: () => lights.meterAt ?? 'any',
  set: (id: string | undefined) => {
    lights.meterAt = id === 'any' || id === undefined ? null : id
  },
})
const meterOptions = computed(() => [
  { id: 'any', name: 'the sheet being exposed' },
  ...workroom.lights.map((light) => ({ id: light.id, name: light.name })),
])

useMarginNotes(() => [
  {
    title: 'Stand-ins',
    lines: [texts.theseInstrumentsSimulatedByServer, texts.youCanMakeThemFail],
  },
  {
    title: hasSerial ? 'Your own device' : 'No serial ports',
    lines: [hasSerial ? texts.youCanConnectDeviceThat : texts.thisBrowserCannotConnectYour],
  },
  {
    title: 'Without instruments',
    lines: [texts.youCanTypeEveryValue],
  },
])
</script>

<template>
  <section class="InstrumentsPage">
    <header>
      <h1>Instruments</h1>
    </header>
    <article
      v-for="id in shown"
      :key="id"
      :aria-label="DEVICES[id].name"
      :class="`is-${instruments.devices[id].state}`"
    >
      <h2>
        {{ DEVICES[id].name }}
        <em>{{ stateWords(instruments.devices[id]) }}</em>
      </h2>
      <p v-for="one in readings(instruments.devices[id])" :key="one.quantity" class="InstrumentsPage-reading">
        <strong>{{ one.text }}</strong>
        <span>{{ one.old }}</span>
      </p>
      <p
        v-if="id === 'exposure-unit' && instruments.devices[id].lampIsOn !== null"
        class="InstrumentsPage-reading"
      >
        <strong>{{ instruments.devices[id].lampIsOn ? 'lamp on' : 'lamp off' }}</strong>
      </p>
      <p v-if="instruments.devices[id].noise" class="es-quiet">
        {{ instruments.devices[id].noise }} readings rejected
      </p>
      <div class="InstrumentsPage-acts">
        <KitButton @click="toggle(id)">
          {{ instruments.devices[id].isWanted ? 'Disconnect' : 'Connect' }}
        </KitButton>
        <template v-if="instruments.devices[id].isWanted">
          <KitButton v-if="DEVICES[id].measures.length" @click="readAll(id)">Read</KitButton>
          <KitButton v-if="id === 'balance'" @click="instruments.zero(id)">Set to zero</KitButton>
          <KitButton v-if="id === 'densitometer' || id === 'uv-meter'" @click="instruments.zero(id)">
            Calibrate
          </KitButton>
          <template v-if="id === 'exposure-unit'">
            <KitButton @click="switchLamp(true)">Lamp on</KitButton>
            <KitButton @click="switchLamp(false)">Lamp off</KitButton>
          </template>
        </template>
      </div>
      <p v-if="id === 'exposure-unit'" class="es-quiet">
        {{ texts.closeCoverBeforeYouSwitch }}
      </p>
      <ChoiceRow
        v-if="isStandIn(id) && instruments.devices[id].isWanted"
        :model-value="faults[id] ?? 'none'"
        label="Make the simulated instrument"
        :options="faultOptions"
        @update:model-value="behave(id, $event as Fault)"
      />
      <ChoiceRow
        v-if="id === 'uv-meter' && instruments.devices[id].isWanted && workroom.lights.length > 1"
        v-model="meterAt"
        label="Sensor under"
        :options="meterOptions"
      />
    </article>
  </section>
</template>

<style scoped>
.InstrumentsPage {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: var(--es-space-6) var(--es-space-8);
  max-width: 56.25rem;
}

header {
  grid-column: 1 / -1;
  display: grid;
  gap: var(--es-space-3);
}

article {
  display: grid;
  gap: var(--es-space-3);
  align-content: start;
  padding-top: var(--es-space-3);
  border-top: 2px solid var(--es-rule);
}

article.is-on {
  border-top-color: var(--es-ink);
}

article.is-gone {
  border-top-color: var(--es-ember);
}

h2 em {
  margin-left: var(--es-space-3);
  color: var(--es-quiet);
  font: inherit;
  font-size: var(--es-size-small);
  font-style: normal;
  font-weight: 400;
}

article.is-gone h2 em {
  color: var(--es-ember);
}

.InstrumentsPage-reading strong {
  font-size: var(--es-size-title);
  font-weight: 400;
}

.InstrumentsPage-reading span {
  margin-left: var(--es-space-3);
  color: var(--es-quiet);
}

.InstrumentsPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-3);
  align-items: center;
}
</style>
