import { CoreError } from '../errors'
import type { FilmShape } from '../negative/drawing'
import { seededRandom } from '../quantity/random'

/** Everything that makes one chart what it is; its code carries the whole of it. */
export interface ChartPlan {
  /** Different tones, from clear film to all the ink, 5 to 101. */
  steps: number
  /** How often each tone is laid, 1 to 8. */
  repeats: number
  /** Patches are scattered, so that an uneven coat or light averages out; else in rows, for reading by hand. */
  isScattered: boolean
  /** A bar of clear film along the lower edge, to be cut off and exposed in steps. */
  hasStrip: boolean
  /** Which scattering, 0 to 31. */
  seed: number
  /** 0 for a chart of plain ink; else the mark of the curve through which it was laid, 1 to 16383. */
  tag: number
}

/** What is in one place of the grid: a step of the ramp, counted from clear film, whether it repeats one or not. */
export interface ChartPlace {
  column: number
  row: number
  step: number
}

/** Sizes in millimetres. */
export const PATCH = 8
export const PITCH = 10.5
const MARGIN = 5
/** A mark is a ring about a dot; rings keep their shape however a sheet is. */
export const MARK = { radius: 5, inner: 3.4, dot: 1.9 } as const
const TOP = 2 * MARK.radius + MARGIN + 2
const LABEL = 5
const CODE_HEIGHT = 5
/** Where the code is between the two upper marks, as shares of the way from one to the other. */
export const CODE_SPAN = [0.1, 0.9] as const
export const CODE_CELLS = 48
const STRIP_FIELDS = 10
/** Fields of known ink in every corner of the grid: clear film and all the ink. */
const CORNERS = 4

/** How a chart is on its film; millimetres. */
export interface ChartLayout {
  columns: number
  rows: number
  width: number
  height: number
  /** Upper left corner of the grid. */
  gridX: number
  gridY: number
  /** Centres of the marks: upper left, upper right, lower right, lower left. */
  marks: readonly (readonly [x: number, y: number])[]
  /** Room for a line of writing. */
  label: { x: number; y: number; width: number; height: number }
}

/** @throws CoreError `out-of-range` for a chart that cannot be drawn. */
export function chartLayout({ steps, repeats, seed, tag }: ChartPlan): ChartLayout {
  const whole = (value: number, low: number, high: number) =>
    Number.isInteger(value) && value >= low && value <= high
  if (!whole(steps, 5, 101) || !whole(repeats, 1, 8) || !whole(seed, 0, 31) || !whole(tag, 0, 16_383))
    throw new CoreError({
      code: 'out-of-range',
      field: 'chart',
      problem: 'This chart cannot be made.',
      remedy: 'Choose 5 to 101 steps with 1 to 8 patches each.',
    })
  const count = steps * repeats + 2 * CORNERS
  const columns = Math.max(11, Math.ceil(Math.sqrt(0.9 * count)))
  const rows = Math.max(3, Math.ceil(count / columns))
  const width = columns * PITCH - (PITCH - PATCH) + 2 * (MARGIN + 2)
  const gridY = TOP + 1
  const below = gridY + rows * PITCH
  const height = below + 2 * MARK.radius + LABEL + MARGIN
  const [left, right] = [MARGIN + MARK.radius, width - MARGIN - MARK.radius]
  const [top, bottom] = [MARGIN + MARK.radius, below + MARK.radius]
  return {
    columns,
    rows,
    width,
    height,
    gridX: MARGIN + 2,
    gridY,
    marks: [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ],
    label: { x: MARGIN, y: bottom + MARK.radius + 1, width: width - 2 * MARGIN, height: LABEL },
  }
}

/**
 * What is where in the grid, row by row. Every repeat of the ramp keeps to its own rows, so that no tone is only
 * in one part of the sheet.
 */
export function chartPlaces(plan: ChartPlan): ChartPlace[] {
  const { columns, rows } = chartLayout(plan)
  const [clear, full] = [0, plan.steps - 1]
  const places: ChartPlace[] = []
  const taken = new Set<number>()
  for (const row of [0, rows - 1])
    for (const [column, step] of [
      [0, clear],
      [1, full],
      [columns - 2, full],
      [columns - 1, clear],
    ] as const) {
      places.push({ column, row, step })
      taken.add(row * columns + column)
    }
  const random = seededRandom(plan.seed + 1)
  const ramp = Array.from({ length: plan.steps }, (_, step) => step)
  const order = Array.from({ length: plan.repeats }, () =>
    plan.isScattered ? shuffled(ramp, random) : ramp,
  ).flat()
  for (let at = 0, next = 0; next < order.length; at++) {
    if (taken.has(at)) continue
    places.push({ column: at % columns, row: Math.floor(at / columns), step: order[next++]! })
  }
  return places.sort((a, b) => a.row - b.row || a.column - b.column)
}

/** By Fisher and Yates's way. */
function shuffled<T>(of: readonly T[], random: () => number): T[] {
  const row = [...of]
  for (let i = row.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[row[i], row[j]] = [row[j]!, row[i]!]
  }
  return row
}

/** Corner of a place on the film, in millimetres. */
export const placeCorner = (
  { gridX, gridY }: Pick<ChartLayout, 'gridX' | 'gridY'>,
  { column, row }: Pick<ChartPlace, 'column' | 'row'>,
): { x: number; y: number } => ({ x: gridX + column * PITCH, y: gridY + row * PITCH })

/**
 * The chart as shapes on a ground of all the ink, which prints as bare paper; later shapes are over earlier ones.
 *
 * @param inkOfStep ink of 0 to 1 by tone of 0 to 1: the curve a checking chart is laid through.
 */
