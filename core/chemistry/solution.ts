import { CoreError } from '../errors'
import type { Figure, FigureInput } from '../quantity/figure'
import { formOf, hydrateFactor } from './forms'
import { interpolate } from '../quantity/interpolate'
import { strengthsIn, type MixedSolute, type SoluteMass } from './mixture'
import { molarMass } from './molarMass'
import { type Ingredient, type Recipe, UNIT, nameOf, round, outOfRange } from './recipe'

/** What the balance or the measure has to read for one ingredient. */
export interface Portion {
  name: string
  /** Grams to weigh, millilitres to pour: one of them. */
  grams: Figure | null
  millilitres: Figure | null
  /** Grams of the form that the recipe means, pure. */
  pureGrams: number
}

export interface Solution {
  portions: Portion[]
  /** Water to start with: to fill up from, or all of it where the recipe adds to a measured amount of water. */
  water: Figure
  volume: Figure
  /** True strength of every solute, % w/v of the form the recipe means. */
  solutes: MixedSolute[]
}

/** Volume that a gram of a dissolved solid adds, ml, and how far it varies between salts: from memory. */
const ADDED_PER_GRAM = { value: 0.5, uncertainty: 0.25 }
/** Share of the finished volume in which solids are dissolved before it is filled up: common practice. */
const START_SHARE = 0.7
/** Below so many grams of solids in a millilitre their own volume does not matter. */
const FEW_SOLIDS = 0.02

/**
 * Works out a recipe: what to weigh and pour, how much water, and what the finished solution really holds.
 *
 * @throws CoreError `out-of-range` for a volume or an amount that cannot be; `no-formula`, `not-a-liquid`, `no-spoon`
 *   for a measure that the substance has no figures for; `overfull` when the liquids exceed the volume.
 */
export function makeSolution(recipe: Recipe): Solution {
  const { ingredients, volumeMillilitres: volume } = recipe
  if (!(volume > 0) || !Number.isFinite(volume))
    throw outOfRange('volume', 'The volume must be above zero.', 'Enter a volume, for example 100 ml.')
  const partsInAll = ingredients.reduce((sum, one) => sum + (one.measure === 'parts' ? one.amount : 0), 0)
  const portions = ingredients.map((ingredient) => portionOf(ingredient, recipe, partsInAll))

  const poured = portions.reduce((sum, portion) => sum + (portion.millilitres?.value ?? 0), 0)
  if (recipe.finish === 'topUpTo' && poured > volume * (1 + 1e-9))
    throw new CoreError({
      code: 'overfull',
      field: 'volume',
      problem: `The liquids add up to ${round(poured)} ml, more than ${round(volume)} ml.`,
      remedy: 'Make a larger volume, or use stronger stocks.',
    })
  const solids = portions.reduce((sum, portion) => sum + (portion.grams?.value ?? 0), 0)
  const isToppedUp = recipe.finish === 'topUpTo'
  const added = isToppedUp ? 0 : ADDED_PER_GRAM.value * solids
  const addedUncertainty = isToppedUp ? 0 : ADDED_PER_GRAM.uncertainty * solids
  const final = isToppedUp ? volume : volume + poured + added
  const hasSolids = solids > FEW_SOLIDS * volume
  const rest = Math.max(0, volume - poured)
  const most = volume - poured - (ADDED_PER_GRAM.value + ADDED_PER_GRAM.uncertainty) * solids
  const water = isToppedUp ? (hasSolids ? Math.max(0, Math.min(START_SHARE * volume, most)) : rest) : volume

  return {
    portions,
    water: volumeFigure(
      water,
      isToppedUp
        ? hasSolids
          ? 'about 70 % of the volume, less where the solids need room: dissolve, then fill up to the mark'
          : 'the rest of the volume: fill up to the mark'
        : 'as the recipe says',
      [{ name: 'finished', symbol: 'V', value: final, unit: 'ml' }],
    ),
    volume: volumeFigure(
      final,
      isToppedUp ? 'topped up to' : 'water, liquids and what the solids add: about 0.5 ml a gram',
      [
        { name: 'liquids poured', symbol: 'Vᵢ', value: poured, unit: 'ml' },
        ...(added ? [{ name: 'solids', symbol: 'm', value: solids, unit: 'g' }] : []),
      ],
      added
        ? 'how much each salt really adds (0.25 to 0.75 ml a gram, from memory); topping up is exact'
        : undefined,
      addedUncertainty,
    ),
    solutes: strengthsIn(
      ingredients.flatMap((ingredient, i) => massesIn(ingredient, portions[i] as Portion)),
      final,
    ).map((one) =>
      addedUncertainty
        ? {
            ...one,
            strength: { ...one.strength, uncertainty: (one.strength.value * addedUncertainty) / final },
          }
        : one,
    ),
  }
}

