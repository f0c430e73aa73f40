import { tiffDate, type FilmWords } from './filmWords'

/** A file that is written row by row: what comes before the rows, and what comes after them. */
export interface TiffFrame {
  head: Uint8Array
  tail: Uint8Array
}

const STRIP = 1 << 20
/** Field types of the format: ASCII, SHORT, LONG, RATIONAL. */
const [ASCII, SHORT, LONG, RATIONAL] = [2, 3, 4, 5] as const

type Field = [tag: number, type: number, values: number[]]
/** Letters as UTF-8, which readers take today, closed by a zero. */
const said = (tag: number, text: string): Field => [tag, ASCII, [...new TextEncoder().encode(text), 0]]

/**
 * Frame of an unpacked TIFF of 16 bits, low byte first, in strips of about a megabyte. Between head and tail come the
 * rows, sample after sample.
 *
 * A writer of our own, since the rows come one by one; the libraries of the registry that write TIFF write 8 bits.
 *
 * @param channels 1 for grey (0 is black), 3 for colour.
 * @see TIFF 6.0, sections 2 to 8 (baseline fields); from memory
 */
export function tiffFrame(
  width: number,
  height: number,
  channels: 1 | 3,
  pixelsPerInch: number,
  words?: FilmWords,
): TiffFrame {
  const rowBytes = 2 * channels * width
  const rowsAStrip = Math.max(1, Math.floor(STRIP / rowBytes))
  const strips = Math.ceil(height / rowsAStrip)
  const dataBytes = rowBytes * height
  const head = new Uint8Array(8)
  const start = new DataView(head.buffer)
  head.set([0x49, 0x49, 42, 0])
  const directory = 8 + dataBytes
  start.setUint32(4, directory, true)

  const offsets = Array.from({ length: strips }, (_, i) => 8 + i * rowsAStrip * rowBytes)
  const counts = offsets.map((_, i) => Math.min(rowsAStrip, height - i * rowsAStrip) * rowBytes)
  const fields: Field[] = [
    [256, LONG, [width]],
    [257, LONG, [height]],
    [258, SHORT, new Array<number>(channels).fill(16)],
    [259, SHORT, [1]],
    [262, SHORT, [channels === 1 ? 1 : 2]],
    ...(words ? [said(269, words.title), said(270, words.description)] : []),
    [273, LONG, offsets],
    [277, SHORT, [channels]],
    [278, LONG, [rowsAStrip]],
    [279, LONG, counts],
    [282, RATIONAL, [Math.round(pixelsPerInch * 1000), 1000]],
    [283, RATIONAL, [Math.round(pixelsPerInch * 1000), 1000]],
    [296, SHORT, [2]],
    ...(words ? [said(305, words.software), said(306, tiffDate(words))] : []),
  ]
  const sizeOf = (type: number, count: number) => (type === ASCII ? 1 : type === SHORT ? 2 : 4) * count
  const table = 2 + 12 * fields.length + 4
  const extra = fields.reduce((sum, [, type, values]) => {
    const bytes = sizeOf(type, values.length)
    return sum + (bytes > 4 ? bytes + (bytes % 2) : 0)
  }, 0)
  const tail = new Uint8Array(table + extra)
  const view = new DataView(tail.buffer)
  view.setUint16(0, fields.length, true)
  let beyond = table
  fields.forEach(([tag, type, values], i) => {
    const at = 2 + 12 * i
    view.setUint16(at, tag, true)
    view.setUint16(at + 2, type, true)
    view.setUint32(at + 4, type === RATIONAL ? values.length / 2 : values.length, true)
    const bytes = sizeOf(type, values.length)
    const place = bytes > 4 ? beyond : at + 8
    if (bytes > 4) {
      view.setUint32(at + 8, directory + beyond, true)
      beyond += bytes + (bytes % 2)
    }
    values.forEach((value, k) => {
      if (type === ASCII) view.setUint8(place + k, value)
      else if (type === SHORT) view.setUint16(place + 2 * k, value, true)
      else view.setUint32(place + 4 * k, value, true)
    })
  })
  return { head, tail }
}