export function chartShapes(
  plan: ChartPlan,
  inkOfStep: (tone: number) => number = (tone) => tone,
): FilmShape[] {
  const layout = chartLayout(plan)
  const shapes: FilmShape[] = []
  for (const [x, y] of layout.marks)
    shapes.push(
      { kind: 'disc', x, y, radius: MARK.radius, ink: 0 },
      { kind: 'disc', x, y, radius: MARK.inner, ink: 1 },
      { kind: 'disc', x, y, radius: MARK.dot, ink: 0 },
    )
  const [from, to] = [layout.marks[0]!, layout.marks[1]!]
  const cell = ((to[0] - from[0]) * (CODE_SPAN[1] - CODE_SPAN[0])) / CODE_CELLS
  // Dark cells that touch are one bar, so that no seam is drawn between them.
  const cells = codeOf(plan)
  for (let i = 0; i < cells.length; i++) {
    if (!cells[i]) continue
    const start = i
    while (cells[i + 1]) i++
    shapes.push({
      kind: 'rect',
      x: from[0] + (to[0] - from[0]) * CODE_SPAN[0] + start * cell,
      y: from[1] - CODE_HEIGHT / 2,
      width: (i - start + 1) * cell,
      height: CODE_HEIGHT,
      ink: 0,
    })
  }
  for (const place of chartPlaces(plan))
    shapes.push({
      kind: 'rect',
      ...placeCorner(layout, place),
      width: PATCH,
      height: PATCH,
      ink: inkOfStep(place.step / (plan.steps - 1)),
    })
  if (plan.hasStrip) {
    const [x, y] = layout.marks[3]!
    const start = x + MARK.radius + 3
    const width = layout.marks[2]![0] - MARK.radius - 3 - start
    shapes.push({ kind: 'rect', x: start, y: y - MARK.radius, width, height: 2 * MARK.radius, ink: 0 })
    for (let i = 1; i < STRIP_FIELDS; i++)
      shapes.push({
        kind: 'rect',
        x: start + (i * width) / STRIP_FIELDS - 0.2,
        y: y - MARK.radius,
        width: 0.4,
        height: 3,
        ink: 1,
      })
  }
  return shapes
}

const FIELDS = [
  ['version', 1],
  ['steps', 7],
  ['repeats', 3],
  ['isScattered', 1],
  ['hasStrip', 1],
  ['seed', 5],
  ['tag', 14],
] as const
const PAYLOAD = FIELDS.reduce((sum, [, bits]) => sum + bits, 0)
/** Bits that the code is mixed with, so that no plan gives one long bar of black or of white. */
const WHITENING = (() => {
  const random = seededRandom(2026)
  return Array.from({ length: CODE_CELLS }, () => random() < 0.5)
})()

/**
 * The code along the upper edge, cell by cell: the plan, and 16 bits by which it is known to be read rightly.
 *
 * @returns shape (CODE_CELLS,), `true` for a cell that prints dark.
 */
export function codeOf(plan: ChartPlan): boolean[] {
  const values: Record<(typeof FIELDS)[number][0], number> = {
    version: 1,
    steps: plan.steps,
    repeats: plan.repeats - 1,
    isScattered: Number(plan.isScattered),
    hasStrip: Number(plan.hasStrip),
    seed: plan.seed,
    tag: plan.tag,
  }
  const bits = FIELDS.flatMap(([name, length]) =>
    Array.from({ length }, (_, i) => ((values[name] >> (length - 1 - i)) & 1) === 1),
  )
  const check = crc16(bits)
  const all = [...bits, ...Array.from({ length: 16 }, (_, i) => ((check >> (15 - i)) & 1) === 1)]
  return all.map((bit, i) => bit !== WHITENING[i])
}

/** The plan that a code tells of, or `null` where it was not read rightly. */
export function planOfCode(cells: readonly boolean[]): ChartPlan | null {
  const bits = cells.map((cell, i) => cell !== WHITENING[i])
  const number = (from: number, length: number) =>
    bits.slice(from, from + length).reduce((sum, bit) => 2 * sum + Number(bit), 0)
  if (cells.length !== CODE_CELLS || crc16(bits.slice(0, PAYLOAD)) !== number(PAYLOAD, 16)) return null
  const values: Record<string, number> = {}
  let at = 0
  for (const [name, length] of FIELDS) {
    values[name] = number(at, length)
    at += length
  }
  const plan = {
    steps: values.steps!,
    repeats: values.repeats! + 1,
    isScattered: values.isScattered === 1,
    hasStrip: values.hasStrip === 1,
    seed: values.seed!,
    tag: values.tag!,
  }
  return values.version === 1 && plan.steps >= 5 && plan.steps <= 101 ? plan : null
}

/** @see CRC-16/CCITT-FALSE: polynomial 0x1021, start 0xFFFF; check value of "123456789" is 0x29B1 */
export function crc16(bits: readonly boolean[]): number {
  let rest = 0xffff
  for (const bit of bits) {
    const top = (rest >> 15) & 1
    rest = (rest << 1) & 0xffff
    if (top !== Number(bit)) rest ^= 0x1021
  }
  return rest
}

/**
 * Mark of a curve, by which a checking chart is told from one of another curve.
 *
 * @returns 1 to 16383.
 */
export function tagOf(curve: { inks: readonly number[] }): number {
  let hash = 0x811c9dc5
  for (const ink of curve.inks) {
    const level = Math.round(10_000 * ink)
    hash = Math.imul(hash ^ (level & 0xff), 0x01000193)
    hash = Math.imul(hash ^ (level >> 8), 0x01000193)
  }
  return ((hash >>> 0) % 16_383) + 1
}
