import { CoreError } from '../errors'
import { isoDate, offsetSaid, tiffDate } from './filmWords'
import { joined, pngText } from './png16'

/** What a picture file says of itself, in the fields that any picture tool knows. */
export interface PictureWords {
  title: string
  description: string
  /** Moment the print was made, milliseconds. */
  createdAt: number | null
  /** Minutes that the local clock was ahead of UTC then. */
  offsetMinutes: number
}

/**
 * A JPEG or PNG with words in it, its picture untouched; words of the same fields that were there are replaced.
 *
 * A JPEG takes them as Exif fields (a camera's other fields go, but for which way up it is), a PNG as international text.
 * Captions of other kinds (XMP, IPTC), which would say something else, are removed.
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
/** Segments that hold Exif or XMP, and IPTC. */
const [MARK_APP1, MARK_APP13] = [0xe1, 0xed]
const ORIENTATION = 0x0112
/** Where the directory of Exif is, and in it the offset of the local clock. */
const [EXIF_DIRECTORY, OFFSET_TIME] = [0x8769, 0x9010]

function jpegWith(file: Uint8Array, words: PictureWords): Uint8Array {
  const kept: Uint8Array[] = []
  let place = 2
  let after = 0
  let orientation = 1
  while (place + 4 <= file.length && file[place] === 0xff && file[place + 1] !== 0xda) {
    const length = ((file[place + 2] ?? 0) << 8) | (file[place + 3] ?? 0)
    const part = file.subarray(place, place + 2 + length)
    const mark = file[place + 1]
    if (mark === MARK_APP1 && startsWith(part.subarray(4), EXIF))
      orientation = orientationIn(part.subarray(10)) ?? orientation
    else if (mark !== MARK_APP1 && mark !== MARK_APP13) kept.push(part)
    if (file[place + 1] === 0xe0) after = kept.length
    place += 2 + length
  }
  return joined([
    file.subarray(0, 2),
    ...kept.slice(0, after),
    segment(joined([bytesOf(EXIF), exifOf(words, orientation)])),
    ...kept.slice(after),
    file.subarray(place),
  ])
}

/** A segment of a JPEG. @throws CoreError `too-large` where it would not hold its body. */
function segment(body: Uint8Array): Uint8Array {
  if (body.length > 65_533)
    throw new CoreError({
      code: 'too-large',
      field: 'picture',
      problem: 'The notes of this print are too long for a picture file.',
      remedy: 'Export the passport instead.',
    })
  const size = body.length + 2
  return joined([Uint8Array.from([0xff, MARK_APP1, size >> 8, size & 255]), body])
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

type Field = { tag: number; type: number; count: number; bytes: Uint8Array }
const [ASCII, SHORT, LONG] = [2, 3, 4] as const
const textField = (tag: number, text: string): Field => {
  const bytes = bytesOf(`${plain(text)}\0`)
  return { tag, type: ASCII, count: bytes.length, bytes }
}
const numberField = (tag: number, type: typeof SHORT | typeof LONG, value: number): Field => {
  const bytes = new Uint8Array(4)
  new DataView(bytes.buffer).setUint32(0, value, true)
  return { tag, type, count: 1, bytes }
}

/** One directory of fields, low byte first, with what does not fit into its rows behind it. */
function directoryOf(fields: readonly Field[], at: number): Uint8Array {
  const table = 2 + 12 * fields.length + 4
  const room = (length: number) => (length > 4 ? length + (length % 2) : 0)
  const whole = new Uint8Array(table + fields.reduce((sum, { bytes }) => sum + room(bytes.length), 0))
  const view = new DataView(whole.buffer)
  view.setUint16(0, fields.length, true)
  let beyond = table
  ;[...fields]
    .sort((a, b) => a.tag - b.tag)
    .forEach(({ tag, type, count, bytes }, i) => {
      const row = 2 + 12 * i
      view.setUint16(row, tag, true)
      view.setUint16(row + 2, type, true)
      view.setUint32(row + 4, count, true)
      if (bytes.length <= 4) whole.set(bytes, row + 8)
      else {
        view.setUint32(row + 8, at + beyond, true)
        whole.set(bytes, beyond)
        beyond += room(bytes.length)
      }
    })
  return whole
}

/** The fields of Exif; texts are UTF-8 and end with a zero, the time is local, with its offset. */
function exifOf(
  { title, description, createdAt, offsetMinutes }: PictureWords,
  orientation: number,
): Uint8Array {
  const START = 8
  const moment = createdAt === null ? null : { at: createdAt, offsetMinutes }
  const texts = [
    [0x010d, title],
    [0x010e, description],
    [0x0132, moment ? tiffDate(moment) : ''],
  ] as const
  const fields = [
    numberField(ORIENTATION, SHORT, orientation),
    ...texts.filter(([, text]) => text).map(([tag, text]) => textField(tag, text)),
  ]
  // How long the first directory is does not hang on where it points to.
  const length = directoryOf(
    [...fields, ...(moment ? [numberField(EXIF_DIRECTORY, LONG, 0)] : [])],
    START,
  ).length
  const first = directoryOf(
    [...fields, ...(moment ? [numberField(EXIF_DIRECTORY, LONG, START + length)] : [])],
    START,
  )
  const second = moment
    ? directoryOf([textField(OFFSET_TIME, offsetSaid(offsetMinutes))], START + length)
    : new Uint8Array(0)
  return joined([Uint8Array.from([0x49, 0x49, 42, 0, START, 0, 0, 0]), first, second])
}

// eslint-disable-next-line no-control-regex
const plain = (text: string) => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '')

const startsWith = (bytes: Uint8Array, text: string) =>
  [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0))

/** Keywords of captions in XML start so. */
const XML_KEYWORD = 'XML:'
/** Keywords of the format's own list. */
const keywordsOf = (words: PictureWords) =>
  (
    [
      ['Title', words.title],
      ['Description', words.description],
      [
        'Creation Time',
        words.createdAt === null ? '' : isoDate({ at: words.createdAt, offsetMinutes: words.offsetMinutes }),
      ],
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
    const isText = ['iTXt', 'tEXt', 'zTXt'].includes(kind)
    const isOld =
      isText &&
      [XML_KEYWORD, ...texts.map(([keyword]) => `${keyword}\0`)].some((start) =>
        startsWith(chunk.subarray(8), start),
      )
    if (!isOld) parts.push(chunk)
    if (kind === 'IHDR') parts.push(...texts.map(([keyword, text]) => pngText(keyword, plain(text))))
    place += 12 + length
  }
  return joined(parts)
}
