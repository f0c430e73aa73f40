import { refusalAt } from '../errors'
import {
  chartLayout,
  CODE_CELLS,
  CODE_SPAN,
  PATCH,
  placeCorner,
  planOfCode,
  type ChartPlan,
} from '../chart/chart'
import { homographyOf, mapped, type Homography, type Point } from '../negative/homography'
import { findMarks, refined, type FoundMark } from './marks'
import { median } from '../quantity/statistics'
import type { GreyPicture } from '../negative/resample'

/** A chart as it is in a picture. */
export interface FoundChart {
  plan: ChartPlan
  /** From millimetres on the film, as the print shows it, to pixels of the picture. */
  toPixels: Homography
  pixelsPerMillimetre: number
  /** Whether the picture shows it turned left to right. */
  isMirrored: boolean
}

/** Light at a place of the film, mm, as a picture shows it; not a number outside of the picture. */
export type Seen = (at: Point) => number

/** How a picture shows a chart that was found in it. */
export const seenIn =
  (picture: GreyPicture, { toPixels }: Pick<FoundChart, 'toPixels'>): Seen =>
  (at) =>
    lightAt(picture, mapped(toPixels, at))

/** More marks than this are chance. */
const MOST_MARKS = 9

/**
 * Finds a chart by its marks and its code, however the picture is turned, tilted or mirrored.
 *
 * @throws CoreError `no-chart` where there are no marks, `no-code` where no code among them can be read.
 */
export function findChart(picture: GreyPicture): FoundChart {
  const marks = findMarks(picture)
    .slice(0, MOST_MARKS)
    .map((mark) => refined(picture, mark))
  const missing = missingRings(marks, picture)
  if (marks.length < 3)
    throw refuse(
      'no-chart',
      `${marks.length || 'None'} of the four corner marks were found in this picture.${missing}`,
      'Include the whole chart with all four rings, sharp and at least 600 pixels wide.',
    )
  for (const corners of quadrilaterals(picture, marks)) {
    const found = readCode(picture, corners)
    if (found) return found
  }
  throw refuse(
    'no-code',
    marks.length === 3
      ? `Three of the four corner marks were found.${missing}`
      : 'The corner marks were found, but the code between the upper two cannot be read.',
    marks.length === 3
      ? 'Include the whole chart with all four rings, and the bars between the upper two.'
      : 'Scan sharper or larger, and keep the bars along the upper edge uncovered.',
  )
}

/** Which rings are missing, as the picture is seen; empty where that is not clear. */
function missingRings(marks: readonly FoundMark[], { width, height }: GreyPicture): string {
  const [one, two, three] = marks
  if (marks.length === 2 && one && two) {
    const isAcross = Math.abs(one.x - two.x) > Math.abs(one.y - two.y)
    const side = isAcross
      ? (one.y + two.y) / 2 < height / 2
        ? 'lower'
        : 'upper'
      : (one.x + two.x) / 2 < width / 2
        ? 'right'
        : 'left'
    return ` The two ${isAcross ? `${side} ones` : `at the ${side}`} are missing.`
  }
  if (marks.length !== 3 || !one || !two || !three) return ''
  // Of the three, the one at the right angle is opposite to the missing one.
  const cosine = (at: FoundMark, a: FoundMark, b: FoundMark) =>
    Math.abs(
      ((a.x - at.x) * (b.x - at.x) + (a.y - at.y) * (b.y - at.y)) /
        (Math.hypot(a.x - at.x, a.y - at.y) * Math.hypot(b.x - at.x, b.y - at.y) || 1),
    )
  const ways = [
    [one, two, three],
    [two, one, three],
    [three, one, two],
  ] as const
  const [corner, a, b] = [...ways].sort((p, q) => cosine(...p) - cosine(...q))[0] ?? ways[0]
  const [x, y] = [a.x + b.x - corner.x, a.y + b.y - corner.y]
  const across = x > (a.x + b.x) / 2 ? 'right' : 'left'
  return ` The one at the ${y > (a.y + b.y) / 2 ? 'lower' : 'upper'} ${across} is missing.`
}

/** Fours of marks that may be a chart, in order around their middle; of three the fourth is computed. */
function* quadrilaterals(picture: GreyPicture, marks: readonly FoundMark[]): Generator<Point[]> {
  const point = ({ x, y }: FoundMark): Point => [x, y]
  for (const [a, b, c, d] of fours(marks)) yield around([point(a), point(b), point(c), point(d)])
  for (let i = 0; i < marks.length; i++)
    for (let j = 0; j < marks.length; j++)
      for (let k = j + 1; k < marks.length; k++) {
        if (j === i || k === i) continue
        const [corner, one, other] = [marks[i]!, marks[j]!, marks[k]!]
        const guess = { ...corner, x: one.x + other.x - corner.x, y: one.y + other.y - corner.y }
        // Of a broken ring the dot may still be there.
        for (const fourth of [refined(picture, guess), guess])
          yield around([point(corner), point(one), point(other), point(fourth)])
      }
}

