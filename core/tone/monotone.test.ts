import { curveMonotoneX, line } from 'd3-shape'
import fc from 'fast-check'
import { isotonic } from './isotonic'
import { monotoneCubic } from './monotoneCubic'

describe('isotonic', () => {
  it.each([
    // Worked by hand: 3 and 1 pool to 2; 4, 2 and 3 pool to 3.
    [
      [1, 3, 1, 4, 2, 3, 5],
      [1, 1, 1, 1, 1, 1, 1],
      [1, 2, 2, 3, 3, 3, 5],
    ],
    [
      [1, 2, 3],
      [1, 1, 1],
      [1, 2, 3],
    ],
    [
      [3, 2, 1],
      [1, 1, 1],
      [2, 2, 2],
    ],
    [
      [4, 1],
      [1, 3],
      [1.75, 1.75],
    ],
  ])('%j', (values, weights, ordered) => expect(isotonic(values, weights)).toEqual(ordered))

  it('never falls, keeps the weighted sum, and leaves nearest what it can', () => {
    const rows = fc.array(
      fc.tuple(fc.double({ min: -50, max: 50, noNaN: true }), fc.integer({ min: 1, max: 9 })),
      { minLength: 1, maxLength: 40 },
    )
    fc.assert(
      fc.property(rows, (row) => {
        const [values, weights] = [row.map(([value]) => value), row.map(([, weight]) => weight)]
        const out = isotonic(values, weights)
        out.forEach((one, i) => i && expect(one).toBeGreaterThanOrEqual(out[i - 1]! - 1e-9))
        const sum = (list: readonly number[]) => list.reduce((total, one, i) => total + one * weights[i]!, 0)
        expect(sum(out)).toBeCloseTo(sum(values), 6)
        expect(isotonic(out, weights).every((one, i) => Math.abs(one - out[i]!) < 1e-9)).toBe(true)
      }),
    )
  })
})

describe('monotoneCubic', () => {
  // Fritsch & Carlson 1980, RPN 14 data (from memory): ten points with a flat start and a steep rise.
  const xs = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20]
  const ys = [0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.94374, 0.998636, 0.999919, 0.999994]

  it('goes through its points, and rises between them as they rise', () => {
    const f = monotoneCubic(xs, ys)
    xs.forEach((x, i) => expect(f(x)).toBeCloseTo(ys[i]!, 12))
    let before = -1
    for (let x = 7.99; x <= 20; x += 0.005) {
      const value = f(x)
      expect(value).toBeGreaterThanOrEqual(before - 1e-12)
      expect(value).toBeLessThanOrEqual(1)
      before = value
    }
  })

  it('never overshoots, whatever rises', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 2, maxLength: 20 }),
        (steps) => {
          let sum = 0
          const rows = steps.map((step, i) => [i, (sum += step)] as const)
          const f = monotoneCubic(
            rows.map(([x]) => x),
            rows.map(([, y]) => y),
          )
          let fall = 0
          for (let x = 0; x < rows.length - 1; x += 0.05) fall = Math.max(fall, f(x) - f(x + 0.05))
          expect(fall).toBeLessThan(1e-9)
        },
      ),
    )
  })

  it('is close to a drawing library’s monotone curve on smooth data', () => {
    // d3-shape's curve is Steffen's (1990); both keep the shape, and differ by little where the points are smooth.
    const points = Array.from(
      { length: 12 },
      (_, i) => [i * 10, 100 * (1 - Math.exp(-i / 4))] as [number, number],
    )
    const path = line().curve(curveMonotoneX)(points)!
    const f = monotoneCubic(
      points.map(([x]) => x),
      points.map(([, y]) => y),
    )
    const segments = [...path.matchAll(/C([^C]+)/g)].map((match) => match[1]!.split(',').map(Number))
    segments.forEach(([x1, y1, x2, y2, x3, y3], i) => {
      const [x0, y0] = points[i]!
      const at = (t: number, a: number, b: number, c: number, d: number) =>
        (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t * t * c + t ** 3 * d
      for (const t of [0.25, 0.5, 0.75])
        expect(Math.abs(f(at(t, x0, x1!, x2!, x3!)) - at(t, y0, y1!, y2!, y3!))).toBeLessThan(0.6)
    })
  })
})
