/**
 * Weighted isotonic regression: the never falling row that is nearest to the values, by pooling neighbours that
 * stand the wrong way round.
 *
 * @param values shape (n,), in order.
 * @param weights shape (n,), each above 0.
 * @returns shape (n,), never falling; each pool is the weighted mean of what it took in.
 * @see Barlow, Bartholomew, Bremner & Brunk 1972 (pool adjacent violators); from memory
 */
export function isotonic(values: readonly number[], weights: readonly number[]): number[] {
  const pools: { sum: number; weight: number; count: number }[] = []
  values.forEach((value, i) => {
    pools.push({ sum: value * weights[i]!, weight: weights[i]!, count: 1 })
    while (pools.length > 1) {
      const [before, last] = [pools.at(-2)!, pools.at(-1)!]
      if (before.sum / before.weight <= last.sum / last.weight) break
      pools.splice(-2, 2, {
        sum: before.sum + last.sum,
        weight: before.weight + last.weight,
        count: before.count + last.count,
      })
    }
  })
  return pools.flatMap(({ sum, weight, count }) => Array.from({ length: count }, () => sum / weight))
}
