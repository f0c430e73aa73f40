import { median } from '../quantity/statistics'
/** A model to be fitted: its value and its derivative by every parameter, at one x. */
export interface Model {
  value(parameters: readonly number[], x: number): number
  /** Shape (p,), in the order of the parameters. */
  gradient(parameters: readonly number[], x: number): number[]
}

/** Points with how much each counts; 0 leaves one out. */
export interface Points {
  x: readonly number[]
  y: readonly number[]
  weights: readonly number[]
}

export interface Fitted {
  parameters: number[]
  /** Weighted sum of the squares of what is left. */
  rest: number
  /** Whether the last step no longer changed anything. */
  hasSettled: boolean
}

/** A step that takes away less than this share of the rest is the last one. */
const ENOUGH = 1e-4

/**
 * Least squares by Levenberg and Marquardt's steps: a step that makes things worse is not taken.
 *
 * @param start shape (p,); a fit from far off may settle in a hollow of its own.
 * @param limits lowest and highest value of each parameter.
 * @see Marquardt 1963 (scaling by the diagonal); Nocedal & Wright, Numerical Optimization, ch. 10; from memory
 */
export function leastSquares(
  model: Model,
  { x, y, weights }: Points,
  start: readonly number[],
  limits: readonly (readonly [low: number, high: number])[],
  mostSteps = 60,
): Fitted {
  const p = start.length
  const restOf = (parameters: readonly number[]) => {
    let sum = 0
    for (let i = 0; i < x.length; i++)
      if (weights[i]!) sum += weights[i]! * (y[i]! - model.value(parameters, x[i]!)) ** 2
    return sum
  }
  let parameters = [...start]
  let rest = restOf(parameters)
  let damping = 1e-3
  for (let step = 0; step < mostSteps; step++) {
    const normal = Array.from({ length: p }, () => new Float64Array(p))
    const right = new Float64Array(p)
    for (let i = 0; i < x.length; i++) {
      if (!weights[i]) continue
      const g = model.gradient(parameters, x[i]!)
      const off = y[i]! - model.value(parameters, x[i]!)
      for (let a = 0; a < p; a++) {
        right[a]! += weights[i]! * g[a]! * off
        for (let b = 0; b <= a; b++) normal[a]![b]! += weights[i]! * g[a]! * g[b]!
      }
    }
    let isBetter = false
    for (let trial = 0; trial < 6 && !isBetter; trial++) {
      const move = solve(normal, right, damping)
      const next = parameters.map((value, a) =>
        Math.min(limits[a]![1], Math.max(limits[a]![0], value + move[a]!)),
      )
      const nextRest = restOf(next)
      if (nextRest < rest) {
        const gain = (rest - nextRest) / (rest || 1)
        isBetter = true
        damping = Math.max(1e-12, damping / 8)
        ;[parameters, rest] = [next, nextRest]
        if (gain < ENOUGH) return { parameters, rest, hasSettled: true }
      } else damping = Math.min(1e12, damping * 6)
    }
    if (!isBetter) return { parameters, rest, hasSettled: true }
  }
  return { parameters, rest, hasSettled: false }
}

/** Solves (N + λ·diag N)·m = r by Cholesky's square root; only the lower half of N is read. */
function solve(normal: readonly Float64Array[], right: Float64Array, damping: number): Float64Array {
  const p = right.length
  const root = Array.from({ length: p }, () => new Float64Array(p))
  const move = new Float64Array(p)
  for (let a = 0; a < p; a++)
    for (let b = 0; b <= a; b++) {
      let sum = a === b ? normal[a]![a]! * (1 + damping) + 1e-14 : normal[a]![b]!
      for (let k = 0; k < b; k++) sum -= root[a]![k]! * root[b]![k]!
      root[a]![b] = a === b ? Math.sqrt(Math.max(sum, 1e-14)) : sum / root[b]![b]!
    }
  for (let a = 0; a < p; a++) {
    let sum = right[a]!
    for (let k = 0; k < a; k++) sum -= root[a]![k]! * move[k]!
    move[a] = sum / root[a]![a]!
  }
  for (let a = p - 1; a >= 0; a--) {
    let sum = move[a]!
    for (let k = a + 1; k < p; k++) sum -= root[k]![a]! * move[k]!
    move[a] = sum / root[a]![a]!
  }
  return move
}

/** What a robust fit made of the points. */
export interface RobustFit extends Fitted {
  /** Reading minus curve, point by point. */
  residuals: number[]
  /** Usual size of a residual (1.4826 × median of their sizes), never below `leastScatter`. */
  scatter: number
  /** Points further off than 4 scatters; they were left out of the last fit. */
  outliers: boolean[]
}

/**
 * A fit that a few bad readings cannot bend: each round counts a point less the further off it is (Tukey's weights),
 * and outliers are named, not hidden.
 *
 * @param leastScatter the finest scatter a reading can have, in the unit of y.
 * @see Tukey's biweight, c = 4.685; Holland & Welsch 1977; from memory
 */
export function robustFit(
  model: Model,
  x: readonly number[],
  y: readonly number[],
  start: readonly number[],
  limits: readonly (readonly [number, number])[],
  leastScatter: number,
): RobustFit {
  let weights = x.map(() => 1)
  let fit = leastSquares(model, { x, y, weights }, start, limits)
  const left = () => y.map((value, i) => value - model.value(fit.parameters, x[i]!))
  const scatterOf = (residuals: readonly number[]) =>
    Math.max(leastScatter, 1.4826 * median(residuals.map(Math.abs)))
  for (let round = 0; round < 3; round++) {
    const residuals = left()
    const width = 4.685 * scatterOf(residuals)
    weights = residuals.map((off) => (Math.abs(off) < width ? (1 - (off / width) ** 2) ** 2 : 0))
    fit = leastSquares(model, { x, y, weights }, fit.parameters, limits, 15)
  }
  const residuals = left()
  const scatter = scatterOf(residuals)
  return { ...fit, residuals, scatter, outliers: residuals.map((off) => Math.abs(off) > 4 * scatter) }
}
