import { parseTimeOfDay } from '@core/quantity/moment'

const DAY_MS = 86_400_000

/**
 * A time of day as it is typed, `14:30` or `9`, as the next such moment.
 *
 * @param after milliseconds; the moment is after this.
 * @returns `null` for nothing. @throws CoreError `unreadable`.
 */
export function readTime(text: string, after: number, field: string): number | null {
  const typed = text.trim()
  if (!typed || typed === 'now') return null
  // A whole number alone is an hour here.
  const isHour = /^\d{1,2}$/.test(typed)
  const { hours, minutes } = parseTimeOfDay(isHour ? `${typed}:00` : typed, field)
  const moment = new Date(after).setHours(hours, minutes, 0, 0)
  return moment > after ? moment : moment + DAY_MS
}
