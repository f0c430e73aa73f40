import { isotonic } from './isotonic'
import { median } from '../quantity/statistics'

/** A smooth, never falling row through readings. */
export interface MonotoneSmooth {
  /** Shape (n,): the row at the readings. */
  values: number[]
  /** Reading minus row, shape (n,). */
  residuals: number[]
  /** Scatter of the readings about the row, with the freedom that the row took up counted. */
  scatter: number
  /** The same smoothing of other readings at the same places, for trying what noise does to it. */
  again(y: readonly number[]): number[]
}

/** No reading may be smoothed further away than so many scatters. */
const MOST_OFF = 1.2
/** Strengths of smoothing that are tried, from hardly any to a straight line, in powers of ten. */
const POWERS = Array.from({ length: 25 }, (_, i) => -9 + i * 0.5)

/**
 * Scatter of readings without any idea of their curve: how far each is from the cubic through its four neighbours, the
 * middle of all, so that corners and spots have no say in it.
 *
 * @param x shape (n,), rising; @param y shape (n,).
 * @returns standard deviation of one reading; 0 for fewer than six.
 */
export function localScatter(x: readonly number[], y: readonly number[]): number {
  if (x.length < 6) return 0
  const off = x.slice(2, -2).map((at, place) => {
    const near = [place, place + 1, place + 3, place + 4]
    let [value, squares] = [0, 1]
    for (const i of near) {
      let share = 1
      for (const k of near) if (k !== i) share *= (at - x[k]!) / (x[i]! - x[k]!)
      value += share * y[i]!
      squares += share ** 2
    }
    return Math.abs(y[place + 2]! - value) / Math.sqrt(squares)
  })
  return 1.4826 * median(off)
}

/**
 * Smooths readings by a penalty on their bends (Whittaker's smoother with divided second differences), as strongly as
 * leave-one-out prediction asks for but never further off than the readings scatter, then makes the row rise by pooling.
 * Readings without noise are left as they are, corners and all.
 *
 * @param x shape (n,), rising, n ≥ 4.
 * @param y shape (n,).
 * @see Whittaker 1923; Craven & Wahba 1979 (generalised cross-validation); Barlow et al. 1972 (pooling); from memory
 */
export function monotoneSmooth(x: readonly number[], y: readonly number[]): MonotoneSmooth {
  const penalty = bendPenalty(x)
  const count = x.length
  const span = x.at(-1)! - x[0]!
  const noise = localScatter(x, y)
  let best = { score: Infinity, hat: [] as Float64Array[], freedom: 0 }
  for (const power of POWERS) {
    const hat = hatOf(penalty, 10 ** power * span ** 3)
    const smooth = applied(hat, y)
    const freedom = hat.reduce((sum, row, i) => sum + row[i]!, 0)
    const rest = y.reduce((sum, value, i) => sum + (value - smooth[i]!) ** 2, 0)
    // Counting the row's freedom more than once keeps it from following noise (Wood's gamma).
    const left = 1 - (1.2 * freedom) / count
    const furthest = Math.max(...y.map((value, i) => Math.abs(value - smooth[i]!)))
    if (
      best.hat.length &&
      (furthest > MOST_OFF * noise + 5e-4 || Math.sqrt(rest / count) > 0.6 * noise + 5e-4)
    )
      break
    const score = left > 0.02 ? rest / count / left ** 2 : Number.MAX_VALUE
    if (score <= best.score) best = { score, hat, freedom }
  }
  const again = (other: readonly number[]) =>
    isotonic(
      applied(best.hat, other),
      x.map(() => 1),
    )
  const values = again(y)
  const residuals = y.map((value, i) => value - values[i]!)
  const rest = residuals.reduce((sum, off) => sum + off ** 2, 0)
  return { values, residuals, scatter: Math.sqrt(rest / Math.max(1, count - best.freedom)), again }
}

/** D'D of the divided second differences, each weighed with the width it stands for; shape (n, n). */
function bendPenalty(x: readonly number[]): Float64Array[] {
  const n = x.length
  const matrix = Array.from({ length: n }, () => new Float64Array(n))
  for (let i = 1; i + 1 < n; i++) {
    const [left, right] = [x[i]! - x[i - 1]!, x[i + 1]! - x[i]!]
    const width = (left + right) / 2
    const row = [1 / (left * width), -(1 / left + 1 / right) / width, 1 / (right * width)]
    for (let a = 0; a < 3; a++)
      for (let b = 0; b < 3; b++) matrix[i - 1 + a]![i - 1 + b]! += width * row[a]! * row[b]!
  }
  return matrix
}

