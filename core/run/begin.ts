import { refusalAt } from '../errors'
import type { StationName } from '../schema/definition'
import type { CameIn, SheetEvent } from '../schema/event'
import type { RunState } from './runState'

/**
 * The state of a sheet whose work begins: every step waits, or is behind it where it came in half-way.
 *
 * @throws CoreError `already-begun`.
 */
export function begin(state: RunState, event: Extract<SheetEvent, { type: 'begun' }>): RunState {
  if (state.begunAt !== null)
    throw refuse('already-begun', 'This sheet has already been started.', 'Continue with the current step.')
  const firstHere = firstStepHere(event)
  return {
    ...state,
    begunAt: event.at,
    looks: event.looks,
    current: firstHere,
    steps: event.steps.map((planned, index) => ({
      planned,
      ...(index < firstHere ? { status: 'done', skipped: 'doneBefore' } : { status: 'waiting' }),
      holds: [],
      drops: Object.fromEntries((planned.drops ?? []).map(({ component }) => [component, 0])),
      waters: [],
      plannedSeconds: planned.plannedSeconds,
      changes: [],
      drawn: [],
    })),
  }
}

/** Stations whose steps lie behind a sheet that came in so. */
const BEHIND: Readonly<Record<CameIn, readonly StationName[]>> = {
  coated: ['paper', 'coat'],
  exposed: ['paper', 'coat', 'light'],
  finished: ['paper', 'coat', 'light', 'wet', 'line'],
}

/** Index of the first step that is still to be done when work begins here. */
function firstStepHere({ steps, cameIn }: Extract<SheetEvent, { type: 'begun' }>): number {
  if (!cameIn) return 0
  const first = steps.findIndex(({ station }) => !BEHIND[cameIn].includes(station))
  return first < 0 ? steps.length : first
}

const refuse = refusalAt('sheet')
