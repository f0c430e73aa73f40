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

/** Puts a question to a fresh worker. */
export function workOn(
  question: NegativeQuestion,
  heard: (share: number) => void = () => undefined,
): NegativeWork {
  const worker = startWorker.negative()
  let giveUp: () => void = () => undefined
  const answer = new Promise<NegativeAnswer>((resolve, reject) => {
    giveUp = () => reject(STOPPED)
    worker.addEventListener('message', ({ data }: MessageEvent<NegativeAnswer>) => {
      if (data.kind === 'share') heard(data.share)
      else if (data.kind === 'refused') reject(new CoreError(data.refusal))
      else resolve(data)
    })
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'the worker stopped')))
    worker.postMessage(question)
  }).finally(() => worker.terminate())
  return {
    answer,
    stop: () => {
      worker.terminate()
      giveUp()
    },
  }
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
