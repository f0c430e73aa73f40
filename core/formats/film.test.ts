import { deflateSync, inflateSync } from 'node:zlib'
import { decode } from 'fast-png'
import fc from 'fast-check'
import { PNG } from 'pngjs'
import sharp from 'sharp'
import { decode as decodeTiff } from 'tiff'
import { filmPdf } from './filmPdf'
import type { FilmWords } from './filmWords'
import { joined, pngChunk, pngHead, pngRow, pngTail, pngWords } from './png16'
import { tiffFrame } from './tiff16'

type Channels = 1 | 3
const packedOf = (rows: readonly Uint16Array[]) =>
  deflateSync(
    joined(
      rows.map((row, y) => {
        const into = new Uint8Array(1 + 2 * row.length)
        pngRow(row, rows[y - 1] ?? new Uint16Array(row.length), into)
        return into
      }),
    ),
  )
const png = (rows: readonly Uint16Array[], channels: Channels) =>
  joined([
    pngHead(rows[0]!.length / channels, rows.length, channels, 360),
    pngChunk('IDAT', packedOf(rows)),
    pngTail(),
  ])
const tiff = (rows: readonly Uint16Array[], channels: Channels) => {
  const { head, tail } = tiffFrame(rows[0]!.length / channels, rows.length, channels, 360)
  return joined([
    head,
    ...rows.map((row) => new Uint8Array(row.buffer, row.byteOffset, row.byteLength)),
    tail,
  ])
}
const anyRows = (channels: Channels) =>
  fc
    .array(
      fc.array(fc.integer({ min: 0, max: 65_535 }), { minLength: 5 * channels, maxLength: 5 * channels }),
      {
        minLength: 1,
        maxLength: 6,
      },
    )
    .map((values) => values.map((row) => Uint16Array.from(row)))
const scene = (width: number, height: number, channels: Channels) =>
  Array.from({ length: height }, (_, y) =>
    Uint16Array.from({ length: width * channels }, (__, x) => (x * 701 + y * 1303) % 65_536),
  )
const flat = (rows: readonly Uint16Array[]) => rows.flatMap((row) => [...row])

describe.each<[Channels]>([[1], [3]])('files of %d channels', (channels) => {
  it('PNG is read back to the last bit by a reader of its own', () =>
    fc.assert(
      fc.property(anyRows(channels), (rows) => {
        const read = decode(png(rows, channels))
        expect([read.width, read.height, read.depth, read.channels]).toEqual([5, rows.length, 16, channels])
        expect([...read.data]).toEqual(flat(rows))
      }),
      { numRuns: 40 },
    ))

  it('TIFF is read back to the last bit by a reader of its own', () =>
    fc.assert(
      fc.property(anyRows(channels), (rows) => {
        const [read] = decodeTiff(tiff(rows, channels))
        expect([read!.width, read!.height, read!.bitsPerSample, read!.samplesPerPixel]).toEqual([
          5,
          rows.length,
          16,
          channels,
        ])
        expect([...read!.data]).toEqual(flat(rows))
      }),
      { numRuns: 40 },
    ))

  it('both are read back by a picture library, with their physical size', async () => {
    // More than one strip of a TIFF.
    const rows = scene(300, 700, channels)
    for (const file of [png(rows, channels), tiff(rows, channels)]) {
      const bytes = Buffer.from(file)
      expect(await sharp(bytes).metadata()).toMatchObject({
        width: 300,
        height: 700,
        depth: 'ushort',
        density: 360,
      })
      const { data } = await sharp(bytes)
        .toColourspace(channels === 1 ? 'grey16' : 'rgb16')
        .raw({ depth: 'ushort' })
        .toBuffer({ resolveWithObject: true })
      const read = new Uint16Array(data.buffer, data.byteOffset, data.length / 2)
      const wanted = flat(rows)
      expect(read).toHaveLength(wanted.length)
      expect(read.every((value, i) => value === wanted[i])).toBe(true)
    }
    expect(PNG.sync.read(Buffer.from(png(rows, channels)))).toMatchObject({
      width: 300,
      height: 700,
      depth: 16,
    })
  })

  it('PDF holds one page of the exact size and the picture to the last bit', () => {
    const rows = scene(36, 72, channels)
    const file = Buffer.from(filmPdf(packedOf(rows), 36, 72, channels, 360))
    const text = file.toString('latin1')
    // 36 × 72 pixels at 360 to the inch are 0.1 × 0.2 in: 7.2 × 14.4 points.
    expect(text).toContain('/MediaBox [0 0 7.2000 14.4000]')
    expect(text).toContain(channels === 1 ? '/DeviceGray' : '/DeviceRGB')
    // Every entry of the table points at its object.
    const table = Number(/startxref\n(\d+)/.exec(text)![1])
    expect(text.slice(table, table + 4)).toBe('xref')
    const offsets = [...text.slice(table).matchAll(/^(\d{10}) 00000 n $/gm)].map(([, offset]) =>
      Number(offset),
    )
    offsets.forEach((offset, i) => expect(text.slice(offset).startsWith(`${i + 1} 0 obj\n`)).toBe(true))
    const length = Number(/\/Columns 36 >> \/Length (\d+)/.exec(text)![1])
    const start = text.indexOf('stream\n', text.indexOf('/Columns 36')) + 7
    const packed = file.subarray(start, start + length)
    const own = decode(
      joined([pngHead(36, 72, channels, 360), pngChunk('IDAT', Uint8Array.from(packed)), pngTail()]),
    )
    expect([...own.data]).toEqual(flat(rows))
    expect(inflateSync(packed)).toHaveLength(72 * (1 + 2 * 36 * channels))
  })
})

