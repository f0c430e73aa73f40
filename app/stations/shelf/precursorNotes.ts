import { fromPrecursors } from '@core/chemistry/precursors'
import type { Solution } from '@core/chemistry/solution'
import { digits } from '@core/quantity/format'
import { ferrousTest, makings } from '@library/precursors'
import { substances } from '@library/index'
import type { MarginNote } from '../../state/margin.store'

/** A weaker solution is a bath that is made from such a stock. */
const STOCK_PERCENT = 2

/** From what a metal salt can be made in place of buying it, weighed out for this volume; and the test of an old ferric one. */
export function precursorNotes(solution: Solution | null): MarginNote[] {
  if (!solution) return []
  return solution.solutes.flatMap(({ substanceId, name, strength }): MarginNote[] => {
    if (substanceId === 'ferric-oxalate') return [{ title: 'Is it still good?', lines: [ferrousTest] }]
    const making = makings[substanceId]
    const formula = substances[substanceId]?.forms[0]?.formula
    if (!making || !formula || strength.value < STOCK_PERCENT) return []
    const weighed = fromPrecursors(formula, strength.value, solution.volume.value, making.from)
    const parts = weighed.map(({ value }, i) => `${digits(value)}\u00a0g of ${making.from[i]?.name ?? ''}`)
    return [
      {
        title: `Or make the ${name}`,
        lines: [`In place of the salt: ${parts.join(' and ')}.`, ...making.lines],
      },
    ]
  })
}
