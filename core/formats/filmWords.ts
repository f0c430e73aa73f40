/** What a film's file says of itself in the fields of its format. */
export interface FilmWords {
  title: string
  /** Curve, resolution and what else one has to know to use it. */
  description: string
  software: string
  /** When it was made, ms since 1970. */
  at: number
  /** Minutes that the local clock is ahead of UTC. */
  offsetMinutes: number
}

const two = (value: number) => String(value).padStart(2, '0')

/** Parts of the local time of a film. */
function local({ at, offsetMinutes }: Pick<FilmWords, 'at' | 'offsetMinutes'>) {
  const moved = new Date(at + 60_000 * offsetMinutes)
  return {
    year: String(moved.getUTCFullYear()),
    month: two(moved.getUTCMonth() + 1),
    day: two(moved.getUTCDate()),
    hour: two(moved.getUTCHours()),
    minute: two(moved.getUTCMinutes()),
    second: two(moved.getUTCSeconds()),
    sign: offsetMinutes < 0 ? '-' : '+',
    offsetHour: two(Math.floor(Math.abs(offsetMinutes) / 60)),
    offsetMinute: two(Math.abs(offsetMinutes) % 60),
  }
}

/** Offset of a local clock, as Exif and ISO 8601 have it. */
export const offsetSaid = (offsetMinutes: number): string => {
  const { sign, offsetHour, offsetMinute } = local({ at: 0, offsetMinutes })
  return `${sign}${offsetHour}:${offsetMinute}`
}

/** Date of a PDF. @see ISO 32000-1, 7.9.4 */
export function pdfDate(words: Pick<FilmWords, 'at' | 'offsetMinutes'>): string {
  const { year, month, day, hour, minute, second, sign, offsetHour, offsetMinute } = local(words)
  return `D:${year}${month}${day}${hour}${minute}${second}${sign}${offsetHour}'${offsetMinute}'`
}

/** Date of a TIFF, which has no offset. @see TIFF 6.0, DateTime */
export function tiffDate(words: Pick<FilmWords, 'at' | 'offsetMinutes'>): string {
  const { year, month, day, hour, minute, second } = local(words)
  return `${year}:${month}:${day} ${hour}:${minute}:${second}`
}

/** Date of a PNG's Creation Time. @see RFC 3339 */
export function isoDate(words: Pick<FilmWords, 'at' | 'offsetMinutes'>): string {
  const { year, month, day, hour, minute, second, sign, offsetHour, offsetMinute } = local(words)
  return `${year}-${month}-${day}T${hour}:${minute}:${second}${sign}${offsetHour}:${offsetMinute}`
}
