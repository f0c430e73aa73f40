import { formatSpan } from '@core/quantity/format'

const DAY_MS = 86_400_000

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
const dated = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const datedFar = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'long' })

/** Time of day, `14:02`. */
export const timeOfDay = (at: number): string => clock.format(at)

export const nameOfDay = (at: number): string => weekday.format(at)

/** A day, `Tue 24 Nov`. */
export const dayOf = (at: number): string => day.format(at)

/** A date as on a label: `24 Nov`, with its year where that is another one. */
export const dateOf = (at: number, now: number): string =>
  (new Date(at).getFullYear() === new Date(now).getFullYear() ? dated : datedFar).format(at)

const whole = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short', day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit', second: '2-digit',
}) // prettier-ignore

const wholeOfDay = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short', day: 'numeric', month: 'short', year: 'numeric',
}) // prettier-ignore

/** A day with all that belongs to it: `Tue, 24 Nov 2026`. */
export const wholeDay = (at: number): string => wholeOfDay.format(at)

/** A moment with all that belongs to it: `Tue, 24 Nov 2026, 14:02:05`. */
export const wholeMoment = (at: number): string => whole.format(at)

/** How long ago something was: `just now` within a minute, also where the clock was set since. */
export const agoSaid = (at: number, now: number): string =>
  now - at < 60_000 ? 'just now' : `${formatSpan((now - at) / 1000)} ago`

/** From about ten months away on, a date without its year could be meant for another one. */
const FAR_DAYS = 300

const midnight = (at: number): number => new Date(at).setHours(0, 0, 0, 0)

/** A moment as one says it: `14:02` today, `tomorrow 09:30`, `yesterday 16:00`, `Tue 24 Nov` further off. */
export function momentSaid(at: number, now: number): string {
  const days = Math.round((midnight(at) - midnight(now)) / DAY_MS)
  if (days === 0) return timeOfDay(at)
  if (days === 1) return `tomorrow ${timeOfDay(at)}`
  if (days === -1) return `yesterday ${timeOfDay(at)}`
  return Math.abs(days) > FAR_DAYS ? datedFar.format(at) : dayOf(at)
}
