import { srgbFromLinear } from '../tone/srgb'
import { densityFromLightness, lightnessFromDensity } from '../tone/density'
import { densityOf, trueBaseDose, type VirtualCoat } from '../tone/printResponse'

/** A colour as the eye measures it, CIE 1976 L*a*b*. */
export interface LabColour {
  L: number
  a: number
  b: number
}

/** Colours of a print, from its deepest tone over a middle one to its paper. */
export interface PrintColours {
  deep: LabColour
  middle: LabColour
  paper: LabColour
}

/** Density that ordinary film ink lays at its fullest for the light of the frame; common practice. */
const FILM_RANGE = 1.8

/**
 * Print of a virtual coat behind ink, at its base exposure: what to expect where no chart was read.
 *
 * @returns L* by ink of 0 to 1, dry.
 */
export function expectedPrint(coat: VirtualCoat): (ink: number) => number {
  const dose = trueBaseDose(coat, 0.04)
  const density = densityOf(coat)
  const table = Array.from({ length: 257 }, (_, i) =>
    lightnessFromDensity(density(dose * 10 ** (-FILM_RANGE * (i / 256)))),
  )
  return (ink) => {
    const place = 256 * Math.min(1, Math.max(0, ink))
    const low = Math.min(255, Math.floor(place))
    return table[low]! + (table[low + 1]! - table[low]!) * (place - low)
  }
}

/**
 * How light a print is while it is still wet.
 *
 * @param dryDown share of net density that drying adds.
 * @param paper L* of the bare paper.
 */
export function wetLightness(dry: number, dryDown: number, paper: number): number {
  const bare = densityFromLightness(Math.max(1, paper))
  const net = Math.max(0, densityFromLightness(Math.max(1, dry)) - bare)
  return lightnessFromDensity(bare + net / (1 + dryDown))
}

/** Colour of a tone of a print: its L*, and the hue that is between those of its deep, middle and light tones. */
export function colourOf({ deep, middle, paper }: PrintColours, lightness: number): LabColour {
  const between = (low: LabColour, high: LabColour) => {
    const share = Math.min(1, Math.max(0, (lightness - low.L) / (high.L - low.L || 1)))
    return { L: lightness, a: low.a + share * (high.a - low.a), b: low.b + share * (high.b - low.b) }
  }
  return lightness < middle.L ? between(deep, middle) : between(middle, paper)
}

/**
 * sRGB of a colour, 0 to 255; what is outside is cut off.
 *
 * @see CIE 15:2018 (L*a*b* to XYZ); IEC 61966-2-1 with Bradford adaptation from D50 to D65; matrix from memory
 */
export function srgbOf({ L, a, b }: LabColour): [number, number, number] {
  const fy = (L + 16) / 116
  const back = (f: number) => (f > 6 / 29 ? f ** 3 : 3 * (6 / 29) ** 2 * (f - 4 / 29))
  const [X, Y, Z] = [0.9642 * back(fy + a / 500), back(fy), 0.8249 * back(fy - b / 200)]
  const linear = [
    3.1338561 * X - 1.6168667 * Y - 0.4906146 * Z,
    -0.9787684 * X + 1.9161415 * Y + 0.033454 * Z,
    0.0719453 * X - 0.2289914 * Y + 1.4052427 * Z,
  ]
  return linear.map((light) => Math.round(255 * srgbFromLinear(light))) as [number, number, number]
}
