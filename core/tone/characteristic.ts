import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import { leastSquares, median, robustFit, type Model } from './leastSquares'

/** A curve of density by log exposure, with its way back. */
interface Family {
  towards: 1 | -1
  model: Model
  /** Log exposure at which a share of the height is reached. */
  inverse(parameters: readonly number[], share: number): number
}

/**
 * Generalised logistic curves (Richards 1959) with paper white `a`, height `r`, place `m`, steepness `k` and skew e^s.
 * `towards` 1 draws the skew out at the shoulder, −1 at the toe, as an exponential approach to black has it; real
 * prints are of either kind, so both are tried and the closer one is kept.
 */
const family = (towards: 1 | -1): Family => {
  const foot = (k: number, m: number, x: number) => Math.exp(Math.min(200, -towards * k * (x - m)))
  return {
    towards,
    model: {
      value: ([a, r, m, k, s], x) => {
        const share = (1 + foot(k!, m!, x)) ** -Math.exp(s!)
        return a! + r! * (towards === 1 ? share : 1 - share)
      },
      gradient: ([, r, m, k, s], x) => {
        const e = foot(k!, m!, x)
        const n = Math.exp(s!)
        const share = (1 + e) ** -n
        const slope = (r! * n * share * e) / (1 + e)
        return [
          1,
          towards === 1 ? share : 1 - share,
          -slope * k!,
          slope * (x - m!),
          -towards * r! * share * n * Math.log(1 + e),
        ]
      },
    },
    inverse: ([, , m, k, s], share) => {
      const part = towards === 1 ? share : 1 - share
      return m! - (towards * Math.log(part ** -Math.exp(-s!) - 1)) / k!
    },
  }
}
const FAMILIES = [family(1), family(-1)] as const

/** The finest scatter a reading of density can have: instruments print two places, and paper has its grain. */
const FINEST = 0.004
/** A limit of the curve counts as met when the end of the tablet comes within this of it. */
const MET = 0.03
/** Points of the exposure range above paper white and of net density, by ISO 6846. */
const FOOT = 0.04
const SHOULDER = 0.9

/** One end of the curve: where the fit says it levels out, and how far the tablet went. */
export interface CurveEnd {
  /** Level the fit runs out to. */
  fitted: number
  /** Density at the end of the tablet, on the fitted curve. */
  reached: number
  /** Whether the tablet went far enough for the fitted level to be believed. */
  isMet: boolean
}

/** A step tablet's answer on a print. */
export interface Characteristic {
  minimum: CurveEnd
  maximum: CurveEnd
  /** Exposure range R = 100 × log range between the ISO 6846 points; `null` when the tablet does not hold both. */
  exposureRange: Figure | null
  /** Mean slope between the same points; `null` likewise. */
  averageGradient: Figure | null
  /** Density range a negative needs to use the whole paper; as the range, in densities. */
  negativeRange: Figure | null
  /** Log exposures of the two points, relative to the bare light; `null` where the curve does not reach them. */
  foot: number | null
  shoulder: number | null
  residuals: number[]
  scatter: number
  outliers: boolean[]
  /** The fitted curve, as plain data (see `densityBehind`). */
  curve: { towards: 1 | -1; parameters: number[] }
}

/**
 * Density of the print behind a density of the negative, on the fitted curve.
 *
 * @param negativeDensity over clear film.
 */
export const densityBehind = ({ curve }: Pick<Characteristic, 'curve'>, negativeDensity: number): number =>
  family(curve.towards).model.value(curve.parameters, -negativeDensity)

/**
 * Fits a print's densities behind a step tablet.
 *
 * @param tablet shape (n,): density of each step over clear film, n ≥ 6, in any order.
 * @param print shape (n,): reflection density of the print behind each; `null` where a step could not be read.
 * @throws CoreError `too-few` below six readings; `flat` when the print does not change along the tablet; `reversed`
 *   when it grows darker behind denser steps.
 * @see ISO 6846 (exposure range): 0.04 above Dmin and 90 % of net Dmax; values from memory. Richards, J. Exp. Bot. 10, 1959
 */
