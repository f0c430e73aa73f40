import { CoreError } from '../errors'
import { linearFromSrgb } from '../tone/srgb'
import type { LightRows } from './resample'

/** How much each channel counts towards grey; they need not add up to 1. */
export interface ChannelMix {
  red: number
  green: number
  blue: number
}

/** Luminance as the eye weighs it, for sRGB's primaries (Rec. ITU-R BT.709). */
export const LUMINANCE: ChannelMix = { red: 0.2126, green: 0.7152, blue: 0.0722 }

/** The same for P3's primaries with the white of D65, which have sRGB's curve. @see SMPTE EG 432-1 */
export const P3_LUMINANCE: ChannelMix = { red: 0.22897, green: 0.69174, blue: 0.07929 }

const EIGHT_BIT = Float64Array.from({ length: 256 }, (_, code) => linearFromSrgb(code / 255))

/** Shares of the channels that add up to 1. @throws CoreError `mix` where nothing is left of them. */
export function shares({ red, green, blue }: ChannelMix): [number, number, number] {
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
