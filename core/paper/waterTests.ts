import type { Paper } from '../schema/records'

/** How fast a paper drinks: sized hard, as most papers for printing, or hardly at all. */
export type Absorbency = 'hard' | 'medium' | 'thirsty'

/**
 * What a drop of water on a paper says of its size.
 *
 * @param dropSeconds until the drop has sunk in and no longer shines.
 * @see a drop that stands for a minute shows a well sized paper, one that is gone in ten seconds one that wants size: a
 * fact of the trade, the limits from memory
 */
export const absorbencyOf = (dropSeconds: number): Absorbency =>
  dropSeconds >= 60 ? 'hard' : dropSeconds < 10 ? 'thirsty' : 'medium'

/** Whether a paper bears as long in water as a process keeps it there. */
export type WetStrength =
  /** It tore in a soak that was no longer than the baths. */
  | 'tears'
  /** It was soaked for less time than the baths take. */
  | 'untried'
  | 'bears'

/**
 * How a paper will bear the baths of a process, by a soak of a scrap.
 *
 * @param soaked the test of the paper.
 * @param wetSeconds that the process keeps a sheet wet, at least.
 */
export function wetStrengthFor(soaked: NonNullable<Paper['soaked']>, wetSeconds: number): WetStrength {
  if (soaked.held) return soaked.seconds >= wetSeconds ? 'bears' : 'untried'
  return soaked.seconds <= wetSeconds ? 'tears' : 'untried'
}
