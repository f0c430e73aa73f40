import { CoreError } from '../errors'
import type { Figure, FigureInput } from '../quantity/figure'
import { molarMass } from './molarMass'

/** One solute as it is in a bottle. */
export interface Solute {
  substanceId: string
  name: string
  /** Grams in 100 ml of the bottle's solution. */
  percentWv: number
  /** Absent for substances without one fixed composition, such as ferric ammonium citrate. */
  formula?: string
}

/** So much of one bottle, poured into the mix. */
export interface Pour {
  name: string
  volumeMillilitres: number
  solutes: readonly Solute[]
}

/** What the mix really holds of one solute. */
export interface MixedSolute {
  substanceId: string
  name: string
  strength: Figure
  /** `null` where no molar mass can be stated. */
  molarity: Figure | null
}

/**
 * True strength of every solute once several solutions are in one glass.
 *
 * Volumes are taken to add up. At the strengths of the trade the error of that is well under the error of a drop.
 *
 * @param pours shape (n,), at least one with a volume above 0 ml.
 * @returns one entry a substance, in the order in which they first appear; strength in % w/v, molarity in mol/l.
 * @throws CoreError `nothing-poured` when the volumes come to nothing.
 */
export function mix(pours: readonly Pour[]): MixedSolute[] {
  const total = pours.reduce((sum, pour) => sum + pour.volumeMillilitres, 0)
  if (!(total > 0) || pours.some((pour) => pour.volumeMillilitres < 0))
    throw new CoreError({
      code: 'nothing-poured',
      field: 'mix',
      problem: 'The mix is empty.',
      remedy: 'Enter a volume for at least one solution.',
    })

  return strengthsIn(
    pours.flatMap((pour) =>
      pour.solutes.map((solute) => ({
        ...solute,
        grams: (pour.volumeMillilitres * solute.percentWv) / 100,
        inputs: [
          { name: `${pour.name}, poured`, symbol: 'Vᵢ', value: pour.volumeMillilitres, unit: 'ml' },
          { name: `${solute.name} in it`, symbol: 'cᵢ', value: solute.percentWv, unit: '% w/v' },
        ],
      })),
    ),
    total,
  )
}

/** So much of a solute, with what it was worked out from. */
export interface SoluteMass extends Omit<Solute, 'percentWv'> {
  grams: number
  inputs: readonly FigureInput[]
}

/**
 * Strength of every solute in a volume, masses of the same substance added up.
 *
 * @param volumeMillilitres finished volume, above 0.
 * @returns as `mix`.
 */
export function strengthsIn(masses: readonly SoluteMass[], volumeMillilitres: number): MixedSolute[] {
  const ids = [...new Set(masses.map((one) => one.substanceId))]
  return ids.map((substanceId) => {
    const own = masses.filter((one) => one.substanceId === substanceId)
    const { name, formula } = own[0] as SoluteMass
    const grams = own.reduce((sum, one) => sum + one.grams, 0)
    const strength = strengthFigure((100 * grams) / volumeMillilitres, [
      ...own.flatMap((one) => one.inputs),
      { name: 'all together', symbol: 'V', value: volumeMillilitres, unit: 'ml' },
    ])
    return { substanceId, name, strength, molarity: formula ? molarityFigure(strength.value, formula) : null }
  })
}

const strengthFigure = (value: number, inputs: FigureInput[]): Figure => ({
  value,
  unit: '% w/v',
  working: {
    words: 'grams that went in, over the whole volume',
    formula: inputs.some((input) => input.symbol === 'cᵢ') ? 'c = Σ(cᵢ·Vᵢ) / V' : 'c = 100·Σm / V',
    inputs,
    standing: 'arithmetic',
    source: 'Definition of % w/v: grams in 100 ml',
    leavesOut: 'volumes are assumed to add up exactly',
  },
})

function molarityFigure(percentWv: number, formula: string): Figure {
  const mass = molarMass(formula)
  return {
    value: (percentWv * 10) / mass.value,
    unit: 'mol/l',
    working: {
      words: 'grams in a litre over the mass of a mole',
      formula: 'n = 10·c / M',
      inputs: [
        { name: 'strength in the mix', symbol: 'c', value: percentWv, unit: '% w/v' },
        { name: formula, symbol: 'M', value: mass.value, unit: 'g/mol', standing: 'published' },
      ],
      standing: 'published',
      source: mass.working.source,
    },
  }
}
