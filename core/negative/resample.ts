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

/** Which source places one place of the target is made of, and how much of each. */
interface Taps {
  first: number
  weights: Float32Array
}

/**
 * Taps of a resampling along one side.
 *
 * @param from and `to` number of pixels; when it shrinks the filter is widened, so that nothing is skipped.
 */
function tapsFor(from: number, to: number): Taps[] {
  const scale = from / to
  const widen = Math.max(1, scale)
  return Array.from({ length: to }, (_, i) => {
    const centre = (i + 0.5) * scale - 0.5
    const first = Math.max(0, Math.ceil(centre - LOBES * widen))
    const last = Math.min(from - 1, Math.floor(centre + LOBES * widen))
    const weights = Float32Array.from({ length: last - first + 1 }, (__, k) =>
      lanczos((first + k - centre) / widen),
    )
    const sum = weights.reduce((total, one) => total + one, 0)
    return { first, weights: weights.map((one) => one / sum) }
  })
}

/**
 * Resamples a picture of linear light to another size, row by row, so that no more than the rows under the filter are
 * held besides the picture itself.
 *
 * @param takeRow gets each row of the target in order; the array is used again for the next one.
 * @see Duchon 1979 (Lanczos window); sides are filtered one after the other
 */
export function resample(
  picture: GreyPicture,
  width: number,
  height: number,
  takeRow: (row: Float32Array, y: number) => void,
): void {
  const [across, down] = [tapsFor(picture.width, width), tapsFor(picture.height, height)]
  const kept = new Map<number, Float32Array>()
  const spare: Float32Array[] = []
  const rowOf = (y: number): Float32Array => {
    const known = kept.get(y)
    if (known) return known
    const row = spare.pop() ?? new Float32Array(width)
    const start = y * picture.width
    for (let x = 0; x < width; x++) {
      const { first, weights } = across[x]!
      let sum = 0
      for (let k = 0; k < weights.length; k++) sum += weights[k]! * picture.data[start + first + k]!
      row[x] = sum
    }
    kept.set(y, row)
    return row
  }
  const out = new Float32Array(width)
  for (let y = 0; y < height; y++) {
    const { first, weights } = down[y]!
    for (const [place, row] of kept)
      if (place < first) {
        kept.delete(place)
        spare.push(row)
      }
    out.fill(0)
    for (let k = 0; k < weights.length; k++) {
      const row = rowOf(first + k)
      const weight = weights[k]!
      for (let x = 0; x < width; x++) out[x]! += weight * row[x]!
    }
    takeRow(out, y)
  }
}
