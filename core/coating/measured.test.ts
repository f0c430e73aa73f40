import { parseMeasured } from './measured'

describe('what is in the glass', () => {
  it.each([
    ['20', 20],
    ['20 drops', 20],
    ['0', 0],
    ['1.2 ml', 24],
    ['0,5 ml', 10],
    // NIST Handbook 44, appendix C: a US teaspoon is 4.929 ml, so a quarter is 1.232 ml.
    ['1/4 tsp', 25],
  ])('%s is %i drops of a dropper of 20 to the millilitre', (text, drops) => {
    expect(parseMeasured(text, 20)).toBe(drops)
  })
  it('of words says what can be typed', () => {
    expect(() => parseMeasured('a few', 20)).toThrow(/Enter a number, for example 20, or 1.2 ml/)
  })
  it.each(['2.5', '-3', '3 g', '2 %', 'some'])('%s is no measure of a solution', (text) => {
    expect(() => parseMeasured(text, 20)).toThrow(expect.objectContaining({ name: 'CoreError' }))
  })
})
