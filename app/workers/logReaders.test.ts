import { LogReaders } from './logReaders'
import { startLogs } from './startLogs'
import type { LogsQuestion } from './lookAtLogs'

/** A worker that answers when the test lets it. */
class FakeWorker extends EventTarget {
  asked: LogsQuestion[] = []
  isOver = false
  private lastId = 0
  postMessage({ id, question }: { id: number; question: LogsQuestion }) {
    this.asked.push(question)
    this.lastId = id
  }
  terminate() {
    this.isOver = true
  }
  answer(data: object) {
    this.dispatchEvent(new MessageEvent('message', { data: { id: this.lastId, ...data } }))
  }
}

jest.mock('./startLogs', () => ({ startLogs: jest.fn() }))
const workers: FakeWorker[] = []
beforeEach(() => {
  workers.length = 0
  jest.mocked(startLogs).mockImplementation(() => {
    const worker = new FakeWorker()
    workers.push(worker)
    return worker as unknown as Worker
  })
  Object.defineProperty(globalThis, 'navigator', { value: { hardwareConcurrency: 2 }, configurable: true })
})
const found = { logs: [], strays: [], bytes: 7, sha256: '' }
const settle = () => new Promise((resolve) => setTimeout(resolve))

describe('readers of logs', () => {
  it('give each free worker one piece, and the next to whoever is done first', async () => {
    const readers = new LogReaders()
    expect(workers).toHaveLength(0)
    const made: number[] = []
    const answers = [0, 1, 2].map((n) =>
      readers.ask(() => {
        made.push(n)
        return { text: String(n) }
      }),
    )
    await settle()
    // The third is not even made before there is somebody to read it.
    expect(made).toEqual([0, 1])
    const busy = workers.find((one) => (one.asked[0] as { text: string }).text === '1')!
    busy.answer({ value: found })
    expect(await answers[1]).toBe(found)
    await settle()
    expect(busy.asked).toEqual([{ text: '1' }, { text: '2' }])
    for (const worker of workers) worker.answer({ value: found })
    expect(await Promise.all(answers)).toEqual([found, found, found])
  })

  it('pass on what was refused, and go on with the same worker', async () => {
    const readers = new LogReaders()
    const refusal = { code: 'damaged', field: 'archive', problem: 'It is broken.', remedy: 'Copy it again.' }
    const first = readers.ask(() => ({ text: 'bad' }))
    await settle()
    workers.find((one) => one.asked.length)?.answer({ refusal })
    await expect(first).rejects.toMatchObject({ code: 'damaged' })
    const others = [readers.ask(() => ({ text: 'a' })), readers.ask(() => ({ text: 'b' }))]
    await settle()
    for (const worker of workers) worker.answer({ value: found })
    expect(await Promise.all(others)).toHaveLength(2)
  })

  it('say so when a worker falls over, and end all of them when they are left', async () => {
    const readers = new LogReaders()
    const asked = readers.ask(() => ({ text: 'a' }))
    await settle()
    workers.find((one) => one.asked.length)?.dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' })) // prettier-ignore
    await expect(asked).rejects.toThrow('out of memory')
    const others = [readers.ask(() => ({ text: 'b' })), readers.ask(() => ({ text: 'c' }))]
    await settle()
    for (const worker of workers) worker.answer({ value: found })
    await Promise.all(others)
    readers.leave()
    expect(workers.map((one) => one.isOver)).toEqual([true, true])
  })

  it.each([
    [undefined, 2],
    [1, 2],
    [3, 3],
    [64, 4],
  ])('on %s cores are %s', async (cores, count) => {
    Object.defineProperty(globalThis, 'navigator', { value: { hardwareConcurrency: cores }, configurable: true }) // prettier-ignore
    const readers = new LogReaders()
    for (let piece = 0; piece < 6; piece++) void readers.ask(() => ({ text: String(piece) }))
    await settle()
    expect(workers).toHaveLength(count)
  })
})
