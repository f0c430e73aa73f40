import type { PackerAnswer, PackerQuestion } from './packer.worker'
import { startWorker } from './start'

/** Pieces that may wait for the packer; more would only fill the memory. */
const MOST_WAITING = 4

/** Begun once, and there for the next film too. */
let kept: Worker | null = null

/** Packs pieces in a worker beside this one, so that the next rows are made while the last are packed. */
export function startPacker() {
  const worker = (kept ??= startWorker.packer())
  const hearing = new AbortController()
  const { signal } = hearing
  let waiting = 0
  let goOn: () => void = () => undefined
  let fail: (error: Error) => void = () => undefined
  let done: (packed: Uint8Array<ArrayBuffer>[]) => void = () => undefined
  const packed = new Promise<Uint8Array<ArrayBuffer>[]>((resolve, reject) => {
    done = resolve
    fail = reject
  })
  worker.addEventListener(
    'message',
    ({ data }: MessageEvent<PackerAnswer>) => {
      if ('packed' in data) return done(data.packed)
      waiting--
      goOn()
    },
    { signal },
  )
  worker.addEventListener(
    'error',
    (event) => {
      kept = null
      fail(new Error(event.message || 'the packer stopped'))
      goOn()
    },
    { signal },
  )
  const say = (question: PackerQuestion, transfer: Transferable[] = []) =>
    worker.postMessage(question, transfer)
  return {
    /** Hands over a piece; its bytes are gone from here afterwards. Resolves as soon as there is room for another. */
    async write(piece: Uint8Array<ArrayBuffer>): Promise<void> {
      waiting++
      say({ piece }, [piece.buffer])
      while (waiting >= MOST_WAITING)
        await Promise.race([new Promise<void>((resolve) => (goOn = resolve)), packed])
    },
    /** @returns everything packed, in order. */
    async finish(): Promise<Uint8Array<ArrayBuffer>[]> {
      say({ end: true })
      try {
        return await packed
      } finally {
        hearing.abort()
      }
    },
  }
}
