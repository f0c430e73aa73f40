/** What a profile of red, green and blue says of its values, where it is a matrix and three curves. */
export interface MatrixProfile {
  /** Linear light of 0 to 1 by coded value of 0 to 1, channel by channel. */
  toLight: readonly ((coded: number) => number)[]
  /** Share of each channel in luminance, under the white of D50; they add up to 1. */
  luminance: readonly number[]
}

/**
 * Reads a profile of the plain kind, as sRGB and wider RGB files carry.
 *
 * @returns `null` for every other kind, and for one that is damaged.
 * @see ICC.1:2010, 7.2 (header), 10.5 and 10.15 (curves); from memory
 */
export function matrixProfile(bytes: Uint8Array): MatrixProfile | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const word = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4))
  try {
    if (word(36) !== 'acsp' || word(16) !== 'RGB ') return null
    const tags = new Map<string, number>()
    for (let i = 0; i < Math.min(100, view.getUint32(128)); i++)
      tags.set(word(132 + 12 * i), view.getUint32(136 + 12 * i))
    const weights = ['rXYZ', 'gXYZ', 'bXYZ'].map((name) => {
      const at = tags.get(name)
      return at === undefined ? NaN : view.getInt32(at + 12) / 65_536
    })
    const curves = ['rTRC', 'gTRC', 'bTRC'].flatMap((name) => {
      const at = tags.get(name)
      const curve = at === undefined ? null : readCurve(view, at)
      return curve ? [curve] : []
    })
    const sum = weights.reduce((total, one) => total + one, 0)
    if (curves.length !== 3 || !(sum > 0.2)) return null
    return { toLight: curves, luminance: weights.map((weight) => weight / sum) }
  } catch (error) {
    if (error instanceof RangeError) return null
    throw error
  }
}

const [CURVE, PARAMETRIC] = [0x63757276, 0x70617261]

function readCurve(view: DataView, at: number): ((coded: number) => number) | null {
  const fixed = (place: number) => view.getInt32(place) / 65_536
  if (view.getUint32(at) === CURVE) {
    const count = view.getUint32(at + 8)
    if (count === 0) return (coded) => coded
    if (count === 1) {
      const gamma = view.getUint16(at + 12) / 256
      return (coded) => coded ** gamma
    }
    if (count > 65_536) return null
    const table = Float64Array.from({ length: count }, (_, i) => view.getUint16(at + 12 + 2 * i) / 65_535)
    return (coded) => {
      const place = Math.min(1, Math.max(0, coded)) * (count - 1)
      const low = Math.min(count - 2, Math.floor(place))
      return table[low]! + (table[low + 1]! - table[low]!) * (place - low)
    }
  }
  // Of the parametric kinds sRGB is the fourth; those before it are no straight foot and so no sRGB.
  if (view.getUint32(at) !== PARAMETRIC || view.getUint16(at + 8) !== 3) return null
  const [g, a, b, c, d] = Array.from({ length: 5 }, (_, i) => fixed(at + 12 + 4 * i)) as [
    number,
    number,
    number,
    number,
    number,
  ]
  return (coded) => (coded >= d ? Math.max(0, a * coded + b) ** g : c * coded)
}