function massesIn(ingredient: Ingredient, portion: Portion): SoluteMass[] {
  if (ingredient.kind === 'stock') {
    const poured = portion.millilitres?.value ?? 0
    return ingredient.solutes.map((solute) => ({
      ...solute,
      grams: (poured * solute.percentWv) / 100,
      inputs: [
        { name: `${ingredient.name}, poured`, symbol: 'Vᵢ', value: poured, unit: 'ml' },
        { name: `${solute.name} in it`, symbol: 'cᵢ', value: solute.percentWv, unit: '% w/v' },
      ],
    }))
  }
  const { substance, askedForm } = ingredient
  // Water is what everything is dissolved in; a strength of it says nothing.
  if (substance.id === 'water') return []
  const form = formOf(substance, askedForm)
  return [
    {
      substanceId: substance.id,
      name: substance.name,
      ...(form && { formula: form.formula }),
      grams: portion.pureGrams,
      inputs: [{ name: `${substance.name}, pure`, symbol: 'm', value: portion.pureGrams, unit: 'g' }],
    },
  ]
}

function portionOf(ingredient: Ingredient, recipe: Recipe, partsInAll: number): Portion {
  const { amount, measure } = ingredient
  const V = recipe.volumeMillilitres
  if (!(amount >= 0) || !Number.isFinite(amount))
    throw outOfRange(nameOf(ingredient), 'The amount must be zero or more.', 'Enter a number such as 12.5.')
  if (ingredient.kind === 'stock') {
    const ml = measure === 'parts' ? (V * amount) / partsInAll : amount
    return {
      name: ingredient.name,
      grams: null,
      millilitres: volumeFigure(ml, measure === 'parts' ? 'its share of the volume' : 'as the recipe says', [
        { name: 'asked for', symbol: 'a', value: amount, unit: UNIT[measure] },
      ]),
      pureGrams: 0,
    }
  }
  const { substance } = ingredient
  const liquid = ingredient.liquid ?? substance.liquid
  const asked = amountAsked(ingredient, recipe, partsInAll, liquid)
  const perMillilitre = liquid ? (liquid.gramsPerMillilitre * liquid.percentWw) / 100 : null
  if (liquid && perMillilitre) {
    const ml = asked.millilitres ?? asked.grams / perMillilitre
    return {
      name: substance.name,
      grams: null,
      millilitres: volumeFigure(ml, 'grams wanted, over what a millilitre of the bottle holds', [
        { name: 'pure, wanted', symbol: 'm', value: ml * perMillilitre, unit: 'g' },
        { name: 'density', symbol: 'ρ', value: liquid.gramsPerMillilitre, unit: 'g/ml' },
        { name: 'in it', symbol: 'w', value: liquid.percentWw, unit: '% w/w' },
      ]),
      pureGrams: ml * perMillilitre,
    }
  }
  const purity = ingredient.purityPercent ?? substance.purityPercent
  const factor = hydrateFactor(substance, ingredient.askedForm, ingredient.formInHand)
  const isSpoon = measure === 'spoonMillilitres'
  const isSameForm = Math.abs(factor.value - 1) < 1e-12
  const inputs: FigureInput[] = [
    { name: 'asked for', symbol: 'm₁', value: asked.grams, unit: 'g' },
    ...(isSameForm
      ? []
      : [{ name: 'form in hand for form asked for', symbol: 'f', value: factor.value, unit: 'g/g' }]),
    { name: 'purity', symbol: 'p', value: purity, unit: '%' },
  ]
  return {
    name: substance.name,
    grams: {
      value: isSpoon ? asked.grams : (asked.grams * factor.value * 100) / purity,
      unit: 'g',
      ...(asked.spread !== undefined && { uncertainty: asked.spread }),
      working: {
        words: isSpoon
          ? 'spoons × what a heaped millilitre weighs'
          : isSameForm
            ? 'asked for ÷ purity'
            : 'asked for × form ÷ purity',
        formula: isSpoon ? 'm = v·ρ' : isSameForm ? 'm₂ = m₁ / p' : 'm₂ = m₁·f / p',
        inputs: isSpoon ? [{ name: 'spoons', symbol: 'v', value: amount, unit: 'ml' }] : inputs,
        standing: isSpoon ? 'memory' : isSameForm ? 'arithmetic' : 'published',
        source: isSpoon
          ? (substance.bulk?.source ?? '')
          : isSameForm
            ? 'Purity as the label says, or as the substance is usually sold'
            : factor.working.source,
        ...(asked.isByWeight && { leavesOut: 'the density of the solution, assumed to be 1 g/ml' }),
      },
    },
    millilitres: null,
    pureGrams: isSpoon ? (asked.grams * purity) / 100 / factor.value : asked.grams,
  }
}

