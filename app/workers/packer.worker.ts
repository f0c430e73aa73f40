import { serve } from './call'

/** Packs pieces of a picture by the browser's own deflate, in a worker of its own: it takes as long as the picture. */
export type PackerQuestion = { piece: Uint8Array<ArrayBuffer>; isFirst: boolean } | { end: true }
/** At the end all that was packed, in order; before it nothing. */
export type PackerAnswer = Uint8Array<ArrayBuffer>[]

/** One stream, from its first piece to its end. */
function newStream() {
  const packer = new CompressionStream('deflate')
  const writer = packer.writable.getWriter()
  const packed: Uint8Array<ArrayBuffer>[] = []
  const reading = (async () => {
    const reader = packer.readable.getReader()
    for (let next = await reader.read(); !next.done; next = await reader.read()) packed.push(next.value)
  })()
  return { writer, packed, reading }
}
let stream = newStream()

/** Pieces come faster than they are packed; each waits for the one before. */
let last: Promise<unknown> = Promise.resolve()

serve<PackerQuestion, PackerAnswer>('packing the picture', (question, { handOver }) => {
  const mine = last.then(async () => {
    if ('piece' in question) {
      // A film that was given up half-way must not leave its beginning to the next.
      if (question.isFirst) stream = newStream()
      await stream.writer.write(question.piece)
      return []
    }
    const { writer, packed, reading } = stream
    await writer.close()
    await reading
    stream = newStream()
    handOver(...packed.map((chunk) => chunk.buffer))
    return packed
  })
  last = mine.catch(() => undefined)
  return mine
})
