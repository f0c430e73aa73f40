import { wordsIdOf } from '@core/run/runState'
import type { StepDefinition } from '@core/schema/definition'
import type { SheetInRoom } from '../../state/workroom.store'

/** The words for a step of a plan: its own, or the first coat's for a later coat, whether or not work has begun. */
export function stepNamed(one: SheetInRoom | undefined, stepId: string): StepDefinition | undefined {
  const planned = one?.state.steps.find((step) => step.planned.id === stepId)?.planned
  const ids = [planned ? wordsIdOf(planned) : stepId, stepId.replace(/-\d+$/, '')]
  return ids
    .map((id) => one?.definition.steps.find((step) => step.id === id))
    .find((words) => words !== undefined)
}
