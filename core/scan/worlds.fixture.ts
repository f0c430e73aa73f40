import sharp from 'sharp'
import { chartLayout, chartShapes, type ChartPlan } from '../chart/chart'
import type { FilmShape } from '../negative/drawing'
import type { GreyPicture } from '../negative/resample'
import { normal, seededRandom } from '../quantity/random'

/**
 * Charts as they are printed, and as a scanner or a telephone sees them. Nothing here uses what the reader uses: a general
 * library paints the film, the coat answers light by a logistic curve, and codes are those of sRGB by the formula of
 * IEC 61966-2-1 (from memory).
 */
export interface World {
  /** Densities of bare paper and of the deepest black. */
  white: number
  black: number
  /** Coat: scatter of density along the brush, share; of the exposure from sheet to sheet, log. */
  streaks: number
  sheets: number
  /** Paper: scatter of light by its tooth, share. */
  tooth: number
  /** What the picture adds everywhere, share of full light; what falls off toward its far corner. */
  flare: number
  falloff: number
  /** A reflection on the glass or the print, share of full light, a hand wide. */
  glare: number
  /** How strongly a telephone bends the tones, 0 to 1; a picture taken by hand is slanted, too. */
  bent: number
  isByHand: boolean
  /** Reflection densities of the steps of a tablet that lies below the chart. */
  tablet: readonly number[]
}

const FLATBED: World = {
  white: 0.07,
  black: 1.4,
  streaks: 0.008,
  sheets: 0.006,
  tooth: 0.012,
  flare: 0.001,
  falloff: 0.03,
  glare: 0,
  bent: 0,
  isByHand: false,
  tablet: [],
}
/** A grey scale of cards, as printers keep one; densities by a densitometer. */
export const TABLET = [0.06, 0.21, 0.37, 0.52, 0.68, 0.84, 1, 1.17, 1.33, 1.5, 1.66]

/** Worlds that charts are read in. */
export const WORLDS = {
  flatbed: FLATBED,
  brown: { ...FLATBED, white: 0.31, black: 1.25, tooth: 0.05, streaks: 0.015 },
  flare: { ...FLATBED, flare: 0.01 },
  telephone: { ...FLATBED, flare: 0.004, falloff: 0.3, bent: 0.6, isByHand: true, tablet: TABLET },
  streaky: { ...FLATBED, streaks: 0.045 },
  /** A reflection on the glass. */
  glared: { ...FLATBED, glare: 0.08 },
  /** A telephone without anything to know its tones by. */
  untold: { ...FLATBED, flare: 0.004, falloff: 0.3, bent: 0.6, isByHand: true },
} as const satisfies Record<string, World>

/** Density of a print behind so much ink, without streaks: what a process does that no one has seen. */
export function processOf(world: World, seed: number): (ink: number, faster?: number) => number {
  const random = seededRandom(seed + 9000)
  const between = (low: number, high: number) => low + (high - low) * random()
  const [range, bend, steep, middle] = [
    between(1.5, 2.4),
    between(0.7, 1.5),
    between(3, 4.5),
    between(0.85, 1.1),
  ]
  // The shoulder is reached behind clear film, and bare paper behind all the ink.
  const raw = (ink: number, faster: number) =>
    1 / (1 + Math.exp(steep * (range * ink ** bend - middle - faster)))
  const [least, most] = [raw(1, 0), raw(0, 0)]
  return (ink, faster = 0) =>
    world.white + ((world.black - world.white) * (raw(ink, faster) - least)) / (most - least)
}

const codeOf = (light: number) => {
  const one = Math.min(1, Math.max(0, light))
  return one <= 0.0031308 ? 12.92 * one : 1.055 * one ** (1 / 2.4) - 0.055
}
const lightOf = (code: number) => (code <= 0.04045 ? code / 12.92 : ((code + 0.055) / 1.055) ** 2.4)

/** An S through the coded tones, as telephones lay one: darker shadows, lighter lights. */
const bentTone = (code: number, strength: number) =>
  code + strength * 0.11 * Math.sin(2 * Math.PI * (code - 0.5)) * Math.sin(Math.PI * code)

/** Pixels to the millimetre of the paper that is painted. */
const SCALE = 4
/** Coat and paper around the film, mm. */
const ROUND = { coat: 5, paper: 30 }

/** Ink of the film, painted by a general library; 0 around it, where the coat is free, and NaN on the bare paper. */
async function filmInk(plan: ChartPlan, inkOf: (tone: number) => number, hasTablet: boolean) {
  const { width, height } = chartLayout(plan)
  const grey = (ink: number) =>
    `rgb(${Array(3)
      .fill(Math.round(250 * ink))
      .join(',')})`
  const shape = (one: FilmShape) =>
    one.kind === 'rect'
      ? `<rect x="${one.x}" y="${one.y}" width="${one.width}" height="${one.height}" fill="${grey(one.ink)}"/>`
      : `<circle cx="${one.x}" cy="${one.y}" r="${one.radius}" fill="${grey(one.ink)}"/>`
  const [wide, high] = [width + 2 * ROUND.paper, height + 2 * ROUND.paper + (hasTablet ? 20 : 0)]
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${wide * SCALE}" height="${high * SCALE}" viewBox="${-ROUND.paper} ${-ROUND.paper} ${wide} ${high}"><rect x="${-ROUND.paper}" y="${-ROUND.paper}" width="100%" height="100%" fill="rgb(255,255,255)"/><rect x="${-ROUND.coat}" y="${-ROUND.coat}" width="${width + 2 * ROUND.coat}" height="${height + 2 * ROUND.coat}" fill="${grey(0)}"/><rect width="${width}" height="${height}" fill="${grey(1)}"/>${chartShapes(plan, inkOf).map(shape).join('')}</svg>`
  const { data, info } = await sharp(Buffer.from(svg)).greyscale().raw().toBuffer({ resolveWithObject: true })
  return { data, width: info.width, height: info.height, film: { width, height } }
}

