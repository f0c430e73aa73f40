import { dropsOfSolution } from './smallAmount'

describe('a trace of a substance', () => {
  it('is three or more drops of the strongest usual solution: 8 mg are 0.16 ml of 5 %', () => {
    expect(dropsOfSolution(0.00808, 20)).toEqual({ drops: 3, percent: 5 })
    expect(dropsOfSolution(0.008, 20)).toEqual({ drops: 3, percent: 5 })
    expect(dropsOfSolution(0.04, 20)).toEqual({ drops: 4, percent: 20 })
  })
  it('comes to the grams that were meant, within half a drop', () => {
    for (const grams of [0.002, 0.0077, 0.013, 0.049]) {
      const { drops, percent } = dropsOfSolution(grams, 20)!
      expect(Math.abs((drops / 20) * (percent / 100) - grams)).toBeLessThanOrEqual(
        (0.5 / 20) * (percent / 100) + 1e-12,
      )
    }
  })
  it('is weighed where a scale shows it, and not counted where it is less than three weak drops', () => {
    expect(dropsOfSolution(0.05, 20)).toBeNull()
    expect(dropsOfSolution(0.0005, 20)).toBeNull()
    expect(dropsOfSolution(0, 20)).toBeNull()
  })
})
