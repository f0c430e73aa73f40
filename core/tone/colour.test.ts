import { converter, differenceCiede2000, type Lab65 } from 'culori'
import fc from 'fast-check'
import { ciede2000, labOfLinear, type Lab } from './colour'

/** Sharma, Wu & Dalal 2005, table 1: two colours and their difference; set down from memory, each held against culori too. */
const PAIRS: readonly (readonly [Lab, Lab, number])[] = [
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
  [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
  [[50, -1.1848, -84.8006], [50, 0, -82.7485], 1],
  [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, -1, 2], [50, 0, 0], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.001], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
  [[50, 2.49, -0.001], [50, -2.49, 0.0012], 7.2195],
  [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.001, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[50, 2.5, 0], [61, -5, 29], 22.8977],
  [[50, 2.5, 0], [56, -27, -3], 31.903],
  [[50, 2.5, 0], [58, 24, 15], 19.4535],
  [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
  [[50, 2.5, 0], [50, 3.2972, 0], 1],
  [[50, 2.5, 0], [50, 1.8634, 0.5757], 1],
  [[50, 2.5, 0], [50, 3.2592, 0.335], 1],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
  [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
  [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
  [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
  [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
  [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
  [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
  [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
] // prettier-ignore

const theirs = ([l, a, b]: Lab): Lab65 => ({ mode: 'lab65', l, a, b })
const lab50 = converter('lab')
const peer = differenceCiede2000()

describe('CIEDE2000', () => {
  it('has the whole table', () => expect(PAIRS).toHaveLength(34))

  it.each(PAIRS)('of %j and %j is %d', (one, other, difference) => {
    expect(ciede2000(one, other)).toBeCloseTo(difference, 4)
    expect(peer(theirs(one), theirs(other))).toBeCloseTo(difference, 4)
  })

  it('agrees with culori on any two colours, both ways round, and is nothing between a colour and itself', () => {
    const hundredths = (low: number, high: number) =>
      fc.integer({ min: 100 * low, max: 100 * high }).map((value) => value / 100)
    const colour = fc.tuple(hundredths(0, 100), hundredths(-100, 100), hundredths(-100, 100))
    /** The formula jumps where two hues stand exactly opposite; there the last bit decides. */
    const areOpposite = ([, a1, b1]: Lab, [, a2, b2]: Lab) =>
      Math.abs(a1 * b2 - a2 * b1) < 0.5 && a1 * a2 + b1 * b2 < 0
    fc.assert(
      fc.property(colour, colour, (one, other) => {
        fc.pre(!areOpposite(one, other))
        const ours = ciede2000(one, other)
        expect(ours).toBeCloseTo(peer(theirs(one), theirs(other)), 6)
        expect(ciede2000(other, one)).toBeCloseTo(ours, 6)
        expect(ciede2000(one, one)).toBe(0)
      }),
      { numRuns: 500 },
    )
  })
})

describe('colour of a pixel', () => {
  it('is culori’s of the same light, under D50', () => {
    const value = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(value, value, value, (r, g, b) => {
        const [L, A, B] = labOfLinear([r, g, b])
        const other = lab50({ mode: 'lrgb', r, g, b })
        expect(L).toBeCloseTo(other.l, 1)
        expect(A).toBeCloseTo(other.a, 1)
        expect(B).toBeCloseTo(other.b, 1)
      }),
      { numRuns: 200 },
    )
    expect(labOfLinear([1, 1, 1])[0]).toBeCloseTo(100, 3)
  })
})
