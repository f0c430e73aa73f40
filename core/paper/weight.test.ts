import { parsePaperWeight } from './weight'

describe('the weight of a paper', () => {
  // Common practice: 140 lb (basis 22 x 30 in, 500 sheets) is about 300 g/m².
  it.each([
    ['300', 300],
    ['160 gsm', 160],
    ['140 lb', 298],
    // Paper merchants' tables, from memory: bond of 20 lb is 75 g/m², cover of 80 lb 216, text of 60 lb 89.
    ['20 lb bond', 75],
    ['80 lb cover', 216],
    ['60# text', 89],
  ])('reads a weight of %s', (text, grams) => expect(parsePaperWeight(text)).toBe(grams))

  it('refuses what is no weight of paper', () =>
    expect(() => parsePaperWeight('3000')).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})
