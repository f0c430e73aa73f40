import { momentKnown, sure, type DiagnosisInput, type RankedCause } from './diagnosis'
import { belongs, shareOf, type FaultBook, type FaultFact } from './faultBook'
import { expectedBits, expectedBitsOf } from './information'

/** An answer worth less than this is not worth the asking. */
const LEAST_BITS = 0.02

/** Facts that the user can add about such a print, not known yet, in the order of the book. */
export function untoldFacts(
  book: FaultBook,
  { traits, observed }: Pick<DiagnosisInput, 'traits' | 'observed'>,
): FaultFact[] {
  const known = new Set(observed.map((one) => one.factId))
  const isMomentKnown = momentKnown(book, observed) !== undefined
  return book.facts.filter(
    ({ id, ask, needs, moment }) =>
      ask !== undefined && !known.has(id) && belongs(needs, traits) && !(moment && isMomentKnown),
  )
}

/**
 * Questions that no record answers, first those that tell most and can be known most easily. Of the facts that say when
 * the fault was first seen, which are one question, the likeliest alone.
 */
export function rankQuestions(
  book: FaultBook,
  ranked: readonly RankedCause[],
  input: Pick<DiagnosisInput, 'traits' | 'observed'>,
): FaultFact[] {
  const untold = untoldFacts(book, input)
  const sharesOf = (fact: FaultFact) => ranked.map(({ cause }) => sure(shareOf(fact, cause, input.traits)))
  const likely = (fact: FaultFact) =>
    sharesOf(fact).reduce((sum, share, i) => sum + share * (ranked[i]?.probability ?? 0), 0)
  const moments = untold.filter(({ moment }) => moment).sort((a, b) => likely(b) - likely(a))
  const answers = moments.map(sharesOf)
  const sums = ranked.map((_, i) => answers.reduce((sum, shares) => sum + (shares[i] ?? 0), 0))
  const bitsOf = (fact: FaultFact) =>
    fact.moment
      ? expectedBitsOf(
          ranked,
          answers.map((shares) => shares.map((share, i) => share / (sums[i] ?? 1))),
        )
      : expectedBits(ranked, sharesOf(fact))
  return untold
    .filter((fact) => !fact.moment || fact === moments[0])
    .map((fact) => ({ fact, bits: bitsOf(fact) }))
    .filter(({ bits }) => bits >= LEAST_BITS)
    .sort((a, b) => b.bits * (b.fact.ease ?? 1) - a.bits * (a.fact.ease ?? 1))
    .map(({ fact }) => fact)
}
