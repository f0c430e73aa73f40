import type {
  BathDefinition,
  ComponentDefinition,
  ProcessDefinition,
  StepDefinition,
} from '../schema/definition'
import { isChosen } from './mixPlan'

/** The solution that is in the tray of a step under these choices: one of the baths, or a component poured out. */
export function trayOf(
  definition: ProcessDefinition,
  step: Pick<StepDefinition, 'tray' | 'trays'>,
  choices: Readonly<Record<string, string>>,
): BathDefinition | ComponentDefinition | null {
  const ids = step.tray ? [step.tray] : (step.trays ?? [])
  for (const id of ids) {
    const bath = definition.baths.find((one) => one.id === id && isChosen(one.when, choices))
    const found = bath ?? definition.components.find((one) => one.id === id)
    if (found) return found
  }
  return null
}