function* fours<T>(of: readonly T[]): Generator<[T, T, T, T]> {
  for (let a = 0; a < of.length; a++)
    for (let b = a + 1; b < of.length; b++)
      for (let c = b + 1; c < of.length; c++)
        for (let d = c + 1; d < of.length; d++) yield [of[a]!, of[b]!, of[c]!, of[d]!]
}

/** Clockwise as the picture is seen. */
function around(points: Point[]): Point[] {
  const [cx, cy] = [0, 1].map((axis) => points.reduce((sum, point) => sum + point[axis]!, 0) / 4) as [
    number,
    number,
  ]
  return points.sort((a, b) => Math.atan2(a[1] - cy, a[0] - cx) - Math.atan2(b[1] - cy, b[0] - cx))
}

const UNIT: Point[] = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
]

function readCode(picture: GreyPicture, corners: readonly Point[]): FoundChart | null {
  for (const isMirrored of [false, true])
    for (let turn = 0; turn < 4; turn++) {
      const order = [0, 1, 2, 3].map((i) => corners[(turn + (isMirrored ? 4 - i : i)) % 4]!)
      const unit = homographyOf(UNIT, order)
      if (!unit) continue
      const plan = decoded(picture, unit)
      if (!plan) continue
      const layout = chartLayout(plan)
      const toPixels = homographyOf(layout.marks, order)
      if (!toPixels || !standsFirm(picture, plan, toPixels)) continue
      const width = Math.hypot(order[1]![0] - order[0]![0], order[1]![1] - order[0]![1])
      return {
        plan,
        toPixels,
        isMirrored,
        pixelsPerMillimetre: width / (layout.marks[1]![0] - layout.marks[0]![0]),
      }
    }
  return null
}

/**
 * Whether the clear and the full fields of all four corners are where they should: two marks are enough for the code,
 * but not for the place.
 */
function standsFirm(picture: GreyPicture, plan: ChartPlan, toPixels: Homography): boolean {
  const layout = chartLayout(plan)
  const light = (column: number, row: number) => {
    const { x, y } = placeCorner(layout, { column, row })
    const lights: number[] = []
    for (const dx of [0.2, 0.5, 0.8])
      for (const dy of [0.2, 0.5, 0.8])
        lights.push(lightAt(picture, mapped(toPixels, [x + dx * PATCH, y + dy * PATCH])))
    return lights.some(Number.isNaN) ? Number.NaN : median(lights)
  }
  const last = { column: layout.columns - 1, row: layout.rows - 1 }
  return [0, last.row].every((row) =>
    [
      [0, 1],
      [last.column, last.column - 1],
    ].every(([clear, full]) => light(clear!, row) < 0.75 * light(full!, row)),
  )
}

/** Where a cell is read, as shares of the chart's height, so that a speck does not make a bar. */
const ACROSS = [-0.008, -0.004, 0, 0.004, 0.008]

/** Each cell is told dark or light against the lightest and darkest near it; then, if need be, against all. */
function decoded(picture: GreyPicture, unit: Homography): ChartPlan | null {
  const [from, to] = CODE_SPAN
  const cell = (to - from) / CODE_CELLS
  const values = Array.from({ length: CODE_CELLS }, (_, i) => {
    const lights: number[] = []
    for (const along of [-0.2, 0, 0.2])
      for (const across of ACROSS)
        lights.push(lightAt(picture, mapped(unit, [from + (i + 0.5 + along) * cell, across])))
    return lights.some(Number.isNaN) ? Number.NaN : Math.sqrt(Math.max(0, median(lights)))
  })
  if (values.some(Number.isNaN)) return null
  for (const reach of [8, CODE_CELLS]) {
    const cells = values.map((value, i) => {
      const near = values.slice(Math.max(0, i - reach), i + reach + 1)
      return value < (Math.min(...near) + Math.max(...near)) / 2
    })
    const plan = planOfCode(cells)
    if (plan) return plan
  }
  return null
}

/** Light at a place of a picture, between its pixels; not a number outside of it. */
export function lightAt({ width, height, data }: GreyPicture, [x, y]: Point): number {
  const [px, py] = [x - 0.5, y - 0.5]
  const [left, top] = [Math.floor(px), Math.floor(py)]
  if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) return Number.NaN
  const [dx, dy] = [px - left, py - top]
  const at = top * width + left
  const upper = data[at]! * (1 - dx) + data[at + 1]! * dx
  const lower = data[at + width]! * (1 - dx) + data[at + width + 1]! * dx
  return upper * (1 - dy) + lower * dy
}

const refuse = refusalAt('the scan')
