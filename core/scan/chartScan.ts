import { mean, median, robustSpread } from '../quantity/statistics'
import { CoreError } from '../errors'
import { monotoneCubic } from '../tone/monotoneCubic'
import { isotonic } from '../tone/isotonic'
import {
  chartPlaces,
  chartLayout,
  PATCH,
  PITCH,
  placeCorner,
  type ChartPlace,
  type ChartPlan,
} from '../chart/chart'
import { findChart, lightAt, type FoundChart } from './findChart'
import { mapped, solveLinear, type Point } from '../negative/homography'
import type { GreyPicture } from '../negative/resample'

/** Why a patch is not to be trusted. */
export type Damage = 'speck' | 'streak' | 'stranger' | 'outside'

/** One patch as it was read. */
export interface ScannedPatch extends ChartPlace {
  /** Density over the white ground, until it is scaled. */
  density: number
  /** How far the pixels of the patch scatter, in density. */
  spread: number
  damage: Damage | null
}

/** Something about the whole picture that a printer should know before trusting it. */
export type ScanWarning = 'white-clipped' | 'black-clipped' | 'altered' | 'uneven' | 'small'

export interface ChartScan {
  plan: ChartPlan
  patches: ScannedPatch[]
  warnings: ScanWarning[]
  /** The white ground as the scanner sees it, as density over the lightest it can hold. */
  groundDensity: number
  /** How much brighter the brightest part of the sheet was lit than the darkest, as a factor; it has been taken out. */
  lightRange: number
  pixelsPerMillimetre: number
  isMirrored: boolean
  /** Corners of the film in the picture, for drawing. */
  corners: Point[]
}

/** Of a patch its middle is read; its edges may bleed. */
const READ_SHARE = 0.62
/** Share of the readings left out at either end of a patch. */
const TRIM = 0.2
const LEAST_PIXELS_PER_MILLIMETRE = 2.5

/**
 * Reads every patch of a chart from a scan or a photo of its print.
 *
 * @param picture linear-light grey, 1 the lightest the picture can hold.
 * @param codes how many pixels have each 8-bit code of the green channel, shape (256,), where known: it shows whether
 *   a picture was stretched after it was taken.
 * @throws CoreError `no-chart`, `no-code`, `too-small`.
 */
export function scanChart(picture: GreyPicture, codes?: ArrayLike<number>): ChartScan {
  const chart = findChart(picture)
  if (chart.pixelsPerMillimetre < LEAST_PIXELS_PER_MILLIMETRE)
    throw new CoreError({
      code: 'too-small',
      field: 'the scan',
      problem: 'The chart is too small in this picture for its patches to be read.',
      remedy: 'Scan at 200 ppi or more, or move the camera closer.',
    })
  const layout = chartLayout(chart.plan)
  const ground = groundLight(picture, chart)
  const read = chartPlaces(chart.plan).map((place) => readPatch(picture, chart, place, ground.lightAt))
  const typicalSpread = median(read.map(({ spread }) => spread))
  const patches = read.map(({ quarters, strays, ...patch }): ScannedPatch => {
    if (Number.isNaN(patch.density)) return { ...patch, damage: 'outside' }
    if (quarters > Math.max(0.05, 5 * typicalSpread)) return { ...patch, damage: 'streak' }
    return { ...patch, damage: strays > 0.12 ? 'speck' : null }
  })
  markStrangers(patches, chart.plan)
  const clear = patches.filter(({ step, damage }) => step === 0 && !damage)
  const warnings: ScanWarning[] = []
  if (ground.clipped > 0.05) warnings.push('white-clipped')
  if (clear.length && median(clear.map((patch) => patch.density)) > 3.2) warnings.push('black-clipped')
  if (codes && isCombed(codes)) warnings.push('altered')
  if (ground.range > 1.35) warnings.push('uneven')
  if (chart.pixelsPerMillimetre < 1.5 * LEAST_PIXELS_PER_MILLIMETRE) warnings.push('small')
  const { width, height } = layout
  return {
    plan: chart.plan,
    patches,
    warnings,
    groundDensity: ground.density,
    lightRange: ground.range,
    pixelsPerMillimetre: chart.pixelsPerMillimetre,
    isMirrored: chart.isMirrored,
    corners: (
      [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ] as const
    ).map((corner) => mapped(chart.toPixels, corner)),
  }
}

