import { lightnessFromDensity } from '../tone/density'
import { JUST_BLACK, virtualSheet } from './virtualPrint'
import type { ChartPatch } from '../tone/curve'
import type { SheetConditions, SheetWork, VirtualFilm, VirtualProcess } from './virtualProcess'

/** Density between the steps of a tablet or strip: half a stop. */
export const LADDER_DENSITY = 0.5 * Math.log10(2)
/** A tone that the eye just distinguishes from paper white, L*. Common practice. */
const SEEN = 1

/** What there is to read on a print of a strip or tablet; steps are counted from 1, the one with the most light. */
export interface LadderReading {
  /** Last step that is as black as the coat can be; 0 when none is, and the number of steps when all are. */
  lastBlack: number
  /** Last step that is darker than paper white; 0 when none is. */
  lastTone: number
}

/**
 * Reads the print of a ladder of half stops, as sharp eyes would.
 *
 * @param steps how many there are.
 */
export function readLadder(
  process: VirtualProcess,
  conditions: SheetConditions,
  work: SheetWork,
  steps: number,
): LadderReading {
  const { densityAt } = virtualSheet(process, conditions)
  const black = densityAt(0, { ...work, dose: 1e9 })
  const white = lightnessFromDensity(densityAt(9, work))
  const row = Array.from({ length: steps }, (_, i) => densityAt(i * LADDER_DENSITY, work))
  return {
    lastBlack: row.filter((density) => density >= black - JUST_BLACK).length,
    lastTone: row.filter((density) => lightnessFromDensity(density) < white - SEEN).length,
  }
}

/**
 * Marks for a reading, 0 to 100: a step off costs a third.
 *
 * A ladder that holds neither black nor a first step below it shows no base exposure, however well it is read.
 */
export function readingMark(read: readonly number[], truth: readonly number[], steps: number): number {
  const [base = 0] = truth
  if (base < 1 || base >= steps) return 0
  const off = truth.reduce((sum, one, i) => sum + Math.min(3, Math.abs(one - (read[i] ?? 0))), 0)
  return Math.round(100 * (1 - off / truth.length / 3))
}

/** What the eye says of a print: too light, right or too dark. */
export type PrintSaid = 'light' | 'right' | 'dark'
/** A print is right within so many stops of its best dose. Common practice. */
const RIGHT_STOPS = 0.35

/** What a print is when it is dry, by its exposure. @param doseStops from the best dose; above 0 too much. */
export const saidOf = (doseStops: number): PrintSaid =>
  doseStops < -RIGHT_STOPS ? 'light' : doseStops > RIGHT_STOPS ? 'dark' : 'right'

/** How much darker the middle tone of a print is dry than it was wet, L*. @param dry the print a day later. */
export function dryChange(process: VirtualProcess, conditions: SheetConditions, dry: SheetWork): number {
  const { densityAt } = virtualSheet(process, conditions)
  const [black, white] = [densityAt(0, dry), densityAt(9, dry)]
  const films = Array.from({ length: 120 }, (_, i) => i / 40)
  const middle = films.find((film) => densityAt(film, dry) < (black + white) / 2) ?? 0
  const lightness = (work: SheetWork) => lightnessFromDensity(densityAt(middle, work))
  return lightness({ ...dry, hoursDry: null }) - lightness(dry)
}

/** Steps of the wedge that a practice print is linearized by. */
export const WEDGE_STEPS = 21

/**
 * Densities of an even wedge of tones on a print, as its densitometer reads them.
 *
 * @param inkOf ink by tone, both 0 to 1: the curve of the film.
 */
export function readWedge(
  process: VirtualProcess,
  conditions: SheetConditions,
  work: SheetWork,
  film: VirtualFilm,
  inkOf: (tone: number) => number,
): ChartPatch[] {
  const { densityAt } = virtualSheet(process, conditions)
  return Array.from({ length: WEDGE_STEPS }, (_, i) => {
    const ink = Math.min(1, Math.max(0, inkOf(i / (WEDGE_STEPS - 1))))
    return { ink, densities: [densityAt(film.base + film.range * ink ** film.power, work)] }
  })
}

/** Farthest that a wedge is from even steps of lightness between its own black and white, L*. */
export function offLinear(wedge: readonly ChartPatch[]): number {
  const row = wedge.map(({ densities }) => lightnessFromDensity(densities[0] ?? 0))
  const [black, white] = [row[0] ?? 0, row.at(-1) ?? 0]
  return Math.max(
    ...row.map((one, i) => Math.abs(one - black - (i / Math.max(1, row.length - 1)) * (white - black))),
  )
}

/** Off by so much no one sees it, and by so much nothing is left of the marks, L*. */
const LINEAR = { good: 2, worst: 14 } as const

/** Marks for how even the tones of a print are, 0 to 100. @param off farthest from even steps, L*. */
export const linearityMark = (off: number): number =>
  Math.round(100 * Math.min(1, Math.max(0, (LINEAR.worst - off) / (LINEAR.worst - LINEAR.good))))
