import { CoreError } from '@core/errors'
import { avifColour } from '@core/formats/avifColour'
import { isByCamera } from '@core/formats/cameraExif'
import { colourHint, type ColourHint } from '@core/formats/colourHint'
import { notAPicture, pictureKind, type PictureKind } from '@core/formats/pictureKind'
import { LUMINANCE, P3_LUMINANCE, rowsFromRgba, type ChannelMix } from '@core/negative/grey'
import type { GreyPicture, LightRows } from '@core/negative/resample'
import { decodeTiff, decodeWithProfile } from './decodeExact'

/** A picture as it was decoded: linear-light grey, and what its file had. */
export interface Decoded {
  picture: GreyPicture | LightRows
  bits: number
  /** How many pixels have each 8-bit code of green; only of a scan whose file has 8 bits. */
  codes: Uint32Array | null
  /** What was done that one would not expect, in sentences. */
  notes: string[]
  /** Its file says that a camera took it. */
  isByCamera?: boolean
}

/** So much of a file tells what it is: its profile comes before its pixels. */
const HEAD_BYTES = 2 ** 21
/** What of these is plain a browser decodes right, and sooner. */
const HINTED = new Set<PictureKind>(['jpeg', 'png', 'webp'])

/**
 * Decodes a picture to linear-light grey: eight bits in sRGB as the browser decodes it, all else through its profile at
 * its own depth.
 *
 * @throws CoreError `not-a-picture`, `too-large`, `profile`.
 */
export async function decodePicture(file: Blob, mix: ChannelMix | null, isScan = false): Promise<Decoded> {
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer())
  const kind = pictureKind(head)
  if (kind === 'tiff') return decodeTiff(await bytesOf(file), mix)
  if (kind === 'avif' && avifColour(head) === 'wide')
    return fromBrowser(file, mix ?? P3_LUMINANCE, isScan, 'display-p3')
  const hint = HINTED.has(kind) ? colourHint(kind as 'jpeg' | 'png' | 'webp', head) : PLAIN
  if (kind === 'png') checkPngSize(head)
  const decoded = hint.isPlain
    ? await fromBrowser(file, mix ?? LUMINANCE, isScan)
    : await decodeWithProfile(await bytesOf(file), hint, mix)
  return { ...decoded, isByCamera: isByCamera(head) }
}
const PLAIN: ColourHint = { bits: 8, isPlain: true, png: null }

const bytesOf = async (file: Blob) => new Uint8Array(await file.arrayBuffer())

/** The size is looked at before anything is unpacked: a small file may say that it is endless. */
function checkPngSize(head: Uint8Array): void {
  const view = new DataView(head.buffer)
  if (head.length < 26) throw notAPicture()
  checkSize(view.getUint32(16), view.getUint32(20))
}

async function fromBrowser(
  file: Blob,
  mix: ChannelMix,
  isScan: boolean,
  colorSpace: PredefinedColorSpace = 'srgb',
): Promise<Decoded> {
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(file)
  } catch {
    throw notAPicture()
  }
  checkSize(bitmap.width, bitmap.height)
  const codes = isScan ? codesOf(bitmap) : null
  const scale = isScan ? Math.min(1, Math.sqrt(SCAN_PIXELS / (bitmap.width * bitmap.height))) : 1
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)]
  const rgba = pixelsOf(bitmap, [0, 0, bitmap.width, bitmap.height], { width, height, colorSpace })
  bitmap.close()
  return { picture: rowsFromRgba(rgba, width, height, mix), bits: 8, codes, notes: [] }
}

/** A chart needs no more pixels than this to be read; a larger scan is made smaller first, which takes its noise too. */
const SCAN_PIXELS = 8_000_000
/** Side of the middle of a scan whose codes are counted, as they were scanned. */
const COUNTED = 1600

function codesOf(bitmap: ImageBitmap): Uint32Array {
  const [w, h] = [Math.min(COUNTED, bitmap.width), Math.min(COUNTED, bitmap.height)]
  const middle = [Math.floor((bitmap.width - w) / 2), Math.floor((bitmap.height - h) / 2), w, h] as const
  const rgba = pixelsOf(bitmap, middle, { width: w, height: h, colorSpace: 'srgb' })
  const codes = new Uint32Array(256)
  for (let at = 1; at < rgba.length; at += 4) codes[rgba[at]!]!++
  return codes
}

function pixelsOf(
  bitmap: ImageBitmap,
  [x, y, w, h]: readonly [number, number, number, number],
  { width, height, colorSpace }: { width: number; height: number; colorSpace: PredefinedColorSpace },
): Uint8ClampedArray {
  const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, colorSpace })
  if (!canvas) throw notAPicture()
  // The quick way: a chart's patches are even, and a finer one takes as long as decoding.
  canvas.imageSmoothingQuality = 'low'
  canvas.drawImage(bitmap, x, y, w, h, 0, 0, width, height)
  return canvas.getImageData(0, 0, width, height).data
}

/** More pixels than this do not fit into memory during the work. */
const MOST_PIXELS = 120_000_000

export function checkSize(width: number, height: number): void {
  if (width * height > MOST_PIXELS || !width || !height)
    throw new CoreError({
      code: 'too-large',
      field: 'the picture',
      problem: `This picture has ${width} × ${height} pixels, which is too large.`,
      remedy: 'Choose a picture of at most 120 megapixels.',
    })
}
