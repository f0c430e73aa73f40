import { mean, median } from '../quantity/statistics'
import { CoreError } from '../errors'
import { homographyOf, mapped, type Homography, type Point } from '../negative/homography'
import { armOf, registerPlaces } from '../negative/registerMarks'
import { darkBlobs, shrunk } from './marks'
import type { GreyPicture } from '../negative/resample'
import { type MarkPair } from './registerError'

/**
 * Reads how two layers are on each other from a scan or photo of a print with both their crosses on it, in any rotation
 * and perspective.
 *
 * @param picture linear-light grey. @param film as it was made, mm. @param layers the lower one and the upper one.
 * @returns the four pairs, and where the crosses are in the picture, pixels.
 * @throws CoreError `no-marks`.
 */
export function readRegister(
  picture: GreyPicture,
  film: { width: number; height: number; border: number },
  layers: readonly [lower: number, upper: number] = [0, 1],
): { pairs: MarkPair[]; seen: { lower: Point[]; upper: Point[] } } {
  const [lower, upper] = [registerPlaces(film, layers[0]), registerPlaces(film, layers[1])]
  for (const isDark of [true, false]) {
    const toned = isDark ? picture : inverted(picture)
    const found = assigned(crossesIn(toned), lower, upper)
    if (!found) continue
    const arm = armOf(film.border)
    const fromMiddle = ([x, y]: Point): Point => [
      x - film.border - film.width / 2,
      y - film.border - film.height / 2,
    ]
    let home = homographyOf(lower, found.lower)!
    for (let round = 0; round < 3; round++)
      home = homographyOf(
        lower,
        lower.map((place) => mapped(home, refinedCross(toned, home, place, arm) ?? place)),
      )!
    const measured = upper.map((place) => {
      const start = mapped(inverseOf(home), found.upper[upper.indexOf(place)]!)
      return refinedCross(toned, home, refinedCross(toned, home, start, arm) ?? start, arm) ?? start
    })
    return {
      pairs: upper.map((place, i) => ({ lower: fromMiddle(place), upper: fromMiddle(measured[i]!) })),
      seen: {
        lower: lower.map((place) => mapped(home, place)),
        upper: measured.map((place) => mapped(home, place)),
      },
    }
  }
  throw new CoreError({
    code: 'no-marks',
    field: 'the scan',
    problem: 'The crosses of two layers could not be found in this picture.',
    remedy:
      'Scan the whole sheet with its borders at 300 ppi or more, and enter film size, border and layers. Both films need register marks.',
  })
}

const inverted = ({ width, height, data }: GreyPicture): GreyPicture => ({
  width,
  height,
  data: data.map((value) => Math.max(0, 1 - value)),
})

/** Thin crosses in a picture, pixels. */
function crossesIn(picture: GreyPicture): Point[] {
  const small = shrunk(picture, 1800)
  const found: Point[] = []
  for (const reach of [12, 40]) {
    for (const blob of darkBlobs(small.picture, reach)) {
      const [w, h] = [blob.right - blob.left + 1, blob.bottom - blob.top + 1]
      const side = Math.max(w, h)
      const isCross =
        side >= 8 &&
        Math.max(w / h, h / w) < 1.6 &&
        blob.area < 0.4 * w * h &&
        blob.area > 1.2 * side &&
        Math.hypot(blob.x - (blob.left + blob.right) / 2, blob.y - (blob.top + blob.bottom) / 2) < 0.12 * side
      const at: Point = [(blob.x + 0.5) * small.by, (blob.y + 0.5) * small.by]
      if (isCross && !found.some((other) => distance(other, at) < side * small.by * 0.5)) found.push(at)
    }
  }
  return found.slice(0, 80)
}

/** Distance of two points, in their own unit. */
export const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])

/** How far a cross may be from where it is expected, as a share of the film's width: by register, and by a slant. */
const STRAY = 0.05
const SLANT = 0.16

/** Which found cross is which: every pair is tried as left and right cross of the lower layer. */
function assigned(
  crosses: readonly Point[],
  lower: readonly Point[],
  upper: readonly Point[],
): { lower: Point[]; upper: Point[] } | null {
  const [top, right, bottom, left] = lower as [Point, Point, Point, Point]
  let best: { lower: Point[]; upper: Point[]; off: number } | null = null
  for (const a of crosses)
    for (const b of crosses) {
      if (a === b) continue
      const span = distance(a, b)
      const turn = similarity(left, right, a, b)
      const about = (place: Point) =>
        crosses.filter((one) => one !== a && one !== b && distance(one, turn(place)) < SLANT * span)
      for (const c of about(top))
        for (const d of about(bottom)) {
          const own = [c, b, d, a]
          const home = c === d ? null : homographyOf(lower, own)
          if (!home) continue
          const others = upper.map((place) => nearest(crosses, mapped(home, place), STRAY * span))
          if (others.includes(null) || others.some((one) => own.includes(one!))) continue
          const off =
            upper.reduce((sum, place, i) => sum + distance(mapped(home, place), others[i]!), 0) / span
          if (!best || off < best.off) best = { lower: own, upper: others as Point[], off }
        }
    }
  return best
}

