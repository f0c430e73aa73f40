import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { Substance } from '../schema/substance'
import { interpolate } from '../quantity/interpolate'

/**
 * Stock and water for a weaker solution.
 *
 * @param from strength of the stock; @param to strength wanted; both in the same unit, above 0.
 * @param volumeMillilitres wanted of the weaker solution.
 * @returns millilitres of stock and of water.
 * @throws CoreError `cannot-strengthen` when the stock is the weaker one; `out-of-range`.
 */
export function dilute(
  from: number,
  to: number,
  volumeMillilitres: number,
): { stock: Figure; water: Figure } {
  if (!(from > 0) || !(to > 0) || !(volumeMillilitres > 0))
    throw new CoreError({
      code: 'out-of-range',
      field: 'dilution',
      problem: 'Strengths and volume must be above zero.',
      remedy: 'Enter the strength of the stock, the wanted strength and the volume.',
    })
  if (to > from * (1 + 1e-9))
    throw new CoreError({
      code: 'cannot-strengthen',
      field: 'dilution',
      problem: `A stock of ${from} % cannot give ${to} %.`,
      remedy: 'Make it from powder, or use a stronger stock.',
    })
  const inputs = [
    { name: 'stock', symbol: 'c₁', value: from, unit: '%' },
    { name: 'wanted', symbol: 'c₂', value: to, unit: '%' },
    { name: 'volume wanted', symbol: 'V₂', value: volumeMillilitres, unit: 'ml' },
  ]
  const figure = (value: number, words: string, formula: string): Figure => ({
    value,
    unit: 'ml',
    working: {
      words,
      formula,
      inputs,
      standing: 'arithmetic',
      source: 'The amount of solute stays the same',
      leavesOut: 'volumes are assumed to add up',
    },
  })
  const stock = (volumeMillilitres * to) / from
  return {
    stock: figure(stock, 'volume × wanted ÷ stock', 'V₁ = V₂·c₂ / c₁'),
    water: figure(volumeMillilitres - stock, 'the rest', 'V₂ − V₁'),
  }
}

/** What a recipe needs of one thing, and what is there of it. */
export interface OnHand {
  name: string
  needed: number
  available: number
}

/**
 * How far a recipe must be scaled so that nothing runs short.
 *
 * @returns the factor, at most 1, and the name of what limits it, `null` when there is enough of all.
 */
export function scaleToHand(list: readonly OnHand[]): { factor: number; limitedBy: string | null } {
  let [factor, limitedBy] = [1, null as string | null]
  for (const one of list) {
    const share = one.needed > 0 ? Math.max(0, one.available) / one.needed : 1
    if (share < factor) [factor, limitedBy] = [share, one.name]
  }
  return { factor, limitedBy }
}

/**
 * Strength of a concentrated liquid from its density, as a hydrometer reads it.
 *
 * @param gramsPerMillilitre at about 20 °C.
 * @returns % w/w.
 * @throws CoreError `no-table` for a substance without a table; `out-of-range` for a density it never has.
 */
export function strengthByDensity(substance: Substance, gramsPerMillilitre: number): Figure {
  const table = substance.densities
  if (!table)
    throw new CoreError({
      code: 'no-table',
      field: substance.name,
      problem: 'The app has no density table for this substance.',
      remedy: 'Enter the strength from the label.',
    })
  const byDensity = table.at.map(([percent, density]) => [density, percent] as const)
  const [least, most] = [byDensity[0]?.[0] ?? 0, byDensity.at(-1)?.[0] ?? 0]
  if (!(gramsPerMillilitre >= least && gramsPerMillilitre <= most))
    throw new CoreError({
      code: 'out-of-range',
      field: 'density',
      problem: `${substance.name} has a density between ${least} and ${most} g/ml.`,
      remedy: 'Read the hydrometer again, at 20 °C.',
    })
  return {
    value: interpolate(byDensity, gramsPerMillilitre),
    unit: '% w/w',
    working: {
      words: 'read off the table of densities',
      formula: 'w(ρ)',
      inputs: [{ name: 'density', symbol: 'ρ', value: gramsPerMillilitre, unit: 'g/ml', standing: 'yours' }],
      standing: table.standing,
      source: table.source,
    },
  }
}

/** Water at 20 °C, g/ml. @see CRC Handbook of Chemistry and Physics; value from memory */
const WATER_GRAMS_PER_MILLILITRE = 0.998

/**
 * Density of a liquid of this strength: from the substance's table where it has one, else on a straight line between
 * water and the liquid as it is usually sold.
 *
 * @param percentWw strength, % by weight.
 * @returns g/ml, or `null` for what is not sold as a liquid.
 */
export function densityByStrength(substance: Substance, percentWw: number): Figure | null {
  const { densities: table, liquid } = substance
  if (!liquid) return null
  const isAsSold = Math.abs(percentWw / liquid.percentWw - 1) < 1e-3
  const line = [
    [0, WATER_GRAMS_PER_MILLILITRE],
    [liquid.percentWw, liquid.gramsPerMillilitre],
  ] as const
  const at = table ? ([[0, WATER_GRAMS_PER_MILLILITRE], ...table.at] as const) : line
  return {
    value: isAsSold ? liquid.gramsPerMillilitre : interpolate(at, percentWw),
    unit: 'g/ml',
    working: {
      words: table ? 'read off the table of densities' : 'between water and the liquid as it is sold',
      formula: table ? 'ρ(w)' : 'ρ = ρ₀ + (ρ₁ − ρ₀)·w/w₁',
      inputs: [{ name: 'strength', symbol: 'w', value: percentWw, unit: '% w/w', standing: 'yours' }],
      standing: table ? table.standing : 'memory',
      source: table ? table.source : 'A straight line, accurate to a few percent',
    },
  }
}

/**
 * How much of a bought liquid, such as hydrochloric acid of 37 %, a litre of some percentage takes: what the percentage
 * means decides it.
 *
 * @param percent wanted, 0 to 100.
 * @param liquid as sold: percent of the pure substance by weight, and density.
 * @returns millilitres of the liquid to a litre, `byWeight` for % w/v of the pure substance, `byVolume` for % v/v of the
 *   liquid as it is.
 */
export const concentratePerLitre = (
  percent: number,
  liquid: { percentWw: number; gramsPerMillilitre: number },
): { byWeight: number; byVolume: number } => ({
  byWeight: (1000 * percent) / liquid.gramsPerMillilitre / liquid.percentWw,
  byVolume: 10 * percent,
})
