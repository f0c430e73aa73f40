import { isoDate, type FilmWords } from './filmWords'

/** The eight bytes every PNG begins with. */
const SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]

/*
 * A writer of our own, since the rows come one by one and the packing is left to the browser's own deflate, which no
 * library of the registry can be given; reading is left to libraries.
 */
const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n
  for (let bit = 0; bit < 8; bit++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1
  return c
})

function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff
  for (const byte of bytes) c = CRC[(c ^ byte) & 0xff]! ^ (c >>> 8)
  return (c ^ 0xffffffff) >>> 0
}

/**
 * One chunk of a PNG: length, type, data, checksum.
 *
 * @param type four letters.
 * @see PNG (W3C Recommendation, third edition), 5.3 chunk layout
 */
export function pngChunk(type: string, data: Uint8Array): Uint8Array {
  const chunk = new Uint8Array(12 + data.length)
  const view = new DataView(chunk.buffer)
  view.setUint32(0, data.length)
  for (let i = 0; i < 4; i++) chunk[4 + i] = type.charCodeAt(i)
  chunk.set(data, 8)
  view.setUint32(8 + data.length, crc32(chunk.subarray(4, 8 + data.length)))
  return chunk
}

/**
 * What comes before the picture data of a PNG of 16 bits: signature, header, physical size.
 *
 * @param channels 1 for grey, 3 for colour.
 * @param pixelsPerInch written as pixels to the metre, whole, as the format has it.
 */
export function pngHead(width: number, height: number, channels: 1 | 3, pixelsPerInch: number): Uint8Array {
  const header = new Uint8Array(13)
  const view = new DataView(header.buffer)
  view.setUint32(0, width)
  view.setUint32(4, height)
  header.set([16, channels === 1 ? 0 : 2, 0, 0, 0], 8)
  const physical = new Uint8Array(9)
  const sizes = new DataView(physical.buffer)
  const perMetre = Math.round(pixelsPerInch / 0.0254)
  sizes.setUint32(0, perMetre)
  sizes.setUint32(4, perMetre)
  physical[8] = 1
  const parts = [new Uint8Array(SIGNATURE), pngChunk('IHDR', header), pngChunk('pHYs', physical)]
  return joined(parts)
}

/**
 * A word of a PNG: unpacked international text, in UTF-8, of no language.
 *
 * @param keyword of the format's own list.
 * @see PNG (W3C Recommendation, third edition), 11.3.3.4 (iTXt and its keywords)
 */
export const pngText = (keyword: string, text: string): Uint8Array =>
  pngChunk('iTXt', new TextEncoder().encode(`${keyword}\0\0\0\0\0${text}`))

/** What a film says of itself, as words of a PNG. */
export const pngWords = (words: FilmWords): Uint8Array =>
  joined([
    pngText('Title', words.title),
    pngText('Description', words.description),
    pngText('Software', words.software),
    pngText('Creation Time', isoDate(words)),
  ])

/** What comes after the picture data. */
export const pngTail = (): Uint8Array => pngChunk('IEND', new Uint8Array(0))

/**
 * One row as it goes into the packer: filter 2 (each byte less the one above), 16 bits with the high byte first.
 *
 * @param row and `above` shape (width · channels,); `above` is all 0 for the first row.
 * @param into shape (1 + 2 · width · channels,).
 */
export function pngRow(row: Uint16Array, above: Uint16Array, into: Uint8Array): void {
  into[0] = 2
  for (let x = 0, at = 1; x < row.length; x++, at += 2) {
    const [value, over] = [row[x]!, above[x]!]
    into[at] = (value >> 8) - (over >> 8)
    into[at + 1] = value - over
  }
}

/** Parts of a file, one behind the other. */
export function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}
