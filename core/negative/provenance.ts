/** With what a chart was printed, or a negative is to be printed; what is unknown is left out. */
export interface Circumstances {
  processId?: string | undefined
  paperId?: string | undefined
  lightId?: string | undefined
  film?: string | undefined
  /** Base exposure, seconds. */
  seconds?: number | undefined
}

export type Departure = 'process' | 'paper' | 'light' | 'film' | 'exposure' | 'age'

const DAY = 86_400_000
/** A fifth of a stop of exposure shows in the shadows. */
const EXPOSURE_STOPS = 0.2
/** Lamps, lots and papers change in half a year; common practice is to check then. */
const FRESH_DAYS = 183

/**
 * In what a negative's use departs from what its curve was made with. What either side does not know is let be.
 *
 * @param at moment of the chart, or of its last check, and `now` the present one; milliseconds.
 */
export function departures(
  made: Circumstances & { at: number },
  use: Circumstances & { now: number },
): Departure[] {
  const found: Departure[] = []
  const differs = (a: string | undefined, b: string | undefined) =>
    Boolean(a) && Boolean(b) && a!.trim().toLowerCase() !== b!.trim().toLowerCase()
  if (differs(made.processId, use.processId)) found.push('process')
  if (differs(made.paperId, use.paperId)) found.push('paper')
  if (differs(made.lightId, use.lightId)) found.push('light')
  if (differs(made.film, use.film)) found.push('film')
  // Under another light the same exposure is another time.
  const hasSameLight = !found.includes('light')
  if (
    hasSameLight &&
    made.seconds &&
    use.seconds &&
    Math.abs(Math.log2(use.seconds / made.seconds)) > EXPOSURE_STOPS
  )
    found.push('exposure')
  if (use.now - made.at > FRESH_DAYS * DAY) found.push('age')
  return found
}

/** How good a calibration is by its checks, in order of time. */
export interface Standing {
  /** Of the last check; `null` while there was none. */
  mean: number | null
  worst: number | null
  /** Whether the last check is clearly worse than the best one before it. */
  hasDrifted: boolean
}

/** L* by which a later check must be worse than an earlier one before it is called drift. */
const DRIFT = 1.5

/** A check by which the curve was corrected tells of the curve before it, and no longer of this one. */
export function standingOf(
  checks: readonly { mean: number; worst: number; isUsed?: boolean | undefined }[],
): Standing {
  const last = checks.at(-1)
  if (last?.isUsed) return { mean: null, worst: null, hasDrifted: false }
  const before = checks.slice(0, -1)
  const best = before.length ? Math.min(...before.map((one) => one.mean)) : Number.POSITIVE_INFINITY
  return {
    mean: last?.mean ?? null,
    worst: last?.worst ?? null,
    hasDrifted: last !== undefined && last.mean > best + DRIFT,
  }
}
