import { CoreError } from '../errors'
import { digits, formatSpan } from './format'
import { plainText } from './number'
import { parseQuantity } from './parse'
import { fromCanonical, unitOf, type Dimension } from './units'

/**
 * What a typed quantity was understood as, to be shown beside its field: `90` in a field for minutes reads `1 h 30 min`.
 *
 * @param bareUnit the unit of a number without one; the answer is given in it.
 * @returns an empty text where nothing is typed, nothing can be read, or what was typed already says it.
 */
export function understood(text: string, dimension: Dimension, bareUnit: string): string {
  if (!text.trim()) return ''
  try {
    const value = parseQuantity(text, dimension, { field: '', bareUnit })
    const unit = unitOf(bareUnit)
    const said =
      dimension === 'time' && bareUnit !== 'h'
        ? formatSpan(value)
        : `${digits(fromCanonical(value, unit), 4)}\u00a0${unit.label}`
    const bare = (one: string) => plainText(one).replace(/\s+/g, '').toLowerCase()
    return bare(said) === bare(text) ? '' : said
  } catch (error) {
    if (error instanceof CoreError) return ''
    throw error
  }
}
