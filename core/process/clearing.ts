import type { Figure } from '../quantity/figure'
import type { Bath } from '../schema/bath'

/** From this many times its first clearing time on, a fixer is spent. */
const SPENT = 2

/** What the clearing times of a fixer say about it. */
export interface ClearingSays {
  /** In the bath as it was tested first, and last; s. */
  firstSeconds: number
  lastSeconds: number
  /** The last over the first. */
  ratio: Figure
  isSpent: boolean
}

/**
 * How slow a fixer has become, by the time in which a test strip clears in it.
 *
 * @returns `null` for a bath that was not tested.
 * @see a fixer is spent when a strip takes twice as long to clear as when it was fresh: common practice
 */
export function clearingOf(bath: Pick<Bath, 'clearing'>): ClearingSays | null {
  const tests = bath.clearing ?? []
  const [first, last] = [tests[0], tests.at(-1)]
  if (!first || !last) return null
  const ratio = last.seconds / first.seconds
  return {
    firstSeconds: first.seconds,
    lastSeconds: last.seconds,
    isSpent: ratio >= SPENT,
    ratio: {
      value: ratio,
      unit: '×',
      working: {
        words: 'clearing time now ÷ clearing time when it was fresh',
        formula: 'r = t / t₀',
        inputs: [
          { name: 'last test', symbol: 't', value: last.seconds, unit: 's', standing: 'yours' },
          { name: 'first test', symbol: 't₀', value: first.seconds, unit: 's', standing: 'yours' },
        ],
        standing: 'practice',
        source: 'A fixer is spent at twice the clearing time of the fresh one; common practice',
        leavesOut: 'the silver that the bath holds, which limits how long a print keeps before this does',
      },
    },
  }
}