export function characteristicOf(
  tablet: readonly number[],
  print: readonly (number | null)[],
): Characteristic {
  const read = tablet.flatMap((density, i) => {
    const value = print[i]
    return value === null || value === undefined ? [] : [{ i, x: -density, y: value }]
  })
  if (read.length < 6)
    throw refuse('too-few', 'A curve needs at least six steps.', 'Read more steps of the tablet.')
  const sorted = [...read].sort((one, two) => one.x - two.x)
  const [x, y] = [sorted.map((one) => one.x), sorted.map((one) => one.y)]
  const third = Math.max(2, Math.floor(y.length / 5))
  const [low, high] = [mean(y.slice(0, third)), mean(y.slice(-third))]
  if (Math.abs(high - low) < 0.1)
    throw refuse(
      'flat',
      'The print is the same all along the tablet.',
      'Expose it so that some steps are white and some black.',
    )
  if (high < low)
    throw refuse(
      'reversed',
      'The print is darker behind the denser steps.',
      'Begin with the clearest step, or turn the row round.',
    )

  const half = x.reduce(
    (best, one, i) =>
      Math.abs(y[i]! - (low + high) / 2) < Math.abs(y[x.indexOf(best)]! - (low + high) / 2) ? one : best,
    x[0]!,
  )
  const span = x.at(-1)! - x[0]!
  const start = [Math.min(...y), high - Math.min(...y), half, 4, 0]
  const limits: [number, number][] = [
    [-0.1, Math.max(...y)],
    [0.05, 4],
    [x[0]! - span, x.at(-1)! + span],
    [0.3, 60],
    [-4, 4],
  ]
  const kind = FAMILIES.map((one) => ({ one, off: medianOff(one.model, x, y, start, limits) })).sort(
    (a, b) => a.off - b.off,
  )[0]!.one
  const fit = robustFit(kind.model, x, y, start, limits, FINEST)
  const curve = (at: number) => kind.model.value(fit.parameters, at)
  const [a, r] = fit.parameters as [number, number]
  const minimum = { fitted: a, reached: curve(x[0]!), isMet: curve(x[0]!) - a < MET }
  const maximum = { fitted: a + r, reached: curve(x.at(-1)!), isMet: a + r - curve(x.at(-1)!) < MET }
  // Points are taken of what the paper can do where the tablet shows it, else of what was reached.
  const [white, black] = [
    minimum.isMet ? minimum.fitted : minimum.reached,
    maximum.isMet ? maximum.fitted : maximum.reached,
  ]
  const at = (density: number) => {
    const share = (density - a) / r
    if (!(share > 0 && share < 1)) return null
    const found = kind.inverse(fit.parameters, share)
    return found >= x[0]! && found <= x.at(-1)! ? found : null
  }
  const foot = at(white + FOOT)
  const shoulder = at(white + SHOULDER * (black - white))
  const back = <Value>(row: readonly Value[], blank: Value) => {
    const whole = tablet.map(() => blank)
    sorted.forEach((one, place) => (whole[one.i] = row[place]!))
    return whole
  }
  const isWhole = foot !== null && shoulder !== null && minimum.isMet && maximum.isMet
  const figures =
    foot !== null && shoulder !== null ? rangeFigures(foot, shoulder, white, black, isWhole) : null
  return {
    minimum,
    maximum,
    exposureRange: figures?.exposureRange ?? null,
    averageGradient: figures?.averageGradient ?? null,
    negativeRange: figures?.negativeRange ?? null,
    foot,
    shoulder,
    residuals: back(fit.residuals, Number.NaN),
    scatter: fit.scatter,
    outliers: back(fit.outliers, false),
    curve: { towards: kind.towards, parameters: fit.parameters },
  }
}

function rangeFigures(foot: number, shoulder: number, white: number, black: number, isWhole: boolean) {
  const range = shoulder - foot
  const [footDensity, shoulderDensity] = [white + FOOT, white + SHOULDER * (black - white)]
  const inputs = [
    { name: 'log exposure at 90 % of the net black', symbol: 'x₂', value: shoulder, unit: '' },
    { name: 'log exposure 0.04 above white', symbol: 'x₁', value: foot, unit: '' },
  ]
  const shared = {
    standing: 'published' as const,
    source: 'ISO 6846: points at 0.04 above Dmin and at 90 % of net Dmax; values from memory',
    ...(!isWhole && { leavesOut: 'the tablet ends before the curve levels out: the true range is longer' }),
  }
  const exposureRange: Figure = {
    value: 100 * range,
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

/** Middle size of what a plain fit leaves, by which the families are told apart: a bad reading has no say in it. */
function medianOff(
  model: Model,
  x: readonly number[],
  y: readonly number[],
  start: readonly number[],
  limits: readonly (readonly [number, number])[],
): number {
  const { parameters } = leastSquares(model, { x, y, weights: x.map(() => 1) }, start, limits, 25)
  return median(x.map((one, i) => Math.abs(y[i]! - model.value(parameters, one))))
}

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'step tablet', problem, remedy })
