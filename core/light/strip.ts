import { CoreError } from '../errors'

/** A test strip as it is planned: one coat, exposed in steps through the clear film. */
export interface StripPlan {
  firstSeconds: number
  lastSeconds: number
  /** Marks on the strip, 2 to 24. */
  count: number
  /** Steps by a like time, or by a like ratio, which the eye sees as even. */
  spacing: 'time' | 'ratio'
  /** Whether a card covers mark after mark, or all but the last are covered first and freed one by one. */
  card: 'covers' | 'frees'
}

/** One moment at which the card is moved, in seconds of exposure since the start. */
export interface StripCue {
  atSeconds: number
  /** Mark up to which the card then reaches, from 1; 0 when everything is free. */
  mark: number
}

/**
 * Exposure of each mark, shortest first.
 *
 * @returns shape (count,), seconds.
 * @throws CoreError `out-of-range` for a strip that cannot be: too few or many marks, times that do not grow.
 */
export function stripTimes({ firstSeconds, lastSeconds, count, spacing }: StripPlan): number[] {
  if (!Number.isInteger(count) || count < 2 || count > 24)
    throw refuse('count', 'A test strip has 2 to 24 steps.', 'Enter a whole number such as 8.')
  if (!(firstSeconds > 0))
    throw refuse('first', 'The shortest exposure must be above zero.', 'Enter a time such as 1 min.')
  if (!(lastSeconds > firstSeconds))
    throw refuse(
      'last',
      'The longest exposure must be longer than the shortest.',
      'Enter a longer time for the last step.',
    )
  return Array.from({ length: count }, (_, i) => {
    const share = i / (count - 1)
    return spacing === 'time'
      ? firstSeconds + (lastSeconds - firstSeconds) * share
      : firstSeconds * (lastSeconds / firstSeconds) ** share
  })
}

/**
 * When the card is moved and how far: mark 1 is at the edge that the card comes from or goes to.
 *
 * @returns in the order of time; the end of the exposure is not among them.
 */
export function stripCues(plan: StripPlan): StripCue[] {
  const times = stripTimes(plan)
  return plan.card === 'covers'
    ? times.slice(0, -1).map((seconds, i) => ({ atSeconds: seconds, mark: i + 1 }))
    : times
        .slice(0, -1)
        .map((seconds, i) => ({ atSeconds: plan.lastSeconds - seconds, mark: i }))
        .reverse()
}

/** What is said when the card is to be moved. */
export const cueWords = (plan: Pick<StripPlan, 'card'>, cue: StripCue): string =>
  plan.card === 'covers'
    ? `Cover to step ${cue.mark}`
    : cue.mark === 0
      ? 'Remove the card'
      : `Pull the card back to step ${cue.mark}`

const refuse = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
