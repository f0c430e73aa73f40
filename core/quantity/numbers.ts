/**
 * Numbers of sheets as they are said: runs of three or more by their ends.
 *
 * @param numbers whole, in any order; what is there twice is said once.
 * @returns such as `3–22, 25 and 26`; empty for none.
 */
export function numbersSaid(numbers: readonly number[]): string {
  const sorted = [...new Set(numbers)].sort((a, b) => a - b)
  const runs: number[][] = []
  for (const number of sorted) {
    const run = runs.at(-1)
    if (run && number === (run.at(-1) ?? 0) + 1) run.push(number)
    else runs.push([number])
  }
  const parts = runs.flatMap((run) => (run.length > 2 ? [`${run[0]}–${run.at(-1)}`] : run.map(String)))
  return parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '')
}
