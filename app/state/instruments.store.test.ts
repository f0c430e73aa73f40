import { createPinia, setActivePinia } from 'pinia'
import { ref } from 'vue'
import type { useInstruments as Use } from './instruments.store'

/** The present moment follows the faked clock; a beat makes what hangs on it look again. */
const mockBeat = ref(0)
jest.mock('./useNow', () => ({
  useNow: () => ({
    get now() {
      return mockBeat.value * 0 + Date.now()
    },
  }),
}))

/** A socket that the test holds the other end of. */
class FakeSocket extends EventTarget {
  static readonly OPEN = 1
  static all: FakeSocket[] = []
  readyState = 0
  sent: string[] = []
  constructor(readonly address: string) {
    super()
    FakeSocket.all.push(this)
  }
  send(text: string): void {
    this.sent.push(text.trimEnd())
  }
  open(): void {
    this.readyState = FakeSocket.OPEN
    this.dispatchEvent(new Event('open'))
  }
  say(...lines: string[]): void {
    for (const line of lines) this.dispatchEvent(new MessageEvent('message', { data: `${line}\n` }))
  }
  close(): void {
    this.readyState = 3
    this.dispatchEvent(new Event('close'))
  }
}
const kept = new Map<string, string>()
Object.assign(globalThis, {
  WebSocket: FakeSocket,
  navigator: {},
  location: { protocol: 'http:', host: 'here:1' },
  localStorage: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  },
})

let useInstruments: typeof Use
beforeAll(async () => {
  ;({ useInstruments } = await import('./instruments.store'))
})
beforeEach(() => {
  jest.useFakeTimers()
  setActivePinia(createPinia())
  FakeSocket.all = []
  kept.clear()
})
afterEach(() => jest.useRealTimers())

const last = () => FakeSocket.all.at(-1)!

describe('an instrument', () => {
  it('is called, says who it is, and is there', async () => {
    const store = useInstruments()
    await store.connect('balance')
    expect(store.devices.balance.state).toBe('calling')
    expect(last().address).toBe('ws://here:1/instruments/balance')
    last().open()
    expect(last().sent).toEqual(['*IDN?'])
    last().say('IDN EMBER STAND-IN,BALANCE,1,1.0')
    expect(store.devices.balance).toMatchObject({ state: 'on', identity: 'balance, ember stand-in' })
  })

  it('a meter counts as there once it reads, ten times a second', async () => {
    const store = useInstruments()
    await store.connect('uv-meter')
    last().open()
    expect(last().sent).toContain('MEAS:IRR:CONT 10')
    last().say('IDN EMBER STAND-IN,UV-METER,1,1.0')
    expect(store.devices['uv-meter'].state).toBe('calling')
    const heard: number[] = []
    store.listen((reading) => heard.push(reading.value))
    last().say('IRR 4.8200E+00', 'IRR 4.8300E+00')
    expect(store.devices['uv-meter'].state).toBe('on')
    expect(heard).toEqual([4.82, 4.83])
    expect(store.irradiance?.value).toBe(4.83)
  })

  it('counts what cannot be believed, and believes nothing of it', async () => {
    const store = useInstruments()
    await store.connect('uv-meter')
    last().open()
    last().say('IRR 4.8200E+00', 'IRR 99999', '???', 'HUM NaN')
    expect(store.devices['uv-meter'].noise).toBe(3)
    expect(store.irradiance?.value).toBe(4.82)
  })

  it('is called again when it has gone, less and less often, until it answers or nobody wants it', async () => {
    const store = useInstruments()
    await store.connect('balance')
    last().open()
    last().say('IDN EMBER STAND-IN,BALANCE,1,1.0')
    last().close()
    expect(store.devices.balance.state).toBe('gone')
    jest.advanceTimersByTime(2000)
    expect(FakeSocket.all).toHaveLength(2)
    last().close()
    jest.advanceTimersByTime(2000)
    expect(FakeSocket.all).toHaveLength(2)
    jest.advanceTimersByTime(2000)
    expect(FakeSocket.all).toHaveLength(3)
    store.disconnect('balance')
    jest.advanceTimersByTime(120_000)
    expect(FakeSocket.all).toHaveLength(3)
    expect(store.devices.balance.state).toBe('off')
  })

  it('is not confused by an old line that closes late', async () => {
    const store = useInstruments()
    await store.connect('balance')
    const old = last()
    old.open()
    const close = jest.spyOn(old, 'close').mockImplementation(() => undefined)
    store.disconnect('balance')
    expect(close).toHaveBeenCalled()
    await store.connect('balance')
    last().open()
    last().say('IDN EMBER STAND-IN,BALANCE,1,1.0')
    old.say('MASS 9.9000E+01')
    old.dispatchEvent(new Event('close'))
    expect(store.devices.balance).toMatchObject({ state: 'on', readings: {} })
    const reading = store.measure('mass')
    last().say('MASS 1.2000E+01')
    await expect(reading).resolves.toBe(12)
  })

  it('that was connected is connected again on the next visit', async () => {
    const store = useInstruments()
    await store.connect('balance')
    await store.connect('hygrometer')
    store.disconnect('balance')
    FakeSocket.all = []
    setActivePinia(createPinia())
    const next = useInstruments()
    expect(next.devices.hygrometer.isWanted).toBe(true)
    expect(next.devices.balance.isWanted).toBe(false)
    expect(FakeSocket.all.map((socket) => socket.address)).toEqual(['ws://here:1/instruments/hygrometer'])
  })
})

