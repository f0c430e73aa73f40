import type { CalibrationStage } from '@core/calibration/calibration'
import type { Standing } from '@core/negative/provenance'

const STAGES: Record<CalibrationStage, string> = {
  film: 'its film is to be made',
  print: 'its chart is to be printed',
  read: 'its print is to be read',
  check: 'its curve can be used; not checked yet',
  done: 'checked',
}
export const stageWords = (stage: CalibrationStage): string => STAGES[stage]

/** How good a calibration is, in a few words; empty while nobody knows. */
export function standingWords({ mean, worst, hasDrifted }: Standing): string {
  if (mean === null || worst === null) return ''
  const figures = `${mean.toFixed(1)} L* on the mean, ${worst.toFixed(1)} at worst`
  return hasDrifted ? `drifted: ${figures}` : `good to ${figures}`
}
