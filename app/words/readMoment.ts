import { CoreError } from '@core/errors'
import { parseDay, parseMoment } from '@core/quantity/moment'

/**
 * A moment as it is typed, in the time of this place.
 *
 * @param near moment whose day is meant where only a time is typed.
 * @throws CoreError those of `parseMoment`.
 */
export function momentIn(text: string, near: number, field: string): number {
  const { day, time } = parseMoment(text, field)
  const at = new Date(near)
  if (day) at.setFullYear(day.year, (day.month ?? 1) - 1, day.day ?? 1)
  return at.setHours(time.hours, time.minutes, time.seconds, 0)
}

/**
 * A year, a month or a day as it is typed: the moment at which it starts here, or at which it ends.
 *
 * @throws CoreError those of `parseDay`.
 */
export function dayIn(text: string, field: string, isTo: boolean): number {
  const { year, month, day } = parseDay(text, field)
  if (!isTo) return new Date(year, (month ?? 1) - 1, day ?? 1).getTime()
  const next = day ? [year, (month ?? 1) - 1, day + 1] : month ? [year, month, 1] : [year + 1, 0, 1]
  return new Date(...(next as [number, number, number])).getTime() - 1
}

/** A moment that has been: as `momentIn`, and `not-yet` for one after now. */
export function pastMomentIn(text: string, now: number, field: string): number {
  const at = momentIn(text, now, field)
  if (at <= now) return at
  throw new CoreError({
    code: 'not-yet',
    field,
    problem: 'This moment is still to come.',
    remedy: 'Enter the date with the time, such as 2026-05-12 14:05.',
    part: text,
  })
}
