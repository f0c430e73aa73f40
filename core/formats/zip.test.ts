import { inflateSync, strToU8, unzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { LIMITS, listZip, packZip, unpackedTotal, unpackEntry, type ZipLimits } from './zip'

function unpackZip(bytes: Uint8Array, limits?: ZipLimits): Map<string, Uint8Array> {
  const count = unpackedTotal(limits)
  const files = new Map<string, Uint8Array>()
  for (const [path, entry] of listZip(bytes, limits)) {
    files.set(path, unpackEntry(path, entry, limits))
    count(files.get(path)!.length)
  }
  return files
}
const AT = Date.UTC(2026, 0, 10)
const refusing = (code: string) => expect.objectContaining({ code })

describe('packing and unpacking', () => {
  it('give back what went in, whatever it was', () => {
    const path = fc.stringMatching(/^[a-z]{1,8}(\/[a-z0-9]{1,8}){0,2}\.(json|jpg)$/)
    const bytes = fc.uint8Array({ maxLength: 5000 })
    fc.assert(
      fc.property(fc.dictionary(path, bytes, { maxKeys: 8 }), (files) => {
        const map = new Map(Object.entries(files).map(([name, content]) => [name, Uint8Array.from(content)]))
        const packed = packZip(map, (name) => name.endsWith('.jpg'), AT)
        expect(unpackZip(packed)).toEqual(map)
      }),
    )
  })

  it('agree with a general ZIP reader and writer', () => {
    const files = {
      'a.json': strToU8('{"a": 1}'),
      'b/c.jpg': new Uint8Array(100_000).map((_, i) => (i * 7919) % 251),
    }
    expect(unzipSync(packZip(new Map(Object.entries(files)), () => false, AT))).toEqual(files)
    expect(Object.fromEntries(unpackZip(zipSync(files)))).toEqual(files)
  })

  it('lists without unpacking: each entry lies there as it is in the file', () => {
    const picture = new Uint8Array(3_000_000).map((_, i) => (i * 7919) % 251)
    const text = strToU8('word '.repeat(5000))
    const zip = packZip(new Map([['a.json', text], ['b.jpg', picture], ['c.json', text]]), (path) => path.endsWith('jpg'), AT) // prettier-ignore
    const entries = listZip(zip)
    expect([...entries].map(([path, entry]) => [path, entry.isPacked])).toEqual([
      ['a.json', true],
      ['b.jpg', false],
      ['c.json', true],
    ])
    expect(Buffer.compare(entries.get('b.jpg')!.bytes, picture)).toBe(0)
    expect(inflateSync(entries.get('c.json')!.bytes)).toEqual(text)
  })

  it('stores pictures as they are and packs text', () => {
    const text = strToU8('word '.repeat(5000))
    const packed = packZip(new Map([['a.json', text]]), () => false, AT)
    const stored = packZip(new Map([['a.jpg', text]]), () => true, AT)
    expect(packed.length).toBeLessThan(text.length / 10)
    expect(stored.length).toBeGreaterThan(text.length)
  })
})

describe('unpacking refuses', () => {
  const good = zipSync({ 'a.json': strToU8('{}'), 'b.json': strToU8('[]') })

  it.each<[string, Uint8Array, string]>([
    ['nothing', new Uint8Array(), 'not-a-zip'],
    ['two letters of a ZIP', strToU8('PK'), 'truncated'],
    ['a picture', new Uint8Array([0xff, 0xd8, 0xff, 0xe0]), 'not-a-zip'],
    ['one without its directory', good.slice(0, 60), 'truncated'],
    ['a parent path', zipSync({ '../a': strToU8('x') }), 'unsafe-path'],
    ['a hidden parent path', zipSync({ 'a/../../b': strToU8('x') }), 'unsafe-path'],
    ['a dot in a path', zipSync({ 'a/./b': strToU8('x') }), 'unsafe-path'],
    ['a backslash', zipSync({ 'a\\b': strToU8('x') }), 'unsafe-path'],
    ['a folder', zipSync({ 'a/': strToU8('') }), 'unsafe-path'],
    ['an empty step in a path', zipSync({ 'a//b': strToU8('x') }), 'unsafe-path'],
    ['a NUL', zipSync({ 'a\0.json': strToU8('x') }), 'unsafe-path'],
  ])('%s', (_, bytes, code) => expect(() => unpackZip(bytes)).toThrow(refusing(code)))

  it('the same name twice', () => {
    // Two archives of one entry each, joined by hand: local entries side by side, one directory that promises two.
    const renamed = good.slice()
    for (let at = 0; at < renamed.length - 6; at++)
      if (renamed[at] === 'b'.charCodeAt(0) && renamed[at + 1] === '.'.charCodeAt(0))
        renamed[at] = 'a'.charCodeAt(0)
    expect(() => unpackZip(renamed)).toThrow(refusing('twice'))
  })

  it.each([
    ['too many entries', { entries: 1 }],
    ['too large an entry', { entryBytes: 1 }],
    ['too much in all', { totalBytes: 3 }],
  ])('%s', (_, limit) =>
    expect(() => unpackZip(good, { ...LIMITS, ...limit })).toThrow(refusing('too-large')),
  )

  it('an entry that stops before its end, or is no packed bytes at all', () => {
    const { bytes } = listZip(zipSync({ 'a.json': strToU8('word '.repeat(5000)) })).get('a.json')!
    const half = { bytes: bytes.slice(0, bytes.length / 2), isPacked: true }
    expect(() => unpackEntry('a.json', half)).toThrow(refusing('damaged'))
    const noise = { bytes: new Uint8Array(400).fill(0xff), isPacked: true }
    expect(() => unpackEntry('a.json', noise)).toThrow(refusing('damaged'))
  })

  it('an entry packed by means that it does not know', () => {
    const strange = good.slice()
    // The method is at byte 8 of the first local header: 12 is another way of packing.
    strange[8] = 12
    expect(() => unpackZip(strange)).toThrow(refusing('damaged'))
  })

  it('an entry that swells', () => {
    const swelling = zipSync({ 'zeros.json': new Uint8Array(8 * 2 ** 20) }, { level: 9 })
    expect(() => unpackZip(swelling)).toThrow(refusing('too-large'))
    expect(() => unpackZip(swelling, { ...LIMITS, ratio: 5000 })).not.toThrow()
  })
})

describe('a ZIP by another program', () => {
  const files = new Map([['a.txt', new Uint8Array([1, 2, 3])], ['b/c.txt', new Uint8Array([4])]]) // prettier-ignore
  /** With a large end record, as programs write it for files of any size. */
  function withLargeEnd(count: bigint): Uint8Array {
    const plain = packZip(files, () => false, 1.8e12)
    const [body, end] = [plain.slice(0, -22), plain.slice(-22)]
    new DataView(end.buffer).setUint16(10, 0xffff, true)
    const large = new DataView(new ArrayBuffer(56))
    large.setUint32(0, 0x06064b50, true)
    large.setBigUint64(4, 44n, true)
    large.setBigUint64(24, count, true)
    large.setBigUint64(32, count, true)
    const pointer = new DataView(new ArrayBuffer(20))
    pointer.setUint32(0, 0x07064b50, true)
    pointer.setBigUint64(8, BigInt(body.length), true)
    return new Uint8Array([
      ...body,
      ...new Uint8Array(large.buffer),
      ...new Uint8Array(pointer.buffer),
      ...end,
    ])
  }

  it('is read where its end is a large one (ZIP64)', () => {
    expect(unpackZip(withLargeEnd(2n))).toEqual(files)
    expect(() => unpackZip(withLargeEnd(3n))).toThrow(expect.objectContaining({ code: 'truncated' }))
  })

  it('is refused in true words where it holds more files than any of ours', () => {
    const many = new Map(Array.from({ length: 501 }, (_, n) => [`n${n}`, new Uint8Array()]))
    const limits = { ...LIMITS, entries: 500 }
    expect(() => unpackZip(packZip(many, () => true, 1.8e12), limits)).toThrow(
      expect.objectContaining({ refusal: expect.objectContaining({ problem: expect.stringContaining('more than 500 files') }) }),
    ) // prettier-ignore
    many.delete('n500')
    expect(
      unpackZip(
        packZip(many, () => true, 1.8e12),
        limits,
      ).size,
    ).toBe(500)
  })
})
