export type Point = readonly [x: number, y: number]

/** Eight numbers h of x' = (h₀x + h₁y + h₂)/(h₆x + h₇y + 1), y' = (h₃x + h₄y + h₅)/(h₆x + h₇y + 1). */
export type Homography = readonly number[]

/**
 * The straight-line-keeping map that takes four points to four others.
 *
 * @returns `null` where three of them are on one line.
 * @see Hartley & Zisserman, Multiple View Geometry, 4.1; from memory
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | null {
  const rows: number[][] = []
  for (let i = 0; i < 4; i++) {
    const [[x, y], [u, v]] = [from[i]!, to[i]!]
    rows.push([x, y, 1, 0, 0, 0, -x * u, -y * u, u], [0, 0, 0, x, y, 1, -x * v, -y * v, v])
  }
  return solveLinear(rows)
}

/** Where a homography puts a point, in the units of its target. Not finite for a point on the horizon. */
export function mapped(h: Homography, [x, y]: Point): [number, number] {
  const w = h[6]! * x + h[7]! * y + 1
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w]
}

/**
 * Solves a square set of linear equations by elimination with row exchange.
 *
 * @param rows shape (n, n + 1), the right side last; changed in place.
 * @returns shape (n,), or `null` where they have no one answer.
 */
export function solveLinear(rows: number[][]): number[] | null {
  const n = rows.length
  for (let column = 0; column < n; column++) {
    let best = column
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[best]![column]!)) best = row
    ;[rows[column], rows[best]] = [rows[best]!, rows[column]!]
    const pivot = rows[column]![column]!
    if (!(Math.abs(pivot) > 1e-12)) return null
    for (let row = 0; row < n; row++) {
      if (row === column) continue
      const share = rows[row]![column]! / pivot
      if (share) for (let k = column; k <= n; k++) rows[row]![k]! -= share * rows[column]![k]!
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!)
}
