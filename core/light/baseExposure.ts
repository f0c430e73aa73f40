import { mean, median, squaredDistances } from '../quantity/statistics'
import { refusalAt } from '../errors'
import type { Figure } from '../quantity/figure'
import { leastSquares, type Model } from '../tone/leastSquares'

/** Black of a coat by its exposure: an exponential approach with a free steepness, density = a + r·(1 − e^−(t/τ)^k). */
const APPROACH: Model = {
  value: ([a, r, lnTau, k], lnT) => a! + r! * (1 - Math.exp(-Math.exp(k! * (lnT - lnTau!)))),
  gradient: ([, r, lnTau, k], lnT) => {
    const u = Math.exp(Math.min(50, k! * (lnT - lnTau!)))
    const left = Math.exp(-u)
    return [1, 1 - left, -r! * left * u * k!, r! * left * u * (lnT - lnTau!)]
  },
}

/** Density of bare paper is about this where no one read it; common practice for rag papers. */
const USUAL_WHITE = 0.06
/** A usual difference of blacks that the eye does not see side by side; common practice. */
export const USUAL_DIFFERENCE = 0.04

/** The last two marks this much lighter than the deepest one are no scatter. */
const REVERSED = 0.05

export interface StripReading {
  seconds: number
  /** Reflection densities read on this mark, once or more; empty where it could not be read. */
  densities: readonly number[]
}

/** What a strip says of the base exposure. */
export interface BaseExposure {
  /** Seconds, with half the width of its interval (two standard errors); `null` where the strip cannot tell. */
  seconds: Figure | null
  low: number | null
  high: number | null
  /** Deepest black the strip runs out to. */
  black: number
  /** `enough`: the strip holds it. `tooShort`: its last mark is not yet black. `tooLong`: its first mark is already. */
  reach: 'enough' | 'tooShort' | 'tooLong'
  /** The longest marks are lighter than some before them: the coat bronzes or reverses. */
  reverses: boolean
  /** Marks that are far off the curve, from 0. */
  outliers: number[]
  /** Density by seconds, as fitted. */
  densityAt(seconds: number): number
}

/**
 * Base exposure: the shortest exposure whose black through the clear film is within a difference of the Dmax.
 *
 * @param readings shape (n,), n ≥ 4 marks that could be read, any order.
 * @param difference in density, above 0.
 * @param white density of the bare, processed paper, where it was read.
 * @throws CoreError `too-few` below four marks; `flat` when the marks do not differ.
 * @see the interval is a jackknife: the fit is made without each mark in turn (Efron & Tibshirani 1993; from memory)
 */
export function baseExposure(
  readings: readonly StripReading[],
  difference: number = USUAL_DIFFERENCE,
  white?: number,
): BaseExposure {
  const marks = readings
    .map((one, i) => ({
      i,
      lnT: Math.log(one.seconds),
      y: one.densities.length ? median(one.densities) : Number.NaN,
      n: one.densities.length,
    }))
    .filter((mark) => Number.isFinite(mark.y) && Number.isFinite(mark.lnT))
    .sort((a, b) => a.lnT - b.lnT)
  if (marks.length < 4)
    throw refuse('too-few', 'A base exposure needs at least four steps.', 'Read more steps.')
  const [first, last] = [marks[0]!, marks.at(-1)!]
  const deepest = Math.max(...marks.map((mark) => mark.y))
  if (deepest - (white ?? USUAL_WHITE) < 0.2)
    throw refuse(
      'flat',
      'No step is much darker than the paper.',
      'Check that you entered densities, or expose the strip longer.',
    )

  const isFlatAll = deepest - Math.min(...marks.map((mark) => mark.y)) < difference
  const whole = fit(marks, white)
  const value = (lnT: number) => APPROACH.value(whole.parameters, lnT)
  const residuals = marks.map((mark) => mark.y - value(mark.lnT))
  const scatter = Math.max(0.006, 1.4826 * median(residuals.map(Math.abs)))
  const isOut = residuals.map((off) => Math.abs(off) > 4.5 * scatter)
  const kept = marks.filter((_, i) => !isOut[i])
  const clean = kept.length < marks.length && kept.length >= 4 ? fit(kept, white) : whole
  const black = clean.parameters[0]! + clean.parameters[1]!
  const lnBase = solveFor(clean.parameters, difference)
  const seconds = Math.exp(lnBase)

  const reach = isFlatAll || lnBase < first.lnT ? 'tooLong' : lnBase > last.lnT ? 'tooShort' : 'enough'
  const others =
    kept.length > 4
      ? kept.map((_, i) =>
          solveFor(
            fit(
              kept.filter((__, j) => j !== i),
              white,
            ).parameters,
            difference,
          ),
        )
      : []
  const error = jackknife(others)
  const tail = marks.slice(-2).map((mark) => mark.y)
  const base = {
    black,
    reach,
    reverses: Math.max(...tail) < deepest - REVERSED,
    outliers: marks.flatMap((mark, i) => (isOut[i] ? [mark.i] : [])),
    densityAt: (at: number) => APPROACH.value(clean.parameters, Math.log(at)),
  } satisfies Partial<BaseExposure>
  if (reach !== 'enough') return { ...base, seconds: null, low: null, high: null }
  const spread = Math.exp(2 * error)
  return {
    ...base,
    low: seconds / spread,
    high: seconds * spread,
    seconds: {
      value: seconds,
      unit: 's',
      ...(others.length > 0 && { uncertainty: seconds * (spread - 1) }),
      working: {
        words: 'shortest exposure whose density is within the tolerance of Dmax, on the fitted curve',
        formula: 't₀ = τ·(ln(r/Δ))^(1/k)',
        inputs: [
          { name: 'Dmax', symbol: 'D', value: black, unit: '', standing: 'yours' },
          { name: 'tolerance', symbol: 'Δ', value: difference, unit: '', standing: 'practice' },
          { name: 'steps read', symbol: 'n', value: marks.length, unit: '', standing: 'yours' },
          { name: 'steepness of the curve', symbol: 'k', value: clean.parameters[3]!, unit: '' },
        ],
        standing: 'yours',
        source: 'Your strip; an exponential approach to black, fitted by least squares',
      },
    },
  }
}

