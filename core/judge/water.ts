import { stepsFor } from '../process/plan'
import { trayOf } from '../process/trays'
import type { ProcessDefinition, StepDefinition } from '../schema/definition'
import type { Sheet } from '../schema/records'
import { traitsOf } from './traits'

/** What is known of the tap. */
export interface TapWater {
  /** Above pH 7.5, or not. */
  alkaline: 'unknown' | 'no' | 'yes'
  hard: 'unknown' | 'no' | 'yes'
  chlorine: 'unknown' | 'no' | 'yes'
}

/** What the tap asks for: a little acid in the first water, salt where no milk would show, no wash longer than needed. */
export type WaterAdvice = 'acidFirstWater' | 'saltForMilk' | 'shortWash' | 'distilledForMixing'

const isFirstWet = (
  definition: ProcessDefinition,
  step: StepDefinition,
  choices: Sheet['choices'],
): boolean => stepsFor(definition, choices).find(({ station }) => station === 'wet')?.id === step.id

/**
 * What the water of the room means for a step of a process.
 *
 * @param step the step in hand, or `null` for the plan as a whole, which tells what is to be got ready.
 */
export function waterAdvice(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'over'>,
  step: StepDefinition | null,
  water: TapWater,
): WaterAdvice[] {
  const traits = traitsOf(definition, sheet)
  const wet = stepsFor(definition, sheet.choices).filter(({ station }) => station === 'wet')
  const asked = step ? [step] : wet
  const isPlain = (one: StepDefinition) => trayOf(definition, one, sheet.choices) === null
  const found = new Set<WaterAdvice>()
  for (const one of asked) {
    const isFirst = isFirstWet(definition, one, sheet.choices)
    if (water.alkaline === 'yes' && traits.has('iron') && isFirst && isPlain(one)) found.add('acidFirstWater')
    if (water.chlorine === 'no' && one.isKept === 'silver' && isPlain(one)) found.add('saltForMilk')
    if (water.alkaline === 'yes' && traits.has('ferricyanide') && one.role === 'wash') found.add('shortWash')
  }
  if (water.hard === 'yes' && step?.kind === 'count') found.add('distilledForMixing')
  return [...found]
}
