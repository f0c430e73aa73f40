import { CoreError, type Refusal } from '@core/errors'
import { parseQuantity } from '@core/quantity/parse'
import type { Light } from '@core/record/light'

/** A positive number as people write it, a comma for a point let pass, what stands after it left out. */
export function readPositive(text: string, field: string, remedy: string): number {
  const value = Number(/^\s*(\d+(?:[.,]\d+)?|[.,]\d+)/.exec(text)?.[1]?.replace(',', '.') ?? Number.NaN)
  if (!(value > 0))
    throw new CoreError({ code: 'unreadable', field, problem: `“${text}” cannot be read.`, remedy })
  return value
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
      problem: `“${text}” is not a latitude and a longitude.`,
      remedy: 'Write degrees, north and east first, such as 52.09, 5.12 or 33.9 S 151.2 E.',
    })
  const signed = (digits: string | undefined, side: string | undefined, minus: string) =>
    Number((digits ?? '').replace('−', '-')) * (side?.toUpperCase() === minus ? -1 : 1)
  const [latitude, longitude] = [signed(found[1], found[2], 'S'), signed(found[3], found[4], 'W')]
  if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
    throw new CoreError({
      code: 'out-of-range',
      field: 'place',
      problem: 'There is no such place on earth.',
      remedy: 'Latitude goes to 90, longitude to 180 degrees.',
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
        problem: `“${row.trim()}” is not a distance and a reading.`,
        remedy: 'Write them like 150 mm 4.8; 300 mm 2.1.',
      })
    return {
      millimetres: parseQuantity((found[1] ?? '').replace(/[:=]\s*$/, ''), 'length', {
        field: 'distances',
        bareUnit: lengthUnit,
      }),
      strength: readPositive(found[2] ?? '', 'distances', 'Write a reading such as 4.8.'),
    }
  })
}

/** How a light's falling off is said back. */
export function falloffText(falloff: Light['falloff']): string {
  if (!falloff) return 'not said'
  if (falloff.kind === 'point') return 'like a bulb'
  if (falloff.kind === 'line') return `like a tube of ${Math.round(falloff.lengthMillimetres)}\u00a0mm`
  return `by a table of ${falloff.rows.length} distances`
}

/** A time of the day as it is typed, `7:30` or `14.05`; nothing typed is no time and no fault. */
export function readClock(text: string): {
  clock: { hours: number; minutes: number } | null
  fault?: Refusal
} {
  if (!text.trim()) return { clock: null }
  const found = /^(\d{1,2})[:.](\d{2})$/.exec(text.trim())
  const [hours, minutes] = [Number(found?.[1]), Number(found?.[2])]
  if (hours < 24 && minutes < 60) return { clock: { hours, minutes } }
  return {
    clock: null,
    fault: {
      code: 'unreadable',
      field: 'time of day',
      problem: `“${text.trim()}” is no time of the day.`,
      remedy: 'Write it like 9:30, up to 23:59.',
    },
  }
}
