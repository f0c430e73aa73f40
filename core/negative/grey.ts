/**
 * sRGB's way from a coded value to linear light.
 *
 * @param coded 0 to 1.
 * @see IEC 61966-2-1
 */
export const linearFromSrgb = (coded: number): number =>
  coded <= 0.04045 ? coded / 12.92 : ((coded + 0.055) / 1.055) ** 2.4

/** How much each channel counts towards grey; they need not add up to 1. */
export interface ChannelMix {
  red: number
  green: number
  blue: number
}

/** Luminance as the eye weighs it, for sRGB's primaries (Rec. ITU-R BT.709). */
export const LUMINANCE: ChannelMix = { red: 0.2126, green: 0.7152, blue: 0.0722 }

const EIGHT_BIT = Float32Array.from({ length: 256 }, (_, code) => linearFromSrgb(code / 255))

/**
 * Linear-light grey of a picture in 8-bit sRGB; what is see-through lies on white.
 *
 * @param rgba shape (pixels · 4,).
 * @returns shape (pixels,), 0 black to 1 white.
 */
export function greyFromRgba(
  rgba: Uint8ClampedArray | Uint8Array,
  mix: ChannelMix = LUMINANCE,
): Float32Array {
  const total = mix.red + mix.green + mix.blue || 1
  const [red, green, blue] = [mix.red / total, mix.green / total, mix.blue / total]
  const grey = new Float32Array(rgba.length / 4)
  for (let i = 0, at = 0; i < grey.length; i++, at += 4) {
    const light =
      red * EIGHT_BIT[rgba[at]!]! + green * EIGHT_BIT[rgba[at + 1]!]! + blue * EIGHT_BIT[rgba[at + 2]!]!
    const alpha = rgba[at + 3]! / 255
    grey[i] = Math.min(1, Math.max(0, alpha * light + 1 - alpha))
  }
  return grey
}

/**
 * Linear-light grey of a picture of 16 bits a channel in sRGB's coding.
 *
 * @param data shape (pixels · channels,): 1 grey, 2 grey and alpha, 3 RGB, 4 RGBA.
 */
export function greyFrom16(data: Uint16Array, channels: number, mix: ChannelMix = LUMINANCE): Float32Array {
  const total = mix.red + mix.green + mix.blue || 1
  const grey = new Float32Array(data.length / channels)
  const hasColour = channels > 2
  const hasAlpha = channels % 2 === 0
  const light = (at: number) => linearFromSrgb(data[at]! / 65_535)
  for (let i = 0, at = 0; i < grey.length; i++, at += channels) {
    const value = hasColour
      ? (mix.red * light(at) + mix.green * light(at + 1) + mix.blue * light(at + 2)) / total
      : light(at)
    const alpha = hasAlpha ? data[at + channels - 1]! / 65_535 : 1
    grey[i] = Math.min(1, Math.max(0, alpha * value + 1 - alpha))
  }
  return grey
}
