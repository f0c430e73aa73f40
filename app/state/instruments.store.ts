import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import { CoreError } from '@core/errors'
import { QUANTITIES, readLine, type MeasuredQuantity } from '@core/instrument/protocol'
import type { Fault, InstrumentKind } from '@core/simulate/instruments'
import { timeNow } from '../storage/time'
import { useNow } from './useNow'
import { serialLink, socketLink, type InstrumentLink, type LinkEvents } from './instrumentLink'

/** What can be connected: a stand-in of the server, or a device of one's own on a serial port. */
export type DeviceId = InstrumentKind | 'serial'

export const DEVICES: Readonly<Record<DeviceId, { name: string; measures: readonly MeasuredQuantity[] }>> = {
  'uv-meter': { name: 'UV meter', measures: ['irradiance'] },
  densitometer: { name: 'Densitometer', measures: ['density'] },
  balance: { name: 'Balance', measures: ['mass'] },
  hygrometer: { name: 'Thermo-hygrometer', measures: ['temperature', 'humidity'] },
  'exposure-unit': { name: 'Exposure unit', measures: [] },
  serial: { name: 'Your own device', measures: ['irradiance', 'density', 'mass', 'temperature', 'humidity'] },
}

/** One reading as it came in. */
export interface Reading {
  quantity: MeasuredQuantity
  value: number
  at: number
}

/** An instrument as it stands now. */
export interface DeviceState {
  id: DeviceId
  isWanted: boolean
  /** `on` once it has answered; `gone` when it was there and is no more. */
  state: 'off' | 'calling' | 'on' | 'gone'
  identity: string
  readings: Partial<Record<MeasuredQuantity, Reading>>
  /** Lines that could not be believed since it was connected. */
  noise: number
  lampIsOn: boolean | null
}

/** A meter that has not spoken for so long is silent. */
const SILENT_MILLISECONDS = 3000
const ANSWER_MILLISECONDS = 2000
const CALL_AGAIN_MILLISECONDS = 2000
const CALL_AGAIN_AT_MOST = 30_000
const METER_HERTZ = 10
const REMEMBERED = 'ember-sheet-instruments'

function remembered(): string[] {
  try {
    return (localStorage.getItem(REMEMBERED) ?? '').split(' ')
  } catch {
    return []
  }
}

const fresh = (id: DeviceId): DeviceState => ({
  id,
  isWanted: false,
  state: 'off',
  identity: '',
  readings: {},
  noise: 0,
  lampIsOn: null,
})

