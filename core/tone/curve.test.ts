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
