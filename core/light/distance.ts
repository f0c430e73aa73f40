import { CoreError } from '../errors'

/** How the light of a source falls off with distance; distances in millimetres, from the source to the paper. */
export type Falloff =
  /** A bulb, small against its distance. */
  | { kind: 'point' }
  /** A tube, or a row of them, of a length. */
  | { kind: 'line'; lengthMillimetres: number }
  /** What the user measured: strengths in any one unit. */
  | { kind: 'table'; rows: readonly { millimetres: number; strength: number }[] }

/**
 * Strength at one distance over strength at another.
 *
 * A point falls off as 1/d². A line that shines like a matt surface gives (θ + sin θ cos θ)/d before its middle, with
 * tan θ = L/2d: as 1/d close by and as 1/d² far off. A table is read by a straight line between the logarithms of
 * both, and goes on beyond its ends as it went there.
 *
 * @returns share above 0; 1 for the same distance.
 * @throws CoreError `out-of-range` for a distance of nothing; `too-few` for a table of fewer than two distances.
 * @see inverse square law; line source: integral of cos²θ along the tube (arithmetic)
 */
export function strengthAtDistance(falloff: Falloff, fromMillimetres: number, toMillimetres: number): number {
  for (const d of [fromMillimetres, toMillimetres])
    if (!(d > 0))
      throw new CoreError({
        code: 'out-of-range',
        field: 'distance',
        problem: 'The distance must be above zero.',
        remedy: 'Enter the distance from lamp to paper, for example 150 mm.',
      })
  const strength = strengthOf(falloff)
  return strength(toMillimetres) / strength(fromMillimetres)
}

function strengthOf(falloff: Falloff): (millimetres: number) => number {
  switch (falloff.kind) {
    case 'point':
      return (d) => 1 / d ** 2
    case 'line':
      return (d) => {
        const theta = Math.atan(falloff.lengthMillimetres / (2 * d))
        return (theta + Math.sin(theta) * Math.cos(theta)) / d
      }
    case 'table':
      return tableOf(falloff.rows)
  }
}

function tableOf(
  rows: readonly { millimetres: number; strength: number }[],
): (millimetres: number) => number {
  const points = rows
    .filter((row) => row.millimetres > 0 && row.strength > 0)
    .map((row) => [Math.log(row.millimetres), Math.log(row.strength)] as const)
    .sort((a, b) => a[0] - b[0])
    .filter((point, i, all) => point[0] !== all[i - 1]?.[0])
  if (points.length < 2)
    throw new CoreError({
      code: 'too-few',
      field: 'distance',
      problem: 'The table needs at least two different distances.',
      remedy: 'Measure at another distance too, or choose bulb or tube.',
    })
  return (millimetres) => {
    const x = Math.log(millimetres)
    const upper = Math.max(
      1,
      points.findIndex((point) => point[0] >= x) === -1
        ? points.length - 1
        : points.findIndex((point) => point[0] >= x),
    )
    const [[x0, y0], [x1, y1]] = [points[upper - 1]!, points[upper]!]
    return Math.exp(y0 + ((y1 - y0) * (x - x0)) / (x1 - x0))
  }
}

/**
 * What several sheets in the light's way let through together.
 *
 * @param transmissions each from above 0 to 1, sheet by sheet; tissue laid double counts twice.
 * @see transmissions multiply, densities add (ISO 5-2; from memory)
 */
export const throughLayers = (transmissions: readonly number[]): number =>
  transmissions.reduce((product, one) => product * one, 1)
