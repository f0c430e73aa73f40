import { standardDeviation } from '../quantity/statistics'
import { refusalAt } from '../errors'
import type { Figure } from '../quantity/figure'

/** One weighing: so many drops, so many grams of them. */
export interface DropWeighing {
  drops: number
  grams: number
}

export interface DropperCalibration {
  dropsPerMillilitre: Figure
  /** Volume of one drop, with its spread over the weighings, ml. */
  dropVolume: Figure
}

/**
 * A dropper from weighed drops.
 *
 * @param weighings shape (n,), at least one; each some drops with their weight.
 * @param gramsPerMillilitre density of what was dropped; water at room temperature is 0.998.
 * @throws CoreError `too-few`, `out-of-range` or `unlikely` for weighings that no dropper gives.
 */
export function calibrateDropper(
  weighings: readonly DropWeighing[],
  gramsPerMillilitre = 0.998,
): DropperCalibration {
  if (!weighings.length)
    throw wrong('too-few', 'No weighing has been entered.', 'Weigh 20 drops of water; three times is better.')
  for (const { drops, grams } of weighings)
    if (!Number.isInteger(drops) || drops < 1 || !(grams > 0))
      throw wrong(
        'out-of-range',
        'Each weighing needs a number of drops and a weight.',
        'Enter drops and grams, for example 20 drops, 0.98 g.',
      )
  const volumes = weighings.map(({ drops, grams }) => grams / gramsPerMillilitre / drops)
  const drops = weighings.reduce((sum, one) => sum + one.drops, 0)
  const grams = weighings.reduce((sum, one) => sum + one.grams, 0)
  const volume = grams / gramsPerMillilitre / drops
  const perMillilitre = 1 / volume
  if (perMillilitre < 5 || perMillilitre > 100)
    throw wrong(
      'unlikely',
      `This gives ${perMillilitre.toPrecision(3)} drops per ml, which is not plausible.`,
      'Droppers give 10 to 60 drops per ml. Check that the balance shows grams and was set to zero.',
    )
  const spread = standardDeviation(volumes, volume)
  const inputs = [
    { name: 'drops weighed', symbol: 'N', value: drops, unit: 'drops', standing: 'yours' as const },
    { name: 'their weight', symbol: 'm', value: grams, unit: 'g', standing: 'yours' as const },
    { name: 'density', symbol: 'ρ', value: gramsPerMillilitre, unit: 'g/ml' },
  ]
  const working = (words: string, formula: string) => ({
    words,
    formula,
    inputs,
    standing: 'yours' as const,
    source: `Your own weighing, ${weighings.length === 1 ? 'once' : `${weighings.length} times`}`,
    ...(spread === undefined && { leavesOut: 'the spread, which takes a second weighing' }),
  })
  return {
    dropsPerMillilitre: {
      value: perMillilitre,
      unit: 'drops/ml',
      ...(spread !== undefined && { uncertainty: (perMillilitre * spread) / volume }),
      working: working('drops over their volume', 'd = N·ρ / m'),
    },
    dropVolume: {
      value: volume,
      unit: 'ml',
      ...(spread !== undefined && { uncertainty: spread }),
      working: working('weight over density, for one drop', 'v = m / (ρ·N)'),
    },
  }
}

const wrong = refusalAt('dropper')
