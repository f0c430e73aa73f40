import { CoreError } from '../errors'
import { inkOf, type NegativeCurve } from '../tone/curve'
import type { Writing } from './drawing'
import { borderShapes, edgePixels, filmOf, type Border } from './film'
import { partOf, turnedBy, type Framing, type Part } from './frame'
import { resampled, wholeOf, type GreyPicture, type LightRows } from './resample'
import { lightnessOf, toneCurve, type TonePoint } from './tone'

/** What a negative is to be. */
export interface NegativePlan {
  /** Of the picture, without its border. */
  widthMillimetres: number
  heightMillimetres: number
  pixelsPerInch: number
  framing: Framing
  points: readonly TonePoint[]
  /** How much tones are set off from their neighbourhood, and edges from each other: 0 not at all, 1 as much as is wise. */
  localContrast: number
  sharpening: number
  curve: Pick<NegativeCurve, 'tones' | 'inks'>
  /** Dark on the film where the picture is dark, for white lines on a dark print; a negative when left out. */
  isPositive?: boolean
  border: Border
  /** Emulsion to emulsion: the film is seen from its back, so the picture on it is turned left to right. */
  isMirrored: boolean
}

/** Largest area that is made: a sheet of 24 × 36 in at 450 to the inch, and no more than memory bears. */
const MOST_PIXELS = 200_000_000

/**
 * Size of a negative's film in pixels, with its border.
 *
 * @throws CoreError `out-of-range` for sizes that cannot be made.
 */
export function negativeSize(
  plan: Pick<NegativePlan, 'widthMillimetres' | 'heightMillimetres' | 'pixelsPerInch' | 'border'>,
): {
  width: number
  height: number
} {
  const { width, height } = pictureSize(plan)
  const edge = edgePixels(plan.border, plan.pixelsPerInch)
  if (!(plan.pixelsPerInch >= 36 && plan.pixelsPerInch <= 2880))
    throw refuse(
      'resolution',
      `${plan.pixelsPerInch} ppi cannot be printed.`,
      'Enter 240 to 720 ppi; 360 is usual.',
    )
  if (!(plan.border.millimetres >= 0 && plan.border.millimetres <= 100))
    throw refuse(
      'border',
      'This border is not possible.',
      'Enter 0 to 100 mm; 10 mm leaves room for register marks.',
    )
  const [w, h] = [width + 2 * edge, height + 2 * edge]
  if (!(width >= 16 && height >= 16) || w * h > MOST_PIXELS)
    throw refuse(
      'size',
      `${w} × ${h} pixels is not a usable size.`,
      'Choose a smaller print or a lower resolution.',
    )
  return { width: w, height: h }
}

/** Of the picture alone. */
const pictureSize = (
  plan: Pick<NegativePlan, 'widthMillimetres' | 'heightMillimetres' | 'pixelsPerInch'>,
): { width: number; height: number } => {
  const pixels = (side: number) => Math.round((side / 25.4) * plan.pixelsPerInch)
  return { width: pixels(plan.widthMillimetres), height: pixels(plan.heightMillimetres) }
}

/** Steps of the table from linear light; it is spread by the square root, since dark tones need finer steps. */
const TABLE = 8192
/** What 1 of local contrast and of sharpening add of the difference from the neighbourhood. */
const MOST_LOCAL = 0.6
const MOST_SHARP = 1.2

/**
 * Makes a negative, row by row: linear-light grey picture in, rows of ink of its film out, 0 clear film and 1 all the
 * ink, with border, marks, strip and writing.
 *
 * @param writing laid into the border.
 * @returns each row in order; the array is used again for the next one.
 * @throws CoreError `out-of-range`.
 */
export function* renderNegative(
  picture: GreyPicture | LightRows,
  plan: NegativePlan,
  writing?: Writing,
): Generator<Float32Array> {
  negativeSize(plan)
  const { width, height } = pictureSize(plan)
  const upright = plan.framing.turns ? turnedBy(wholeOf(picture), plan.framing.turns) : picture
  const part = partOf(upright, width / height, plan.framing)
  const light = resampled(upright, width, height, part)
  const inks =
    plan.localContrast > 0 || plan.sharpening > 0
      ? adjusted(light, upright, part, width, height, plan)
      : looked(light, width, plan)
  const { border, isMirrored, pixelsPerInch } = plan
  const shapes = borderShapes(border, plan.widthMillimetres, plan.heightMillimetres, inkOf(plan.curve))
  yield* filmOf(inks, { border, shapes, writing, isMirrored, pixelsPerInch, width, height })
}

/** Ink of a tone of 0 to 1, on a negative or a positive film. */
export function filmInk({
  curve,
  isPositive,
}: Pick<NegativePlan, 'curve' | 'isPositive'>): (tone: number) => number {
  const ink = inkOf(curve)
  return isPositive ? (tone) => ink(1 - tone) : ink
}

/** Straight from light to ink, by one table. */
function* looked(light: Iterable<Float32Array>, width: number, plan: NegativePlan): Generator<Float32Array> {
  const [tone, ink] = [toneCurve(plan.points), filmInk(plan)]
  const table = Float32Array.from({ length: TABLE + 2 }, (_, i) => ink(tone((i / TABLE) ** 2)))
  const out = new Float32Array(width)
  for (const row of light) {
    lookUp(row, table, out)
    yield out
  }
}

