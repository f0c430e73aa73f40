import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { bottle } from '@core/fixtures/substances'
import { begun, T0, uuid } from '@core/fixtures/logs'
import { sheet } from '@core/fixtures/workroom'
import { leftIn, takenByBottle } from '@core/chemistry/lots'
import { writeProcessFile } from '@core/process/processFile'
import { replay } from '@core/run/run'
import { treatments } from '@library/index'
import { kallitype } from '@library/processes/kallitype'
import type * as archives from '../../workers/archives'
import type * as database from '../../storage/db'
import type * as log from '../../storage/log'
import type * as paper from './paper.actions'
import type * as processes from './process.actions'
import type * as sheets from './sheet.actions'
import type * as shelf from './shelf.actions'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

let db: typeof database.db
let act: typeof shelf & typeof sheets & typeof paper & typeof processes & typeof log & typeof archives

beforeAll(async () => {
  ;({ db } = await import('../../storage/db'))
  act = {
    ...(await import('../../workers/archives')),
    ...(await import('../../storage/log')),
    ...(await import('./sheet.actions')),
    ...(await import('./shelf.actions')),
    ...(await import('./paper.actions')),
    ...(await import('./process.actions')),
  }
})
beforeEach(async () => {
  setActivePinia(createPinia())
  await act.clearWorkroom()
})

const left = async (id: string) => {
  const found = await db.bottles.get(id)
  return found ? leftIn(found, takenByBottle([], await db.takings.toArray())) : undefined
}
const solution = {
  label: 'S-1',
  name: 'Silver',
  kind: 'solution' as const,
  contents: [{ substanceId: 'silver-nitrate', percent: 12 }],
  amount: 50,
}

describe('the shelf', () => {
  it('takes what went into a solution off its jars, and gives it back when the making is undone', async () => {
    const jar = await act.putOnShelf({ ...solution, label: 'AG-1', kind: 'solid', amount: 25 })
    const made = await act.putOnShelf(solution, [{ bottleId: jar, amount: 6, why: 'solution' }])
    expect(await left(jar)).toBe(19)
    expect(await left(made)).toBe(50)
    await act.undoBottle(made)
    expect(await left(jar)).toBe(25)
    expect((await db.bottles.get(made))?.ended?.why).toBe('undone')
  })

  it('writes nothing at all when a part of it is wrong', async () => {
    await expect(
      act.putOnShelf(solution, [{ bottleId: 'nowhere', amount: 6, why: 'solution' }]),
    ).rejects.toThrow()
    expect(await db.bottles.count()).toBe(0)
    await expect(act.putOnShelf({ ...solution, label: '' })).rejects.toThrow()
    expect(await db.takings.count()).toBe(0)
  })

  it('takes out, counts and takes back', async () => {
    const id = await act.putOnShelf(solution)
    const taking = await act.takeOut({ bottleId: id, amount: 20, why: 'bath' })
    expect(await left(id)).toBe(30)
    // A count that found more than was thought is a taking below nothing.
    await act.takeOut({ bottleId: id, amount: -5, why: 'counted' })
    expect(await left(id)).toBe(35)
    // What was counted stands: without the taking there were 55 from the start.
    await act.undoTakeIn(taking)
    expect(await left(id)).toBe(55)
  })

  it('empties a bottle into its waste jar, and has it back on its board', async () => {
    const id = await act.putOnShelf(solution)
    const found = (await db.bottles.get(id))!
    const waste = await act.throwAway(found, {
      wasteClass: 'silver',
      amount: 50,
      unit: 'ml',
      what: 'Silver S-1',
    })
    expect(await left(id)).toBe(0)
    expect(await db.wastes.get(waste)).toMatchObject({ bottleId: id, wasteClass: 'silver', amount: 50 })
    await act.undoThrowAway(id, waste)
    expect(await left(id)).toBe(50)
    expect((await db.bottles.get(id))?.ended).toBeUndefined()
    expect((await db.wastes.get(waste))?.takenBackAt).toBeDefined()
  })

  it('hands a jar over whole, and ends what is empty', async () => {
    const one = await act.addWaste({ wasteClass: 'iron', amount: 100, unit: 'ml', what: 'rinse' })
    const other = await act.addWaste({ wasteClass: 'iron', amount: 50, unit: 'ml', what: 'rinse' })
    await act.handOver([one, other])
    expect((await db.wastes.toArray()).every((each) => each.handedOverAt !== undefined)).toBe(true)
    const id = await act.putOnShelf(solution)
    await act.endBottle(id)
    expect((await db.bottles.get(id))?.ended?.why).toBe('empty')
    await act.changeBottle(id, { note: 'rinsed' })
    expect((await db.bottles.get(id))?.note).toBe('rinsed')
    await act.undoWaste(one)
    expect((await db.wastes.get(one))?.takenBackAt).toBeDefined()
  })
})

