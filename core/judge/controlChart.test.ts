import fc from 'fast-check'
import { controlChart } from './controlChart'

describe('a chart of single values', () => {
  it('has the limits of the published worked example', () => {
    // NIST/SEMATECH e-Handbook, 6.3.2.2: ten batches' flow rates; mean 50.81, mean moving range 1.8778; from memory.
    const chart = controlChart([49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1])
    expect(chart?.mean).toBeCloseTo(50.81, 2)
    expect(chart?.meanRange).toBeCloseTo(1.8778, 4)
    expect(chart?.upper).toBeCloseTo(55.8041, 3)
    expect(chart?.lower).toBeCloseTo(45.8159, 3)
    expect(chart?.signals).toEqual([])
  })

  it('says nothing of fewer than two', () => {
    expect(controlChart([])).toBeNull()
    expect(controlChart([1])).toBeNull()
  })

  it('sees a value beyond the limits of the settled ones, eight on one side, and six that only fall', () => {
    const still = [10, 10.2, 9.8, 10.1, 9.9, 10.2, 9.8, 10]
    expect(controlChart([...still, 12], 8)?.signals).toEqual([{ index: 8, sign: 'beyond' }])
    const high = [10.1, 10.2, 10.1, 10.25, 10.15, 10.2, 10.1, 10.3]
    expect(controlChart([...still, ...high], 8)?.signals).toEqual([{ index: 15, sign: 'run' }])
    const falling = [10.3, 10.2, 10.1, 9.9, 9.8, 9.7]
    expect(controlChart([...still, ...falling], 8)?.signals).toEqual([{ index: 13, sign: 'drift' }])
  })

  it('moves and stretches with its values', () => {
    const values = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 2, maxLength: 40 })
    fc.assert(
      fc.property(values, fc.double({ min: 0.1, max: 9, noNaN: true }), (list, k) => {
        const [one, other] = [controlChart(list)!, controlChart(list.map((value) => k * value + 3))!]
        expect(other.mean).toBeCloseTo(k * one.mean + 3, 6)
        expect(other.upper - other.lower).toBeCloseTo(k * (one.upper - one.lower), 6)
      }),
    )
  })
})
