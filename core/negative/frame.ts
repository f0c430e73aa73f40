import { CoreError } from '../errors'
import type { GreyPicture } from './resample'

/** How a picture is laid into its negative, before anything else happens to it. */
export interface Framing {
  /** Quarter turns clockwise, 0 to 3. */
  turns: number
  /** 1 fills the negative with as much of the picture as there can be; above 1 less of it, larger. */
  closer: number
  /** Which part of what does not fit: 0 the left or upper one, 0.5 the middle, 1 the right or lower one. */
  across: number
  down: number
}

export const MIDDLE: Framing = { turns: 0, closer: 1, across: 0.5, down: 0.5 }

/** A part of a picture, in its own pixels, not always whole ones. */
export interface Part {
  x: number
  y: number
  width: number
  height: number
}

/**
 * The part of a picture that fills a negative of some shape.
 *
 * @param size of the picture in pixels, after its turns.
 * @param shape width over height of the negative.
 * @throws CoreError `out-of-range`.
 */
export function partOf(
  size: { width: number; height: number },
  shape: number,
  { closer, across, down }: Framing,
): Part {
  const inShare = (value: number) => value >= 0 && value <= 1
  if (!(closer >= 1 && closer <= 20) || !inShare(across) || !inShare(down) || !(shape > 0.02 && shape < 50))
    throw new CoreError({
      code: 'out-of-range',
      field: 'framing',
      problem: 'This crop is outside the picture.',
      remedy: 'Use a zoom from 1 to 20 and keep the crop inside the picture.',
    })
  const [width, height] =
    size.width / size.height > shape ? [size.height * shape, size.height] : [size.width, size.width / shape]
  const [w, h] = [width / closer, height / closer]
  return { x: (size.width - w) * across, y: (size.height - h) * down, width: w, height: h }
}

/** A size in millimetres. */
interface Size {
  widthMillimetres: number
  heightMillimetres: number
}

/**
 * The largest size of a picture's own shape inside another, so that nothing of it is cropped.
 *
 * @param shape width over height of the picture, after its turns.
 */
export const wholeWithin = ({ widthMillimetres: w, heightMillimetres: h }: Size, shape: number): Size =>
  w / h > shape
    ? { widthMillimetres: h * shape, heightMillimetres: h }
    : { widthMillimetres: w, heightMillimetres: w / shape }

/** Share of a picture that a part of it leaves out, 0 to 1. */
export const croppedShare = (size: { width: number; height: number }, part: Part): number =>
  Math.max(0, 1 - (part.width * part.height) / (size.width * size.height))

/** Sides of a picture after quarter turns. */
export const turnedSize = (
  { width, height }: { width: number; height: number },
  turns: number,
): { width: number; height: number } => (turns % 2 ? { width: height, height: width } : { width, height })

/** A picture turned by quarters, clockwise. */
export function turnedBy(picture: GreyPicture, turns: number): GreyPicture {
  const { width, height, data } = picture
  const quarter = ((turns % 4) + 4) % 4
  if (quarter === 0) return picture
  const out = new Float32Array(data.length)
  const [w, h] = quarter === 2 ? [width, height] : [height, width]
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const to =
        quarter === 1
          ? x * w + (w - 1 - y)
          : quarter === 2
            ? (h - 1 - y) * w + (w - 1 - x)
            : (h - 1 - x) * w + y
      out[to] = data[at]!
    }
  return { width: w, height: h, data: out }
}
