import { CoreError } from '../errors'
import { inkOf, type NegativeCurve } from '../tone/curve'
import { resample, type GreyPicture } from './resample'

/** What a negative is to be. */
export interface NegativePlan {
  widthMillimetres: number
  heightMillimetres: number
  pixelsPerInch: number
  /** Tone of the picture, L* of 0 to 100, that prints as black and as white; between them all tones are stretched. */
  blackPoint: number
  whitePoint: number
  /** Exponent on the tones between: above 1 darkens the middle. */
  middle: number
  curve: Pick<NegativeCurve, 'tones' | 'inks'>
  /** Emulsion to emulsion: the film is seen from its back, so the picture on it is turned left to right. */
  isMirrored: boolean
}

/** Largest side and area that are made: a metre and a half at 360 to the inch, and no more than memory bears. */
const MOST_PIXELS = 200_000_000

/**
 * Size of a negative in pixels.
 *
 * @throws CoreError `out-of-range` for sizes that cannot be made.
 */
export function negativeSize(
  plan: Pick<NegativePlan, 'widthMillimetres' | 'heightMillimetres' | 'pixelsPerInch'>,
): {
  width: number
  height: number
} {
  const [width, height] = [plan.widthMillimetres, plan.heightMillimetres].map((side) =>
    Math.round((side / 25.4) * plan.pixelsPerInch),
  ) as [number, number]
  if (!(plan.pixelsPerInch >= 36 && plan.pixelsPerInch <= 2880))
    throw refuse(
      'resolution',
      `${plan.pixelsPerInch} pixels to the inch cannot be printed.`,
      'Write 240 to 720; 360 is usual.',
    )
  if (!(width >= 16 && height >= 16) || width * height > MOST_PIXELS)
    throw refuse(
      'size',
      `${width} × ${height} pixels is no size to make.`,
      'Choose a smaller print, or fewer pixels to the inch.',
    )
  return { width, height }
}

/** Steps of the table from linear light to ink; it is spread by the square root, since dark tones need finer steps. */
const TABLE = 8192

/**
 * Tone of the picture that the eye sees, from its linear light, after black point, white point and middle.
 *
 * @returns 0 to 1.
 */
export function toneOf(
  light: number,
  { blackPoint, whitePoint, middle }: Pick<NegativePlan, 'blackPoint' | 'whitePoint' | 'middle'>,
): number {
  const lightness = light > (6 / 29) ** 3 ? 116 * Math.cbrt(light) - 16 : (29 / 3) ** 3 * light
  return Math.min(1, Math.max(0, (lightness - blackPoint) / (whitePoint - blackPoint))) ** middle
}

/**
 * Makes a negative, row by row: grey picture in, 16-bit rows of a grey file out, in which 0 is all the ink and 65535
 * clear film.
 *
 * @param picture linear-light grey.
 * @param takeRow gets each row in order; the array is used again for the next one.
 * @param go is asked now and then with the share done, 0 to 1; `false` stops the work.
 * @throws CoreError `out-of-range`, `stopped`.
 */
export function renderNegative(
  picture: GreyPicture,
  plan: NegativePlan,
  takeRow: (row: Uint16Array, y: number) => void,
  go: (share: number) => boolean = () => true,
): void {
  const { width, height } = negativeSize(plan)
  if (!(plan.whitePoint - plan.blackPoint >= 5))
    throw refuse('tones', 'Black and white point leave no tones between them.', 'Set them at least 5 apart.')
  const ink = inkOf(plan.curve)
  const table = Float32Array.from(
    { length: TABLE + 2 },
    (_, i) => 65_535 * (1 - ink(toneOf((i / TABLE) ** 2, plan))),
  )
  const out = new Uint16Array(width)
  resample(picture, width, height, (row, y) => {
    if (y % 64 === 0 && !go(y / height))
      throw new CoreError({
        code: 'stopped',
        field: 'negative',
        problem: 'The negative was stopped.',
        remedy: 'Make it again when you want it.',
      })
    for (let x = 0; x < width; x++) {
      const light = row[x]!
      const place = TABLE * Math.sqrt(light > 0 ? (light < 1 ? light : 1) : 0)
      const low = place | 0
      const value = table[low]! + (table[low + 1]! - table[low]!) * (place - low)
      out[plan.isMirrored ? width - 1 - x : x] = value + 0.5
    }
    takeRow(out, y)
  })
}

const refuse = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
