import { CoreError, type Refusal } from '@core/errors'
import { askOrGiveUp, wasStopped, type CallOptions } from './call'
import type { NegativeAnswers, NegativeQuestion } from './negative.worker'
import { startWorker } from './start'

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

/**
 * Has work on a picture done beside the page, by a worker that has nothing else to do.
 *
 * @throws CoreError what the worker refused, or what `wasStopped` knows.
 */
export async function workOn<Act extends NegativeQuestion['act']>(
  question: Extract<NegativeQuestion, { act: Act }>,
  options: CallOptions<number> = {},
): Promise<NegativeAnswers[Act]> {
  const worker = takeWorker()
  try {
    const answer = await askOrGiveUp<NegativeQuestion, NegativeAnswers[Act], number>(
      worker,
      question,
      options,
    )
    keepWorker(worker)
    return answer
  } catch (error) {
    if (error instanceof CoreError && !wasStopped(error)) keepWorker(worker)
    else worker.terminate()
    throw error
  }
}

/** What to say of work that failed; `null` where it was stopped on purpose. */
export function refusalOfWork(error: unknown): Refusal | null {
  if (wasStopped(error)) return null
  if (error instanceof CoreError) return error.refusal
  return {
    code: 'unexpected',
    field: 'the picture',
    problem: 'The work stopped.',
    remedy: 'Try again, or use a smaller picture.',
  }
}
