import { mean, median } from '../quantity/statistics'
import type { Calibration, ChartCheck } from '../schema/light'
import { checkCurve, solveCurve, type ChartPatch, type CheckPatch, type NegativeCurve } from '../tone/curve'
import { correctionWorth, refinedPatches, type CorrectionWorth } from '../tone/correction'
import { chartPlaces, tagOf, type ChartPlan } from '../chart/chart'
import type { ChartScan } from '../scan/chartScan'
import { scaleOf, type Anchor } from '../scan/response'

/** Where a calibration is on its way. */
export type CalibrationStage = 'film' | 'print' | 'read' | 'check' | 'done'

/** The next thing to do for a calibration: make the film, print it, read it, check the curve, or nothing more. */
export function stageOf(
  of: Pick<Calibration, 'filmMadeAt' | 'printedAt' | 'readAt' | 'checks'>,
): CalibrationStage {
  if (of.readAt !== undefined) return of.checks.at(-1)?.isUsed === false ? 'done' : 'check'
  if (of.printedAt !== undefined) return 'read'
  return of.filmMadeAt === undefined ? 'film' : 'print'
}

/** So many sheets of its chart were read: most tones once for each of their repeats. */
export const sheetsOf = ({ patches, chart }: Pick<Calibration, 'patches' | 'chart'>): number =>
  Math.max(1, Math.round(median(patches.map(({ densities }) => densities.length)) / chart.repeats))

/** The patches of a calibration after the checks that were taken to correct it. */
export const correctedPatches = (of: Pick<Calibration, 'patches' | 'chart' | 'checks'>): ChartPatch[] =>
  of.checks
    .filter((check) => check.isUsed)
    .reduce<ChartPatch[]>(
      (patches, check, i) => refinedPatches(patches, check.patches, sheetsOf(of) + i),
      of.patches,
    )

/** Whether correcting a calibration by its last check, which is not used yet, would follow more than chance. */
export function worthOfCorrecting(
  of: Pick<Calibration, 'patches' | 'chart' | 'checks'>,
): CorrectionWorth | null {
  const last = of.checks.at(-1)
  if (!last || last.isUsed) return null
  const used = of.checks.filter((check) => check.isUsed).length
  return correctionWorth(correctedPatches(of), last.patches, sheetsOf(of) + used)
}

/** Readings of another sheet of the same chart beside those that are there: they are averaged tone by tone. */
export const withSheet = (
  before: readonly { ink: number; densities: readonly number[] }[],
  sheet: readonly { ink: number; densities: readonly number[] }[],
): { ink: number; densities: number[] }[] =>
  sheet.map(({ ink, densities }) => ({
    ink,
    densities: [...(before.find((one) => one.ink === ink)?.densities ?? []), ...densities],
  }))

/** The curve that a calibration gives. @throws CoreError what `solveCurve` throws. */
export const curveOf = (of: Pick<Calibration, 'patches' | 'chart' | 'checks' | 'aim'>): NegativeCurve =>
  solveCurve(correctedPatches(of), of.aim)

/** The chart by which a curve is checked: the same, laid through the curve and marked with its tag. */
export const checkingChart = (chart: ChartPlan, curve: NegativeCurve): ChartPlan => ({
  ...chart,
  hasStrip: false,
  tag: tagOf(curve),
})

/** Name of a place on the chart: rows are letters, columns numbers. */
export const placeName = ({ row, column }: { row: number; column: number }): string =>
  `${String.fromCharCode(65 + row)}${column + 1}`

/** Readings place by place, as `patches` of a calibration: one entry a tone, its repeats together. */
export function patchesOf(
  plan: ChartPlan,
  readings: readonly { step: number; density: number | null }[],
): { ink: number; densities: number[] }[] {
  return Array.from({ length: plan.steps }, (_, step) => ({
    ink: step / (plan.steps - 1),
    densities: readings.flatMap((one) => (one.step === step && one.density !== null ? [one.density] : [])),
  }))
}

