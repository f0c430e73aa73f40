import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import { normal, seededRandom } from '../simulate/random'
import { monotoneCubic } from './monotoneCubic'
import {
  fitRichards,
  richardsDensity,
  richardsExposure,
  type RichardsCurve,
  type RichardsFit,
} from './richards'
import { findOutliers, firstBronzed, localScatter, monotoneSmooth } from './smooth'

/** The finest scatter a reading of density can have: instruments print two places, and paper has its grain. */
const FINEST = 0.004
/** Points of the exposure range above paper white and of net density, by ISO 6846. */
const FOOT = 0.04
const SHOULDER = 0.9
/** An end counts as met within a third of the 0.04 criterion of the level that the curve runs out to. */
const MET = FOOT / 3
/** An extrapolated white is only used this near to what was reached: 0.01 of density is 0.1 of log exposure down there. */
const NEAR = FOOT / 10
/** Tries of what the scatter of the readings does to the range. */
const TRIES = 60
/** Standard errors on either side of a 95 % interval: more than 1.96, since a smoothed row hides some of the noise. */
const WIDTH = 2.5
/** A model that comes this near to every reading is the curve itself. */
const EXACT = 0.0015
/**
 * A model's range may differ from the row's by so many standard errors of that difference: more where its residuals follow each other at random, as those of the right model do. Found by trying other shapes.
 */
const BELIEVED = { random: 2, inRuns: 1 }
/** Correlation of neighbouring residuals up to which they count as random. */
const RANDOM = 0
/** A model that leaves so many times the scatter of the smooth row does not fit. */
const WORSE = 1.3

/** One end of the curve: the level it runs out to, and how far the tablet went. */
export interface CurveEnd {
  /** Level the curve runs out to. */
  fitted: number
  /** Density at the end of the tablet, on the curve. */
  reached: number
  /** Whether the tablet went far enough for the level to be believed. */
  isMet: boolean
}

/** A curve as plain data: a Richards curve, or a rising row through the readings themselves. */
export type CurveData =
  ({ by: 'model' } & RichardsCurve) | { by: 'readings'; exposures: number[]; densities: number[] }

/** A step tablet's answer on a print. */
export interface Characteristic {
  minimum: CurveEnd
  maximum: CurveEnd
  /**
   * Exposure range R = 100 × log range between the ISO 6846 points, with the half width of its 95 % interval; `null` when
   * the tablet does not hold both.
   */
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
  /** Steps past the deepest black, where the print grows lighter again: they are no part of the curve. */
  bronzed: boolean[]
  curve: CurveData
}

/**
 * Density of the print behind a density of the negative, on the curve.
 *
 * @param negativeDensity over clear film.
 */
export const densityBehind = ({ curve }: Pick<Characteristic, 'curve'>, negativeDensity: number): number =>
  densityFunction(curve)(-negativeDensity)

