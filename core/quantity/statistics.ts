/**
 * Arithmetic mean.
 *
 * @param values shape (n,), any unit.
 * @returns in the same unit; NaN for an empty list, which callers rule out.
 */
export const mean = (values: readonly number[]): number => sumOf(values) / values.length

/** Sum of a list; 0 for an empty one. */
export const sumOf = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0)

/**
 * Middle value; of an even count the mean of the two in the middle.
 *
 * @param values shape (n,), n ≥ 1, in any order; left as they are.
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
}

/**
 * Sum of squared distances from a centre.
 *
 * @param values shape (n,). @param centre in the same unit.
 * @returns in that unit squared; 0 for an empty list.
 */
export const squaredDistances = (values: readonly number[], centre: number): number =>
  values.reduce((sum, one) => sum + (one - centre) ** 2, 0)

/**
 * Sample standard deviation (n − 1 in the denominator).
 *
 * @param centre where the values are measured from; their mean where it is left out.
 * @returns in the unit of the values; `undefined` for fewer than two, which have no spread.
 * @see NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.6, from memory
 */
export const standardDeviation = (
  values: readonly number[],
  centre: number = mean(values),
): number | undefined =>
  values.length > 1 ? Math.sqrt(squaredDistances(values, centre) / (values.length - 1)) : undefined

/**
 * Spread that a few strays cannot widen: 1.4826 times the median distance from the median, which equals the standard
 * deviation for normal noise.
 *
 * @param values shape (n,), n ≥ 1.
 * @see Rousseeuw and Croux 1993 (median absolute deviation), from memory
 */
export function robustSpread(values: readonly number[]): number {
  const middle = median(values)
  return 1.4826 * median(values.map((one) => Math.abs(one - middle)))
}