/** Readings of a checking chart, with the ink that the curve laid for each tone. */
export const checkPatchesOf = (
  plan: ChartPlan,
  readings: readonly { step: number; density: number | null }[],
  inkOf: (tone: number) => number,
): CheckPatch[] =>
  patchesOf(plan, readings).map(({ ink: tone, densities }) => ({ tone, ink: inkOf(tone), densities }))

/**
 * Readings of a scan, scaled: by a step tablet that the same scanner saw, or by the scan's white ground, which is the
 * print behind all the ink, and by its black where that is known too.
 *
 * @param by `whiteDensity` and `blackDensity` as a densitometer has them; `tablet` from `readTabletScan`.
 */
export function readingsOf(
  scan: ChartScan,
  by: { whiteDensity: number; blackDensity?: number | undefined; tablet?: readonly Anchor[] | undefined },
): { step: number; density: number | null }[] {
  const { whiteDensity, blackDensity, tablet } = by
  if (scan.tablet) {
    const scaled = scaleOf(scan.tablet)
    return scan.patches.map(({ step, density, damage }) => ({
      step,
      density: damage ? null : scaled(density),
    }))
  }
  if (tablet) {
    const scaled = scaleOf(tablet)
    return scan.patches.map(({ step, density, damage }) => ({
      step,
      density: damage ? null : scaled(density + scan.groundDensity),
    }))
  }
  const clear = scan.patches.filter(({ step, damage }) => step === 0 && !damage).map(({ density }) => density)
  const anchors: Anchor[] = [{ read: 0, density: whiteDensity }]
  if (blackDensity !== undefined && clear.length) anchors.push({ read: mean(clear), density: blackDensity })
  const scaled = scaleOf(anchors)
  return scan.patches.map(({ step, density, damage }) => ({ step, density: damage ? null : scaled(density) }))
}

/**
 * Lays readings that come as a row, from a hand or a file, on the places of a chart.
 *
 * @param row one reading a place, or one a tone from clear film to all the ink; `null` for what cannot be read.
 * @returns `null` where the row is neither as long as the places nor as the tones.
 */
export function laidOut(
  plan: ChartPlan,
  row: readonly (number | null)[],
): { step: number; density: number | null }[] | null {
  const places = chartPlaces(plan)
  if (row.length === places.length) return places.map(({ step }, i) => ({ step, density: row[i]! }))
  return row.length === plan.steps ? row.map((density, step) => ({ step, density })) : null
}

/** Readings from a file: by the names of their places, or as this app writes them by tone and repeat (`7.2`), else in order. */
export function laidOutByName(
  plan: ChartPlan,
  rows: readonly { id: string; density: number }[],
): { step: number; density: number | null }[] | null {
  const byName = new Map(rows.map(({ id, density }) => [id.trim().toUpperCase(), density]))
  const places = chartPlaces(plan)
  if (places.every((place) => byName.has(placeName(place))))
    return places.map((place) => ({ step: place.step, density: byName.get(placeName(place))! }))
  const tones = rows.map(({ id }) => Number(/^(\d+)\.\d+$/.exec(id.trim())?.[1] ?? Number.NaN))
  if (rows.length && tones.every((tone) => tone >= 1 && tone <= plan.steps))
    return rows.map(({ density }, i) => ({ step: tones[i]! - 1, density }))
  return laidOut(
    plan,
    rows.map(({ density }) => density),
  )
}

/** What a check comes to, as it is kept. */
export function checkOf(
  of: Pick<Calibration, 'patches' | 'chart' | 'checks' | 'aim'>,
  patches: CheckPatch[],
  at: number,
  by: ChartCheck['by'],
): ChartCheck {
  const { mean, worst } = checkCurve(curveOf(of), of.aim, patches)
  const kept = patches.map(({ tone, ink, densities }) => ({ tone, ink, densities: [...densities] }))
  return { at, by, patches: kept, mean, worst, isUsed: false }
}