describe('a reading', () => {
  it('is asked for, and is the next one of its kind', async () => {
    const store = useInstruments()
    await store.connect('hygrometer')
    last().open()
    const reading = store.measure('humidity')
    expect(last().sent.at(-1)).toBe('MEAS:HUM?')
    last().say('TEMP 2.1000E+01', 'HUM 4.8000E+01')
    await expect(reading).resolves.toBe(48)
    expect(store.devices.hygrometer.readings.temperature?.value).toBe(21)
  })

  it('that does not come is refused, and so is one that nothing can give', async () => {
    const store = useInstruments()
    await expect(store.measure('mass')).rejects.toThrow(expect.objectContaining({ code: 'not-connected' }))
    await store.connect('balance')
    last().open()
    const reading = expect(store.measure('mass')).rejects.toThrow(
      expect.objectContaining({ code: 'no-answer' }),
    )
    await jest.advanceTimersByTimeAsync(2100)
    await reading
  })

  it('of a meter grows old: then it is silent, and since when is known', async () => {
    jest.setSystemTime(1_790_000_000_000)
    const store = useInstruments()
    await store.connect('uv-meter')
    last().open()
    expect(store.meterSilentSince).toBeNull()
    last().say('IRR 4.8200E+00')
    expect(store.meterSilentSince).toBeNull()
    jest.setSystemTime(1_790_000_005_000)
    mockBeat.value++
    expect(store.irradiance).toBeNull()
    expect(store.meterSilentSince).toBe(1_790_000_000_000)
    last().say('IRR 4.8100E+00')
    expect(store.meterSilentSince).toBeNull()
  })
})

describe('what is told', () => {
  it('to the stand-ins and the lamp goes out as lines', async () => {
    const store = useInstruments()
    await store.connect('densitometer')
    last().open()
    store.layUnder([100, 200.456])
    store.zero('densitometer')
    store.misbehave('densitometer', 'stick')
    expect(last().sent.slice(-3)).toEqual(['SIM:PATCH 100.00,200.46', 'CAL:ZERO', 'SIM:FAULT STICK'])
    await store.connect('exposure-unit')
    last().open()
    store.switchLamp(true)
    last().say('OUTP 1')
    expect(last().sent.slice(-2)).toEqual(['OUTP ON', 'OUTP?'])
    expect(store.devices['exposure-unit'].lampIsOn).toBe(true)
  })
})
