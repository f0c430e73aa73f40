import { v4 as uuid } from 'uuid'
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
