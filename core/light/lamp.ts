import { search, type LightCourse } from '../run/dose'

/** How a lamp comes to its full light after it was lit. */
export interface WarmUp {
  /** Share of the full light in the first moment, 0 to 1. */
  startsAt: number
  /** Time constant in seconds: after it, 63 % of what was missing has come. */
  settlesSeconds: number
}

/**
 * Share of a lamp's full light so long after it was lit.
 *
 * @param seconds since it was lit; below 0 it is dark.
 */
export const warmShare = ({ startsAt, settlesSeconds }: WarmUp, seconds: number): number =>
  seconds < 0 ? 0 : settlesSeconds > 0 ? 1 - (1 - startsAt) * Math.exp(-seconds / settlesSeconds) : 1

/** Seconds of full light that a lamp has given so long after it was lit: t − (1 − f)·τ·(1 − e^(−t/τ)). */
export const warmSeconds = ({ startsAt, settlesSeconds }: WarmUp, seconds: number): number =>
  seconds <= 0
    ? 0
    : settlesSeconds > 0
      ? seconds - (1 - startsAt) * settlesSeconds * (1 - Math.exp(-seconds / settlesSeconds))
      : seconds

/** How long after it was lit a lamp burns within a share (0.02 for 2 %) of its full light; seconds. */
export const warmAfterSeconds = ({ startsAt, settlesSeconds }: WarmUp, within = 0.02): number =>
  startsAt >= 1 - within ? 0 : settlesSeconds * Math.log((1 - startsAt) / within)

/**
 * A lamp as its model says it burns.
 *
 * @param lamp when it was lit (milliseconds; absent: long ago), how it warms up, its share of the planned light when
 *   warm (1 where it has not aged since), and its planned light in mW/cm² where known.
 */
export function lampCourse(lamp: {
  litAt?: number
  warmUp?: WarmUp
  share?: number
  referenceMilliwattsPerCm2?: number
}): LightCourse {
  const share = lamp.share ?? 1
  const { litAt, warmUp } = lamp
  const since = (moment: number) =>
    litAt === undefined || !warmUp ? moment / 1000 : warmSeconds(warmUp, (moment - litAt) / 1000)
  const secondsBetween = (from: number, to: number) => (to <= from ? 0 : share * (since(to) - since(from)))
  const reference = lamp.referenceMilliwattsPerCm2
  return {
    by: 'model',
    secondsBetween,
    momentOf: (from, seconds) => search(secondsBetween, from, seconds),
    ...(reference !== undefined && {
      referenceMilliwattsPerCm2: reference,
      milliwattsPerCm2At: (moment: number) =>
        reference * share * (litAt === undefined || !warmUp ? 1 : warmShare(warmUp, (moment - litAt) / 1000)),
    }),
  }
}
