import { densityOf, trueBaseDose, VIRTUAL_COATS, type VirtualCoat } from '../simulate/coat'
import { normal, seededRandom } from '../simulate/random'
import { inkOf, solveCurve } from '../tone/curve'
import { lightnessFromDensity } from '../tone/density'

/**
 * A process that nobody has seen before: a coat, a film and its ink, printed at its base exposure. Some are ugly: too
 * much ink for the paper, a film that lays most of its density at the end, a coat that masks itself.
 */
function unknownProcess(seed: number): (ink: number) => number {
  const random = seededRandom(seed)
  const between = (low: number, high: number) => low + (high - low) * random()
  const coats = Object.values(VIRTUAL_COATS) as VirtualCoat[]
  const coat = {
    ...coats[seed % coats.length]!,
    steepness: between(0.9, 1.5),
    selfMasking: between(0, 0.5),
    black: between(1.2, 1.6),
  }
  const dose = trueBaseDose(coat, 0.04)
  const [range, bend] = [between(1.4, 2.6), between(0.6, 1.8)]
  const density = densityOf(coat)
  return (ink) => density(dose * 10 ** -(range * ink ** bend))
}

/** The print of a chart, read twice a patch by an instrument that trembles in its last digits. */
function readChart(print: (ink: number) => number, steps: number, seed: number) {
  const random = seededRandom(seed + 1000)
  return Array.from({ length: steps }, (_, i) => {
    const ink = i / (steps - 1)
    return { ink, densities: [0, 1].map(() => print(ink) + 0.004 * normal(random)) }
  })
}

describe('the closed loop: chart, curve, negative, print', () => {
  it.each(Array.from({ length: 20 }, (_, seed) => seed))(
    'makes the tones of process %d land within 2 L*',
    (seed) => {
      const print = unknownProcess(seed)
      const curve = solveCurve(readChart(print, 51, seed))
      const ink = inkOf(curve)
      const [black, white] = [lightnessFromDensity(print(0)), lightnessFromDensity(print(1))]
      let worst = 0
      for (let tone = 0; tone <= 1.0001; tone += 0.02) {
        const landed = lightnessFromDensity(print(ink(Math.min(1, tone))))
        worst = Math.max(worst, Math.abs(landed - (black + tone * (white - black))))
      }
      expect(worst).toBeLessThan(2)
      // The same picture by a plain inversion lands far off: the loop has something to do.
      const plain = Math.max(
        ...[0.25, 0.5, 0.75].map((tone) =>
          Math.abs(lightnessFromDensity(print(tone)) - (black + tone * (white - black))),
        ),
      )
      expect(plain).toBeGreaterThan(worst)
    },
  )
})
