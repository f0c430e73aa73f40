import { decode } from 'fast-png'
import { CoreError, refusalOf, type Refusal } from '@core/errors'
import { joined, pngChunk, pngHead, pngRow, pngTail } from '@core/formats/png16'
import { chartLayout, drawChart, type ChartPlan } from '@core/negative/chart'
import { greyFrom16, greyFromRgba, type ChannelMix } from '@core/negative/grey'
import { negativeSize, renderNegative, type NegativePlan } from '@core/negative/render'
import { resample, type GreyPicture } from '@core/negative/resample'

/** What the page asks: a small grey picture to look at, or the negative itself. */
export type NegativeQuestion =
  | { act: 'look'; file: Blob; mix: ChannelMix; longestSide: number }
  | { act: 'make'; file: Blob; mix: ChannelMix; plan: NegativePlan }
  | { act: 'chart'; plan: ChartPlan }

export type NegativeAnswer =
  | { kind: 'looked'; preview: GreyPicture; width: number; height: number; bits: number }
  | { kind: 'share'; share: number }
  | { kind: 'made'; file: Blob; width: number; height: number }
  | { kind: 'refused'; refusal: Refusal }

/** More pixels than this would not fit beside the work on them. */
const MOST_PIXELS = 120_000_000
/** Rows are handed to the packer in pieces of about so many bytes. */
const PIECE = 1 << 20

const say = (answer: NegativeAnswer, transfer: Transferable[] = []) => postMessage(answer, { transfer })

addEventListener('message', async ({ data }: MessageEvent<NegativeQuestion>) => {
  try {
    if (data.act === 'chart') {
      const { width, height } = chartLayout(data.plan)
      return await pack(width, height, data.plan.pixelsPerInch, (takeRow) => drawChart(data.plan, takeRow))
    }
    const { picture, bits } = await opened(data.file, data.mix)
    if (data.act === 'look') look(picture, bits, data.longestSide)
    else await make(picture, data.plan)
  } catch (error) {
    say({ kind: 'refused', refusal: refusalOf(error, 'the picture') })
  }
})

/** Decodes a picture to linear-light grey: 16-bit PNG as it is, all else as the browser decodes it, in sRGB. */
async function opened(file: Blob, mix: ChannelMix): Promise<{ picture: GreyPicture; bits: number }> {
  const head = new DataView(await file.slice(0, 26).arrayBuffer())
  const isPng = head.byteLength >= 26 && head.getUint32(0) === 0x89504e47 && head.getUint32(4) === 0x0d0a1a0a
  if (isPng) checkSize(head.getUint32(16), head.getUint32(20))
  if (isPng && head.getUint8(24) === 16) {
    const { width, height, channels, data } = decode(new Uint8Array(await file.arrayBuffer()))
    return { picture: { width, height, data: greyFrom16(data as Uint16Array, channels, mix) }, bits: 16 }
  }
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(file)
  } catch {
    throw new CoreError({
      code: 'not-a-picture',
      field: 'the picture',
      problem: 'This file is not a picture that can be read here, or it is damaged.',
      remedy: 'Choose a PNG, JPEG or WebP file.',
    })
  }
  checkSize(bitmap.width, bitmap.height)
  const { width, height } = bitmap
  const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
  canvas?.drawImage(bitmap, 0, 0)
  bitmap.close()
  const rgba = canvas?.getImageData(0, 0, width, height).data ?? new Uint8ClampedArray(4 * width * height)
  return { picture: { width, height, data: greyFromRgba(rgba, mix) }, bits: 8 }
}

function checkSize(width: number, height: number): void {
  if (width * height > MOST_PIXELS || !width || !height)
    throw new CoreError({
      code: 'too-large',
      field: 'the picture',
      problem: `This picture says it has ${width} × ${height} pixels.`,
      remedy: 'Choose one of at most 120 million pixels.',
    })
}

function look(picture: GreyPicture, bits: number, longestSide: number): void {
  const { width, height } = picture
  const scale = Math.min(1, longestSide / Math.max(width, height))
  const [w, h] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))]
  const data = new Float32Array(w * h)
  resample(picture, w, h, (row, y) => data.set(row, y * w))
  say({ kind: 'looked', preview: { width: w, height: h, data }, width, height, bits }, [data.buffer])
}

function make(picture: GreyPicture, plan: NegativePlan): Promise<void> {
  const { width, height } = negativeSize(plan)
  return pack(width, height, plan.pixelsPerInch, (takeRow) =>
    renderNegative(picture, plan, takeRow, (share) => {
      say({ kind: 'share', share })
      return true
    }),
  )
}

/** Packs rows into a PNG by the browser's own deflate, piece by piece, and hands it over. */
async function pack(
  width: number,
  height: number,
  pixelsPerInch: number,
  draw: (takeRow: (row: Uint16Array) => void) => void,
): Promise<void> {
  const packer = new CompressionStream('deflate')
  const writer = packer.writable.getWriter()
  const packed = new Response(packer.readable).arrayBuffer()
  let above = new Uint16Array(width)
  const rowBytes = 1 + 2 * width
  const rowsAPiece = Math.max(1, Math.floor(PIECE / rowBytes))
  let piece = new Uint8Array(rowsAPiece * rowBytes)
  let rows = 0
  const pieces: Promise<void>[] = []
  const flush = () => {
    if (rows) pieces.push(writer.write(piece.subarray(0, rows * rowBytes) as Uint8Array<ArrayBuffer>))
    piece = new Uint8Array(rowsAPiece * rowBytes)
    rows = 0
  }
  draw((row) => {
    pngRow(row, above, piece.subarray(rows * rowBytes, (rows + 1) * rowBytes))
    above = row.slice()
    if (++rows === rowsAPiece) flush()
  })
  flush()
  await Promise.all(pieces)
  await writer.close()
  const parts = [
    pngHead(width, height, pixelsPerInch),
    pngChunk('IDAT', new Uint8Array(await packed)),
    pngTail(),
  ]
  say({
    kind: 'made',
    file: new Blob([joined(parts) as Uint8Array<ArrayBuffer>], { type: 'image/png' }),
    width,
    height,
  })
}