describe('the paper drawer', () => {
  const rag = {
    name: 'Rag',
    widthMillimetres: 571.5,
    heightMillimetres: 762,
    gramsPerM2: 300,
    sheets: 3,
    note: '',
  }
  const piece = (label: string) => ({
    label,
    widthMillimetres: 285.75,
    heightMillimetres: 254,
    side: 'pencil cross',
  })

  it('takes a large sheet off the stock for its pieces, and puts it back whole', async () => {
    const id = await act.addPaper(rag)
    const back = await act.writePieces(id, [piece('R-1'), piece('R-2')])
    expect((await db.papers.get(id))?.sheets).toBe(2)
    expect((await db.pieces.toArray()).map((one) => one.label).sort()).toEqual(['R-1', 'R-2'])
    await back()
    expect((await db.papers.get(id))?.sheets).toBe(3)
    expect(await db.pieces.count()).toBe(0)
  })

  it('takes every sheet of a stack that was torn at once off the stock', async () => {
    const id = await act.addPaper(rag)
    const back = await act.writePieces(id, [piece('R-1'), piece('R-2')], 2)
    expect((await db.papers.get(id))?.sheets).toBe(1)
    await back()
    expect((await db.papers.get(id))?.sheets).toBe(3)
  })

  it('leaves a stock that nobody counted alone, and never counts below none', async () => {
    const { sheets, ...uncounted } = rag
    const id = await act.addPaper(uncounted)
    await act.writePieces(id, [piece('R-1')])
    expect((await db.papers.get(id))?.sheets).toBeUndefined()
    const last = await act.addPaper({ ...rag, sheets: sheets - 3 })
    await act.writePieces(last, [piece('R-9')])
    expect((await db.papers.get(last))?.sheets).toBe(0)
  })

  it('changes a paper as a whole, and a piece by what is said', async () => {
    const id = await act.addPaper(rag)
    const { gramsPerM2, ...rest } = rag
    expect(gramsPerM2).toBe(300)
    await act.changePaper({ ...rest, name: 'Old rag', id, changedAt: T0 })
    expect(await db.papers.get(id)).toMatchObject({ name: 'Old rag' })
    expect((await db.papers.get(id))?.gramsPerM2).toBeUndefined()
    await act.writePieces(id, [piece('R-1')])
    const [torn] = await db.pieces.toArray()
    await act.changePiece(torn!.id, { goneAt: T0 })
    expect((await db.pieces.get(torn!.id))?.goneAt).toBe(T0)
  })

  it('begins a treatment with its number, its plan in the log and its standing', async () => {
    const run = {
      choices: { acid: 'citric' },
      pieceIds: [uuid(5)],
      sheets: 1,
      widthMillimetres: 254,
      heightMillimetres: 254,
      note: '',
    }
    const { stateIn } = await import('../../storage/runStates')
    const first = await act.beginTreatment(treatments['acid-bath']!, run, 300)
    const second = await act.beginTreatment(treatments['acid-bath']!, run, 300)
    expect((await db.paperRuns.get(second))?.number).toBe(2)
    const events = await act.logOf(first)
    expect(events).toMatchObject([
      { type: 'begun', steps: [{ id: 'soak-citric', leastSeconds: 900 }, { id: 'rinse' }, { id: 'hang' }] },
    ])
    expect(await stateIn(db, first)).toEqual(replay(first, events))
    await act.append(first, { type: 'stepStarted', step: 'soak-citric' })
    await act.undo(first)
    expect((await stateIn(db, first))?.steps[0]?.status).toBe('waiting')
  })
})

