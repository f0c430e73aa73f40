import { texts } from './words'
import { CoreError, type Refusal } from '@core/errors'
import { laidOut } from '@core/calibration/calibration'
import type { ScanScale } from '@core/calibration/curveError'
import { chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { Calibration } from '@core/schema/light'
import { readRow } from '@core/tone/typedReadings'

/** One reading of a chart: which tone, and its density, `null` where the patch is damaged. */
export interface ChartReading {
  step: number
  density: number | null
}

/** A chart that was read, and how. */
export interface ReadOfChart {
  readings: ChartReading[]
  by: NonNullable<Calibration['by']>
  /** Density of the white ground that a scan was scaled by. */
  whiteDensity?: number
  /** By what a scan was scaled. */
  scale?: ScanScale
}

/**
 * Readings of a chart as they are typed: place by place as the print shows it, or tone by tone from clear film on; a
 * dash for a damaged patch, several readings of one patch joined by a slash, `1.38/1.40`.
 */
export function readTyped(
  text: string,
  plan: ChartPlan,
  scale: 'density' | 'lightness',
): { readings: ChartReading[] | null; fault?: Refusal } {
  if (!text.trim()) return { readings: null }
  try {
    const row = readRow(text, scale)
    const readings = laidOut(plan, row)
    if (!readings) throw wrongCount(row.length, plan)
    return { readings }
  } catch (error) {
    if (error instanceof CoreError) return { readings: null, fault: error.refusal }
    throw error
  }
}

export const wrongCount = (count: number, plan: ChartPlan): CoreError =>
  new CoreError({
    code: 'wrong-count',
    field: 'chart',
    problem: texts.readingsDoNotMatchChart({
      readings: count,
      patches: chartPlaces(plan).length,
      tones: plan.steps,
    }),
    remedy: texts.enterEveryPatchRowBy,
  })