/** What is read from one patch before it is judged. */
interface RawPatch extends ChartPlace {
  density: number
  spread: number
  /** Greatest difference between the middles of its four quarters, in density. */
  quarters: number
  /** Share of its readings that are far from its middle. */
  strays: number
}

/** Light over which readings are told apart from nothing at all; about a tenth of the first 8-bit code. */
const DARKEST = 3e-5

function readPatch(
  picture: GreyPicture,
  { toPixels, pixelsPerMillimetre, plan }: FoundChart,
  place: ChartPlace,
  groundAt: (at: Point) => number,
): RawPatch {
  const corner = placeCorner(chartLayout(plan), place)
  const side = PATCH * READ_SHARE
  const count = 2 * Math.min(14, Math.max(3, Math.round((side * pixelsPerMillimetre) / 2)))
  const start = (PATCH - side) / 2
  const quarters: number[][] = [[], [], [], []]
  for (let j = 0; j < count; j++)
    for (let i = 0; i < count; i++) {
      const at: Point = [
        corner.x + start + ((i + 0.5) / count) * side,
        corner.y + start + ((j + 0.5) / count) * side,
      ]
      const light = lightAt(picture, mapped(toPixels, at)) / groundAt(at)
      quarters[2 * Number(j >= count / 2) + Number(i >= count / 2)]!.push(Math.max(DARKEST, light))
    }
  const all = quarters.flat()
  if (all.some(Number.isNaN)) return { ...place, density: Number.NaN, spread: 0, quarters: 0, strays: 0 }
  const densities = all.map((light) => -Math.log10(light))
  const middle = median(densities)
  const spread = robustSpread(densities)
  const middles = quarters.map((quarter) => -Math.log10(median(quarter)))
  const far = Math.max(0.04, 4 * spread)
  return {
    ...place,
    density: -Math.log10(trimmedMean(all)),
    spread,
    quarters: Math.max(...middles) - Math.min(...middles),
    strays: densities.filter((one) => Math.abs(one - middle) > far).length / densities.length,
  }
}

/** Mean without the highest and lowest: what the eye makes of a patch, less its specks. */
function trimmedMean(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const cut = Math.floor(TRIM * sorted.length)
  const kept = sorted.slice(cut, sorted.length - cut)
  return mean(kept)
}

/** Of three or more readings of one tone, one far from the middle of them reads something else. */
function markStrangers(patches: ScannedPatch[], plan: ChartPlan): void {
  for (let step = 0; step < plan.steps; step++) {
    const siblings = patches.filter((patch) => patch.step === step && !patch.damage)
    if (siblings.length < 3) continue
    const middle = median(siblings.map(({ density }) => density))
    const scatter = robustSpread(siblings.map(({ density }) => density))
    for (const patch of siblings)
      if (Math.abs(patch.density - middle) > Math.max(0.08, 6 * scatter)) patch.damage = 'stranger'
  }
}

/** Powers of x and y of a smooth surface over the sheet, both from −1 to 1. */
const SURFACE = [
  [0, 0],
  [1, 0],
  [0, 1],
  [2, 0],
  [1, 1],
  [0, 2],
] as const

/**
 * How brightly the sheet is lit, from the white ground between the patches: a smooth surface through its logarithm,
 * from which what is stained or covered is left out in rounds.
 */