describe('what a film says of itself', () => {
  const words: FilmWords = {
    title: 'Λίμνη, “north”', description: 'Negative; curve: Heron rag; 360 ppi', software: 'Ember Sheet', at: Date.UTC(2026, 2, 8, 23, 30, 5), offsetMinutes: 90,
  } // prettier-ignore
  const rows = scene(40, 30, 1)

  it('is read from a PNG by a picture library', async () => {
    const file = joined([
      pngHead(40, 30, 1, 360),
      pngWords(words),
      pngChunk('IDAT', packedOf(rows)),
      pngTail(),
    ])
    const { comments } = await sharp(Buffer.from(file)).metadata()
    expect(Object.fromEntries((comments ?? []).map(({ keyword, text }) => [keyword, text]))).toEqual({
      Title: words.title,
      Description: words.description,
      Software: 'Ember Sheet',
      'Creation Time': '2026-03-09T01:00:05+01:30',
    })
  })

  it('is read from a TIFF by a reader of its own, and the picture with it', () => {
    const { head, tail } = tiffFrame(40, 30, 1, 360, words)
    const [read] = decodeTiff(joined([head, ...rows.map((row) => new Uint8Array(row.buffer)), tail]))
    expect([...read!.data]).toEqual(flat(rows))
    const field = (tag: number) => String(read!.fields.get(tag)).replace(/\0$/, '')
    expect([field(270), field(305), field(306)]).toEqual([
      words.description,
      'Ember Sheet',
      '2026:03:09 01:00:05',
    ])
  })

  it('is written into a PDF, which is not to be scaled; the browser tests read it with another reader', () => {
    const text = Buffer.from(filmPdf(packedOf(rows), 40, 30, 1, 360, words)).toString('latin1')
    expect(text).toContain('/ViewerPreferences << /PrintScaling /None >>')
    expect(text).toContain("/CreationDate (D:20260309010005+01'30')")
    // UTF-16 with its mark: a Greek capital lambda is 039B.
    expect(text).toContain('/Title <FEFF039b03af')
    expect(/\/Info (\d+) 0 R/.exec(text)?.[1]).toBe('6')
    expect(text).toContain('6 0 obj\n<< /Title')
  })
})
