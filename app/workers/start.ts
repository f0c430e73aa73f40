import archiveUrl from './archive.worker.ts?worker&url'
import beatUrl from './beat.worker.ts?worker&url'
import curvesUrl from './curves.worker.ts?worker&url'
import logsUrl from './logs.worker.ts?worker&url'
import negativeUrl from './negative.worker.ts?worker&url'
import packerUrl from './packer.worker.ts?worker&url'
import planUrl from './plan.worker.ts?worker&url'
import practiceUrl from './practice.worker.ts?worker&url'
import tearingUrl from './tearing.worker.ts?worker&url'
import thumbnailUrl from './thumbnail.worker.ts?worker&url'

const start = (url: string, name: string) => new Worker(url, { type: 'module', name })

/** Every worker that is started for one question, by name. */
export const startWorker = {
  /** @param name of the database it works on. */
  archive: (name = 'none') => start(archiveUrl, name),
  beat: () => start(beatUrl, 'beat'),
  curves: () => start(curvesUrl, 'curves'),
  negative: () => start(negativeUrl, 'negative'),
  packer: () => start(packerUrl, 'packer'),
  plan: () => start(planUrl, 'plan'),
  practice: () => start(practiceUrl, 'practice'),
  tearing: () => start(tearingUrl, 'tearing'),
  thumbnail: () => start(thumbnailUrl, 'thumbnail'),
} as const

/** Has the browser keep every worker's script, so that the server may go away. None is run for that. */
export function fetchWorkersAhead(): void {
  for (const url of [
    archiveUrl,
    beatUrl,
    curvesUrl,
    logsUrl,
    negativeUrl,
    packerUrl,
    planUrl,
    practiceUrl,
    tearingUrl,
    thumbnailUrl,
  ])
    // What does not come in is fetched when it is needed.
    fetch(url).catch(() => undefined)
}
