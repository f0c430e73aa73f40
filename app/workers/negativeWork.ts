import { CoreError, type Refusal } from '@core/errors'
import type { NegativeAnswer, NegativeQuestion } from './negative.worker'
import { startWorker } from './start'

/** Work on a picture beside the page, that can be stopped by letting its worker go. */
export interface NegativeWork {
  answer: Promise<NegativeAnswer>
  stop: () => void
}

/** What a worker that was let go leaves behind; nobody needs to be told of it. */
const STOPPED = new CoreError({
  code: 'stopped',
  field: 'negative',
  problem: 'The negative was stopped.',
  remedy: 'Make it again when you want it.',
})

/** A worker that has just worked is quicker than a fresh one, whose code the browser has yet to make ready. */
const IDLE_MILLISECONDS = 20_000
let idle: { worker: Worker; timer: number } | null = null

function takeWorker(): Worker {
  if (!idle) return startWorker.negative()
  clearTimeout(idle.timer)
  const { worker } = idle
  idle = null
  return worker
}
function keepWorker(worker: Worker): void {
  if (idle) return worker.terminate()
  const timer = window.setTimeout(() => {
    worker.terminate()
    idle = null
  }, IDLE_MILLISECONDS)
  idle = { worker, timer }
}

/** Puts a question to a worker that has no other. */
export function workOn(
  question: NegativeQuestion,
  heard: (share: number) => void = () => undefined,
): NegativeWork {
  const worker = takeWorker()
  const hearing = new AbortController()
  const { signal } = hearing
  let isAnswered = false
  let giveUp: () => void = () => undefined
  const answer = new Promise<NegativeAnswer>((resolve, reject) => {
    giveUp = () => reject(STOPPED)
    const take = ({ data }: MessageEvent<NegativeAnswer>) => {
      if (data.kind === 'share') return heard(data.share)
      isAnswered = true
      if (data.kind === 'refused') reject(new CoreError(data.refusal))
      else resolve(data)
    }
    worker.addEventListener('message', take, { signal })
    const fail = (event: ErrorEvent) => reject(new Error(event.message || 'the worker stopped'))
    worker.addEventListener('error', fail, { signal })
    worker.postMessage(question)
  }).finally(() => {
    hearing.abort()
    if (isAnswered) keepWorker(worker)
    else worker.terminate()
  })
  return { answer, stop: () => giveUp() }
}

/** What to say of work that failed; `null` where it was stopped on purpose. */
export function refusalOfWork(error: unknown): Refusal | null {
  if (error === STOPPED) return null
  if (error instanceof CoreError) return error.refusal
  return {
    code: 'unexpected',
    field: 'the picture',
    problem: 'The work stopped.',
    remedy: 'Try once more, or a smaller picture.',
  }
}
