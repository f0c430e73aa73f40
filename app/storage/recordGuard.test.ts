import 'fake-indexeddb/auto'
import { workroom } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { KINDS } from '@core/archive/merge'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

describe('every record on its way into the database', () => {
  const load = async () => (await import('./db')).db
  const reading = (milliwattsPerCm2: number) => ({
    id: uuid(70),
    lightId: uuid(5),
    at: T0,
    what: { type: 'read', milliwattsPerCm2, by: 'typed' },
    note: '',
  })

  it('goes in where its schema takes it, of every kind', async () => {
    const db = await load()
    const { records } = workroom()
    for (const kind of KINDS) await db.table(kind).bulkAdd(records[kind])
    for (const kind of KINDS) expect(await db.table(kind).count()).toBe(records[kind].length)
  })

  it('is refused in words where it does not, and nothing of its transaction is kept', async () => {
    const db = await load()
    const before = await db.lightEntries.count()
    await expect(db.table('lightEntries').add(reading(4820))).rejects.toMatchObject({
      code: 'wrong-record',
      refusal: { problem: 'This cannot be saved: milliwatts per cm2 is more than 1000.' },
    })
    await expect(db.table('lightEntries').add(reading(0))).rejects.toMatchObject({ code: 'wrong-record' })
    await expect(
      db.transaction('rw', db.lightEntries, async () => {
        await db.table('lightEntries').add(reading(4.82))
        await db.table('lightEntries').add({ ...reading(4.82), id: 'not-an-id' })
      }),
    ).rejects.toMatchObject({ code: 'wrong-record' })
    expect(await db.lightEntries.count()).toBe(before)
  })

  it('is held by it in an update and in a change of many as well', async () => {
    const db = await load()
    const [bottle] = await db.bottles.toArray()
    await expect(db.table('bottles').update(bottle!.id, { amount: -5 })).rejects.toMatchObject({
      code: 'wrong-record',
    })
    await expect(
      db.bottles.toCollection().modify((one) => {
        one.label = ''
      }),
    ).rejects.toThrow()
    expect(await db.bottles.get(bottle!.id)).toEqual(bottle)
  })

  it('leaves alone what is no record', async () => {
    const db = await load()
    await db.traces.add({ id: uuid(1), sheetId: uuid(2), samples: [[T0, 0]] })
    expect(await db.traces.count()).toBe(1)
  })
})
