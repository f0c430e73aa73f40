import { parseNumber } from '../quantity/number'
import { parseQuantity } from '../quantity/parse'

/**
 * What is in the glass of one solution, in the measure in which it was put there: a bare number or `20 drops` counts drops;
 * `1.2 ml`, `1/4 tsp` and any other volume is drops of this dropper, to the nearest whole one.
 *
 * @returns drops, 0 or more.
 * @throws CoreError as `parseNumber` and `parseQuantity`, with the field `drops counted`.
 */
export function parseMeasured(text: string, dropsPerMillilitre: number): number {
  const field = 'drops counted'
  const bare = text.trim().replace(/\s*\bdrops?$/i, '')
  // Without a figure it is no measure in any unit.
  if (!/\p{L}/u.test(bare) || !/\d/.test(bare))
    return parseNumber(bare, { field, isWhole: true, min: 0, example: '20, or 1.2 ml' })
  return Math.round(parseQuantity(bare, 'volume', { field }) * dropsPerMillilitre)
}
