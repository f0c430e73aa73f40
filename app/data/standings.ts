import { replay } from '@core/process/run'
import type { SheetEvent } from '@core/record/event'
import { eventsIn, rowOf, type WorkroomDb } from './workroomDb'

/** Every event of one sheet, in order. */
export const logIn = async (db: WorkroomDb, sheetId: string): Promise<SheetEvent[]> =>
  eventsIn(await db.logs.get(sheetId))

/** Works out standings afresh from the logs, for sheets that were written by other means than `append`. */
export async function rebuildStandings(db: WorkroomDb, sheetIds: readonly string[]): Promise<void> {
  const logs = await db.logs.bulkGet([...sheetIds])
  await db.standings.bulkPut(sheetIds.map((id, i) => rowOf(replay(id, eventsIn(logs[i])))))
}
