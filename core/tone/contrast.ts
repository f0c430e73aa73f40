import { CoreError } from '../errors'
import type { Figure, Standing } from '../quantity/figure'
import { interpolate } from '../quantity/interpolate'
import { median } from '../quantity/statistics'

/** A way to make a paper print a shorter range: more of it, more contrast. */
export interface ContrastMeans {
  id: string
  processId: string
  name: string
  /** What is counted, such as `drops`, and to what. */
  unit: string
  per: string
  /** Exposure scale of the paper, log units, by amount; amounts rise from 0 and scales fall. At least two. */
  rungs: readonly { amount: number; scale: number }[]
  /** Whether only whole amounts make sense. */
  isWhole: boolean
  /** What it costs besides. */
  costs: string
  cautions: readonly string[]
  /** How it is in the plan of a sheet, where it is counted into the glass. */
  plan?: {
    mix: string
    /** Choices under which it is in the mix. */
    choices: Readonly<Record<string, string>>
    /** The part of the mix that it is, and the one that gives way to it. */
    part: string
    takesFrom?: string
  }
  standing: Standing
  source: string
}

/** What one of the user's tablets measured with such an amount. */
export interface OwnScale {
  amount: number
  scale: number
}

export interface Meeting {
  /** Amount to use. */
  amount: Figure
  /** Scale that it is expected to give, log units. */
  scale: Figure
  /** Scale over range of the negative, log units; below 0 the negative stays too long. */
  spare: number
  /** `tooLong`: the negative is longer than the paper prints without any. `tooShort`: the most of it leaves the paper longer. */
  says: 'meets' | 'tooLong' | 'tooShort'
}

/** Scale and negative meet within half a step of a usual tablet. */
const FIT = 0.08

const scaleAt = ({ rungs }: ContrastMeans, amount: number): number =>
  interpolate(
    rungs.map((rung) => [rung.amount, rung.scale] as const),
    amount,
  )
const amountAt = ({ rungs }: ContrastMeans, scale: number): number =>
  interpolate(
    [...rungs].reverse().map((rung) => [rung.scale, rung.amount] as const),
    scale,
  )

/**
 * How much of a means makes the paper's exposure scale meet the negative.
 *
 * @param range density range of the negative in ultraviolet light, log units, above 0.
 * @param own scales from one's own tablets: their median distance from the table moves all of it.
 * @throws CoreError `out-of-range` for a range not above zero.
 */
export function meetNegative(range: number, means: ContrastMeans, own: readonly OwnScale[] = []): Meeting {
  if (!(range > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'density range',
      problem: 'The density range of the negative must be above zero.',
      remedy: 'Enter its densest density minus its thinnest, for example 1.65.',
    })
  const shift = own.length ? median(own.map(({ amount, scale }) => scale - scaleAt(means, amount))) : 0
  const scales = means.rungs.map((rung) => rung.scale + shift)
  const [longest, shortest] = [Math.max(...scales), Math.min(...scales)]
  const exact = amountAt(means, range - shift)
  const amount = means.isWhole ? Math.round(exact) : Math.round(exact * 10) / 10
  const scale = scaleAt(means, amount) + shift
  const standing: Standing = own.length ? 'yours' : means.standing
  const source = own.length
    ? `${means.source}; moved by ${shift >= 0 ? '+' : '−'}${Math.abs(shift).toFixed(2)} to what your tablets measured`
    : means.source
  const inputs = [
    {
      name: 'density range of the negative',
      symbol: 'D',
      value: range,
      unit: '',
      standing: 'yours' as const,
    },
    { name: 'scale with none of it', symbol: 'S₀', value: longest, unit: '' },
    { name: 'scale with the most of it', symbol: 'Sₙ', value: shortest, unit: '' },
  ]
  return {
    amount: {
      value: amount,
      unit: means.unit,
      working: {
        words: 'the amount at which the exposure scale equals the density range',
        formula: 'S(n) = D',
        inputs,
        standing,
        source,
      },
    },
    scale: {
      value: scale,
      unit: '',
      working: { words: 'exposure scale at that amount', formula: 'S(n)', inputs, standing, source },
    },
    spare: scale - range,
    says: range > longest + FIT ? 'tooLong' : range < shortest - FIT ? 'tooShort' : 'meets',
  }
}
