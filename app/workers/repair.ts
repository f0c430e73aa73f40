import type { Table } from 'dexie'
import { checkedRecords, logsIn } from '@core/archive/archiveReading'
import { linked, type Linked } from '@core/archive/links'
import { lengthOf } from '@core/archive/logs'
import { KINDS } from '@core/archive/merge'
import { isSame } from '@core/archive/same'
import { Salvage, type SalvageNote } from '@core/archive/salvage'
import type { LogsReader } from './lookAtLogs'
import { runInPieces, within, type Pace } from './pace'
import { legibleContents, type StoredContents } from '../storage/holdings'
import { inPieces } from '../storage/pieces'
import { rebuildAllRunStates } from '../storage/runStates'
import type { WorkroomDb } from '../storage/workroomDb'

/** What looking through everything stored found. */
export interface StoredLook {
  contents: StoredContents
  /** What of it is sound. Nothing is written yet. */
  sound: Linked
  notes: SalvageNote[]
}

/** Logs that go to a reader together. */
const LOGS_TOGETHER = 100

/**
 * Looks at every stored record and log as an import would.
 *
 * @param at moment that entries of what is set aside are dated with.
 */
export async function lookAtStored(
  db: WorkroomDb,
  readers: LogsReader,
  at: number,
  pace: Pace,
): Promise<StoredLook> {
  pace.progress(0, 'reading')
  const contents = await legibleContents(db)
  const stored = [...contents.logs].map(([id, { lines }]): [string, string] => [id, lines])
  const pieces = inPieces(stored, LOGS_TOGETHER)
  let done = 0
  const looking = Promise.all(
    pieces.map(async (piece) => {
      const answer = await readers.ask(() => ({ stored: piece }))
      pace.progress(0.2 + (0.8 * ++done) / pieces.length, 'checking logs')
      return answer
    }),
  )
  // A stop may come before anything waits for it.
  looking.catch(() => undefined)
  const salvage = new Salvage(at)
  const records = await runInPieces(
    checkedRecords(contents.records, salvage),
    'checking records',
    within(pace, 0.1, 0.2),
  )
  const logs = (await looking)
    .flatMap((answer) => logsIn(answer, salvage))
    // Sound logs come back without their lines, which are here.
    .map((log) =>
      log.problem === null ? { ...log, lines: contents.logs.get(log.sheetId)?.lines ?? '' } : log,
    )
  pace.pulse()
  return { contents, sound: linked(records, logs, salvage), notes: salvage.notes }
}

/**
 * Repairs what was found, or sets it aside, all of it or nothing. What has been written since is left alone.
 *
 * @returns what was changed.
 */
export async function repairStored(
  db: WorkroomDb,
  { contents, sound, notes }: StoredLook,
): Promise<SalvageNote[]> {
  if (!notes.length) return []
  const tables = [...KINDS.map((kind) => db[kind] as Table), db.logBundles, db.standingBundles]
  await db.transaction('rw', tables, async () => {
    for (const kind of KINDS) {
      const rows = new Map((sound.records[kind] as { id: string }[]).map((row) => [row.id, row]))
      const table = db[kind] as Table<{ id: string }, string>
      for (const was of contents.records[kind] as { id: string }[]) {
        const row = rows.get(was.id)
        if (isSame(row, was)) continue
        if (JSON.stringify(await table.get(was.id)) !== JSON.stringify(was)) continue
        if (row) await table.put(row)
        else await table.delete(was.id)
      }
    }
    await db.setAside.bulkPut(sound.records.setAside)
    for (const [id, { lines }] of contents.logs) {
      const log = sound.logs.get(id)
      if (log?.lines === lines || (await db.logs.textOf(id)) !== lines) continue
      if (log) {
        await db.logs.put(id, lengthOf(log), log.lines)
        await rebuildAllRunStates(db, [id])
      } else {
        await db.logs.drop([id])
        if (
          sound.records.sheets.some((one) => one.id === id) ||
          sound.records.paperRuns.some((one) => one.id === id)
        )
          await rebuildAllRunStates(db, [id])
        else await db.standings.drop([id])
      }
    }
  })
  return notes.filter(({ outcome }) => outcome === 'repaired' || outcome === 'setAside')
}
