/**
 * The present moment for clocks and for what is recorded. It follows the system clock, but for one that was moved while a
 * clock of the app ran: then it goes on as before, by the monotonic clock, until nothing runs any more.
 */
const KEY = 'ember-sheet-clock'
/** What a system clock may be corrected by without anyone noticing, as by a time server. */
const SLIP_MS = 2000
/** A computer may have slept for less than this with a print in the light: that time counts, and it is asked. */
const SLEEP_MS = 12 * 3_600_000

let correction = stored()
let wall = Date.now() + correction
let monotonic = performance.now()

function stored(): number {
  try {
    const read = Number(localStorage.getItem(KEY) ?? 0)
    return Number.isFinite(read) ? read : 0
  } catch {
    return 0
  }
}
function correct(by: number): void {
  correction = by
  try {
    if (by) localStorage.setItem(KEY, String(by))
    else localStorage.removeItem(KEY)
  } catch {
    // Then it holds until this window is closed.
  }
}
function setBase(): void {
  wall = timeNow()
  monotonic = performance.now()
}

/** The present moment, milliseconds. */
export const timeNow = (): number => Date.now() + correction

/** The system clock was moved. */
export interface ClockMove {
  /** By how much, below 0 for back. */
  milliseconds: number
  /** Whether running clocks count that time: a computer that slept is not told from one whose clock was set. */
  isCounted: boolean
  /** Has it the other way. */
  change: () => void
}

/**
 * Compares the system clock with the monotonic one, to be called at every beat.
 *
 * @param isClockRunning whether there is anything to keep right.
 * @returns what was found, once.
 */
export function watchSystemClock(isClockRunning: boolean): ClockMove | null {
  const moved = timeNow() - (wall + performance.now() - monotonic)
  if (!isClockRunning) {
    correct(0)
    setBase()
    return null
  }
  if (Math.abs(moved) < SLIP_MS) {
    setBase()
    return null
  }
  const isCounted = moved > 0 && moved < SLEEP_MS
  if (!isCounted) correct(correction - moved)
  setBase()
  const change = () => {
    correct(isCounted ? correction - moved : correction + moved)
    setBase()
  }
  return { milliseconds: moved, isCounted, change }
}
