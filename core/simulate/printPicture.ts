import { lightnessFromDensity } from '../tone/density'
import { colourOf, srgbOf, type LabColour } from '../negative/proof'
import type { SheetConditions, SheetWork, VirtualProcess } from './virtualProcess'
import type { NegativeOnSheet } from './printLooks'
import { virtualSheet, type VirtualSheet } from './virtualPrint'

/** Steps of the table from density of the film to colour: finer than a screen shows. */
const TABLE = 384

/** A virtual print in its colours. */
export interface PrintPicture {
  width: number
  height: number
  /** Shape (width · height · 4,), sRGB and opaque. */
  rgba: Uint8ClampedArray<ArrayBuffer>
}

/** Shows a virtual sheet behind a negative, as the eye sees it now: a table of colours for each part of the sheet. */
export function printPicture(
  { width, height, density, part, parts }: NegativeOnSheet,
  process: VirtualProcess,
  conditions: SheetConditions,
  work: SheetWork,
): PrintPicture {
  const most = density.reduce((one, other) => Math.max(one, other), 0.01)
  const table = new Uint32Array(new Uint8Array(4 * (TABLE + 1) * parts.length).buffer)
  const bytes = new Uint8Array(table.buffer)
  for (const [which, { made, worked }] of parts.entries()) {
    const [sheet, done] = [virtualSheet(process, made(conditions, process)), worked(work)]
    for (let i = 0; i <= TABLE; i++)
      bytes.set([...colourAt(process, sheet, done, (most * i) / TABLE), 255], 4 * (which * (TABLE + 1) + i))
  }
  const rgba = new Uint8ClampedArray(4 * width * height)
  const pixels = new Uint32Array(rgba.buffer)
  const scale = TABLE / most
  for (let i = 0; i < pixels.length; i++)
    pixels[i] = table[part[i]! * (TABLE + 1) + Math.round(scale * density[i]!)]!
  return { width, height, rgba }
}

/** Paper that fades: its tones go yellow as they lose silver. */
const FADED: LabColour = { L: 60, a: 4, b: 24 }

/** Colour behind film of a density, sRGB: that of the finished print, or of the coat while it prints. */
export function colourAt(
  process: VirtualProcess,
  sheet: VirtualSheet,
  work: SheetWork,
  filmDensity: number,
): [number, number, number] {
  const { density, ownShare, uncleared, toned, faded } = sheet.toneAt(filmDensity, work)
  const lightness = lightnessFromDensity(density)
  const { over, toner } = process
  const under = over ? colourOf(over.colours, lightness) : null
  const isProcessed = work.developed !== null || work.cleared !== null
  const ownColour = (): LabColour => {
    if (!isProcessed) return colourOf(process.printing, lightness)
    const plain = colourOf(process.colours, lightness)
    const clean = toner ? mixed(plain, colourOf(toner.colours, lightness), toned) : plain
    const old = mixed(clean, { ...FADED, L: lightness }, faded * Math.min(1, (100 - lightness) / 40))
    // What is not cleared still has the colour of the coat.
    return mixed(old, { ...process.printing.paper, L: lightness }, uncleared)
  }
  const own = ownColour()
  return srgbOf(under ? mixed(under, own, ownShare) : own)
}

const mixed = (one: LabColour, other: LabColour, share: number): LabColour => ({
  L: one.L + share * (other.L - one.L),
  a: one.a + share * (other.a - one.a),
  b: one.b + share * (other.b - one.b),
})
