import { CoreError } from '@core/errors'
import { askWorker, callWorker, serve, wasStopped, type FromWorker, type ToWorker } from './call'

/** Two ends of a wire: what one posts the other hears, a turn later and as a copy, as between page and worker. */
class FakeWorker extends EventTarget {
  isOver = false
  private readonly inside = new EventTarget()
  constructor(work: () => void) {
    super()
    const outside = globalThis as unknown as Record<string, unknown>
    outside.addEventListener = (type: string, hear: EventListener) => this.inside.addEventListener(type, hear)
    work()
    outside.postMessage = undefined
  }
  postMessage(data: ToWorker<unknown>) {
    const word = structuredClone(data)
    setTimeout(() => {
      if (this.isOver) return
      Object.assign(globalThis, { postMessage: (answer: FromWorker<unknown, unknown>) => this.say(answer) })
      this.inside.dispatchEvent(new MessageEvent('message', { data: word }))
    })
  }
  private say(answer: FromWorker<unknown, unknown>) {
    const data = structuredClone(answer)
    setTimeout(() => this.isOver || this.dispatchEvent(new MessageEvent('message', { data })))
  }
  terminate() {
    this.isOver = true
  }
}
const started = (work: () => void) => new FakeWorker(work) as unknown as Worker & { isOver: boolean }
const turns = async (n: number) => {
  for (let i = 0; i < n; i++) await new Promise((resolve) => setTimeout(resolve))
}

describe('a call to a worker', () => {
  it('brings news on the way, then the answer', async () => {
    const worker = started(() =>
      serve<number, number, string>('counting', async (n, { tell }) => {
        tell('begun')
        await turns(1)
        return 2 * n
      }),
    )
    const news: string[] = []
    await expect(askWorker(worker, 21, { heard: (one: string) => news.push(one) })).resolves.toBe(42)
    expect(news).toEqual(['begun'])
  })

  it('keeps answers apart when several questions are out', async () => {
    const worker = started(() =>
      serve<number, number>('waiting', async (n) => {
        await turns(5 - n)
        return n
      }),
    )
    expect(await Promise.all([1, 2, 3].map((n) => askWorker<number, number>(worker, n)))).toEqual([1, 2, 3])
  })

  it('carries a refusal over with every field', async () => {
    const refusal = {
      code: 'too-few',
      field: 'tablet',
      problem: 'Two steps.',
      remedy: 'Read more.',
      part: '0.1',
    }
    const worker = started(() =>
      serve('reading', () => {
        throw new CoreError(refusal)
      }),
    )
    await expect(askWorker(worker, null)).rejects.toMatchObject({ refusal })
  })

  it('asks the worker to stop, and hears that it did', async () => {
    const worker = started(() =>
      serve('working', async (_, { isStopped }) => {
        for (let n = 0; n < 100; n++) {
          if (isStopped()) return 'stopped'
          await turns(1)
        }
        return 'finished'
      }),
    )
    const stopper = new AbortController()
    const answer = askWorker(worker, null, { signal: stopper.signal })
    await turns(4)
    stopper.abort()
    await expect(answer).resolves.toBe('stopped')
  })

  it('lets a worker of its own go, after the answer or at once when it is stopped', async () => {
    const done = started(() => serve('answering', () => 1))
    await callWorker(done, null)
    expect(done.isOver).toBe(true)
    const busy = started(() => serve('never', () => new Promise(() => undefined)))
    const stopper = new AbortController()
    const answer = callWorker(busy, null, { signal: stopper.signal })
    stopper.abort()
    await expect(answer.catch(wasStopped)).resolves.toBe(true)
    expect(busy.isOver).toBe(true)
  })

  it('says so when the worker falls over', async () => {
    const worker = started(() => serve('never', () => new Promise(() => undefined)))
    const answer = askWorker(worker, null)
    worker.dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }))
    await expect(answer).rejects.toThrow('out of memory')
  })
})
