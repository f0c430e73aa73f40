/** A list in pieces of so many. */
export const inPieces = <Item>(list: readonly Item[], size: number): Item[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size))
