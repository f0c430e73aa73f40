import type { Progress, Pulse } from '../storage/holdings'

/** How long work reports how far it is, and lets itself be stopped. */
export interface Pace {
  progress: Progress
  /** Throws where the work was stopped. */
  pulse: Pulse
  /** Lets a stop be heard between two pieces of work that never wait. */
  breathe: () => Promise<void>
}

/** The part of a longer work that goes from one share of it to another. */
export const within = (pace: Pace, from: number, to: number): Pace => ({
  ...pace,
  progress: (share, doing) => pace.progress(from + (to - from) * share, doing),
})

/** Runs long work piece by piece. @param work yields the share that is done. */
export async function runInPieces<Result>(
  work: Generator<number, Result>,
  doing: string,
  { progress, breathe }: Pace,
): Promise<Result> {
  let step = work.next()
  while (!step.done) {
    progress(step.value, doing)
    await breathe()
    step = work.next()
  }
  return step.value
}
