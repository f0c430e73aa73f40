import { refusalAt } from '../errors'
import type { RunState, StepState } from './runState'
import { madeUpFor } from './shortened'

/**
 * Passes over the step in hand. What would have flowed on from it has to be begun.
 *
 * @throws CoreError `not-left-out` for the hanging, and for a mix of which drops are in the glass.
 */
export function leaveOut(state: RunState, { planned, drops }: StepState): RunState {
  if (planned.kind === 'hang')
    throw refuse(
      'not-left-out',
      'Drying cannot be left out.',
      'Hang the print, or set the sheet aside if it is not to be finished.',
    )
  if (Object.values(drops).some((count) => count > 0))
    throw refuse(
      'not-left-out',
      'Drops of this mix are in the glass already.',
      'Coat with what is in the glass, or undo the drops first.',
    )
  const left: StepState = {
    planned,
    status: 'done',
    skipped: 'leftOut',
    holds: [],
    drops,
    waters: [],
    changes: [],
    drawn: [],
  }
  const steps = madeUpFor(state.steps.with(state.current, left), state.current)
  return { ...state, steps, current: state.current + 1 }
}

const refuse = refusalAt('sheet')
