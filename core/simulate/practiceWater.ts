import { srgbOf } from '../negative/proof'
import type { PracticeLook } from './practiceFault'
import type { SheetWork, VirtualProcess } from './virtualProcess'

/** A dark tray, and the milk of silver chloride in it. */
const TRAY = { L: 26, a: 0, b: -2 }
const MILK = { L: 84, a: -1, b: 3 }

/**
 * How milky the first water of a silver print is, 0 to 1: loose silver that meets chlorine.
 *
 * Without chlorine or salt it is clear from the start, and says nothing.
 */
export function milkOf(process: VirtualProcess, work: SheetWork, hasChlorine: boolean): number {
  if (!process.showsMilk || !hasChlorine || work.cleared === null) return 0
  return Math.exp(-work.cleared / process.clearSeconds.value)
}

/** Loose silver of which more than this share is carried into a toner makes it work in patches. Invented. */
const CARRIED = 0.15

/** Looks that a print has for how it was worked: toned in patches where silver was carried into the toner. */
export const looksOfWork = (process: VirtualProcess, work: SheetWork): PracticeLook[] =>
  process.showsMilk && work.toned !== null && milkOf(process, work, true) > CARRIED ? ['patches'] : []

/** Colour of water in a dark tray by how milky it is, sRGB. */
export function waterColour(milk: number): [number, number, number] {
  const at = (key: 'L' | 'a' | 'b') => TRAY[key] + milk * (MILK[key] - TRAY[key])
  return srgbOf({ L: at('L'), a: at('a'), b: at('b') })
}
