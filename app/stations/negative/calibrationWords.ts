import type { CalibrationStage } from '@core/calibration/calibration'
import type { Standing } from '@core/negative/provenance'

const STAGES: Record<CalibrationStage, string> = {
  film: 'next: make the film',
  print: 'next: print the chart',
  read: 'next: read the print',
  check: 'ready to use, not checked yet',
  done: 'checked',
}
export const stageWords = (stage: CalibrationStage): string => STAGES[stage]

/** How good a calibration is, in a few words; empty while no one knows. */
export function standingWords({ mean, worst, hasDrifted }: Standing): string {
  if (mean === null || worst === null) return ''
  const figures = `mean error ${mean.toFixed(1)} L*, maximum ${worst.toFixed(1)} L*`
  return hasDrifted ? `drifted: ${figures}` : `checked: ${figures}`
}
