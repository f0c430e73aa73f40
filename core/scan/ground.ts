import { chartLayout, PATCH, PITCH, placeCorner, type ChartPlan } from '../chart/chart'
import { solveLinear, type Point } from '../negative/homography'
import { mean, median, robustSpread, sumOf } from '../quantity/statistics'
import type { Seen } from './findChart'

/** Light over which readings differ from no light at all; about a tenth of the first 8-bit code. */
export const DARKEST = 3e-5
/** A picture's lightest codes: what is clipped ends up here, also after a JPEG changed them a little. */
const CLIPPED = 0.99

/** How a sheet is lit, from the white ground between its patches. */
export interface Ground {
  /** Light of the white ground at a place of the film, mm, without what is added to it. */
  lightAt: (at: Point) => number
  /** How much lighter or darker than the smooth surface the ground is about a place, as a share of it. */
  patchinessAt: (at: Point) => number
  /** Light of the ground if what makes it lighter in one place were a reflection: evenly falling light, and no more of it. */
  withoutReflectionAt: (at: Point) => number
  /** The ground as density over the lightest that the picture can hold. */
  density: number
  /** How much brighter the brightest part is lit than the darkest, as a factor. */
  range: number
  /** Share of the ground that is as light as a picture can be. */
  clipped: number
}

/** Powers of x and y of a smooth surface over the sheet, both from −1 to 1. */
const SURFACE = [
  [0, 0],
  [1, 0],
  [0, 1],
  [2, 0],
  [1, 1],
  [0, 2],
  [2, 1],
  [1, 2],
  [3, 0],
  [0, 3],
] as const

interface Sample {
  at: Point
  log: number
}

/**
 * How brightly the sheet is lit: a smooth surface through the logarithm of the ground's light, from which what is stained
 * or covered is left out in rounds, and what the ground differs from it place by place.
 *
 * @param seen linear light.
 */
export function groundLight(seen: Seen, plan: ChartPlan): Ground {
  const layout = chartLayout(plan)
  const { columns, rows, width, height } = layout
  const gap = PITCH - PATCH
  const samples: Sample[] = []
  let [clipped, count] = [0, 0]
  for (let row = 0; row <= rows; row++)
    for (let column = 0; column <= columns; column++) {
      const corner = placeCorner(layout, { column, row })
      // The crossing of the gaps is furthest from every patch.
      const at: Point = [corner.x - gap / 2, corner.y - gap / 2]
      const lights = [-0.5, 0, 0.5]
        .flatMap((dx) => [-0.5, 0, 0.5].map((dy) => seen([at[0] + dx, at[1] + dy])))
        .filter((light) => !Number.isNaN(light))
      count += lights.length
      clipped += lights.filter((light) => light > CLIPPED).length
      if (lights.length > 4) samples.push({ at, log: Math.log(Math.max(DARKEST, median(lights))) })
    }
  const scaled = ([x, y]: Point): Point => [(2 * x) / width - 1, (2 * y) / height - 1]
  const surface = surfaceThrough(samples.map(({ at, log }) => ({ at: scaled(at), log })))
  const logAt = (at: Point) => surface(scaled(at))
  const logs = samples.map(({ at }) => logAt(at))
  const slope = slopeUnder(samples.map(({ at, log }) => ({ at: scaled(at), log })))
  const off = samples.map(({ at, log }) => ({ at, log: log - logAt(at) }))
  return {
    lightAt: (at) => Math.exp(logAt(at)),
    patchinessAt: patchiness(off),
    withoutReflectionAt: (at) => Math.exp(slope(scaled(at))),
    density: -median(logs) / Math.LN10,
    range: Math.exp(Math.max(...logs) - Math.min(...logs)),
    clipped: count ? clipped / count : 0,
  }
}

/** The surface of some powers that is nearest to the samples, each of which counts by its weight. */
function nearest(
  powers: readonly (readonly [number, number])[],
  samples: readonly Sample[],
  weightOf: (sample: Sample) => number,
): (at: Point) => number {
  const own = ({ at: [x, y] }: Sample, [i, j]: readonly [number, number]) => x ** i * y ** j
  const rows = powers.map((row) => [
    ...powers.map((column) => sumOf(samples.map((one) => weightOf(one) * own(one, row) * own(one, column)))),
    sumOf(samples.map((one) => weightOf(one) * own(one, row) * one.log)),
  ])
  const found = solveLinear(rows) ?? [median(samples.map(({ log }) => log))]
  return ([x, y]) => sumOf(found.map((value, k) => value * x ** powers[k]![0] * y ** powers[k]![1]))
}

/** A smooth surface, from which strays are left out in rounds. */
function surfaceThrough(samples: readonly Sample[]): (at: Point) => number {
  let kept = samples
  let surface = nearest(SURFACE.slice(0, 1), samples, () => 1)
  for (let round = 0; round < 4; round++) {
    surface = nearest(SURFACE, kept, () => 1)
    const off = samples.map((sample) => Math.abs(sample.log - surface(sample.at)))
    const limit = Math.max(0.02, 3 * 1.4826 * median(off))
    kept = samples.filter((_, i) => (off[i] ?? 0) <= limit)
  }
  return surface
}

/** Of the samples that are over the slope so little counts, that it lies under a bump. */
const OVER = 0.05

/** An even slope under the samples. */
function slopeUnder(samples: readonly Sample[]): (at: Point) => number {
  let slope = nearest(SURFACE.slice(0, 3), samples, () => 1)
  for (let round = 0; round < 8; round++) {
    const before = slope
    slope = nearest(SURFACE.slice(0, 3), samples, ({ at, log }) => (log > before(at) ? OVER : 1))
  }
  return slope
}

/** The ground is looked at within so much of a place, mm: the crossings about a patch and those next to them. */
const REACH = 1.6 * PITCH

/**
 * What the ground differs from the smooth surface about a place. Of one crossing the tooth of the paper is most of it, so
 * that neighbours are averaged, and what they would differ by from that alone is not believed.
 */
function patchiness(off: readonly Sample[]): (at: Point) => number {
  const noise = robustSpread(off.map(({ log }) => log))
  const about = (at: Point) => {
    const near = off.filter((one) => Math.hypot(one.at[0] - at[0], one.at[1] - at[1]) < REACH)
    return near.length > 2 ? { log: median(near.map(({ log }) => log)), count: near.length } : null
  }
  const all = off.flatMap(({ at }) => about(at) ?? [])
  if (!all.length) return () => 0
  const chance = mean(all.map(({ count }) => (1.57 * noise ** 2) / count))
  const found = mean(all.map(({ log }) => log ** 2))
  // A spread that chance alone explains twice is none.
  const believed = Math.max(0, 1 - (2 * chance) / Math.max(found, 1e-12))
  return (at) => (believed ? Math.exp(believed * (about(at)?.log ?? 0)) - 1 : 0)
}
