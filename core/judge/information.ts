import type { RankedCause } from './diagnosis'

/** Information in a split of probabilities, bits. */
export const entropy = (probabilities: readonly number[]): number =>
  -probabilities.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0)

/**
 * What a question is expected to tell of the causes, in bits: how much less is open after it, each answer weighed by how
 * likely it is.
 *
 * @param answers for each answer its probability for each cause, in the order of `ranked`; those of one cause come to 1.
 */
export function expectedBitsOf(
  ranked: readonly Pick<RankedCause, 'probability'>[],
  answers: readonly (readonly number[])[],
): number {
  const before = ranked.map((one) => one.probability)
  const after = answers.map((shares) => {
    const joint = before.map((p, i) => p * (shares[i] as number))
    const likely = joint.reduce((sum, one) => sum + one, 0)
    return likely > 0 ? likely * entropy(joint.map((one) => one / likely)) : 0
  })
  return entropy(before) - after.reduce((sum, one) => sum + one, 0)
}

/**
 * What one yes or no is expected to tell of the causes, in bits.
 *
 * @param yes probability of a yes for each cause, in the order of `ranked`.
 */
export const expectedBits = (
  ranked: readonly Pick<RankedCause, 'probability'>[],
  yes: readonly number[],
): number => expectedBitsOf(ranked, [yes, yes.map((share) => 1 - share)])