describe('processes of one’s own', () => {
  it('are copied, changed as a next version, and removed for good or not', async () => {
    const { id, definition } = await act.copyOwn(kallitype, 'Kallitype, mine')
    expect(definition).toMatchObject({ id: 'kallitype-mine', copyOf: 'kallitype', version: 1 })
    await act.changeOwn(id, { ...definition, name: 'Mine' })
    expect((await db.ownProcesses.get(id))?.definition).toMatchObject({ name: 'Mine', version: 2 })
    await expect(act.changeOwn(id, { ...definition, steps: [] })).rejects.toThrow()
    const back = await act.removeOwn(id)
    expect(await db.ownProcesses.count()).toBe(0)
    await back()
    expect((await db.ownProcesses.get(id))?.definition.name).toBe('Mine')
  })

  it('come in from a file under an id that is free here', async () => {
    const first = await act.takeInProcess(writeProcessFile(kallitype))
    expect(first.definition).toMatchObject({ id: 'kallitype-2', copyOf: 'kallitype' })
    const { definition } = await act.copyOwn(kallitype, 'Another')
    await db.ownProcesses.clear()
    expect((await act.takeInProcess(writeProcessFile(definition))).definition.id).toBe('another')
    await expect(act.takeInProcess('{}')).rejects.toThrow(expect.objectContaining({ code: 'not-a-process' }))
    expect(await db.ownProcesses.count()).toBe(1)
  })
})

describe('a shelf in an archive', () => {
  it('travels with its paper, takings, waste, droppers and processes', async () => {
    await db.bottles.add(bottle(1))
    await act.takeOut({ bottleId: bottle(1).id, amount: 20, why: 'spilt' })
    await act.addWaste({ wasteClass: 'iron', amount: 100, unit: 'ml', what: 'rinse' })
    await act.copyOwn(kallitype, 'Mine')
    const paperId = await act.addPaper({ name: 'Rag', note: '' })
    await act.writePieces(paperId, [
      { label: 'R-1', widthMillimetres: 100, heightMillimetres: 100, side: '' },
    ])
    const counts = async () =>
      Promise.all(
        [db.bottles, db.takings, db.wastes, db.ownProcesses, db.papers, db.pieces].map((table) =>
          table.count(),
        ),
      )
    const before = await counts()
    const { writeArchive } = await import('@core/archive/archive')
    const { readArchive } = await import('@core/archive/archiveReading')
    const { emptyRecords } = await import('@core/schema/records')
    const records = {
      ...emptyRecords(),
      bottles: await db.bottles.toArray(),
      takings: await db.takings.toArray(),
      wastes: await db.wastes.toArray(),
      ownProcesses: await db.ownProcesses.toArray(),
      papers: await db.papers.toArray(),
      pieces: await db.pieces.toArray(),
    }
    const read = readArchive(writeArchive({ records, pixels: new Map() }, 'Shelf', T0))
    await act.clearWorkroom()
    const { writeImport } = await import('../../storage/holdings')
    await writeImport(db, read, new Set())
    expect(await counts()).toEqual(before)
    expect(await left(bottle(1).id)).toBe(80)
  })
})

describe('the plan of a sheet', () => {
  const read = { sheet, sheets: 1, titles: [], papers: [], bottles: [], lights: [] }

  it('is changed until work starts, and then only after the start is undone', async () => {
    const firstId = await act.writeSheets(read)
    const changing = (await db.sheets.get(firstId))!
    await act.writeSheets({ ...read, sheet: { ...sheet, title: 'Slip' } }, { changing })
    expect(await db.sheets.get(firstId)).toMatchObject({ title: 'Slip' })
    await act.append(firstId, begun)
    expect((await act.stateWritten(firstId))?.last?.type).toBe('begun')
    const late = act.writeSheets({ ...read, sheet: { ...sheet, title: 'Quay' } }, { changing })
    await expect(late).rejects.toMatchObject({ code: 'begun-already' })
    expect((await db.sheets.get(firstId))?.title).toBe('Slip')
    await act.undo(firstId)
    await act.writeSheets({ ...read, sheet: { ...sheet, title: 'Quay' } }, { changing })
    expect((await db.sheets.toArray()).map(({ title }) => title)).toEqual(['Quay'])
  })
})
