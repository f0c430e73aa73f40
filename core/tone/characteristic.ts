import { mean } from '../quantity/statistics'
import { refusalAt } from '../errors'
import type { Figure } from '../quantity/figure'
import {
  densityFunction,
  isoOfModel,
  modelEnds,
  rangeFigures,
  readEnds,
  type CurveData,
  type CurveEnd,
} from './isoRange'
import { halfWidth, isBelieved, readingsCurve } from './modelChoice'
import { fitRichards } from './richards'
import { findOutliers, firstBronzed } from './smooth'

/** The finest scatter a reading of density can have: instruments print two places, and paper has its grain. */
const FINEST = 0.004

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
  const isModel = isBelieved(model, fromModel, read, x, isPeak)
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
    ? 'Read from a Richards curve fitted to the readings'
    : 'Read from a smoothed monotone row of the readings, since no model fits'
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
      'The print has the same density along the whole tablet.',
      'Expose so that some steps are white and some are black.',
    )
  if (high < low)
    throw refuse(
      'reversed',
      'The print is darker under the denser steps.',
      'Start with the clearest step, or reverse the order.',
    )
  return sorted
}
const refuse = refusalAt('step tablet')
