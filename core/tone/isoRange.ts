import type { Figure } from '../quantity/figure'
import { monotoneCubic } from './monotoneCubic'
import { richardsDensity, richardsExposure, type RichardsCurve } from './richards'

/** Points of the exposure range above paper white and of net density, by ISO 6846. */
const FOOT = 0.04
const SHOULDER = 0.9
/** An end counts as met within a third of the 0.04 criterion of the level that the curve runs out to. */
const MET = FOOT / 3
/** An extrapolated white is only used this near to what was reached: 0.01 of density is 0.1 of log exposure down there. */
const NEAR = FOOT / 10

/** One end of the curve: the level it runs out to, and how far the tablet went. */
export interface CurveEnd {
  /** Level the curve runs out to. */
  fitted: number
  /** Density at the end of the tablet, on the curve. */
  reached: number
  /** Whether the tablet went far enough for the level to be believed. */
  isMet: boolean
}

/** Both ends of a curve. */
export interface CurveEnds {
  minimum: CurveEnd
  maximum: CurveEnd
}

/** A curve as plain data: a Richards curve, or a rising row through the readings themselves. */
export type CurveData =
  ({ by: 'model' } & RichardsCurve) | { by: 'readings'; exposures: number[]; densities: number[] }
/** A curve as a function of log exposure. Between readings it is half way between a straight line and a cubic. */
export function densityFunction(curve: CurveData): (x: number) => number {
  if (curve.by === 'model') return (x) => richardsDensity(curve, x)
  const { exposures, densities } = curve
  const cubic = monotoneCubic(exposures, densities)
  return (x) => (cubic(x) + straight(exposures, densities, x)) / 2
}

function straight(xs: readonly number[], ys: readonly number[], x: number): number {
  const after = xs.findIndex((one) => one >= x)
  if (after <= 0) return after < 0 ? ys.at(-1)! : ys[0]!
  const share = (x - xs[after - 1]!) / (xs[after]! - xs[after - 1]!)
  return ys[after - 1]! + share * (ys[after]! - ys[after - 1]!)
}

/** The two points of the exposure range, and the densities they are taken of. */
export interface IsoPoints {
  foot: number
  shoulder: number
  white: number
  black: number
}

/** Points of a rising row: white and black are its ends, since nothing beyond the tablet is believed. */
export function isoOfReadings(x: readonly number[], values: readonly number[]): IsoPoints | null {
  const density = densityFunction({ by: 'readings', exposures: [...x], densities: [...values] })
  const [white, black] = [values[0]!, values.at(-1)!]
  if (black - white <= FOOT / (1 - SHOULDER)) return null
  const at = (wanted: number) => {
    let [low, high] = [x[0]!, x.at(-1)!]
    for (let step = 0; step < 40; step++) {
      const middle = (low + high) / 2
      if (density(middle) < wanted) low = middle
      else high = middle
    }
    return (low + high) / 2
  }
  return { foot: at(white + FOOT), shoulder: at(white + SHOULDER * (black - white)), white, black }
}

/**
 * Points of a model: of its own white and black where the tablet all but shows them, else of what was reached.
 *
 * @param isPeak whether the last reading is the deepest black, past which the coat bronzes: nothing is deeper then.
 */
export function isoOfModel(model: RichardsCurve, x: readonly number[], isPeak: boolean): IsoPoints | null {
  const { minimum, maximum } = modelEnds(model, x, isPeak)
  const white = minimum.reached - minimum.fitted <= NEAR ? minimum.fitted : minimum.reached
  const black = maximum.isMet ? maximum.fitted : maximum.reached
  const within = (density: number) => {
    const found = richardsExposure(model, density)
    return found !== null && found >= x[0]! && found <= x.at(-1)! ? found : null
  }
  const [foot, shoulder] = [within(white + FOOT), within(white + SHOULDER * (black - white))]
  return foot !== null && shoulder !== null && shoulder > foot ? { foot, shoulder, white, black } : null
}

/**
 * Where a fitted curve levels out at both ends.
 *
 * @param x log exposures of the readings, rising.
 * @param isPeak whether the last reading is the deepest black, past which the coat bronzes: then it is the maximum.
 */
export function modelEnds(model: RichardsCurve, x: readonly number[], isPeak: boolean): CurveEnds {
  const [a, r] = model.parameters as [number, number]
  const [low, high] = [richardsDensity(model, x[0]!), richardsDensity(model, x.at(-1)!)]
  return {
    minimum: { fitted: a, reached: low, isMet: low - a < MET },
    maximum: isPeak
      ? { fitted: high, reached: high, isMet: true }
      : { fitted: a + r, reached: high, isMet: a + r - high < MET },
  }
}

/** A row levels out where it no longer changes over the last three tenths of exposure. */
export function readEnds(x: readonly number[], values: readonly number[]): CurveEnds {
  const [low, high] = [values[0]!, values.at(-1)!]
  const nearLow = straight(x, values, x[0]! + 0.3)
  const nearHigh = straight(x, values, x.at(-1)! - 0.3)
  return {
    minimum: { fitted: low, reached: low, isMet: nearLow - low < MET },
    maximum: { fitted: high, reached: high, isMet: high - nearHigh < MET },
  }
}
/**
 * Exposure range, negative range and average gradient with their working.
 *
 * @param half half width of the 95 % interval of the range, log exposure.
 * @param isWhole whether both ends level out within the tablet; @param by what the points were read off.
 */
export function rangeFigures(
  { foot, shoulder, white, black }: IsoPoints,
  half: number,
  isWhole: boolean,
  by: string,
) {
  const range = shoulder - foot
  const [footDensity, shoulderDensity] = [white + FOOT, white + SHOULDER * (black - white)]
  const inputs = [
    { name: 'log exposure at 90 % of the net black', symbol: 'x₂', value: shoulder, unit: '' },
    { name: 'log exposure 0.04 above white', symbol: 'x₁', value: foot, unit: '' },
  ]
  const shared = {
    standing: 'published' as const,
    source: `ISO 6846: points at 0.04 above Dmin and at 90 % of net Dmax; values from memory. ${by}`,
    ...(!isWhole && { leavesOut: 'the tablet ends before the curve levels out: the true range is longer' }),
  }
  const exposureRange: Figure = {
    value: 100 * range,
    uncertainty: 100 * half,
    unit: '',
    working: {
      words: 'hundred times the log exposure between the two points',
      formula: 'R = 100·(x₂ − x₁)',
      inputs,
      ...shared,
    },
  }
  const negativeRange: Figure = {
    value: range,
    uncertainty: half,
    unit: 'D',
    working: { words: 'log exposure between the two points', formula: 'ΔD = x₂ − x₁', inputs, ...shared },
  }
  const averageGradient: Figure = {
    value: (shoulderDensity - footDensity) / range,
    unit: '',
    working: {
      words: 'density gained between the two points over the log exposure between them',
      formula: 'G = (D₂ − D₁) / (x₂ − x₁)',
      inputs: [
        { name: 'density at the upper point', symbol: 'D₂', value: shoulderDensity, unit: '' },
        { name: 'density at the lower point', symbol: 'D₁', value: footDensity, unit: '' },
        ...inputs,
      ],
      ...shared,
    },
  }
  return { exposureRange, negativeRange, averageGradient }
}
