/** Things by their name. Only names of the list are found: `constructor` and its like are none of them. */
export const lookup = <Value>(
  entries: Iterable<readonly [name: string, value: Value]>,
): Readonly<Record<string, Value>> =>
  Object.assign(Object.create(null) as Record<string, Value>, Object.fromEntries(entries))
