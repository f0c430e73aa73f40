import { isWeighed, measuredByParts, parseMeasured } from './measured'

describe('what is in the glass', () => {
  it.each([
    ['20', 20],
    ['20 drops', 20],
    ['0', 0],
    ['1.2 ml', 24],
    ['0,5 ml', 10],
    // NIST Handbook 44, appendix C: a US teaspoon is 4.929 ml, so a quarter is 1.232 ml.
    ['1/4 tsp', 25],
    // The same table: a US cup is 236.588 ml.
    ['1 cup', 4732],
    // Weighed, a millilitre of a thin solution is about a gram, as of water: common practice.
    ['1.2 g', 24],
  ])('%s is %i drops of a dropper of 20 to the millilitre', (text, drops) => {
    expect(parseMeasured(text, 20)).toBe(drops)
  })
  it('of words says what can be typed', () => {
    expect(() => parseMeasured('a few', 20)).toThrow(/Enter a number, for example 20, or 1.2 ml/)
  })
  it.each(['2.5', '-3', '2 %', 'some'])('%s is no measure of a solution', (text) => {
    expect(() => parseMeasured(text, 20)).toThrow(expect.objectContaining({ name: 'CoreError' }))
  })
})

describe('a glass measured by parts', () => {
  it('has each solution to the same mark where the parts are equal', () => {
    expect(measuredByParts('25 ml', [1, 1], 20)).toEqual([500, 500])
  })
  it('has twice as much of a part of two', () => {
    expect(measuredByParts('10 ml', [1, 2, 0.5], 20)).toEqual([200, 400, 100])
  })
  it.each(['0', '0 ml', 'a bit', ''])('of “%s” is refused', (text) => {
    expect(() => measuredByParts(text, [1, 1], 20)).toThrow(expect.objectContaining({ name: 'CoreError' }))
  })
})

test.each([
  ['3 g', true],
  ['1/2 oz', true],
  ['3 ml', false],
  ['20', false],
  ['2 %', false],
])('%s was weighed: %s', (text, is) => {
  expect(isWeighed(text)).toBe(is)
})
