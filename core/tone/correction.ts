import { mean, sumOf } from '../quantity/statistics'
import { byTone, printOf, solveCurve, type ChartPatch, type CheckPatch } from './curve'
import { densityFromLightness, lightnessFromDensity } from './density'

/** Sheets that were coated and printed alike by hand differ by about so much, L*: common practice, from memory. */
export const SHEET = 0.8

/** What a check says of the row of a chart: how far it is off at an ink, and how much of that is to be believed. */
interface Shift {
  /** Smoothed difference from the row, L*. */
  at: (ink: number) => number
  /** Share of it that is believed, 0 to 1. */
  gain: (ink: number) => number
  /** Root mean square of the difference, and what two sheets would differ by anyway. */
  rms: number
  expected: number
}

/**
 * How far a check is off the row that the patches gave.
 *
 * Both are sheets with errors of their own, so that a difference no larger than sheets differ is followed by the share
 * that the check has among all sheets; what is beyond that is a change of the process and is followed whole (the gain of
 * a Kalman filter, the change estimated from the difference itself).
 */
function shiftOf(patches: readonly ChartPatch[], check: readonly CheckPatch[], sheets: number): Shift {
  const before = printOf(solveCurve(patches))
  const rows = byTone(check).map(({ tone, ink, read }) => ({ tone, ink, shift: read - before(ink) }))
  const reach = 1.5 / rows.length
  const weightsAt = (ink: number, wide: number) =>
    rows.map((row) => Math.exp(-0.5 * ((row.ink - ink) / (wide * reach)) ** 2) + 1e-9)
  const smoothed = (ink: number, values: readonly number[], wide = 1) => {
    const weights = weightsAt(ink, wide)
    return sumOf(values.map((value, i) => (weights[i] ?? 0) * value)) / sumOf(weights)
  }
  const shifts = rows.map(({ shift }) => shift)
  const at = (ink: number) => smoothed(ink, shifts)
  const smooth = rows.map(({ ink }) => at(ink))
  const squares = smooth.map((one) => one ** 2)
  // Of what is smoothed, the noise of single patches is left in the share of its weights.
  const patchNoise = mean(shifts.map((shift, i) => (shift - (smooth[i] ?? 0)) ** 2))
  const left = (ink: number) => {
    const weights = weightsAt(ink, 1)
    return (patchNoise * sumOf(weights.map((one) => one ** 2))) / sumOf(weights) ** 2
  }
  const ofRow = SHEET ** 2 / sheets
  const ofCheck = (ink: number) => SHEET ** 2 + left(ink)
  const gain = (ink: number) => {
    // A change is measured over a neighbourhood, where single waves of a coat average out.
    const change = Math.max(0, smoothed(ink, squares, 3) - ofRow - ofCheck(ink))
    return (ofRow + change) / (ofRow + change + ofCheck(ink))
  }
  return {
    at,
    gain,
    rms: Math.sqrt(mean(squares)),
    expected: Math.sqrt(mean(rows.map(({ ink }) => ofRow + ofCheck(ink)))),
  }
}

/**
 * A chart's patches, corrected by a later print through the curve that came of them: the row is moved by as much of what the
 * check found as is to be believed, smoothed along the ink, and the check's own patches are added.
 *
 * @param sheets so many went into the patches already.
 * @returns patches for `solveCurve`.
 * @throws CoreError `too-few`, and what `solveCurve` throws.
 */
export function refinedPatches(
  patches: readonly ChartPatch[],
  check: readonly CheckPatch[],
  sheets = 1,
): ChartPatch[] {
  const { at, gain } = shiftOf(patches, check, sheets)
  const moved = (densities: readonly number[], by: number) =>
    densities.map((density) => densityFromLightness(Math.max(0.5, lightnessFromDensity(density) + by)))
  return [
    ...patches.map(({ ink, densities }) => ({ ink, densities: moved(densities, gain(ink) * at(ink)) })),
    ...check.map(({ ink, densities }) => ({ ink, densities: moved(densities, (gain(ink) - 1) * at(ink)) })),
  ]
}

/** Whether a check is further off than sheets differ among themselves. */
export interface CorrectionWorth {
  /** Root mean square of what it is off, L*, and what two sheets differ by anyway. */
  rms: number
  expected: number
  /** Another round would follow chance and not the process. */
  isChance: boolean
}

/** What correcting a curve by a check would follow: the process, or chance. @throws CoreError as `refinedPatches`. */
export function correctionWorth(
  patches: readonly ChartPatch[],
  check: readonly CheckPatch[],
  sheets = 1,
): CorrectionWorth {
  const { rms, expected } = shiftOf(patches, check, sheets)
  return { rms, expected, isChance: rms <= expected }
}
