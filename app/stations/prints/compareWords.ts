import type { Difference } from '@core/judge/compare'
import type { ResultRow } from '@core/judge/results'

/** A difference in a line, the last print against the first: `exposure 8 min → 9 min, 13 % more`. */
export function differenceLine({ name, said, change }: Difference): string {
  const values = said.map((one) => one ?? 'none')
  const arrow = values.length === 2 ? `${values[0]} → ${values[1]}` : values.join(', ')
  return `${name}: ${arrow}${change ? `, ${change}` : ''}`
}

const ROW: Readonly<Record<ResultRow['id'], string>> = {
  verdict: 'Verdict',
  shadows: 'Shadows',
  highlights: 'Highlights',
  whites: 'Whites',
  black: 'Dmax',
  white: 'Paper white',
  net: 'Dmax above paper white',
  patch: 'Patch',
}
const SAID: Readonly<Record<string, string>> = {
  keep: 'kept',
  again: 'print again',
  undecided: 'not decided',
}

export const resultName = (row: ResultRow): string => (row.id === 'patch' ? row.name : ROW[row.id])
export const resultSaid = (value: string | null): string => (value === null ? '—' : (SAID[value] ?? value))

/** How far apart two colours are, in words beside the figure. */
export function colourSaid(difference: number): string {
  const seen =
    difference < 1 ? 'not visible' : difference < 2.5 ? 'just visible' : difference < 6 ? 'clearly visible' : 'a different colour' // prettier-ignore
  return `ΔE₀₀ ${difference.toFixed(1)}, ${seen}`
}

/** How much a difference weighs, in a word. */
export const effectSaid = (effect: number): string =>
  effect >= 8 ? 'much' : effect >= 3 ? 'some' : effect >= 1 ? 'a little' : 'hardly'
