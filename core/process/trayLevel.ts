import type { Figure, FigureInput } from '../quantity/figure'
import type { Bath } from '../schema/bath'
import type { Pass } from './bathCapacity'
import { CARRIED_MILLILITRES_PER_M2, WET } from './trayExchange'

/** How full a tray is, and how strong what is in it. */
export interface TrayLevel {
  /** ml in the tray. */
  level: Figure
  /** What is left of its strength, 1 when fresh. */
  strength: Figure
}

interface Moment {
  millilitres: number
  strength: number
}

/**
 * What is left in a tray after the sheets that went through it and all that was added, and how strong it is.
 *
 * Each sheet takes some along; a wet one brings as much of what it came from. What is added fills the tray up to where it
 * stood when it was filled, and what is more takes the place of old solution, which is poured off first.
 *
 * @param passes sheets through it, in any order.
 */
export function trayLevel(bath: Bath, passes: readonly Pass[]): TrayLevel {
  const happened: { at: number; change: (now: Moment) => Moment }[] = [
    ...passes.map((pass) => ({ at: pass.at, change: (now: Moment) => passed(now, pass) })),
    ...bath.replenished.map(({ at, millilitres }) => ({
      at,
      change: (now: Moment) => added(now, bath.millilitres, millilitres),
    })),
  ].sort((a, b) => a.at - b.at)
  const fresh: Moment = { millilitres: bath.millilitres, strength: 1 }
  const { millilitres, strength } = happened.reduce((now, { change }) => change(now), fresh)
  const inputs: FigureInput[] = [
    { name: 'filled with', symbol: 'V', value: bath.millilitres, unit: 'ml', standing: 'yours' },
    { name: 'sheets through it', symbol: 'n', value: passes.length, unit: '', standing: 'yours' },
    {
      name: 'carried by a drained sheet',
      symbol: 'k',
      value: CARRIED_MILLILITRES_PER_M2,
      unit: 'ml/m²',
      standing: 'memory',
    },
    {
      name: 'added',
      symbol: 'r',
      value: bath.replenished.reduce((sum, one) => sum + one.millilitres, 0),
      unit: 'ml',
      standing: 'yours',
    },
  ]
  return {
    level: {
      value: millilitres,
      unit: 'ml',
      working: {
        words: 'what it was filled with, less what sheets took along, and what was added',
        formula: 'V − Σ A·(taken − brought) + r, never more than V',
        inputs,
        standing: 'memory',
        source:
          'What floated, soaked and drained sheets take is from memory; weigh a sheet dry and wet to know yours',
        leavesOut: 'what evaporates',
      },
    },
    strength: {
      value: strength,
      unit: '',
      working: {
        words: 'diluted by each wet sheet, drawn on by floated ones, strengthened by what was added',
        formula: 's·e^(−k·A/V) − drawn/V, then (s·kept + r) / (kept + r)',
        inputs,
        standing: 'memory',
        source:
          'Exponential dilution in a well-stirred tray; the amount a sheet carries is from memory, about 5 ml on 8 × 10 in',
        leavesOut:
          'what the prints themselves use up, but for silver that chloride draws from a floating bath',
      },
    },
  }
}

/** Solution that has to be poured off before so much is added, ml. */
export const pouredOff = (bath: Pick<Bath, 'millilitres'>, level: number, addition: number): number =>
  Math.min(level, Math.max(0, level + addition - bath.millilitres))

/** A tray that is nearly empty is not divided by: nothing is known of so thin a film. */
const LEAST_MILLILITRES = 1

function passed({ millilitres, strength }: Moment, { squareMetres, exchange = WET }: Pass): Moment {
  const level = Math.max(millilitres, LEAST_MILLILITRES)
  const thinned = strength * Math.exp((-squareMetres * exchange.brings) / level)
  return {
    millilitres: Math.max(0, millilitres + squareMetres * (exchange.brings - exchange.takes)),
    strength: Math.max(0, thinned - (squareMetres * (exchange.spends ?? 0)) / level),
  }
}

function added({ millilitres, strength }: Moment, full: number, addition: number): Moment {
  const kept = millilitres - pouredOff({ millilitres: full }, millilitres, addition)
  const fresh = Math.min(addition, full - kept)
  return { millilitres: kept + fresh, strength: (strength * kept + fresh) / (kept + fresh) }
}
