import type { Table } from 'dexie'
import { CoreError } from '@core/errors'
import type { Workroom } from '@core/record/archive'
import type { SheetEvent } from '@core/record/event'
import { logsBySheet } from '@core/record/logs'
import { applyMerge, KINDS, planMerge } from '@core/record/merge'
import type { WorkroomRecords } from '@core/record/records'
import { replay } from '@core/process/run'
import { rowOf, type WorkroomDb } from './workroomDb'

/** How far long work has come, 0 to 1, and what it is doing. */
export type Progress = (share: number, doing: string) => void
/** Asked between pieces of long work; throws where it was called off. */
export type Pulse = () => void

const tables = (db: WorkroomDb) =>
  [...KINDS.map((name) => db[name]), db.events, db.standings, db.pixels, db.traces] as Table[]

/** Every record of a workroom, as one moment saw it. */
export function allRecords(db: WorkroomDb): Promise<WorkroomRecords> {
  return db.transaction('r', tables(db), async () => {
    const lists = await Promise.all(KINDS.map(async (name) => [name, await (db[name] as Table).toArray()]))
    const events = await db.events.orderBy('[sheetId+index]').toArray()
    return { ...Object.fromEntries(lists), events } as WorkroomRecords
  })
}

/** Rows written at once: few enough that progress is seen and a stop is heard. */
const PIECE = 1000

/**
 * Writes what an archive brings, all of it or nothing.
 *
 * @param takeTheirs conflicts (see `conflictKey`) in which the archive's record replaces the one here.
 * @param pulse throws to call it off; nothing is left of it then.
 */
export async function writeImport(
  db: WorkroomDb,
  workroom: Workroom,
  takeTheirs: ReadonlySet<string>,
  progress: Progress = () => undefined,
  pulse: Pulse = () => undefined,
): Promise<void> {
  await db.transaction('rw', tables(db), async () => {
    // Worked out afresh: another window may have gone on since the archive was read.
    const here = await allRecords(db)
    const { records, replaceLogs } = applyMerge(
      planMerge(here, workroom.records),
      workroom.records,
      takeTheirs,
    )
    const events = records.events
    const touched = [
      ...new Set([
        ...records.sheets.map((sheet) => sheet.id),
        ...records.paperRuns.map((run) => run.id),
        ...events.map((event) => event.sheetId),
      ]),
    ]
    const total =
      KINDS.reduce((sum, kind) => sum + records[kind].length, 0) +
      events.length +
      records.photos.length +
      touched.length
    let done = 0
    const inPieces = async <Row>(rows: readonly Row[], write: (piece: Row[]) => Promise<unknown>) => {
      for (let from = 0; from < rows.length; from += PIECE) {
        pulse()
        await write(rows.slice(from, from + PIECE))
        done += Math.min(PIECE, rows.length - from)
        progress(done / (total || 1), 'writing')
      }
    }

    for (const sheetId of replaceLogs)
      await db.events.where('[sheetId+index]').between([sheetId, 0], [sheetId, Infinity]).delete()
    for (const name of KINDS)
      await inPieces(records[name] as object[], (piece) => (db[name] as Table).bulkPut(piece))
    // None of these is here: they are new, or their log was just removed. Putting would look for each first.
    await inPieces(events, (piece) => db.events.bulkAdd(piece))
    await inPieces(records.photos, (piece) =>
      db.pixels.bulkPut(
        piece.flatMap((photo) => {
          const pixels = workroom.pixels.get(photo.id)
          return pixels
            ? [
                {
                  id: photo.id,
                  original: blobOf(pixels.original, photo.mime),
                  thumbnail: blobOf(pixels.thumbnail, 'image/jpeg'),
                },
              ]
            : []
        }),
      ),
    )
    const logs = logsOf(here, records, new Set(replaceLogs))
    await inPieces(touched, (piece) =>
      db.standings.bulkPut(piece.map((id) => rowOf(replay(id, logs.get(id) ?? [])))),
    )
  })
}

/** Whole logs after the import: what was here, but for those that are replaced, and what came. */
function logsOf(
  here: WorkroomRecords,
  brought: WorkroomRecords,
  replaced: ReadonlySet<string>,
): Map<string, SheetEvent[]> {
  const wanted = new Set(brought.events.map((event) => event.sheetId))
  const kept = here.events.filter((event) => wanted.has(event.sheetId) && !replaced.has(event.sheetId))
  return logsBySheet([...kept, ...brought.events])
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

const blobOf = (bytes: Uint8Array, type: string) => new Blob([bytes as Uint8Array<ArrayBuffer>], { type })
