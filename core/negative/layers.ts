import type { ChannelMix } from './grey'
import type { TonePoint } from './tone'

/** One layer of a print in several: which light of the picture it takes away, and which of its tones it carries. */
export interface Layer {
  name: string
  /** `null` for luminance. */
  mix: ChannelMix | null
  /** Tones between these print in it, L* of the picture: darker is full, lighter is bare. */
  from: number
  to: number
}

/** Ways to part a picture. Cyan pigment takes away red light, magenta green, yellow blue. */
export const SEPARATIONS = {
  three: [
    { name: 'cyan', mix: { red: 1, green: 0, blue: 0 }, from: 0, to: 100 },
    { name: 'magenta', mix: { red: 0, green: 1, blue: 0 }, from: 0, to: 100 },
    { name: 'yellow', mix: { red: 0, green: 0, blue: 1 }, from: 0, to: 100 },
  ],
  /** Two layers in one blue and one warm tone: magenta and yellow go together, cyan alone. */
  two: [
    { name: 'magenta and yellow', mix: { red: 0, green: 1, blue: 1 }, from: 0, to: 100 },
    { name: 'cyan', mix: { red: 1, green: 0, blue: 0 }, from: 0, to: 100 },
  ],
  /** Pigment over a finished print, by tonal range: shares are common practice, not measured. */
  gum: [
    { name: 'shadows', mix: null, from: 0, to: 45 },
    { name: 'middle tones', mix: null, from: 10, to: 75 },
    { name: 'highlights', mix: null, from: 30, to: 100 },
  ],
} as const satisfies Record<string, readonly Layer[]>

/**
 * The points of a layer: those of the whole picture, squeezed into the range it carries.
 *
 * @param points of the picture as a whole.
 */
export function pointsOfLayer(
  points: readonly TonePoint[],
  { from, to }: Pick<Layer, 'from' | 'to'>,
): TonePoint[] {
  if (from === 0 && to === 100) return [...points]
  const [low, high] = [from, to].map((tone) => inverseOf(points, tone)) as [number, number]
  const squeezed = (tone: number) => Math.min(100, Math.max(0, (100 * (tone - from)) / (to - from)))
  const inside = points.filter((point) => point.from > low + 2 && point.from < high - 2)
  return [
    { from: low, to: 0 },
    ...inside.map((point) => ({ from: point.from, to: squeezed(point.to) })),
    { from: high, to: 100 },
  ]
}

/** Tone of the picture that becomes a tone, straight between the points. */
function inverseOf(points: readonly TonePoint[], tone: number): number {
  const after = points.findIndex((point) => point.to >= tone)
  if (after <= 0) return points[after === 0 ? 0 : points.length - 1]!.from
  const [a, b] = [points[after - 1]!, points[after]!]
  return a.from + ((tone - a.to) / (b.to - a.to || 1)) * (b.from - a.from)
}
