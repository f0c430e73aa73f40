import { CoreError } from '../errors'

/** What a picture file says of itself, in the fields that any picture tool knows. */
export interface PictureData {
  title: string
  description: string
  /** Moment the print was made, milliseconds. */
  createdAt: number | null
  keywords: readonly string[]
  /** Who made it, where the user said so. */
  creator: string
  identifier: string
}

const escaped = (text: string): string =>
  text
    // XML 1.0 has no place for control characters but these three.
    // eslint-disable-next-line no-control-regex
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')

/**
 * Metadata as an XMP packet with Dublin Core fields.
 *
 * @see ISO 16684-1:2019 (XMP); ISO 15836-1 (Dublin Core); from memory
 */
export function xmpPacket({
  title,
  description,
  createdAt,
  keywords,
  creator,
  identifier,
}: PictureData): string {
  const language = (name: string, text: string) =>
    text
      ? `<dc:${name}><rdf:Alt><rdf:li xml:lang="x-default">${escaped(text)}</rdf:li></rdf:Alt></dc:${name}>`
      : ''
  const items = (name: string, kind: 'Bag' | 'Seq', list: readonly string[]) =>
    list.length
      ? `<dc:${name}><rdf:${kind}>${list.map((one) => `<rdf:li>${escaped(one)}</rdf:li>`).join('')}</rdf:${kind}></dc:${name}>`
      : ''
  return [
    '<?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>',
    '<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">',
    '<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/"',
    createdAt === null ? '>' : ` xmp:CreateDate="${new Date(createdAt).toISOString()}">`,
    language('title', title),
    language('description', description),
    items('creator', 'Seq', creator ? [creator] : []),
    items('subject', 'Bag', keywords),
    identifier ? `<dc:identifier>${escaped(identifier)}</dc:identifier>` : '',
    '</rdf:Description></rdf:RDF></x:xmpmeta><?xpacket end="w"?>',
  ].join('')
}

const JPEG_HEAD = 'http://ns.adobe.com/xap/1.0/\0'
const PNG_KEYWORD = 'XML:com.adobe.xmp'

/**
 * A JPEG or PNG with the packet in it, its picture untouched; one that was there is replaced.
 *
 * @throws CoreError `not-a-picture`, `too-large` for a JPEG segment that would not hold the packet.
 */
export function withXmp(file: Uint8Array, packet: string): Uint8Array {
  if (file[0] === 0xff && file[1] === 0xd8) return jpegWith(file, packet)
  if (file[0] === 0x89 && file[1] === 0x50) return pngWith(file, packet)
  throw new CoreError({
    code: 'not-a-picture',
    field: 'picture',
    problem: 'Only JPEG and PNG carry these words.',
    remedy: 'Export the picture as one of these.',
  })
}

const bytesOf = (text: string) => new TextEncoder().encode(text)

function jpegWith(file: Uint8Array, packet: string): Uint8Array {
  const body = bytesOf(JPEG_HEAD + packet)
  if (body.length > 65_533)
    throw new CoreError({
      code: 'too-large',
      field: 'picture',
      problem: 'The notes of this print are longer than a picture file can carry.',
      remedy: 'Export the passport instead.',
    })
  const segment = new Uint8Array(body.length + 4)
  segment.set([0xff, 0xe1, (body.length + 2) >> 8, (body.length + 2) & 255])
  segment.set(body, 4)
  const kept: Uint8Array[] = []
  let place = 2
  let after = 0
  // Segments up to the scan: an older packet is left out, the new one goes behind the file's own header segments.
  while (place + 4 <= file.length && file[place] === 0xff && file[place + 1] !== 0xda) {
    const length = ((file[place + 2] ?? 0) << 8) | (file[place + 3] ?? 0)
    const part = file.subarray(place, place + 2 + length)
    const isOld = file[place + 1] === 0xe1 && startsWith(part.subarray(4), JPEG_HEAD)
    if (!isOld) kept.push(part)
    if (!isOld && (file[place + 1] === 0xe0 || file[place + 1] === 0xe1)) after = kept.length
    place += 2 + length
  }
  return joined([
    file.subarray(0, 2),
    ...kept.slice(0, after),
    segment,
    ...kept.slice(after),
    file.subarray(place),
  ])
}

const startsWith = (bytes: Uint8Array, text: string) =>
  [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0))

function pngWith(file: Uint8Array, packet: string): Uint8Array {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength)
  const parts: Uint8Array[] = [file.subarray(0, 8)]
  let place = 8
  while (place + 12 <= file.length) {
    const length = view.getUint32(place)
    const chunk = file.subarray(place, place + 12 + length)
    const kind = String.fromCharCode(...chunk.subarray(4, 8))
    if (!(kind === 'iTXt' && startsWith(chunk.subarray(8), `${PNG_KEYWORD}\0`))) parts.push(chunk)
    if (kind === 'IHDR') parts.push(textChunk(packet))
    place += 12 + length
  }
  return joined(parts)
}

/** An uncompressed iTXt chunk: keyword, no compression, no language. */
function textChunk(packet: string): Uint8Array {
  const body = bytesOf(`iTXt${PNG_KEYWORD}\0\0\0\0\0${packet}`)
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
