import { refusalAt } from '../errors'
import type { Measured, SheetEvent, Tested } from '../schema/event'
import type { Grow } from './grow'
import type { RunState, StepState } from './runState'

// What is read and said of a sheet, where nothing is done to it.

const refuse = refusalAt('sheet')

/** The step of hanging, which has to have begun before a print is looked at. */
export function hungStep(state: RunState, what: 'judge' | 'measure' | 'test'): StepState {
  const hang = state.steps.find((step) => step.planned.kind === 'hang')
  if (!hang || (!hang.startedAt && !hang.skipped))
    throw refuse(
      'not-hung',
      'The print has not been hung to dry yet.',
      `Finish its last bath, then ${what} it.`,
    )
  return hang
}

/** What a print that hangs has measured. */
export function measure(state: RunState, event: Measured, grow: Grow): RunState {
  hungStep(state, 'measure')
  return { ...state, measurements: grow(state.measurements, event) }
}

/** What a test of permanence showed on a print that hangs. */
export function test(state: RunState, event: Tested, grow: Grow): RunState {
  hungStep(state, 'test')
  return { ...state, tested: grow(state.tested ?? [], event) }
}

/** Whether what was mixed for a coat was enough; of a coat the last answer counts. */
export function judgeCoat(state: RunState, event: Extract<SheetEvent, { type: 'coatJudged' }>): RunState {
  if (!state.steps.some((step) => step.planned.coat === event.coat && step.startedAt !== undefined))
    throw refuse(
      'not-coated',
      'This coat has not been applied yet.',
      'Coat the sheet, then say whether it was enough.',
    )
  const { coat, said, byMillilitres } = event
  const others = state.coatsJudged.filter((one) => one.coat !== coat)
  return {
    ...state,
    coatsJudged: [...others, { coat, said, ...(byMillilitres !== undefined && { byMillilitres }) }],
  }
}

/** What was read of a test strip that was exposed. */
export function readStrip(state: RunState, event: Extract<SheetEvent, { type: 'stripRead' }>): RunState {
  if (!state.steps.some((step) => step.planned.kind === 'expose' && step.finishedAt !== undefined))
    throw refuse(
      'not-exposed',
      'This strip has not been exposed yet.',
      'Expose and process it, then read it.',
    )
  const { at, densities, by, mark } = event
  return { ...state, stripRead: { at, densities, by, ...(mark !== undefined && { mark }) } }
}
