import { CoreError } from '@core/errors'
import { parseQuantity } from '@core/quantity/parse'
import { texts } from './words'

/**
 * A strength or a volume from a label.
 *
 * @throws CoreError those of `parseQuantity`, and `nothing` for zero.
 */
export function aboveZero(text: string, dimension: 'fraction' | 'volume', field: string): number {
  const value = parseQuantity(text, dimension, { field, bareUnit: dimension === 'volume' ? 'ml' : 'percent' })
  if (value > 0) return value
  throw new CoreError({
    code: 'nothing',
    field,
    problem: `The ${field} must be above zero.`,
    remedy: texts.asLabelSays,
  })
}
