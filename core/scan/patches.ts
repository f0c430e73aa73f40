import { chartLayout, chartPlaces, PATCH, placeCorner, type ChartPlace, type ChartPlan } from '../chart/chart'
import type { Point } from '../negative/homography'
import { mean, median, robustSpread } from '../quantity/statistics'
import { lightnessFromDensity } from '../tone/density'
import type { FoundChart, Seen } from './findChart'
import { DARKEST, type Ground } from './ground'

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

/** Of a patch its middle is read; its edges may bleed. */
const READ_SHARE = 0.62
/** Share of the readings left out at either end of a patch. */
const TRIM = 0.2
/** What is read from one patch before it is judged. */
interface RawPatch extends ChartPlace {
  density: number
  spread: number
  /** Greatest difference between the middles of its four quarters, in density. */
  quarters: number
  /** Share of its readings that are far from its middle. */
  strays: number
}

/** A reflection that adds so much to the ground is worth a word. */
const GLARE = 0.03

/** How light becomes a share of the white ground: what is added to it is taken off, the rest is divided. */
interface Under {
  added: number
  white: number
}

/** What the ground at a place may be uneven by: how it is lit, a small reflection on ground lit smoothly, or a large one. */
function waysAt(ground: Ground, at: Point): [Under, Under, Under] {
  const [smooth, patchiness] = [ground.lightAt(at), ground.patchinessAt(at)]
  const whole = smooth * (1 + patchiness)
  const without = Math.min(whole, ground.withoutReflectionAt(at))
  const isLighter = patchiness > 0
  return [
    { added: 0, white: whole },
    { added: isLighter ? whole - smooth : 0, white: isLighter ? smooth : whole },
    { added: whole - without, white: without },
  ]
}

/** Pixels of a patch quarter by quarter, and the ways that they may be read. */
interface Sampled {
  place: ChartPlace
  quarters: { lights: number[]; ways: [Under, Under, Under] }[]
}

/**
 * All patches under the ground they are on. A ground that is lighter in one place is either lit more, or has a reflection on
 * it, which adds to dark and light alike: the repeats of the dark tones tell which.
 *
 * @param most only so many of them, spread over the sheet.
 */
export function readPatches(
  seen: Seen,
  chart: FoundChart,
  ground: Ground,
  most = Infinity,
): { patches: ScannedPatch[]; isGlared: boolean } {
  const all = chartPlaces(chart.plan)
  const every = Math.ceil(all.length / most) || 1
  const places = all.filter((_, i) => i % every === 0)
  const sampled = places.map((place) => sampledPatch(seen, chart, place, ground))
  const read = (way: 0 | 1 | 2) => {
    const patches = judged(sampled.map((one) => readPatch(one, way)), chart.plan) // prettier-ignore
    return { patches, off: disagreement(patches) }
  }
  const asLit = read(0)
  const isPlain = sampled.every(({ quarters }) =>
    quarters.every(({ ways }) => ways.every(({ added, white }) => added < GLARE * white)),
  )
  if (isPlain) return { patches: asLit.patches, isGlared: false }
  const best = [read(1), read(2)].reduce((a, b) => (b.off < CLEARLY * a.off ? b : a), asLit)
  return { patches: best.patches, isGlared: best !== asLit }
}

/** Repeats have to agree so much better before a reflection is believed. */
const CLEARLY = 0.8

/** Further apart than this, L*, two repeats are simply not the same. */
const APART = 12

/** How far the repeats of a tone are apart, L*: a mean square over all tones. */
export function disagreement(patches: readonly ScannedPatch[]): number {
  const byStep = new Map<number, number[]>()
  for (const { step, density } of patches)
    if (!Number.isNaN(density)) byStep.set(step, [...(byStep.get(step) ?? []), lightnessFromDensity(density)])
  return mean(
    [...byStep.values()].flatMap((ones) =>
      ones.map((one) => Math.min(APART, Math.abs(one - mean(ones))) ** 2),
    ),
  )
}

function judged(read: readonly RawPatch[], plan: ChartPlan): ScannedPatch[] {
  const typicalSpread = median(read.map(({ spread }) => spread))
  const patches = read.map(({ quarters, strays, ...patch }): ScannedPatch => {
    if (Number.isNaN(patch.density)) return { ...patch, damage: 'outside' }
    if (quarters > Math.max(0.05 * Math.max(1, patch.density), 5 * typicalSpread))
      return { ...patch, damage: 'streak' }
    return { ...patch, damage: strays > 0.12 ? 'speck' : null }
  })
  markStrangers(patches, plan)
  return patches
}

function sampledPatch(
  seen: Seen,
  { pixelsPerMillimetre, plan }: FoundChart,
  place: ChartPlace,
  ground: Ground,
): Sampled {
  const corner = placeCorner(chartLayout(plan), place)
  const side = PATCH * READ_SHARE
  const count = 2 * Math.min(10, Math.max(3, Math.round((side * pixelsPerMillimetre) / 2)))
  const start = (PATCH - side) / 2
  const quarters = [0, 1, 2, 3].map((quarter) => {
    const [left, top] = [
      corner.x + start + (quarter % 2) * (side / 2),
      corner.y + start + (quarter >> 1) * (side / 2),
    ]
    const lights: number[] = []
    for (let j = 0; j < count / 2; j++)
      for (let i = 0; i < count / 2; i++)
        lights.push(seen([left + ((i + 0.5) / count) * side, top + ((j + 0.5) / count) * side]))
    return { lights, ways: waysAt(ground, [left + side / 4, top + side / 4]) }
  })
  return { place, quarters }
}

function readPatch({ place, quarters }: Sampled, way: 0 | 1 | 2): RawPatch {
  const shares = quarters.map(({ lights, ways }) => {
    const { added, white } = ways[way]
    return lights.map((light) => Math.max(DARKEST, (light - added) / white))
  })
  const all = shares.flat()
  if (all.some(Number.isNaN)) return { ...place, density: Number.NaN, spread: 0, quarters: 0, strays: 0 }
  const densities = all.map((light) => -Math.log10(light))
  const middle = median(densities)
  const spread = robustSpread(densities)
  const middles = shares.map((quarter) => -Math.log10(median(quarter)))
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
