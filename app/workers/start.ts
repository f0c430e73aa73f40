import { startLogs } from './startLogs'

/** Every worker that is started for one question, by name. Their scripts are brought in ahead, like the pages. */
export const startWorker = {
  /** @param name of the database it works on. */
  archive: (name = 'none') =>
    new Worker(new URL('./archive.worker.ts', import.meta.url), { type: 'module', name }),
  beat: () => new Worker(new URL('./beat.worker.ts', import.meta.url), { type: 'module', name: 'beat' }),
  curves: () =>
    new Worker(new URL('./curves.worker.ts', import.meta.url), { type: 'module', name: 'curves' }),
  logs: startLogs,
  negative: () =>
    new Worker(new URL('./negative.worker.ts', import.meta.url), { type: 'module', name: 'negative' }),
  packer: () =>
    new Worker(new URL('./packer.worker.ts', import.meta.url), { type: 'module', name: 'packer' }),
  plan: () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module', name: 'plan' }),
  tearing: () =>
    new Worker(new URL('./tearing.worker.ts', import.meta.url), { type: 'module', name: 'tearing' }),
  thumbnail: () =>
    new Worker(new URL('./thumbnail.worker.ts', import.meta.url), { type: 'module', name: 'thumbnail' }),
} as const

/** Long enough for a script to come in from this machine's own server. */
const COMING_IN_MILLISECONDS = 4000

/** Has the browser keep every worker's script, so that the server may go away. */
export function fetchWorkersAhead(): void {
  for (const start of Object.values(startWorker)) {
    const worker = start()
    setTimeout(() => worker.terminate(), COMING_IN_MILLISECONDS)
  }
}
