import { interpolate } from '../quantity/interpolate'
import type { Figure } from '../quantity/figure'
import type { Substance } from '../schema/substance'
import { hydrateFactor } from './forms'

/** Room that a gram of dissolved solid takes up, in ml; half a millilitre is near enough for a limit. */
const MILLILITRES_PER_GRAM = 0.5

/**
 * The most of a substance that is in 100 ml of solution.
 *
 * The table's grams in 100 g of water are read off by straight lines between its temperatures and turned into grams in
 * 100 ml of finished solution. Beyond the table's ends its end values hold.
 *
 * @param form id of the form the grams are counted in; the usual one when left out.
 * @returns % w/v, or `null` where no solubility is known.
 * @throws CoreError `unknown-form`.
 */
export function solubilityLimit(substance: Substance, celsius: number, form?: string): Figure | null {
  const table = substance.solubility
  if (!table) return null
  const inWater = interpolate(table.at, celsius)
  // Water of crystallisation joins the solvent, which the small table entries leave within their own uncertainty.
  const factor = hydrateFactor(substance, table.form, form).value
  const anhydrous = (100 * inWater) / (100 + inWater * MILLILITRES_PER_GRAM)
  return {
    value: anhydrous * factor,
    unit: '% w/v',
    working: {
      words: 'grams that 100 g of water take up, in 100 ml of solution',
      formula: 'c = f·100·s / (100 + ½·s)',
      inputs: [
        {
          name: `solubility at ${celsius} °C`,
          symbol: 's',
          value: inWater,
          unit: 'g/100 g',
          standing: table.standing,
        },
        { name: 'form in hand', symbol: 'f', value: factor, unit: 'g/g' },
      ],
      standing: table.standing,
      source: table.source,
      leavesOut: 'other salts in the same water, and the exact room the dissolved salt takes up',
    },
  }
}
