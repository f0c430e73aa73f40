import { CoreError } from '../errors'
import { elapsedSeconds, isHeld, type Clock } from './clock'

/** One reading of a light, as a pair so that a long log stays small: moment in milliseconds, irradiance in mW/cm². */
export type Sample = readonly [at: number, milliwattsPerCm2: number]

/** A reading stands for the time after it no longer than this before the time counts as bridged. */
const GAP_MILLISECONDS = 3000

/** What a log of readings adds up to. */
export interface IntegratedDose {
  /** mJ/cm². */
  millijoulesPerCm2: number
  /** Time between readings that lay further apart than 3 s, bridged by a straight line between them. */
  bridgedSeconds: number
  /** Time after the last reading and before the first, at the irradiance of that reading. */
  assumedSeconds: number
}

/**
 * Radiant exposure: the integral of irradiance over time, by the trapezoidal rule over unevenly spaced readings.
 * Before the first and after the last reading the light is taken to stay as it was read there.
 *
 * @param samples shape (n,), in order of time; a moment may not come before the one ahead of it.
 * @param from and `to` milliseconds; empty or reversed stretches give 0.
 * @throws CoreError `no-readings` for an empty log.
 * @see H = ∫E dt, CIE S 017 (International Lighting Vocabulary), “radiant exposure”; from memory
 */
export function integrateIrradiance(samples: readonly Sample[], from: number, to: number): IntegratedDose {
  const first = samples[0]
  const last = samples.at(-1)
  if (!first || !last)
    throw new CoreError({
      code: 'no-readings',
      field: 'irradiance',
      problem: 'There is no light reading yet.',
      remedy: 'Read the meter once, or continue without it.',
    })
  let [sum, bridged] = [0, 0]
  for (let i = firstAfter(samples, from); i < samples.length; i++) {
    const [start, startValue] = samples[i - 1]!
    const [end, endValue] = samples[i]!
    if (start >= to) break
    const a = Math.max(from, start)
    const b = Math.min(to, end)
    if (b <= a) continue
    const slope = (endValue - startValue) / (end - start)
    sum += ((2 * startValue + slope * (a + b - 2 * start)) / 2) * (b - a)
    if (end - start > GAP_MILLISECONDS) bridged += b - a
  }
  const before = Math.max(0, Math.min(to, first[0]) - from)
  const after = Math.max(0, to - Math.max(from, last[0]))
  return {
    millijoulesPerCm2: (sum + before * first[1] + after * last[1]) / 1000,
    bridgedSeconds: bridged / 1000,
    assumedSeconds: (before + after) / 1000,
  }
}

/** Index of the first sample later than a moment, at least 1, so that a sample is before it. */
function firstAfter(samples: readonly Sample[], moment: number): number {
  let [low, high] = [1, samples.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (samples[middle]![0] <= moment) low = middle + 1
    else high = middle
  }
  return low
}

/** Who says how much light falls: a meter that reads it, a model of the light, or no one, and it is taken as steady. */
export type CountedBy = 'meter' | 'model' | 'steady'

/**
 * How a light runs, as shares of the light for which an exposure was planned. One second of dose is what one second of
 * that light gives, so a clock of dose can be read like a clock of time.
 */
export interface LightCourse {
  by: CountedBy
  /** Seconds of dose from one moment to another, milliseconds. */
  secondsBetween(from: number, to: number): number
  /** The moment at which so many seconds of dose are reached from a moment on; `null` when not within a day. */
  momentOf(from: number, seconds: number): number | null
  /** The planned light in mW/cm², where it is known: one second of dose times this is mJ/cm². */
  referenceMilliwattsPerCm2?: number
  /** The light at a moment in mW/cm², where it is known. */
  milliwattsPerCm2At?(moment: number): number
}

/** A light that gives the same at all times: dose and time are one. */
export const STEADY: LightCourse = {
  by: 'steady',
  secondsBetween: (from, to) => Math.max(0, to - from) / 1000,
  momentOf: (from, seconds) => from + seconds * 1000,
}

/** A light that changes less than this share over an exposure is called steady. */
const STEADY_SHARE = 0.05

/**
 * Whether a light gets stronger or weaker over an exposure, so that its clock is not one of equal minutes.
 *
 * @param from and `to` in milliseconds.
 * @returns `null` where it stays about the same or its strength is not known.
 */
export function trendOf(course: LightCourse, from: number, to: number): 'rising' | 'falling' | null {
  const [now, then] = [course.milliwattsPerCm2At?.(from), course.milliwattsPerCm2At?.(to)]
  if (course.by !== 'model' || !now || then === undefined) return null
  const change = then / now - 1
  return Math.abs(change) < STEADY_SHARE ? null : change > 0 ? 'rising' : 'falling'
}

