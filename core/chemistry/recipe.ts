import { toSignificant } from '../quantity/number'
import { CoreError } from '../errors'
import type { Substance } from '../schema/substance'
import { type Solute } from './mixture'

/** How a recipe states an amount. `parts` are by volume for liquids and by weight for solids, of all parts together. */
export type Measure =
  | 'percentWv'
  | 'percentVv'
  | 'percentWw'
  | 'gramsPerLitre'
  | 'molar'
  | 'parts'
  | 'grams'
  | 'millilitres'
  | 'drops'
  | 'spoonMillilitres'

/** One thing that goes into a solution: a chemical from its jar, or so much of a solution that stands ready. */
export type Ingredient =
  | {
      kind: 'substance'
      substance: Substance
      amount: number
      measure: Measure
      /** Form the recipe means, and form in the jar; the usual one when left out. */
      askedForm?: string
      formInHand?: string
      /** What the jar's label says; the substance's usual purity when left out. */
      purityPercent?: number
      /** For concentrated liquids: what the hydrometer or the label says. */
      liquid?: { gramsPerMillilitre: number; percentWw: number }
    }
  | {
      kind: 'stock'
      name: string
      solutes: readonly Solute[]
      amount: number
      measure: 'millilitres' | 'parts'
    }

export interface Recipe {
  ingredients: readonly Ingredient[]
  volumeMillilitres: number
  /** `topUpTo` fills up to the volume; `addTo` puts everything into that much water. */
  finish: 'topUpTo' | 'addTo'
  dropsPerMillilitre: number
}

export const UNIT: Readonly<Record<Measure, string>> = {
  percentWv: '% w/v',
  percentVv: '% v/v',
  percentWw: '% w/w',
  gramsPerLitre: 'g/l',
  molar: 'mol/l',
  parts: 'parts',
  grams: 'g',
  millilitres: 'ml',
  drops: 'drops',
  spoonMillilitres: 'ml',
}

/** Name of what goes into a solution: the stock's own, or its substance's. */
export const nameOf = (ingredient: Ingredient) =>
  ingredient.kind === 'stock' ? ingredient.name : ingredient.substance.name

/** A number to three significant digits, for an error's text. */
export const round = (value: number) => toSignificant(value, 3)
/** The error of a field of a recipe whose value cannot be. */
export const outOfRange = (field: string, problem: string, remedy: string) =>
  new CoreError({ code: 'out-of-range', field, problem, remedy })