function amountAsked(
  ingredient: Extract<Ingredient, { kind: 'substance' }>,
  recipe: Recipe,
  partsInAll: number,
  liquid: { gramsPerMillilitre: number; percentWw: number } | undefined,
): { grams: number; millilitres?: number; spread?: number; isByWeight?: boolean } {
  const { substance, amount } = ingredient
  const V = recipe.volumeMillilitres
  const byVolume = (millilitres: number) => {
    if (!liquid)
      throw new CoreError({
        code: 'not-a-liquid',
        field: substance.name,
        problem: 'This substance is a solid and cannot be measured in millilitres.',
        remedy: 'Enter grams or % w/v.',
      })
    return { grams: 0, millilitres }
  }
  switch (ingredient.measure) {
    case 'percentWv':
      return { grams: (amount * V) / 100 }
    case 'gramsPerLitre':
      return { grams: (amount * V) / 1000 }
    case 'percentWw': {
      // Where no table tells how heavy the finished solution is, it is taken to weigh a gram a millilitre.
      const table = substance.densities?.at
      const gramsPerMillilitre = table ? interpolate(table, amount) : 1
      return { grams: (amount * V * gramsPerMillilitre) / 100, isByWeight: !table }
    }
    case 'molar': {
      const form = formOf(substance, ingredient.askedForm)
      if (!form)
        throw new CoreError({
          code: 'no-formula',
          field: substance.name,
          problem: 'This substance has no fixed formula, so moles cannot be computed.',
          remedy: 'Enter grams or percent.',
        })
      return { grams: (amount * V * molarMass(form.formula).value) / 1000 }
    }
    case 'grams':
      return { grams: amount }
    case 'parts': {
      const share = (V * amount) / partsInAll
      return liquid ? byVolume(share) : { grams: share }
    }
    case 'percentVv':
      return byVolume((amount * V) / 100)
    case 'millilitres':
      return byVolume(amount)
    case 'drops':
      return byVolume(amount / recipe.dropsPerMillilitre)
    case 'spoonMillilitres': {
      if (liquid) return byVolume(amount)
      const { bulk } = substance
      if (!bulk)
        throw new CoreError({
          code: 'no-spoon',
          field: substance.name,
          problem: 'The weight of a spoonful is not known for this substance.',
          remedy: 'Weigh it instead.',
        })
      return {
        grams: (amount * (bulk.least + bulk.most)) / 2,
        spread: (amount * (bulk.most - bulk.least)) / 2,
      }
    }
  }
}

function volumeFigure(
  value: number,
  words: string,
  inputs: readonly FigureInput[],
  leavesOut?: string,
  uncertainty = 0,
): Figure {
  return {
    value,
    unit: 'ml',
    ...(uncertainty && { uncertainty }),
    working: {
      words,
      formula: 'V',
      inputs,
      standing: 'arithmetic',
      source: 'Volumes are assumed to add up',
      ...(leavesOut && { leavesOut }),
    },
  }
}
