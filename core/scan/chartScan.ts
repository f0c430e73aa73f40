import { median } from '../quantity/statistics'
import { CoreError } from '../errors'
import { chartLayout, type ChartPlan } from '../chart/chart'
import { evenCoat } from './evenCoat'
import { findChart, seenIn, type FoundChart } from './findChart'
import { groundLight } from './ground'
import { readPatches, type ScannedPatch } from './patches'
import type { Anchor } from './response'
import { findTablet, straightened, tabletAnchors } from './tabletBeside'
import { mapped, type Point } from '../negative/homography'
import type { GreyPicture } from '../negative/resample'

/** Something about the whole picture that a printer should know before trusting it. */
export type ScanWarning =
  'white-clipped' | 'black-clipped' | 'altered' | 'glare' | 'by-camera' | 'uneven' | 'streaks' | 'small'

export interface ChartScan {
  plan: ChartPlan
  patches: ScannedPatch[]
  warnings: ScanWarning[]
  /** The white ground as the scanner sees it, as density over the lightest it can hold. */
  groundDensity: number
  /** How much brighter the brightest part of the sheet was lit than the darkest, as a factor; it has been taken out. */
  lightRange: number
  /** How much deeper one column or row of the coat printed than another, as a share; it has been taken out. */
  coatRange: number
  /** Anchors from a tablet beside the chart, over its white ground; `null` where none was asked for. */
  tablet: Anchor[] | null
  pixelsPerMillimetre: number
  isMirrored: boolean
  /** Corners of the film in the picture, for drawing. */
  corners: Point[]
}

const LEAST_PIXELS_PER_MILLIMETRE = 2.5

/** What is known of a scan besides its picture. */
export interface ScanKnown {
  /** How many pixels have each 8-bit code of the green channel, shape (256,): shows whether a picture was stretched. */
  codes?: ArrayLike<number> | undefined
  /** Densities of the steps of a tablet beside the chart, lightest first. */
  tablet?: readonly number[] | undefined
  /** The file says that a camera took it. */
  isByCamera?: boolean | undefined
}

/**
 * Reads every patch of a chart from a scan or a photo of its print.
 *
 * @param picture linear-light grey, 1 the lightest the picture can hold.
 * @throws CoreError `no-chart`, `no-code`, `too-small`; `not-a-tablet` where a tablet was named that is not there.
 */
export function scanChart(picture: GreyPicture, known: ScanKnown = {}): ChartScan {
  const chart = findChart(picture)
  if (chart.pixelsPerMillimetre < LEAST_PIXELS_PER_MILLIMETRE)
    throw new CoreError({
      code: 'too-small',
      field: 'the scan',
      problem: 'The chart is too small in this picture for its patches to be read.',
      remedy: 'Scan at 200 ppi or more, or move the camera closer.',
    })
  const layout = chartLayout(chart.plan)
  const asSeen = seenIn(picture, chart)
  const asLit = groundLight(asSeen, chart.plan)
  const steps = known.tablet && findTablet(asSeen, chart.plan, asLit, known.tablet)
  const { seen, ground } = steps ? straightened(asSeen, chart, steps) : { seen: asSeen, ground: asLit }
  const { patches: read, isGlared } = readPatches(seen, chart, ground)
  const { patches, range: coatRange } = evenCoat(read, chart.plan)
  const warnings: ScanWarning[] = []
  if (asLit.clipped > 0.05) warnings.push('white-clipped')
  if (areBlacksClipped(read)) warnings.push('black-clipped')
  if (known.codes && isCombed(known.codes)) warnings.push('altered')
  if (isGlared) warnings.push('glare')
  if (known.isByCamera || isSlanted(chart)) warnings.push('by-camera')
  if (ground.range > 1.35) warnings.push('uneven')
  if (coatRange > STREAKS) warnings.push('streaks')
  if (chart.pixelsPerMillimetre < 1.5 * LEAST_PIXELS_PER_MILLIMETRE) warnings.push('small')
  const { width, height } = layout
  return {
    plan: chart.plan,
    patches,
    warnings,
    groundDensity: ground.density,
    lightRange: ground.range,
    coatRange,
    tablet: steps ? tabletAnchors(seen, ground, steps) : null,
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

/** A coat that prints so much deeper in one column or row than in another is worth a word. */
const STREAKS = 0.12
/** A slant by which a camera is distinguished from a scanner: how much longer one side of the chart is than the one across. */
const SLANT = 0.006

/** Whether the picture was taken by hand: one side of the chart is further away than the other. */
function isSlanted({ plan, toPixels }: FoundChart): boolean {
  const { marks } = chartLayout(plan)
  const seen = marks.map((mark) => mapped(toPixels, mark))
  const side = (i: number) => {
    const [[x0, y0], [x1, y1]] = [seen[i % 4]!, seen[(i + 1) % 4]!]
    return Math.hypot(x1 - x0, y1 - y0)
  }
  const apart = (i: number) => Math.abs(Math.log(side(i) / side(i + 2)))
  return Math.max(apart(0), apart(1)) > SLANT
}

/** Whether the darkest patches are all at the end of the codes: below what eight bits hold, or dark without any scatter. */
function areBlacksClipped(patches: readonly ScannedPatch[]): boolean {
  const clear = patches.filter(({ step, damage }) => step === 0 && !damage)
  if (!clear.length) return false
  const usual = median(patches.map(({ spread }) => spread))
  const [density, spread] = [median(clear.map((one) => one.density)), median(clear.map((one) => one.spread))]
  return density > 3.2 || (density > 2 && usual > 0.004 && spread < 0.1 * usual)
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
