import exifr from 'exifr'
import { PNG } from 'pngjs'
import sharp from 'sharp'
import { withWords, type PictureWords } from './pictureWords'

const words: PictureWords = {
  title: 'Horn house <1/5> & "landing"',
  description: 'Classic cyanotype on rag, 8 min in the attic box',
  createdAt: Date.UTC(2026, 5, 12, 23, 30),
  offsetMinutes: 120,
}
const picture = () => sharp({ create: { width: 12, height: 9, channels: 3, background: '#234' } })
const pixels = (bytes: Uint8Array) => sharp(Buffer.from(bytes)).raw().toBuffer()

describe('words in a picture', () => {
  it('of JPEG are read by another reader; its pixels and which way up it lies stay', async () => {
    const file = await picture().withMetadata({ orientation: 6 }).jpeg().toBuffer()
    const worded = withWords(file, words)
    const found = await exifr.parse(Buffer.from(worded), { translateValues: false, reviveValues: false, pick: ['DocumentName', 'ImageDescription', 'ModifyDate', 'Orientation', 'OffsetTime'] }) // prettier-ignore
    expect(found).toMatchObject({
      ImageDescription: words.description,
      DocumentName: words.title,
      Orientation: 6,
    })
    // The local clock, and how far it was ahead.
    expect([found.ModifyDate, found.OffsetTime]).toEqual(['2026:06:13 01:30:00', '+02:00'])
    expect(await pixels(worded)).toEqual(await pixels(file))
    // Written twice, they are there once.
    expect(withWords(worded, words)).toEqual(worded)
  })

  it('are the only ones: older captions of other kinds, which would say something else, are removed', async () => {
    const xml = '<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description>an old title</rdf:Description></rdf:RDF>'
    const old = await picture().withXmp(xml).jpeg().toBuffer()
    const caption = Buffer.from('an old caption')
    const iptc = Buffer.concat([Buffer.from([0xff, 0xed, 0, caption.length + 2]), caption])
    const file = Buffer.concat([old.subarray(0, 2), iptc, old.subarray(2)])
    const png = await picture().withXmp(xml).png().toBuffer()
    for (const one of [file, png]) {
      // A PNG may have it packed, so another reader is asked.
      expect((await sharp(one).metadata()).xmp).toBeDefined()
      const worded = Buffer.from(withWords(one, words))
      expect((await sharp(worded).metadata()).xmp).toBeUndefined()
      expect(worded.includes('an old')).toBe(false)
      expect(worded.includes(words.description)).toBe(true)
      expect(await pixels(worded)).toEqual(await pixels(one))
    }
  }) // prettier-ignore

  it('of PNG are read by another reader; its checksums are sound and its pixels stay', async () => {
    const file = await picture().png().toBuffer()
    const worded = withWords(file, words)
    const { comments } = await sharp(Buffer.from(worded)).metadata()
    expect(comments).toEqual(
      expect.arrayContaining([
        { keyword: 'Title', text: words.title },
        { keyword: 'Description', text: words.description },
        { keyword: 'Creation Time', text: '2026-06-13T01:30:00+02:00' },
      ]),
    )
    expect(PNG.sync.read(Buffer.from(worded), { checkCRC: true }).width).toBe(12)
    expect(await pixels(worded)).toEqual(await pixels(file))
    expect(withWords(worded, words)).toEqual(worded)
  })

  it('refuse what is no picture, and notes beyond what a segment holds', () => {
    expect(() => withWords(new Uint8Array([1, 2, 3]), words)).toThrow(
      expect.objectContaining({ code: 'not-a-picture' }),
    )
    expect(() =>
      withWords(new Uint8Array([0xff, 0xd8, 0xff, 0xd9]), { ...words, description: 'x'.repeat(70_000) }),
    ).toThrow(expect.objectContaining({ code: 'too-large' }))
  })
})
