import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { Substance } from '../schema/substance'
import { molarMass } from './molarMass'

/**
 * The form of a substance by its id; its usual form when none is named.
 *
 * @returns `null` for a substance without one composition.
 * @throws CoreError `unknown-form` for a form it is not sold in.
 */
export function formOf(substance: Substance, id?: string): Substance['forms'][number] | null {
  if (id === undefined) return substance.forms[0] ?? null
  const form = substance.forms.find((one) => one.id === id)
  if (!form)
    throw new CoreError({
      code: 'unknown-form',
      field: substance.name,
      problem: `The form “${id}” is not known.`,
      remedy: `Choose one of: ${substance.forms.map((one) => one.name).join(', ') || 'none'}.`,
    })
  return form
}

/**
 * How many grams of the form in hand stand for one gram of the form the recipe means, purity left aside.
 *
 * @param asked form id that the recipe means; the usual one when left out.
 * @param inHand form id of what is in the bottle; the usual one when left out.
 * @returns g/g.
 * @throws CoreError `unknown-form`.
 * @see IUPAC/CIAAW abridged standard atomic weights (2021); from memory
 */
export function hydrateFactor(substance: Substance, asked?: string, inHand?: string): Figure {
  const [from, to] = [formOf(substance, asked), formOf(substance, inHand)]
  const [mAsked, mInHand] = [from && molarMass(from.formula), to && molarMass(to.formula)]
  return {
    value: mAsked && mInHand ? mInHand.value / mAsked.value : 1,
    unit: 'g/g',
    working: {
      words: 'mass of a mole in hand over mass of a mole asked for',
      formula: 'f = M₂ / M₁',
      inputs:
        from && to && mAsked && mInHand
          ? [
              { name: `${to.name}, in hand`, symbol: 'M₂', value: mInHand.value, unit: 'g/mol' },
              { name: `${from.name}, asked for`, symbol: 'M₁', value: mAsked.value, unit: 'g/mol' },
            ]
          : [],
      standing: 'published',
      source: mAsked?.working.source ?? 'No formula is claimed for this substance',
    },
  }
}
