import { readFileSync } from 'node:fs'
import type { Download } from '@playwright/test'
import sharp, { type Metadata } from 'sharp'

/** Values of 16 bits of a grey file, row by row. */
export interface Film {
  width: number
  height: number
  values: Uint16Array
  meta: Metadata
  at: (x: number, y: number) => number
}

export async function filmOf(download: Download): Promise<Film> {
  const bytes = readFileSync(await download.path())
  const meta = await sharp(bytes).metadata()
  const { data, info } = await sharp(bytes)
    .toColourspace('grey16')
    .raw({ depth: 'ushort' })
    .toBuffer({ resolveWithObject: true })
  const values = new Uint16Array(data.buffer, data.byteOffset, data.length / 2)
  const { width, height } = info
  return { width, height, values, meta, at: (x, y) => values[y * width + x] ?? Number.NaN }
}

/** Code of sRGB that a scanner gives a density of its paper. */
const coded = (density: number) => {
  const light = 0.85 * 10 ** -density
  return Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055))
}

/** A reflection step tablet as the same scanner sees it, each step 60 pixels wide. */
export function tabletScan(densities: readonly number[]): Promise<Buffer> {
  const [width, height] = [60 * densities.length, 120]
  const row = Uint8Array.from({ length: width }, (_, x) => coded(densities[Math.floor(x / 60)] ?? 0))
  const data = Buffer.concat(Array.from({ length: height }, () => Buffer.from(row)))
  return sharp(data, { raw: { width, height, channels: 1 } })
    .toColourspace('srgb')
    .png()
    .toBuffer()
}

/**
 * Prints a film by a response and lays the print on a scanner: seen from its front, coat all around, then bare paper,
 * a little askew, in eight bits.
 *
 * @param density of the print behind ink of 0 to 1.
 * @param tablet densities of a step tablet below it; with one the picture's tones are bent, as a camera bends them.
 */
export async function printedAndScanned(
  film: Film,
  density: (ink: number) => number,
  degrees = 2.5,
  tablet: readonly number[] = [],
): Promise<Buffer> {
  const table = Uint8Array.from({ length: 65_536 }, (_, value) => coded(density(1 - value / 65_535)))
  const print = Buffer.from(Uint8Array.from(film.values, (value) => table[value] ?? 0))
  const black = coded(density(0))
  const paper = coded(density(1))
  const grey = (level: number) => ({ r: level, g: level, b: level })
  const coat = await sharp(print, { raw: { width: film.width, height: film.height, channels: 1 } })
    .flop()
    .toColourspace('srgb')
    .extend({ top: 80, bottom: 80, left: 80, right: 80, background: grey(black) })
    .png()
    .toBuffer()
  if (tablet.length) {
    const { width = 0, height = 0 } = await sharp(coat).metadata()
    const strip = await sharp(await tabletScan(tablet)).resize(Math.round(0.8 * width), 200, { fit: 'fill' }).toBuffer() // prettier-ignore
    const both = await sharp(coat)
      .extend({ bottom: 450, background: grey(paper) })
      .composite([{ input: strip, left: Math.round(0.1 * width), top: height + 120 }])
      .raw()
      .toBuffer({ resolveWithObject: true })
    const bent = both.data.map((code) =>
      Math.round(
        255 *
          (code / 255 + 0.05 * Math.sin(2 * Math.PI * (code / 255 - 0.5)) * Math.sin((Math.PI * code) / 255)),
      ),
    )
    return sharp(bent, { raw: both.info }).rotate(degrees, { background: grey(paper) }).jpeg({ quality: 96 }).toBuffer() // prettier-ignore
  }
  return sharp(coat)
    .rotate(degrees, { background: grey(paper) })
    .jpeg({ quality: 96 })
    .toBuffer()
}

export const lightnessOf = (density: number): number => {
  const light = 10 ** -density
  return light > 0.008856 ? 116 * Math.cbrt(light) - 16 : 903.3 * light
}
