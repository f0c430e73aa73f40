import { normal, seededRandom } from '../quantity/random'
import { mean } from '../quantity/statistics'
import { refusalAt } from '../errors'
import { isotonic } from './isotonic'
import { lightnessFromDensity } from './density'
import { monotoneCubic } from './monotoneCubic'
import { monotoneSmooth } from './smooth'

/** One patch of a printed chart: how much ink lay on the film there, and how dark the print came out behind it. */
export interface ChartPatch {
  /** From 0, clear film, to 1, all the ink the printer lays. */
  ink: number
  /** Reflection densities of the print, one or more readings; empty where the patch is damaged. */
  densities: readonly number[]
}

/** Lightness that every tone of the picture is to print as: drawn by hand, or taken from another print. */
export interface NamedAim {
  name: string
  /** Tone of 0 to 1, rising, and L* of the print, never falling. */
  points: readonly { tone: number; lightness: number }[]
}

/** What the tones of the print aim at: even steps of lightness as the eye sees it, of density, or an aim of one's own. */
export type CurveAim = 'lightness' | 'density' | NamedAim

/** A curve from the picture's tones to ink on the film, as plain data. */
export interface NegativeCurve {
  /** Picture tone, 0 black to 1 white, and the ink that prints it. Rising tones, rising ink. */
  tones: number[]
  inks: number[]
  /** Lightness of the print by ink, from the patches after they were put in order: what a print will look like. */
  patchInks: number[]
  patchLightness: number[]
  /** The deepest black and the whitest white the chart reached, L*. */
  black: number
  white: number
  /** Mean reading minus ordered reading of each ink, in L*, in the order of ink. */
  residuals: number[]
  /** Usual distance of a single reading from the ordered row, in L*. */
  scatter: number
  /** Standard error of the row that the scatter of its tones leaves, L*. */
  error: number
  /** Ink from which more ink makes the print no lighter, and below which less makes it no darker. */
  blockedFrom: number
  mergedTo: number
  /** How many of 256 grey levels a negative of 8 bits would lose. */
  levelsLost: number
  /** How far an aim of one's own is beyond what the chart reached, L*: below its black, above its white. */
  beyond: { black: number; white: number }
}

/** A difference of lightness that the eye does not see side by side. */
const UNSEEN = 0.5
const KNOTS = 65

/**
 * Solves the curve of a process from a printed chart.
 *
 * Readings of one ink are averaged and count by their number; the row is put in order by isotonic regression, read
 * between by a monotone cubic, and turned round.
 *
 * @param patches any order; at least five different inks with readings.
 * @throws CoreError `too-few`; `flat` when the print does not change with the ink; `reversed` when more ink prints darker.
 */
export function solveCurve(patches: readonly ChartPatch[], aim: CurveAim = 'lightness'): NegativeCurve {
  const byInk = new Map<number, number[]>()
  for (const { ink, densities } of patches)
    byInk.set(ink, [...(byInk.get(ink) ?? []), ...densities.map((density) => lightnessFromDensity(density))])
  const read = together([...byInk].filter(([, values]) => values.length).sort((a, b) => a[0] - b[0]))
  if (read.length < 5)
    throw refuse(
      'too-few',
      'A curve needs at least five patches of different ink.',
      'Read more patches of the chart.',
    )
  const inks = read.map(([ink]) => ink)
  const raw = read.map(([, values]) => mean(values))
  const weights = read.map(([, values]) => values.length)
  const ends = Math.max(1, Math.floor(inks.length / 6))
  const rise = mean(raw.slice(-ends)) - mean(raw.slice(0, ends))
  if (Math.abs(rise) < 5)
    throw refuse(
      'flat',
      'The print has nearly the same density under all ink levels.',
      'Expose the chart at the base exposure, and check that exposure.',
    )
  if (rise < 0)
    throw refuse(
      'reversed',
      'More ink printed darker.',
      'Reverse the order: the clear patch comes first and prints black.',
    )

  const { ordered, error } = smoothed(inks, isotonic(raw, weights), raw)
  const residuals = raw.map((value, i) => value - ordered[i]!)
  const [black, white] = [ordered[0]!, ordered.at(-1)!]
  const lightnessOf = monotoneCubic(inks, ordered)
  const inkFor = inverse(lightnessOf, inks[0]!, inks.at(-1)!)
  const tones = Array.from({ length: KNOTS }, (_, i) => i / (KNOTS - 1))
  const wanted = aimOf(aim, black, white)
  const curveInks = tones.map((tone) => inkFor(wanted(tone)))
  return {
    tones,
    inks: curveInks,
    patchInks: inks,
    patchLightness: ordered,
    black,
    white,
    residuals,
    scatter: Math.sqrt(mean(read.flatMap(([, values], i) => values.map((one) => (one - ordered[i]!) ** 2)))),
    error,
    blockedFrom: inkFor(white - UNSEEN),
    mergedTo: inkFor(black + UNSEEN),
    levelsLost: levelsLost(monotoneCubic(tones, curveInks)),
    beyond: beyond(aim, black, white),
  }
}

