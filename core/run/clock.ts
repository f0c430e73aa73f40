/** A stretch of time in which a clock stood; open while `to` is absent. Stamps in milliseconds. */
export interface Hold {
  from: number
  to?: number
}

/** A clock is stamps only. Nothing is ever added up while it runs, so nothing can be lost by not looking. */
export interface Clock {
  startedAt: number
  holds: readonly Hold[]
  finishedAt?: number
}

/**
 * Seconds a clock has run at a moment, holds left out.
 *
 * @param now milliseconds; earlier than the start (the system's clock was set back) reads as 0.
 */
export function elapsedSeconds(clock: Clock, now: number): number {
  const end = Math.min(now, clock.finishedAt ?? now)
  const held = clock.holds.reduce(
    (sum, hold) => sum + Math.max(0, Math.min(end, hold.to ?? end) - hold.from),
    0,
  )
  return Math.max(0, end - clock.startedAt - held) / 1000
}

/** Whether a clock is paused. */
export const isHeld = (clock: Clock): boolean =>
  clock.finishedAt === undefined && clock.holds.some((hold) => hold.to === undefined)

/**
 * The moment at which a running clock will have run so long, or `null` while it is held: then no moment can be named.
 */
export function momentAt(clock: Clock, seconds: number): number | null {
  if (isHeld(clock)) return null
  const held = clock.holds.reduce((sum, hold) => sum + ((hold.to ?? hold.from) - hold.from), 0)
  return clock.startedAt + held + seconds * 1000
}
