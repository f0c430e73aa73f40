import { filmPdf } from '@core/formats/filmPdf'
import type { FilmWords } from '@core/formats/filmWords'
import { joined, pngChunk, pngHead, pngRow, pngTail, pngWords } from '@core/formats/png16'
import { tiffFrame } from '@core/formats/tiff16'
import { startPacker } from './packer'

export type FilmFormat = 'png' | 'tiff' | 'pdf'

/** How rows of ink become a file. */
export interface FilmFile {
  format: FilmFormat
  width: number
  height: number
  pixelsPerInch: number
  /** Colour of all the ink, each channel of 0 to 1; black gives a file of grey alone. */
  tint: readonly [red: number, green: number, blue: number]
  words?: FilmWords | undefined
}

type Bytes = Uint8Array<ArrayBuffer>
/** Rows are handed on in pieces of about so many bytes. */
const PIECE = 1 << 20
const MIME = { png: 'image/png', tiff: 'image/tiff', pdf: 'application/pdf' } as const

/**
 * Writes rows of ink as a file of 16 bits; clear film is white. Rows wait until the packer has room, so that no more
 * than a few pieces are held unpacked.
 *
 * @param rows of ink, 0 clear and 1 all of it; an array may be used again for the next.
 * @param heard is told the share that is done.
 */
export async function writeFilm(
  rows: Iterable<Float32Array>,
  file: FilmFile,
  heard: (share: number) => void,
): Promise<Blob> {
  const channels = file.tint.every((channel) => channel === 0) ? 1 : 3
  const { width, height, pixelsPerInch, words } = file
  const samples = sampled(rows, channels, file)
  if (file.format === 'tiff') {
    const { head, tail } = tiffFrame(width, height, channels, pixelsPerInch, words)
    const parts: BlobPart[] = [head as Bytes]
    let pieces: Uint8Array[] = []
    const rowsAPiece = Math.max(1, Math.floor(PIECE / (2 * channels * width)))
    let y = 0
    for (const row of samples) {
      // Numbers are in memory with their low byte first, as the file has them.
      pieces.push(new Uint8Array(row.slice().buffer))
      if (pieces.length === rowsAPiece) {
        parts.push(new Blob(pieces as Bytes[]))
        pieces = []
        heard(y / height)
        // The page may want to stop the work.
        await nextTurn()
      }
      y++
    }
    return new Blob([...parts, ...(pieces as Bytes[]), tail as Bytes], { type: MIME.tiff })
  }
  const packed = await pack(samples, channels * width, height, heard)
  if (file.format === 'pdf')
    return new Blob([filmPdf(joined(packed), width, height, channels, pixelsPerInch, words) as Bytes], {
      type: MIME.pdf,
    })
  const chunks = packed.map((piece) => pngChunk('IDAT', piece) as Bytes)
  const head = [
    pngHead(width, height, channels, pixelsPerInch),
    ...(words ? [pngWords(words)] : []),
  ] as Bytes[]
  return new Blob([...head, ...chunks, pngTail() as Bytes], { type: MIME.png })
}

const nextTurn = () => new Promise((resolve) => setTimeout(resolve))

/** Ink as samples of 16 bits. @returns each row; the array is used again. */
function* sampled(
  rows: Iterable<Float32Array>,
  channels: 1 | 3,
  { width, tint }: FilmFile,
): Generator<Uint16Array> {
  const out = new Uint16Array(channels * width)
  for (const row of rows) {
    if (channels === 1) for (let x = 0; x < width; x++) out[x] = 65_535 * (1 - row[x]!) + 0.5
    else
      for (let x = 0, at = 0; x < width; x++)
        for (let c = 0; c < 3; c++) out[at++] = 65_535 * (1 - row[x]! * (1 - tint[c]!)) + 0.5
    yield out
  }
}

/** Packs rows as PNG has them. @returns the packed bytes, in pieces. */
async function pack(
  rows: Iterable<Uint16Array>,
  samplesARow: number,
  height: number,
  heard: (share: number) => void,
): Promise<Uint8Array[]> {
  const packer = startPacker()
  const rowBytes = 1 + 2 * samplesARow
  const rowsAPiece = Math.max(1, Math.floor(PIECE / rowBytes))
  const above = new Uint16Array(samplesARow)
  let piece = new Uint8Array(rowsAPiece * rowBytes)
  let filled = 0
  let y = 0
  for (const row of rows) {
    pngRow(row, above, piece.subarray(filled * rowBytes, (filled + 1) * rowBytes))
    above.set(row)
    y++
    if (++filled < rowsAPiece && y < height) continue
    await packer.write(filled < rowsAPiece ? piece.slice(0, filled * rowBytes) : piece)
    piece = new Uint8Array(rowsAPiece * rowBytes)
    filled = 0
    heard(y / height)
  }
  return packer.finish()
}
