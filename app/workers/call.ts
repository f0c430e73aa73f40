import { CoreError, refusalOf, type Refusal } from '@core/errors'

/** What crosses to a worker. A question may be stopped; whoever answers it decides when that can be heard. */
export type ToWorker<Question> = { id: number; question: Question } | { id: number; stop: true }
/** What comes back: news while it works, at the end a value, or a refusal with all its fields. */
export type FromWorker<Value, News> =
  { id: number; news: News } | { id: number; value: Value } | { id: number; refusal: Refusal }

export interface CallOptions<News = never> {
  /** Is told how far the work is, or what it has found so far. */
  heard?: ((news: News) => void) | undefined
  /** Stops the work when it is aborted. */
  signal?: AbortSignal | undefined
  /** Buffers whose memory is handed over, and is gone from here afterwards. */
  transfer?: Transferable[]
}

let lastId = 0

/**
 * Puts a question to a worker, which may have others. When the signal is aborted the worker is asked to stop, and
 * refuses as soon as it has heard that.
 *
 * @throws CoreError whatever the worker refused; Error where the worker itself fell over.
 */
export function askWorker<Question, Value, News = never>(
  worker: Worker,
  question: Question,
  { heard, signal, transfer = [] }: CallOptions<News> = {},
): Promise<Value> {
  const id = ++lastId
  const hearing = new AbortController()
  const own = { signal: hearing.signal }
  return new Promise<Value>((resolve, reject) => {
    worker.addEventListener(
      'message',
      ({ data }: MessageEvent<FromWorker<Value, News>>) => {
        if (data.id !== id) return
        if ('news' in data) heard?.(data.news)
        else if ('refusal' in data) reject(new CoreError(data.refusal))
        else resolve(data.value)
      },
      own,
    )
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'a worker stopped')), own)
    signal?.addEventListener('abort', () => worker.postMessage({ id, stop: true }), own)
    worker.postMessage({ id, question } satisfies ToWorker<Question>, transfer)
  }).finally(() => hearing.abort())
}

/** What work that was let go ends with. The user stopped it, so nothing is said of it. */
const STOPPED = new CoreError({
  code: 'stopped',
  field: 'the work',
  problem: 'The task was stopped.',
  remedy: 'Start it again if you need it.',
})
export const wasStopped = (error: unknown): boolean => error === STOPPED

/**
 * Asks as `askWorker`, but gives up at once when the signal is aborted: for workers that are let go then.
 *
 * @throws also what `wasStopped` knows.
 */
export function askOrGiveUp<Question, Value, News = never>(
  worker: Worker,
  question: Question,
  { signal, ...options }: CallOptions<News> = {},
): Promise<Value> {
  const givenUp = new Promise<never>((_, reject) => {
    if (signal?.aborted) reject(STOPPED)
    signal?.addEventListener('abort', () => reject(STOPPED), { once: true })
  })
  return Promise.race([askWorker<Question, Value, News>(worker, question, options), givenUp])
}

/**
 * Puts one question to a fresh worker and lets the worker go, at the latest when the signal is aborted.
 *
 * @throws as `askOrGiveUp`.
 */
export const callWorker = <Question, Value, News = never>(
  worker: Worker,
  question: Question,
  options?: CallOptions<News>,
): Promise<Value> =>
  askOrGiveUp<Question, Value, News>(worker, question, options).finally(() => worker.terminate())

/** What a worker has at hand while it answers one question. */
export interface Call<News> {
  tell: (news: News) => void
  /** Whether the page wants it to stop; heard between two pieces of work that let messages in. */
  isStopped: () => boolean
  /** Hands the memory of a buffer over with the answer. */
  handOver: (...buffers: Transferable[]) => void
}

/** The other side: answers every question with what `work` makes of it. @param doing names the work in a refusal. */
export function serve<Question, Value, News = never>(
  doing: string,
  work: (question: Question, call: Call<News>) => Value | Promise<Value>,
): void {
  const stopped = new Set<number>()
  const say = (word: FromWorker<Value, News>, transfer: Transferable[] = []) =>
    postMessage(word, { transfer })
  addEventListener('message', async ({ data }: MessageEvent<ToWorker<Question>>) => {
    const { id } = data
    if ('stop' in data) {
      stopped.add(id)
      return
    }
    const buffers: Transferable[] = []
    try {
      const value = await work(data.question, {
        tell: (news) => say({ id, news }),
        isStopped: () => stopped.has(id),
        handOver: (...more) => void buffers.push(...more),
      })
      say({ id, value }, buffers)
    } catch (error) {
      say({ id, refusal: refusalOf(error, doing) })
    } finally {
      stopped.delete(id)
    }
  })
}
