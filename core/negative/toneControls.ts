import { AS_IT_IS, type TonePoint } from './tone'

/** How a picture is to be changed as a whole, each from -100 to 100; 0 leaves it as it is. */
export interface ToneControls {
  brightness: number
  contrast: number
  shadows: number
  highlights: number
}

/** Nothing changed. */
export const UNCHANGED: ToneControls = { brightness: 0, contrast: 0, shadows: 0, highlights: 0 }

/** What 100 of each changes: L* of all tones, the slope in the middle, and L* of the dark and the light quarter. */
const MOST = { brightness: 25, contrast: 0.6, shadows: 15, highlights: 15 } as const
const KNOTS = [0, 25, 50, 75, 100] as const

/**
 * The points of a tone curve that plain controls ask for; the ladder shows them, and can move them further.
 *
 * @returns points that `checkPoints` accepts, for all values of the controls.
 */
export function pointsOfControls({ brightness, contrast, shadows, highlights }: ToneControls): TonePoint[] {
  if (!brightness && !contrast && !shadows && !highlights) return AS_IT_IS.map((point) => ({ ...point }))
  const slope = 1 + (MOST.contrast * contrast) / 100
  const lift = (MOST.brightness * brightness) / 100
  const own: Partial<Record<number, number>> = {
    25: (MOST.shadows * shadows) / 100,
    75: (MOST.highlights * highlights) / 100,
  }
  let least = 0
  return KNOTS.map((from) => {
    const wanted = 50 + (from - 50) * slope + lift + (own[from] ?? 0)
    // Ends stay where they are while contrast or light would only grey them.
    const held = from === 0 ? Math.min(wanted, lift > 0 ? lift : 0) : from === 100 ? Math.max(wanted, lift < 0 ? 100 + lift : 100) : wanted // prettier-ignore
    least = Math.max(least, Math.min(100, Math.max(0, held)))
    return { from, to: Math.round(2 * least) / 2 }
  })
}

/** Points that split a picture of lines into black and white at one lightness. @param threshold L*, 2 to 98. */
export const pointsOfLines = (threshold: number): TonePoint[] => [
  { from: threshold - 1, to: 0 },
  { from: threshold + 1, to: 100 },
]

/** Shares of a picture of lines: nearly all of it dark or light, little between, and more ground than lines. */
const [ENDS, BETWEEN, LEAST_DARK, MOST_DARK] = [0.9, 0.05, 0.002, 0.6]

/**
 * Whether a picture is of lines and not of tones: a drawing, writing, a map.
 *
 * @param histogram pixels of each L* from 0 to 100.
 */
export function looksLikeLines(histogram: readonly number[]): boolean {
  const total = histogram.reduce((sum, one) => sum + one, 0)
  if (!total) return false
  const share = (from: number, to: number) =>
    histogram.slice(from, to + 1).reduce((sum, one) => sum + one, 0) / total
  const [dark, light] = [share(0, 25), share(80, 100)]
  return dark + light >= ENDS && share(35, 70) <= BETWEEN && dark >= LEAST_DARK && dark <= MOST_DARK
}
