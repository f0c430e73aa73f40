import type { SalvageNote } from '@core/archive/salvage'
import { repairEverything } from '../workers/archives'
import { db } from '../storage/db'
import { holdsAnything } from '../storage/holdings'
import { isDemo } from '../storage/whichWorkroom'
import { STORAGE_VERSION } from '../storage/workroomDb'

const CHECKED = 'checkedByVersion'

/**
 * Looks through everything stored, the first time that this version of the storage is opened: earlier ones wrote some
 * records unchecked. Since then nothing gets in that its schema refuses.
 *
 * @returns what was repaired or set aside.
 */
export async function repairOnce(): Promise<SalvageNote[]> {
  if (isDemo || (await db.device.get(CHECKED))?.value === STORAGE_VERSION) return []
  const notes = (await holdsAnything(db)) ? await repairEverything() : []
  await db.device.put({ id: CHECKED, value: STORAGE_VERSION })
  return notes
}
