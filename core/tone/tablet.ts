import type { Characteristic } from './characteristic'

/** A tablet of even steps: so many, so far apart, the first one clear film. */
export const evenTablet = (steps: number, apart: number): number[] =>
  Array.from({ length: steps }, (_, i) => Math.round(i * apart * 1000) / 1000)

/** The two tablets in common use. */
export const TABLETS = [
  { id: 'tablet-21', name: '21 steps of 0.15', densities: evenTablet(21, 0.15) },
  { id: 'tablet-31', name: '31 steps of 0.10', densities: evenTablet(31, 0.1) },
] as const

/** One way to print, with what its tablet said. */
export interface ComparedCurve {
  id: string
  name: string
  curve: Characteristic
}

/** How a way to print suits a negative. */
export interface Suit {
  id: string
  name: string
  /** Range of the paper over range of the negative, in densities; below 0 the negative is longer. `null`: not known. */
  spare: number | null
  says: 'fits' | 'shortPaper' | 'longPaper' | 'unknown'
}

/** Paper and negative fit when their ranges differ by no more than this; half a step of a usual tablet. */
const FIT = 0.08

/**
 * Which of several ways to print suits a negative: the one whose range comes nearest, and what the others would do.
 *
 * @param negativeRange density range of the negative, above 0.
 * @returns nearest first.
 */
export function suitNegative(negativeRange: number, curves: readonly ComparedCurve[]): Suit[] {
  return curves
    .map(({ id, name, curve }): Suit => {
      const range = curve.negativeRange?.value
      if (range === undefined) return { id, name, spare: null, says: 'unknown' }
      const spare = range - negativeRange
      return {
        id,
        name,
        spare,
        says: Math.abs(spare) <= FIT ? 'fits' : spare < 0 ? 'shortPaper' : 'longPaper',
      }
    })
    .sort((a, b) => Math.abs(a.spare ?? Infinity) - Math.abs(b.spare ?? Infinity))
}
