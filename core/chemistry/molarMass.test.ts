import { CoreError } from '../errors'
import { molarMass } from './molarMass'

describe('molarMass', () => {
  // IUPAC/CIAAW abridged standard atomic weights, summed by hand; from memory. Tolerance: the last figure they carry.
  it.each([
    ['H2O', 18.015],
    ['H2O2', 34.014],
    ['NaCl', 58.44],
    ['AgNO3', 169.874],
    ['K3[Fe(CN)6]', 329.247],
    ['H2C2O4·2H2O', 126.064],
    ['H2C2O4.2H2O', 126.064],
    ['Na2S2O3·5H2O', 248.17],
    ['K2PtCl4', 415.076],
    ['(NH4)2PtCl4', 372.958],
  ])('of %s is %d g/mol', (formula, mass) => {
    expect(molarMass(formula).value).toBeCloseTo(mass, 1)
  })

  it('shows every element it counted', () => {
    expect(molarMass('K3[Fe(CN)6]').working.inputs.map((input) => input.name)).toEqual([
      'K × 3',
      'Fe × 1',
      'C × 6',
      'N × 6',
    ])
  })

  it.each([
    ['', 'unreadable-formula'],
    ['k3', 'unreadable-formula'],
    ['Xx2', 'unknown-element'],
    ['K3[Fe(CN6', 'unreadable-formula'],
  ])('refuses %p', (formula, code) => {
    expect(() => molarMass(formula)).toThrow(expect.objectContaining({ code }))
    expect(() => molarMass(formula)).toThrow(CoreError)
  })
})
