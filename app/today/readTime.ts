import { CoreError } from '@core/errors'

const DAY_MS = 86_400_000

/**
 * A time of day as it is typed, `14:30` or `9`, as the next such moment.
 *
 * @param after milliseconds; the moment lies after this.
 * @returns `null` for nothing. @throws CoreError `unreadable`.
 */
export function readTime(text: string, after: number, field: string): number | null {
  const typed = text.trim()
  if (!typed || typed === 'now') return null
  const match = /^(\d{1,2})(?:[:.h](\d{2}))?$/.exec(typed)
  const [hours, minutes] = [Number(match?.[1]), Number(match?.[2] ?? 0)]
  if (!match || hours > 23 || minutes > 59)
    throw new CoreError({
      code: 'unreadable',
      field,
      problem: `“${typed}” is no time of day.`,
      remedy: 'Write it like 14:30, or leave it empty.',
    })
  const moment = new Date(after).setHours(hours, minutes, 0, 0)
  return moment > after ? moment : moment + DAY_MS
}
