import type { RankedCause } from './diagnosis'
import { belongs, type Cause, type FaultBook, type FaultTest, type Trait } from './faultBook'
import { expectedBits } from './information'

/** Chance that a fault goes away with a change that has nothing to do with it. */
const BY_CHANCE = 0.08

export interface RankedTest {
  test: FaultTest
  /** Expected information, bits. */
  bits: number
  /** Causes it would point to, likeliest first. */
  cures: readonly Cause[]
  /** The likeliest cause that it takes away and the likeliest that it leaves: what it tells apart. */
  separates: readonly [Cause, Cause] | null
}

/** What a scrap, a sheet and a new solution cost in time and material, against each other. */
const COST = { 1: 1, 2: 1.5, 3: 2.5 } as const
/** A test that tells less than this is none. */
const LEAST_TOLD = 0.01

/** What is known of the print that a test is chosen for. */
export interface TestedPrint {
  traits: ReadonlySet<Trait>
  symptoms?: readonly string[]
  /** Tests that the sheet was already made by: a rod for a sheet that was coated by rod. */
  done?: readonly string[]
}

/**
 * Tests for the next sheet, the one first that is expected to tell most about the cause for what it costs. Left out are
 * those that cannot show what is seen, tell nothing, or were done already.
 */
export function rankTests(
  book: FaultBook,
  ranked: readonly RankedCause[],
  { traits, symptoms = [], done = [] }: TestedPrint,
): RankedTest[] {
  const canShow = ({ shows }: FaultTest) =>
    !shows || !symptoms.length || shows.some((one) => symptoms.includes(one))
  const isCured = (test: FaultTest, cause: Cause) => (test.cures[cause.id] ?? 0) >= 0.5
  const worth = ({ test, bits }: RankedTest) => bits / COST[test.effort]
  return book.tests
    .filter((test) => belongs(test.needs, traits) && canShow(test) && !done.includes(test.id))
    .map((test) => ({
      test,
      bits: expectedBits(
        ranked,
        ranked.map(({ cause }) => test.cures[cause.id] ?? BY_CHANCE),
      ),
      cures: ranked.filter(({ cause }) => cause.id in test.cures).map(({ cause }) => cause),
      separates: separatedBy(ranked, (cause) => isCured(test, cause)),
    }))
    .filter(({ bits }) => bits >= LEAST_TOLD)
    .sort((a, b) => worth(b) - worth(a) || b.bits - a.bits)
}

function separatedBy(
  ranked: readonly RankedCause[],
  isCured: (cause: Cause) => boolean,
): readonly [Cause, Cause] | null {
  const gone = ranked.find(({ cause }) => isCured(cause))
  const left = ranked.find(({ cause }) => !isCured(cause))
  return gone && left ? [gone.cause, left.cause] : null
}

/** Ranking after a test of its own came out one way or the other. */
export function afterTest(
  ranked: readonly RankedCause[],
  test: FaultTest,
  outcome: 'changed' | 'same',
): RankedCause[] {
  const weighed = ranked.map((one) => {
    const share = test.cures[one.cause.id] ?? BY_CHANCE
    return { ...one, probability: one.probability * (outcome === 'changed' ? share : 1 - share) }
  })
  const sum = weighed.reduce((all, one) => all + one.probability, 0)
  return weighed
    .map((one) => ({ ...one, probability: one.probability / sum }))
    .sort((a, b) => b.probability - a.probability)
}
