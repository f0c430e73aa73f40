import { texts } from './words'
import { CoreError, type Refusal } from '@core/errors'
import { digits } from '@core/quantity/format'
import { parseTimeOfDay } from '@core/quantity/moment'
import { parseNumber, writtenNumber } from '@core/quantity/number'
import { parseQuantity } from '@core/quantity/parse'
import type { Light } from '@core/schema/light'

/** More than the strongest lamp gives at its glass, mW/cm²: what is read above it is a slip of the unit. */
const MOST_IRRADIANCE = 1000

/** Light on the frame in mW/cm², above zero. @throws CoreError as `parseQuantity`, or `out-of-range`. */
export function readIrradiance(text: string, field: string): number {
  const value = parseQuantity(text, 'irradiance', { field, bareUnit: 'mWPerCm2' })
  if (value > 0 && value <= MOST_IRRADIANCE) return value
  throw new CoreError({
    code: 'out-of-range',
    field,
    problem: texts.irradianceNotPlausible({ irradiance: digits(value) }),
    remedy: texts.enterIrradianceLike,
  })
}

/** A share of what falls in, from `60 %` or `60`: above 0, at most 1. */
export function readShare(text: string, field: string): number {
  const percent = parseQuantity(text, 'fraction', { field, bareUnit: 'percent' })
  if (percent > 0 && percent <= 100) return percent / 100
  throw new CoreError({
    code: 'out-of-range',
    field,
    problem: `“${text}” is not a percentage.`,
    remedy: texts.enterPercentageAbove0And,
  })
}

/** A dose as it is typed, in mJ/cm², or what is wrong with it. */
export function readDose(text: string): { value: number | null; fault?: Refusal } {
  try {
    const value = parseQuantity(text, 'dose', { field: 'dose', bareUnit: 'mJPerCm2' })
    return { value: value > 0 ? value : null }
  } catch (error) {
    if (error instanceof CoreError) return { value: null, fault: error.refusal }
    throw error
  }
}

/**
 * A place as it is typed: `52.09, 5.12`, `52.09 N 5.12 E`, `33.9 S, 151.2 E`.
 *
 * @throws CoreError `unreadable`, `out-of-range`.
 */
export function readPlace(text: string): { latitude: number; longitude: number } {
  const found =
    /^\s*([+\-−]?\d+(?:\.\d+)?)\s*°?\s*([NS])?[\s,;/]+([+\-−]?\d+(?:\.\d+)?)\s*°?\s*([EW])?\s*$/i.exec(text)
  if (!found)
    throw new CoreError({
      code: 'unreadable',
      field: 'place',
      problem: texts.notLatitudeAndLongitude({ typed: text }),
      remedy: texts.enterDegreesLatitudeFirstSuch,
    })
  const signed = (digits: string | undefined, side: string | undefined, minus: string) =>
    writtenNumber((digits ?? '').replace('−', '-')) * (side?.toUpperCase() === minus ? -1 : 1)
  const [latitude, longitude] = [signed(found[1], found[2], 'S'), signed(found[3], found[4], 'W')]
  if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
    throw new CoreError({
      code: 'out-of-range',
      field: 'place',
      problem: 'This place does not exist.',
      remedy: texts.enterLatitudeUp90And,
    })
  return { latitude, longitude }
}

export const placeText = ({ latitude, longitude }: { latitude: number; longitude: number }): string =>
  `${Math.abs(latitude)}\u00a0${latitude < 0 ? 'S' : 'N'}, ${Math.abs(longitude)}\u00a0${longitude < 0 ? 'W' : 'E'}`

/** A table of distances as it is typed: `150 mm 4.8; 300 mm 2.1`. */
export function readFalloffTable(
  text: string,
  lengthUnit: string,
): { millimetres: number; strength: number }[] {
  const rows = text.split(/[;\n]+/).filter((row) => row.trim())
  return rows.map((row) => {
    const found = /^(.*\S)\s+(\S+)\s*$/.exec(row.trim())
    if (!found)
      throw new CoreError({
        code: 'unreadable',
        field: 'distances',
        problem: texts.notDistanceAndReading({ row: row.trim() }),
        remedy: 'Enter pairs like 150 mm 4.8; 300 mm 2.1.',
      })
    return {
      millimetres: parseQuantity((found[1] ?? '').replace(/[:=]\s*$/, ''), 'length', {
        field: 'distances',
        bareUnit: lengthUnit,
      }),
      strength: parseNumber(found[2] ?? '', { field: 'distances', isPositive: true, example: '4.8' }),
    }
  })
}

/** How a light's falling off is said back. */
export function falloffText(falloff: Light['falloff']): string {
  if (!falloff) return 'not set'
  if (falloff.kind === 'point') return 'like a bulb'
  if (falloff.kind === 'line') return `like a tube of ${Math.round(falloff.lengthMillimetres)}\u00a0mm`
  return `from a table of ${falloff.rows.length} distances`
}

/** A time of the day as it is typed, `7:30` or `14.05`; nothing typed is no time and no fault. */
export function readClock(text: string): {
  clock: { hours: number; minutes: number } | null
  fault?: Refusal
} {
  if (!text.trim()) return { clock: null }
  try {
    return { clock: parseTimeOfDay(text, 'time of day') }
  } catch (error) {
    if (error instanceof CoreError) return { clock: null, fault: error.refusal }
    throw error
  }
}
