import { computed } from 'vue'
import { CoreError } from '@core/errors'
import { solveCurve, type NegativeCurve } from '@core/tone/curve'
import { db } from '../data/db'
import { useLiveQuery } from '../data/useLiveQuery'

/** Charts that were read, each with its curve; one that gives none any more is left out. */
export function useCalibrations() {
  const rows = useLiveQuery(() => db.calibrations.toArray(), [])
  const solved = computed(() =>
    rows.value
      .filter((one) => one.takenBackAt === undefined)
      .sort((a, b) => b.at - a.at)
      .flatMap((one) => {
        const curve = curveOf(one.patches, one.aim)
        return curve ? [{ ...one, curve }] : []
      }),
  )
  return { solved }
}

function curveOf(...of: Parameters<typeof solveCurve>): NegativeCurve | null {
  try {
    return solveCurve(...of)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}
