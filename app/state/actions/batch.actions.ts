import { v4 as uuid } from 'uuid'
import type { Sheet } from '@core/schema/records'
import { db } from '../../storage/db'

/** Has planned sheets coated from one glass: the first counts for all. */
export async function shareGlass(sheetIds: readonly string[]): Promise<void> {
  const [id, changedAt] = [uuid(), Date.now()]
  await db.transaction('rw', db.sheets, () =>
    Promise.all(
      sheetIds.map((sheetId, i) =>
        db.sheets.update(sheetId, { batch: { id, of: sheetIds.length, place: i + 1 }, changedAt }),
      ),
    ),
  )
}

/** Each has its own glass again. */
export async function partGlass(sheetIds: readonly string[]): Promise<void> {
  const changedAt = Date.now()
  await db.transaction('rw', db.sheets, () =>
    db.sheets
      .where('id')
      .anyOf([...sheetIds])
      .modify((sheet) => {
        delete sheet.batch
        sheet.changedAt = changedAt
      }),
  )
}

/**
 * Takes one sheet out of its row: what is pressed for the others is not pressed for it any more.
 *
 * @returns what puts it back.
 */
export async function takeOutOfRow({ id, batch }: Sheet): Promise<() => Promise<void>> {
  const put = async (isAlone: boolean) => {
    if (!batch) return
    const { id: batchId, of, place } = batch
    const next = { id: batchId, of, place, ...(isAlone && { isAlone: true as const }) }
    await db.sheets.update(id, { batch: next, changedAt: Date.now() })
  }
  await put(true)
  return () => put(false)
}
