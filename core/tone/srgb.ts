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
