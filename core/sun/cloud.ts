import type { Figure } from '../quantity/figure'
import { CoreError } from '../errors'

/** Skies as the eye names them, with the share of a clear sky's UVA they leave and how far a guess may be out. */
export const SKIES = [
  { id: 'clear', name: 'clear', share: 1, factor: 1.15 },
  { id: 'veil', name: 'thin veil', share: 0.85, factor: 1.25 },
  { id: 'broken', name: 'broken clouds', share: 0.65, factor: 1.5 },
  { id: 'overcast', name: 'overcast', share: 0.35, factor: 1.6 },
  { id: 'heavy', name: 'heavy overcast', share: 0.15, factor: 1.9 },
] as const

export type SkyName = (typeof SKIES)[number]['id']

/** Ozone of a usual mid-latitude day, Dobson units; common practice. */
const OZONE = 300

/**
 * UV index under a clear sky.
 *
 * @param zenith of the sun, degrees.
 * @param ozone Dobson units.
 * @see Madronich 2007: 12.5·μ^2.42·(O₃/300)^−1.23, for low aerosol at sea level
 */
export const clearSkyUvIndex = (zenith: number, ozone = OZONE): number =>
  zenith >= 90 ? 0 : 12.5 * Math.cos((zenith * Math.PI) / 180) ** 2.42 * (ozone / 300) ** -1.23

/** A forecast cannot tell the cloud when the sun is so low that the index rounds to nothing. */
const LEAST_INDEX = 0.8

/**
 * Share of a clear sky's light that clouds leave, from a forecast UV index over the clear-sky one.
 *
 * @param uvIndex as forecast for that moment.
 * @throws CoreError `too-low` when the sun is too low to tell, `out-of-range` for no index.
 */
export function cloudFromUvIndex(uvIndex: number, zenith: number, ozone = OZONE): Figure {
  const clear = clearSkyUvIndex(zenith, ozone)
  if (!(uvIndex >= 0 && uvIndex <= 20))
    throw new CoreError({
      code: 'out-of-range',
      field: 'UV index',
      problem: `“${uvIndex}” is not a UV index.`,
      remedy: 'Enter the forecast for that hour, from 0 to 16.',
    })
  if (clear < LEAST_INDEX)
    throw new CoreError({
      code: 'too-low',
      field: 'UV index',
      problem: 'The sun is too low to work out the clouds from the UV index.',
      remedy: 'Choose the sky by eye.',
    })
  return {
    value: Math.min(1.15, Math.max(0.05, uvIndex / clear)),
    unit: '',
    uncertainty: Math.min(0.5, 0.5 / clear + 0.1),
    working: {
      words: 'UV index forecast ÷ UV index of a clear sky',
      formula: 'c = UVI / (12.5·μ^2.42·(O₃/300)^−1.23)',
      inputs: [
        { name: 'forecast', symbol: 'UVI', value: uvIndex, unit: '', standing: 'yours' },
        { name: 'clear sky', symbol: 'UVI₀', value: clear, unit: '', standing: 'published' },
        { name: 'ozone', symbol: 'O₃', value: ozone, unit: 'DU', standing: 'practice' },
      ],
      standing: 'published',
      source: 'Madronich 2007 for the clear sky',
      leavesOut: 'that clouds take a little more of UVB than of UVA',
    },
  }
}