/** (1 + λ·P)⁻¹, shape (n, n). */
function hatOf(penalty: readonly Float64Array[], strength: number): Float64Array[] {
  const n = penalty.length
  const work = penalty.map((row, i) => {
    const wide = new Float64Array(2 * n)
    for (let j = 0; j < n; j++) wide[j] = strength * row[j]! + (i === j ? 1 : 0)
    wide[n + i] = 1
    return wide
  })
  // Positive definite and banded by two: elimination needs no exchange of rows, and only two rows below.
  for (let k = 0; k < n; k++) {
    const top = work[k]!
    for (let i = k + 1; i < Math.min(n, k + 3); i++) {
      const factor = work[i]![k]! / top[k]!
      if (!factor) continue
      for (let j = k; j < Math.min(n, k + 3); j++) work[i]![j]! -= factor * top[j]!
      for (let j = n; j < 2 * n; j++) work[i]![j]! -= factor * top[j]!
    }
  }
  const hat: Float64Array[] = new Array<Float64Array>(n)
  for (let i = n - 1; i >= 0; i--) {
    const row = new Float64Array(n)
    for (let j = 0; j < n; j++) {
      let sum = work[i]![n + j]!
      for (let k = i + 1; k < Math.min(n, i + 3); k++) sum -= work[i]![k]! * hat[k]![j]!
      row[j] = sum / work[i]![i]!
    }
    hat[i] = row
  }
  return hat
}

const applied = (hat: readonly Float64Array[], y: readonly number[]): number[] =>
  hat.map((row) => row.reduce((sum, share, j) => sum + share * y[j]!, 0))

/** A reading breaks the order of its neighbours by a spot, not by noise, when it does so by this much. */
const SPOT = 0.03

/**
 * Readings that break the rise of their neighbours: a hair, a spot, a wrong digit. Of two that stand the wrong way round
 * the one further from the line between its neighbours is taken out, and then all are looked at again.
 *
 * @param x shape (n,), rising; @param y shape (n,).
 */
export function findOutliers(x: readonly number[], y: readonly number[]): boolean[] {
  const out = y.map(() => false)
  const limit = Math.max(SPOT, 6 * localScatter(x, y))
  for (let found = 0; found < y.length / 5; found++) {
    const left = y.flatMap((_, i) => (out[i] ? [] : [i]))
    let [worst, furthest] = [-1, 0]
    for (const [place, i] of left.entries()) {
      const [before, after] = [left[place - 1], left[place + 1]]
      const breaks = Math.max(
        before === undefined ? 0 : y[before]! - y[i]!,
        after === undefined ? 0 : y[i]! - y[after]!,
      )
      const off = Math.abs(y[i]! - between(x, y, before ?? after!, after ?? before!, i))
      if (breaks > limit && off > furthest) [worst, furthest] = [i, off]
    }
    if (worst < 0) break
    out[worst] = true
  }
  return out
}

/** Value at reading `i` of the straight line through readings `a` and `b`. */
function between(x: readonly number[], y: readonly number[], a: number, b: number, i: number): number {
  return a === b ? y[a]! : y[a]! + ((y[b]! - y[a]!) * (x[i]! - x[a]!)) / (x[b]! - x[a]!)
}

/**
 * First reading past the deepest black of a coat that bronzes: from there on the print grows lighter with more exposure.
 *
 * @returns its place; the number of readings where nothing falls.
 */
export function firstBronzed(x: readonly number[], y: readonly number[]): number {
  const n = y.length
  const steady = y.map((value, i) => (i === 0 || i === n - 1 ? value : median([y[i - 1]!, value, y[i + 1]!])))
  const peak = steady.indexOf(Math.max(...steady))
  const falls = n - 1 - peak
  if (falls < 2) return n
  const noise = localScatter(x, y)
  const drop = steady[peak]! - (y[n - 1]! + y[n - 2]!) / 2
  return drop > Math.max(0.02, 4 * noise) ? peak + 1 : n
}
