import { mean, standardDeviation, sumOf } from '../quantity/statistics'
import { dryShare, stopsForDrying } from '../tone/dryDown'
import { densityAt } from '../tone/measured'
import type { RunState } from '../run/runState'
import type { Figure, Standing } from '../quantity/figure'

/** What a process undoes or adds after the light, as the trade has it. */
export interface UsualAllowance {
  /** Stops to print deeper (above 0) or lighter than what is wanted in the end. */
  stops: number
  standing: Standing
  source: string
}

/** One print told too light or too dark asks for so much; a sixth of a stop is the least one gives. */
const STEP = 1 / 6
/** The usual allowance is trusted like so many prints of one's own. */
const USUAL_WEIGHT = 2
const REMEMBERED = 12

/**
 * How much deeper to print than what is wanted dry: the trade's allowance, moved by what one's own dry prints turned
 * out to be. A print found thin asks for more, a blocked or veiled one for less; a wet look counts only where no dry
 * one was recorded, and for half.
 *
 * @param states prints of the process, oldest first.
 * @returns stops; `uncertainty` is their spread.
 */
export function printDeeper(usual: UsualAllowance | undefined, states: readonly RunState[]): Figure {
  const base = usual?.stops ?? 0
  const asked = states.flatMap((state) => asksFor(state) ?? []).slice(-REMEMBERED)
  const n = asked.length
  const shift = sumOf(asked) / (n + USUAL_WEIGHT)
  const spread = standardDeviation(asked, shift)
  return {
    value: base + shift,
    unit: 'stops',
    ...(spread !== undefined && { uncertainty: spread }),
    working: {
      words: n ? 'usual allowance, adjusted by your own prints' : 'usual allowance',
      formula: n ? 'a = a₀ + Σaᵢ / (n + 2)' : 'a = a₀',
      inputs: [
        { name: 'usual', symbol: 'a₀', value: base, unit: 'stops', standing: usual?.standing ?? 'practice' },
        ...(n
          ? [
              { name: 'prints judged', symbol: 'n', value: n, unit: '', standing: 'yours' as const },
              {
                name: 'asked for by them, mean',
                symbol: 'ā',
                value: mean(asked),
                unit: 'stops',
                standing: 'yours' as const,
              },
            ]
          : []),
      ],
      standing: n ? 'yours' : (usual?.standing ?? 'practice'),
      source: n
        ? `Your judgements; ${usual?.source ?? 'nothing usual is known for this process'}`
        : (usual?.source ?? 'Nothing usual is known for this process'),
      leavesOut: 'each fault counts as 1/6 stop, regardless of its size',
    },
  }
}

/** No print asks for more than this either way. */
const MOST = 1

/**
 * What one print's last judgement asks for, in stops; `null` where no one judged. A print that was found right while wet
 * and was measured wet and dry asks to hold back what drying added, unless it was judged dry too.
 */
function asksFor(state: RunState): number | null {
  const dry = state.judgements.filter((one) => one.moment !== 'wet').at(-1)
  const last = dry ?? state.judgements.at(-1)
  const [share, black, white] = [
    dryShare(state),
    densityAt(state, 'black', ['wet']),
    densityAt(state, 'white', ['wet']),
  ]
  if (!dry && last?.shadows === 'right' && share !== null && black !== null)
    return Math.max(-MOST, Math.min(MOST, stopsForDrying(black - (white ?? 0), share)))
  if (!last || (last.shadows === undefined && last.highlights === undefined)) return null
  const shadows = { thin: 1, right: 0, blocked: -1 }[last.shadows ?? 'right']
  const highlights = { blank: 1, right: 0, veiled: -1 }[last.highlights ?? 'right']
  return STEP * (shadows + highlights) * (dry ? 1 : 0.5)
}