/** Turns, moves and scales so that two points come to be on two others. */
function similarity(p: Point, q: Point, a: Point, b: Point): (point: Point) => Point {
  const [ux, uy] = [q[0] - p[0], q[1] - p[1]]
  const length = ux * ux + uy * uy
  const [vx, vy] = [b[0] - a[0], b[1] - a[1]]
  const [cos, sin] = [(ux * vx + uy * vy) / length, (ux * vy - uy * vx) / length]
  return ([x, y]) => {
    const [dx, dy] = [x - p[0], y - p[1]]
    return [a[0] + cos * dx - sin * dy, a[1] + sin * dx + cos * dy]
  }
}

function nearest(crosses: readonly Point[], at: Point, within: number): Point | null {
  let found: Point | null = null
  for (const one of crosses) if (distance(one, at) < (found ? distance(found, at) : within)) found = one
  return found
}

function inverseOf(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i] = h as [number, number, number, number, number, number, number, number]
  // Adjugate of the three by three matrix whose last entry is 1, brought back to a last entry of 1.
  const m = [
    e - f * i,
    c * i - b,
    b * f - c * e,
    f * g - d,
    a - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ]
  return m.slice(0, 8).map((value) => value / m[8]!)
}

/** A line of the print is looked for within so much of where it is thought to be, mm. */
const LOOK = 0.9
const STEP = 0.03

/**
 * The middle of a cross: the middles of both its lines are followed along its arms and made straight, and where they
 * meet is the place.
 *
 * @param home from mm to pixels. @param near where it is thought to be, mm.
 * @returns mm, or `null` where too little of the lines is seen.
 */
function refinedCross(picture: GreyPicture, home: Homography, near: Point, arm: number): Point | null {
  const upright = lineThrough(picture, home, near, arm, 'upright')
  const level = lineThrough(picture, home, near, arm, 'level')
  if (!upright || !level) return null
  // x = x₀ + p + q·(y − y₀) and y = y₀ + r + s·(x − x₀)
  const dx = (upright.at + upright.slope * level.at) / (1 - upright.slope * level.slope)
  return [near[0] + dx, near[1] + level.at + level.slope * dx]
}

function lineThrough(
  picture: GreyPicture,
  home: Homography,
  near: Point,
  arm: number,
  which: 'upright' | 'level',
): { at: number; slope: number } | null {
  const along: number[] = []
  const across: number[] = []
  for (let t = -arm + 0.6; t <= arm - 0.6; t += 0.1) {
    // In the middle both lines are dark, and neither can be told from the other.
    if (Math.abs(t) < 1) continue
    const values: number[] = []
    for (let s = -LOOK; s <= LOOK; s += STEP) {
      const point: Point = which === 'upright' ? [near[0] + s, near[1] + t] : [near[0] + t, near[1] + s]
      values.push(lightAtPoint(picture, mapped(home, point)))
    }
    const sorted = [...values].sort((a, b) => a - b)
    const [dark, light] = [sorted[1]!, sorted[Math.floor(0.75 * sorted.length)]!]
    if (light - dark < 0.08 * light) continue
    let [sum, moment] = [0, 0]
    values.forEach((value, i) => {
      const weight = Math.max(0, (light - value) / (light - dark) - 0.35)
      sum += weight
      moment += weight * (-LOOK + i * STEP)
    })
    if (!sum) continue
    along.push(t)
    across.push(moment / sum)
  }
  if (along.length < 8) return null
  return straight(along, across)
}

/** Least squares, without what is far off: a fibre, or the end of another line. */
function straight(along: number[], across: number[]): { at: number; slope: number } {
  const middle = median(across)
  const kept = along.map((t, i) => [t, across[i]!] as const).filter(([, s]) => Math.abs(s - middle) < 0.4)
  const [mt, ms] = [0, 1].map((k) => mean(kept.map((one) => one[k]!))) as [number, number]
  const spread = kept.reduce((sum, [t]) => sum + (t - mt) ** 2, 0)
  const slope = kept.reduce((sum, [t, s]) => sum + (t - mt) * (s - ms), 0) / spread
  return { at: ms - slope * mt, slope }
}

function lightAtPoint({ width, height, data }: GreyPicture, [x, y]: Point): number {
  const [px, py] = [
    Math.min(width - 1.001, Math.max(0, x - 0.5)),
    Math.min(height - 1.001, Math.max(0, y - 0.5)),
  ]
  const [x0, y0] = [Math.floor(px), Math.floor(py)]
  const [fx, fy] = [px - x0, py - y0]
  const at = y0 * width + x0
  return (
    (data[at]! * (1 - fx) + data[at + 1]! * fx) * (1 - fy) +
    (data[at + width]! * (1 - fx) + data[at + width + 1]! * fx) * fy
  )
}
