import type { Part } from './frame'

/** A picture of one channel. */
export interface GreyPicture {
  width: number
  height: number
  /** Shape (width · height,), row by row. */
  data: Float32Array
}

/** A picture whose light is worked out row by row, when it is asked for. */
export interface LightRows {
  width: number
  height: number
  /** Shape (width,); the array is used again for the next row. */
  rowOf: (y: number) => Float32Array
}

/** All of a picture at once. */
export function wholeOf(picture: GreyPicture | LightRows): GreyPicture {
  if ('data' in picture) return picture
  const { width, height } = picture
  const data = new Float32Array(width * height)
  for (let y = 0; y < height; y++) data.set(picture.rowOf(y), y * width)
  return { width, height, data }
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
  /** Shape (to · count,); those beyond the edge weigh nothing. In doubles, as sums are: turning numbers costs time. */
  weights: Float64Array
}

/**
 * Taps of a resampling along one side; when it shrinks the filter is widened, so that nothing is skipped.
 *
 * @param from pixels of the source, of which `length` from `start` on become `to` pixels.
 */
function tapsFor(from: number, to: number, start: number, length: number): Taps {
  const scale = length / to
  const widen = Math.max(1, scale)
  const needed = 2 * Math.ceil(LOBES * widen) + 1
  // Six reach where nothing is widened; else so many that they can be taken by fours.
  const count = Math.min(from, widen === 1 ? 2 * LOBES : needed + ((4 - (needed % 4)) % 4))
  const [first, weights] = [new Int32Array(to), new Float64Array(to * count)]
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
  picture: GreyPicture | LightRows,
  width: number,
  height: number,
  part: Part = { x: 0, y: 0, width: picture.width, height: picture.height },
): Generator<Float32Array> {
  const across = tapsFor(picture.width, width, part.x, part.width)
  const down = tapsFor(picture.height, height, part.y, part.height)
  const lightOf =
    'data' in picture
      ? (y: number) => picture.data.subarray(y * picture.width, (y + 1) * picture.width)
      : picture.rowOf
  const kept = new Map<number, Float64Array>()
  const spare: Float64Array[] = []
  const rowOf = (y: number): Float64Array => {
    const known = kept.get(y)
    if (known) return known
    const row = spare.pop() ?? new Float64Array(width)
    filterRow(lightOf(y), across, row)
    kept.set(y, row)
    return row
  }
  const out = new Float32Array(width)
  const sums = new Float64Array(width)
  const nothing = new Float64Array(width)
  for (let y = 0; y < height; y++) {
    const first = down.first[y]!
    for (const [place, row] of kept)
      if (place < first) {
        kept.delete(place)
        spare.push(row)
      }
    const weightAt = (k: number) => (k < down.count ? down.weights[y * down.count + k]! : 0)
    const rowAt = (k: number) => (weightAt(k) ? rowOf(first + k) : nothing)
    if (down.count === SIX) {
      mixSix(
        out,
        [rowAt(0), rowAt(1), rowAt(2), rowAt(3), rowAt(4), rowAt(5)],
        [weightAt(0), weightAt(1), weightAt(2), weightAt(3), weightAt(4), weightAt(5)],
      )
    } else {
      sums.fill(0)
      for (let k = 0; k < down.count; k += 4)
        addRows(
          sums,
          [rowAt(k), rowAt(k + 1), rowAt(k + 2), rowAt(k + 3)],
          [weightAt(k), weightAt(k + 1), weightAt(k + 2), weightAt(k + 3)],
        )
      out.set(sums)
    }
    yield out
  }
}

function filterRow(data: Float32Array, { count, first, weights }: Taps, row: Float64Array): void {
  if (count === SIX) return filterRowBySix(data, first, weights, row)
  // By fours, which takes a third of the time; what is left over comes one by one.
  const fours = count - (count % 4)
  for (let x = 0; x < row.length; x++) {
    let at = first[x]!
    let tap = x * count
    let sum = 0
    for (let end = tap + fours; tap < end; tap += 4, at += 4)
      sum +=
        weights[tap]! * data[at]! +
        weights[tap + 1]! * data[at + 1]! +
        weights[tap + 2]! * data[at + 2]! +
        weights[tap + 3]! * data[at + 3]!
    for (let end = (x + 1) * count; tap < end; tap++, at++) sum += weights[tap]! * data[at]!
    row[x] = sum
  }
}

/** Taps of a picture that is enlarged, the usual case: written out it takes half the time. */
const SIX = 2 * LOBES

function filterRowBySix(
  data: Float32Array,
  first: Int32Array,
  weights: Float64Array,
  row: Float64Array,
): void {
  for (let x = 0, tap = 0; x < row.length; x++, tap += 6) {
    const at = first[x]!
    row[x] =
      weights[tap]! * data[at]! +
      weights[tap + 1]! * data[at + 1]! +
      weights[tap + 2]! * data[at + 2]! +
      weights[tap + 3]! * data[at + 3]! +
      weights[tap + 4]! * data[at + 4]! +
      weights[tap + 5]! * data[at + 5]!
  }
}

type Six<Value> = readonly [Value, Value, Value, Value, Value, Value]

function mixSix(
  out: Float32Array,
  [a, b, c, d, e, f]: Six<Float64Array>,
  [wa, wb, wc, wd, we, wf]: Six<number>,
): void {
  for (let x = 0; x < out.length; x++)
    out[x] = wa * a[x]! + wb * b[x]! + wc * c[x]! + wd * d[x]! + we * e[x]! + wf * f[x]!
}

type Four<Value> = readonly [Value, Value, Value, Value]

/** Four rows at a time: the sums are read and written once for all of them. */
function addRows(sums: Float64Array, [a, b, c, d]: Four<Float64Array>, [wa, wb, wc, wd]: Four<number>): void {
  for (let x = 0; x < sums.length; x++) sums[x]! += wa * a[x]! + wb * b[x]! + wc * c[x]! + wd * d[x]!
}
