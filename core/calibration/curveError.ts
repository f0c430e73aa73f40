import { lightnessFromDensity, densityFromLightness } from '../tone/density'
import {
  aimOf,
  inkOf,
  printOf,
  solveCurve,
  type ChartPatch,
  type CurveAim,
  type NegativeCurve,
} from '../tone/curve'
import type { Calibration } from '../schema/light'
import { sheetsOf } from './calibration'
import { SHEET } from '../tone/correction'

/** By what a scan was scaled, and what took it. */
export interface ScanScale {
  by: 'white' | 'black' | 'tablet'
  isByCamera: boolean
  /** A reflection was taken off it. */
  isGlared: boolean
}

/** Density of the print as it may truly be, by the density that was read. */
type Truth = (density: number) => number

/**
 * Light that strays into a picture where nothing shows how much, as a share of its white: of a scanner, and of a camera
 * with its lens; common practice, from memory.
 */
const STRAY = { scanner: 0.012, camera: 0.025 }
/** How far a camera bends the middle tones where nothing shows how, L*; as telephones do, from memory. */
const BENT = 6
/** What is left of a reflection that was taken off, L*. */
const GLARED = 0.6
/** What a densitometer and a printed tablet are off by, as a share of a density range; common practice. */
const TOOL = 0.015

/** Ways in which a scan may be off, one at a time. */
function truths({ by, isByCamera }: ScanScale, white: number): Truth[] {
  const tool = [-TOOL, TOOL].map(
    (share): Truth =>
      (density) =>
        white + (density - white) * (1 + share),
  )
  if (by === 'tablet') return tool
  const stray = isByCamera ? STRAY.camera : STRAY.scanner
  const lightOf = (density: number) => 10 ** -(density - white)
  const strayed: Truth = (density) =>
    white - Math.log10(Math.max(1e-3, (lightOf(density) - stray) / (1 - stray)))
  const bent = [-BENT, BENT].map((most): Truth => (density) => {
    const lightness = lightnessFromDensity(density)
    return densityFromLightness(
      Math.max(0.5, lightness + most * Math.sin((2 * Math.PI * (lightness - 50)) / 100)),
    )
  })
  return [...(by === 'black' ? tool : [strayed]), ...(isByCamera ? bent : [])]
}

/**
 * How far a curve may be off because the scan behind it was scaled by too little: the tone that suffers most, of each way
 * in which the scan may be off, added as independent errors are.
 *
 * @param curve as it came of the readings. @returns L*, 0 or more.
 */
export function scaleError(curve: NegativeCurve, aim: CurveAim, scale: ScanScale): number {
  const [ink, print] = [inkOf(curve), printOf(curve)]
  const white = densityFromLightness(curve.white)
  const offs = truths(scale, white).map((truth) => {
    const truly = (lightness: number) =>
      lightnessFromDensity(truth(densityFromLightness(Math.max(0.5, lightness))))
    const wanted = aimOf(aim, truly(curve.black), truly(curve.white))
    const tones = Array.from({ length: 41 }, (_, i) => i / 40)
    return Math.max(...tones.map((tone) => Math.abs(truly(print(ink(tone))) - wanted(tone))))
  })
  // Of two that are each other's opposite one is true at most.
  const glared = scale.isGlared ? GLARED : 0
  return Math.hypot(glared, ...offs.map((off) => off / (offs.length > 1 ? Math.SQRT2 : 1)))
}

/** Standard errors that hold all tones of a curve in 95 of 100 cases: more than of one tone, since each may be the worst. */
const ALL_TONES = 2.5
const ONE = 1.96

/**
 * How far off the target a curve may be, in 95 of 100 cases and at its worst tone: its scan, the scatter of its patches, and
 * that each sheet differs a little from the process.
 *
 * @param sheets so many sheets went into it. @param scan `scaleError` of its readings; 0 of a densitometer's.
 * @returns L*.
 */
export const curveError = (curve: Pick<NegativeCurve, 'error'>, sheets: number, scan = 0): number =>
  scan + Math.hypot(ALL_TONES * curve.error, (ONE * SHEET) / Math.sqrt(sheets))

/**
 * What the scan of a calibration's sheet may be off, as it is kept with it.
 *
 * @param isAnother it joins sheets that were read before: of both scans the worse one counts.
 * @returns L*.
 */
export function scanErrorOf(
  { aim, scanError = 0 }: Pick<Calibration, 'aim' | 'scanError'>,
  sheet: readonly ChartPatch[],
  scale: ScanScale,
  isAnother: boolean,
): number {
  const own = scaleError(solveCurve(sheet, aim), aim, scale)
  return isAnother ? Math.max(own, scanError) : own
}

/**
 * How far the curve of a calibration may be off, in 95 of 100 cases.
 *
 * @returns L*; `null` of a curve made elsewhere until a check has corrected it, since no one knows.
 */
export function errorOfCalibration(
  of: Pick<Calibration, 'patches' | 'chart' | 'checks' | 'by' | 'scanError' | 'aim'>,
  curve: NegativeCurve,
): { total: number; scan: number } | null {
  const used = of.checks.filter(({ isUsed }) => isUsed)
  const read = of.by === 'curve' ? 0 : sheetsOf(of)
  if (read + used.length === 0) return null
  // A scan of which nothing was kept was scaled by its white at least.
  const least = { by: 'white', isByCamera: false, isGlared: false } as const
  const errors = [of, ...used].map(({ by, scanError }) =>
    by === 'scan' ? (scanError ?? scaleError(curve, of.aim, least)) : 0,
  )
  const scan = Math.max(...errors)
  return { total: curveError(curve, read + used.length, scan), scan }
}
