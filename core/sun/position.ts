const RAD = Math.PI / 180
const sin = (degrees: number) => Math.sin(degrees * RAD)
const cos = (degrees: number) => Math.cos(degrees * RAD)
const turn = (degrees: number) => ((degrees % 360) + 360) % 360

/** J2000.0 as milliseconds since 1970. */
const J2000 = 946_728_000_000
/** Terrestrial time is ahead of the clock by about 70 s in our decades; the sun moves 0.0008° in them. */
const DELTA_T_SECONDS = 70

/** A place on the ground. Degrees, north and east positive; metres above the sea. */
export interface Place {
  latitude: number
  longitude: number
  altitudeMetres: number
}

/** Where the sun stands. All angles in degrees; azimuth from north by east. */
export interface SunPosition {
  /** From the point overhead, refraction included; above 90 the sun is down. */
  zenith: number
  azimuth: number
  /** Distance in astronomical units. */
  distance: number
}

/**
 * Where the sun stands, to about 0.01°.
 *
 * @param at milliseconds since 1970, UTC.
 * @see Meeus, Astronomical Algorithms, 2nd ed. 1998: ch. 12 (sidereal time), 13 (coordinates), 16 (refraction), 25
 *   (low accuracy sun, with aberration and the largest term of nutation); from memory
 */
export function sunPosition({ latitude, longitude, altitudeMetres }: Place, at: number): SunPosition {
  const days = (at - J2000) / 86_400_000
  const T = (days + DELTA_T_SECONDS / 86_400) / 36_525
  const L0 = 280.46646 + T * (36_000.76983 + T * 0.0003032)
  const M = 357.52911 + T * (35_999.05029 - T * 0.0001537)
  const e = 0.016708634 - T * (0.000042037 + T * 0.0000001267)
  const C =
    (1.914602 - T * (0.004817 + T * 0.000014)) * sin(M) +
    (0.019993 - T * 0.000101) * sin(2 * M) +
    0.000289 * sin(3 * M)
  const distance = (1.000001018 * (1 - e * e)) / (1 + e * cos(M + C))
  const omega = 125.04 - 1934.136 * T
  const lambda = L0 + C - 0.00569 - 0.00478 * sin(omega)
  const epsilon = 23.4392911 - T * (0.013004167 + T * 1.64e-7) + 0.00256 * cos(omega)

  const alpha = Math.atan2(cos(epsilon) * sin(lambda), cos(lambda)) / RAD
  const delta = Math.asin(sin(epsilon) * sin(lambda)) / RAD
  // Of nutation only its effect on the equinox, in the same term as above.
  const sidereal = 280.46061837 + 360.98564736629 * days - 0.00478 * sin(omega) * cos(epsilon)
  const H = sidereal + longitude - alpha

  const height = Math.asin(sin(latitude) * sin(delta) + cos(latitude) * cos(delta) * cos(H)) / RAD
  const azimuth = turn(
    180 + Math.atan2(sin(H), cos(H) * sin(latitude) - Math.tan(delta * RAD) * cos(latitude)) / RAD,
  )
  return { zenith: 90 - height - refraction(height, pressureShare(altitudeMetres)), azimuth, distance }
}

/** Sæmundsson's refraction at 10 °C and sea level, scaled by pressure; degrees. None well below the horizon. */
function refraction(height: number, pressure: number): number {
  if (height < -1) return 0
  return (pressure * 1.02) / (60 * Math.tan((height + 10.3 / (height + 5.11)) * RAD))
}

/**
 * Air pressure at a height over that at sea level.
 *
 * @see ICAO standard atmosphere, troposphere: (1 − 2.25577·10⁻⁵ h)^5.25588; from memory
 */
export const pressureShare = (altitudeMetres: number): number =>
  Math.max(0, 1 - 2.25577e-5 * altitudeMetres) ** 5.25588
