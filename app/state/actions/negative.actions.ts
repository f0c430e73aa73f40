import { MadeNegative } from '@core/schema/light'
import { db } from '../../storage/db'

/** Records a negative that was made. */
export const addNegative = (made: MadeNegative) => db.negatives.add(MadeNegative.parse(made))

/** Removes the record of a negative; its file stays where it was saved. @returns what brings the record back. */
export async function removeNegative(id: string): Promise<() => Promise<unknown>> {
  await db.negatives.update(id, { takenBackAt: Date.now() })
  return () => db.negatives.update(id, { takenBackAt: undefined })
}

/** Says for which sheet a negative is that was made without one. @returns what undoes that. */
export async function assignNegative(id: string, sheetId: string): Promise<() => Promise<unknown>> {
  await db.negatives.update(id, { sheetId })
  return () => db.negatives.update(id, { sheetId: undefined })
}
