import { inflateSync } from 'node:zlib'
import type { PackerAnswer, PackerQuestion } from './packer.worker'

type Answer = (question: PackerQuestion, tools: { handOver: () => void }) => Promise<PackerAnswer>
let ask: (question: PackerQuestion) => Promise<PackerAnswer>

beforeAll(async () => {
  jest.doMock('./call', () => ({
    serve: (_: string, answer: Answer) =>
      (ask = (question) => answer(question, { handOver: () => undefined })),
  }))
  await import('./packer.worker')
})

const bytes = (text: string) => new Uint8Array(Buffer.from(text))
const piece = (text: string, isFirst: boolean) => ask({ piece: bytes(text), isFirst })
const unpacked = async () => inflateSync(Buffer.concat(await ask({ end: true }))).toString()

describe('the packer', () => {
  it('packs the pieces of a film in order, however fast they come', async () => {
    const long = 'row of ink '.repeat(5000)
    await Promise.all([piece('first ', true), piece(long, false), piece('last', false)])
    expect(await unpacked()).toBe(`first ${long}last`)
  })

  it('starts again with every film, also where the one before was given up half-way', async () => {
    await piece('a film that was given up', true)
    await piece('the next', true)
    expect(await unpacked()).toBe('the next')
    await piece('and one more', true)
    expect(await unpacked()).toBe('and one more')
  })
})
