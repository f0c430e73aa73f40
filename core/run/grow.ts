/** Adds to a list. */
export type Grow = <Item>(list: readonly Item[], item: Item) => Item[]

/** Leaves the list as it was. */
export const copied: Grow = (list, item) => [...list, item]

/**
 * Adds to lists in place that it made itself, so that a replay of many notes copies none of them again and again. For a
 * replay only, whose states on the way are seen nowhere else.
 */
export function growing(): Grow {
  const own = new WeakSet<object>()
  return (list, item) => {
    if (own.has(list)) {
      ;(list as unknown[]).push(item)
      return list as (typeof item)[]
    }
    const fresh = [...list, item]
    own.add(fresh)
    return fresh
  }
}
