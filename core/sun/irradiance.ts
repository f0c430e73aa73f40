import { pressureShare, sunPosition, type Place, type SunPosition } from './position'

/**
 * Sunlight above the air at one astronomical unit, W/m² nm, at 5 nm around 350 to 420 nm.
 * Rounded averages of the ASTM E490 spectrum, from memory; a fault of all of them alike falls out of every comparison.
 */
const ABOVE_THE_AIR: readonly (readonly [nanometres: number, wattsPerM2Nm: number])[] = [
  [352.5, 1.0], [357.5, 0.93], [362.5, 1.08], [367.5, 1.22], [372.5, 1.13], [377.5, 1.27], [382.5, 0.95],
  [387.5, 1.05], [392.5, 1.06], [397.5, 1.27], [402.5, 1.69], [407.5, 1.68], [412.5, 1.77], [417.5, 1.72],
] // prettier-ignore
const BAND_NANOMETRES = 5

/** Of what aerosol takes out of the beam it scatters this share on and swallows the rest (Bird & Riordan 1986). */
const SCATTERED = 0.945
/** Asymmetry of aerosol scattering (Bird & Riordan 1986). */
const FORWARD = 0.65
/** How fast aerosol fades towards longer waves (Ångström); about 1.3 over land, common practice. */
const ANGSTROM = 1.3

/** How the frame is: flat on its back, or turned so that the sun meets it squarely. */
export type FrameFacing = 'flat' | 'sun'

/** What is between the sun and the frame. */
export interface Sky {
  /** Aerosol optical depth at 550 nm: about 0.05 very clear, 0.12 clear, 0.3 hazy. */
  aerosol: number
  /** Share of the clear sky's light that the clouds leave. */
  cloud: number
  /** Share that the ground throws back: grass about 0.05, sand 0.15, snow 0.8. */
  ground: number
}

export const CLEAR_SKY: Sky = { aerosol: 0.12, cloud: 1, ground: 0.05 }

/** Light of 350 to 420 nm on a frame, mW/cm². */
export interface SunLight {
  direct: number
  diffuse: number
  total: number
}

const DARK: SunLight = { direct: 0, diffuse: 0, total: 0 }

/**
 * Relative air mass.
 *
 * @param zenith apparent, in degrees, up to 90; beyond it `Infinity`.
 * @see Kasten & Young 1989: 1/(cos z + 0.50572·(96.07995 − z)^−1.6364)
 */
export const airMass = (zenith: number): number =>
  zenith > 90 ? Infinity : 1 / (Math.cos((zenith * Math.PI) / 180) + 0.50572 * (96.07995 - zenith) ** -1.6364)

/**
 * Optical depth of clean air at sea level.
 *
 * @param micrometres wavelength, 0.2 to 4.
 * @see Hansen & Travis 1974: 0.008569·λ⁻⁴·(1 + 0.0113·λ⁻² + 0.00013·λ⁻⁴)
 */
export const rayleighDepth = (micrometres: number): number => {
  const l2 = micrometres ** -2
  return 0.008569 * l2 * l2 * (1 + 0.0113 * l2 + 0.00013 * l2 * l2)
}

/**
 * Light of 350 to 420 nm on a frame under the sky.
 *
 * Beam, light scattered by air and by aerosol, and what goes to and fro between ground and sky, band by band of 5 nm.
 * Left out: ozone and nitrogen dioxide (a few percent here at most), horizon and houses, the last of the twilight.
 *
 * @param sun where it stands (see `sunPosition`).
 * @see Bird & Riordan 1986 (simple solar spectral model), formulas from memory; clouds scale the whole
 */
export function sunLight(sun: SunPosition, altitudeMetres: number, sky: Sky, facing: FrameFacing): SunLight {
  if (!(sun.zenith < 90)) return DARK
  const mu = Math.cos((sun.zenith * Math.PI) / 180)
  const mass = airMass(sun.zenith)
  const pressure = pressureShare(altitudeMetres)
  const towards = onward(mu)
  let [direct, diffuse] = [0, 0]
  for (const [nanometres, above] of ABOVE_THE_AIR) {
    const l = nanometres / 1000
    const tauR = rayleighDepth(l) * pressure
    const tauA = sky.aerosol * (l / 0.55) ** -ANGSTROM
    const air = Math.exp(-mass * tauR)
    const scattered = Math.exp(-mass * SCATTERED * tauA)
    const swallowed = Math.exp(-mass * (1 - SCATTERED) * tauA)
    const arriving = above / sun.distance ** 2
    const beam = arriving * air * scattered * swallowed
    const level = arriving * mu * swallowed
    const byAir = level * (1 - air ** 0.95) * 0.5
    const byDust = level * air ** 1.5 * (1 - scattered) * towards
    // What comes back from a sky seen from below, at the slant of diffuse light.
    const airBack = Math.exp(-1.8 * tauR)
    const dustBack = Math.exp(-1.8 * SCATTERED * tauA)
    const sky1 =
      Math.exp(-1.8 * (1 - SCATTERED) * tauA) *
      (0.5 * (1 - airBack) + (1 - onward(1 / 1.8)) * airBack * (1 - dustBack))
    const once = beam * mu + byAir + byDust
    const again = (once * sky1 * sky.ground) / (1 - sky1 * sky.ground)
    // Light that is scattered more than once, which the single terms count too high at short waves.
    const below = (byAir + byDust + again) * (l + 0.55) ** 1.8
    if (facing === 'flat') {
      direct += beam * mu
      diffuse += below
    } else {
      // Hay's split: a part of the diffuse light comes from round the sun, the rest from the part of sky in view.
      const near = beam / arriving
      const seen = (1 + mu) / 2
      direct += beam
      diffuse += below * (near / mu + seen * (1 - near)) + (beam * mu + below) * sky.ground * (1 - seen)
    }
  }
  const scale = (BAND_NANOMETRES * sky.cloud) / 10 // W/m² to mW/cm²
  return { direct: direct * scale, diffuse: diffuse * scale, total: (direct + diffuse) * scale }
}

/** Share of the light scattered by aerosol that goes on downward, at a cosine of the zenith (Bird & Riordan 1986). */
function onward(mu: number): number {
  const a = Math.log(1 - FORWARD)
  const first = a * (1.459 + a * (0.1595 + a * 0.4129))
  const second = a * (0.0783 + a * (-0.3824 - a * 0.5874))
  return 1 - 0.5 * Math.exp((first + second * mu) * mu)
}

/** Light on a frame at a place and moment; mW/cm² of 350 to 420 nm. */
export const sunLightAt = (place: Place, at: number, sky: Sky, facing: FrameFacing): SunLight =>
  sunLight(sunPosition(place, at), place.altitudeMetres, sky, facing)
