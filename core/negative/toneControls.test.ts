import fc from 'fast-check'
import { AS_IT_IS, checkPoints, toneCurve, lightOf } from './tone'
import { looksLikeLines, pointsOfControls, pointsOfLines, UNCHANGED } from './toneControls'

const control = fc.integer({ min: -100, max: 100 })
const controls = fc.record({ brightness: control, contrast: control, shadows: control, highlights: control })
/** Tone of 0 to 100 that an L* becomes. */
const become = (change: Partial<typeof UNCHANGED>) => {
  const tone = toneCurve(pointsOfControls({ ...UNCHANGED, ...change }))
  return (lightness: number) => 100 * tone(lightOf(lightness))
}

describe('plain controls', () => {
  it('at rest change nothing', () => expect(pointsOfControls(UNCHANGED)).toEqual(AS_IT_IS))

  it('give a curve that can be made, for all their values', () =>
    fc.assert(fc.property(controls, (all) => checkPoints(pointsOfControls(all)))))

  it('each do what they say, and only where they say', () => {
    expect(become({ brightness: 50 })(50)).toBeGreaterThan(55)
    expect(become({ brightness: -50 })(50)).toBeLessThan(45)
    const hard = become({ contrast: 60 })
    expect(hard(60) - hard(40)).toBeGreaterThan(25)
    const soft = become({ contrast: -60 })
    expect(soft(60) - soft(40)).toBeLessThan(15)
    // Soft is no veil: black stays black, and white stays white.
    expect([soft(0), soft(100)]).toEqual([0, 100])
    expect(become({ shadows: 80 })(25)).toBeGreaterThan(30)
    expect(become({ shadows: 80 })(90)).toBeCloseTo(90, 0)
    expect(become({ highlights: -80 })(75)).toBeLessThan(70)
    expect(become({ highlights: -80 })(10)).toBeCloseTo(10, 0)
  })

  it('more of one never makes a tone go the other way', () =>
    fc.assert(
      fc.property(control, control, (a, b) => {
        const [less, more] = [become({ brightness: Math.min(a, b) }), become({ brightness: Math.max(a, b) })]
        for (const tone of [5, 30, 50, 70, 95]) expect(more(tone)).toBeGreaterThanOrEqual(less(tone) - 0.5)
      }),
    ))
})

describe('a picture of lines', () => {
  const histogram = (parts: Record<number, number>) => Array.from({ length: 101 }, (_, i) => parts[i] ?? 0)

  it('is black or white at its threshold', () => {
    checkPoints(pointsOfLines(40))
    const tone = toneCurve(pointsOfLines(40))
    expect([tone(lightOf(30)), tone(lightOf(39)), tone(lightOf(41)), tone(lightOf(90))]).toEqual([0, 0, 1, 1])
  })

  it.each([
    ['ink on paper, with soft edges', { 5: 80, 12: 20, 50: 20, 97: 1500 }, true],
    ['a portrait', Object.fromEntries(Array.from({ length: 101 }, (_, i) => [i, 10])), false],
    ['a high key', { 80: 200, 90: 600, 97: 900 }, false],
    ['a night', { 2: 1500, 95: 40 }, false],
    ['nothing', {}, false],
  ])('%s', (_, parts, isLines) => expect(looksLikeLines(histogram(parts))).toBe(isLines))
})
