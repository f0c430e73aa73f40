import { normal, seededRandom } from '../quantity/random'
import { samples } from '../fixtures/samples'
import { inkOf, printOf, solveCurve, type ChartPatch, type CheckPatch } from './curve'
import { densityFromLightness, lightnessFromDensity } from './density'
import { correctionWorth, refinedPatches } from './correction'

/** Lightness of a print behind ink of 0 to 1, of a process as it really is. */
const truth = (ink: number) => 18 + 74 * (0.5 - 0.5 * Math.cos(Math.PI * ink ** 0.8))

/** A sheet of it: its coat and light were a little different, smoothly along the ink, and every patch has its noise. */
function sheet(random: () => number, amount: number, of: (ink: number) => number = truth) {
  const [offset, tilt, wave] = [normal(random), normal(random), normal(random)].map((one) => one * amount)
  return (ink: number) =>
    of(ink) +
    0.7 * offset! +
    tilt! * (ink - 0.5) +
    0.4 * wave! * Math.sin(6 * ink) +
    0.35 * amount * normal(random)
}
const chartOf = (print: (ink: number) => number): ChartPatch[] =>
  Array.from({ length: 51 }, (_, i) => ({ ink: i / 50, densities: [0, 1].map(() => densityFromLightness(print(i / 50))) })) // prettier-ignore
const checkOf = (print: (ink: number) => number, ink: (tone: number) => number): CheckPatch[] =>
  Array.from({ length: 51 }, (_, i) => ({
    tone: i / 50,
    ink: ink(i / 50),
    densities: [0, 1].map(() => densityFromLightness(print(ink(i / 50)))),
  }))
/** How far the row of patches is from the truth, L*, root mean square. */
const off = (patches: readonly ChartPatch[], of: (ink: number) => number = truth) => {
  const row = printOf(solveCurve(patches))
  const inks = Array.from({ length: 41 }, (_, i) => 0.05 + (0.9 * i) / 40)
  return Math.sqrt(inks.reduce((sum, ink) => sum + (row(ink) - of(ink)) ** 2, 0) / inks.length)
}
/** What following a check in full would give: the row of the check itself. */
const followed = (check: readonly CheckPatch[]): ChartPatch[] =>
  check.map(({ ink, densities }) => ({ ink, densities }))

describe('a correction by a check', () => {
  it('is nearer to the process than either sheet, on the average of many', () => {
    const random = seededRandom(11)
    let [first, corrected, whole] = [0, 0, 0]
    const count = samples(40, 300)
    for (let i = 0; i < count; i++) {
      const chart = chartOf(sheet(random, 1))
      const check = checkOf(sheet(random, 1), inkOf(solveCurve(chart)))
      first += off(chart)
      corrected += off(refinedPatches(chart, check))
      whole += off(followed(check))
    }
    expect(corrected).toBeLessThan(0.88 * first)
    expect(corrected).toBeLessThan(0.88 * whole)
  })

  it('follows a change of the process nearly whole', () => {
    const random = seededRandom(12)
    const changed = (ink: number) => truth(ink) - 6 * Math.sin(Math.PI * ink)
    const chart = chartOf(sheet(random, 0.5))
    const check = checkOf(sheet(random, 0.5, changed), inkOf(solveCurve(chart)))
    const before = off(chart, changed)
    expect(before).toBeGreaterThan(3)
    expect(off(refinedPatches(chart, check), changed)).toBeLessThan(0.25 * before)
  })

  it('moves less, the more sheets there were before', () => {
    const random = seededRandom(13)
    const chart = chartOf(truth)
    const check = checkOf(sheet(random, 1), inkOf(solveCurve(chart)))
    const moved = (sheets: number) => {
      const [before, after] = [printOf(solveCurve(chart)), printOf(solveCurve(refinedPatches(chart, check, sheets)))]
      return Math.hypot(...Array.from({ length: 21 }, (_, i) => after(i / 20) - before(i / 20)))
    } // prettier-ignore
    expect(moved(6)).toBeLessThan(moved(1))
  })

  it('moves patches and check to the same row', () => {
    const random = seededRandom(14)
    const chart = chartOf(truth)
    const check = checkOf((ink) => sheet(random, 0.1)(ink) + 3, inkOf(solveCurve(chart)))
    const corrected = refinedPatches(chart, check)
    const at = (patches: readonly ChartPatch[]) =>
      patches
        .filter(({ ink }) => Math.abs(ink - 0.5) < 0.06)
        .flatMap(({ densities }) => densities.map(lightnessFromDensity))
    const mean = (values: number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
    const [chartPart, checkPart] = [corrected.slice(0, chart.length), corrected.slice(chart.length)].map((part) => mean(at(part))) // prettier-ignore
    expect(Math.abs(chartPart! - checkPart!)).toBeLessThan(1.5)
  })
})

describe('another round', () => {
  it('is said to follow chance where a check is off no more than sheets are', () => {
    const random = seededRandom(15)
    const chart = chartOf(truth)
    const near = checkOf(sheet(random, 0.4), inkOf(solveCurve(chart)))
    expect(correctionWorth(chart, near)).toMatchObject({ isChance: true })
    const far = checkOf((ink) => truth(ink) + 4, inkOf(solveCurve(chart)))
    const worth = correctionWorth(chart, far)
    expect(worth.isChance).toBe(false)
    expect(worth.rms).toBeCloseTo(4, 0)
  })
})
