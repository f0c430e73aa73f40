/** Packs pieces of a picture by the browser's own deflate, in a worker of its own: it takes as long as the picture. */
export type PackerQuestion = { piece: Uint8Array<ArrayBuffer> } | { end: true }
export type PackerAnswer = { taken: true } | { packed: Uint8Array<ArrayBuffer>[] }

/** One stream, from its first piece to its end. */
function begun() {
  const packer = new CompressionStream('deflate')
  const writer = packer.writable.getWriter()
  const packed: Uint8Array<ArrayBuffer>[] = []
  const reading = (async () => {
    const reader = packer.readable.getReader()
    for (let next = await reader.read(); !next.done; next = await reader.read()) packed.push(next.value)
  })()
  return { writer, packed, reading }
}
let stream = begun()
const say = (answer: PackerAnswer, transfer: Transferable[] = []) => postMessage(answer, { transfer })

/** Pieces come faster than they are packed; each waits for the one before. */
let last: Promise<void> = Promise.resolve()

addEventListener('message', ({ data }: MessageEvent<PackerQuestion>) => {
  last = last.then(async () => {
    if ('piece' in data) {
      await stream.writer.write(data.piece)
      say({ taken: true })
      return
    }
    const { writer, packed, reading } = stream
    await writer.close()
    await reading
    stream = begun()
    say(
      { packed },
      packed.map((chunk) => chunk.buffer),
    )
  })
})
