import { CoreError } from '@core/errors'
import { db } from './db'

/**
 * Opens the workroom's storage.
 *
 * @throws CoreError `no-storage` when the browser denies it, as private windows and full disks may.
 */
export async function openWorkroom(): Promise<void> {
  try {
    await db.open()
  } catch (error) {
    throw new CoreError({
      code: 'no-storage',
      field: 'storage',
      problem: `This browser does not let Ember Sheet keep anything (${error instanceof Error ? error.name : 'unknown reason'}).`,
      remedy: 'Leave private browsing, free some disk space, or allow storage for this address; then reload.',
    })
  }
}

/** Asks the browser not to clear the workroom when the disk runs short. It may say no; exports remain the safe copy. */
export async function askToKeep(): Promise<boolean> {
  if (!('storage' in navigator) || !navigator.storage.persist) return false
  return (await navigator.storage.persisted()) || navigator.storage.persist()
}
