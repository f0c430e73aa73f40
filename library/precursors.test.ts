import { MF } from 'mf-parser'
import { fromPrecursors } from '@core/chemistry/precursors'
import { substances } from './index'
import { makings } from './precursors'

/** g/mol by another reckoning than the app's. */
const massOf = (formula: string) => new MF(formula).getInfo().mass

describe('salts made from others', () => {
  it.each(Object.entries(makings))('%s holds every gram that went into it', (id, { from }) => {
    const formula = substances[id]!.forms[0]!.formula
    const grams = fromPrecursors(formula, 15, 100, from).map(({ value }) => value)
    // Nothing is given off: the parts weigh what the salt weighs.
    expect(grams.reduce((sum, one) => sum + one, 0)).toBeCloseTo(15, 6)
    for (const [i, { formula: part, moles }] of from.entries())
      expect(grams[i]).toBeCloseTo((15 / massOf(formula)) * moles * massOf(part), 2)
  })

  // By hand: Pd 106.42, Cl 35.45, Na 22.99: PdCl2 177.32, NaCl 58.44, Na2PdCl4 294.20 g/mol; 15 g take 9.04 and 5.96 g.
  it('sodium chloropalladite of 15 %: 9.04 g and 5.96 g to 100 ml', () => {
    const { from } = makings['sodium-chloropalladite']!
    const [palladium, salt] = fromPrecursors('Na2PdCl4', 15, 100, from).map(({ value }) => value)
    expect(palladium).toBeCloseTo(9.04, 2)
    expect(salt).toBeCloseTo(5.96, 2)
  })
})
