import fc from 'fast-check'
import { fromCanonical, toCanonical, unitOf, UNITS, EXAMPLE } from './units'
import { parseQuantity } from './parse'

describe('the units', () => {
  // NIST Special Publication 811, Appendix B.9, and Handbook 44, Appendix C; from memory. Each in the canonical unit.
  it.each([
    ['in', 25.4],
    ['ft', 304.8],
    ['in2', 6.4516],
    ['tsp', 4.928_921_593_75],
    ['tbsp', 14.786_764_781_25],
    ['floz', 29.573_529_562_5],
    ['cup', 236.588_236_5],
    ['lb', 453.592_37],
    ['oz', 28.349_523_125],
    ['h', 3600],
    ['d', 86_400],
    ['m2', 10_000],
  ])('one %s is %d', (id, value) => expect(toCanonical(1, unitOf(id))).toBeCloseTo(value, 9))

  // Fixed points of the Fahrenheit scale, by definition: ice at 32, steam at 212, and the two scales meet at −40.
  it.each([
    [32, 0],
    [212, 100],
    [-40, -40],
    [68, 20],
  ])('%d °F are %d °C', (fahrenheit, celsius) => {
    expect(toCanonical(fahrenheit, unitOf('degF'))).toBeCloseTo(celsius, 9)
    expect(fromCanonical(celsius, unitOf('degF'))).toBeCloseTo(fahrenheit, 9)
  })

  it('convert there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...UNITS),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (unit, value) => {
          expect(fromCanonical(toCanonical(value, unit), unit)).toBeCloseTo(value, 4)
        },
      ),
    )
  })

  it('do not share a name within one dimension', () => {
    const names = UNITS.flatMap((unit) => unit.names.map((name) => `${unit.dimension} ${name}`))
    expect(new Set(names).size).toBe(names.length)
  })

  it('are read by every one of their names', () => {
    for (const unit of UNITS)
      for (const name of unit.names)
        expect(parseQuantity(`3 ${name}`, unit.dimension, { field: 'unit' })).toBeCloseTo(
          toCanonical(3, unit),
          9,
        )
  })

  it('come with examples that can be read', () => {
    for (const [dimension, example] of Object.entries(EXAMPLE))
      for (const one of example.split(' or '))
        expect(parseQuantity(one, dimension as keyof typeof EXAMPLE, { field: dimension })).toBeGreaterThan(0)
  })

  it('refuse an id that is none', () => expect(() => unitOf('furlong')).toThrow('furlong'))
})
