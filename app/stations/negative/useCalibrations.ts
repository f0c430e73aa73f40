import { computed } from 'vue'
import { CoreError } from '@core/errors'
import { curveOf, stageOf } from '@core/calibration/calibration'
import { standingOf } from '@core/negative/provenance'
import type { Calibration } from '@core/schema/light'
import type { NegativeCurve } from '@core/tone/curve'
import { useCalibrationRows } from '../../state/queries'

/** Calibrations, the newest first, each with where it stands and the curve it gives. */
export function useCalibrations() {
  const rows = useCalibrationRows()
  const all = computed(() =>
    (rows.value ?? [])
      .filter((one) => one.takenBackAt === undefined)
      .sort((a, b) => b.at - a.at)
      .map((calibration) => ({
        calibration,
        stage: stageOf(calibration),
        standing: standingOf(calibration.checks),
        curve: solved(calibration),
      })),
  )
  /** Those that give a curve. */
  const withCurve = computed(() =>
    all.value.flatMap(({ curve, ...one }) => (curve ? [{ ...one, curve }] : [])),
  )
  const isLoaded = computed(() => rows.value !== null)
  return { all, withCurve, isLoaded }
}

/** A chart that is not read yet, or gives none any more, has no curve. */
function solved(calibration: Calibration): NegativeCurve | null {
  if (!calibration.patches.length) return null
  try {
    return curveOf(calibration)
  } catch (error) {
    if (error instanceof CoreError) return null
    throw error
  }
}
