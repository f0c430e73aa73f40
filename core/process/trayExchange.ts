import type { SubstanceBook } from '../chemistry/lots'
import { solutesOf } from '../chemistry/lots'
import { atomsIn, molarMass } from '../chemistry/molarMass'
import { saltBalance, USUAL_UPTAKE } from '../chemistry/saltBalance'
import { wordsIdOf, type RunState, type StepState } from '../run/runState'
import type { Bath } from '../schema/bath'
import type { ProcessDefinition } from '../schema/definition'
import type { Sheet } from '../schema/records'
import { schoolStocks } from './plan'
import { layingsOf } from './silverOnPaper'

/** What a sheet takes out of a tray and brings into it, ml for a square metre. */
export interface Exchange {
  takes: number
  brings: number
  /** Fresh bath that holds as much solute as the sheet draws from the rest of it, ml/m². */
  spends?: number
}

/** A drained sheet carries about so much of one bath into the next, ml for a square metre; from memory. */
export const CARRIED_MILLILITRES_PER_M2 = 100

/** A wet sheet brings as much as it takes along. */
export const WET: Exchange = { takes: CARRIED_MILLILITRES_PER_M2, brings: CARRIED_MILLILITRES_PER_M2 }

interface Work {
  definition: ProcessDefinition
  sheet: Pick<Sheet, 'choices' | 'coats'>
  state: RunState
}

/**
 * What a sheet and a tray exchange at one step: a floated sheet takes up a film on one side, a dry sheet that is slid
 * under what its paper holds, a wet one as much as it brings. Halide in a sheet that floats on silver draws silver from
 * the whole bath besides.
 *
 * @param step a step of `state`.
 * @param gramsPerM2 weight of the paper; without it that of a usual one is taken.
 * @returns ml/m², by the uptake of `USUAL_UPTAKE`, which is from memory.
 */
export function exchangeOf(
  { definition, sheet, state }: Work,
  step: StepState,
  bath: Pick<Bath, 'contents'>,
  book: SubstanceBook,
  gramsPerM2: number = USUAL_UPTAKE.gramsPerM2,
): Exchange {
  const lays = definition.steps.find((one) => one.id === wordsIdOf(step.planned))?.lays
  const soaked = { takes: USUAL_UPTAKE.soakMillilitresPerGram * gramsPerM2, brings: 0 }
  if (lays?.by === 'float') {
    const spends = drawnByHalide(definition, sheet, bath, book, gramsPerM2)
    return { takes: USUAL_UPTAKE.floatMillilitresPerM2, brings: 0, ...(spends > 0 && { spends }) }
  }
  if (lays) return soaked
  const before = state.steps[state.steps.indexOf(step) - 1]?.planned
  return before?.station === 'wet' && before.kind === 'bath' ? WET : soaked
}

/** Silver of a bath that turns the halide of a sheet, as ml of the fresh bath for a square metre; 0 without silver. */
function drawnByHalide(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'coats'>,
  bath: Pick<Bath, 'contents'>,
  book: SubstanceBook,
  gramsPerM2: number,
): number {
  const silverPerMillilitre = solutesOf(
    bath.contents.map(({ substanceId, percent }) => ({ substanceId, percentWv: percent })),
    book,
  ).reduce((sum, { formula, percentWv }) => {
    const atoms = formula ? (atomsIn(formula).get('Ag') ?? 0) : 0
    return atoms ? sum + (10 * percentWv * atoms) / molarMass(formula ?? '').value : sum
  }, 0)
  if (!silverPerMillilitre) return 0
  const stocks = schoolStocks(definition, sheet.choices)
  const laid = layingsOf(definition, sheet, (component) => solutesOf(stocks[component] ?? [], book))
  return saltBalance(laid, { ...USUAL_UPTAKE, gramsPerM2 }).halide.value / silverPerMillilitre
}
