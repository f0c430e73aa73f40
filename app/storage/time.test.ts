import type * as time from './time'

const HOUR = 3_600_000
const START = Date.UTC(2026, 10, 29, 12)
let system = START
let monotonic = 0
const kept = new Map<string, string>()
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  },
})
/** As a window that is opened now has it. */
async function opened(): Promise<typeof time> {
  jest.resetModules()
  return import('./time')
}
const pass = (milliseconds: number) => {
  system += milliseconds
  monotonic += milliseconds
}
beforeEach(() => {
  kept.clear()
  system = START
  monotonic = 5000
  jest.spyOn(Date, 'now').mockImplementation(() => system)
  jest.spyOn(performance, 'now').mockImplementation(() => monotonic)
})

describe('the system clock', () => {
  it('is followed while it runs as it should, and through small corrections', async () => {
    const { timeNow, watchSystemClock } = await opened()
    for (let beat = 0; beat < 20; beat++) {
      pass(250)
      system += 100
      expect(watchSystemClock(true)).toBeNull()
    }
    expect(timeNow()).toBe(system)
  })

  it('set back by an hour while a clock runs: the clock goes on as before, and it is said once', async () => {
    const { timeNow, watchSystemClock } = await opened()
    pass(60_000)
    system -= HOUR
    expect(watchSystemClock(true)).toMatchObject({ milliseconds: -HOUR, isCounted: false })
    expect(timeNow()).toBe(START + 60_000)
    pass(60_000)
    expect(watchSystemClock(true)).toBeNull()
    expect(timeNow()).toBe(START + 120_000)
    // A window that is opened meanwhile has the same time; when nothing runs any more, the system's holds again.
    const other = await opened()
    expect(other.timeNow()).toBe(START + 120_000)
    other.watchSystemClock(false)
    expect(other.timeNow()).toBe(system)
  })

  it('set forward by two days: not counted, unless the computer slept', async () => {
    const { timeNow, watchSystemClock } = await opened()
    pass(60_000)
    system += 48 * HOUR
    const move = watchSystemClock(true)
    expect(move).toMatchObject({ milliseconds: 48 * HOUR, isCounted: false })
    expect(timeNow()).toBe(START + 60_000)
    move?.change()
    expect(timeNow()).toBe(system)
    expect(watchSystemClock(true)).toBeNull()
  })

  it('forward by less than a night: counted as sleep, unless the clock was set', async () => {
    const { timeNow, watchSystemClock } = await opened()
    pass(60_000)
    system += HOUR
    const move = watchSystemClock(true)
    expect(move).toMatchObject({ milliseconds: HOUR, isCounted: true })
    expect(timeNow()).toBe(START + 60_000 + HOUR)
    move?.change()
    expect(timeNow()).toBe(START + 60_000)
  })

  it('may be moved as anyone likes while nothing runs', async () => {
    const { timeNow, watchSystemClock } = await opened()
    system += 48 * HOUR
    expect(watchSystemClock(false)).toBeNull()
    expect(timeNow()).toBe(system)
  })
})
