import { curveMonotoneX, line } from 'd3-shape'
import fc from 'fast-check'
import { normal, seededRandom } from '../quantity/random'
import {
  checkCurve,
  inkOf,
  PLAIN_INVERSION,
  printOf,
  solveCurve,
  type ChartPatch,
  type CheckPatch,
  type NamedAim,
} from './curve'
import { refinedPatches } from './correction'
import { curveAdvice } from './curveAdvice'
import { densityFromLightness } from './density'
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

/** A process whose print answers ink as it likes, and its chart as one would read it. */
const process = (gamma: number) => (ink: number) => 18 + 76 * (1 - (1 - ink) ** gamma) ** 1.3
function chart(response: (ink: number) => number, count: number, noise = 0, seed = 1): ChartPatch[] {
  const random = seededRandom(seed)
  return Array.from({ length: count }, (_, i) => {
    const ink = i / (count - 1)
    return {
      ink,
      densities: [0, 1].map(() => densityFromLightness(Math.max(1, response(ink) + noise * normal(random)))),
    }
  })
}

describe('solveCurve', () => {
  it.each([0.7, 1, 2.4])('makes even steps even in lightness, for a process of %d', (gamma) => {
    const response = process(gamma)
    const curve = solveCurve(chart(response, 51))
    const ink = inkOf(curve)
    for (let tone = 0; tone <= 1; tone += 0.02) {
      const wanted = curve.black + tone * (curve.white - curve.black)
      expect(Math.abs(response(ink(tone)) - wanted)).toBeLessThan(0.6)
      expect(printOf(curve)(ink(tone))).toBeCloseTo(wanted, 0)
    }
  })

  it('or even in density', () => {
    const response = process(1.5)
    const curve = solveCurve(chart(response, 51), 'density')
    const ink = inkOf(curve)
    const density = (tone: number) => densityFromLightness(response(ink(tone)))
    const steps = [0, 0.25, 0.5, 0.75, 1].map(density)
    const apart = steps.slice(1).map((value, i) => steps[i]! - value)
    for (const one of apart) expect(Math.abs(one - apart[0]!)).toBeLessThan(0.02)
  })

  it('is monotone for any noisy chart, and knows its scatter', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (seed, noise) => {
          const curve = solveCurve(chart(process(1.8), 31, noise, seed))
          curve.inks.forEach((one, i) => i && expect(one).toBeGreaterThanOrEqual(curve.inks[i - 1]! - 1e-9))
          // Of two readings a tone, about as far apart as they were made.
          expect(curve.scatter).toBeLessThan(1.35 * noise + 0.01)
          expect(curve.scatter).toBeGreaterThanOrEqual(0.4 * noise)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('says from where highlights block and shadows merge, and what 8 bits would lose', () => {
    const flat = (ink: number) => Math.min(90, Math.max(20, 20 + 100 * (ink - 0.2)))
    const curve = solveCurve(chart(flat, 101))
    expect(curve.mergedTo).toBeCloseTo(0.205, 2)
    expect(curve.blockedFrom).toBeCloseTo(0.895, 2)
    expect(curve.levelsLost).toBeGreaterThan(60)
    expect(solveCurve(chart((ink) => 20 + 70 * ink, 51)).levelsLost).toBe(0)
  })

  it('counts repeats, and leaves out a damaged patch', () => {
    const patches = chart(process(1.2), 21)
    patches[7] = { ...patches[7]!, densities: [] }
    expect(solveCurve(patches).patchInks).toHaveLength(20)
    expect(solveCurve([...patches, ...patches]).black).toBeCloseTo(solveCurve(patches).black, 9)
  })

  it.each([
    ['too-few', chart(process(1), 4)],
    ['flat', chart(() => 50, 21)],
    ['reversed', chart((ink) => 90 - 60 * ink, 21)],
  ] as [string, ChartPatch[]][])('refuses a chart that is %s', (code, patches) =>
    expect(() => solveCurve(patches)).toThrow(expect.objectContaining({ code })),
  )

  it('a plain inversion is as much ink as the picture is light', () =>
    expect(inkOf(PLAIN_INVERSION)(0.3)).toBeCloseTo(0.3, 12))
})

describe('an aim of one’s own', () => {
  const response = process(1.6)
  const aim: NamedAim = {
    name: 'open shadows',
    points: [
      { tone: 0, lightness: 20 },
      { tone: 0.3, lightness: 52 },
      { tone: 1, lightness: 90 },
    ],
  }

  it('is what the print comes to', () => {
    const curve = solveCurve(chart(response, 51), aim)
    const ink = inkOf(curve)
    for (const { tone, lightness } of aim.points) expect(response(ink(tone))).toBeCloseTo(lightness, 0)
    expect(curve.beyond).toEqual({ black: 0, white: 0 })
  })

  it('can be the tones of another print', () => {
    const other = solveCurve(chart(process(0.8), 51), 'density')
    const taken: NamedAim = {
      name: 'as the other',
      points: Array.from({ length: 21 }, (_, i) => ({
        tone: i / 20,
        lightness: printOf(other)(inkOf(other)(i / 20)),
      })),
    }
    const ink = inkOf(solveCurve(chart(response, 51), taken))
    for (const { tone, lightness } of taken.points)
      expect(Math.abs(response(ink(tone)) - lightness)).toBeLessThan(0.8)
  })

  it('beyond the print is met as far as it goes, and said', () => {
    const far = {
      name: 'far',
      points: [
        { tone: 0, lightness: 5 },
        { tone: 1, lightness: 99 },
      ],
    }
    const curve = solveCurve(chart(response, 51), far)
    expect(curve.beyond.black).toBeCloseTo(13, 0)
    expect(curve.beyond.white).toBeCloseTo(5, 0)
    expect([curve.inks[0], curve.inks.at(-1)!.toFixed(9)]).toEqual([0, '1.000000000'])
    const words = curveAdvice(curve).find(({ code }) => code === 'beyond')!.lines
    expect(words.join(' ')).toMatch(/13\.0 L\* deeper.*5\.0 L\* lighter/)
  })
})

describe('a check through the curve', () => {
  const today = process(1.6)
  /** A month later the lamp is weaker, and all but the blacks print lighter. */
  const later = (ink: number) => today(ink) + 5 * Math.sin(Math.PI * ink) ** 0.5
  const check = (response: (ink: number) => number, ink: (tone: number) => number): CheckPatch[] =>
    Array.from({ length: 21 }, (_, i) => ({
      tone: i / 20,
      ink: ink(i / 20),
      densities: [densityFromLightness(response(ink(i / 20)))],
    }))

  it('measures how far the print is from its aim', () => {
    const curve = solveCurve(chart(today, 51))
    const good = checkCurve(curve, 'lightness', check(today, inkOf(curve)))
    expect(good.worst).toBeLessThan(0.6)
    expect(good.rows).toHaveLength(21)
    const bad = checkCurve(curve, 'lightness', check(later, inkOf(curve)))
    expect(bad.worst).toBeGreaterThan(4)
    expect(bad.shift).toBeGreaterThan(2)
    expect(bad.mean).toBeLessThanOrEqual(bad.worst)
  })

  it('corrects the curve', () => {
    const patches = chart(today, 51)
    const curve = solveCurve(patches)
    const corrected = solveCurve(refinedPatches(patches, check(later, inkOf(curve))))
    const after = checkCurve(corrected, 'lightness', check(later, inkOf(corrected)))
    expect(after.worst).toBeLessThan(1)
  })

  it('of a curve that was right changes next to nothing', () => {
    const patches = chart(today, 51)
    const curve = solveCurve(patches)
    const again = solveCurve(refinedPatches(patches, check(today, inkOf(curve))))
    for (let tone = 0; tone <= 1; tone += 0.05)
      expect(Math.abs(today(inkOf(again)(tone)) - today(inkOf(curve)(tone)))).toBeLessThan(0.5)
  })

  it('needs five tones', () =>
    expect(() =>
      checkCurve(solveCurve(chart(today, 21)), 'lightness', check(today, (tone) => tone).slice(0, 4)),
    ).toThrow(expect.objectContaining({ code: 'too-few' })))
})

describe('advice on a curve', () => {
  const codes = (response: (ink: number) => number, known = {}) =>
    curveAdvice(solveCurve(chart(response, 51)), known).map(({ code }) => code)

  it.each<[string, (ink: number) => number, object, string[]]>([
    ['fits', (ink) => 20 + 72 * ink, { blackLightness: 19, paperLightness: 93 }, ['good']],
    ['was exposed too long', (ink) => 18 + 75 * Math.max(0, (ink - 0.25) / 0.75), {}, ['merged']],
    ['was exposed too short', (ink) => 35 + 58 * ink, { blackLightness: 20 }, ['weak-black']],
    ['has more ink than it needs', (ink) => 18 + 75 * Math.min(1, ink / 0.6), {}, ['blocked']],
    ['has too little ink', (ink) => 18 + 60 * ink, { paperLightness: 94 }, ['thin']],
  ])('of a chart that %s', (_, response, known, wanted) => expect(codes(response, known)).toEqual(wanted))

  it('names a scatter', () =>
    expect(curveAdvice(solveCurve(chart(process(1.2), 51, 5, 3))).map(({ code }) => code)).toContain(
      'scatter',
    ))
})
