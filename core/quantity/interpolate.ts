/** Value at `x` of a table with rising first column, by straight lines; the end values hold beyond the ends. */
export function interpolate(table: readonly (readonly [number, number])[], x: number): number {
  const [first, last] = [table[0] as [number, number], table.at(-1) as [number, number]]
  if (x <= first[0]) return first[1]
  if (x >= last[0]) return last[1]
  const above = table.findIndex(([at]) => at >= x)
  const [[x0, y0], [x1, y1]] = [table[above - 1] as [number, number], table[above] as [number, number]]
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0)
}
