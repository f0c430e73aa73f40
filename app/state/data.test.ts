import { sheet, workroom } from '@core/fixtures/workroom'
import { logOf, SHEET, uuid, wholeJob } from '@core/fixtures/logs'
import type { SheetEvent } from '@core/schema/event'
import { conflictKey, planMerge } from '@core/archive/merge'
import { eventsIn } from '@core/archive/logs'
import { emptyRecords } from '@core/schema/records'
import type { RunState } from '@core/run/runState'
import { placeOf } from '@core/run/place'
import { contentsOf, readBack, type Data, emptied, loadData } from './data.fixture'

let data: Data
beforeAll(async () => {
  data = await loadData()
})
beforeEach(() => emptied(data))
afterEach(() => jest.restoreAllMocks())

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
