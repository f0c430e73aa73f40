import { solveCurve, type ChartPatch } from '../tone/curve'
import { densityFromLightness } from '../tone/density'
import { normal, seededRandom } from '../quantity/random'
import { curveError, errorOfCalibration, scaleError, scanErrorOf, type ScanScale } from './curveError'

/** A chart of 31 tones with so much scatter, L*. */
function chart(scatter: number): ChartPatch[] {
  const random = seededRandom(3)
  return Array.from({ length: 31 }, (_, i) => ({
    ink: i / 30,
    densities: [0, 1].map(() => densityFromLightness(24 + 68 * (i / 30) ** 0.7 + scatter * normal(random))),
  }))
}
const curve = solveCurve(chart(0.3))
const scale = (change: Partial<ScanScale>): ScanScale => ({
  by: 'white',
  isByCamera: false,
  isGlared: false,
  ...change,
})
const of = (change: Partial<ScanScale>) => scaleError(curve, 'lightness', scale(change))

describe('what a curve may be off', () => {
  it('is less, the more is known of the scan', () => {
    expect(of({})).toBeGreaterThan(of({ by: 'black' }))
    expect(of({ isByCamera: true })).toBeGreaterThan(of({}))
    expect(of({ isByCamera: true, by: 'black' })).toBeGreaterThan(of({ by: 'black' }))
    expect(of({ isByCamera: true, by: 'tablet' })).toBe(of({ by: 'tablet' }))
    expect(of({ by: 'black', isGlared: true })).toBeGreaterThan(of({ by: 'black' }))
  })

  it('by stray light alone is what that light does: a hundredth moves a middle tone by a little less than one L*', () => {
    // By hand: of R = 0.0405 to 0.8, read with 0.012 of the white more and stretched back, tone 0.2 is 1.0 L* off.
    expect(of({})).toBeGreaterThan(0.5)
    expect(of({})).toBeLessThan(2)
  })

  it('is less with more sheets, and more with more scatter', () => {
    expect(curveError(curve, 4)).toBeLessThan(curveError(curve, 1))
    expect(curveError(solveCurve(chart(2)), 1)).toBeGreaterThan(curveError(curve, 1))
    expect(curveError(curve, 1, 2)).toBeCloseTo(curveError(curve, 1) + 2, 9)
  })

  it('of a calibration counts its sheets and checks, and the worse scan of them', () => {
    const plan = { steps: 31, repeats: 2, isScattered: true, hasStrip: false, seed: 1, tag: 0 }
    const patches = chart(0.3).map(({ ink, densities }) => ({ ink, densities: [...densities] }))
    const check = { at: 1, by: 'scan' as const, patches: [], mean: 0, worst: 0, isUsed: true, scanError: 2.5 }
    const calibration = {
      patches,
      chart: plan,
      checks: [],
      by: 'scan' as const,
      scanError: 1,
      aim: 'lightness' as const,
    }
    expect(errorOfCalibration(calibration, curve)).toEqual({ total: curveError(curve, 1, 1), scan: 1 })
    expect(errorOfCalibration({ ...calibration, checks: [check] }, curve)).toEqual({
      total: curveError(curve, 2, 2.5),
      scan: 2.5,
    })
    // Of a scan whose scale was not kept, as of earlier versions, the white alone is taken to have been known.
    const older = { ...calibration, scanError: undefined }
    expect(errorOfCalibration(older, curve)?.scan).toBeCloseTo(of({}), 9)
    expect(errorOfCalibration({ ...older, by: 'instrument' as const }, curve)?.scan).toBe(0)
    const elsewhere = { ...calibration, by: 'curve' as const, scanError: undefined }
    expect(errorOfCalibration(elsewhere, curve)).toBeNull()
    expect(errorOfCalibration({ ...elsewhere, checks: [check] }, curve)).not.toBeNull()
  })

  it('is kept with a reading: of two sheets the worse scan', () => {
    const kept = scanErrorOf({ aim: 'lightness' }, chart(0.3), scale({}), false)
    expect(kept).toBeCloseTo(of({}), 9)
    expect(scanErrorOf({ aim: 'lightness', scanError: 9 }, chart(0.3), scale({}), true)).toBe(9)
    expect(scanErrorOf({ aim: 'lightness', scanError: 9 }, chart(0.3), scale({}), false)).toBe(kept)
  })
})
