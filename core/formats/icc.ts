import { CoreError } from '../errors'

/** What a profile says of a picture's values: how they become light, and how much each channel weighs in it. */
export interface ColourProfile {
  name: string
  channels: 1 | 3
  /** Linear light of 0 to 1 by coded value of 0 to 1, channel by channel. */
  toLight: ((coded: number) => number)[]
  /** Share of each channel in luminance; they add up to 1. */
  luminance: number[]
}

/**
 * Reads a profile of the plain kinds: grey with one curve, or red, green and blue with a matrix and three curves, as
 * sRGB and wider RGB files carry.
 *
 * @throws CoreError `profile` for every other kind, and for one that is cut off.
 * @see ICC.1:2010, 7.2 (header), 10.5 and 10.15 (curves); from memory
 */
export function readProfile(bytes: Uint8Array): ColourProfile {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const word = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4))
  try {
    if (word(36) !== 'acsp') throw refuse('The colour profile of this picture is damaged.')
    const space = word(16)
    const tags = new Map<string, { at: number; length: number }>()
    for (let i = 0; i < Math.min(100, view.getUint32(128)); i++)
      tags.set(word(132 + 12 * i), { at: view.getUint32(136 + 12 * i), length: view.getUint32(140 + 12 * i) })
    const curve = (name: string) => {
      const tag = tags.get(name)
      if (!tag) throw refuse(`Pictures with this kind of ${space.trim()} profile cannot be read.`)
      return readCurve(view, tag.at)
    }
    if (space === 'GRAY') return { name: 'grey', channels: 1, toLight: [curve('kTRC')], luminance: [1] }
    if (space !== 'RGB ') throw refuse(`This picture is in ${space.trim()} print colours.`)
    const weights = ['rXYZ', 'gXYZ', 'bXYZ'].map((name) => {
      const tag = tags.get(name)
      if (!tag) throw refuse('Pictures with this kind of RGB profile cannot be read.')
      return view.getInt32(tag.at + 12) / 65_536
    })
    const sum = weights.reduce((total, one) => total + one, 0)
    if (!(sum > 0.2)) throw refuse('The colour profile of this picture is damaged.')
    return {
      name: 'RGB',
      channels: 3,
      toLight: ['rTRC', 'gTRC', 'bTRC'].map(curve),
      luminance: weights.map((weight) => weight / sum),
    }
  } catch (error) {
    if (error instanceof RangeError) throw refuse('The colour profile of this picture is incomplete.')
    throw error
  }
}

function readCurve(view: DataView, at: number): (coded: number) => number {
  const fixed = (place: number) => view.getInt32(place) / 65_536
  if (view.getUint32(at) === 0x63757276) {
    const count = view.getUint32(at + 8)
    if (count === 0) return (coded) => coded
    if (count === 1) {
      const gamma = view.getUint16(at + 12) / 256
      return (coded) => coded ** gamma
    }
    if (count > 65_536) throw refuse('The colour profile of this picture is damaged.')
    const table = Float64Array.from({ length: count }, (_, i) => view.getUint16(at + 12 + 2 * i) / 65_535)
    return (coded) => {
      const place = Math.min(1, Math.max(0, coded)) * (count - 1)
      const low = Math.min(count - 2, Math.floor(place))
      return table[low]! + (table[low + 1]! - table[low]!) * (place - low)
    }
  }
  if (view.getUint32(at) !== 0x70617261)
    throw refuse('The colour profile of this picture has an unknown curve.')
  const kind = view.getUint16(at + 8)
  const counts = [1, 3, 4, 5, 7]
  const [g, a, b, c, d, e, f] = Array.from({ length: counts[kind] ?? 0 }, (_, i) =>
    fixed(at + 12 + 4 * i),
  ) as [number, number, number, number, number, number, number]
  const power = (coded: number) => Math.max(0, a * coded + b) ** g
  if (kind === 0) return (coded) => coded ** g
  if (kind === 1) return (coded) => (coded >= -b / a ? power(coded) : 0)
  if (kind === 2) return (coded) => (coded >= -b / a ? power(coded) + c : c)
  if (kind === 3) return (coded) => (coded >= d ? power(coded) : c * coded)
  if (kind === 4) return (coded) => (coded >= d ? power(coded) + e : c * coded + f)
  throw refuse('The colour profile of this picture has an unknown curve.')
}

const refuse = (problem: string) =>
  new CoreError({
    code: 'profile',
    field: 'the picture',
    problem,
    remedy: 'Save it as sRGB or greyscale, then choose it again.',
  })
