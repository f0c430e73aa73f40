import type { SheetEvent } from '@core/schema/event'
import type { Photo } from '@core/schema/records'
import { eventsIn } from '@core/archive/logs'
import { db } from '../storage/db'
import { picturesIn } from '../storage/pictures'
import { useLiveQuery } from './useLiveQuery'

/** What stations read of the workroom beyond the stores, followed as it changes. `null` until it was read once. */

export const useCalibrationRows = () => useLiveQuery(() => db.calibrations.toArray(), null)
export const useNegativeRows = () => useLiveQuery(() => db.negatives.toArray(), null)
export const useDiagnosisRows = () => useLiveQuery(() => db.diagnoses.toArray(), null)
export const useSetAsideRows = () => useLiveQuery(() => db.setAside.toArray(), null)

/** Register checks of a sheet, the newest first. */
export const useRegisterChecks = (sheetId: () => string) =>
  useLiveQuery(
    async () =>
      (await db.registerChecks.where('sheetId').equals(sheetId()).toArray())
        .filter((check) => check.takenBackAt === undefined)
        .sort((a, b) => b.at - a.at),
    [],
    [sheetId],
  )

/** A photograph with its original picture; `null` where either is missing. */
export async function photoWithPicture(id: string): Promise<{ photo: Photo; original: Blob } | null> {
  const photo = await db.photos.get(id)
  const original = photo && (await picturesIn(db, [photo.id], 'original')).get(photo.id)
  return photo && original ? { photo, original } : null
}

/** Every log, and how many cannot be read. */
export async function allLogs(): Promise<{ logs: Map<string, SheetEvent[]>; lost: number }> {
  const logs = new Map<string, SheetEvent[]>()
  for await (const piece of db.logs.pieces())
    for (const [id, lines] of piece) logs.set(id, eventsIn({ lines }))
  return { logs, lost: (await db.logs.revisions()).length - logs.size }
}
