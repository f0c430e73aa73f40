import { mean, median, robustSpread, squaredDistances, standardDeviation, sumOf } from './statistics'

describe('statistics', () => {
  // A worked example of introductory texts (common practice): mean 5, sum of squares 32, sample deviation √(32/7).
  const values = [2, 4, 4, 4, 5, 5, 7, 9]

  it('gives mean, sum and squared distances', () => {
    expect(mean(values)).toBe(5)
    expect(sumOf(values)).toBe(40)
    expect(squaredDistances(values, 5)).toBe(32)
    expect(sumOf([])).toBe(0)
  })

  it.each([
    [[3], 3],
    [[9, 1, 5], 5],
    [[4, 1, 3, 2], 2.5],
  ])('finds the median of %j', (list, middle) => {
    expect(median(list)).toBe(middle)
  })

  it('leaves the list as it was', () => {
    const list = [3, 1, 2]
    median(list)
    expect(list).toEqual([3, 1, 2])
  })

  it('divides the spread by n − 1, and knows none for one value', () => {
    expect(standardDeviation(values)).toBeCloseTo(2.13809, 5)
    expect(standardDeviation([1, 3], 0)).toBeCloseTo(Math.sqrt(10), 12)
    expect(standardDeviation([4])).toBeUndefined()
  })

  it('is not widened by a stray', () => {
    expect(robustSpread([9, 10, 11, 10, 9, 11, 1000])).toBeCloseTo(1.4826, 4)
  })
})
