import fc from 'fast-check'
import { seededRandom, normal } from '../quantity/random'
import { leastSquares, robustFit, type Model } from './leastSquares'

const line: Model = { value: ([a, b], x) => a! + b! * x, gradient: (_, x) => [1, x] }
const decay: Model = {
  value: ([a, k], x) => a! * Math.exp(-k! * x),
  gradient: ([a, k], x) => [Math.exp(-k! * x), -a! * x * Math.exp(-k! * x)],
}
const wide: [number, number][] = [
  [-1e6, 1e6],
  [-1e6, 1e6],
]
const x = Array.from({ length: 20 }, (_, i) => i / 2)
const even = x.map(() => 1)

describe('leastSquares', () => {
  it('finds a straight line as its closed form does', () => {
    const random = seededRandom(3)
    const y = x.map((one) => 2 - 0.7 * one + 0.3 * normal(random))
    const [meanX, meanY] = [x, y].map((row) => row.reduce((sum, one) => sum + one, 0) / row.length) as [
      number,
      number,
    ]
    const slope =
      x.reduce((sum, one, i) => sum + (one - meanX) * (y[i]! - meanY), 0) /
      x.reduce((sum, one) => sum + (one - meanX) ** 2, 0)
    const { parameters, hasSettled } = leastSquares(line, { x, y, weights: even }, [0, 0], wide)
    expect(parameters[1]).toBeCloseTo(slope, 5)
    expect(parameters[0]).toBeCloseTo(meanY - slope * meanX, 4)
    expect(hasSettled).toBe(true)
  })

  it('finds a decay from a start that is far off, and never ends worse than it began', () => {
    const y = x.map((one) => 3 * Math.exp(-0.4 * one))
    const { parameters, rest } = leastSquares(decay, { x, y, weights: even }, [1, 2], wide)
    expect(parameters[0]).toBeCloseTo(3, 4)
    expect(parameters[1]).toBeCloseTo(0.4, 4)
    expect(rest).toBeLessThan(1e-6)
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (a, k) => {
          const before = x.reduce((sum, one, i) => sum + (y[i]! - decay.value([a, k], one)) ** 2, 0)
          expect(leastSquares(decay, { x, y, weights: even }, [a, k], wide).rest).toBeLessThanOrEqual(before)
        },
      ),
    )
  })

  it('leaves out what weighs nothing, and stays inside its limits', () => {
    const y = x.map((one, i) => (i === 4 ? 500 : 1 + one))
    const weights = x.map((_, i) => (i === 4 ? 0 : 1))
    expect(leastSquares(line, { x, y, weights }, [0, 0], wide).parameters[1]).toBeCloseTo(1, 5)
    const held = leastSquares(
      line,
      { x, y, weights },
      [0, 0],
      [
        [-1, 0.5],
        [-1, 0.8],
      ],
    )
    expect(held.parameters[0]).toBeLessThanOrEqual(0.5)
    expect(held.parameters[1]).toBeLessThanOrEqual(0.8)
  })

  it('holds a value whose limits are one', () => {
    const y = x.map((one) => 5 + 2 * one)
    const { parameters } = leastSquares(
      line,
      { x, y, weights: even },
      [3, 0],
      [
        [3, 3],
        [-9, 9],
      ],
    )
    expect(parameters[0]).toBe(3)
  })
})

describe('robustFit', () => {
  it('is not bent by a fifth of bad readings, and names them', () => {
    const random = seededRandom(8)
    const bad = new Set([2, 7, 11, 16])
    const y = x.map((one, i) => 1 + 0.5 * one + 0.02 * normal(random) + (bad.has(i) ? 1.5 : 0))
    const fit = robustFit(line, x, y, [0, 0], wide, 0.001)
    expect(fit.parameters[0]).toBeCloseTo(1, 1)
    expect(fit.parameters[1]).toBeCloseTo(0.5, 1)
    expect(fit.outliers.flatMap((is, i) => (is ? [i] : []))).toEqual([...bad])
    expect(fit.scatter).toBeLessThan(0.06)
  })

  it('never claims a finer scatter than a reading can have', () => {
    const fit = robustFit(
      line,
      x,
      x.map((one) => 1 + one),
      [0, 0],
      wide,
      0.004,
    )
    expect(fit.scatter).toBe(0.004)
    expect(fit.outliers).not.toContain(true)
  })
})
