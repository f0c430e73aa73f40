import { chartPlaces, type ChartPlan } from '../chart/chart'
import { normal, seededRandom } from '../quantity/random'
import { evenCoat } from './evenCoat'
import type { ScannedPatch } from './patches'

const PLAN: ChartPlan = { steps: 41, repeats: 2, isScattered: true, hasStrip: false, seed: 4, tag: 0 }
const tone = (step: number) => 1.35 * (1 - (step / 40) ** 0.8)

/** Patches whose coat is so much deeper at a place, read with a little noise. */
function patches(
  deeper: (column: number, row: number) => number,
  plan = PLAN,
  noise = 0.003,
): ScannedPatch[] {
  const random = seededRandom(8)
  return chartPlaces(plan).map((place) => ({
    ...place,
    density: tone(place.step) * (1 + deeper(place.column, place.row)) + noise * normal(random),
    spread: 0.01,
    damage: null,
  }))
}
const rms = (of: readonly ScannedPatch[]) =>
  Math.sqrt(of.reduce((sum, { density, step }) => sum + (density - tone(step)) ** 2, 0) / of.length)

describe('a coat that is made even', () => {
  it.each<[string, (column: number, row: number) => number]>([
    ['in columns', (column) => 0.06 * Math.sin(1.7 * column)],
    ['in rows', (_, row) => 0.06 * Math.sin(1.3 * row)],
    ['from one corner to the other', (column, row) => 0.012 * (column - 5) + 0.008 * (row - 4)],
    [
      'in a blotch',
      (column, row) => 0.15 * Math.exp(-(((column - 3) / 2) ** 2) - ((row - 6) / 2) ** 2) - 0.02,
    ],
  ])('loses most of what was uneven %s, and says how much', (_, deeper) => {
    const before = patches(deeper)
    const { patches: after, range } = evenCoat(before, PLAN)
    expect(rms(after)).toBeLessThan(0.5 * rms(before))
    const all = before.map(({ column, row }) => deeper(column, row))
    const truth = Math.max(...all) - Math.min(...all)
    expect(Math.abs(range - truth)).toBeLessThan(0.5 * truth)
  })

  it('that was even stays as it is', () => {
    const before = patches(() => 0)
    const { patches: after, range } = evenCoat(before, PLAN)
    expect(range).toBeLessThan(0.02)
    after.forEach((one, i) => expect(Math.abs(one.density - before[i]!.density)).toBeLessThan(0.008))
  })

  it('with its tones in order is left alone: coat and tone are one there', () => {
    const plan = { ...PLAN, isScattered: false }
    const before = patches((column) => 0.05 * Math.sin(column), plan)
    expect(evenCoat(before, plan)).toEqual({ patches: before, range: 0 })
  })

  it('has no say by damaged patches', () => {
    const whole = patches((column) => 0.06 * Math.sin(1.7 * column))
    const spoilt = whole.map((one, i) => (i % 9 ? one : { ...one, density: 3, damage: 'speck' as const }))
    const { patches: after } = evenCoat(spoilt, PLAN)
    expect(rms(after.filter(({ damage }) => !damage))).toBeLessThan(0.5 * rms(whole))
  })
})
