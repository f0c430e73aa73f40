import type { Figure } from '../quantity/figure'
import { ATOMIC_WEIGHTS } from './atomicWeights'
import { atomsIn, molarMass } from './molarMass'

/** The metals that a print costs by, and is made of. */
const METALS = { Ag: 'silver', Au: 'gold', Pt: 'platinum', Pd: 'palladium' } as const
export type Metal = keyof typeof METALS

/** So much of a solution of one salt, as counted into the glass. */
export interface MetalPour {
  name: string
  millilitres: number
  percentWv: number
  formula?: string
  /** Price of a millilitre, where the lot's price is known. */
  pricePerMillilitre?: number
}

export interface MetalShare {
  metal: Metal
  name: (typeof METALS)[Metal]
  /** Milligrams of the metal itself. */
  mass: Figure
  /** Share of all metal here, by mass and by atoms, in %. */
  massShare: Figure
  moleShare: Figure
  /** `null` where no price is known. */
  cost: Figure | null
}

/**
 * Gold, platinum, palladium and silver in a mix, by mass and by mole.
 *
 * Three drops of 10 % gold chloride to one of 10 % ammonium chloroplatinite are 75 : 25 by drops; by metal they are
 * something else, and this says what.
 *
 * @returns one entry a metal present, heaviest first; empty for a mix without one.
 * @throws CoreError as `atomsIn` for a formula that cannot be read.
 */
export function metalContent(pours: readonly MetalPour[]): MetalShare[] {
  const found = new Map<
    Metal,
    { grams: number; moles: number; cost: number | null; inputs: Figure['working']['inputs'] }
  >()
  for (const pour of pours) {
    if (!pour.formula) continue
    const atoms = atomsIn(pour.formula)
    const mole = molarMass(pour.formula).value
    for (const metal of Object.keys(METALS) as Metal[]) {
      const count = atoms.get(metal)
      if (!count) continue
      const moles = (((pour.millilitres * pour.percentWv) / 100) * count) / mole
      const before = found.get(metal) ?? { grams: 0, moles: 0, cost: 0, inputs: [] }
      const price = pour.pricePerMillilitre
      found.set(metal, {
        grams: before.grams + moles * (ATOMIC_WEIGHTS[metal] as number),
        moles: before.moles + moles,
        cost: price === undefined || before.cost === null ? null : before.cost + price * pour.millilitres,
        inputs: [
          ...before.inputs,
          { name: `${pour.name}, in the glass`, symbol: 'V', value: pour.millilitres, unit: 'ml' },
          { name: `${pour.name}, strength`, symbol: 'c', value: pour.percentWv, unit: '% w/v' },
          { name: pour.formula, symbol: 'M', value: mole, unit: 'g/mol', standing: 'published' },
        ],
      })
    }
  }
  const all = [...found.values()]
  const [grams, moles] = [sum(all.map((one) => one.grams)), sum(all.map((one) => one.moles))]
  return [...found]
    .sort((a, b) => b[1].grams - a[1].grams)
    .map(([metal, one]) => ({
      metal,
      name: METALS[metal],
      mass: figure(
        1000 * one.grams,
        'mg',
        'metal in what was counted in',
        'm = Σ V·c/100 · n·A/M',
        one.inputs,
      ),
      massShare: figure((100 * one.grams) / grams, '%', 'this metal over all metal, by mass', 'm / Σm', [
        { name: METALS[metal], symbol: 'm', value: 1000 * one.grams, unit: 'mg' },
        { name: 'all metal', symbol: 'Σm', value: 1000 * grams, unit: 'mg' },
      ]),
      moleShare: figure((100 * one.moles) / moles, '%', 'this metal over all metal, by atoms', 'n / Σn', [
        { name: METALS[metal], symbol: 'n', value: 1000 * one.moles, unit: 'mmol' },
        { name: 'all metal', symbol: 'Σn', value: 1000 * moles, unit: 'mmol' },
      ]),
      cost:
        one.cost === null
          ? null
          : figure(one.cost, '', 'price of what was counted in', 'Σ V·price', one.inputs),
    }))
}

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)

const figure = (
  value: number,
  unit: string,
  words: string,
  formula: string,
  inputs: Figure['working']['inputs'],
): Figure => ({
  value,
  unit,
  working: {
    words,
    formula,
    inputs,
    standing: 'published',
    source: 'IUPAC/CIAAW abridged standard atomic weights, 2021 (from memory)',
  },
})
