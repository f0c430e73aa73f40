import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { Size } from '../quantity/size'
import { imageArea } from './coatVolume'

/** What is in a glass, and what is coated from it. */
export interface GlassInput extends Size {
  /** Drops in the glass, all components together. */
  drops: number
  dropsPerMillilitre: number
  coats: number
  sheets: number
}

/**
 * How thick the coat is that a glass gives, as counted and not as planned: its volume over all that is coated from it.
 *
 * @returns ml/m² in one coat.
 * @throws CoreError `out-of-range` for drops, a dropper, coats or sheets not above zero.
 */
export function glassCoverage({ drops, dropsPerMillilitre, coats, sheets, ...size }: GlassInput): Figure {
  if (![drops, dropsPerMillilitre, coats, sheets].every((one) => one > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'drops',
      problem: 'Drops, drops per millilitre, coats and sheets must be above zero.',
      remedy: 'Count at least one drop of each solution.',
    })
  const area = imageArea(size)
  const millilitres = drops / dropsPerMillilitre
  return {
    value: millilitres / ((area.value / 10_000) * coats * sheets),
    unit: 'ml/m²',
    working: {
      words: sheets === 1 ? 'volume / (area × coats)' : 'volume / (area × coats × sheets)',
      formula: sheets === 1 ? 'k = V / (A·n)' : 'k = V / (A·n·s)',
      inputs: [
        { name: 'volume in the glass', symbol: 'V', value: millilitres, unit: 'ml' },
        { name: 'area', symbol: 'A', value: area.value, unit: 'cm²' },
        { name: 'coats', symbol: 'n', value: coats, unit: '' },
        ...(sheets === 1 ? [] : [{ name: 'sheets', symbol: 's', value: sheets, unit: '' }]),
      ],
      standing: 'arithmetic',
      source: 'Volume over area',
    },
  }
}
