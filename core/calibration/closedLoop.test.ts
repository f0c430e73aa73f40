import { samples } from '../fixtures/samples'
import { densityOf, trueBaseDose, VIRTUAL_COATS, type VirtualCoat } from '../tone/printResponse'
import { normal, seededRandom } from '../quantity/random'
import { plainScanner, scanOfChart, turned } from '../simulate/scan'
import { inkOf, solveCurve, type ChartPatch, type CheckPatch } from '../tone/curve'
import { refinedPatches } from '../tone/correction'
import { lightnessFromDensity } from '../tone/density'
import { tagOf, type ChartPlan } from '../chart/chart'
import { scanChart } from '../scan/chartScan'
import { scaleOf } from '../scan/response'

/**
 * A process that no one has seen before: a coat, a film and its ink, printed at its base exposure. Some are ugly: too
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
  const table = Array.from({ length: 2001 }, (_, i) => density(dose * 10 ** -(range * (i / 2000) ** bend)))
  return (ink) => {
    const place = 2000 * Math.min(1, Math.max(0, ink))
    const low = Math.min(1999, Math.floor(place))
    return table[low]! + (place - low) * (table[low + 1]! - table[low]!)
  }
}

/** A chart of such a process, printed, laid askew on a scanner that is neither even nor clean, and read again. */
function printedAndScanned(
  plan: ChartPlan,
  print: (ink: number) => number,
  seed: number,
  inkOfStep: (tone: number) => number = (tone) => tone,
): CheckPatch[] {
  const random = seededRandom(seed + 500)
  const plain = plainScanner(plan, 4)
  const shove = () => 12 * (random() - 0.5)
  const scanner = turned(
    {
      ...plain,
      corners: plain.corners.map(([x, y]) => [x + shove(), y + shove()] as const),
      falloff: 0.25 * random(),
      noise: 0.004,
      dust: 25,
      isEightBit: true,
    },
    360 * random(),
  )
  const scan = scanChart(scanOfChart(plan, print, scanner, random, inkOfStep))
  expect(scan.plan).toEqual(plan)
  // The ground is the film's full ink, whose print a densitometer would be laid on once.
  const trueDensity = scaleOf([{ read: 0, density: print(1) + 0.002 * normal(random) }])
  return scan.patches
    .filter(({ damage }) => !damage)
    .map(({ step, density }) => {
      const tone = step / (plan.steps - 1)
      return { tone, ink: inkOfStep(tone), densities: [trueDensity(density)] }
    })
}

const worstOf = (print: (ink: number) => number, patches: readonly ChartPatch[]): number =>
  worstThrough(print, inkOf(solveCurve(patches)))

/** Worst distance of a print from even steps of lightness, L*. */
function worstThrough(print: (ink: number) => number, ink: (tone: number) => number): number {
  const [black, white] = [lightnessFromDensity(print(0)), lightnessFromDensity(print(1))]
  const off = Array.from({ length: 51 }, (_, i) => {
    const landed = lightnessFromDensity(print(ink(i / 50)))
    return Math.abs(landed - (black + (i / 50) * (white - black)))
  })
  return Math.max(...off)
}

const PLAN: ChartPlan = { steps: 51, repeats: 2, isScattered: true, hasStrip: false, seed: 1, tag: 0 }

describe('the closed loop: chart, print, scan, curve, negative, print', () => {
  it.each(Array.from({ length: samples(1, 20) }, (_, seed) => seed))(
    'makes the tones of process %d land within 2 L*, and after a check within 1.2',
    (seed) => {
      const print = unknownProcess(seed)
      const first = printedAndScanned(PLAN, print, seed)
      const afterOne = worstOf(print, first)
      expect(afterOne).toBeLessThan(2)
      const curve = solveCurve(first)
      const check = printedAndScanned({ ...PLAN, tag: tagOf(curve) }, print, seed + 40, inkOf(curve))
      expect(worstOf(print, refinedPatches(first, check))).toBeLessThan(1.2)
      // The same picture by a plain inversion lands far off: the loop has something to do.
      expect(worstThrough(print, (tone) => tone)).toBeGreaterThan(2 * afterOne)
    },
  )
})