/** A slow random walk of mean 0 and spread 1, `reach` places long. */
function wave(length: number, reach: number, random: () => number): (at: number) => number {
  const count = Math.ceil(length / reach) + 3
  const knots = Array.from({ length: count }, () => normal(random))
  return (at) => {
    const place = Math.max(0, at / reach)
    const low = Math.min(count - 2, Math.floor(place))
    const share = (1 - Math.cos(Math.PI * Math.min(1, place - low))) / 2
    return ((1 - share) * knots[low]! + share * knots[low + 1]!) / Math.hypot(1 - share, share)
  }
}

/**
 * Prints a chart in a world and takes its picture.
 *
 * @returns the picture in linear light, read from the file's codes.
 */
export async function pictureOf(
  plan: ChartPlan,
  world: World,
  process: ReturnType<typeof processOf>,
  seed: number,
  inkOf: (tone: number) => number = (tone) => tone,
): Promise<GreyPicture> {
  const random = seededRandom(seed + 77)
  const film = await filmInk(plan, inkOf, world.tablet.length > 0)
  const { width, height } = film
  const faster = world.sheets * normal(random)
  const table = Float64Array.from({ length: 251 }, (_, i) => process(i / 250, faster))
  // A brush is not drawn quite straight, and leaves blotches too.
  const streak = wave(width + height, 7 * SCALE, random)
  const along = wave(height + width, 25 * SCALE, random)
  const across = wave(height + width, 25 * SCALE, random)
  const tooth = Float32Array.from({ length: width * height }, () => normal(random))
  const light = new Float32Array(width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const ink = film.data[at]!
      const coat =
        1 + world.streaks * (0.85 * streak(x + 0.1 * y) + 0.5 * along(y + 0.4 * x) * across(x + 0.2 * y))
      const density = ink > 250 ? world.white : world.white + (table[ink]! - world.white) * coat
      // The tooth of a paper is a few tenths of a millimetre wide.
      const rough = (tooth[at]! + tooth[Math.max(0, at - 1)]! + tooth[Math.max(0, at - width)]!) / 1.7
      light[at] = 10 ** -density * (1 + world.tooth * rough)
    }
  laidTablet(light, film, world.tablet)
  const glared = (x: number, y: number) =>
    world.glare * Math.exp(-(((x / width - 0.3) / 0.16) ** 2) - ((y / height - 0.4) / 0.16) ** 2)
  const codes = Buffer.alloc(width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const lit = 1 - world.falloff * (((x - 0.35 * width) / width) ** 2 + 0.8 * (y / height) ** 2)
      const seen = 0.9 * (lit * light[at]! + world.flare + glared(x, y))
      const code = codeOf(seen + 0.002 * normal(random))
      codes[at] = Math.round(255 * Math.min(1, Math.max(0, bentTone(code, world.bent))))
    }
  const raw = { width, height, channels: 1 } as const
  const picture = world.isByHand
    ? sharp(slanted(codes, width, height), { raw }).blur(0.8)
    : sharp(codes, { raw }).rotate(seed % 4 === 0 ? 0.6 : -0.4, { background: '#eee' })
  const file = await picture.jpeg({ quality: 92 }).toBuffer()
  const { data, info } = await sharp(file).greyscale().raw().toBuffer({ resolveWithObject: true })
  const read = Float32Array.from({ length: info.width * info.height }, (_, i) =>
    lightOf(data[i * info.channels]! / 255),
  )
  return { width: info.width, height: info.height, data: read }
}

/** A picture taken by hand: its upper side is further away. */
function slanted(codes: Buffer, width: number, height: number): Buffer {
  const out = Buffer.alloc(codes.length)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const nearer = 1 / (0.96 + 0.08 * (y / height))
      const from = [
        width / 2 + (x - width / 2) * nearer + 0.01 * (y - height / 2),
        y * nearer * 1.02,
      ] as const
      const [sx, sy] = from.map(Math.round) as [number, number]
      if (sx >= 0 && sy >= 0 && sx < width && sy < height) out[y * width + x] = codes[sy * width + sx]!
    }
  return out
}

/** A tablet of even steps, laid on the bare paper below the film. */
function laidTablet(
  light: Float32Array,
  { width, film }: { width: number; film: { width: number; height: number } },
  densities: readonly number[],
): void {
  const [top, high] = [film.height + ROUND.paper + 10, 12]
  const step = (film.width - 10) / Math.max(1, densities.length)
  densities.forEach((density, i) => {
    const from = ROUND.paper + 5 + i * step
    for (let y = Math.round(top * SCALE); y < (top + high) * SCALE; y++)
      light.fill(
        10 ** -density,
        y * width + Math.round(from * SCALE),
        y * width + Math.round((from + step) * SCALE),
      )
  })
}