/** The instruments that are connected, and what they read. Nothing here is needed to work: every value can be typed. */
export const useInstruments = defineStore('instruments', () => {
  const now = useNow()
  const devices = reactive(
    Object.fromEntries((Object.keys(DEVICES) as DeviceId[]).map((id) => [id, fresh(id)])) as Record<
      DeviceId,
      DeviceState
    >,
  )
  const links = new Map<DeviceId, InstrumentLink>()
  /** Calls without an answer so far: a server that is gone is called less and less often. */
  const calls = new Map<DeviceId, number>()
  /** Which line to each device is the one in use. */
  const turns = new Map<DeviceId, number>()
  const listeners = new Set<(reading: Reading) => void>()
  const waiting = new Set<{ id: DeviceId; quantity: MeasuredQuantity; got: (value: number) => void }>()

  /** Something else that wants every reading as it comes. */
  function listen(listener: (reading: Reading) => void): void {
    listeners.add(listener)
  }

  /** @param isCurrent whether the line that speaks is still the one that is meant; an old one may close late. */
  const eventsFor = (id: DeviceId, isCurrent: () => boolean): LinkEvents => ({
    opened: () => {
      links.get(id)?.send('*IDN?')
      if (id === 'uv-meter' || id === 'serial') links.get(id)?.send(`MEAS:IRR:CONT ${METER_HERTZ}`)
      if (id === 'exposure-unit') links.get(id)?.send('OUTP?')
    },
    line: (line) => isCurrent() && hear(id, line),
    closed: () => {
      if (!isCurrent()) return
      const device = devices[id]
      links.delete(id)
      if (!device.isWanted) device.state = 'off'
      else {
        device.state = device.identity ? 'gone' : 'calling'
        const wait = Math.min(CALL_AGAIN_AT_MOST, CALL_AGAIN_MILLISECONDS * 2 ** (calls.get(id) ?? 0))
        calls.set(id, (calls.get(id) ?? 0) + 1)
        if (id !== 'serial') setTimeout(() => void call(id), wait)
      }
    },
  })

  function hear(id: DeviceId, line: string): void {
    const device = devices[id]
    const said = readLine(line)
    switch (said.kind) {
      case 'reading': {
        const reading = { quantity: said.quantity, value: said.value, at: timeNow() }
        device.readings[said.quantity] = reading
        device.state = 'on'
        calls.set(id, 0)
        listeners.forEach((listener) => listener(reading))
        for (const one of [...waiting])
          if (one.id === id && one.quantity === said.quantity) {
            waiting.delete(one)
            one.got(said.value)
          }
        return
      }
      case 'identity':
        device.identity = `${said.model.toLowerCase().replace(/-/g, ' ')}, ${said.maker.toLowerCase()}`
        // A meter counts as there once it reads; the others as soon as they answer.
        if (id !== 'uv-meter') device.state = 'on'
        return
      case 'switch':
        device.lampIsOn = said.isOn
        return
      case 'noise':
        device.noise++
        return
      case 'error':
        return
    }
  }

  async function call(id: DeviceId): Promise<void> {
    const device = devices[id]
    if (!device.isWanted || links.has(id)) return
    if (device.state === 'off') device.state = 'calling'
    const turn = (turns.get(id) ?? 0) + 1
    turns.set(id, turn)
    const events = eventsFor(id, () => turns.get(id) === turn)
    links.set(id, id === 'serial' ? await serialLink(events) : socketLink(id, events))
    if (id === 'serial') events.opened()
  }

  async function connect(id: DeviceId): Promise<void> {
    Object.assign(devices[id], fresh(id), { isWanted: true })
    remember()
    try {
      await call(id)
    } catch (error) {
      Object.assign(devices[id], fresh(id))
      throw new CoreError({
        code: 'no-port',
        field: DEVICES[id].name,
        problem: 'No device was connected.',
        remedy: `Plug the device in and choose its port. (${error instanceof Error ? error.message : String(error)})`,
      })
    }
  }

  function disconnect(id: DeviceId): void {
    devices[id].isWanted = false
    remember()
    devices[id].state = 'off'
    // Whatever the old line still says is no longer meant.
    turns.set(id, (turns.get(id) ?? 0) + 1)
    links.get(id)?.close()
    links.delete(id)
  }

  // What was connected is connected again after a reload: a dose may hang on it. A serial port has to be picked by hand.
  function remember(): void {
    const wanted = Object.values(devices).filter((one) => one.isWanted && one.id !== 'serial')
    try {
      localStorage.setItem(REMEMBERED, wanted.map((one) => one.id).join(' '))
    } catch {
      // A browser that keeps nothing still works for this visit.
    }
  }
  for (const id of remembered()) if (id in DEVICES && id !== 'serial') void connect(id as DeviceId)

  /** The connected device that measures something, a stand-in before one's own. */
  const deviceFor = (quantity: MeasuredQuantity): DeviceId | null =>
    (Object.keys(DEVICES) as DeviceId[]).find(
      (id) => devices[id].isWanted && DEVICES[id].measures.includes(quantity),
    ) ?? null

  /**
   * One reading, asked for now.
   *
   * @throws CoreError `not-connected`, `no-answer`.
   */
  function measure(quantity: MeasuredQuantity): Promise<number> {
    const id = deviceFor(quantity)
    const link = id && links.get(id)
    const refuse = (code: string, problem: string) =>
      new CoreError({
        code,
        field: QUANTITIES[quantity].header,
        problem,
        remedy: 'Check the instruments, or type the value.',
      })
    if (!id || !link) return Promise.reject(refuse('not-connected', 'No suitable instrument is connected.'))
    return new Promise((resolve, reject) => {
      const one = { id, quantity, got: resolve }
      waiting.add(one)
      link.send(QUANTITIES[quantity].question)
      setTimeout(() => {
        if (waiting.delete(one))
          reject(refuse('no-answer', `The ${DEVICES[id].name.toLowerCase()} is not responding.`))
      }, ANSWER_MILLISECONDS)
    })
  }

  const tell = (id: DeviceId, line: string): void => links.get(id)?.send(line)
  const zero = (id: DeviceId): void => tell(id, 'CAL:ZERO')
  function switchLamp(isOn: boolean): void {
    tell('exposure-unit', isOn ? 'OUTP ON' : 'OUTP OFF')
    tell('exposure-unit', 'OUTP?')
  }
  const misbehave = (id: DeviceId, fault: Fault): void => tell(id, `SIM:FAULT ${fault.toUpperCase()}`)
  /** Lays the patches of a print under the stand-in for a densitometer, which has no print to look at. */
  const layUnder = (dosesMillijoulesPerCm2: readonly number[]): void =>
    tell('densitometer', `SIM:PATCH ${dosesMillijoulesPerCm2.map((dose) => dose.toFixed(2)).join(',')}`)

  /** The irradiance as read now; `null` when no meter is connected or it is silent. */
  const irradiance = computed(() => {
    const id = deviceFor('irradiance')
    const reading = id && devices[id].readings.irradiance
    return reading && now.now - reading.at < SILENT_MILLISECONDS ? reading : null
  })
  /** Since when a meter that is wanted says nothing; `null` while it speaks or none is wanted. */
  const meterSilentSince = computed(() => {
    const id = deviceFor('irradiance')
    const reading = id && devices[id].readings.irradiance
    return id && reading && !irradiance.value ? reading.at : null
  })
  return {
    devices,
    listen,
    connect,
    disconnect,
    deviceFor,
    measure,
    tell,
    zero,
    switchLamp,
    misbehave,
    layUnder,
    irradiance,
    meterSilentSince,
  }
})
