/** CIE L*a*b* of D50, as densitometers and this app keep it. */
export type Lab = readonly [L: number, a: number, b: number]

/** From linear sRGB to XYZ seen under D50 (sRGB primaries taken over by Bradford's way), from memory. */
const TO_XYZ = [
  [0.4360747, 0.3850649, 0.1430804],
  [0.2225045, 0.7168786, 0.0606169],
  [0.0139322, 0.0971045, 0.7141733],
] as const
const WHITE = [0.96422, 1, 0.82521] as const

/** Reflectance where the cube root of L* meets its straight foot. */
const JOIN = (6 / 29) ** 3

/**
 * Colour of a linear sRGB value.
 *
 * @param rgb red, green and blue in proportion to light, 1 each for the white reference.
 * @see CIE 15:2018; IEC 61966-2-1 (primaries); both from memory
 */
export function labOfLinear([r, g, b]: readonly [number, number, number]): Lab {
  const [x, y, z] = TO_XYZ.map((row, i) => (row[0] * r + row[1] * g + row[2] * b) / (WHITE[i] as number))
  const f = (t: number) => (t > JOIN ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29)
  const [fx, fy, fz] = [f(x ?? 0), f(y ?? 0), f(z ?? 0)]
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
}

const DEGREE = Math.PI / 180

/**
 * Difference of two colours as the eye takes it, CIEDE2000 with all weights at 1.
 *
 * @returns ΔE₀₀: about 1 is just seen side by side.
 * @see Sharma, Wu & Dalal 2005, The CIEDE2000 Color-Difference Formula
 */
export function ciede2000([L1, a1, b1]: Lab, [L2, a2, b2]: Lab): number {
  const chroma = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2
  const stretch = 1 + 0.5 * (1 - Math.sqrt(chroma ** 7 / (chroma ** 7 + 25 ** 7)))
  const [C1, C2] = [Math.hypot(stretch * a1, b1), Math.hypot(stretch * a2, b2)]
  const [h1, h2] = [hue(b1, stretch * a1), hue(b2, stretch * a2)]

  let turn = h2 - h1
  if (C1 * C2 === 0) turn = 0
  else if (turn > 180) turn -= 360
  else if (turn < -180) turn += 360
  const [dL, dC] = [L2 - L1, C2 - C1]
  const dH = 2 * Math.sqrt(C1 * C2) * Math.sin((turn / 2) * DEGREE)

  const [L, C] = [(L1 + L2) / 2, (C1 + C2) / 2]
  let h = h1 + h2
  if (C1 * C2 !== 0) {
    if (Math.abs(h1 - h2) > 180) h += h < 360 ? 360 : -360
    h /= 2
  }
  const cos = (angle: number) => Math.cos(angle * DEGREE)
  const T = 1 - 0.17 * cos(h - 30) + 0.24 * cos(2 * h) + 0.32 * cos(3 * h + 6) - 0.2 * cos(4 * h - 63)
  const SL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2)
  const SC = 1 + 0.045 * C
  const SH = 1 + 0.015 * C * T
  const spin = 30 * Math.exp(-(((h - 275) / 25) ** 2))
  const RT = -2 * Math.sqrt(C ** 7 / (C ** 7 + 25 ** 7)) * Math.sin(2 * spin * DEGREE)
  return Math.sqrt((dL / SL) ** 2 + (dC / SC) ** 2 + (dH / SH) ** 2 + RT * (dC / SC) * (dH / SH))
}

const hue = (b: number, a: number): number =>
  a === 0 && b === 0 ? 0 : (Math.atan2(b, a) / DEGREE + 360) % 360
