import { askWorker } from './call'
import type { PackerAnswer, PackerQuestion } from './packer.worker'
import { startWorker } from './start'

/** Pieces that may wait for the packer; more would only fill the memory. */
const MOST_WAITING = 4

/** Started once, and there for the next film too. */
let kept: Worker | null = null

/** Packs pieces in a worker beside this one, so that the next rows are made while the last are packed. */
export function startPacker() {
  const worker = (kept ??= startWorker.packer())
  const waiting = new Set<Promise<unknown>>()
  let isFirst = true
  const ask = async (question: PackerQuestion, transfer: Transferable[] = []): Promise<PackerAnswer> => {
    try {
      return await askWorker<PackerQuestion, PackerAnswer>(worker, question, { transfer })
    } catch (error) {
      // A packer that failed holds half a picture.
      if (kept === worker) kept = null
      worker.terminate()
      throw error
    }
  }
  return {
    /** Hands over a piece; its bytes are gone from here afterwards. Resolves as soon as there is room for another. */
    async write(piece: Uint8Array<ArrayBuffer>): Promise<void> {
      const packing = ask({ piece, isFirst }, [piece.buffer])
      isFirst = false
      waiting.add(packing)
      void packing.then(
        () => waiting.delete(packing),
        () => undefined,
      )
      while (waiting.size >= MOST_WAITING) await Promise.race(waiting)
    },
    /** @returns everything packed, in order. */
    async finish(): Promise<Uint8Array<ArrayBuffer>[]> {
      const [packed] = await Promise.all([ask({ end: true }), ...waiting])
      return packed
    },
  }
}