/** Inks that differ by less print alike. */
const SAME_INK = 0.004

/** Readings of inks that are next to the same, as of a chart and its check, are readings of one; the ends stay by themselves. */
function together(read: readonly [ink: number, values: number[]][]): [number, number[]][] {
  const groups: { inks: number[]; values: number[] }[] = []
  for (const [i, [ink, values]] of read.entries()) {
    const last = groups.at(-1)
    const isJoined = last && i < read.length - 1 && groups.length > 1 && ink - (last.inks[0] ?? 0) < SAME_INK
    // Even the ends take in what cannot be told from them.
    const isSame = last && ink - (last.inks[0] ?? 0) < SAME_INK / 4
    if (isJoined || isSame) {
      if (isJoined) last.inks.push(ink)
      last.values.push(...values)
    } else groups.push({ inks: [ink], values: [...values] })
  }
  return groups.map(({ inks, values }) => [mean(inks), values])
}

/** L* of which a hundredth is about as little as a hundredth of a density: the scale that the smoothing expects. */
const LIGHTNESS_PER_DENSITY = 60

/** Tries of what the scatter of the tones does to the row. */
const TRIES = 30

/** A row through the tones that is as smooth as their scatter asks for, and its standard error, L*. */
function smoothed(
  inks: readonly number[],
  ordered: readonly number[],
  raw: readonly number[],
): { ordered: number[]; error: number } {
  const scaled = (row: readonly number[]) => row.map((one) => one / LIGHTNESS_PER_DENSITY)
  const row = monotoneSmooth(inks, scaled(ordered))
  const off = scaled(raw).map((one, i) => one - (row.values[i] ?? 0))
  const noise = Math.max(row.scatter, Math.sqrt(mean(off.map((one) => one ** 2))))
  const random = seededRandom(5)
  const squares = Array.from({ length: TRIES }, () => {
    const tried = row.again(row.values.map((value) => value + noise * normal(random)))
    return mean(tried.map((one, i) => (one - (row.values[i] ?? 0)) ** 2))
  })
  return {
    ordered: row.values.map((one) => one * LIGHTNESS_PER_DENSITY),
    error: LIGHTNESS_PER_DENSITY * Math.sqrt(mean(squares)),
  }
}

/**
 * Lightness that a tone of the picture is to print as, within what the print can hold.
 *
 * @param black and `white` deepest and lightest L* the print reaches.
 */
export function aimOf(aim: CurveAim, black: number, white: number): (tone: number) => number {
  if (aim === 'lightness') return (tone) => black + tone * (white - black)
  if (typeof aim === 'object') {
    const own = monotoneCubic(
      aim.points.map(({ tone }) => tone),
      aim.points.map(({ lightness }) => lightness),
    )
    return (tone) => Math.min(white, Math.max(black, own(tone)))
  }
  const density = (lightness: number) =>
    Math.log10(lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / (29 / 3) ** 3)
  const [dark, light] = [density(Math.max(0.5, black)), density(white)]
  return (tone) => lightnessFromDensity(-(dark + tone * (light - dark)))
}

