import { LEAST_MARKED } from '@core/negative/film'
import { partOf, turnedBy } from '@core/negative/frame'
import { srgbFromLinear } from '@core/tone/srgb'
import { colourOf, srgbOf, wetLightness, type PrintColours } from '@core/negative/proof'
import { renderNegative, type NegativePlan } from '@core/negative/render'
import { resampled, type GreyPicture } from '@core/negative/resample'

/** Longest side of what is drawn: fine enough to judge, quick enough for every key. */
const LONGEST = 420

/** A film and its picture, small, as it would come from the worker. */
export interface Proof {
  width: number
  height: number
  /** Ink on the film, shape (width · height,), as the print is seen: not turned left to right. */
  ink: Float32Array
  /** Light of the picture before anything was done to its tones, 1 where the border is. */
  before: Float32Array
}

/** @throws CoreError what `renderNegative` throws. */
export function proofOf(preview: GreyPicture, plan: NegativePlan): Proof {
  const inches = Math.max(plan.widthMillimetres, plan.heightMillimetres) / 25.4
  const pixelsPerInch = Math.max(36, LONGEST / inches)
  // Sharpening is for the size of the film; at this one it would be another.
  const border = plan.border.millimetres < LEAST_MARKED ? { ...plan.border, millimetres: 0 } : plan.border
  const small = { ...plan, pixelsPerInch, sharpening: 0, isMirrored: false, border }
  const rows = Array.from(renderNegative(preview, small), (row) => row.slice())
  const [width, height] = [rows[0]?.length ?? 0, rows.length]
  const ink = new Float32Array(width * height)
  rows.forEach((row, y) => ink.set(row, y * width))

  const edge = Math.round((border.millimetres / 25.4) * pixelsPerInch)
  const [w, h] = [width - 2 * edge, height - 2 * edge]
  const upright = turnedBy(preview, plan.framing.turns)
  const before = new Float32Array(width * height).fill(1)
  let y = edge
  const part = partOf(upright, plan.widthMillimetres / plan.heightMillimetres, plan.framing)
  for (const row of resampled(upright, w, h, part)) before.set(row, width * y++ + edge)
  return { width, height, ink, before }
}

const STEPS = 512
type Table = Uint8ClampedArray

/**
 * Colours of a print by ink of 0 to 1, in so many steps.
 *
 * @param wet share of net density that drying will add; `null` for the dry print.
 */
export function printTable(print: (ink: number) => number, colours: PrintColours, wet: number | null): Table {
  const table = new Uint8ClampedArray(3 * (STEPS + 1))
  for (let i = 0; i <= STEPS; i++) {
    const dry = print(i / STEPS)
    const lightness = wet === null ? dry : wetLightness(dry, wet, colours.paper.L)
    table.set(srgbOf(colourOf(colours, lightness)), 3 * i)
  }
  return table
}

/** Film on a light table, whose ink may have a colour. */
export function filmTable(tint: readonly [number, number, number]): Table {
  const table = new Uint8ClampedArray(3 * (STEPS + 1))
  for (let i = 0; i <= STEPS; i++)
    for (let c = 0; c < 3; c++) table[3 * i + c] = 250 - (i / STEPS) * (250 - (25 + 200 * tint[c]!))
  return table
}

/** The picture as it came: sRGB of its light. */
export const pictureTable: Table = (() => {
  const table = new Uint8ClampedArray(3 * (STEPS + 1))
  for (let i = 0; i <= STEPS; i++) {
    table.fill(255 * srgbFromLinear(i / STEPS), 3 * i, 3 * i + 3)
  }
  return table
})()

/** Draws values of 0 to 1 through one table left of the edge, and through another right of it. */
export function paint(
  into: Uint8ClampedArray,
  width: number,
  split: number,
  left: { values: Float32Array; table: Table },
  right: { values: Float32Array; table: Table },
): void {
  for (let at = 0, x = 0; 4 * at < into.length; at++) {
    const { values, table } = x < split ? left : right
    const value = values[at]!
    const step = 3 * Math.round(STEPS * (value > 0 ? (value < 1 ? value : 1) : 0))
    into[4 * at] = table[step]!
    into[4 * at + 1] = table[step + 1]!
    into[4 * at + 2] = table[step + 2]!
    into[4 * at + 3] = 255
    if (++x === width) x = 0
  }
}
