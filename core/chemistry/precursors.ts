import type { Figure } from '../quantity/figure'
import { molarMass } from './molarMass'

/** Something that a salt is made from, in moles of it to a mole of the salt. */
export interface Precursor {
  name: string
  formula: string
  moles: number
}

/**
 * What to weigh of each precursor for a solution of a salt that is made in it, such as a chloropalladite from palladium
 * chloride: PdCl2 + 2 NaCl → Na2PdCl4.
 *
 * @param formula of the salt in solution.
 * @param percentWv strength wanted, g of the salt in 100 ml.
 * @returns g of each, in the order given.
 * @throws CoreError from `molarMass` for a formula that cannot be read.
 */
export function fromPrecursors(
  formula: string,
  percentWv: number,
  millilitres: number,
  precursors: readonly Precursor[],
): Figure[] {
  const salt = molarMass(formula).value
  const grams = (percentWv * millilitres) / 100
  return precursors.map((one) => {
    const mass = molarMass(one.formula).value
    return {
      value: (grams / salt) * one.moles * mass,
      unit: 'g',
      working: {
        words: 'moles of the salt × moles of this to each × its molar mass',
        formula: 'm = (c·V / 100 / M)·n·Mᵢ',
        inputs: [
          { name: 'strength', symbol: 'c', value: percentWv, unit: '% w/v' },
          { name: 'volume', symbol: 'V', value: millilitres, unit: 'ml' },
          { name: `molar mass of ${formula}`, symbol: 'M', value: salt, unit: 'g/mol' },
          { name: `moles of ${one.name}`, symbol: 'n', value: one.moles, unit: '' },
          { name: `molar mass of ${one.formula}`, symbol: 'Mᵢ', value: mass, unit: 'g/mol' },
        ],
        standing: 'arithmetic',
        source: 'Stoichiometry',
      },
    }
  })
}