interface Mark {
  lnT: number
  y: number
  n: number
}

/** With paper white known or usual, three values are left to find; few marks could not tell more. */
function fit(marks: readonly Mark[], white = USUAL_WHITE) {
  const top = Math.max(...marks.map((mark) => mark.y))
  const sixty = marks.find((mark) => mark.y > white + 0.63 * (top - white)) ?? marks[0]!
  return leastSquares(
    APPROACH,
    {
      x: marks.map((mark) => mark.lnT),
      y: marks.map((mark) => mark.y),
      weights: marks.map((mark) => Math.sqrt(Math.max(1, mark.n))),
    },
    [white, top - white, sixty.lnT, 1],
    [
      [white, white],
      [0.05, top - white + 0.6],
      [marks[0]!.lnT - 4, marks.at(-1)!.lnT + 4],
      [0.25, 6],
    ],
  )
}

/** ln t at which the curve is `difference` below its black. */
function solveFor([, r, lnTau, k]: readonly number[], difference: number): number {
  const ratio = r! / difference
  return ratio <= 1 ? -Infinity : lnTau! + Math.log(Math.log(ratio)) / k!
}

function jackknife(values: readonly number[]): number {
  const n = values.length
  if (n < 2) return 0
  return Math.sqrt(((n - 1) / n) * squaredDistances(values, mean(values)))
}

/** The mark chosen by eye as the first that is as black as all after it, and what is between it and the one before. */
export interface EyeBase {
  seconds: Figure
  low: number
  high: number
}

/**
 * Base exposure by eye: the first mark that looks as black as those after it. The true one is between the mark before
 * and this one.
 *
 * @param times seconds of each mark, shortest first.
 * @param mark from 1.
 * @throws CoreError `tooShort` for the last mark, which has nothing after it to be compared with.
 */
export function baseByEye(times: readonly number[], mark: number): EyeBase {
  const seconds = times[mark - 1]
  if (seconds === undefined || mark >= times.length)
    throw refuse(
      'tooShort',
      'The last step has no later step to compare with.',
      'If only the last step is black, expose a longer strip.',
    )
  const low = times[mark - 2] ?? 0
  return {
    low,
    high: seconds,
    seconds: {
      value: seconds,
      unit: 's',
      uncertainty: seconds - low,
      working: {
        words: 'exposure of the first step that looks as black as all later steps',
        formula: 't₀ = tₘ',
        inputs: [
          { name: 'mark', symbol: 'm', value: mark, unit: '', standing: 'yours' },
          { name: 'its exposure', symbol: 'tₘ', value: seconds, unit: 's', standing: 'yours' },
          { name: 'exposure of the step before', symbol: 'tₘ₋₁', value: low, unit: 's', standing: 'yours' },
        ],
        standing: 'yours',
        source: 'Your eye; common practice',
        leavesOut: 'the true value can be anywhere between the two steps',
      },
    },
  }
}

const refuse = refusalAt('test strip')
