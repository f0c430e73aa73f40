import { matrixProfile } from './icc'
import { linearFromSrgb } from '../tone/srgb'

/** What a file that is no TIFF says of its colours, as far as it is not plain sRGB. */
export interface ColourHint {
  /** Bits of a channel, where the file says so. */
  bits: number
  /** A browser reads it right: eight bits, in sRGB or without a word. */
  isPlain: boolean
  /** Of a PNG without a profile that says how its values become light. */
  png: PngColour | null
}

/** How the values of a PNG become light. */
export interface PngColour {
  /** Exponent, or the curve of sRGB or of no curve. */
  transfer: number | 'srgb' | 'linear' | 'unsupported'
  /** Shares of red, green and blue in luminance. */
  luminance: readonly [number, number, number]
}

/** Shares in luminance of known primaries, by their number in a PNG. @see ITU-T H.273, table 2; BT.709, P3, BT.2020 */
const PRIMARIES: Readonly<Record<number, readonly [number, number, number]>> = {
  1: [0.2126, 0.7152, 0.0722],
  9: [0.2627, 0.678, 0.0593],
  12: [0.22897, 0.69174, 0.07929],
}
const SRGB = PRIMARIES[1] as readonly [number, number, number]
/** Curves by their number in a PNG. @see ITU-T H.273, table 3 */
const TRANSFERS: Readonly<Record<number, PngColour['transfer']>> = {
  1: 2.4, 4: 2.2, 5: 2.8, 6: 2.4, 8: 'linear', 13: 'srgb', 14: 2.4, 15: 2.4,
} // prettier-ignore

/** A profile this near to sRGB is sRGB, in light of 0 to 1. */
const NEAR = 0.004

/** Shares of sRGB as a profile has them, for the white of D50 (IEC 61966-2-1). */
const SRGB_IN_PROFILE = [0.2225, 0.7169, 0.0606]

/** Whether a profile is sRGB in all but name, so that a browser's own decoding is right. */
export function isSrgb(bytes: Uint8Array): boolean {
  const profile = matrixProfile(bytes)
  const isCurve = profile?.toLight.every((curve) =>
    [0.05, 0.2, 0.4, 0.6, 0.8, 0.95].every((coded) => Math.abs(curve(coded) - linearFromSrgb(coded)) < NEAR),
  )
  if (!profile || !isCurve) return false
  return SRGB_IN_PROFILE.every((share, i) => Math.abs(share - (profile.luminance[i] ?? 0)) < NEAR)
}

/**
 * What the head of a JPEG, PNG or WebP says of its colours.
 *
 * @param head of the file, as far as its picture data; where it is cut before that, nothing is plain.
 */
export function colourHint(kind: 'jpeg' | 'png' | 'webp', head: Uint8Array): ColourHint {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength)
  try {
    return kind === 'jpeg' ? ofJpeg(head, view) : kind === 'png' ? ofPng(head, view) : ofWebp(head, view)
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    return { bits: 8, isPlain: false, png: null }
  }
}

const text = (bytes: Uint8Array, at: number, length: number) =>
  String.fromCharCode(...bytes.subarray(at, at + length))

/** Segments of a JPEG up to its frame. @see ITU-T T.81, annex B; ICC.1:2010, annex B.4 */
function ofJpeg(head: Uint8Array, view: DataView): ColourHint {
  const parts: Uint8Array[] = []
  for (let at = 2; ;) {
    const [marker, length] = [view.getUint8(at + 1), view.getUint16(at + 2)]
    if (view.getUint8(at) !== 0xff) return { bits: 8, isPlain: false, png: null }
    if (marker === 0xe2 && text(head, at + 4, 11) === 'ICC_PROFILE')
      parts.push(head.subarray(at + 18, at + 2 + length))
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)) {
      const [bits, channels] = [view.getUint8(at + 4), view.getUint8(at + 9)]
      const profile = Uint8Array.from(parts.flatMap((part) => [...part]))
      const isOwn = parts.length > 0 && !isSrgb(profile)
      return { bits, isPlain: !isOwn && bits === 8 && channels !== 4, png: null }
    }
    at += 2 + length
  }
}

