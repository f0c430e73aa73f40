import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { createPinia, setActivePinia } from 'pinia'
import { sheet, workroom } from '@core/fixtures/workroom'
import { begun, logOf, plan, SHEET, T0, uuid, wholeJob } from '@core/fixtures/logs'
import type { Happening, SheetEvent } from '@core/schema/event'
import type * as archives from '../workers/archives'
import type * as db from '../storage/db'
import type * as holdings from '../storage/holdings'
import type * as log from '../storage/log'
import type * as pictures from '../storage/pictures'
import type * as standings from '../storage/runStates'
import type * as workroomDb from '../storage/workroomDb'
import { conflictKey, planMerge } from '@core/archive/merge'
import { writeArchive } from '@core/archive/archive'
import { readArchive } from '@core/archive/archiveReading'
import { eventsIn, linesOf, lengthOf, logBook } from '@core/archive/logs'
import { emptyRecords, type WorkroomRecords } from '@core/schema/records'
import type { RunState } from '@core/run/runState'
import { placeOf } from '@core/run/place'
import type * as bundles from '../storage/bundles'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

type Data = typeof pictures &
  typeof bundles &
  typeof log &
  typeof db &
  typeof archives &
  typeof holdings &
  typeof standings &
  typeof workroomDb
let data: Data

beforeAll(async () => {
  data = {
    ...(await import('../storage/db')),
    ...(await import('../storage/log')),
    ...(await import('../storage/bundles')),
    ...(await import('../storage/pictures')),
    ...(await import('../workers/archives')),
    ...(await import('../storage/holdings')),
    ...(await import('../storage/runStates')),
    ...(await import('../storage/workroomDb')),
  }
})
beforeEach(async () => {
  setActivePinia(createPinia())
  await data.clearWorkroom()
})
afterEach(() => jest.restoreAllMocks())

const drop: Happening = { type: 'dropped', component: 'iron', change: 1 }
const stateOf = (id = SHEET) => data.stateIn(data.db, id)
const placeIn = async (id = SHEET) => placeOf((await stateOf(id)) as RunState)
const refusing = (code: string) => expect.objectContaining({ code })

describe('rebuildAllRunStates', () => {
  it('comes to the same as appending did', async () => {
    for (const [, what] of wholeJob) await data.append(SHEET, what)
    const kept = await stateOf()
    await data.db.standingBundles.clear()
    await data.rebuildAllRunStates(data.db, [SHEET])
    expect(await stateOf()).toEqual(kept)
  })

  it('knows a sheet on which nothing has happened', async () => {
    await data.rebuildAllRunStates(data.db, [uuid(77)])
    expect(await placeIn(uuid(77))).toBe('planned')
  })
})

const ofSheet = (events: readonly SheetEvent[]) => events.filter((event) => event.sheetId === SHEET)

const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
const readBack = (room: ReturnType<typeof workroom>) => readArchive(writeArchive(room, 'Test', T0))

