import { decode as decodePng } from 'fast-png'
import { decode as decodeTiff } from 'tiff'
import { CoreError } from '@core/errors'
import { readProfile, type ColourProfile } from '@core/formats/icc'
import { turnedBy } from '@core/negative/frame'
import { greyFromSamples, LUMINANCE, rowsFromRgba, type ChannelMix, type Samples } from '@core/negative/grey'
import type { GreyPicture, LightRows } from '@core/negative/resample'

/** A picture as it was decoded: linear-light grey, and what its file had. */
export interface Decoded {
  picture: GreyPicture | LightRows
  bits: number
  /** How many pixels have each 8-bit code of green; only of a scan whose file has 8 bits. */
  codes: Uint32Array | null
}

/** More pixels than this would not fit beside the work on them. */
const MOST_PIXELS = 120_000_000
const ICC_TAG = 34_675

/**
 * Decodes a picture to linear-light grey: TIFF and 16-bit PNG sample by sample with their profile, all else as the
 * browser decodes it, in sRGB.
 *
 * @throws CoreError `not-a-picture`, `too-large`, `profile`.
 */
export async function decodePicture(file: Blob, mix: ChannelMix | null, isScan = false): Promise<Decoded> {
  const head = new DataView(await file.slice(0, 26).arrayBuffer())
  const starts = head.byteLength >= 26 ? head.getUint32(0) : 0
  if (starts === 0x89504e47 && head.getUint32(4) === 0x0d0a1a0a) {
    checkSize(head.getUint32(16), head.getUint32(20))
    if (head.getUint8(24) === 16)
      return fromSamples(await unreadable(async () => png(await bytesOf(file))), mix)
  }
  if (starts === 0x49492a00 || starts === 0x4d4d002a)
    return fromSamples(await unreadable(async () => tiff(await bytesOf(file))), mix)
  return fromBrowser(file, mix ?? LUMINANCE, isScan)
}

const bytesOf = async (file: Blob) => new Uint8Array(await file.arrayBuffer())

/** What a decoder throws on a damaged file is not for a printer's eyes. */
async function unreadable<Value>(work: () => Promise<Value>): Promise<Value> {
  try {
    return await work()
  } catch (error) {
    throw error instanceof CoreError ? error : notAPicture()
  }
}

interface WithProfile {
  samples: Samples
  profile: ColourProfile | null
  /** Quarters by which the file says it is to be turned, clockwise. */
  turns?: number
}

const fromSamples = ({ samples, profile, turns = 0 }: WithProfile, mix: ChannelMix | null): Decoded => ({
  picture: turnedBy(greyFromSamples(samples, profile, mix), turns),
  bits: samples.bits,
  codes: null,
})

function png(bytes: Uint8Array): WithProfile {
  const { width, height, channels, data, iccEmbeddedProfile } = decodePng(bytes)
  const samples = { width, height, channels, bits: 16, data: data as Uint16Array }
  if (iccEmbeddedProfile) return { samples, profile: readProfile(iccEmbeddedProfile.profile) }
  const gamma = pngGamma(bytes)
  return { samples, profile: gamma === null ? null : powerProfile(gamma, channels > 2 ? 3 : 1) }
}

/** Exponent of a PNG that tells of one and not of sRGB; `null` where it is near enough to sRGB. */
function pngGamma(bytes: Uint8Array): number | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let gamma: number | null = null
  for (let at = 8; at + 12 <= bytes.length;) {
    const [length, type] = [view.getUint32(at), view.getUint32(at + 4)]
    if (type === 0x49444154 || type === 0x73524742) break
    if (type === 0x67414d41) gamma = 100_000 / view.getUint32(at + 8)
    at += 12 + length
  }
  return gamma === null || Math.abs(gamma - 2.2) < 0.02 ? null : gamma
}

const powerProfile = (gamma: number, channels: 1 | 3): ColourProfile => ({
  name: `gamma ${gamma.toFixed(1)}`,
  channels,
  toLight: new Array<(coded: number) => number>(channels).fill((coded) => coded ** gamma),
  luminance: channels === 1 ? [1] : [LUMINANCE.red, LUMINANCE.green, LUMINANCE.blue],
})

