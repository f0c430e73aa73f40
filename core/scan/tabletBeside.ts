import { CoreError } from '../errors'
import { chartLayout, type ChartPlan } from '../chart/chart'
import type { Point } from '../negative/homography'
import { median } from '../quantity/statistics'
import type { FoundChart, Seen } from './findChart'
import { DARKEST, groundLight, type Ground } from './ground'
import { disagreement, readPatches } from './patches'
import { scaleOf, type Anchor } from './response'

/** How far beside the film a tablet is looked for, and how far past its corners, mm. */
const NEAREST = 7
const FARTHEST = 45
const PAST = 30
/** How finely a line is read, mm, and its places and directions tried. */
const ALONG = 0.5
const APART = 2
const SLANTS = [-0.04, -0.02, 0, 0.02, 0.04]
/** A step is at least so wide, mm. */
const NARROWEST = 4
/** Of each step its middle is read. */
const READ_SHARE = 0.6
/** Neighbouring steps lie at least this share of their true distance apart. */
const LEAST_RISE = 0.25
/** Steps whose readings scatter more than this share of a usual rise are no steps. */
const MOST_SCATTER = 0.3

/** Where a tablet was found: its line beside the film, where its steps begin on it and how wide they are, mm. */
interface Place {
  line: (along: number) => Point
  start: number
  step: number
  isReversed: boolean
  score: number
}

/** A step of a tablet in a picture: where its middle is, mm, and its true density. */
export interface TabletStep {
  at: Point
  density: number
}

/**
 * Finds a step tablet that is beside the chart in its picture, its steps along one side of the film.
 *
 * @param densities of the steps, lightest first, 3 or more.
 * @throws CoreError `not-a-tablet`.
 */
export function findTablet(
  seen: Seen,
  plan: ChartPlan,
  ground: Ground,
  densities: readonly number[],
): TabletStep[] {
  const rises = densities.slice(1).map((density, i) => density - (densities[i] ?? 0))
  if (densities.length < 3 || rises.some((rise) => rise <= 0))
    throw refuse('The densities of the tablet do not rise.')
  const read = (at: Point) => -Math.log10(Math.max(DARKEST, seen(at) / ground.lightAt(at)))
  let best: Place | null = null
  for (const { line, length } of linesBeside(plan)) {
    const place = stepsOn(line, length, read, rises)
    if (place && place.score > (best?.score ?? 0)) best = place
  }
  if (!best) throw refuse('No row of so many steps was found beside the chart.')
  const { line, start, step, isReversed } = best
  return densities.map((density, i) => {
    const place = isReversed ? densities.length - 1 - i : i
    return { at: line(start + (place + 0.5) * step), density }
  })
}

/** Density about a place, over the lightest that the picture can hold: the middle of nine spots. */
function densityOf(seen: Seen, [x, y]: Point): number {
  const spots = [-0.8, 0, 0.8].flatMap((dx) => [-0.8, 0, 0.8].map((dy): Point => [x + dx, y + dy]))
  return median(spots.map((spot) => -Math.log10(Math.max(DARKEST, seen(spot)))))
}

/** Anchors from the steps of a tablet: what was read of each, as density over the white ground, and what it truly is. */
export const tabletAnchors = (seen: Seen, ground: Ground, steps: readonly TabletStep[]): Anchor[] =>
  steps.map(({ at, density }) => ({
    read: densityOf(seen, at) + Math.log10(ground.lightAt(at)),
    density,
  }))

/** So often what a picture says of its light is made right by the tablet in it. */
const ROUNDS = 3
/** How much more or less steeply than about the lightest step the tones may go on past it, as tried. */
const STEEPER = [1, 0.4, 0.55, 0.7, 0.85, 1.2, 1.4, 1.7, 2]
/** Repeats have to agree so much better before the tones are taken to go on otherwise than about the lightest step. */
const CLEARLY = 0.95

/** So many patches tell whether the repeats of a tone agree. */
const TELLING = 140

/** A chart as it is seen, and how it is lit. */
export interface Lit {
  seen: Seen
  ground: Ground
}

/**
 * A picture whose tones a camera bent, made linear by the tablet in it.
 *
 * What bends is the light that the camera saw, so that uneven light has to be known with it: each is found from the other
 * in rounds. Where the chart is lit more than the tablet, the tablet does not show how the tones go on: there the repeats of
 * each tone, lit unlike, have to agree.
 */
export function straightened(seen: Seen, chart: FoundChart, steps: readonly TabletStep[]): Lit {
  const tried = STEEPER.map((steeper) => {
    const lit = straightenedBy(seen, chart.plan, steps, steeper)
    return { lit, off: disagreement(readPatches(lit.seen, chart, lit.ground, TELLING).patches) }
  })
  return tried.reduce((a, b) => (b.off < (a === tried[0] ? CLEARLY : 1) * a.off ? b : a)).lit
}

function straightenedBy(seen: Seen, plan: ChartPlan, steps: readonly TabletStep[], steeper: number): Lit {
  let lit: Lit = { seen, ground: groundLight(seen, plan) }
  for (let round = 0; round < ROUNDS; round++) {
    const { ground } = lit
    const anchors = steps.map(({ at, density }) => ({
      read: densityOf(seen, at),
      density: density - Math.log10(ground.lightAt(at)),
    }))
    const straight = tabled(beyondLightest(anchors, steeper))
    const now: Seen = (at) => straight(seen(at))
    lit = { seen: now, ground: groundLight(now, plan) }
  }
  return lit
}

