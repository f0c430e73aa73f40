import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import fc from 'fast-check'
import { samples } from '@core/fixtures/samples'
import { jpeg, sheet as soundSheet, workroom } from '@core/fixtures/workroom'
import { begun, uuid } from '@core/fixtures/logs'
import { bottle } from '@core/fixtures/substances'
import { nextMove } from '@core/run/nextMove'
import { readArchive } from '@core/archive/archiveReading'
import type { Happening } from '@core/schema/event'
import type { Sheet } from '@core/schema/records'
import { lookAtLogs, type LogsQuestion } from '../workers/lookAtLogs'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })
jest.setTimeout(120_000)

async function load() {
  return {
    ...(await import('../storage/db')),
    ...(await import('../workers/archives')),
    ...(await import('../storage/holdings')),
    ...(await import('../storage/log')),
    ...(await import('../storage/pictures')),
    ...(await import('../storage/runStates')),
    ...(await import('../storage/workroomDb')),
    ...(await import('./actions/sheet.actions')),
    ...(await import('./actions/paper.actions')),
    ...(await import('./actions/print.actions')),
    ...(await import('./actions/shelf.actions')),
    ...(await import('./actions/bath.actions')),
    ...(await import('../workers/archiveParts')),
  }
}
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  setActivePinia(createPinia())
  app = await load()
})

/** One press, with anything that may have been typed for it. */
interface Press {
  action: number
  /** Which of the things that are there it is about. */
  which: number
  amount: number
  text: string
}
const amount = fc.oneof(
  fc.double({ min: 0.01, max: 500, noNaN: true }),
  fc.constantFrom(0, -1, 4820, 1e9, Number.NaN, Number.POSITIVE_INFINITY, 0.1 + 0.2),
)
const text = fc.oneof(
  fc.string({ minLength: 1, maxLength: 30, unit: 'binary' }),
  fc.constantFrom(
    '',
    'Net loft',
    'x'.repeat(300),
    '__proto__',
    'constructor',
    '=1+1',
    'a\nb\u2028c',
    '\ud800',
  ),
)
const press: fc.Arbitrary<Press> = fc.record({
  action: fc.nat(1000),
  which: fc.nat(1000),
  amount,
  text,
})

/** Something of what is stored, or an identity that nothing has. */
const pick = async (table: { toArray(): PromiseLike<{ id: string }[]> }, which: number) => {
  const rows = await table.toArray()
  return which % 7 === 6 ? undefined : rows[which % (rows.length || 1)]
}
const idOf = (row: { id: string } | undefined) => row?.id ?? uuid(999_999)

const { id: bottleId, changedAt: filledAt, ...newBottle } = bottle(1)
const [bath] = workroom().records.baths
void [bottleId, filledAt]