/** Values of a table by the square root of light, with what is between its steps. */
function lookUp(row: Float32Array, table: Float32Array, out: Float32Array): void {
  for (let x = 0; x < out.length; x++) {
    const light = row[x]!
    const place = TABLE * Math.sqrt(light > 0 ? (light < 1 ? light : 1) : 0)
    const low = place | 0
    out[x] = table[low]! + (table[low + 1]! - table[low]!) * (place - low)
  }
}

/** From light to tone, set off from the neighbourhood, sharpened, and then to ink. */
function* adjusted(
  light: Iterable<Float32Array>,
  picture: GreyPicture | LightRows,
  part: Part,
  width: number,
  height: number,
  plan: NegativePlan,
): Generator<Float32Array> {
  const [toneOf, inkOfTone] = [toneCurve(plan.points), filmInk(plan)]
  const tones = Float32Array.from({ length: TABLE + 2 }, (_, i) => toneOf((i / TABLE) ** 2))
  const inks = Float32Array.from({ length: TABLE + 2 }, (_, i) => inkOfTone(Math.min(1, i / TABLE)))
  const around = plan.localContrast > 0 ? neighbourhood(picture, part, toneOf) : null
  const local = MOST_LOCAL * plan.localContrast
  const sharp = MOST_SHARP * plan.sharpening
  const rows = [0, 1, 2].map(() => new Float32Array(width))
  const out = new Float32Array(width)
  const give = (above: Float32Array, row: Float32Array, below: Float32Array): Float32Array => {
    for (let x = 0; x < width; x++) {
      let tone = row[x]!
      if (sharp) {
        const [left, right] = [x ? x - 1 : 0, x < width - 1 ? x + 1 : x]
        const sides = above[x]! + below[x]! + row[left]! + row[right]!
        const corners = above[left]! + above[right]! + below[left]! + below[right]!
        tone += sharp * (tone - (4 * tone + 2 * sides + corners) / 16)
      }
      const place = TABLE * (tone > 0 ? (tone < 1 ? tone : 1) : 0)
      const low = place | 0
      out[x] = inks[low]! + (inks[low + 1]! - inks[low]!) * (place - low)
    }
    return out
  }
  let y = 0
  for (const row of light) {
    const tone = rows[y % 3]!
    lookUp(row, tones, tone)
    if (around)
      for (let x = 0; x < width; x++)
        tone[x]! += local * (tone[x]! - around((x + 0.5) / width, (y + 0.5) / height))
    if (y === 1) yield give(rows[0]!, rows[0]!, rows[1]!)
    if (y > 1) yield give(rows[(y - 2) % 3]!, rows[(y - 1) % 3]!, rows[y % 3]!)
    y++
  }
  const last = rows[(y - 1) % 3]!
  yield give(y > 1 ? rows[(y - 2) % 3]! : last, last, last)
}

/** Side of the small picture from which a neighbourhood is taken, and reach of a neighbourhood in it. */
const SMALL = 200
const REACH = 8

/**
 * Mean tone of the neighbourhood of a place: a 25th of the longer side in every direction.
 *
 * @returns a function of shares across and down.
 */
function neighbourhood(
  picture: GreyPicture | LightRows,
  part: Part,
  toneOf: (light: number) => number,
): (across: number, down: number) => number {
  const scale = Math.min(1, SMALL / Math.max(part.width, part.height))
  const width = Math.max(2, Math.round(part.width * scale))
  const height = Math.max(2, Math.round(part.height * scale))
  const data = new Float32Array(width * height)
  let at = 0
  for (const row of resampled(picture, width, height, part))
    for (const light of row) data[at++] = toneOf(Math.min(1, Math.max(0, light)))
  // Means of means of means come near a bell.
  for (let round = 0; round < 3; round++) {
    blur(data, height, width, width, 1)
    blur(data, width, height, 1, width)
  }
  return (across, down) => {
    const x = Math.min(width - 1, Math.max(0, across * width - 0.5))
    const y = Math.min(height - 1, Math.max(0, down * height - 0.5))
    const [left, top] = [Math.min(width - 2, x | 0), Math.min(height - 2, y | 0)]
    const place = top * width + left
    const upper = data[place]! + (data[place + 1]! - data[place]!) * (x - left)
    const lower = data[place + width]! + (data[place + width + 1]! - data[place + width]!) * (x - left)
    return upper + (lower - upper) * (y - top)
  }
}

/** Running mean along `count` lines of `length`; the ends repeat. */
function blur(data: Float32Array, count: number, length: number, lineStep: number, step: number): void {
  const line = new Float32Array(length)
  for (let i = 0; i < count; i++) {
    for (let k = 0; k < length; k++) line[k] = data[i * lineStep + k * step]!
    const value = (k: number) => line[Math.min(length - 1, Math.max(0, k))]!
    let sum = 0
    for (let k = -REACH; k <= REACH; k++) sum += value(k)
    for (let k = 0; k < length; k++) {
      data[i * lineStep + k * step] = sum / (2 * REACH + 1)
      sum += value(k + REACH + 1) - value(k - REACH)
    }
  }
}

/**
 * How many pixels of a picture have each whole L* from 0 to 100.
 *
 * @param picture linear-light grey, after its points of tone.
 * @returns counts, shape (101,), by L*.
 */
export function histogramOf(picture: GreyPicture): number[] {
  const counts = new Array<number>(101).fill(0)
  for (const light of picture.data) counts[Math.round(lightnessOf(Math.min(1, Math.max(0, light))))]!++
  return counts
}

const refuse = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
