import { CoreError } from '../errors'

/** What a picture file says of itself, in the fields that any picture tool knows. */
export interface PictureWords {
  title: string
  description: string
  /** Moment the print was made, milliseconds. */
  createdAt: number | null
}

/**
 * A JPEG or PNG with words in it, its picture untouched; words of the same fields that were there are replaced.
 *
 * A JPEG takes them as Exif fields (a camera's other fields go, but for which way up it is), a PNG as international text.
 *
 * @throws CoreError `not-a-picture`, `too-large` for a JPEG segment that would not hold them.
 * @see Exif 2.32 (CIPA DC-008), TIFF 6.0 (fields); W3C PNG (iTXt and its keywords); from memory
 */
export function withWords(file: Uint8Array, words: PictureWords): Uint8Array {
  if (file[0] === 0xff && file[1] === 0xd8) return jpegWith(file, words)
  if (file[0] === 0x89 && file[1] === 0x50) return pngWith(file, words)
  throw new CoreError({
    code: 'not-a-picture',
    field: 'picture',
    problem: 'Only JPEG and PNG files can carry this text.',
    remedy: 'Export the picture as one of these.',
  })
}

const bytesOf = (text: string) => new TextEncoder().encode(text)
const EXIF = 'Exif\0\0'
const ORIENTATION = 0x0112

function jpegWith(file: Uint8Array, words: PictureWords): Uint8Array {
  const kept: Uint8Array[] = []
  let place = 2
  let after = 0
  let orientation = 1
  while (place + 4 <= file.length && file[place] === 0xff && file[place + 1] !== 0xda) {
    const length = ((file[place + 2] ?? 0) << 8) | (file[place + 3] ?? 0)
    const part = file.subarray(place, place + 2 + length)
    if (file[place + 1] === 0xe1 && startsWith(part.subarray(4), EXIF))
      orientation = orientationIn(part.subarray(10)) ?? orientation
    else kept.push(part)
    if (file[place + 1] === 0xe0) after = kept.length
    place += 2 + length
  }
  const body = joined([bytesOf(EXIF), exifOf(words, orientation)])
  if (body.length > 65_533)
    throw new CoreError({
      code: 'too-large',
      field: 'picture',
      problem: 'The notes of this print are too long for a picture file.',
      remedy: 'Export the passport instead.',
    })
  const size = body.length + 2
  const segment = joined([Uint8Array.from([0xff, 0xe1, size >> 8, size & 255]), body])
  return joined([
    file.subarray(0, 2),
    ...kept.slice(0, after),
    segment,
    ...kept.slice(after),
    file.subarray(place),
  ])
}

/** Which way up a camera held the picture; `null` where its fields do not say, or cannot be read. */
function orientationIn(tiff: Uint8Array): number | null {
  if (tiff.length < 10) return null
  const view = new DataView(tiff.buffer, tiff.byteOffset, tiff.byteLength)
  const isLittle = tiff[0] === 0x49
  const directory = view.getUint32(4, isLittle)
  if (directory + 2 > tiff.length) return null
  const count = view.getUint16(directory, isLittle)
  for (let i = 0; i < count; i++) {
    const at = directory + 2 + 12 * i
    if (at + 12 > tiff.length) return null
    if (view.getUint16(at, isLittle) !== ORIENTATION) continue
    const value = view.getUint16(at + 8, isLittle)
    return value >= 1 && value <= 8 ? value : null
  }
  return null
}

/** One directory of fields, low byte first; texts are UTF-8 and end with a zero. */
function exifOf({ title, description, createdAt }: PictureWords, orientation: number): Uint8Array {
  const moment = createdAt === null ? '' : new Date(createdAt).toISOString().slice(0, 19)
  const texts = [
    [0x010d, title],
    [0x010e, description],
    [0x0132, moment.replace('T', ' ').replaceAll('-', ':')],
  ] as const
  const fields = texts
    .filter(([, text]) => text)
    .map(([tag, text]) => ({ tag, bytes: bytesOf(`${plain(text)}\0`.padEnd(5, '\0')) }))
  const count = fields.length + 1
  const table = 8 + 2 + 12 * count + 4
  const whole = new Uint8Array(table + fields.reduce((sum, { bytes }) => sum + bytes.length, 0))
  const view = new DataView(whole.buffer)
  whole.set([0x49, 0x49, 42, 0, 8])
  view.setUint16(8, count, true)
  let beyond = table
  const rows = [
    ...fields.map((one) => ({ ...one, isText: true })),
    { tag: ORIENTATION, bytes: null, isText: false },
  ]
  rows
    .sort((a, b) => a.tag - b.tag)
    .forEach(({ tag, bytes }, i) => {
      const at = 10 + 12 * i
      view.setUint16(at, tag, true)
      view.setUint16(at + 2, bytes ? 2 : 3, true)
      view.setUint32(at + 4, bytes?.length ?? 1, true)
      if (bytes) {
        view.setUint32(at + 8, beyond, true)
        whole.set(bytes, beyond)
        beyond += bytes.length
      } else view.setUint16(at + 8, orientation, true)
    })
  return whole
}

// eslint-disable-next-line no-control-regex
const plain = (text: string) => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '')

const startsWith = (bytes: Uint8Array, text: string) =>
  [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0))

/** Keywords of the format's own list. */
const keywordsOf = ({ title, description, createdAt }: PictureWords) =>
  (
    [
      ['Title', title],
      ['Description', description],
      ['Creation Time', createdAt === null ? '' : new Date(createdAt).toISOString()],
    ] as const
  ).filter(([, text]) => text)

function pngWith(file: Uint8Array, words: PictureWords): Uint8Array {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength)
  const parts: Uint8Array[] = [file.subarray(0, 8)]
  const texts = keywordsOf(words)
  let place = 8
  while (place + 12 <= file.length) {
    const length = view.getUint32(place)
    const chunk = file.subarray(place, place + 12 + length)
    const kind = String.fromCharCode(...chunk.subarray(4, 8))
    const isOld = kind === 'iTXt' && texts.some(([keyword]) => startsWith(chunk.subarray(8), `${keyword}\0`))
    if (!isOld) parts.push(chunk)
    if (kind === 'IHDR') parts.push(...texts.map(([keyword, text]) => textChunk(keyword, text)))
    place += 12 + length
  }
  return joined(parts)
}

/** An uncompressed iTXt chunk: keyword, no compression, no language. */
function textChunk(keyword: string, text: string): Uint8Array {
  const body = bytesOf(`iTXt${keyword}\0\0\0\0\0${plain(text)}`)
  const chunk = new Uint8Array(body.length + 8)
  const view = new DataView(chunk.buffer)
  view.setUint32(0, body.length - 4)
  chunk.set(body, 4)
  view.setUint32(body.length + 4, crc32(body))
  return chunk
}

/** @see W3C PNG, annex D: CRC of polynomial edb88320; from memory */
function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff
  for (const byte of bytes) {
    crc ^= byte
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1
  }
  return (crc ^ 0xffffffff) >>> 0
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let place = 0
  for (const part of parts) {
    whole.set(part, place)
    place += part.length
  }
  return whole
}