function groundLight(
  picture: GreyPicture,
  { plan, toPixels }: FoundChart,
): { lightAt: (at: Point) => number; density: number; range: number; clipped: number } {
  const layout = chartLayout(plan)
  const { columns, rows, width, height } = layout
  const scaled = ([x, y]: Point): Point => [(2 * x) / width - 1, (2 * y) / height - 1]
  const gap = PITCH - PATCH
  const samples: { at: Point; log: number }[] = []
  let [clipped, seen] = [0, 0]
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const corner = placeCorner(layout, { column, row })
      // The crossing of the gaps is furthest from every patch.
      const at: Point = [corner.x - gap / 2, corner.y - gap / 2]
      const lights: number[] = []
      for (const dx of [-0.5, 0, 0.5])
        for (const dy of [-0.5, 0, 0.5]) {
          const light = lightAt(picture, mapped(toPixels, [at[0] + dx, at[1] + dy]))
          if (Number.isNaN(light)) continue
          lights.push(light)
          seen++
          if (light > 0.9995) clipped++
        }
      if (lights.length > 4)
        samples.push({ at: scaled(at), log: Math.log(Math.max(DARKEST, median(lights))) })
    }
  let kept = samples
  let surface = [median(samples.map(({ log }) => log)), 0, 0, 0, 0, 0]
  const valueAt = ([x, y]: Point) =>
    SURFACE.reduce((sum, [i, j], k) => sum + surface[k]! * x ** i * y ** j, 0)
  for (let round = 0; round < 4; round++) {
    const rowsOf = SURFACE.map(([i, j]) => {
      const own = ({ at }: { at: Point }) => at[0] ** i * at[1] ** j
      return [
        ...SURFACE.map(([k, l]) =>
          kept.reduce((sum, sample) => sum + own(sample) * sample.at[0] ** k * sample.at[1] ** l, 0),
        ),
        kept.reduce((sum, sample) => sum + own(sample) * sample.log, 0),
      ]
    })
    surface = solveLinear(rowsOf) ?? surface
    const off = samples.map((sample) => Math.abs(sample.log - valueAt(sample.at)))
    const limit = Math.max(0.02, 3 * 1.4826 * median(off))
    kept = samples.filter((_, i) => off[i]! <= limit)
  }
  const logs = samples.map(({ at }) => valueAt(at))
  return {
    lightAt: (at) => Math.exp(valueAt(scaled(at))),
    density: -median(logs) / Math.LN10,
    range: Math.exp(Math.max(...logs) - Math.min(...logs)),
    clipped: seen ? clipped / seen : 0,
  }
}

/**
 * Whether a picture's codes have the teeth of a comb: codes that nothing has between codes that much has, as after
 * levels were pulled apart in 8 bits.
 */
function isCombed(codes: ArrayLike<number>): boolean {
  const total = Array.from(codes).reduce((sum, one) => sum + one, 0)
  let [low, high] = [0, 255]
  for (let sum = 0; low < 255 && (sum += codes[low]!) < 0.01 * total;) low++
  for (let sum = 0; high > 0 && (sum += codes[high]!) < 0.01 * total;) high--
  let [empty, inside] = [0, 0]
  for (let code = low + 1; code < high; code++) {
    inside++
    const beside = Math.min(codes[code - 1]!, codes[code + 1]!)
    if (codes[code]! < 0.05 * beside && beside > 30) empty++
  }
  return inside > 40 && empty > 0.04 * inside
}

/** A reading of the scan and what it truly is. */
export interface Anchor {
  read: number
  density: number
}

/**
 * The way from a scanner's densities to true ones: one anchor shifts, two stretch, more bend. Beyond the outer anchors
 * it goes on by one to one.
 *
 * @param anchors at least one; the white of the paper, known patches, or the steps of a scanned step tablet.
 */
export function scaleOf(anchors: readonly Anchor[]): (read: number) => number {
  const sorted = [...anchors].sort((a, b) => a.read - b.read)
  const reads = sorted.map(({ read }) => read)
  const densities = isotonic(
    sorted.map(({ density }) => density),
    sorted.map(() => 1),
  )
  const [first, last] = [reads[0]!, reads.at(-1)!]
  if (reads.length === 1 || last - first < 0.05) return (read) => read - first + densities[0]!
  const inside = monotoneCubic(reads, densities)
  return (read) => inside(read) + Math.min(0, read - first) + Math.max(0, read - last)
}
