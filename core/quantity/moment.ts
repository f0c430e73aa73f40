import { CoreError } from '../errors'
import { plainText } from './number'

/** A day of the calendar; `month` from 1. A year alone, or a year and a month, leave the rest `null`. */
export interface CalendarDay {
  year: number
  month: number | null
  day: number | null
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const monthOf = (word: string): number => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1

/**
 * Reads a day as people write it: `2026-05-12`, `12 May 2026`, `May 12, 2026`, `12.5.2026`, `2026-05`,
 * `05/2026`, `May 2026`, `2026`.
 *
 * @throws CoreError `empty`, `unreadable`, `ambiguous` for `5/6/2026`, `no-such-day` for `2026-02-30`.
 */
export function parseDay(text: string, field: string): CalendarDay {
  const plain = plainText(text).trim()
  const refuse = (
    code: string,
    problem: string,
    remedy = 'Enter a date such as 2026-05-12 or 12 May 2026.',
  ) => new CoreError({ code, field, problem, remedy, part: plain })
  if (!plain) throw refuse('empty', 'This field is empty.')

  const iso = /^(\d{4})(?:[-/.](\d{1,2})(?:[-/.](\d{1,2}))?)?$/.exec(plain)
  if (iso) return checked(Number(iso[1]), numberOr(iso[2]), numberOr(iso[3]), refuse, plain)
  // As on the label of a bottle: best before 06/2028.
  const monthOnly = /^(\d{1,2})[/.-](\d{4})$/.exec(plain)
  if (monthOnly) return checked(Number(monthOnly[2]), Number(monthOnly[1]), null, refuse, plain)
  const dayFirst = /^(?:(\d{1,2})(?:st|nd|rd|th)?\.?\s+)?([a-z]{3,9})\.?,?\s+(\d{4})$/i.exec(plain)
  const monthFirst = /^([a-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/i.exec(plain)
  const words = dayFirst
    ? { day: dayFirst[1], month: dayFirst[2] ?? '', year: dayFirst[3] }
    : monthFirst && { day: monthFirst[2], month: monthFirst[1] ?? '', year: monthFirst[3] }
  if (words && monthOf(words.month) > 0)
    return checked(Number(words.year), monthOf(words.month), numberOr(words.day), refuse, plain)

  const numbers = /^(\d{1,2})([./-])\s*(\d{1,2})\2\s*(\d{4})$/.exec(plain)
  if (!numbers) throw refuse('unreadable', `“${plain}” is not a date.`)
  const [a, b, year] = [Number(numbers[1]), Number(numbers[3]), Number(numbers[4])]
  // Points stand between day and month wherever they are used; a slash is read both ways.
  if (numbers[2] === '.' || a > 12 || a === b) return checked(year, b, a, refuse, plain)
  if (b > 12) return checked(year, a, b, refuse, plain)
  throw refuse(
    'ambiguous',
    `“${plain}” can be ${a} ${MONTHS[b - 1]} or ${b} ${MONTHS[a - 1]}.`,
    `Enter ${year}-${pad(b)}-${pad(a)} or ${year}-${pad(a)}-${pad(b)}.`,
  )
}

const pad = (value: number) => String(value).padStart(2, '0')
const numberOr = (text: string | undefined) => (text === undefined ? null : Number(text))

function checked(
  year: number,
  month: number | null,
  day: number | null,
  refuse: (code: string, problem: string) => CoreError,
  plain: string,
): CalendarDay {
  const last = month === null ? 31 : new Date(Date.UTC(year, month, 0)).getUTCDate()
  const exists =
    (month === null || (month >= 1 && month <= 12)) && (day === null || (day >= 1 && day <= last))
  if (!exists) throw refuse('no-such-day', `The date ${plain} does not exist.`)
  return { year, month, day }
}

/** A time of day, of 24 hours. */
export interface TimeOfDay {
  hours: number
  minutes: number
  seconds: number
}

/**
 * Reads a time of day: `7:30`, `14.05`, `14:05:20`, `2:30 pm`, `9 am`, `14h30`.
 *
 * @throws CoreError `empty` or `unreadable`.
 */
export function parseTimeOfDay(text: string, field: string): TimeOfDay {
  const plain = plainText(text).trim()
  const refuse = (code: string, problem: string) =>
    new CoreError({
      code,
      field,
      problem,
      remedy: 'Enter a time such as 9:30 or 2:30 pm.',
      part: plain,
    })
  if (!plain) throw refuse('empty', 'This field is empty.')
  const found = /^(\d{1,2})(?:\s*[:.h]\s*(?:(\d{2})(?:[:.](\d{2}))?)?)?\s*(a\.?m\.?|p\.?m\.?)?$/i.exec(plain)
  const [hours, minutes, seconds] = [Number(found?.[1]), Number(found?.[2] ?? 0), Number(found?.[3] ?? 0)]
  const half = found?.[4]?.[0]?.toLowerCase()
  const isBare = found && found[2] === undefined && !half && !/h/i.test(plain)
  const isTwelve = half !== undefined && (hours < 1 || hours > 12)
  if (!found || isBare || isTwelve || hours > 23 || minutes > 59 || seconds > 59)
    throw refuse('unreadable', `“${plain}” is not a time of day.`)
  return { hours: half ? (hours % 12) + (half === 'p' ? 12 : 0) : hours, minutes, seconds }
}

/**
 * Reads a moment: a time of day, with the day before it where it is another one, as in `2026-05-12 14:05`.
 *
 * @returns the day `null` where only a time is given.
 * @throws CoreError those of `parseDay` and `parseTimeOfDay`, and `unreadable` for a day without its time or its year.
 */
export function parseMoment(text: string, field: string): { day: CalendarDay | null; time: TimeOfDay } {
  const plain = plainText(text).trim()
  const parts = /^(.*\d{4}|\d{4}-\d{1,2}-\d{1,2})[\sT,]+(\S.*)$/.exec(plain)
  if (!parts) return { day: null, time: parseTimeOfDay(plain, field) }
  const day = parseDay(parts[1] as string, field)
  if (day.month === null || day.day === null)
    throw new CoreError({
      code: 'unreadable',
      field,
      problem: `“${parts[1]}” is not a whole date.`,
      remedy: 'Enter a date and a time such as 2026-05-12 14:05.',
      part: plain,
    })
  return { day, time: parseTimeOfDay(parts[2] as string, field) }
}
