import { CoreError } from '../errors'
import { solveLinear, type Point } from '../negative/homography'
import { distance } from './register'

/** Where a mark of the upper layer should be on the lower one, and where it is; mm from the middle of the film. */
export interface MarkPair {
  lower: Point
  upper: Point
}

/** How the upper layer is on the lower one. */
export interface Register {
  /** At the middle of the film: to the right and down, mm. */
  shift: Point
  /** Clockwise, degrees. */
  turnDegrees: number
  /** How much longer the upper layer is than the lower one, as shares; below 0 where it is shorter. */
  stretchAcross: number
  stretchDown: number
  /** The furthest that any mark is off, mm. */
  worst: number
  /** What shift, turn and stretch leave unexplained: how far the reading can be trusted, mm. */
  residual: number
}

/**
 * Shift, turn and stretch from pairs of marks, by least squares.
 *
 * @param pairs at least three, not on one line. @throws CoreError `no-marks`.
 */
export function registerOf(pairs: readonly MarkPair[]): Register {
  const n = pairs.length
  const sums = (target: 0 | 1): number[] | null => {
    // u = t + a·x + b·y
    const rows = [0, 1, 2].map(() => [0, 0, 0, 0])
    for (const { lower, upper } of pairs) {
      const basis = [1, lower[0], lower[1]]
      const value = upper[target] - lower[target]
      basis.forEach((one, i) => {
        basis.forEach((other, j) => (rows[i]![j]! += one * other))
        rows[i]![3]! += one * value
      })
    }
    return solveLinear(rows)
  }
  const [u, v] = [sums(0), sums(1)]
  if (!u || !v)
    throw new CoreError({
      code: 'no-marks',
      field: 'register',
      problem: 'These marks are not enough to separate shift, rotation and stretch.',
      remedy: 'Use three or more marks that are not on one line.',
    })
  const left = pairs.map(({ lower, upper }) => {
    const [x, y] = lower
    return Math.hypot(
      upper[0] - lower[0] - (u[0]! + u[1]! * x + u[2]! * y),
      upper[1] - lower[1] - (v[0]! + v[1]! * x + v[2]! * y),
    )
  })
  return {
    shift: [u[0]!, v[0]!],
    turnDegrees: (((v[1]! - u[2]!) / 2) * 180) / Math.PI,
    stretchAcross: u[1]!,
    stretchDown: v[2]!,
    worst: Math.max(...pairs.map(({ lower, upper }) => distance(lower, upper))),
    residual: Math.sqrt(left.reduce((sum, one) => sum + one ** 2, 0) / n),
  }
}

/** What to do for the next print, the greatest fault first. */
export type RegisterAdvice =
  | { kind: 'good' }
  | { kind: 'move'; right: number; down: number }
  | { kind: 'turn'; degrees: number; atEdge: number }
  | { kind: 'stretch'; across: number; down: number; millimetres: number }
  | { kind: 'uneven'; millimetres: number }

/** What the eye does not see at reading distance, mm: common practice, where this app starts. */
export const UNSEEN = 0.2

/** @param film sides of the picture, mm. */
export function registerAdvice(
  { shift, turnDegrees, stretchAcross, stretchDown, residual }: Register,
  film: { width: number; height: number },
): RegisterAdvice[] {
  const half = Math.hypot(film.width, film.height) / 2
  const atEdge = (Math.abs(turnDegrees) * Math.PI * half) / 180
  const longer = Math.max(Math.abs(stretchAcross) * film.width, Math.abs(stretchDown) * film.height) / 2
  const found: [number, RegisterAdvice][] = [
    [Math.hypot(...shift), { kind: 'move', right: -shift[0], down: -shift[1] }],
    [atEdge, { kind: 'turn', degrees: -turnDegrees, atEdge }],
    [longer, { kind: 'stretch', across: stretchAcross, down: stretchDown, millimetres: longer }],
    [residual, { kind: 'uneven', millimetres: residual }],
  ]
  const seen = found.filter(([millimetres]) => millimetres > UNSEEN).sort((a, b) => b[0] - a[0])
  return seen.length ? seen.map(([, advice]) => advice) : [{ kind: 'good' }]
}
