import { acidCapacity, gramsPerM2, hardenerDrops, trayVolume } from './amounts'

describe('amounts for paper', () => {
  // Common practice: 140 lb of 22 x 30 in, 500 sheets, is about 300 g/m².
  it.each([
    [140, 298],
    [90, 191],
    [300, 638],
  ])('%d lb is about %d g/m²', (pounds, grams) => expect(gramsPerM2(pounds).value).toBeCloseTo(grams, -1))

  it('refuses a weight that is none', () =>
    expect(() => gramsPerM2(0)).toThrow(expect.objectContaining({ code: 'out-of-range' })))

  it('fills a tray that is a little larger than the sheet', () =>
    expect(trayVolume({ widthMillimetres: 254, heightMillimetres: 285.75 }, 15).value).toBeCloseTo(
      (304 * 335.75 * 15) / 1000,
      6,
    ))

  // By hand: 1000 ml of 3 % oxalic acid dihydrate (126.07 g/mol) holds 238 mmol; half of it turns 119 mmol of chalk,
  // and 300 g/m² with 3 % of chalk (100.09 g/mol) hold 89.9 mmol a square metre.
  it('frees so much paper of its chalk before half of the acid is used', () => {
    const bath = { percentWv: 3, formula: 'H2C2O4·2H2O', chalkPerMole: 1, millilitres: 1000 }
    expect(acidCapacity(bath, 300).value).toBeCloseTo(119 / 89.9, 2)
    expect(acidCapacity({ ...bath, millilitres: 2000 }, 300).value).toBeCloseTo((2 * 119) / 89.9, 1)
    expect(acidCapacity(bath, 150).value).toBeCloseTo((2 * 119) / 89.9, 1)
    expect(acidCapacity(bath, 300).working.standing).toBe('memory')
  })

  // Common practice: about one drop of hardener to 5 ml of size.
  it.each([
    [200, 40],
    [12, 2],
    [1, 1],
  ])('%d ml of size take %d drops of hardener', (size, drops) =>
    expect(hardenerDrops(size).value).toBe(drops),
  )
})