describe('writeImport', () => {
  const prepared = (here: ReturnType<typeof workroom>['records'] | null, theirs = workroom()) => ({
    workroom: readBack(theirs),
    plan: planMerge(contentsOf(here ?? emptyRecords()), contentsOf(theirs.records)),
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
    expect(await data.db.logBundles.count()).toBe(0)
    expect(await data.db.standingBundles.count()).toBe(0)
    expect(await data.db.packs.count()).toBe(0)
  })

  it('fills an empty workroom: records, logs, standings and pixels', async () => {
    await data.writeImport(data.db, prepared(null).workroom, new Set())
    const { records } = workroom()
    expect(await data.db.sheets.toArray()).toEqual(records.sheets)
    expect(await data.logOf(SHEET)).toEqual(ofSheet(records.events))
    expect(await data.db.takings.toArray()).toEqual(records.takings)
    expect(await placeIn(records.paperRuns[0]!.id)).toBe('paper')
    expect(await data.db.papers.toArray()).toEqual(records.papers)
    expect(await data.db.photos.toArray()).toEqual(records.photos)
    const [id] = [...workroom().pixels.keys()]
    const original = (await data.picturesIn(data.db, [id!], 'original')).get(id!)
    expect(new Uint8Array(await original!.arrayBuffer())).toEqual(workroom().pixels.get(id!)!.original)
    expect(await placeIn()).toBe('line')
  })

  it('does nothing the second time', async () => {
    await data.writeImport(data.db, prepared(null).workroom, new Set())
    await data.writeImport(data.db, prepared(workroom().records).workroom, new Set())
    const { logs, standings } = await data.contentsOf(data.db)
    expect([...logs.values()].flatMap(eventsIn)).toHaveLength(workroom().records.events.length)
    expect([...standings.keys()].sort()).toEqual([...logs.keys()].sort())
    expect(await data.db.packs.count()).toBe(1)
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
    expect(await placeIn()).toBe('line')
  })

  it('works the merge out again, so that what was written meanwhile is not lost', async () => {
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

  it('brings back a log that the disk has spoilt, where that is asked for', async () => {
    await data.writeImport(data.db, readBack(workroom()), new Set())
    await data.db.logs.put(SHEET, 1, '{"id": "half of a li')
    await data.writeImport(data.db, readBack(workroom()), new Set())
    await expect(data.logOf(SHEET)).rejects.toThrow()
    await data.writeImport(data.db, readBack(workroom()), new Set([`log/${SHEET}`]))
    expect(await data.logOf(SHEET)).toEqual(ofSheet(workroom().records.events))
    expect(await placeIn()).toBe('line')
  })

  it('a sheet that is only planned here takes on the log that the archive has of it', async () => {
    const mine = workroom()
    mine.records.events = mine.records.events.filter((event) => event.sheetId !== SHEET)
    mine.records.photos = []
    mine.pixels.clear()
    await data.writeImport(data.db, readBack(mine), new Set())
    expect(await placeIn()).toBe('planned')
    await data.writeImport(data.db, readBack(workroom()), new Set())
    expect([await placeIn(), (await data.logOf(SHEET)).length]).toEqual([
      'line',
      ofSheet(workroom().records.events).length,
    ])
  })
})

describe('texts in bundles', () => {
  const keyOf = (n: number) => `${uuid(n)}/1`
  const entries = Array.from({ length: 120 }, (_, n) => [keyOf(n), `text ${n}`] as const)
  const all = async () =>
    new Map(
      (await data.db.logBundles.toArray()).flatMap(({ keys, texts }) =>
        keys.map((key, i) => [key, texts[i]]),
      ),
    )

  it('lie together, and each is found by whose it is', async () => {
    await data.db.logs.add(entries)
    expect(await data.db.logBundles.count()).toBe(3)
    expect(await data.db.logs.textOf(uuid(77))).toBe('text 77')
    expect(await data.db.logs.textOf(uuid(500))).toBeUndefined()
    expect(await data.db.logs.textsOf([uuid(3), uuid(500), uuid(119)])).toEqual(
      new Map([[uuid(3), 'text 3'], [uuid(119), 'text 119']]), // prettier-ignore
    )
    expect(new Map(await data.db.logs.revisions()).get(uuid(4))).toBe(`${uuid(4)}/1`)
  })

  it.each([0, 7, 49, 50, 119])('one that is written anew leaves its bundle, number %i', async (n) => {
    await data.db.logs.add(entries)
    await data.db.logs.put(uuid(n), 2, 'anew')
    await data.db.logs.put(uuid(n), 3, 'and again')
    const found = await all()
    expect(found.size).toBe(120)
    expect(found.get(`${uuid(n)}/3`)).toBe('and again')
    for (const [key, text] of entries) if (key !== keyOf(n)) expect(found.get(key)).toBe(text)
  })

  it('go for good, and the others of their bundles stay', async () => {
    await data.db.logs.add(entries)
    const going = [0, 1, 60, 119].map(uuid)
    await data.db.logs.drop(going)
    expect((await all()).size).toBe(116)
    expect((await data.db.logs.textsOf(going)).size).toBe(0)
    await data.db.logs.drop(entries.map((_, n) => uuid(n)))
    expect(await data.db.logBundles.count()).toBe(0)
  })

  it('come out in the order of identities, however they lie together', async () => {
    await data.db.logs.add([5, 3, 9].map((n) => [keyOf(n), `text ${n}`]))
    await data.db.logs.put(uuid(4), 1, 'text 4')
    const { logs } = await data.contentsOf(data.db)
    expect([...logs.keys()]).toEqual([3, 4, 5, 9].map(uuid))
  })

  it('never lie in two places, whatever is done to them', async () => {
    await data.db.logs.add(entries.slice(0, 60))
    await expect(data.db.logs.add(entries.slice(59, 61))).rejects.toThrow()
    await data.db.logs.put(uuid(0), 2, 'anew')
    await data.db.logs.put(uuid(1), 2, 'anew')
    await data.db.logs.drop([uuid(2)])
    await data.db.logs.put(uuid(2), 1, 'back')
    const owners = [...(await all()).keys()].map(data.ownerOf)
    expect(new Set(owners).size).toBe(owners.length)
    expect(owners).toHaveLength(60)
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
    const [original, thumbnail] = [new Blob(['the whole picture']), new Blob(['small'])]
    await old.table('pixels').add({ id: uuid(70), original, thumbnail })
    old.close()

    const taken = new data.WorkroomDb(name)
    expect(await taken.sheets.get(SHEET)).toEqual({ ...sheet, tool })
    expect(await taken.bottles.get(uuid(3))).toMatchObject({
      name: 'Iron citrate',
      kind: 'solution',
      contents: [{ substanceId: 'ferric-ammonium-citrate', percent: 25 }],
    })
    expect(await data.stateIn(taken, SHEET)).toMatchObject({ coatsJudged: [], length: wholeJob.length })
    expect(await taken.takings.count()).toBe(0)
    expect(await data.logIn(taken, SHEET)).toEqual(logOf(wholeJob))
    const picture = async (which: 'original' | 'thumbnail') =>
      (await data.picturesIn(taken, [uuid(70)], which)).get(uuid(70))?.text()
    expect(await picture('original')).toBe('the whole picture')
    expect(await picture('thumbnail')).toBe('small')
    taken.close()
  })
})

describe('a workroom of version 6', () => {
  it('says what its waste holds', async () => {
    const old = new Dexie('ember-sheet-version-6')
    // Everything else is as it is in version 7.
    old
      .version(6)
      .stores(Object.fromEntries(data.db.tables.map((table) => [table.name, table.schema.primKey.src])))
    const bottle = {
      id: uuid(3), label: 'P-1', name: 'Peroxide', kind: 'liquid', note: '', changedAt: T0,
      contents: [{ substanceId: 'hydrogen-peroxide', percent: 3 }],
    } // prettier-ignore
    const waste = {
      id: uuid(4),
      wasteClass: 'oxidiser',
      amount: 5,
      unit: 'ml',
      what: 'w',
      bottleId: uuid(3),
      at: T0,
    }
    await old.table('bottles').add(bottle)
    await old.table('wastes').add(waste)
    old.close()

    const taken = new data.WorkroomDb('ember-sheet-version-6')
    expect(await taken.wastes.toArray()).toEqual([{ ...waste, contents: bottle.contents }])
    taken.close()
  })
})

describe('pictures', () => {
  const bytes = (text: string) => new TextEncoder().encode(text)
  const three = [1, 2, 3].map((n) => ({
    id: uuid(n),
    original: bytes(`original ${n}`),
    thumbnail: bytes(`t${n}`),
  }))
  const read = async (n: number) => {
    const [original, thumbnail] = await Promise.all(
      (['original', 'thumbnail'] as const).map(async (which) =>
        (await data.picturesIn(data.db, [uuid(n)], which)).get(uuid(n))?.text(),
      ),
    )
    return original && [original, thumbnail]
  }

  it('lie behind each other in one pack and are found again', async () => {
    await data.storePictures(data.db, three)
    expect(await data.db.packs.count()).toBe(1)
    for (const n of [1, 2, 3]) expect(await read(n)).toEqual([`original ${n}`, `t${n}`])
    expect(await read(4)).toBeUndefined()
  })

  it('leave nothing on the disk when they go, and what lay beside them stays', async () => {
    await data.storePictures(data.db, three)
    await data.dropPictures(data.db, [uuid(2)])
    expect([await read(1), await read(2), await read(3)]).toEqual([
      ['original 1', 't1'],
      undefined,
      ['original 3', 't3'],
    ])
    const [pack, ...others] = await data.db.packs.toArray()
    expect(others).toEqual([])
    expect(await pack?.bytes.text()).toBe('original 1t1original 3t3')
    await data.dropPictures(data.db, [uuid(1), uuid(3)])
    expect(await data.db.packs.count()).toBe(0)
  })

  it('that went missing come back with an archive that has them', async () => {
    const theirs = readBack(workroom())
    await data.writeImport(data.db, theirs, new Set())
    const [id] = [...theirs.pixels.keys()]
    await data.dropPictures(data.db, [id!])
    await data.writeImport(data.db, theirs, new Set())
    expect((await data.picturesIn(data.db, [id!], 'thumbnail')).size).toBe(1)
  })
})

describe('files that the browser has lost', () => {
  /** Answers for a table as a browser does that has lost the file of every row. */
  const lose = (table: typeof data.db.logBundles) => {
    const lost = () =>
      Dexie.Promise.reject(
        Object.assign(new Error('Data lost due to missing file'), { name: 'NotReadableError' }),
      ) as never
    let collection = table.toCollection()
    while (!Object.hasOwn(collection, 'toArray')) collection = Object.getPrototypeOf(collection)
    const { toArray } = collection
    const spies = [
      jest.spyOn(table, 'get').mockImplementation(lost),
      jest.spyOn(table, 'bulkGet').mockImplementation(lost),
      jest.spyOn(collection, 'toArray').mockImplementation(function (this: object, ...rest) {
        const { table: asked } = (this as { _ctx: { table: { name: string } } })._ctx
        return asked.name === table.name ? lost() : (toArray.apply(this as never, rest as never) as never)
      }),
    ]
    return () => spies.forEach((spy) => spy.mockRestore())
  }
  const theirs = () => readBack(workroom())
  const runId = workroom().records.paperRuns[0]!.id
  beforeEach(() => data.writeImport(data.db, theirs(), new Set()))

  it('of logs: nobody goes on from them as if there were none', async () => {
    const find = lose(data.db.logBundles)
    await expect(data.logOf(SHEET)).rejects.toThrow(refusing('lost-file'))
    await expect(data.append(SHEET, drop)).rejects.toThrow(refusing('lost-file'))
    await expect(data.db.logs.drop([SHEET])).rejects.toThrow(refusing('lost-file'))
    find()
    expect(await data.logOf(SHEET)).toEqual(ofSheet(workroom().records.events))
    await data.db.logs.drop([SHEET])
    await expect(data.append(SHEET, { type: 'noted', text: 'on it goes' })).rejects.toThrow(
      refusing('log-gone'),
    )
  })

  it('of logs: all the rest is read, and an archive brings them back', async () => {
    const find = lose(data.db.logBundles)
    const rows = { logs: await data.db.logs.lostRows(), standings: [] }
    find()
    const here = await data.contentsOf(data.db, rows)
    expect([here.logs.size, here.standings.size]).toEqual([0, 2])
    expect(here.records.sheets).toEqual(workroom().records.sheets)
    expect(here.lost.logs.sort()).toEqual([SHEET, runId].sort())
    await data.writeImport(data.db, theirs(), new Set(), undefined, undefined, {
      spoilt: [],
      gone: new Set(),
      rows,
    })
    expect(await data.logOf(SHEET)).toEqual(ofSheet(workroom().records.events))
    const after = await data.contentsOf(data.db)
    expect([after.logs.size, after.lost.logs]).toEqual([2, []])
    expect(after.standings).toEqual(here.standings)
  })

  it('of standings: the logs tell the same, and they can be made anew', async () => {
    const before = await data.contentsOf(data.db)
    const find = lose(data.db.standingBundles)
    const states = new Map<string, RunState>()
    for await (const piece of data.runStatesOf(data.db).pieces())
      for (const [id, state] of piece) states.set(id, state)
    const some = await data.runStatesOf(data.db).some([SHEET])
    const here = await data.legibleContents(data.db)
    const lostRows = await data.db.standings.lostRows()
    find()
    expect(states.get(SHEET)).toEqual(await stateOf())
    expect([...some]).toEqual([[SHEET, await stateOf()]])
    expect([here.logs.size, here.standings.size, here.lost.standings.length]).toEqual([2, 0, 2])
    await data.db.standings.forget(lostRows)
    await data.rebuildRunStates(data.db, here.lost.standings)
    expect(await data.contentsOf(data.db)).toEqual(before)
  })

  it('of standings: an import makes anew what it does not bring', async () => {
    const before = await data.contentsOf(data.db)
    const find = lose(data.db.standingBundles)
    const { lost } = await data.legibleContents(data.db)
    find()
    await data.writeImport(data.db, theirs(), new Set(), undefined, undefined, {
      spoilt: [],
      gone: new Set(),
      rows: lost.rows,
    })
    expect(await data.contentsOf(data.db)).toEqual(before)
  })

  it('what fails for another reason still fails, and is not called lost', async () => {
    jest.spyOn(data.db.logBundles, 'bulkGet').mockRejectedValueOnce(new Error('closed') as never)
    await expect(data.logOf(SHEET)).rejects.toThrow('closed')
    jest.spyOn(data.db.sheets, 'toArray').mockRejectedValue(new Error('out of order') as never)
    await expect(data.legibleContents(data.db)).rejects.toThrow('out of order')
  })
})

describe('the tables', () => {
  it('list a log in its order, and of one sheet only', async () => {
    const [a, b] = [logOf(wholeJob, uuid(1)), logOf(wholeJob.slice(0, 3), uuid(2))]
    await data.db.logs.add(
      [a, b].map((log, n) => [data.bundleKey(uuid(n + 1), lengthOf({ lines: linesOf(log) })), linesOf(log)]),
    )
    expect(await data.logOf(uuid(1))).toEqual(a)
    expect(await data.logOf(uuid(2))).toEqual(b)
  })

  it('keep words with line breaks, commas and quotes as they are', async () => {
    const text = 'a\nb, "c" \u2028\u2029 \\n'
    await data.append(SHEET, begun)
    await data.append(SHEET, { type: 'noted', text })
    await data.append(SHEET, { type: 'noted', text })
    expect((await data.logOf(SHEET)).map((event) => event.type === 'noted' && event.text)).toEqual([
      false,
      text,
      text,
    ])
  })

  it('are of the version that windows are told apart by', () => {
    expect(data.db.verno).toBe(data.STORAGE_VERSION)
  })

  it('hold a plan of every kind of step', () => {
    expect(new Set(plan.map((step) => step.kind)).size).toBe(6)
  })
})