/** Densities at which the response of a picture is tabled. */
const TABLE = { from: -0.1, to: 4.6, places: 2000 }

/** Light by light that was seen, from a table of a scale of densities. */
function tabled(scaled: (read: number) => number): (light: number) => number {
  const step = (TABLE.to - TABLE.from) / TABLE.places
  const table = Float64Array.from(
    { length: TABLE.places + 2 },
    (_, i) => 10 ** -scaled(TABLE.from + i * step),
  )
  return (light) => {
    const place = (-Math.log10(Math.max(DARKEST, light)) - TABLE.from) / step
    const low = Math.floor(place)
    return (table[low] ?? Number.NaN) + (place - low) * ((table[low + 1] ?? 0) - (table[low] ?? 0))
  }
}

/** The scale of the anchors, which past the lightest step goes on as steeply as about it, or more or less so. */
function beyondLightest(anchors: readonly Anchor[], steeper: number): (read: number) => number {
  const scaled = scaleOf(anchors)
  const [first, , third] = [...anchors].sort((a, b) => a.read - b.read)
  if (!first || !third) return scaled
  const steepness = (steeper * (third.density - first.density)) / (third.read - first.read)
  return (read) => (read < first.read ? first.density + steepness * (read - first.read) : scaled(read))
}

/** Lines along all four sides of the film, nearer and further, straight and a little turned. */
function* linesBeside(plan: ChartPlan): Generator<{ line: (along: number) => Point; length: number }> {
  const { width, height } = chartLayout(plan)
  for (let off = NEAREST; off <= FARTHEST; off += APART)
    for (const slant of SLANTS) {
      const from = (length: number) => (along: number) => slant * (along - PAST - length / 2)
      const [across, down] = [from(width), from(height)]
      yield { line: (along) => [along - PAST, height + off + across(along)], length: width + 2 * PAST }
      yield { line: (along) => [along - PAST, -off + across(along)], length: width + 2 * PAST }
      yield { line: (along) => [-off + down(along), along - PAST], length: height + 2 * PAST }
      yield { line: (along) => [width + off + down(along), along - PAST], length: height + 2 * PAST }
    }
}

/** The best place for steps on a line: each even in itself, and all rising as their densities do, from either end. */
function stepsOn(
  line: (along: number) => Point,
  length: number,
  read: (at: Point) => number,
  rises: readonly number[],
): Place | null {
  const count = rises.length + 1
  const values = Array.from({ length: Math.floor(length / ALONG) }, (_, i) => read(line(i * ALONG)))
  const from = values.findIndex((value) => !Number.isNaN(value))
  const past = values.findLastIndex((value) => !Number.isNaN(value)) + 1
  if (from < 0) return null
  // Sums up to each reading, so that mean and scatter of any stretch are two differences.
  const sums = new Float64Array(values.length + 1)
  const squares = new Float64Array(values.length + 1)
  for (let i = 0; i < values.length; i++) {
    const value = values[i] ?? 0
    sums[i + 1] = sums[i]! + (Number.isNaN(value) ? 0 : value)
    squares[i + 1] = squares[i]! + (Number.isNaN(value) ? 0 : value ** 2)
  }
  let best: Place | null = null
  const most = Math.floor((past - from) / count)
  for (let wide = Math.ceil(NARROWEST / ALONG); wide <= most; wide += 0.5)
    for (let start = from; start + count * wide <= past; start++) {
      const found = asSteps({ sums, squares, start, wide, rises })
      if (found && found.score > (best?.score ?? 0))
        best = { line, start: start * ALONG, step: wide * ALONG, ...found }
    }
  return best
}

interface Stretch {
  sums: Float64Array
  squares: Float64Array
  start: number
  wide: number
  rises: readonly number[]
}

/** How well a stretch of a line is a row of steps; `null` where it is none. */
function asSteps({
  sums,
  squares,
  start,
  wide,
  rises,
}: Stretch): { score: number; isReversed: boolean } | null {
  const usual = rises.reduce((sum, one) => sum + one, 0) / rises.length
  const margin = ((1 - READ_SHARE) / 2) * wide
  let [before, isReversed, scatter, rise] = [0, false, 0, 0]
  for (let i = 0; i <= rises.length; i++) {
    const [a, b] = [Math.ceil(start + i * wide + margin), Math.floor(start + (i + 1) * wide - margin)]
    const count = b - a
    if (count < 2) return null
    const middle = (sums[b]! - sums[a]!) / count
    scatter += Math.sqrt(Math.max(0, (squares[b]! - squares[a]!) / count - middle ** 2))
    if (i === 1) isReversed = middle < before
    if (i > 0) {
      const step = isReversed ? before - middle : middle - before
      const wanted = (isReversed ? rises[rises.length - i] : rises[i - 1]) ?? usual
      if (step < LEAST_RISE * wanted || step > 4 * wanted) return null
      rise += Math.min(step, wanted)
    }
    before = middle
  }
  const even = scatter / (rises.length + 1) / usual
  if (even > MOST_SCATTER) return null
  // Even steps count most; of two places as even the wider one is whole.
  return { score: (1 - even / MOST_SCATTER) * Math.sqrt(wide) * (rise / (usual * rises.length)), isReversed }
}

const refuse = (problem: string) =>
  new CoreError({
    code: 'not-a-tablet',
    field: 'the tablet',
    problem,
    remedy:
      'Lay the tablet 1 to 4 cm beside the chart with its steps along one edge, show all of it, and enter one density per step, lightest first.',
  })
