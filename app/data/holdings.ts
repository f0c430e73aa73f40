import type { Table } from 'dexie'
import { CoreError } from '@core/errors'
import type { PhotoPixels } from '@core/record/archive'
import type { ReadWorkroom } from '@core/record/archiveReading'
import { logsBySheet } from '@core/record/logs'
import { applyMerge, KINDS, planMerge } from '@core/record/merge'
import type { WorkroomRecords } from '@core/record/records'
import { emptyRun } from '@core/process/run'
import { storePictures } from './pictures'
import { eventsIn, logRowOf, rowOf, type WorkroomDb } from './workroomDb'

/** How far long work has come, 0 to 1, and what it is doing. */
export type Progress = (share: number, doing: string) => void
/** Asked between pieces of long work; throws where it was called off. */
export type Pulse = () => void

const tables = (db: WorkroomDb) =>
  [...KINDS.map((name) => db[name]), db.logs, db.standings, db.pixels, db.packs, db.traces] as Table[]

/** Every record of a workroom, as one moment saw it. */
export function allRecords(db: WorkroomDb): Promise<WorkroomRecords> {
  return db.transaction('r', tables(db), async () => {
    const lists = await Promise.all(KINDS.map(async (name) => [name, await (db[name] as Table).toArray()]))
    const events = (await db.logs.toArray()).flatMap(eventsIn)
    return { ...Object.fromEntries(lists), events } as WorkroomRecords
  })
}

/** Rows written at once: few enough that progress is seen and a stop is heard. */
const PIECE = 1000
/** Photographs laid into one pack: large enough to be quick, small enough to be packed anew when one of them goes. */
const PACK = 200

/**
 * Writes what an archive brings, all of it or nothing.
 *
 * @param takeTheirs conflicts (see `conflictKey`) in which the archive's record replaces the one here.
 * @param pulse throws to call it off; nothing is left of it then.
 */
export async function writeImport(
  db: WorkroomDb,
  { records: theirs, pixels, states }: ReadWorkroom,
  takeTheirs: ReadonlySet<string>,
  progress: Progress = () => undefined,
  pulse: Pulse = () => undefined,
): Promise<void> {
  await db.transaction('rw', tables(db), async () => {
    // Worked out afresh: another window may have gone on since the archive was read.
    const plan = planMerge(await allRecords(db), theirs)
    const { records } = applyMerge(plan, theirs, takeTheirs)
    // A log that is new, carried on or replaced is the archive's from its beginning to its end.
    const touched = new Set([
      ...records.events.map((event) => event.sheetId),
      ...[...plan.added.sheets, ...plan.added.paperRuns].map((one) => one.id),
    ])
    const logs = [...logsBySheet(theirs.events)].filter(([id]) => touched.has(id))
    // A picture that went missing here comes back too.
    const have = new Set(await db.pixels.toCollection().primaryKeys())
    const pictures = theirs.photos.filter((photo) => !have.has(photo.id))
    const total =
      KINDS.reduce((sum, kind) => sum + records[kind].length, 0) +
      pictures.length +
      logs.length +
      touched.size
    let done = 0
    const inPieces = async <Row>(
      rows: readonly Row[],
      write: (piece: Row[]) => Promise<unknown>,
      size = PIECE,
    ) => {
      for (let from = 0; from < rows.length; from += size) {
        pulse()
        const piece = rows.slice(from, from + size)
        await write(piece)
        done += piece.length
        progress(done / (total || 1), 'writing')
      }
    }

    await inPieces(
      pictures,
      (piece) =>
        storePictures(
          db,
          piece.map(({ id }) => ({ id, ...(pixels.get(id) as PhotoPixels) })),
        ),
      PACK,
    )
    for (const name of KINDS) {
      // What is new is added: to put it, the browser would look for an older one first.
      const added = plan.added[name] as { id: string }[]
      await inPieces(added, (piece) => (db[name] as Table).bulkAdd(piece))
      const isNew = new Set(added.map((row) => row.id))
      const replaced = (records[name] as { id: string }[]).filter((row) => !isNew.has(row.id))
      await inPieces(replaced, (piece) => (db[name] as Table).bulkPut(piece))
    }
    await inPieces(logs, (piece) => db.logs.bulkPut(piece.map(([id, log]) => logRowOf(id, log))))
    await inPieces([...touched], (piece) =>
      db.standings.bulkPut(piece.map((id) => rowOf(states.get(id) ?? emptyRun(id)))),
    )
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
    remedy: 'Nothing of it was written; begin again whenever you like.',
  })
