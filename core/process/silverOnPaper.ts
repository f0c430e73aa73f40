import { solutesIn, solutesOf, type SubstanceBook } from '../chemistry/lots'
import { atomsIn, molarMass } from '../chemistry/molarMass'
import { saltBalance, USUAL_UPTAKE, type Laid } from '../chemistry/saltBalance'
import type { Figure } from '../quantity/figure'
import type { ProcessDefinition } from '../schema/definition'
import type { Bottle, Sheet } from '../schema/records'
import { mixesFor, partsOf } from './mixPlan'
import { schoolStocks, stepsFor } from './plan'

type Planned = Pick<Sheet, 'choices' | 'coats' | 'coverageMillilitresPerM2' | 'parts'>

/**
 * Every solution that is laid into the paper on its own, in the order of the steps.
 *
 * @param solutesFor what the component's bottle holds; empty leaves the laying out.
 */
export function layingsOf(
  definition: ProcessDefinition,
  { choices, coats }: Pick<Sheet, 'choices' | 'coats'>,
  solutesFor: (component: string) => Laid['solutes'],
): Laid[] {
  return stepsFor(definition, choices).flatMap((step): Laid[] => {
    if (!step.lays) return []
    const { component, by } = step.lays
    const solutes = solutesFor(component)
    const name = definition.components.find((one) => one.id === component)?.name ?? component
    return solutes.length ? [{ name, by, solutes, coats: step.perCoat ? coats : 1 }] : []
  })
}

/**
 * Silver that a sheet brings to its baths: what is brushed on, what a soaked or floated sheet takes up, and what its
 * chloride draws from a floating bath.
 *
 * @param bottles what its components were poured from; where none is known, the strength of the chosen school counts.
 * @returns g of silver on a square metre; 0 for a process without silver.
 */
export function silverLaid(
  definition: ProcessDefinition,
  sheet: Planned,
  book: SubstanceBook,
  bottles: readonly { component: string; bottle: Bottle }[] = [],
  gramsPerM2 = USUAL_UPTAKE.gramsPerM2,
): Figure {
  const stocks = schoolStocks(definition, sheet.choices)
  const solutesFor = (component: string) => {
    const bottle = bottles.find((one) => one.component === component)?.bottle
    return bottle ? solutesIn(bottle, book) : solutesOf(stocks[component] ?? [], book)
  }
  const laid = layingsOf(definition, sheet, solutesFor)
  const counted = laid.some(holdsSilver) ? [] : mixedLayings(definition, sheet, solutesFor)
  const { silver } = saltBalance([...laid, ...counted], {
    ...USUAL_UPTAKE,
    brushMillilitresPerM2: sheet.coverageMillilitresPerM2,
    gramsPerM2,
  })
  const mass = molarMass('Ag').value
  return {
    value: (silver.value * mass) / 1000,
    unit: 'g/m²',
    working: {
      words: 'silver laid on a square metre, by weight',
      formula: 'm = n·M(Ag) / 1000',
      inputs: [
        { name: 'silver', symbol: 'n', value: silver.value, unit: 'mmol/m²' },
        { name: 'molar mass of silver', symbol: 'M(Ag)', value: mass, unit: 'g/mol', standing: 'published' },
        ...silver.working.inputs,
      ],
      standing: silver.working.standing,
      source: silver.working.source,
      leavesOut:
        'the silver of the picture and what the first water takes, so the estimate is on the safe side',
    },
  }
}

const holdsSilver = (one: Laid) =>
  one.solutes.some((solute) => solute.formula !== undefined && atomsIn(solute.formula).has('Ag'))

/** Solutions that are counted into one glass and coated together, each as a laying of its share. */
function mixedLayings(
  definition: ProcessDefinition,
  sheet: Planned,
  solutesFor: (component: string) => Laid['solutes'],
): Laid[] {
  return mixesFor(definition, sheet.choices).flatMap((mix) => {
    const parts = partsOf(definition, mix, sheet.choices)
    const ratio = sheet.parts[mix.id] ?? parts.map((part) => part.parts)
    const sum = ratio.reduce((all, part) => all + part, 0)
    return parts.map(({ component }, i): Laid => {
      const share = (ratio[i] ?? 0) / sum
      return {
        name: component.name,
        by: 'brush',
        coats: mix.coats ?? sheet.coats,
        solutes: solutesFor(component.id).map((one) => ({ ...one, percentWv: one.percentWv * share })),
      }
    })
  })
}
