import type { Part } from './frame'

/** A picture of one channel. */
export interface GreyPicture {
  width: number
  height: number
  /** Shape (width · height,), row by row. */
  data: Float32Array
}

/** Reach of the filter in source pixels of its own size: Lanczos of three lobes. */
const LOBES = 3

const lanczos = (x: number): number => {
  if (x === 0) return 1
  if (Math.abs(x) >= LOBES) return 0
  const a = Math.PI * x
  return (LOBES * Math.sin(a) * Math.sin(a / LOBES)) / (a * a)
}

/** Which source places each place of the target is made of, and how much of each; as many for all of them. */
interface Taps {
  count: number
  /** Shape (to,). */
  first: Int32Array
  /** Shape (to · count,); those beyond the edge weigh nothing. */
  weights: Float32Array
}

/**
 * Taps of a resampling along one side; when it shrinks the filter is widened, so that nothing is skipped.
 *
 * @param from pixels of the source, of which `length` from `start` on become `to` pixels.
 */
function tapsFor(from: number, to: number, start: number, length: number): Taps {
  const scale = length / to
  const widen = Math.max(1, scale)
  const count = Math.min(from, 2 * Math.ceil(LOBES * widen) + 1)
  const [first, weights] = [new Int32Array(to), new Float32Array(to * count)]
  for (let i = 0; i < to; i++) {
    const centre = start + (i + 0.5) * scale - 0.5
    const begin = Math.min(from - count, Math.max(0, Math.ceil(centre - LOBES * widen)))
    let sum = 0
    for (let k = 0; k < count; k++) sum += weights[i * count + k] = lanczos((begin + k - centre) / widen)
    for (let k = 0; k < count; k++) weights[i * count + k]! /= sum
    first[i] = begin
  }
  return { count, first, weights }
}

/**
 * Resamples a part of a picture of linear light to another size, row by row, so that no more than the rows under the
 * filter are held besides the picture itself.
 *
 * @returns each row of the target in order; the array is used again for the next one.
 * @see Duchon 1979 (Lanczos window); sides are filtered one after the other
 */
export function* resampled(
  picture: GreyPicture,
  width: number,
  height: number,
  part: Part = { x: 0, y: 0, width: picture.width, height: picture.height },
): Generator<Float32Array> {
  const across = tapsFor(picture.width, width, part.x, part.width)
  const down = tapsFor(picture.height, height, part.y, part.height)
  const kept = new Map<number, Float32Array>()
  const spare: Float32Array[] = []
  const rowOf = (y: number): Float32Array => {
    const known = kept.get(y)
    if (known) return known
    const row = spare.pop() ?? new Float32Array(width)
    filterRow(picture, y, across, row)
    kept.set(y, row)
    return row
  }
  const out = new Float32Array(width)
  for (let y = 0; y < height; y++) {
    const first = down.first[y]!
    for (const [place, row] of kept)
      if (place < first) {
        kept.delete(place)
        spare.push(row)
      }
    out.fill(0)
    for (let k = 0; k < down.count; k++) {
      const weight = down.weights[y * down.count + k]!
      if (weight) addRow(rowOf(first + k), weight, out)
    }
    yield out
  }
}

function filterRow(
  picture: GreyPicture,
  y: number,
  { count, first, weights }: Taps,
  row: Float32Array,
): void {
  const { data } = picture
  const start = y * picture.width
  for (let x = 0, tap = 0; x < row.length; x++) {
    let sum = 0
    for (let at = start + first[x]!, end = at + count; at < end; at++) sum += weights[tap++]! * data[at]!
    row[x] = sum
  }
}

function addRow(row: Float32Array, weight: number, out: Float32Array): void {
  for (let x = 0; x < out.length; x++) out[x]! += weight * row[x]!
}
