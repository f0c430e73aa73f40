import type { Table } from 'dexie'
import type { Workroom } from '@core/record/archive'
import { applyMerge, KINDS, planMerge, type MergePlan } from '@core/record/merge'
import type { WorkroomRecords } from '@core/record/records'
import type { ArchiveAnswer, ArchiveQuestion, PixelBlobs } from '../workers/archive.worker'
import { callWorker } from '../workers/call'
import { startWorker } from '../workers/start'
import { db, isDemo } from './db'
import { rebuildStandings } from './log'

const ask = <Value extends ArchiveAnswer>(question: ArchiveQuestion): Promise<Value> =>
  callWorker<ArchiveQuestion, Value>(startWorker.archive(), question)

const everything = [
  ...KINDS.map((name) => db[name]),
  db.events,
  db.standings,
  db.pixels,
  db.traces,
] as Table[]

/** Every record of this workroom, as one moment saw it. */
function allRecords(): Promise<WorkroomRecords> {
  return db.transaction('r', everything, async () => {
    const lists = await Promise.all(KINDS.map(async (name) => [name, await (db[name] as Table).toArray()]))
    const events = await db.events.orderBy('[sheetId+index]').toArray()
    return { ...Object.fromEntries(lists), events } as WorkroomRecords
  })
}

/** The whole workroom as one archive file. */
export async function exportArchive(): Promise<{ file: Blob; name: string }> {
  const at = Date.now()
  const records = await allRecords()
  const pixels: PixelBlobs = new Map((await db.pixels.toArray()).map((row) => [row.id, row]))
  const file = await ask<Blob>({
    act: 'write',
    records,
    pixels,
    name: isDemo ? 'Demo workroom' : 'Workroom',
    at,
  })
  return { file, name: `ember-sheet-${new Date(at).toISOString().slice(0, 10)}.zip` }
}

/** An archive that was read and found sound, compared with what is here; nothing is written yet. */
export interface PreparedImport {
  workroom: Workroom
  plan: MergePlan
}

/**
 * Reads an archive and works out what importing it would do.
 *
 * @throws CoreError for whatever is wrong with the file.
 */
export async function prepareImport(file: Blob): Promise<PreparedImport> {
  const workroom = await ask<Workroom>({ act: 'read', file })
  return { workroom, plan: planMerge(await allRecords(), workroom.records) }
}

/**
 * Writes a prepared import, all of it or nothing.
 *
 * @param takeTheirs conflicts (see `conflictKey`) in which the archive's record replaces the one here.
 */
export async function finishImport(
  { workroom }: PreparedImport,
  takeTheirs: ReadonlySet<string>,
): Promise<void> {
  await db.transaction('rw', everything, async () => {
    // Worked out afresh: another window may have gone on since the archive was read.
    const here = await allRecords()
    const { records, replaceLogs } = applyMerge(
      planMerge(here, workroom.records),
      workroom.records,
      takeTheirs,
    )
    for (const sheetId of replaceLogs)
      await db.events.where('[sheetId+index]').between([sheetId, 0], [sheetId, Infinity]).delete()
    await Promise.all([
      ...KINDS.map((name) => (db[name] as Table).bulkPut(records[name])),
      db.events.bulkPut(records.events),
      db.pixels.bulkPut(
        records.photos.flatMap((photo) => {
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
    ])
    await rebuildStandings([
      ...new Set([
        ...records.sheets.map((sheet) => sheet.id),
        ...records.paperRuns.map((run) => run.id),
        ...records.events.map((event) => event.sheetId),
      ]),
    ])
  })
}

/** Empties the workroom. The caller has made sure that this is meant. */
export async function clearWorkroom(): Promise<void> {
  await db.transaction('rw', everything, () => Promise.all(everything.map((table) => table.clear())))
}

const blobOf = (bytes: Uint8Array, type: string) => new Blob([bytes as Uint8Array<ArrayBuffer>], { type })
