import { search, type LightCourse } from '../run/dose'
import { sunLightAt, type FrameFacing, type Sky } from './irradiance'
import { sunPosition, type Place } from './position'

/** Everything that decides how much sun falls on a frame. */
export interface SunScene {
  place: Place
  sky: Sky
  facing: FrameFacing
  /** What one's own results make of the model: 1.2 where the sun gives a fifth more than computed. */
  correction: number
}

/** The light of a stretch of time at even steps. */
export interface SunCurve {
  /** First moment, milliseconds. */
  from: number
  stepMilliseconds: number
  /** mW/cm² at each step. */
  milliwattsPerCm2: Float64Array
  /** mJ/cm² from the first moment to each step. */
  millijoulesPerCm2: Float64Array
}

/**
 * The light on a frame over a stretch of time.
 *
 * @param from and `to` milliseconds; the last step is at or after `to`.
 */
export function sunCurve(scene: SunScene, from: number, to: number, stepSeconds = 60): SunCurve {
  const stepMilliseconds = stepSeconds * 1000
  const count = Math.max(2, Math.ceil((to - from) / stepMilliseconds) + 1)
  const light = new Float64Array(count)
  const dose = new Float64Array(count)
  for (let i = 0; i < count; i++) {
    light[i] =
      scene.correction * sunLightAt(scene.place, from + i * stepMilliseconds, scene.sky, scene.facing).total
    if (i) dose[i] = dose[i - 1]! + ((light[i - 1]! + light[i]!) / 2) * stepSeconds
  }
  return { from, stepMilliseconds, milliwattsPerCm2: light, millijoulesPerCm2: dose }
}

/** Value of a row of even steps at a place between them. */
function between(row: Float64Array, place: number): number {
  const i = Math.min(row.length - 2, Math.max(0, Math.floor(place)))
  const share = Math.min(1, Math.max(0, place - i))
  return row[i]! + (row[i + 1]! - row[i]!) * share
}

/** Light of a curve at a moment, mW/cm². */
export const lightAt = (curve: SunCurve, moment: number): number =>
  between(curve.milliwattsPerCm2, (moment - curve.from) / curve.stepMilliseconds)

/** Dose of a curve from its first moment to another, mJ/cm²; within a step the light runs in a straight line. */
export function doseAt(curve: SunCurve, moment: number): number {
  const place = (moment - curve.from) / curve.stepMilliseconds
  const i = Math.min(curve.millijoulesPerCm2.length - 2, Math.max(0, Math.floor(place)))
  const seconds = (Math.min(1, Math.max(0, place - i)) * curve.stepMilliseconds) / 1000
  const start = curve.milliwattsPerCm2[i]!
  const end = between(curve.milliwattsPerCm2, place)
  return curve.millijoulesPerCm2[i]! + ((start + end) / 2) * seconds
}

/**
 * When a frame put out at a moment will have its dose.
 *
 * @param dose mJ/cm².
 * @returns milliseconds; `null` when the curve ends first.
 */
export function doneAt(curve: SunCurve, from: number, dose: number): number | null {
  const start = doseAt(curve, from)
  const end = curve.from + (curve.millijoulesPerCm2.length - 1) * curve.stepMilliseconds
  if (doseAt(curve, end) - start < dose) return null
  return search(
    (a, b) => doseAt(curve, Math.min(b, end)) - (a === from ? start : doseAt(curve, a)),
    from,
    dose,
  )
}

/** A stretch of the day in which an exposure takes the shortest, or nearly so. */
export interface BestWindow {
  /** When to put the frame out for the shortest exposure, and how long it takes. */
  at: number
  seconds: number
  /** First and last moment to put it out at which it takes at most a quarter longer. */
  from: number
  to: number
}

/**
 * The best time of a day to put a frame out.
 *
 * @param dose mJ/cm².
 * @returns `null` when the day has not so much light.
 */
export function bestWindow(curve: SunCurve, dose: number): BestWindow | null {
  const total = curve.millijoulesPerCm2
  const takes: { at: number; seconds: number }[] = []
  let end = 0
  for (let start = 0; start < total.length; start++) {
    while (end < total.length && total[end]! - total[start]! < dose) end++
    if (end === total.length) break
    const step = total[end]! - total[end - 1]!
    const over = step > 0 ? (total[end]! - total[start]! - dose) / step : 0
    takes.push({
      at: curve.from + start * curve.stepMilliseconds,
      seconds: ((end - start - over) * curve.stepMilliseconds) / 1000,
    })
  }
  if (!takes.length) return null
  const best = takes.reduce((least, one) => (one.seconds < least.seconds ? one : least))
  const near = takes.filter((one) => one.seconds <= best.seconds * 1.25)
  return { ...best, from: near[0]!.at, to: near.at(-1)!.at }
}

/** What the clouds leave of the light from a moment on. */
export interface SkyChange {
  at: number
  share: number
}

/**
 * The sun as a light to expose by, foreseen for a day from a moment on.
 *
 * @param skies changes of the sky in order of time; before the first, and without any, the sky is the scene's own. What
 *   was counted under an earlier sky stays as it was.
 */
export function sunCourse(
  scene: SunScene,
  from: number,
  referenceMilliwattsPerCm2: number,
  skies: readonly SkyChange[] = [],
): LightCourse {
  const curve = sunCurve(scene, from, from + 86_400_000)
  const row = curve.milliwattsPerCm2
  for (let i = 0; i < row.length; i++) {
    const moment = from + i * curve.stepMilliseconds
    const sky = skies.findLast((one) => one.at <= moment)
    if (sky) row[i]! *= sky.share / scene.sky.cloud
    if (i)
      curve.millijoulesPerCm2[i] =
        curve.millijoulesPerCm2[i - 1]! + ((row[i - 1]! + row[i]!) / 2) * (curve.stepMilliseconds / 1000)
  }
  const secondsBetween = (a: number, b: number) =>
    b <= a ? 0 : (doseAt(curve, b) - doseAt(curve, a)) / referenceMilliwattsPerCm2
  return {
    by: 'model',
    referenceMilliwattsPerCm2,
    secondsBetween,
    milliwattsPerCm2At: (moment) => lightAt(curve, moment),
    momentOf: (a, seconds) => doneAt(curve, a, seconds * referenceMilliwattsPerCm2),
  }
}

/** Rising and setting are of the sun's upper rim, a quarter of a degree above its middle. */
const RIM = 90.27

/** When the sun rises, stands highest and sets on a day, searched minute by minute; `null` where it does not. */
export function sunTimes(
  place: Place,
  dayStart: number,
): { rises: number | null; highest: number; sets: number | null } {
  let [rises, sets, highest, least] = [null as number | null, null as number | null, dayStart, Infinity]
  let before = sunPosition(place, dayStart).zenith
  for (let minute = 1; minute <= 1440; minute++) {
    const at = dayStart + minute * 60_000
    const { zenith } = sunPosition(place, at)
    if (before > RIM && zenith <= RIM) rises ??= at
    if (before <= RIM && zenith > RIM) sets = at
    if (zenith < least) [least, highest] = [zenith, at]
    before = zenith
  }
  return { rises, highest, sets }
}
