import { CoreError } from '../errors'
import { parseNumber } from '../quantity/number'
import { parseQuantity } from '../quantity/parse'

const FIELD = 'drops counted'

/**
 * What is in the glass of one solution, in the measure in which it was put there: a bare number or `20 drops` counts drops;
 * `1.2 ml`, `1/4 tsp`, `1 cup` and any other volume is drops of this dropper, to the nearest whole one; `1.2 g` was weighed,
 * and counts as so many ml, as water would.
 *
 * @returns drops, 0 or more.
 * @throws CoreError as `parseNumber` and `parseQuantity`, with the field `drops counted`.
 */
export function parseMeasured(text: string, dropsPerMillilitre: number): number {
  const bare = text.trim().replace(/\s*\bdrops?$/i, '')
  // Without a figure it is no measure in any unit.
  if (!/\p{L}/u.test(bare) || !/\d/.test(bare))
    return parseNumber(bare, { field: FIELD, isWhole: true, min: 0, example: '20, or 1.2 ml' })
  return Math.round(millilitresOf(bare) * dropsPerMillilitre)
}

/** Whether what was typed was weighed: its volume is then that of so much water, and a strong solution is heavier. */
export function isWeighed(text: string): boolean {
  try {
    return parseQuantity(text, 'mass', { field: FIELD }) > 0
  } catch (error) {
    if (error instanceof CoreError) return false
    throw error
  }
}

function millilitresOf(text: string): number {
  return isWeighed(text)
    ? parseQuantity(text, 'mass', { field: FIELD })
    : parseQuantity(text, 'volume', { field: FIELD })
}

/**
 * A glass that was measured by parts, such as each to the same mark of a cup.
 *
 * @param text what one part came to: drops, or any volume or weight.
 * @param parts the ratio, in the order of the solutions.
 * @returns drops of each solution, in the same order; a part of 2 has twice those of a part of 1.
 * @throws CoreError as `parseMeasured`; `out-of-range` for a part of zero.
 */
export function measuredByParts(
  text: string,
  parts: readonly number[],
  dropsPerMillilitre: number,
): number[] {
  const drops = parseMeasured(text, dropsPerMillilitre)
  if (!(drops > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'one part',
      problem: 'One part came to zero.',
      remedy: 'Enter what one part came to, such as 25 ml or 1 cup.',
      part: text,
    })
  return parts.map((part) => Math.round(part * drops))
}
