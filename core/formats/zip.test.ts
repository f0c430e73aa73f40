import { strToU8, unzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { LIMITS, packZip, unpackZip } from './zip'

const AT = Date.UTC(2026, 0, 10)
const refusing = (code: string) => expect.objectContaining({ code })

describe('packZip and unpackZip', () => {
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

  it('stores pictures as they are and packs text', () => {
    const text = strToU8('word '.repeat(5000))
    const packed = packZip(new Map([['a.json', text]]), () => false, AT)
    const stored = packZip(new Map([['a.jpg', text]]), () => true, AT)
    expect(packed.length).toBeLessThan(text.length / 10)
    expect(stored.length).toBeGreaterThan(text.length)
  })
})

describe('unpackZip refuses', () => {
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

  it('an entry that swells', () => {
    const swelling = zipSync({ 'zeros.json': new Uint8Array(8 * 2 ** 20) }, { level: 9 })
    expect(() => unpackZip(swelling)).toThrow(refusing('too-large'))
    expect(() => unpackZip(swelling, { ...LIMITS, ratio: 5000 })).not.toThrow()
  })
})