const ACTIONS: ((press: Press) => Promise<unknown>)[] = [
  ({ amount, text }) => app.putOnShelf({ ...newBottle, label: text, name: text, amount }),
  async ({ which, amount }) =>
    app.takeOut({ bottleId: idOf(await pick(app.db.bottles, which)), amount, why: 'counted', note: '' }),
  async ({ which, text, amount }) =>
    app.changeBottle(idOf(await pick(app.db.bottles, which)), which % 2 ? { note: text } : { amount }),
  async ({ which }) => app.undoBottle(idOf(await pick(app.db.bottles, which))),
  async ({ which, amount, text }) => {
    const found = await app.db.bottles.get(idOf(await pick(app.db.bottles, which)))
    if (found) await app.throwAway(found, { wasteClass: 'silver', amount, unit: 'ml', what: text })
  },
  ({ text, amount }) => app.addPaper({ name: text, gramsPerM2: amount, sheets: 10, note: '' }),
  async ({ which, text, amount }) =>
    app.writePieces(idOf(await pick(app.db.papers, which)), [
      { label: text, widthMillimetres: amount, heightMillimetres: 254, side: '' },
    ]),
  ({ text, amount }) => {
    const { id, number, createdAt, batch, ...sheet } = soundSheet as Sheet
    void [id, number, createdAt, batch]
    const read = { ...sheet, title: text, exposureSeconds: amount }
    return app.writeSheets({ sheet: read, sheets: 1, titles: [], papers: [], bottles: [], lights: [] })
  },
  async ({ which, text }) =>
    app.changeIdentity(idOf(await pick(app.db.sheets, which)), {
      title: text,
      portfolio: text,
      subject: text,
      edition: undefined,
    }),
  async ({ which }) => app.append(idOf(await pick(app.db.sheets, which)), begun),
  // The next thing that would be pressed at the bench.
  async ({ which }) => {
    const sheet = await pick(app.db.sheets, which)
    const state = sheet && (await app.stateIn(app.db, sheet.id))
    const next = state && nextMove(state, Date.now())
    if (next) await app.append(sheet.id, next as Happening)
  },
  async ({ which, text }) => app.append(idOf(await pick(app.db.sheets, which)), { type: 'noted', text }),
  async ({ which, amount }) =>
    app.append(idOf(await pick(app.db.sheets, which)), {
      type: 'roomRead',
      celsius: amount,
      relativeHumidity: 50,
    }),
  async ({ which, text }) =>
    app.append(idOf(await pick(app.db.sheets, which)), { type: 'setAside', reason: text }),
  async ({ which }) => app.undo(idOf(await pick(app.db.sheets, which))),
  async ({ which }) => app.setBinned([idOf(await pick(app.db.sheets, which))], which % 2 === 0),
  async ({ which }) => app.removeForGood([idOf(await pick(app.db.sheets, which))]),
  async ({ which, text }) => app.beginDiagnosis(idOf(await pick(app.db.sheets, which)), [text]),
  ({ text, amount }) =>
    app.db.lights.add({
      id: crypto.randomUUID(),
      name: text,
      kind: 'lamp',
      note: '',
      changedAt: Date.now(),
      usualSeconds: amount,
    }),
  async ({ which, amount }) =>
    app.db.lightEntries.add({
      id: crypto.randomUUID(),
      lightId: idOf(await pick(app.db.lights, which)),
      at: Date.now(),
      what: { type: 'read', milliwattsPerCm2: amount, by: 'typed' },
      note: '',
    }),
  ({ amount, text }) => {
    const { id, madeAt, replenished, filtered, changedAt, note, ...tray } = bath!
    void [id, madeAt, replenished, filtered, changedAt, note]
    return app.fillTray({ ...tray, name: text, millilitres: amount })
  },
  async ({ which, amount }) => {
    const found = await app.db.baths.get(idOf(await pick(app.db.baths, which)))
    const poured = { wasteClass: 'iron', millilitres: 1 } as const
    if (found) await app.replenish({ bath: found, millilitres: amount, bottleId: undefined, poured })
  },
  async ({ which }) => app.addWaste({ wasteClass: 'iron', amount: which, unit: 'ml', what: 'rinse' }),
  async ({ which }) => {
    const sheetId = idOf(await pick(app.db.sheets, which))
    const id = crypto.randomUUID()
    const bytes = new Uint8Array([...jpeg, which % 256])
    const photo = { id, sheetId, takenAt: Date.now(), mime: 'image/jpeg', widthPixels: 1, heightPixels: 1, bytes: bytes.length, note: '' } as const // prettier-ignore
    await app.db.transaction('rw', [app.db.photos, app.db.packs, app.db.logBundles, app.db.standingBundles], async () => {
      await app.db.photos.add(photo)
      await app.storePictures(app.db, [{ id, original: bytes, thumbnail: jpeg }])
      await app.append(sheetId, { type: 'photographed', photoId: id })
    }) // prettier-ignore
  },
]

const readers = { ask: async (make: () => LogsQuestion) => lookAtLogs(make()) }
const pace = { progress: () => undefined, pulse: () => undefined, breathe: () => Promise.resolve() }

describe('any sequence of actions', () => {
  it('is written into a backup that comes in again as it was', async () => {
    let done = 0
    let refused = 0
    await fc.assert(
      fc.asyncProperty(fc.array(press, { minLength: 20, maxLength: 60 }), async (presses) => {
        await app.clearWorkroom()
        for (const one of presses)
          await ACTIONS[one.action % ACTIONS.length]!(one).then(
            () => done++,
            () => refused++,
          )
        const { files, repaired } = await app.writeParts(
          app.db,
          { name: 'Any', at: Date.now() },
          readers,
          pace,
        )
        const read = readArchive(new Uint8Array(await files[0]!.arrayBuffer()))
        expect(read.notes).toEqual([])
        // Only what names something that was never there is set aside; no write got past its schema.
        for (const { problem } of repaired) expect(problem).toMatch(/ is missing\.$/)
        const other = new app.WorkroomDb('restored')
        try {
          await app.writeImport(other, read, new Set())
          expect(await app.contentsOf(other)).toEqual(await app.contentsOf(app.db))
        } finally {
          await other.delete()
        }
      }),
      { numRuns: samples(5, 200) },
    )
    // Both kinds of presses were among them, or nothing was tried.
    expect(done).toBeGreaterThan(samples(40, 2000))
    expect(refused).toBeGreaterThan(samples(20, 1000))
  })
})
