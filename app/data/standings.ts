import { replay } from '@core/process/run'
import { logsBySheet } from '@core/record/logs'
import type { SheetEvent } from '@core/record/event'
import { rowOf, type WorkroomDb } from './workroomDb'

/** Every event of one sheet, in order. */
export const logIn = (db: WorkroomDb, sheetId: string): Promise<SheetEvent[]> =>
  db.events.where('[sheetId+index]').between([sheetId, 0], [sheetId, Infinity]).toArray()

/** Works out standings afresh from the logs, for sheets that were written by other means than `append`. */
export async function rebuildStandings(db: WorkroomDb, sheetIds: readonly string[]): Promise<void> {
  const logs = logsBySheet((await Promise.all(sheetIds.map((id) => logIn(db, id)))).flat())
  await db.standings.bulkPut(sheetIds.map((id) => rowOf(replay(id, logs.get(id) ?? []))))
}
