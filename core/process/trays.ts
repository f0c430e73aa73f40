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

/**
 * Ids of the cautions of a step under these choices. Where several solutions can be in its tray, those of the others do not
 * concern the hand.
 */
export function cautionsFor(
  definition: ProcessDefinition,
  step: Pick<StepDefinition, 'tray' | 'trays' | 'cautions'>,
  choices: Readonly<Record<string, string>>,
): string[] {
  if (!step.trays) return step.cautions
  const inTray = trayOf(definition, step, choices)?.cautions ?? []
  const ofOthers = definition.baths
    .filter(({ id }) => step.trays?.includes(id))
    .flatMap((one) => one.cautions)
  return step.cautions.filter((id) => inTray.includes(id) || !ofOthers.includes(id))
}
