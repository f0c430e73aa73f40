import { CoreError } from '../errors'
import type { ColourProfile } from '../formats/icc'
import type { GreyPicture, LightRows } from './resample'

/**
 * sRGB's way from a coded value to linear light.
 *
 * @param coded 0 to 1.
 * @see IEC 61966-2-1
 */
export const linearFromSrgb = (coded: number): number =>
  coded <= 0.04045 ? coded / 12.92 : ((coded + 0.055) / 1.055) ** 2.4

/** The way back: a coded value of 0 to 1 from linear light, which is held within 0 and 1. */
export function srgbFromLinear(light: number): number {
  const held = light > 0 ? (light < 1 ? light : 1) : 0
  return held <= 0.0031308 ? 12.92 * held : 1.055 * held ** (1 / 2.4) - 0.055
}

/** How much each channel counts towards grey; they need not add up to 1. */
export interface ChannelMix {
  red: number
  green: number
  blue: number
}

/** Luminance as the eye weighs it, for sRGB's primaries (Rec. ITU-R BT.709). */
export const LUMINANCE: ChannelMix = { red: 0.2126, green: 0.7152, blue: 0.0722 }

const EIGHT_BIT = Float64Array.from({ length: 256 }, (_, code) => linearFromSrgb(code / 255))

/** Shares of the channels that add up to 1. @throws CoreError `mix` where nothing is left of them. */
function shares({ red, green, blue }: ChannelMix): [number, number, number] {
  const total = red + green + blue
  if (![red, green, blue].every(Number.isFinite) || !(total > 0.01))
    throw new CoreError({
      code: 'out-of-range',
      field: 'mix',
      problem: 'This channel mix gives no light.',
      remedy: 'Let red, green and blue add up to more than zero.',
    })
  return [red / total, green / total, blue / total]
}

const within = (value: number) => (value > 0 ? (value < 1 ? value : 1) : 0)

/**
 * Linear-light grey of a picture in 8-bit sRGB, row by row; what is see-through is on white.
 *
 * @param rgba shape (pixels · 4,).
 * @returns rows of 0 black to 1 white.
 * @throws CoreError `out-of-range` for a mix that leaves no light.
 */
export function rowsFromRgba(
  rgba: Uint8ClampedArray | Uint8Array,
  width: number,
  height: number,
  mix: ChannelMix = LUMINANCE,
): LightRows {
  const [red, green, blue] = shares(mix).map((share) => EIGHT_BIT.map((light) => share * light)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const row = new Float32Array(width)
  const rowOf = (y: number): Float32Array => {
    for (let x = 0, at = 4 * y * width; x < width; x++, at += 4) {
      const light = red[rgba[at]!]! + green[rgba[at + 1]!]! + blue[rgba[at + 2]!]!
      const alpha = rgba[at + 3]!
      row[x] = within(alpha === 255 ? light : (alpha * light) / 255 + 1 - alpha / 255)
    }
    return row
  }
  return { width, height, rowOf }
}

/** Samples as a file has them: 1 grey, 2 grey and alpha, 3 RGB, 4 RGBA. */
export interface Samples {
  width: number
  height: number
  channels: number
  bits: number
  data: Uint8Array | Uint16Array | Uint8ClampedArray
}

/**
 * Linear-light grey of samples of 8 or 16 bits.
 *
 * @param profile of the file; without one the samples are taken for sRGB's.
 * @param mix of the channels; `null` for luminance, as the profile has it.
 * @throws CoreError `profile` where profile and samples do not belong together, `mix`.
 */
export function greyFromSamples(
  { width, height, channels, bits, data }: Samples,
  profile: ColourProfile | null = null,
  mix: ChannelMix | null = null,
): GreyPicture {
  const hasColour = channels > 2
  if (profile && (profile.channels === 3) !== hasColour)
    throw new CoreError({
      code: 'profile',
      field: 'the picture',
      problem: 'The colour profile of this picture does not fit its channels.',
      remedy: 'Save it as sRGB or greyscale, then choose it again.',
    })
  const most = 2 ** bits - 1
  const coded = Array.from({ length: hasColour ? 3 : 1 }, (_, c) => profile?.toLight[c] ?? linearFromSrgb)
  const tables = coded.map((toLight) => Float32Array.from({ length: most + 1 }, (_, i) => toLight(i / most)))
  const own = profile?.luminance ?? [LUMINANCE.red, LUMINANCE.green, LUMINANCE.blue]
  const weights = hasColour ? (mix ? shares(mix) : own) : [1]
  const hasAlpha = channels % 2 === 0
  const grey = new Float32Array(width * height)
  for (let i = 0, at = 0; i < grey.length; i++, at += channels) {
    let light = 0
    for (let c = 0; c < weights.length; c++) light += weights[c]! * tables[c]![data[at + c]!]!
    const alpha = hasAlpha ? data[at + channels - 1]! / most : 1
    grey[i] = within(alpha * light + 1 - alpha)
  }
  return { width, height, data: grey }
}
