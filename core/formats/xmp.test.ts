import { readFileSync } from 'node:fs'
import exifr from 'exifr'
import { PNG } from 'pngjs'
import sharp from 'sharp'
import { withXmp, xmpPacket, type PictureData } from './xmp'

const data: PictureData = {
  title: 'Horn house <1/5> & "landing"',
  description: 'Classic cyanotype on rag, 8 min in the attic box. Öl, “quotes”',
  createdAt: Date.UTC(2026, 5, 12, 9, 30),
  keywords: ['cyanotype', 'fog signals'],
  creator: '',
  identifier: 'ember-sheet:19',
}
const picture = () => sharp({ create: { width: 12, height: 9, channels: 3, background: '#234' } })
const read = async (file: Uint8Array) =>
  (await exifr.parse(Buffer.from(file), { xmp: true, tiff: false, mergeOutput: false })) as {
    xmp: unknown
    dc: Record<string, unknown>
  }
/** The other reader hands entities over as they stand in the file. */
const plain = (value: unknown): string =>
  String(typeof value === 'object' && value !== null && 'value' in value ? value.value : value)
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&amp;/g, '&')

describe('words in a picture', () => {
  it.each(['jpeg', 'png'] as const)('of %s are read by another reader, and its pixels stay', async (kind) => {
    const file = await picture().toFormat(kind).toBuffer()
    const worded = withXmp(file, xmpPacket(data))
    const found = await read(worded)
    expect(plain(found.dc.title)).toBe(data.title)
    expect(plain(found.dc.description)).toBe(data.description)
    expect(found.dc.subject).toEqual(data.keywords)
    expect(found.dc.identifier).toBe(data.identifier)
    const pixels = (bytes: Uint8Array) => sharp(Buffer.from(bytes)).raw().toBuffer()
    expect(await pixels(worded)).toEqual(await pixels(file))
    // Written twice, they are there once.
    expect(withXmp(worded, xmpPacket(data))).toEqual(worded)
  })

  it('keep a PNG sound by its own checksums', async () => {
    const worded = withXmp(await picture().png().toBuffer(), xmpPacket(data))
    expect(PNG.sync.read(Buffer.from(worded), { checkCRC: true }).width).toBe(12)
  })

  it('never become markup, and control characters are left out', () => {
    const packet = xmpPacket({ ...data, title: '</dc:title><script>\u0000\u001b', keywords: ['a<b'] })
    expect(packet).not.toContain('<script')
    expect(packet).not.toContain('\u001b')
    expect(packet).toContain('a&lt;b')
  })

  it('refuse what is no picture, and notes beyond what a segment holds', () => {
    expect(() => withXmp(new Uint8Array([1, 2, 3]), '')).toThrow(
      expect.objectContaining({ code: 'not-a-picture' }),
    )
    expect(() => withXmp(new Uint8Array([0xff, 0xd8, 0xff, 0xd9]), 'x'.repeat(70_000))).toThrow(
      expect.objectContaining({ code: 'too-large' }),
    )
  })

  it('go into what this repository ships as well', async () => {
    const worded = withXmp(readFileSync('docs/screenshots/prints.png'), xmpPacket(data))
    expect(plain((await read(worded)).dc.title)).toBe(data.title)
  })
})
