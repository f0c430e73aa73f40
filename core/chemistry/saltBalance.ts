import type { Figure, FigureInput, Standing } from '../quantity/figure'
import { atomsIn, molarMass } from './molarMass'

/** How a solution gets into the paper. */
export type Laying = 'brush' | 'soak' | 'float'

/** One laying of salt or of silver. */
export interface Laid {
  name: string
  by: Laying
  /** Solutes of the solution, % w/v, with formulas. */
  solutes: readonly { name: string; percentWv: number; formula?: string }[]
  /** Coats of it, one after the other. */
  coats: number
}

/** What is assumed about the paper; shown, and the user's to change. */
export interface Uptake {
  brushMillilitresPerM2: number
  /** Water that a soaked sheet keeps after draining, ml for a gram of paper. */
  soakMillilitresPerGram: number
  /** Share of a soaked sheet's salt that is within reach of silver laid on one side. */
  soakShare: number
  floatMillilitresPerM2: number
  gramsPerM2: number
  standing: Standing
}

/** Where the app starts until the user has weighed a sheet dry and wet: recalled, not looked up. */
export const USUAL_UPTAKE: Uptake = {
  brushMillilitresPerM2: 38.8,
  soakMillilitresPerGram: 0.5,
  soakShare: 0.5,
  floatMillilitresPerM2: 60,
  gramsPerM2: 300,
  standing: 'memory',
}

export interface SaltBalance {
  halide: Figure
  silver: Figure
  /** Silver for each halide, mol/mol. */
  ratio: Figure
  verdict: 'silverShort' | 'even' | 'silverAmple'
}

/** Silver enough to turn all halide and leave some free, which printing out needs: common practice, in moles. */
const AMPLE = 1.5

/**
 * Halide against silver on a square metre of salted paper.
 *
 * @param laid every laying of salt and of silver, in any order.
 * @returns mmol/m² of each, and whether silver falls short.
 */
export function saltBalance(laid: readonly Laid[], uptake: Uptake): SaltBalance {
  const halide = total(laid, uptake, ['Cl', 'Br', 'I'], 'halide')
  const carried = total(laid, uptake, ['Ag'], 'silver')
  const silver = laid.some(isSilverBath) ? drawnFromBath(carried, halide) : carried
  const ratio = halide.value > 0 ? silver.value / halide.value : Infinity
  return {
    halide,
    silver,
    ratio: {
      value: ratio,
      unit: 'mol/mol',
      working: {
        words: 'silver over halide',
        formula: 'r = n(Ag) / n(Hal)',
        inputs: [
          { name: 'silver', symbol: 'n(Ag)', value: silver.value, unit: 'mmol/m²' },
          { name: 'halide', symbol: 'n(Hal)', value: halide.value, unit: 'mmol/m²' },
        ],
        standing: 'practice',
        source: `An excess of silver is needed: a ratio of ${AMPLE} or more is ample, under 1 is too little (common practice)`,
      },
    },
    verdict: ratio < 1 ? 'silverShort' : ratio < AMPLE ? 'even' : 'silverAmple',
  }
}

const isSilverBath = (one: Laid) =>
  one.by === 'float' && one.solutes.some(({ formula }) => formula !== undefined && atomsIn(formula).has('Ag'))

/**
 * A floated sheet draws silver from the whole bath until its halide is turned, and carries a wet film away besides: so
 * its silver never falls short of its halide. What falls is the strength of the bath.
 */
function drawnFromBath(carried: Figure, halide: Figure): Figure {
  return {
    ...carried,
    value: carried.value + halide.value,
    working: {
      ...carried.working,
      words: 'silver carried away from the bath, and drawn from it by the halide',
      formula: 'n = Σ 10·v·c·s / M + n(Hal)',
      inputs: [
        ...carried.working.inputs,
        { name: 'turned by the halide', symbol: 'n(Hal)', value: halide.value, unit: 'mmol/m²' },
      ],
      leavesOut: 'how much weaker the bath becomes with each sheet',
    },
  }
}

function total(laid: readonly Laid[], uptake: Uptake, elements: readonly string[], name: string): Figure {
  const inputs: FigureInput[] = []
  let millimoles = 0
  for (const one of laid) {
    const volume = volumeOf(one.by, uptake) * one.coats
    const reach = one.by === 'soak' ? uptake.soakShare : 1
    for (const solute of one.solutes) {
      if (!solute.formula) continue
      const atoms = atomsIn(solute.formula)
      const count = elements.reduce((sum, element) => sum + (atoms.get(element) ?? 0), 0)
      if (!count) continue
      const grams = (volume * solute.percentWv) / 100
      millimoles += ((1000 * grams * count) / molarMass(solute.formula).value) * reach
      inputs.push(
        {
          name: `${one.name}, taken up`,
          symbol: 'v',
          value: volume,
          unit: 'ml/m²',
          standing: uptake.standing,
        },
        { name: `${solute.name} in it`, symbol: 'c', value: solute.percentWv, unit: '% w/v' },
      )
      if (reach !== 1)
        inputs.push({ name: 'within reach', symbol: 's', value: reach, unit: '', standing: uptake.standing })
    }
  }
  return {
    value: millimoles,
    unit: 'mmol/m²',
    working: {
      words: `${name} laid on a square metre`,
      formula: 'n = Σ 10·v·c·s / M',
      inputs,
      standing: uptake.standing,
      source: 'Volume taken up × strength; weigh a sheet dry and wet to know yours',
      leavesOut: 'losses by draining and by the paper’s size',
    },
  }
}

function volumeOf(by: Laying, uptake: Uptake): number {
  if (by === 'brush') return uptake.brushMillilitresPerM2
  if (by === 'float') return uptake.floatMillilitresPerM2
  return uptake.soakMillilitresPerGram * uptake.gramsPerM2
}
