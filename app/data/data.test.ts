import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { createPinia, setActivePinia } from 'pinia'
import { begun, logOf, plan, sheet, SHEET, T0, uuid, wholeJob, workroom } from '@core/fixtures/workroom'
import type { Happening, SheetEvent } from '@core/record/event'
import type * as archives from './archives'
import type * as db from './db'
import type * as holdings from './holdings'
import type * as log from './log'
import type * as standings from './standings'
import type * as workroomDb from './workroomDb'
import { applyMerge, conflictKey, planMerge } from '@core/record/merge'
import { emptyRecords } from '@core/record/records'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

type Data = typeof log & typeof db & typeof archives & typeof holdings & typeof standings & typeof workroomDb
let data: Data

beforeAll(async () => {
  data = {
    ...(await import('./db')),
    ...(await import('./log')),
    ...(await import('./archives')),
    ...(await import('./holdings')),
    ...(await import('./standings')),
    ...(await import('./workroomDb')),
  }
})
beforeEach(async () => {
  setActivePinia(createPinia())
  await data.clearWorkroom()
})
afterEach(() => jest.restoreAllMocks())

const drop: Happening = { type: 'dropped', component: 'iron', change: 1 }
const refusing = (code: string) => expect.objectContaining({ code })
const setTime = (at: number) => jest.spyOn(Date, 'now').mockReturnValue(at)

