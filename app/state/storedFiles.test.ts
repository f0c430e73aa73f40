import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { sheet, workroom } from '@core/fixtures/workroom'
import { begun, logOf, plan, SHEET, T0, uuid, wholeJob } from '@core/fixtures/logs'
import type { Happening, SheetEvent } from '@core/schema/event'
import { linesOf, lengthOf } from '@core/archive/logs'
import type { RunState } from '@core/run/runState'
import { readBack, type Data, emptied, loadData } from './data.fixture'

let data: Data
beforeAll(async () => {
  data = await loadData()
})
beforeEach(() => emptied(data))
afterEach(() => jest.restoreAllMocks())

const drop: Happening = { type: 'dropped', component: 'iron', change: 1 }
const stateOf = (id = SHEET) => data.stateIn(data.db, id)
const refusing = (code: string) => expect.objectContaining({ code })

const ofSheet = (events: readonly SheetEvent[]) => events.filter((event) => event.sheetId === SHEET)

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

  it('of logs: no one goes on from them as if there were none', async () => {
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

  it('of standings: the logs tell the same, and they can be made again', async () => {
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

  it('of standings: an import makes again what it does not bring', async () => {
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
