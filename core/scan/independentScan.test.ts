import sharp, { type Sharp } from 'sharp'
import { someOf } from '../fixtures/samples'
import { chartLayout, chartShapes, type ChartPlan } from '../chart/chart'
import { borderShapes, NO_BORDER } from '../negative/film'
import type { FilmShape } from '../negative/drawing'
import type { GreyPicture } from '../negative/resample'
import { scanChart } from './chartScan'
import { readRegister } from './register'
import { registerOf } from './registerError'

// Scans that nothing of ours has drawn: the shapes go into an SVG, a general library paints, turns, slants and blurs it,
// and codes are those of sRGB by the formula of IEC 61966-2-1 (from memory), not by the functions that the reader uses.

/** Density of a print over its paper: even steps from black to bare paper, as a made-up paper would have. */
const printed = (ink: number) => 1.35 * (1 - ink)
const codeOf = (density: number) => {
  const light = 0.82 * 10 ** -density
  return Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055))
}
const lightOf = (code: number) => {
  const share = code / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
}
const grey = (density: number) => `rgb(${Array(3).fill(codeOf(density)).join(',')})`
const drawn = (shape: FilmShape, density: (ink: number) => number) =>
  shape.kind === 'rect'
    ? `<rect x="${shape.x}" y="${shape.y}" width="${shape.width}" height="${shape.height}" fill="${grey(density(shape.ink))}"/>`
    : `<circle cx="${shape.x}" cy="${shape.y}" r="${shape.radius}" fill="${grey(density(shape.ink))}"/>`

/** A print in the middle of a white scanner lid. */
const page = (size: { width: number; height: number }, shapes: string, scale: number, margin = 15) =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${(size.width + 2 * margin) * scale}" height="${(size.height + 2 * margin) * scale}" viewBox="${-margin} ${-margin} ${size.width + 2 * margin} ${size.height + 2 * margin}"><rect x="${-margin}" y="${-margin}" width="100%" height="100%" fill="${grey(0)}"/>${shapes}</svg>`,
  )

async function scanned(svg: Buffer, change: (picture: Sharp) => Sharp): Promise<GreyPicture> {
  const painted = await sharp(svg)
    .flatten({ background: grey(0) })
    .png()
    .toBuffer()
  const { data, info } = await change(sharp(painted)).greyscale().raw().toBuffer({ resolveWithObject: true })
  const light = Float32Array.from({ length: info.width * info.height }, (_, i) =>
    lightOf(data[i * info.channels]!),
  )
  return { width: info.width, height: info.height, data: light }
}

describe('a chart painted by another hand', () => {
  const plan: ChartPlan = { steps: 21, repeats: 2, isScattered: true, hasStrip: false, seed: 11, tag: 0 }
  const { width, height } = chartLayout(plan)
  const svg = page(
    { width, height },
    chartShapes(plan)
      .map((shape) => drawn(shape, printed))
      .join(''),
    6,
  )

  const ways: [string, (picture: Sharp) => Sharp][] = [
    ['turned and soft', (picture) => picture.rotate(17, { background: grey(0) }).blur(1.2)],
    ['slanted', (picture) => picture.affine([1, 0.08, -0.05, 0.97], { background: grey(0) })],
    ['upside down', (picture) => picture.rotate(180)],
    ['straight', (picture) => picture],
    ['smaller', (picture) => picture.resize({ width: 700 })],
  ]
  it.each(someOf(2, ways))('is read %s, every tone within a few hundredths', async (_, change) => {
    const scan = scanChart(await scanned(svg, change))
    expect(scan.plan).toEqual(plan)
    const trusted = scan.patches.filter(({ damage }) => !damage)
    expect(trusted.length).toBeGreaterThan(0.95 * scan.patches.length)
    for (const { step, density } of trusted)
      expect(Math.abs(density - printed(step / (plan.steps - 1)))).toBeLessThan(0.03)
  })
})

describe('the marks of two layers painted by another hand', () => {
  const film = { width: 80, height: 60, border: 12 }
  const marksOf = (layer: number) =>
    borderShapes(
      { ...NO_BORDER, millimetres: film.border, isInked: true, hasMarks: true, layer },
      film.width,
      film.height,
      () => 0,
    )

  const shifts: [number, number][] = [
    [-0.8, 0.55],
    [0, 0],
    [0.4, -0.3],
  ]
  it.each(someOf(1, shifts))('are found %d mm to the right and %d mm down', async (right, down) => {
    const size = { width: film.width + 2 * film.border, height: film.height + 2 * film.border }
    const layer = (n: number) =>
      marksOf(n)
        .map((shape) => drawn(shape, printed))
        .join('')
    const picture = await scanned(
      page(size, `<g>${layer(0)}</g><g transform="translate(${right} ${down})">${layer(1)}</g>`, 12),
      (one) => one.rotate(3, { background: grey(0) }),
    )
    const { shift } = registerOf(readRegister(picture, film).pairs)
    expect(shift[0]).toBeCloseTo(right, 1)
    expect(shift[1]).toBeCloseTo(down, 1)
  })
})