describe('append', () => {
  it('writes the event and what it amounts to in one go', async () => {
    setTime(T0)
    const state = await data.append(SHEET, begun)
    expect(state.begunAt).toBe(T0)
    expect(await data.logOf(SHEET)).toMatchObject([{ type: 'begun', index: 0, at: T0, sheetId: SHEET }])
    expect(await data.db.standings.get(SHEET)).toMatchObject({ sheetId: SHEET, place: 'coat', state })
  })

  it('writes nothing when it is refused', async () => {
    await data.append(SHEET, begun)
    await expect(data.append(SHEET, { type: 'stepStarted', step: 'wash' })).rejects.toThrow(
      refusing('other-step'),
    )
    expect(await data.logOf(SHEET)).toHaveLength(1)
    expect((await data.db.standings.get(SHEET))?.state.length).toBe(1)
  })

  it('writes nothing that the schema does not know', async () => {
    await expect(data.append(SHEET, { ...begun, steps: [] } as Happening)).rejects.toThrow()
    expect(await data.logOf(SHEET)).toEqual([])
  })

  it('stamps the moment of the press, not of the writing', async () => {
    setTime(T0)
    const pressed = data.append(SHEET, begun)
    setTime(T0 + 5000)
    await pressed
    expect((await data.logOf(SHEET))[0]?.at).toBe(T0)
  })

  it('never goes back in time when the system clock does', async () => {
    setTime(T0 + 60_000)
    await data.append(SHEET, begun)
    setTime(T0)
    await data.append(SHEET, drop)
    expect((await data.logOf(SHEET)).map((event) => event.at)).toEqual([T0 + 60_000, T0 + 60_000])
  })

  it('keeps the order of many presses that do not wait for each other', async () => {
    await data.append(SHEET, begun)
    await Promise.all(Array.from({ length: 12 }, () => data.append(SHEET, drop)))
    expect((await data.logOf(SHEET)).map((event) => event.index)).toEqual(
      Array.from({ length: 13 }, (_, i) => i),
    )
    expect((await data.db.standings.get(SHEET))?.state.steps[0]?.drops.iron).toBe(12)
  })

  it('lets one of two contradicting presses win and refuses the other', async () => {
    for (const [, what] of wholeJob.slice(0, 9)) await data.append(SHEET, what)
    const both = await Promise.allSettled([
      data.append(SHEET, { type: 'looked', step: 'expose' }),
      data.append(SHEET, { type: 'looked', step: 'expose' }),
    ])
    expect(both.map((one) => one.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect((await data.db.standings.get(SHEET))?.state.steps[3]?.holds).toHaveLength(1)
  })
})

describe('undo', () => {
  it('takes back the last thing, and the log keeps both', async () => {
    await data.append(SHEET, begun)
    await data.append(SHEET, drop)
    const state = await data.undo(SHEET)
    expect(state.steps[0]?.drops.iron).toBe(0)
    expect((await data.logOf(SHEET)).map((event) => event.type)).toEqual(['begun', 'dropped', 'undone'])
  })

  it('goes on after an undo as if nothing had been', async () => {
    await data.append(SHEET, begun)
    await data.append(SHEET, drop)
    await data.undo(SHEET)
    await data.append(SHEET, drop)
    await data.append(SHEET, drop)
    expect((await data.db.standings.get(SHEET))?.state.steps[0]?.drops.iron).toBe(2)
  })

  it('says so when there is nothing to take back', async () => {
    await expect(data.undo(SHEET)).rejects.toThrow(refusing('nothing-to-undo'))
    await data.append(SHEET, begun)
    await data.undo(SHEET)
    await expect(data.undo(SHEET)).rejects.toThrow(refusing('nothing-to-undo'))
  })
})

describe('rebuildStandings', () => {
  it('comes to the same as appending did', async () => {
    for (const [, what] of wholeJob) await data.append(SHEET, what)
    const kept = await data.db.standings.get(SHEET)
    await data.db.standings.clear()
    await data.rebuildStandings(data.db, [SHEET])
    expect(await data.db.standings.get(SHEET)).toEqual(kept)
  })

  it('knows a sheet on which nothing has happened', async () => {
    await data.rebuildStandings(data.db, [uuid(77)])
    expect(await data.db.standings.get(uuid(77))).toMatchObject({ place: 'planned' })
  })
})

const ofSheet = (events: readonly SheetEvent[]) => events.filter((event) => event.sheetId === SHEET)

describe('writeImport', () => {
  const prepared = (here: ReturnType<typeof workroom>['records'] | null, theirs = workroom()) => ({
    workroom: theirs,
    plan: planMerge(here ?? emptyRecords(), theirs.records),
  })

  it('leaves nothing of one that was called off, and says how far it has come', async () => {
    const shares: number[] = []
    await data.writeImport(data.db, prepared(null).workroom, new Set(), (share) => shares.push(share))
    expect(shares.at(-1)).toBe(1)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    await data.clearWorkroom()
    let pieces = 0
    const stop = () => {
      if (++pieces > 6) throw data.calledOff()
    }
    await expect(
      data.writeImport(data.db, prepared(null).workroom, new Set(), undefined, stop),
    ).rejects.toThrow(refusing('called-off'))
    expect(await data.db.sheets.count()).toBe(0)
    expect(await data.db.events.count()).toBe(0)
  })

  it('fills an empty workroom: records, logs, standings and pixels', async () => {
    await data.writeImport(data.db, prepared(null).workroom, new Set())
    const { records } = workroom()
    expect(await data.db.sheets.toArray()).toEqual(records.sheets)
    expect(await data.logOf(SHEET)).toEqual(ofSheet(records.events))
    expect(await data.db.takings.toArray()).toEqual(records.takings)
    expect((await data.db.standings.get(records.paperRuns[0]!.id))?.place).toBe('paper')
    expect(await data.db.papers.toArray()).toEqual(records.papers)
    expect(await data.db.photos.toArray()).toEqual(records.photos)
    expect(await data.db.pixels.count()).toBe(1)
    expect((await data.db.standings.get(SHEET))?.place).toBe('line')
  })

  it('does nothing the second time', async () => {
    await data.writeImport(data.db, prepared(null).workroom, new Set())
    await data.writeImport(data.db, prepared(workroom().records).workroom, new Set())
    expect(await data.db.events.count()).toBe(workroom().records.events.length)
    expect(await data.db.sheets.count()).toBe(1)
  })

  it('keeps what is here in a conflict unless told, and replaces the whole log when told', async () => {
    const mine = workroom()
    mine.records.sheets = [{ ...sheet, title: 'Mine' }]
    mine.records.events = [
      ...logOf([...wholeJob.slice(0, 4), [60, { type: 'noted', text: 'another way' }]]),
      ...mine.records.events.filter((event) => event.sheetId !== SHEET),
    ]
    mine.records.photos = []
    mine.pixels.clear()
    await data.writeImport(data.db, prepared(null, mine).workroom, new Set())

    const theirs = prepared(mine.records)
    expect(theirs.plan.conflicts.map(conflictKey)).toEqual([`sheets/${SHEET}`, `log/${SHEET}`])
    await data.writeImport(data.db, theirs.workroom, new Set())
    expect((await data.db.sheets.get(SHEET))?.title).toBe('Mine')
    expect(await data.logOf(SHEET)).toHaveLength(5)

    await data.writeImport(data.db, theirs.workroom, new Set(theirs.plan.conflicts.map(conflictKey)))
    expect((await data.db.sheets.get(SHEET))?.title).toBe(sheet.title)
    expect(await data.logOf(SHEET)).toEqual(ofSheet(workroom().records.events))
    expect((await data.db.standings.get(SHEET))?.place).toBe('line')
  })

  it('works the merge out afresh, so that what was written meanwhile is not lost', async () => {
    const half = workroom()
    half.records.events = half.records.events.slice(0, 5)
    half.records.photos = []
    half.pixels.clear()
    await data.writeImport(data.db, prepared(null, half).workroom, new Set())
    const stale = prepared(half.records)
    // Another window goes another way between reading the archive and pressing Import.
    await data.append(SHEET, { type: 'noted', text: 'meanwhile' })
    await data.writeImport(data.db, stale.workroom, new Set())
    const log = await data.logOf(SHEET)
    expect(log).toHaveLength(6)
    expect(log.at(-1)).toMatchObject({ type: 'noted', text: 'meanwhile' })
  })

  it('agrees with core on what is written', () => {
    const theirs = workroom().records
    const none = emptyRecords()
    expect(applyMerge(planMerge(none, theirs), theirs, new Set()).records.events).toHaveLength(
      theirs.events.length,
    )
  })
})

describe('a workroom of version 1', () => {
  it('is taken up to this one, standings and all', async () => {
    const name = 'ember-sheet-of-old'
    const old = new Dexie(name)
    old.version(1).stores({
      sheets: 'id, number',
      events: 'id, &[sheetId+index]',
      standings: 'sheetId, place',
      papers: 'id',
      bottles: 'id, component',
      lights: 'id',
      photos: 'id, sheetId',
      pixels: 'id',
    })
    const { tool, parts, ...rest } = sheet
    await old.table('sheets').add({ ...rest, parts: parts.sensitizer })
    await old
      .table('bottles')
      .add({ id: uuid(3), label: 'A-7', component: 'iron', percentWv: 25, note: '', changedAt: T0 })
    await old.table('events').bulkAdd(logOf(wholeJob))
    await old.table('standings').add({ sheetId: SHEET, place: 'coat', state: { of: 'an older shape' } })
    old.close()

    const taken = new data.WorkroomDb(name)
    expect(await taken.sheets.get(SHEET)).toEqual({ ...sheet, tool })
    expect(await taken.bottles.get(uuid(3))).toMatchObject({
      name: 'Iron citrate',
      kind: 'solution',
      contents: [{ substanceId: 'ferric-ammonium-citrate', percent: 25 }],
    })
    expect(await taken.standings.get(SHEET)).toMatchObject({ place: 'line', state: { coatsJudged: [] } })
    expect(await taken.takings.count()).toBe(0)
    taken.close()
  })
})

describe('the tables', () => {
  it('refuse a second event at the same place of a log', async () => {
    const [first] = logOf([[0, begun]])
    await data.db.events.add(first!)
    await expect(data.db.events.add({ ...first!, id: uuid(5) })).rejects.toThrow()
  })

  it('list a log in its order, and of one sheet only', async () => {
    const [a, b] = [
      logOf(wholeJob, uuid(1)),
      logOf(wholeJob.slice(0, 3), uuid(2)).map((event) => ({
        ...event,
        id: `${event.id.slice(0, -4)}9${event.id.slice(-3)}`,
      })),
    ]
    await data.db.events.bulkAdd([...a, ...b].reverse())
    expect(await data.logOf(uuid(1))).toEqual(a)
    expect(await data.logOf(uuid(2))).toEqual(b)
  })

  it('hold a plan of every kind of step', () => {
    expect(new Set(plan.map((step) => step.kind)).size).toBe(6)
  })
})