/** Quarters clockwise by TIFF's orientation; a mirrored one is left as it is. */
const TURNS: Readonly<Record<number, number>> = { 3: 2, 6: 1, 8: 3 }
const ORIENTATION_TAG = 274

/** Kinds of TIFF by the format's own numbers: white is 0, black is 0, RGB. */
const KINDS = [0, 1, 2]

function tiff(bytes: Uint8Array): WithProfile {
  // The size is looked at before anything is unpacked: a small file may say that it is endless.
  const [frame] = decodeTiff(bytes, { pages: [0], ignoreImageData: true })
  if (!frame) throw notAPicture()
  checkSize(frame.width, frame.height)
  const { bitsPerSample: bits, type } = frame
  if (!KINDS.includes(type) || (bits !== 8 && bits !== 16))
    throw new CoreError({
      code: 'not-a-picture',
      field: 'the picture',
      problem: 'This kind of TIFF cannot be read here.',
      remedy: 'Save it with 8 or 16 bits per channel, in greyscale or RGB.',
    })
  const [whole] = decodeTiff(bytes, { pages: [0] })
  const icc = whole!.fields.get(ICC_TAG) as ArrayLike<number> | undefined
  return {
    samples: {
      width: whole!.width,
      height: whole!.height,
      channels: whole!.samplesPerPixel,
      bits,
      data: whole!.data as Uint8Array | Uint16Array,
    },
    profile: icc ? readProfile(Uint8Array.from(icc)) : null,
    turns: TURNS[Number(whole!.fields.get(ORIENTATION_TAG))] ?? 0,
  }
}

async function fromBrowser(file: Blob, mix: ChannelMix, isScan: boolean): Promise<Decoded> {
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
  const rgba = pixelsOf(bitmap, [0, 0, bitmap.width, bitmap.height], width, height)
  bitmap.close()
  return { picture: rowsFromRgba(rgba, width, height, mix), bits: 8, codes }
}

/** A chart needs no more pixels than this to be read; a larger scan is made smaller first, which takes its noise too. */
const SCAN_PIXELS = 8_000_000
/** Side of the middle of a scan whose codes are counted, as they were scanned. */
const COUNTED = 1600

function codesOf(bitmap: ImageBitmap): Uint32Array {
  const [w, h] = [Math.min(COUNTED, bitmap.width), Math.min(COUNTED, bitmap.height)]
  const middle = [Math.floor((bitmap.width - w) / 2), Math.floor((bitmap.height - h) / 2), w, h] as const
  const rgba = pixelsOf(bitmap, middle, w, h)
  const codes = new Uint32Array(256)
  for (let at = 1; at < rgba.length; at += 4) codes[rgba[at]!]!++
  return codes
}

function pixelsOf(
  bitmap: ImageBitmap,
  [x, y, w, h]: readonly [number, number, number, number],
  width: number,
  height: number,
): Uint8ClampedArray {
  const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
  if (!canvas) throw notAPicture()
  // The quick way: a chart's patches are even, and a finer one takes as long as decoding.
  canvas.imageSmoothingQuality = 'low'
  canvas.drawImage(bitmap, x, y, w, h, 0, 0, width, height)
  return canvas.getImageData(0, 0, width, height).data
}

function checkSize(width: number, height: number): void {
  if (width * height > MOST_PIXELS || !width || !height)
    throw new CoreError({
      code: 'too-large',
      field: 'the picture',
      problem: `This picture has ${width} × ${height} pixels, which is too large.`,
      remedy: 'Choose a picture of at most 120 megapixels.',
    })
}

const notAPicture = () =>
  new CoreError({
    code: 'not-a-picture',
    field: 'the picture',
    problem: 'This file is not a supported picture, or it is damaged.',
    remedy: 'Choose a TIFF, PNG, JPEG or WebP file.',
  })
