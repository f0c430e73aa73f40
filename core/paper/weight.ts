import { CoreError } from '../errors'
import { parseQuantity } from '../quantity/parse'

/**
 * Weight of a paper in g/m², from grams or from the basis weight on its label (`140 lb`, of a ream of 22 x 30 in).
 *
 * @throws CoreError as `parseQuantity`, or `out-of-range`.
 */
export function parsePaperWeight(text: string): number {
  const grams = parseQuantity(text, 'paperWeight', { field: 'weight', bareUnit: 'gsm' })
  if (grams > 0 && grams <= 2000) return Math.round(grams)
  throw new CoreError({
    code: 'out-of-range',
    field: 'weight',
    problem: `“${text}” is not a paper weight.`,
    remedy: 'Enter the paper weight in g/m², for example 300, or in pounds, for example 140 lb.',
  })
}
