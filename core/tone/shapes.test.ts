import { samples, someOf } from '../fixtures/samples'
import { normal, seededRandom } from '../quantity/random'
import { characteristicOf } from './characteristic'
import { isotonic } from './isotonic'
import { evenTablet } from './tablet'

/*
 * Step tablets of plausible coats outside the family that the model comes from. The truth is found on the shape itself,
 * on a fine grid; the plain reader beside it is isotonic regression with straight lines between the steps.
 */

const logistic = (z: number) => 1 / (1 + Math.exp(-z))
/** Abramowitz & Stegun, 7.1.26: within 1.5e-7; from memory. */
const erf = (z: number): number => {
  const t = 1 / (1 + 0.3275911 * Math.abs(z))
  const poly = [0.254829592, -0.284496736, 1.421413741, -1.453152027, 1.061405429].reduceRight((sum, c) => (sum + c) * t, 0) // prettier-ignore
  return Math.sign(z) * (1 - poly * Math.exp(-z * z))
}
const SHAPES: Readonly<Record<string, (x: number) => number>> = {
  arctangent: (x) => 0.07 + 1.4 * (0.5 + Math.atan(6 * (x + 1.35)) / Math.PI),
  'two coats': (x) => 0.07 + 0.7 * logistic(5 * (x + 2)) + 0.7 * logistic(9 * (x + 0.9)),
  'a straight line with sharp ends': (x) => 0.07 + 1.4 * Math.min(1, Math.max(0, (x + 2.1) / 1.5)),
  'self-masking, printing out': (x) => 0.07 + 0.35 * Math.log(1 + 10 ** (1.3 * x + 2.6)),
  'a bronzed dip': (x) => 0.07 + 1.4 * logistic(4.5 * (x + 1.5)) - 0.15 * Math.max(0, (x + 0.45) / 0.45) ** 2,
  'error function': (x) => 0.07 + 0.7 * (1 + erf(2.2 * (x + 1.35))),
  'exponential approach': (x) => 0.05 + 1.6 * (1 - Math.exp(-(10 ** (x + 1.6) / 6))),
}
const TABLETS = [evenTablet(31, 0.1), evenTablet(21, 0.15)]

/** Log range between the ISO 6846 points of a shape over three decades, up to its deepest black. */
function trueRange(shape: (x: number) => number): number {
  const grid = Array.from({ length: 30_001 }, (_, i) => -3 + i / 10_000)
  const densities = grid.map(shape)
  const black = Math.max(...densities)
  const white = densities[0]!
  const reach = (density: number) => grid[densities.findIndex((one) => one >= density)]!
  return reach(white + 0.9 * (black - white)) - reach(white + 0.04)
}

function plainRange(x: readonly number[], y: readonly number[]): number {
  const end = y.indexOf(Math.max(...y)) + 1
  const row = isotonic(y.slice(0, end), new Array<number>(end).fill(1))
  const [white, black] = [row[0]!, row.at(-1)!]
  const reach = (density: number) => {
    const after = row.findIndex((one) => one >= density)
    if (after <= 0) return x[0]!
    return (
      x[after - 1]! +
      ((x[after]! - x[after - 1]!) * (density - row[after - 1]!)) / (row[after]! - row[after - 1]!)
    )
  }
  return reach(white + 0.9 * (black - white)) - reach(white + 0.04)
}

const cases = Object.entries(SHAPES).flatMap(([name, shape]) =>
  TABLETS.map((tablet) => [name, tablet.length, shape, tablet] as const),
)
const readings = (shape: (x: number) => number, tablet: readonly number[], noise: number, seed: number) => {
  const random = seededRandom(seed)
  return tablet.map((density) => shape(-density) + noise * normal(random))
}

describe('step tablets of other shapes', () => {
  it.each(cases)('%s, %d steps: without noise the range is right within 0.02', (_, __, shape, tablet) => {
    const curve = characteristicOf(tablet, readings(shape, tablet, 0, 1))
    expect(Math.abs(curve.negativeRange!.value - trueRange(shape))).toBeLessThanOrEqual(0.02)
    expect(curve.outliers).not.toContain(true)
    expect(curve.minimum.fitted).toBeGreaterThan(0.03)
  })

  it.each(someOf(3, cases))(
    '%s, %d steps: under noise no worse than the plain reader, and the interval holds',
    (_, __, shape, tablet) => {
      const truth = trueRange(shape)
      const x = [...tablet].reverse().map((density) => -density)
      for (const noise of [0.005, 0.02]) {
        let [own, plain, held] = [0, 0, 0]
        const count = samples(20, 150)
        for (let seed = 1; seed <= count; seed++) {
          const print = readings(shape, tablet, noise, seed)
          const range = characteristicOf(tablet, print).negativeRange!
          own += (range.value - truth) ** 2
          plain += (plainRange(x, [...print].reverse()) - truth) ** 2
          if (Math.abs(range.value - truth) <= range.uncertainty!) held++
        }
        // The bound of 1.1 is held over many tries; a few leave room for chance.
        expect(Math.sqrt(own / plain)).toBeLessThan(samples(1.35, 1.15))
        expect(held / count).toBeGreaterThan(samples(0.75, 0.88))
      }
    },
  )

  it('bronzed steps are told apart from dust', () => {
    const shape = SHAPES['a bronzed dip']!
    const tablet = TABLETS[0]!
    const curve = characteristicOf(tablet, readings(shape, tablet, 0, 1))
    expect(curve.bronzed.slice(0, 4)).toEqual([true, true, true, true])
    expect(curve.bronzed.slice(8)).not.toContain(true)
    const spotted = readings(shape, tablet, 0.005, 2)
    spotted[14]! += 0.25
    const found = characteristicOf(tablet, spotted)
    expect(found.outliers.flatMap((is, i) => (is ? [i] : []))).toEqual([14])
    expect(found.bronzed[0]).toBe(true)
  })

  it('a wrong digit in the middle of the slope is named, and the model stands', () => {
    const tablet = TABLETS[1]!
    const print = tablet.map(
      (density) => Math.round(100 * (0.06 + 1.4 * logistic(4 * (1.2 - density)))) / 100,
    )
    print[9] = 0.3
    const curve = characteristicOf(tablet, print)
    expect(curve.outliers.flatMap((is, i) => (is ? [i] : []))).toEqual([9])
    // By hand for a logistic: (ln 9 + ln(1.4/0.04 − 1)) / 4.
    expect(Math.abs(curve.negativeRange!.value - (Math.log(9) + Math.log(34)) / 4)).toBeLessThan(0.06)
  })

  it('says which estimate was used', () => {
    const of = (shape: (x: number) => number) =>
      characteristicOf(TABLETS[0]!, readings(shape, TABLETS[0]!, 0, 1))
    const line = of(SHAPES['a straight line with sharp ends']!)
    expect([line.curve.by, line.negativeRange?.working.source]).toEqual([
      'readings',
      expect.stringContaining('no model fits'),
    ])
    const model = of((x) => 0.07 + 1.4 * logistic(4 * (x + 1.35)))
    expect([model.curve.by, model.negativeRange?.working.source]).toEqual([
      'model',
      expect.stringContaining('Richards'),
    ])
  })
})
