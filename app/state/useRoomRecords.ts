import { computed } from 'vue'
import { printRecord, type PrintRecord, type RoomRecords } from '@core/judge/printRecord'
import { substances } from '@library/index'
import { db } from '../storage/db'
import { useLiveQuery } from './useLiveQuery'
import { useWorkroom } from './workroom.store'
import { useLights } from './lights.store'

/** Everything the record of a print can point at. */
export function useRoomRecords() {
  const [workroom, lights] = [useWorkroom(), useLights()]
  const rows = useLiveQuery(
    async () => ({
      baths: await db.baths.toArray(),
      negatives: await db.negatives.toArray(),
      calibrations: await db.calibrations.toArray(),
      registerChecks: await db.registerChecks.toArray(),
    }),
    null,
  )
  const room = computed<RoomRecords>(() => ({
    prints: workroom.everySheet,
    papers: workroom.papers,
    pieces: workroom.pieces,
    treatments: workroom.treatmentRuns,
    bottles: workroom.bottles,
    lights: workroom.lights,
    lightEntries: lights.entries,
    bases: lights.bases,
    baths: rows.value?.baths ?? [],
    negatives: rows.value?.negatives ?? [],
    calibrations: rows.value?.calibrations ?? [],
    registerChecks: rows.value?.registerChecks ?? [],
    substances,
  }))
  const recordOf = (id: string): PrintRecord | null => {
    const one = workroom.find(id)
    return one ? printRecord(one, room.value) : null
  }
  return { room, recordOf, isReady: computed(() => rows.value !== null) }
}
