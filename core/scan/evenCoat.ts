import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import type { ChartPlan } from '../chart/chart'
import { PITCH } from '../chart/chart'
import { mean, sumOf } from '../quantity/statistics'
import { monotoneSmooth } from '../tone/smooth'
import type { ScannedPatch } from './patches'

/** Patches whose coat was made even, and how uneven it was. */
export interface EvenCoat {
  patches: ScannedPatch[]
  /** How much deeper the deepest place of the coat prints than the lightest, as a share. */
  range: number
}

/** Lighter patches have too little density for the noise of a scan to leave a share of it. */
const DEEP_ENOUGH = 0.15
const ROUNDS = 6
/** Fewer patches than this say nothing of a coat. */
const FEWEST = 40
/** Which kind of unevenness it is, is found from so many patches. */
const TELLING = 100
/** Of how far apart two places are alike in a coat, across and down the sheet, mm: what is tried. */
const REACHES = [8, 20, 50, 160]
/** Of how much larger the coat's variance is than a patch's noise: what is tried. */
const RATIOS = [0.5, 2, 8]
/** An uneven coat has to be so much more likely than an even one, as a natural logarithm. */
const EVIDENCE = 4

/** How a coat varies: over what distances, mm, and its variance over that of a patch's noise. */
interface Unevenness {
  across: number
  down: number
  ratio: number
}

/** How much deeper a place prints than the tone does on the whole sheet, as a share, and how much it is to be believed. */
interface Deviation {
  x: number
  y: number
  off: number
  weight: number
}

/**
 * Takes out what a brush or a rod left in a coat: where the same tones, scattered over the sheet, print deeper in one place
 * than in another, by as much as is more than chance.
 *
 * A deeper coat is taken to deepen every tone by the same share; how that share varies over the sheet is a Gaussian process,
 * whose reach across and down is the likeliest of a few.
 *
 * @param patches densities over the white ground; those that are damaged have no say, and are changed like the others.
 * @see Rasmussen & Williams, Gaussian Processes for Machine Learning, ch. 2 and 5; from memory
 */
export function evenCoat(patches: readonly ScannedPatch[], plan: ChartPlan): EvenCoat {
  const sound = patches.filter(({ damage }) => !damage)
  const even = { patches: [...patches], range: 0 }
  // Tones in their order are one row's own, so that the coat cannot be separated from them.
  if (!plan.isScattered || sound.length < FEWEST) return even
  let shares = new Map<ScannedPatch, number>()
  let way: Unevenness | null = null
  for (let round = 0; round < ROUNDS; round++) {
    const evened = (one: ScannedPatch) => one.density / (1 + (shares.get(one) ?? 0))
    const toneOf = toneRow(sound, evened)
    const deviations = sound.flatMap((one) => {
      const tone = toneOf(one.step)
      return tone < DEEP_ENOUGH ? [] : [{ ...placeOf(one), off: one.density / tone - 1, weight: tone ** 2 }]
    })
    if (deviations.length < FEWEST / 2) return even
    const middle =
      sumOf(deviations.map(({ off, weight }) => off * weight)) / sumOf(deviations.map(({ weight }) => weight))
    const centred = deviations.map((one) => ({ ...one, off: one.off - middle }))
    if (round % 3 === 0) way = likeliest(spaced(centred, TELLING))
    if (!way) break
    const at = predicted(centred, way)
    shares = new Map(patches.map((one) => [one, at(placeOf(one))]))
  }
  const all = [...shares.values()]
  if (!all.length) return even
  return {
    patches: patches.map((one) => ({ ...one, density: one.density / (1 + (shares.get(one) ?? 0)) })),
    range: Math.max(...all) - Math.min(...all),
  }
}

const placeOf = ({ column, row }: ScannedPatch) => ({ x: column * PITCH, y: row * PITCH })
const spaced = <One>(of: readonly One[], most: number): One[] => {
  const every = Math.ceil(of.length / most)
  return of.filter((_, i) => i % every === 0)
}

/** Density of each tone, smoothed along the tones. */
function toneRow(
  patches: readonly ScannedPatch[],
  density: (one: ScannedPatch) => number,
): (step: number) => number {
  const byStep = new Map<number, number[]>()
  for (const one of patches) byStep.set(one.step, [...(byStep.get(one.step) ?? []), density(one)])
  const steps = [...byStep.keys()].sort((a, b) => a - b)
  const rising = monotoneSmooth(
    steps,
    steps.map((step) => -mean(byStep.get(step) ?? [])),
  )
  const values = new Map(steps.map((step, i) => [step, -(rising.values[i] ?? 0)]))
  return (step) => values.get(step) ?? 0
}

type Spot = Pick<Deviation, 'x' | 'y'>
const alike = ({ across, down }: Unevenness, a: Spot, b: Spot) =>
  Math.exp(-0.5 * (((a.x - b.x) / across) ** 2 + ((a.y - b.y) / down) ** 2))

/** What the deviations would vary together by, noise of a patch of weight 1 being 1. */
function covariance(of: readonly Deviation[], way: Unevenness): CholeskyDecomposition {
  const rows = of.map((a, i) => of.map((b, j) => way.ratio * alike(way, a, b) + (i === j ? 1 / a.weight : 0)))
  return new CholeskyDecomposition(new Matrix(rows))
}

/** The unevenness that makes what was seen likeliest; `null` where an even coat is about as likely. */
function likeliest(of: readonly Deviation[]): Unevenness | null {
  const seen = Matrix.columnVector(of.map(({ off }) => off))
  const likelihood = (way: Unevenness) => {
    const parts = covariance(of, way)
    const rest = seen.transpose().mmul(parts.solve(seen)).get(0, 0)
    const volume = sumOf(parts.lowerTriangularMatrix.diag().map((one) => 2 * Math.log(one)))
    return -0.5 * (of.length * Math.log(rest / of.length) + volume)
  }
  const ways = REACHES.flatMap((across) =>
    REACHES.flatMap((down) => RATIOS.map((ratio) => ({ across, down, ratio }))),
  )
  const best = ways
    .map((way) => ({ way, likelihood: likelihood(way) }))
    .reduce((a, b) => (b.likelihood > a.likelihood ? b : a))
  return best.likelihood - likelihood({ across: 1, down: 1, ratio: 0 }) > EVIDENCE ? best.way : null
}

/** What the coat deviates by at a place, from what was seen at others. */
function predicted(of: readonly Deviation[], way: Unevenness): (at: Spot) => number {
  const weights = covariance(of, way).solve(Matrix.columnVector(of.map(({ off }) => off)))
  return (at) => way.ratio * sumOf(of.map((one, i) => alike(way, at, one) * weights.get(i, 0)))
}
