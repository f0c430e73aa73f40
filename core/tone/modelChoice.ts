import { mean, standardDeviation } from '../quantity/statistics'
import { normal, seededRandom } from '../quantity/random'
import { isoOfModel, isoOfReadings, type IsoPoints } from './isoRange'
import { richardsDensity, type RichardsFit } from './richards'
import { localScatter, monotoneSmooth } from './smooth'

/** Tries of what the scatter of the readings does to the range. */
const TRIES = 60
/** Standard errors on either side of a 95 % interval: more than 1.96, since a smoothed row hides some of the noise. */
const WIDTH = 2.5
/** A model that comes this near to every reading is the curve itself. */
const EXACT = 0.0015
/**
 * A model's range may differ from the row's by so many standard errors of that difference: more where its residuals
 * follow each other at random, as those of the right model do. Found by trying other shapes (`shapes.test.ts`).
 */
const BELIEVED = { random: 2, inRuns: 1 }
/** Correlation of neighbouring residuals up to which they count as random. */
const RANDOM = 0
/** Below this scatter nothing is told apart. */
const FINEST_SCATTER = 0.001
/** A model that leaves so many times the scatter of the smooth row does not fit. */
const WORSE = 1.3

/** A rising row through the readings, its two points, and what noise does to its range. */
export interface ReadingsCurve {
  values: number[]
  scatter: number
  points: IsoPoints | null
  /** Standard error of the range. */
  error: number
  /** The row through other readings at the same places. */
  again(y: readonly number[]): number[]
}

/** The rising row through readings in order of exposure. @param x rising; @param y densities. */
export function readingsCurve(x: readonly number[], y: readonly number[]): ReadingsCurve {
  const smooth = monotoneSmooth(x, y)
  const points = isoOfReadings(x, smooth.values)
  const noise = Math.max(localScatter(x, y), smooth.scatter)
  const random = seededRandom(1)
  const ranges = Array.from({ length: TRIES }, () => {
    const tried = isoOfReadings(x, smooth.again(smooth.values.map((value) => value + noise * normal(random))))
    return tried ? lengthOf(tried) : null
  }).filter((range) => range !== null)
  return { ...smooth, points, error: standardDeviation(ranges) ?? 0 }
}

/**
 * Whether the readings bear a model out: no parameter at a limit, every reading on it; or it leaves no more than the row
 * does, and its range differs from the row's by no more than it would if the model were the truth and all else noise.
 *
 * @see Hausman 1978 for the comparison of two estimates; from memory
 */
export function isBelieved(
  model: RichardsFit,
  fromModel: IsoPoints | null,
  read: ReadingsCurve,
  x: readonly number[],
  isPeak: boolean,
): fromModel is IsoPoints {
  if (!fromModel || model.isAtLimit) return false
  // One or two spots that keep the order of the steps may be off the model; many of them are another shape.
  const spots = model.outliers.filter(Boolean).length
  const residuals =
    spots <= x.length / 15 ? model.residuals.filter((_, i) => !model.outliers[i]) : model.residuals
  if (residuals.every((off) => Math.abs(off) < EXACT)) return true
  const scatter = scatterOf(residuals)
  if (scatter > WORSE * Math.max(read.scatter, FINEST_SCATTER) || !read.points) return false
  const random = seededRandom(3)
  const differences = Array.from({ length: TRIES / 2 }, () => {
    const tried = x.map((at) => richardsDensity(model, at) + scatter * normal(random))
    const again = isoOfModel(model.again(tried), x, isPeak)
    const row = isoOfReadings(x, read.again(tried))
    return again && row ? lengthOf(again) - lengthOf(row) : null
  }).filter((one) => one !== null)
  if (differences.length < TRIES / 4) return false
  const off = lengthOf(fromModel) - lengthOf(read.points) - mean(differences)
  const squares = residuals.reduce((sum, one) => sum + one ** 2, 0)
  const runs = residuals.slice(1).reduce((sum, one, i) => sum + one * residuals[i]!, 0) / squares
  const believed = runs < RANDOM ? BELIEVED.random : BELIEVED.inRuns
  return Math.abs(off) <= believed * (standardDeviation(differences) ?? 0)
}

const lengthOf = ({ foot, shoulder }: IsoPoints) => shoulder - foot
/** Scatter of a model's residuals, with its five parameters counted. */
const scatterOf = (residuals: readonly number[]) =>
  Math.sqrt(residuals.reduce((sum, off) => sum + off ** 2, 0) / Math.max(1, residuals.length - 5))

/** Half width of the 95 % interval of the range: what noise does to it, and for a model how far the plain reading is off. */
export function halfWidth(
  points: IsoPoints,
  model: RichardsFit | null,
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
  return Math.max(FLOOR, 1.96 * Math.hypot(standardDeviation(ranges) ?? 0, misfit))
}

/** No range is known better than this, in log exposure: what is between two steps is drawn, not read. */
const FLOOR = 0.015
