import 'fake-indexeddb/auto'
import { createPinia, disposePinia, setActivePinia, type Pinia } from 'pinia'
import { reactive } from 'vue'
import { sheet } from '@core/fixtures/workroom'
import { logOf, SHEET, T0, uuid, wholeJob } from '@core/fixtures/logs'
import { replay } from '@core/run/run'
import { linesOf } from '@core/archive/logs'
import type { Light } from '@core/schema/light'

/** What the stores ask of the page, in the test's hand. */
const clock = reactive({ now: T0 })
const listeners: ((reading: { quantity: string; value: number; at: number }) => void)[] = []
const meter = reactive<{ irradiance: { value: number } | null; meterSilentSince: number | null }>({
  irradiance: null,
  meterSilentSince: null,
})
jest.mock('./useNow', () => ({ useNow: () => clock }))
jest.mock('./instruments.store', () => ({
  useInstruments: () => ({
    listen: (listener: (typeof listeners)[number]) => listeners.push(listener),
    get irradiance() {
      return meter.irradiance
    },
  }),
}))
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

const box: Light = { id: uuid(4), name: 'Box', kind: 'uvBox', note: '', changedAt: T0 }
const at = (seconds: number) => T0 + seconds * 1000
/** Live queries answer when they have read; until then there is nothing to look at. */
async function until(is: () => boolean | Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    if (await is()) return
    await new Promise((resolve) => setTimeout(resolve, 20))
  }
  throw new Error('it did not come to pass')
}

/** Live queries of a store go on until it is let go. */
let pinia: Pinia | null = null
function freshStores(): void {
  if (pinia) disposePinia(pinia)
  pinia = createPinia()
  setActivePinia(pinia)
}
afterAll(async () => {
  if (pinia) disposePinia(pinia)
  ;(await import('../storage/db')).db.close()
})

async function room(count = 9) {
  const { db } = await import('../storage/db')
  const { writeState } = await import('../storage/runStates')
  await Promise.all(db.tables.map((table) => table.clear()))
  await db.lights.add(box)
  await db.sheets.add({ ...sheet, lightId: box.id })
  const log = logOf(wholeJob.slice(0, count))
  await db.logs.put(SHEET, log.length, linesOf(log))
  await writeState(db, replay(SHEET, log))
  freshStores()
  listeners.length = 0
  meter.irradiance = null
  clock.now = at(950)
  const { useLights } = await import('./lights.store')
  const { useWorkroom } = await import('./workroom.store')
  const [lights, workroom] = [useLights(), useWorkroom()]
  await until(() => workroom.isReady && lights.histories.size > 0 && lights.isReady)
  const read = (seconds: number, value: number) =>
    listeners.forEach((listen) => listen({ quantity: 'irradiance', value, at: at(seconds) }))
  return { db, lights, workroom, read, state: () => workroom.find(SHEET)!.state }
}