/** A curve as a function of log exposure. Between readings it lies half way between a straight line and a cubic. */
function densityFunction(curve: CurveData): (x: number) => number {
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
interface IsoPoints {
  foot: number
  shoulder: number
  white: number
  black: number
}

/** One reading of a step: its place in the row as given, log exposure and density. */
interface Step {
  i: number
  x: number
  y: number
}

/**
 * Finds a print's curve behind a step tablet.
 *
 * A Richards curve is used where the readings bear it out: no parameter at a limit, no more scatter than a smooth rising
 * row leaves, and a range within what noise does to the range read off that row. Else the row itself is the curve, and
 * white and black are what the tablet reached. `curve.by` and the working of the figures say which.
 *
 * @param tablet shape (n,): density of each step over clear film, n ≥ 6, in any order.
 * @param print shape (n,): reflection density of the print behind each; `null` where a step could not be read.
 * @throws CoreError `too-few` below six readings; `flat` when the print does not change along the tablet; `reversed`
 *   when it grows darker behind denser steps.
 * @see ISO 6846 (exposure range): 0.04 above Dmin and 90 % of net Dmax; values from memory. Efron & Tibshirani 1993 for
 *   the interval (parametric bootstrap); from memory
 */
export function characteristicOf(
  tablet: readonly number[],
  print: readonly (number | null)[],
): Characteristic {
  const sorted = readSteps(tablet, print)
  const [allX, allY] = [sorted.map((one) => one.x), sorted.map((one) => one.y)]
  const end = firstBronzed(allX, allY)
  const rising = sorted.slice(0, end)
  const suspects = findOutliers(allX.slice(0, end), allY.slice(0, end))
  const kept = rising.filter((_, i) => !suspects[i])
  const [x, y] = [kept.map((one) => one.x), kept.map((one) => one.y)]

  const read = readingsCurve(x, y)
  const model = fitRichards(x, y, FINEST)
  const isPeak = end < sorted.length
  const fromModel = isoOfModel(model, x, isPeak)
  const isModel =
    fromModel !== null &&
    !model.isAtLimit &&
    (model.residuals.every((off) => Math.abs(off) < EXACT) || isBorneOut(model, fromModel, read, x, isPeak))
  const curve: CurveData = isModel
    ? { by: 'model', towards: model.towards, parameters: model.parameters }
    : { by: 'readings', exposures: x, densities: read.values }
  const density = densityFunction(curve)
  const ends = isModel ? modelEnds(model, x, isPeak) : readEnds(x, read.values)
  const points = isModel ? fromModel : read.points

  const residuals = sorted.map((one) => one.y - density(one.x))
  const scatter = isModel ? model.scatter : Math.max(FINEST, read.scatter)
  const modelOutliers = new Set(kept.filter((_, i) => isModel && model.outliers[i]))
  const back = <Value>(row: readonly Value[], blank: Value) => {
    const whole = tablet.map(() => blank)
    sorted.forEach((one, place) => (whole[one.i] = row[place]!))
    return whole
  }
  const isWhole = points !== null && ends.minimum.isMet && ends.maximum.isMet
  const half = points && halfWidth(points, isModel ? model : null, read, x, isPeak)
  const by = isModel
    ? 'Read off a Richards curve through the readings'
    : 'Read off a smooth rising row through the readings, since no model fits them'
  const figures = points && half !== null ? rangeFigures(points, half, isWhole, by) : null
  return {
    ...ends,
    exposureRange: figures?.exposureRange ?? null,
    averageGradient: figures?.averageGradient ?? null,
    negativeRange: figures?.negativeRange ?? null,
    foot: points?.foot ?? null,
    shoulder: points?.shoulder ?? null,
    residuals: back(residuals, Number.NaN),
    scatter,
    outliers: back(
      sorted.map((one, i) => (i < end && suspects[i]!) || modelOutliers.has(one)),
      false,
    ),
    bronzed: back(
      sorted.map((_, i) => i >= end),
      false,
    ),
    curve,
  }
}

/** The steps that were read, from the least exposure on; refuses what is no curve. */
function readSteps(tablet: readonly number[], print: readonly (number | null)[]): Step[] {
  const sorted = tablet
    .flatMap((density, i): Step[] => {
      const value = print[i]
      return value === null || value === undefined ? [] : [{ i, x: -density, y: value }]
    })
    .sort((one, two) => one.x - two.x)
  if (sorted.length < 6)
    throw refuse('too-few', 'A curve needs at least six steps.', 'Read more steps of the tablet.')
  const third = Math.max(2, Math.floor(sorted.length / 5))
  const [low, high] = [sorted.slice(0, third), sorted.slice(-third)].map((steps) =>
    mean(steps.map((one) => one.y)),
  ) as [number, number]
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
  return sorted
}

/** A rising row through the readings, its two points, and what noise does to its range. */
interface ReadingsCurve {
  values: number[]
  scatter: number
  points: IsoPoints | null
  /** Standard error of the range. */
  error: number
  /** The row through other readings at the same places. */
  again(y: readonly number[]): number[]
}

function readingsCurve(x: readonly number[], y: readonly number[]): ReadingsCurve {
  const smooth = monotoneSmooth(x, y)
  const points = isoOfReadings(x, smooth.values)
  const noise = Math.max(localScatter(x, y), smooth.scatter)
  const random = seededRandom(1)
  const ranges = Array.from({ length: TRIES }, () => {
    const tried = isoOfReadings(x, smooth.again(smooth.values.map((value) => value + noise * normal(random))))
    return tried ? lengthOf(tried) : null
  }).filter((range) => range !== null)
  return { ...smooth, points, error: deviation(ranges) }
}

/** Points of a rising row: white and black are its ends, since nothing beyond the tablet is believed. */
function isoOfReadings(x: readonly number[], values: readonly number[]): IsoPoints | null {
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
function isoOfModel(model: RichardsCurve, x: readonly number[], isPeak: boolean): IsoPoints | null {
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

function modelEnds(
  model: RichardsCurve,
  x: readonly number[],
  isPeak: boolean,
): Pick<Characteristic, 'minimum' | 'maximum'> {
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
function readEnds(
  x: readonly number[],
  values: readonly number[],
): Pick<Characteristic, 'minimum' | 'maximum'> {
  const [low, high] = [values[0]!, values.at(-1)!]
  const nearLow = straight(x, values, x[0]! + 0.3)
  const nearHigh = straight(x, values, x.at(-1)! - 0.3)
  return {
    minimum: { fitted: low, reached: low, isMet: nearLow - low < MET },
    maximum: { fitted: high, reached: high, isMet: high - nearHigh < MET },
  }
}

/**
 * Whether the readings bear a model out: it leaves no more than the row does, and its range differs from the row's by no
 * more than it would if the model were the truth and all else noise.
 *
 * @see Hausman 1978 for the comparison of two estimates; from memory
 */
function isBorneOut(
  model: RichardsFit,
  fromModel: IsoPoints,
  read: ReadingsCurve,
  x: readonly number[],
  isPeak: boolean,
): boolean {
  const scatter = scatterOf(model.residuals)
  if (scatter > WORSE * Math.max(read.scatter, FINEST / 4) || !read.points) return false
  const random = seededRandom(3)
  const differences = Array.from({ length: TRIES / 2 }, () => {
    const tried = x.map((at) => richardsDensity(model, at) + scatter * normal(random))
    const again = isoOfModel(model.again(tried), x, isPeak)
    const row = isoOfReadings(x, read.again(tried))
    return again && row ? lengthOf(again) - lengthOf(row) : null
  }).filter((one) => one !== null)
  if (differences.length < TRIES / 4) return false
  const off = lengthOf(fromModel) - lengthOf(read.points) - mean(differences)
  const squares = model.residuals.reduce((sum, one) => sum + one ** 2, 0)
  const runs = model.residuals.slice(1).reduce((sum, one, i) => sum + one * model.residuals[i]!, 0) / squares
  const believed = runs < RANDOM ? BELIEVED.random : BELIEVED.inRuns
  return Math.abs(off) <= believed * deviation(differences)
}

const lengthOf = ({ foot, shoulder }: IsoPoints) => shoulder - foot
/** Scatter of a model's residuals, with its five parameters counted. */
const scatterOf = (residuals: readonly number[]) =>
  Math.sqrt(residuals.reduce((sum, off) => sum + off ** 2, 0) / Math.max(1, residuals.length - 5))

/** Half width of the 95 % interval of the range: what noise does to it, and for a model how far the plain reading is off. */
function halfWidth(
  points: IsoPoints,
  model:
    (RichardsCurve & { residuals: readonly number[]; again(y: readonly number[]): RichardsCurve }) | null,
  read: ReadingsCurve,
  x: readonly number[],
  isPeak: boolean,
): number {
  if (!model || !read.points) return Math.max(FLOOR, WIDTH * read.error)
  const random = seededRandom(2)
  const noise = scatterOf(model.residuals)
  const ranges = Array.from({ length: TRIES / 2 }, () => {
    const tried = isoOfModel(
      model.again(x.map((at) => richardsDensity(model, at) + noise * normal(random))),
      x,
      isPeak,
    )
    return tried ? lengthOf(tried) : null
  }).filter((range) => range !== null)
  const apart = lengthOf(points) - lengthOf(read.points)
  // A model that was believed may still be off by as much as the noise hides.
  const misfit = noise < EXACT ? 0 : Math.max(Math.abs(apart), 0.6 * read.error)
  return Math.max(FLOOR, 1.96 * Math.hypot(deviation(ranges), misfit))
}

/** No range is known better than this, in log exposure: what lies between two steps is drawn, not read. */
const FLOOR = 0.015

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length

function deviation(values: readonly number[]): number {
  if (values.length < 2) return 0
  const middle = mean(values)
  return Math.sqrt(values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (values.length - 1))
}

function rangeFigures(
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

const refuse = (code: string, problem: string, remedy: string) =>
  new CoreError({ code, field: 'step tablet', problem, remedy })