/** Chunks of a PNG before its picture data. @see PNG (W3C Recommendation, third edition), 11.3 */
function ofPng(head: Uint8Array, view: DataView): ColourHint {
  const bits = view.getUint8(24)
  let [hasProfile, isSaidSrgb] = [false, false]
  let [gamma, luminance]: [number | null, readonly [number, number, number]] = [null, SRGB]
  let png: PngColour | null = null
  for (let at = 8; ;) {
    const [length, type, data] = [view.getUint32(at), text(head, at + 4, 4), at + 8]
    if (type === 'IDAT') break
    if (type === 'iCCP') hasProfile = true
    if (type === 'sRGB') isSaidSrgb = true
    if (type === 'gAMA') gamma = 100_000 / view.getUint32(data)
    if (type === 'cHRM')
      luminance = sharesOf(Array.from({ length: 8 }, (_, i) => view.getUint32(data + 4 * i) / 1e5))
    if (type === 'cICP')
      png = {
        transfer: TRANSFERS[view.getUint8(data + 1)] ?? 'unsupported',
        luminance: PRIMARIES[view.getUint8(data)] ?? SRGB,
      }
    at += 12 + length
  }
  // The newest word counts, then the profile, then sRGB, then the oldest.
  if (png) return { bits, isPlain: false, png }
  if (hasProfile) return { bits, isPlain: false, png: null }
  const isOwn =
    !isSaidSrgb && (isFar(gamma) || luminance.some((share, i) => Math.abs(share - (SRGB[i] ?? 0)) > NEAR))
  if (isOwn) return { bits, isPlain: false, png: { transfer: isFar(gamma) ? gamma : 'srgb', luminance } }
  return { bits, isPlain: bits <= 8, png: null }
}
const isFar = (gamma: number | null): gamma is number =>
  gamma !== null && Number.isFinite(gamma) && gamma > 0 && Math.abs(gamma - 2.2) > 0.02

/**
 * Shares of luminance of primaries and white by their chromaticities x, y: white, red, green, blue.
 *
 * @see SMPTE RP 177: the three primaries add up to the white
 */
function sharesOf(xy: readonly number[]): readonly [number, number, number] {
  const column = (i: number) => {
    const [x, y] = [xy[2 * i] ?? 0, xy[2 * i + 1] ?? 0]
    return [x / y, 1, (1 - x - y) / y] as const
  }
  const [white, r, g, b] = [0, 1, 2, 3].map(column) as [Column, Column, Column, Column]
  const whole = determinant(r, g, b)
  const shares = [determinant(white, g, b), determinant(r, white, b), determinant(r, g, white)].map(
    (one) => one / whole,
  )
  return shares.every((share) => Number.isFinite(share) && share > 0)
    ? (shares as [number, number, number])
    : SRGB
}
type Column = readonly [number, number, number]
const determinant = (a: Column, b: Column, c: Column) =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) - b[0] * (a[1] * c[2] - a[2] * c[1]) + c[0] * (a[1] * b[2] - a[2] * b[1])

/** A WebP with more than pixels says in its first chunk whether a profile is in it. @see RFC 9649 */
function ofWebp(head: Uint8Array, view: DataView): ColourHint {
  if (text(head, 12, 4) !== 'VP8X' || !(view.getUint8(20) & 0x20))
    return { bits: 8, isPlain: true, png: null }
  for (let at = 30; ;) {
    const length = view.getUint32(at + 4, true)
    if (text(head, at, 4) === 'ICCP') {
      if (at + 8 + length > head.length) throw new RangeError('cut off')
      return { bits: 8, isPlain: isSrgb(head.subarray(at + 8, at + 8 + length)), png: null }
    }
    at += 8 + length + (length % 2)
  }
}
