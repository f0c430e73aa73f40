import type { Table } from 'dexie'
import { CoreError } from '@core/errors'
import type { ReadWorkroom } from '@core/archive/archiveReading'
import { lengthOf, type LogLines } from '@core/archive/logs'
import { applyMerge, KINDS, planMerge, type Contents } from '@core/archive/merge'
import type { Holdings } from '@core/schema/records'
import { emptyRun } from '@core/run/runState'
import { bundleKey, type Legible } from './bundles'
import { dropPictures, packsOf, picturedIds, storePictures } from './pictures'
import { inPieces } from './pieces'
import { rebuildAllRunStates, stateEntry } from './runStates'
import type { WorkroomDb } from './workroomDb'

/** How far long work has come, 0 to 1, and what it is doing. */
export type Progress = (share: number, doing: string) => void
/** Asked between pieces of long work; throws where it was called off. */
export type Pulse = () => void

const tables = (db: WorkroomDb) =>
  [...KINDS.map((name) => db[name]), db.logBundles, db.standingBundles, db.packs, db.traces] as Table[]

/** Whether anything is stored. */
export async function holdsAnything(db: WorkroomDb): Promise<boolean> {
  for (const table of tables(db)) if (await table.count()) return true
  return false
}

/** What a disk has done to what is here. */
export interface Damage {
  /** Pictures of which something else is in an archive than here. */
  spoilt: readonly string[]
  /** Pictures that cannot be read, among them and beside them. */
  gone: ReadonlySet<string>
  /** Logs and standings that cannot be read: they come back as far as the archive has them. */
  rows: LostRows
}

/** Rows of which the browser has lost the file. */
interface LostRows {
  logs: readonly string[]
  standings: readonly string[]
}
const NO_ROWS: LostRows = { logs: [], standings: [] }

/** A workroom without its pictures. */
export interface StoredContents extends Contents {
  /** What each log amounts to, as JSON. */
  standings: Map<string, string>
  /** Sheets and treatments whose log, or whose standing, is lost. */
  lost: { logs: string[]; standings: string[]; rows: LostRows }
}

/**
 * Every record and log of a workroom, as one moment saw them.
 *
 * @param rows what is not to be read, since nothing would be.
 */
export function contentsOf(db: WorkroomDb, rows: LostRows = NO_ROWS): Promise<StoredContents> {
  return db.transaction('r', tables(db), async () => {
    const lists = await Promise.all(KINDS.map(async (name) => [name, await (db[name] as Table).toArray()]))
    const [logs, standings] = await Promise.all([
      db.logs.legible(rows.logs),
      db.standings.legible(rows.standings),
    ])
    return {
      records: Object.fromEntries(lists) as Holdings,
      logs: new Map(inOrder(logs).map(([id, lines]): [string, LogLines] => [id, { lines }])),
      standings: new Map(inOrder(standings)),
      lost: { logs: logs.lost, standings: standings.lost, rows },
    }
  })
}

/** What of a workroom can be read, where the browser has lost some of its files. */
export async function legibleContents(db: WorkroomDb): Promise<StoredContents> {
  try {
    return await contentsOf(db)
  } catch (error) {
    const rows = { logs: await db.logs.lostRows(), standings: await db.standings.lostRows() }
    if (!rows.logs.length && !rows.standings.length) throw error
    return contentsOf(db, rows)
  }
}

/** In the order of identities, as tables give their rows: what is with what in a bundle is no one's business. */
const inOrder = ({ texts }: Legible) => texts.sort(([a], [b]) => (a < b ? -1 : 1))

/** Rows written at once: few enough that progress is seen and a stop is heard. */
const PIECE = 1000

/**
 * Writes what an archive brings, all of it or nothing.
 *
 * @param takeTheirs conflicts (see `conflictKey`) in which the archive's record replaces the one here.
 * @param damage what came to harm here; what the archive has of it takes its place.
 * @param pulse throws to call it off; nothing is left of it then.
 */
export async function writeImport(
  db: WorkroomDb,
  theirs: ReadWorkroom,
  takeTheirs: ReadonlySet<string>,
  progress: Progress = () => undefined,
  pulse: Pulse = () => undefined,
  damage: Damage = { spoilt: [], gone: new Set(), rows: NO_ROWS },
): Promise<void> {
  await db.transaction('rw', tables(db), async () => {
    // Worked out again: another window may have gone on since the archive was read.
    const here = await contentsOf(db, damage.rows)
    const plan = planMerge(here, theirs)
    const { records, logs: taken } = applyMerge(plan, theirs, takeTheirs)
    const logs = taken.flatMap((id) => theirs.logs.get(id) ?? [])
    // Those too whose photographs are here already: they lay in another part of the archive, or came to harm.
    await dropPictures(db, damage.spoilt, damage.gone)
    const have = await picturedIds(db)
    const pictures = [...theirs.pixels].flatMap(([id, pixels]) => (have.has(id) ? [] : [{ id, ...pixels }]))
    const total = KINDS.reduce((sum, kind) => sum + records[kind].length, 0) + pictures.length + logs.length
    let done = 0
    const write = async <Row>(pieces: readonly Row[][], put: (piece: Row[]) => Promise<unknown>) => {
      for (const piece of pieces) {
        pulse()
        await put(piece)
        done += piece.length
        progress(done / (total || 1), 'writing')
      }
    }

    const packs = packsOf(pictures, ({ original, thumbnail }) => original.length + thumbnail.length)
    await write(packs, (piece) => storePictures(db, piece))
    for (const name of KINDS) {
      // What is new is added: to put it, the browser would look for an older one first.
      const added = plan.added[name] as { id: string }[]
      await write(inPieces(added, PIECE), (piece) => (db[name] as Table).bulkAdd(piece))
      const isNew = new Set(added.map((row) => row.id))
      const replaced = (records[name] as { id: string }[]).filter((row) => !isNew.has(row.id))
      await write(inPieces(replaced, PIECE), (piece) => (db[name] as Table).bulkPut(piece))
    }
    const coming = new Set(logs.map(({ sheetId }) => sheetId))
    const { lost } = here
    // What lay beside what comes back is lost as well; what is shown of it stays, and tells that its log is gone.
    if (lost.logs.some((id) => coming.has(id))) await db.logs.forget(lost.rows.logs)
    await db.standings.forget(lost.rows.standings)
    await rebuildAllRunStates(
      db,
      lost.standings.filter((id) => here.logs.has(id) && !coming.has(id)),
    )
    const before = [...coming].filter((id) => here.logs.has(id) || here.standings.has(id))
    await db.logs.drop(before)
    await db.standings.drop(before)
    await write(inPieces(logs, PIECE), async (piece) => {
      await db.logs.add(piece.map((log) => [bundleKey(log.sheetId, lengthOf(log)), log.lines]))
      await db.standings.add(piece.map((log) => [bundleKey(log.sheetId, log.revision), log.standing ?? '']))
    })
    const untouched = [...plan.added.sheets, ...plan.added.paperRuns].filter(({ id }) => !theirs.logs.has(id))
    await db.standings.add(untouched.map(({ id }) => stateEntry(emptyRun(id))))
  })
}

/** Empties a workroom. The caller has made sure that this is meant. */
export async function clearRecords(db: WorkroomDb): Promise<void> {
  await db.transaction('rw', tables(db), () => Promise.all(tables(db).map((table) => table.clear())))
}

export const calledOff = () =>
  new CoreError({
    code: 'called-off',
    field: 'archive',
    problem: 'It was stopped.',
    remedy: 'Nothing was saved. Start again if you need it.',
  })
