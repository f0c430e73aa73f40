import { seededRandom } from '../quantity/random'
import { characteristicOf, densityBehind } from './characteristic'
import { evenTablet, suitNegative, TABLETS } from './tablet'

/** Logistic in log exposure: its ISO points have closed forms. */
const [white, net, middle, steep] = [0.07, 1.4, -1.35, 4]
const logistic = (density: number) => white + net / (1 + Math.exp(-steep * (-density - middle)))
const isoRange = (() => {
  const at = (share: number) => middle + Math.log(share / (1 - share)) / steep
  return at(0.9) - at(0.04 / net)
})()
const long = evenTablet(31, 0.1)
const noisy = (seed: number, size: number) => {
  const random = seededRandom(seed)
  return long.map((density) => logistic(density) + size * (random() + random() - 1))
}

describe('characteristicOf', () => {
  it('finds the closed form of a logistic curve', () => {
    const curve = characteristicOf(long, long.map(logistic))
    expect(curve.minimum.fitted).toBeCloseTo(white, 3)
    expect(curve.maximum.fitted).toBeCloseTo(white + net, 3)
    expect(curve.exposureRange!.value).toBeCloseTo(100 * isoRange, 1)
    expect(curve.negativeRange!.value).toBeCloseTo(isoRange, 3)
    expect(curve.averageGradient!.value).toBeCloseTo((0.9 * net - 0.04) / isoRange, 3)
    expect(densityBehind(curve, 1.35)).toBeCloseTo(white + net / 2, 3)
    expect(curve.outliers).not.toContain(true)
  })

  it.each([1, 2, 3, 4, 5])('stands noise of 0.02, seed %d', (seed) => {
    const curve = characteristicOf(long, noisy(seed, 0.02))
    expect(Math.abs(curve.negativeRange!.value / isoRange - 1)).toBeLessThan(0.06)
    expect(Math.abs(curve.maximum.fitted - white - net)).toBeLessThan(0.03)
  })

  it('names a bad reading, and is not bent by it', () => {
    const readings = noisy(7, 0.01)
    readings[12]! += 0.3
    readings[20]! -= 0.12
    const curve = characteristicOf(long, readings)
    expect(curve.outliers.flatMap((is, i) => (is ? [i] : []))).toEqual([12, 20])
    expect(curve.residuals[12]).toBeGreaterThan(0.25)
    expect(Math.abs(curve.negativeRange!.value / isoRange - 1)).toBeLessThan(0.05)
  })

  it('tells a limit of the paper from an end of the tablet', () => {
    // The deepest step is 0.006 above white: within a third of the 0.04 criterion.
    const short = evenTablet(13, 0.15)
    const curve = characteristicOf(
      short,
      short.map((density) => logistic(density + 0.9)),
    )
    expect(curve.maximum.isMet).toBe(false)
    expect(curve.maximum.reached).toBeLessThan(white + 0.9 * net)
    expect(curve.minimum.isMet).toBe(true)
    expect(curve.exposureRange?.working.leavesOut).toContain('the tablet ends')
  })

  it('reads a skewed curve, in any order and with steps missing', () => {
    const skewed = (density: number) => 0.05 + 1.6 * (1 - Math.exp(-(10 ** (1.6 - density) / 6)))
    const order = [...long].reverse()
    const curve = characteristicOf(
      order,
      order.map((density, i) => (i % 7 === 3 ? null : skewed(density))),
    )
    // The exact points of this curve between the ends of the tablet, from its own inverse: no further end is believed.
    const at = (density: number) => Math.log10(-6 * Math.log(1 - (density - 0.05) / 1.6)) - 1.6
    const [least, most] = [skewed(3), skewed(0)]
    const truth = at(least + 0.9 * (most - least)) - at(least + 0.04)
    expect(Math.abs(curve.negativeRange!.value - truth)).toBeLessThan(0.02)
    expect(curve.residuals[3]).toBeNaN()
  })

  it.each([
    ['too-few', [0, 0.3, 0.6], [1, 0.8, 0.6]],
    ['flat', TABLETS[0].densities, TABLETS[0].densities.map(() => 0.4)],
    ['reversed', TABLETS[0].densities, TABLETS[0].densities.map((density) => density / 3)],
  ] as [string, number[], number[]][])('refuses what is %s', (code, tablet, print) =>
    expect(() => characteristicOf(tablet, print)).toThrow(expect.objectContaining({ code })),
  )
})

describe('suitNegative', () => {
  const curves = [1.2, 1.55, 1.9].map((range, i) => {
    const k = 4 * (isoRange / range)
    const readings = long.map((density) => white + net / (1 + Math.exp(-k * (-density + 1.35))))
    return { id: `c${i}`, name: `${i} drops of chlorate`, curve: characteristicOf(long, readings) }
  })

  it('puts the nearest first and says what the others do', () => {
    const [first, ...others] = suitNegative(1.55, curves)
    expect(first).toMatchObject({ id: 'c1', says: 'fits' })
    expect(others.map((one) => [one.id, one.says]).sort()).toEqual([
      ['c0', 'shortPaper'],
      ['c2', 'longPaper'],
    ])
  })

  it('knows nothing of a tablet that ended too early', () => {
    const short = evenTablet(8, 0.1)
    const curve = characteristicOf(
      short,
      short.map((density) => logistic(density + 1.2)),
    )
    expect(
      suitNegative(1.5, [{ id: 'x', name: 'x', curve: { ...curve, negativeRange: null } }])[0]!.says,
    ).toBe('unknown')
  })
})
