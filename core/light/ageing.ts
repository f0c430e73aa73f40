import { mean } from '../quantity/statistics'
import type { Figure } from '../quantity/figure'

/** One look at how strong a lamp is, with the hours it had burnt by then. */
export interface LampReading {
  hours: number
  /** mW/cm², or any unit that stays the same; a base exposure counts as one over its seconds. */
  strength: number
}

/** What a lamp has lost with its hours. */
export interface LampAgeing {
  /** Strength at 0 hours and loss an hour in natural logarithms: strength = first · e^(−loss · hours). */
  first: number
  lossPerHour: number
  /** Scatter of the readings about the line, as a share. */
  scatter: number
  /** Whether the loss is larger than what scatter alone would feign (twice its standard error). */
  isCertain: boolean
  at(hours: number): number
}

/**
 * A straight line through the logarithms of a lamp's readings: lamps lose a like share in each like stretch of hours.
 *
 * @param readings shape (n,), in any order; strengths above 0. With fewer than two different hours there is no line.
 * @returns `null` where there is no reading.
 * @see least squares on ln E; that fluorescent UV lamps fade about exponentially is common practice
 */
export function fitAgeing(readings: readonly LampReading[]): LampAgeing | null {
  const points = readings
    .filter((one) => one.strength > 0)
    .map((one) => [one.hours, Math.log(one.strength)] as const)
  if (!points.length) return null
  const n = points.length
  const meanX = mean(points.map(([x]) => x))
  const meanY = mean(points.map(([, y]) => y))
  const sxx = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0)
  const slope = sxx > 0 ? points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / sxx : 0
  const rest = points.reduce((sum, [x, y]) => sum + (y - meanY - slope * (x - meanX)) ** 2, 0)
  const scatter = n > 2 ? Math.sqrt(rest / (n - 2)) : 0
  const error = n > 2 && sxx > 0 ? scatter / Math.sqrt(sxx) : Infinity
  const first = Math.exp(meanY - slope * meanX)
  return {
    first,
    lossPerHour: -slope,
    scatter,
    isCertain: -slope > 2 * error,
    at: (hours) => first * Math.exp(slope * hours),
  }
}

/** A lamp is looked at again after so many hours at most, or when it should have lost this share. */
const CHECK_HOURS = 25
const CHECK_LOSS = 0.07

/** How a lamp stands. */
export interface LampHealth {
  /** Hours it has burnt since it was new, or since the user began to count. */
  hours: Figure
  /** What it gives now over its oldest reading, percent; `null` before the second reading. */
  left: Figure | null
  /** Hours it had burnt at its oldest reading; `null` where there is none. */
  firstReadAtHours: number | null
  /** What it is expected to read now, in the unit of its readings; `null` before the first. */
  expected: number | null
  /** Hours until it should be read again; below 0 when that is due. */
  nextCheckHours: number
}

/** A lamp that was first read within so many hours was read as good as new: common practice burns tubes in for some. */
const NEW_HOURS = 10

/** What a lamp's percentage is measured against: `when new`, or its oldest reading with the hours it had burnt by then. */
export const measuredAgainst = (firstReadAtHours: number | null): string =>
  firstReadAtHours !== null && firstReadAtHours <= NEW_HOURS
    ? 'of what it gave when new'
    : `of its first reading${firstReadAtHours === null ? '' : `, at ${Math.round(firstReadAtHours)} h`}`

/**
 * The health of a lamp from its ledger.
 *
 * @param hours it has burnt by now.
 * @param readings with the hours at which they were taken.
 */
export function lampHealth(hours: number, readings: readonly LampReading[]): LampHealth {
  const fit = fitAgeing(readings)
  const lastRead = Math.max(...readings.map((one) => one.hours), 0)
  const toLoss = fit && fit.isCertain ? -Math.log(1 - CHECK_LOSS) / fit.lossPerHour : Infinity
  const hoursFigure: Figure = {
    value: hours,
    unit: 'h',
    working: {
      words: 'hours entered, plus every exposure and lamp-on time since',
      formula: 'h = h₀ + Σtᵢ',
      inputs: [{ name: 'counted so far', symbol: 'h', value: hours, unit: 'h', standing: 'yours' }],
      standing: 'yours',
      source: 'The lamp’s own ledger',
      leavesOut: 'time it burnt without being switched on here',
    },
  }
  if (!fit)
    return {
      hours: hoursFigure,
      left: null,
      firstReadAtHours: null,
      expected: null,
      nextCheckHours: CHECK_HOURS - (hours - lastRead),
    }
  const oldest = Math.min(...readings.map((one) => one.hours))
  const isLine = new Set(readings.map((one) => one.hours)).size > 1
  return {
    hours: hoursFigure,
    firstReadAtHours: oldest,
    expected: fit.at(hours),
    nextCheckHours: Math.min(CHECK_HOURS, toLoss) - (hours - lastRead),
    left: isLine
      ? {
          value: (100 * fit.at(hours)) / fit.at(oldest),
          unit: '%',
          ...(fit.scatter > 0 && { uncertainty: 200 * fit.scatter }),
          working: {
            words:
              'a line through the logarithms of your readings, read at the hours now, over its value at the oldest reading',
            formula: 'p = 100·e^(−k·(h − h₁))',
            inputs: [
              { name: 'loss an hour', symbol: 'k', value: fit.lossPerHour, unit: '1/h', standing: 'yours' },
              { name: 'hours now', symbol: 'h', value: hours, unit: 'h', standing: 'yours' },
              {
                name: 'hours at the first reading',
                symbol: 'h₁',
                value: oldest,
                unit: 'h',
                standing: 'yours',
              },
              { name: 'readings', symbol: 'n', value: readings.length, unit: '', standing: 'yours' },
            ],
            standing: 'yours',
            source: 'Your own readings; that lamps fade exponentially is common practice',
            ...(!fit.isCertain && {
              leavesOut: 'with so few or scattered readings, this loss may not be real',
            }),
          },
        }
      : null,
  }
}

/**
 * Total length of stretches of time that may overlap: an exposure inside a lit stretch burns the lamp once.
 *
 * @param stretches pairs of milliseconds.
 * @returns hours.
 */
export function burntHours(stretches: readonly (readonly [from: number, to: number])[]): number {
  let [sum, reached] = [0, -Infinity]
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const start = Math.max(from, reached)
    if (to > start) sum += to - start
    reached = Math.max(reached, to)
  }
  return sum / 3_600_000
}