/**
 * A light as a meter has read it so far; from the last reading on it is taken to stay as it was.
 *
 * @param samples shape (n,), n ≥ 1, in order of time. The list may be read again later: it is not copied.
 * @param reference the light for which the exposure was planned, mW/cm², above 0.
 * @throws CoreError `no-readings`; `out-of-range` for a reference that is no light.
 */
export function meteredCourse(samples: readonly Sample[], reference: number): LightCourse {
  if (!(reference > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'irradiance',
      problem: 'The meter reads no light for this exposure.',
      remedy: 'Put the meter under the lamp, or continue without it.',
    })
  const secondsBetween = (from: number, to: number) =>
    to <= from ? 0 : integrateIrradiance(samples, from, to).millijoulesPerCm2 / reference
  return {
    by: 'meter',
    referenceMilliwattsPerCm2: reference,
    secondsBetween,
    milliwattsPerCm2At: (moment) => irradianceAt(samples, moment),
    momentOf: (from, seconds) => search(secondsBetween, from, seconds),
  }
}

/** The light a log of readings tells of for one moment, between two readings by a straight line; mW/cm². */
export function irradianceAt(samples: readonly Sample[], moment: number): number {
  const first = samples[0]
  const last = samples.at(-1)
  if (!first || !last) return 0
  if (moment <= first[0]) return first[1]
  if (moment >= last[0]) return last[1]
  const i = firstAfter(samples, moment)
  const [start, a] = samples[i - 1]!
  const [end, b] = samples[i]!
  return a + ((b - a) * (moment - start)) / (end - start)
}

const DAY = 86_400_000

/**
 * The moment at which a growing integral reaches an amount, to the millisecond, by doubling and then halving.
 *
 * @param integral must grow with its second argument.
 * @returns `null` when a day is not enough.
 */
export function search(
  integral: (from: number, to: number) => number,
  from: number,
  amount: number,
): number | null {
  if (amount <= 0) return from
  let reach = Math.min(DAY, amount * 1000)
  while (integral(from, from + reach) < amount) {
    if (reach >= DAY) return null
    reach = Math.min(DAY, reach * 2)
  }
  let [low, high] = [from, from + reach]
  while (high - low > 1) {
    const middle = (low + high) / 2
    if (integral(from, middle) < amount) low = middle
    else high = middle
  }
  return high
}

/**
 * Seconds of dose that a clock has counted, its holds left out.
 *
 * @param now milliseconds.
 */
export function doseSeconds(course: LightCourse, clock: Clock, now: number): number {
  if (course.by === 'steady') return elapsedSeconds(clock, now)
  return stretchesOf(clock, now).reduce((sum, [from, to]) => sum + course.secondsBetween(from, to), 0)
}

/**
 * The moment at which a clock has counted so many seconds of dose; `null` while it is held short of them, or when the
 * light does not come to them within a day.
 *
 * @param now milliseconds.
 */
export function doseMoment(course: LightCourse, clock: Clock, seconds: number, now: number): number | null {
  let counted = 0
  for (const [from, to] of stretchesOf(clock, now)) {
    const here = course.secondsBetween(from, to)
    if (counted + here >= seconds) return course.momentOf(from, seconds - counted)
    counted += here
  }
  if (isHeld(clock) || clock.finishedAt !== undefined) return null
  return course.momentOf(Math.max(now, clock.startedAt), seconds - counted)
}

/** The stretches of time in which a clock ran, in order; milliseconds. */
export function stretchesOf(clock: Clock, now: number): [from: number, to: number][] {
  const end = Math.min(now, clock.finishedAt ?? now)
  const stretches: [number, number][] = []
  let from = clock.startedAt
  for (const hold of clock.holds) {
    if (hold.from > from) stretches.push([from, Math.min(end, hold.from)])
    from = hold.to ?? end
  }
  if (end > from) stretches.push([from, end])
  return stretches.filter(([a, b]) => b > a)
}

/** So long without a change in the last digit is no steady light: real light trembles. */
const STUCK_MILLISECONDS = 10_000

/** Whether a meter has stuck: all its readings of the last ten seconds are the same to the last digit. */
export function isStuck(samples: readonly Sample[]): boolean {
  const last = samples.at(-1)
  if (!last) return false
  let first = samples.length - 1
  while (first > 0 && last[0] - samples[first]![0] < STUCK_MILLISECONDS) {
    if (samples[first]![1] !== last[1]) return false
    first--
  }
  return (
    samples.length - first >= 10 &&
    last[0] - samples[first]![0] >= STUCK_MILLISECONDS &&
    samples[first]![1] === last[1]
  )
}
