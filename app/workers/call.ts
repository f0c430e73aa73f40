import { CoreError, refusalOf, type Refusal } from '@core/errors'

/** An answer from a worker: errors cross as data and are built again on the other side. */
export type Answer<Value> = { ok: true; value: Value } | { ok: false; refusal: Refusal }

/**
 * Puts a question to a worker that answers one at a time.
 *
 * @throws CoreError whatever the worker refused.
 */
export function askWorker<Question, Value>(
  worker: Worker,
  question: Question,
  transfer: Transferable[] = [],
): Promise<Value> {
  const hearing = new AbortController()
  const { signal } = hearing
  return new Promise<Value>((resolve, reject) => {
    worker.addEventListener(
      'message',
      ({ data }: MessageEvent<Answer<Value>>) => {
        if (data.ok) resolve(data.value)
        else reject(new CoreError(data.refusal))
      },
      { signal },
    )
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'a worker stopped')), {
      signal,
    })
    worker.postMessage(question, transfer)
  }).finally(() => hearing.abort())
}

/**
 * Puts one question to a fresh worker and lets it go.
 *
 * @throws CoreError whatever the worker refused.
 */
export const callWorker = <Question, Value>(
  worker: Worker,
  question: Question,
  transfer?: Transferable[],
): Promise<Value> => askWorker<Question, Value>(worker, question, transfer).finally(() => worker.terminate())

/** The other side: answers every question with what `work` makes of it. */
export function serve<Question, Value>(
  doing: string,
  work: (question: Question) => Value | Promise<Value>,
): void {
  addEventListener('message', async ({ data }: MessageEvent<Question>) => {
    let answer: Answer<Value>
    try {
      answer = { ok: true, value: await work(data) }
    } catch (error) {
      answer = { ok: false, refusal: refusalOf(error, doing) }
    }
    postMessage(answer)
  })
}
