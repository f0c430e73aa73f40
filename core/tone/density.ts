import { CoreError } from '../errors'

/** Reflectance where the cube root of L* meets its straight foot, at L* = 8. */
const JOIN = (6 / 29) ** 3

/**
 * CIE 1976 lightness of a reflection density over the white reference.
 *
 * @param density D = −log₁₀ R; below 0 is brighter than the reference.
 * @returns L*: 0 is black, 100 the reference.
 * @throws CoreError `not-finite`.
 * @see CIE 15:2018 (L*); ISO 5-4:2009 (reflection density); both from memory
 */
export function lightnessFromDensity(density: number): number {
  check(density)
  const R = 10 ** -density
  return R > JOIN ? 116 * Math.cbrt(R) - 16 : (29 / 3) ** 3 * R
}

/**
 * Reflection density of a CIE 1976 lightness.
 *
 * @param lightness L*, above 0.
 * @throws CoreError `not-finite`, `out-of-range` at 0 or below, which no density reaches.
 */
export function densityFromLightness(lightness: number): number {
  check(lightness)
  if (!(lightness > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'L*',
      problem: 'A print cannot be as black as L* 0.',
      remedy: 'Enter a lightness such as 18.',
    })
  const R = lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / (29 / 3) ** 3
  return -Math.log10(R)
}

function check(value: number): void {
  if (!Number.isFinite(value))
    throw new CoreError({
      code: 'not-finite',
      field: 'reading',
      problem: 'This is not a valid reading.',
      remedy: 'Enter a density such as 1.35, or an L* such as 24.',
    })
}
