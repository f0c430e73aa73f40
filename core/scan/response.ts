import { isotonic } from '../tone/isotonic'
import { monotoneCubic } from '../tone/monotoneCubic'

/** A reading of the scan and what it truly is, both densities. */
export interface Anchor {
  read: number
  density: number
}

const lightOf = (density: number) => 10 ** -density
const densityOf = (light: number) => -Math.log10(Math.max(3e-5, light))

/**
 * The way from a scanner's densities to true ones. One anchor shifts. Two tell how much light strays into the picture, and
 * it is taken off; where the black came out darker than it is, the picture was stretched, and is pushed together. More
 * anchors bend. Beyond the outer ones it goes on by one to one.
 *
 * @param anchors at least one; the white of the paper, its black, or the steps of a step tablet.
 */
export function scaleOf(anchors: readonly Anchor[]): (read: number) => number {
  const sorted = [...anchors].sort((a, b) => a.read - b.read)
  const reads = sorted.map(({ read }) => read)
  const densities = isotonic(
    sorted.map(({ density }) => density),
    sorted.map(() => 1),
  )
  const [first, last] = [reads[0] ?? 0, reads.at(-1) ?? 0]
  const [white, black] = [densities[0] ?? 0, densities.at(-1) ?? 0]
  if (reads.length === 1 || last - first < 0.05) return (read) => read - first + white
  const inside =
    reads.length === 2
      ? betweenTwo({ read: first, density: white }, { read: last, density: black })
      : monotoneCubic(reads, densities)
  return (read) =>
    inside(Math.min(last, Math.max(first, read))) + Math.min(0, read - first) + Math.max(0, read - last)
}

/** Light that strays into a picture, as a share of its white, from how light its black came out; below 0: none, stretched. */
export function strayLight(white: Anchor, black: Anchor): number {
  const ratio = lightOf(white.density - black.density)
  const seen = lightOf(black.read - white.read)
  return (seen * ratio - 1) / (ratio - 1)
}

function betweenTwo(white: Anchor, black: Anchor): (read: number) => number {
  const stray = strayLight(white, black)
  const stretch = (black.density - white.density) / (black.read - white.read)
  return stray > 0
    ? (read) => white.density + densityOf((lightOf(read - white.read) - stray) / (1 - stray))
    : (read) => white.density + stretch * (read - white.read)
}
