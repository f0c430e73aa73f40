import type { SetAside } from '@core/schema/setAside'
import { db } from '../../storage/db'

/** Removes a record that was set aside. @returns what brings it back. */
export async function removeSetAside(entry: SetAside): Promise<() => Promise<unknown>> {
  await db.setAside.delete(entry.id)
  return () => db.setAside.put(entry)
}
