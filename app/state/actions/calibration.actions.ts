import { v4 as uuid } from 'uuid'
import { Calibration } from '@core/schema/light'
import { db } from '../../storage/db'

type Start = Pick<Calibration, 'name' | 'chart' | 'film'> &
  Partial<Pick<Calibration, 'processId' | 'paperId' | 'lightId' | 'seconds' | 'patches'>>

/** Starts a calibration; one with patches has them from a curve made elsewhere. @returns its id. */
export async function beginCalibration(start: Start): Promise<string> {
  const [id, at] = [uuid(), Date.now()]
  await db.calibrations.add(
    Calibration.parse({
      patches: [],
      ...start,
      ...(start.patches && { by: 'curve', readAt: at }),
      id,
      at,
      checks: [],
      aim: 'lightness',
      note: '',
      changedAt: at,
    }),
  )
  return id
}

/** Writes a calibration with what was changed. */
export async function changeCalibration(before: Calibration, change: Partial<Calibration>): Promise<void> {
  // By way of JSON, so that what is reactive or undefined does not get into the record.
  const plain = JSON.parse(JSON.stringify({ ...before, ...change })) as object
  await db.calibrations.put(Calibration.parse({ ...plain, changedAt: Date.now() }))
}

/** Puts a calibration back as it was. */
export const restoreCalibration = (before: Calibration) => db.calibrations.put(before)

/** Removes a calibration. @returns what brings it back. */
export async function removeCalibration(id: string): Promise<() => Promise<unknown>> {
  await db.calibrations.update(id, { takenBackAt: Date.now() })
  return () => db.calibrations.update(id, { takenBackAt: undefined })
}
