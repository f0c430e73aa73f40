import { lightnessFromDensity } from '../tone/density'
import { colourOf, srgbOf, type LabColour } from '../negative/proof'
import type { GreyPicture } from '../negative/resample'
import type { SheetWork, VirtualProcess } from './virtualProcess'
import type { VirtualSheet } from './virtualPrint'

/** Steps of the table from ink to colour: finer than a screen shows. */
const TABLE = 512

/** A virtual print in its colours. */
export interface PrintPicture {
  width: number
  height: number
  /** Shape (width · height · 4,), sRGB and opaque. */
  rgba: Uint8ClampedArray<ArrayBuffer>
}

/**
 * Shows a virtual sheet behind a negative, as the eye sees it now.
 *
 * @param ink of the film, 0 clear to 1 all of it. @param filmRange density of all the ink.
 */
export function printPicture(
  ink: GreyPicture,
  filmRange: number,
  process: VirtualProcess,
  sheet: VirtualSheet,
  work: SheetWork,
): PrintPicture {
  const table = new Uint32Array(new Uint8Array(4 * (TABLE + 1)).buffer)
  const bytes = new Uint8Array(table.buffer)
  for (let i = 0; i <= TABLE; i++)
    bytes.set([...colourAt(process, sheet, work, (filmRange * i) / TABLE), 255], 4 * i)
  const rgba = new Uint8ClampedArray(4 * ink.width * ink.height)
  const pixels = new Uint32Array(rgba.buffer)
  for (let i = 0; i < pixels.length; i++) pixels[i] = table[Math.round(TABLE * ink.data[i]!)]!
  return { width: ink.width, height: ink.height, rgba }
}

/** Colour behind film of a density, sRGB: that of the finished print, or of the coat while it prints. */
export function colourAt(
  process: VirtualProcess,
  sheet: VirtualSheet,
  work: SheetWork,
  filmDensity: number,
): [number, number, number] {
  const lightness = lightnessFromDensity(sheet.densityAt(filmDensity, work))
  const isProcessed = work.developed !== null || work.cleared !== null
  if (!isProcessed) return srgbOf(colourOf(process.printing, lightness))
  const clean = colourOf(process.colours, lightness)
  // What is not cleared still has the colour of the coat.
  const left = Math.exp(-(work.cleared ?? 0) / process.clearSeconds.value)
  return srgbOf(mixed(clean, { ...process.printing.paper, L: lightness }, left))
}

const mixed = (one: LabColour, other: LabColour, share: number): LabColour => ({
  L: one.L + share * (other.L - one.L),
  a: one.a + share * (other.a - one.a),
  b: one.b + share * (other.b - one.b),
})
