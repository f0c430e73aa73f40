import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { logBook } from '@core/archive/logs'
import { readArchive } from '@core/archive/archiveReading'
import { writeArchive } from '@core/archive/archive'
import { T0 } from '@core/fixtures/logs'
import type { workroom } from '@core/fixtures/workroom'
import type { WorkroomRecords } from '@core/schema/records'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

/** Everything that stores and finds the data of a workroom, loaded over an empty database. */
export async function loadData() {
  return {
    ...(await import('../storage/db')),
    ...(await import('../storage/log')),
    ...(await import('../storage/bundles')),
    ...(await import('../storage/pictures')),
    ...(await import('../workers/archives')),
    ...(await import('../storage/holdings')),
    ...(await import('../storage/runStates')),
    ...(await import('../storage/workroomDb')),
  }
}
export type Data = Awaited<ReturnType<typeof loadData>>

/** An empty workroom for the next test. */
export async function emptied(data: Data): Promise<void> {
  setActivePinia(createPinia())
  await data.clearWorkroom()
}

export const contentsOf = ({ events, ...records }: WorkroomRecords) => ({ records, logs: logBook(events) })
/** A workroom as it comes out of its archive. */
export const readBack = (room: ReturnType<typeof workroom>) => readArchive(writeArchive(room, 'Test', T0))