describe('the light of a sheet in the frame', () => {
  it('is nobody’s until something is known, then the meter’s', async () => {
    const { lights, read, state } = await room()
    expect(lights.courseOf(state())).toBeNull()
    for (let s = 900; s <= 960; s++) read(s, 4)
    const course = lights.courseOf(state())!
    expect(course.by).toBe('meter')
    // Planned for the light as it was first read.
    expect(course.secondsBetween(at(900), at(960))).toBeCloseTo(60, 6)
    // New readings are seen without a new course.
    for (let s = 961; s <= 1020; s++) read(s, 2)
    expect(lights.courseOf(state())).toBe(course)
    expect(course.secondsBetween(at(961), at(1020))).toBeCloseTo(59 / 2, 0)
  })

  it('does not count a meter that jumps a hundredfold, until it reads as before or is believed', async () => {
    const { lights, read, state } = await room()
    for (let s = 900; s <= 930; s++) read(s, 4)
    for (let s = 931; s <= 940; s++) read(s, 400)
    expect(lights.doubtOf(SHEET)).toEqual({ at: at(931), from: 4, to: 400 })
    // By the reading before: ten seconds are ten seconds, and not a thousand.
    expect(lights.courseOf(state())!.secondsBetween(at(930), at(940))).toBeCloseTo(10, 0)
    for (let s = 941; s <= 950; s++) read(s, 4)
    expect(lights.samplesOf(SHEET).at(-1)).toEqual([at(950), 4])
    expect(lights.samplesOf(SHEET).some(([, value]) => value === 400)).toBe(false)
    lights.believeMeter(SHEET)
    expect(lights.doubtOf(SHEET)).toBeNull()
    expect(lights.courseOf(state())!.secondsBetween(at(931), at(940))).toBeGreaterThan(850)
  })

  it('is read no oftener than five times a second', async () => {
    const { lights, read } = await room()
    for (let tenth = 0; tenth < 100; tenth++) read(900 + tenth / 10, 4)
    expect(lights.samplesOf(SHEET)).toHaveLength(50)
  })

  it('comes back after a reload, from the disk', async () => {
    const { db, read } = await room()
    for (let s = 900; s <= 930; s++) read(s, 4)
    await until(async () => (await db.traces.count()) > 0)
    expect((await db.traces.toArray()).flatMap((row) => row.samples).length).toBeGreaterThan(25)
    freshStores()
    const { useLights } = await import('./lights.store')
    const again = useLights()
    await until(() => again.samplesOf(SHEET).length > 0)
    const samples = again.samplesOf(SHEET)
    expect(samples.length).toBeGreaterThan(25)
    expect(samples).toEqual([...samples].sort((a, b) => a[0] - b[0]))
    expect(new Set(samples.map(([moment]) => moment)).size).toBe(samples.length)
  })

  it('counts the trace on disk although the meter speaks before it is read', async () => {
    const { read, db } = await room()
    for (let s = 900; s <= 930; s++) read(s, 4)
    await until(async () => (await db.traces.count()) > 0)
    const rows = await db.traces.toArray()
    const stored = rows.flatMap((row) => row.samples).length
    // A disk that is slow to answer.
    let answer: () => void = () => undefined
    const asked = new Promise<void>((resolve) => (answer = resolve))
    const slow = jest.spyOn(db.traces, 'where').mockReturnValue({
      equals: () => ({ toArray: () => asked.then(() => rows) }),
    } as never)
    freshStores()
    listeners.length = 0
    const { useLights } = await import('./lights.store')
    const { useWorkroom } = await import('./workroom.store')
    const [again, workroom] = [useLights(), useWorkroom()]
    await until(() => workroom.isReady)
    // The first reading after the reload is another one, and comes at once.
    listeners.forEach((listen) => listen({ quantity: 'irradiance', value: 2, at: at(940) }))
    const early = again.courseOf(workroom.find(SHEET)!.state)
    expect(again.samplesOf(SHEET)).toHaveLength(1)
    answer()
    await until(() => again.samplesOf(SHEET).length > stored)
    const course = again.courseOf(workroom.find(SHEET)!.state)!
    expect(course).not.toBe(early)
    // Planned for the light as it was first read: thirty seconds of it, ten on the way down to half.
    expect(course.secondsBetween(at(900), at(940))).toBeCloseTo(37.5, 0)
    slow.mockRestore()
  })

  it('is not read while the frame is out, nor when the meter lies under another light', async () => {
    const out = await room(10)
    out.read(1145, 4)
    expect(out.lights.samplesOf(SHEET)).toEqual([])
    const elsewhere = await room()
    elsewhere.lights.meterAt = uuid(5)
    elsewhere.read(950, 4)
    expect(elsewhere.lights.samplesOf(SHEET)).toEqual([])
  })
})

describe('the ledger of a light', () => {
  it('takes in readings, and gives back what is expected now', async () => {
    const { lights } = await room()
    expect(lights.lightNow(box.id)).toBeNull()
    const id = await lights.tellReading(box.id, 4.5, 'typed', at(940))
    await until(() => lights.entries.length > 0)
    expect(lights.lightNow(box.id)).toMatchObject({ milliwattsPerCm2: 4.5, by: 'model' })
    meter.irradiance = { value: 4.4 }
    expect(lights.lightNow(box.id)).toEqual({ milliwattsPerCm2: 4.4, by: 'meter' })
    meter.irradiance = null
    lights.undoLast(id)
    await until(() => lights.lightNow(box.id) === null)
  })

  it('of a sun keeps what the model had reckoned', async () => {
    const { db, lights } = await room()
    await db.lights.add({
      ...box,
      id: uuid(5),
      kind: 'sun',
      place: { name: '', latitude: 52, longitude: 5, altitudeMetres: 0 },
    })
    await until(() => lights.history(uuid(5)) !== null)
    await lights.tellReading(uuid(5), 3, 'meter', Date.UTC(2026, 5, 21, 11))
    await until(() => lights.entries.length > 0)
    const what = lights.entries.find((entry) => entry.lightId === uuid(5))?.what
    expect(what).toMatchObject({ type: 'read', by: 'meter', milliwattsPerCm2: 3 })
    expect(what?.type === 'read' && what.reckonedMilliwattsPerCm2).toBeGreaterThan(3)
  })
})
