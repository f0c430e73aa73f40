import { chartLayout, type ChartPlan } from '../chart/chart'
import { drawChart } from '../chart/chartFilm'
import { linearFromSrgb, srgbFromLinear } from '../tone/srgb'
import { homographyOf, mapped, type Point } from '../negative/homography'
import type { GreyPicture } from '../negative/resample'
import { lightAt } from '../scan/findChart'
import { normal } from '../quantity/random'

/** How a virtual scanner or camera sees a print; every share is of the whole. */
export interface VirtualScanner {
  width: number
  height: number
  /** Where the film's corners fall in the picture, in pixels: upper left, upper right, lower right, lower left. */
  corners: readonly Point[]
  /** Light of the paper's white in the picture, and how much less of it falls on the far side. */
  white: number
  falloff: number
  /** Light that strays into the dark parts. */
  flare: number
  /** Scatter of a pixel, as a share of full light. */
  noise: number
  /** Specks of dust, and their radius in pixels. */
  dust: number
  /** Whether codes are 8-bit ones of sRGB. */
  isEightBit: boolean
}

/** A scan in the middle of a larger picture, straight, evenly lit and without noise. */
export function plainScanner(plan: ChartPlan, pixelsPerMillimetre: number): VirtualScanner {
  const layout = chartLayout(plan)
  const border = 12 * pixelsPerMillimetre
  const [w, h] = [layout.width * pixelsPerMillimetre, layout.height * pixelsPerMillimetre]
  return {
    width: Math.round(w + 2 * border),
    height: Math.round(h + 2 * border),
    corners: [
      [border, border],
      [border + w, border],
      [border + w, border + h],
      [border, border + h],
    ],
    white: 0.8,
    falloff: 0,
    flare: 0,
    noise: 0,
    dust: 0,
    isEightBit: false,
  }
}

/** Turns a scanner's picture about its middle; the corners may then need a larger picture. */
export function turned(scanner: VirtualScanner, degrees: number): VirtualScanner {
  const [cx, cy] = [scanner.width / 2, scanner.height / 2]
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  const about = ([x, y]: Point): [number, number] => [
    cos * (x - cx) - sin * (y - cy),
    sin * (x - cx) + cos * (y - cy),
  ]
  const corners = scanner.corners.map(about)
  const reach = (axis: 0 | 1) => Math.max(...corners.map((corner) => Math.abs(corner[axis]))) + 20
  const [halfWidth, halfHeight] = [Math.ceil(reach(0)), Math.ceil(reach(1))]
  return {
    ...scanner,
    width: 2 * halfWidth,
    height: 2 * halfHeight,
    corners: corners.map(([x, y]) => [x + halfWidth, y + halfHeight] as const),
  }
}

const WORK_INCH = 160

/**
 * A picture of a chart's print as a scanner or camera would take it: coat all round the film, which prints black,
 * then perspective, uneven light, flare, noise and dust.
 *
 * @param print density of the print behind ink of 0 to 1.
 * @returns linear-light grey.
 */
export function scanOfChart(
  plan: ChartPlan,
  print: (ink: number) => number,
  scanner: VirtualScanner,
  random: () => number,
  inkOfStep?: (tone: number) => number,
): GreyPicture {
  const layout = chartLayout(plan)
  const film: Float32Array[] = []
  const reflectance = Float32Array.from({ length: 4097 }, (_, i) => 10 ** -print(i / 4096))
  const how = { pixelsPerInch: WORK_INCH, isMirrored: false, inkOfStep }
  for (const row of drawChart(plan, how)) film.push(row.map((ink) => reflectance[Math.round(4096 * ink)]!))
  const [filmWidth, filmHeight] = [film[0]!.length, film.length]
  const drawn = new Float32Array(filmWidth * filmHeight)
  film.forEach((row, y) => drawn.set(row, y * filmWidth))
  const paper = { width: filmWidth, height: filmHeight, data: drawn }
  const { width, height } = scanner
  const toFilm = homographyOf(scanner.corners, [
    [0, 0],
    [layout.width, 0],
    [layout.width, layout.height],
    [0, layout.height],
  ])!
  const black = reflectance[0]!
  const bare = reflectance[4096]!
  const scale = WORK_INCH / 25.4
  const data = new Float32Array(width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [fx, fy] = mapped(toFilm, [x + 0.5, y + 0.5])
      const beyond = Math.max(-fx, -fy, fx - layout.width, fy - layout.height)
      // Around the film the coat is free for some millimetres; then comes paper without a coat.
      const seen = lightAt(paper, [fx * scale, fy * scale])
      const light = Number.isNaN(seen) ? (beyond > 6 ? bare : black) : seen
      const fall = 1 - scanner.falloff * (0.7 * (x / width) + 0.3 * (y / height) ** 2)
      data[y * width + x] =
        scanner.white * fall * (light + scanner.flare * (0.5 - light)) + scanner.noise * normal(random)
    }
  for (let i = 0; i < scanner.dust; i++) {
    const [cx, cy, radius] = [random() * width, random() * height, 1 + random() * 0.004 * width]
    const light = random() < 0.5 ? 0.02 : scanner.white
    for (let y = Math.max(0, Math.floor(cy - radius)); y < Math.min(height, cy + radius); y++)
      for (let x = Math.max(0, Math.floor(cx - radius)); x < Math.min(width, cx + radius); x++)
        if (Math.hypot(x - cx, y - cy) < radius) data[y * width + x] = light
  }
  for (let i = 0; i < data.length; i++) {
    const value = Math.min(1, Math.max(0, data[i]!))
    data[i] = scanner.isEightBit ? linearFromSrgb(Math.round(255 * srgbFromLinear(value)) / 255) : value
  }
  return { width, height, data }
}
