import { notAPicture } from './pictureKind'

/** One picture of a TIFF, by its tags. */
export interface TiffPage {
  /** Its place among the pages, and among the pictures that hang on that page: `null` for the page itself. */
  page: number
  below: number | null
  width: number
  height: number
  /** Bits of the first channel. */
  bits: number
  channels: number
  photometric: number
  /** Where in the file that is written, as 16 bits. */
  photometricAt: number
  compression: number
  /** 1 whole numbers, 2 signed, 3 floating point. */
  sampleFormat: number
  /** What channels beyond colour are: 0 not said, 1 alpha already multiplied in, 2 alpha. */
  extra: number[]
  orientation: number
  /** It says of itself that it is a smaller copy of another, or a mask of it. */
  isAside: boolean
  /** As a camera's sensor has it, or with the mark of a raw file. */
  isRaw: boolean
}

/** Tags of the format. @see TIFF 6.0, and its later technical notes for 330 and 50706; from memory */
const TAG = {
  subfile: 254, oldSubfile: 255, width: 256, height: 257, bits: 258, compression: 259, photometric: 262, orientation: 274,
  channels: 277, below: 330, extra: 338, sampleFormat: 339, rawVersion: 50_706,
} as const // prettier-ignore

/** A smaller copy, or a mask, among the bits of 254; a smaller copy by the older 255. */
const [ASIDE, OLD_REDUCED] = [0b101, 2]
/** Photometric kinds of a sensor, before it is a picture. */
const SENSOR = [32_803, 34_892]
/** Ways of packing that only raw files have. */
const RAW_PACKING = [34_713, 32_767, 32_769, 32_770, 65_000, 65_535]

const SIZES: Readonly<Record<number, number>> = { 1: 1, 2: 1, 3: 2, 4: 4, 6: 1, 7: 1, 8: 2, 9: 4, 13: 4, 16: 8, 17: 8, 18: 8 } // prettier-ignore
/** Files with more pages than this are refused. */
const MOST_PAGES = 200
const MOST_VALUES = 64

/**
 * The pictures in a TIFF or BigTIFF, in the order of the file, with those that hang below a page.
 *
 * @throws CoreError `not-a-picture` where the file is cut off or turns in a circle.
 */
export function tiffPages(bytes: Uint8Array): TiffPage[] {
  try {
    return read(bytes)
  } catch (error) {
    throw error instanceof RangeError ? notAPicture() : error
  }
}

function read(bytes: Uint8Array): TiffPage[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const isLittle = bytes[0] === 0x49
  const isBig = view.getUint16(2, isLittle) === 43
  const offsetAt = (at: number) =>
    isBig ? Number(view.getBigUint64(at, isLittle)) : view.getUint32(at, isLittle)
  const seen = new Set<number>()
  const pages: TiffPage[] = []

  /** Values of an entry, as far as they are whole numbers. */
  function valuesAt(at: number): number[] {
    const size = SIZES[view.getUint16(at + 2, isLittle)]
    const count = isBig ? Number(view.getBigUint64(at + 4, isLittle)) : view.getUint32(at + 4, isLittle)
    if (!size) return []
    const place = at + (isBig ? 12 : 8)
    const from = size * count <= (isBig ? 8 : 4) ? place : offsetAt(place)
    return Array.from({ length: Math.min(count, MOST_VALUES) }, (_, i) => {
      const one = from + i * size
      if (size === 1) return view.getUint8(one)
      if (size === 2) return view.getUint16(one, isLittle)
      return size === 4 ? view.getUint32(one, isLittle) : Number(view.getBigUint64(one, isLittle))
    })
  }

  /** Reads one directory; returns where the next one is. */
  function directory(at: number, page: number, below: number | null): number {
    if (seen.has(at) || seen.size > MOST_PAGES) throw notAPicture()
    seen.add(at)
    const count = isBig ? Number(view.getBigUint64(at, isLittle)) : view.getUint16(at, isLittle)
    const [first, length] = [at + (isBig ? 8 : 2), isBig ? 20 : 12]
    if (count > 4096) throw notAPicture()
    const tags = new Map<number, number[]>()
    let photometricAt = 0
    for (let i = 0; i < count; i++) {
      const entry = first + i * length
      const tag = view.getUint16(entry, isLittle)
      if (tag === TAG.photometric) photometricAt = entry + (isBig ? 12 : 8)
      if (Object.values<number>(TAG).includes(tag)) tags.set(tag, valuesAt(entry))
    }
    const one = (tag: number, otherwise: number) => tags.get(tag)?.[0] ?? otherwise
    const [photometric, compression] = [one(TAG.photometric, -1), one(TAG.compression, 1)]
    pages.push({
      page,
      below,
      width: one(TAG.width, 0),
      height: one(TAG.height, 0),
      bits: one(TAG.bits, 1),
      channels: one(TAG.channels, 1),
      photometric,
      photometricAt,
      compression,
      sampleFormat: one(TAG.sampleFormat, 1),
      extra: tags.get(TAG.extra) ?? [],
      orientation: one(TAG.orientation, 1),
      isAside: (one(TAG.subfile, 0) & ASIDE) !== 0 || one(TAG.oldSubfile, 1) === OLD_REDUCED,
      isRaw: SENSOR.includes(photometric) || RAW_PACKING.includes(compression) || tags.has(TAG.rawVersion),
    })
    if (below === null) tags.get(TAG.below)?.forEach((place, i) => directory(place, page, i))
    return offsetAt(first + count * length)
  }

  let at = offsetAt(isBig ? 8 : 4)
  for (let page = 0; at !== 0; page++) at = directory(at, page, null)
  if (!pages.length) throw notAPicture()
  return pages
}

/** The picture that is meant: the largest that is no smaller copy and no mask of another. */
export const wholePage = (pages: readonly TiffPage[]): TiffPage | undefined =>
  [...pages]
    .filter(({ width, height }) => width > 0 && height > 0)
    .sort((a, b) => Number(a.isAside) - Number(b.isAside) || b.width * b.height - a.width * a.height)[0]