function beyond(aim: CurveAim, black: number, white: number): NegativeCurve['beyond'] {
  if (typeof aim !== 'object') return { black: 0, white: 0 }
  const lightness = aim.points.map((point) => point.lightness)
  return {
    black: Math.max(0, black - Math.min(...lightness)),
    white: Math.max(0, Math.max(...lightness) - white),
  }
}

/** Where a rising function takes a value, by halving; of a level stretch its beginning. */
function inverse(f: (x: number) => number, from: number, to: number): (value: number) => number {
  return (value) => {
    if (value <= f(from)) return from
    if (value >= f(to)) value = f(to)
    let [low, high] = [from, to]
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2
      if (f(middle) < value) low = middle
      else high = middle
    }
    return high
  }
}

function levelsLost(inkOf: (tone: number) => number): number {
  const codes = new Set(Array.from({ length: 256 }, (_, level) => Math.round(255 * inkOf(level / 255))))
  return 256 - codes.size
}

/** A tone of the picture that was printed through a curve, and what came of it. */
export interface CheckPatch extends ChartPatch {
  tone: number
}

/** How well a curve does what it should, by a chart that was printed through it; all in L*. */
export interface CheckResult {
  rows: { tone: number; wanted: number; read: number }[]
  /** Mean of the differences without their sign, the largest of them, and their mean with it. */
  mean: number
  worst: number
  shift: number
}

/**
 * Compares a chart that was printed through a curve with what the curve aims at.
 *
 * @throws CoreError `too-few` with less than five tones.
 */
export function checkCurve(curve: NegativeCurve, aim: CurveAim, patches: readonly CheckPatch[]): CheckResult {
  const wanted = aimOf(aim, curve.black, curve.white)
  const rows = byTone(patches).map(({ tone, read }) => ({ tone, wanted: wanted(tone), read }))
  const off = rows.map((row) => row.read - row.wanted)
  return {
    rows,
    mean: mean(off.map(Math.abs)),
    worst: Math.max(...off.map(Math.abs)),
    shift: mean(off),
  }
}

/** Readings of a check tone by tone, each the mean of its repeats. @throws CoreError `too-few` with less than five tones. */
export function byTone(patches: readonly CheckPatch[]): { tone: number; ink: number; read: number }[] {
  const tones = new Map<number, { ink: number; read: number[] }>()
  for (const { tone, ink, densities } of patches) {
    const row = tones.get(tone) ?? { ink, read: [] }
    row.read.push(...densities.map(lightnessFromDensity))
    tones.set(tone, row)
  }
  const rows = [...tones]
    .filter(([, { read }]) => read.length)
    .map(([tone, { ink, read }]) => ({ tone, ink, read: mean(read) }))
    .sort((a, b) => a.tone - b.tone)
  if (rows.length < 5)
    throw refuse('too-few', 'A check needs at least five tones.', 'Read more patches of the check chart.')
  return rows
}

/** School one: as much ink as the picture is light, and the tones fall as they may. */
export const PLAIN_INVERSION: Pick<NegativeCurve, 'tones' | 'inks'> = { tones: [0, 1], inks: [0, 1] }

/** Ink for a tone of the picture. */
export const inkOf = ({ tones, inks }: Pick<NegativeCurve, 'tones' | 'inks'>): ((tone: number) => number) =>
  monotoneCubic(tones, inks)

/** Lightness of the print behind so much ink, where a chart told it. */
export const printOf = ({
  patchInks,
  patchLightness,
}: Pick<NegativeCurve, 'patchInks' | 'patchLightness'>): ((ink: number) => number) =>
  monotoneCubic(patchInks, patchLightness)

const refuse = refusalAt('chart')
