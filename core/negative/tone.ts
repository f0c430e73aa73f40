import { CoreError } from '../errors'
import { monotoneCubic } from '../tone/monotoneCubic'

/** A tone of the picture and the tone it is to become, both L* of 0 to 100. */
export interface TonePoint {
  from: number
  to: number
}

/** Nothing changed. */
export const AS_IT_IS: readonly TonePoint[] = [
  { from: 0, to: 0 },
  { from: 100, to: 100 },
]

export const LEAST_APART = 2

/** L* of linear light from 0 to 1. */
export const lightnessOf = (light: number): number =>
  light > (6 / 29) ** 3 ? 116 * Math.cbrt(light) - 16 : (29 / 3) ** 3 * Math.max(0, light)

/** Linear light of an L*. */
export const lightOf = (lightness: number): number =>
  lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / (29 / 3) ** 3

/**
 * The way from a picture's tones to the tones that are printed, through points; it never falls.
 *
 * @param points at least two, `from` rising by 2 or more, `to` never falling.
 * @returns tone of 0 to 1 by linear light of 0 to 1.
 * @throws CoreError `tones`.
 */
export function toneCurve(points: readonly TonePoint[]): (light: number) => number {
  checkPoints(points)
  const curve = monotoneCubic(
    points.map(({ from }) => from),
    points.map(({ to }) => to / 100),
  )
  return (light) => curve(lightnessOf(light))
}

/**
 * Checks the points of a tone curve: 2 to 12 of them, each from 0 to 100, in rising order.
 *
 * @throws CoreError `out-of-range` where they are not.
 */
export function checkPoints(points: readonly TonePoint[]): void {
  const isInside = (value: number) => value >= 0 && value <= 100
  const isSound =
    points.length >= 2 &&
    points.length <= 12 &&
    points.every(
      ({ from, to }, i) =>
        isInside(from) &&
        isInside(to) &&
        (i === 0 || (from - points[i - 1]!.from >= LEAST_APART - 1e-9 && to >= points[i - 1]!.to)),
    )
  if (!isSound || points.at(-1)!.to - points[0]!.to < 5)
    throw new CoreError({
      code: 'out-of-range',
      field: 'tones',
      problem: 'These points are too close together.',
      remedy: `Each point must be at least ${LEAST_APART} above the previous one and must not print darker.`,
    })
}

/** The most points a printer has any use for. */
export const MOST_POINTS = 8

/** Points with one more, in the middle of the widest stretch that has none. */
export function withPointMore(points: readonly TonePoint[]): TonePoint[] {
  let widest = 1
  const reach = (i: number) => points[i]!.from - points[i - 1]!.from
  for (let i = 2; i < points.length; i++) if (reach(i) > reach(widest)) widest = i
  const [a, b] = [points[widest - 1]!, points[widest]!]
  const middle = { from: (a.from + b.from) / 2, to: (a.to + b.to) / 2 }
  return [...points.slice(0, widest), middle, ...points.slice(widest)]
}

/** Points of which one side of one was moved, by halves of L*, as far as its neighbours let it. */
export function withPointMoved(
  points: readonly TonePoint[],
  index: number,
  side: keyof TonePoint,
  value: number,
): TonePoint[] {
  const gap = side === 'from' ? LEAST_APART : 0
  const low = points[index - 1] ? points[index - 1]![side] + gap : 0
  const high = points[index + 1] ? points[index + 1]![side] - gap : 100
  const next = Math.round(Math.min(high, Math.max(low, value)) * 2) / 2
  return points.map((point, i) => (i === index ? { ...point, [side]: next } : point))
}

/**
 * A tone curve as black point, white point and one bend between: what three handles say.
 *
 * @param middle tone that the middle between black and white becomes, L*.
 */
export const threePoints = (black: number, white: number, middle = 50): TonePoint[] => [
  { from: black, to: 0 },
  ...(middle === 50 ? [] : [{ from: (black + white) / 2, to: middle }]),
  { from: white, to: 100 },
]
