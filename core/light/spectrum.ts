import type { Standing } from '../quantity/figure'

/** How far towards visible light a coat answers. */
export interface CoatReach {
  /** Any of these in the coat makes it one. */
  substanceIds: readonly string[]
  /** As in `iron salts`. */
  name: string
  /** Up to here a lamp prints at its full worth, and beyond `toNanometres` hardly at all. */
  bestNanometres: number
  toNanometres: number
  standing: Standing
  source: string
}

/** How a lamp of one peak suits a coat. */
export type LampSuits = 'well' | 'slow' | 'hardly'

/** What of a coat answers to light: the first of `reaches` that is in it. @param substanceIds in the coat. */
export const reachOf = (substanceIds: readonly string[], reaches: readonly CoatReach[]): CoatReach | null =>
  reaches.find((one) => one.substanceIds.some((id) => substanceIds.includes(id))) ?? null

/** Whether a lamp prints at its full worth on a coat, slowly, or hardly. @param peakNanometres of the lamp. */
export function lampSuits(peakNanometres: number, reach: CoatReach): LampSuits {
  if (peakNanometres <= reach.bestNanometres) return 'well'
  return peakNanometres <= reach.toNanometres ? 'slow' : 'hardly'
}
