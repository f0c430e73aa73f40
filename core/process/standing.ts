import type { PlannedLook } from '../record/event'
import { stepInHand, type RunState } from './run'

/** Where a sheet stands in the room. */
export type SheetPlace = 'planned' | 'paper' | 'coat' | 'light' | 'wet' | 'line' | 'finished' | 'setAside'

/** A look at the finished print that is due at a moment (milliseconds). */
export interface DueLook {
  id: PlannedLook['id']
  dueAt: number
}

/**
 * Where the sheet is: the station of the step in hand; on the line until every planned look has been taken.
 * The wet look is an offer, not a duty: skipping it does not keep a print on the line.
 */
export function placeOf(state: RunState): SheetPlace {
  if (state.setAside) return 'setAside'
  if (state.begunAt === null) return 'planned'
  const step = stepInHand(state)
  if (step) return step.planned.station
  return dueLooks(state).some((look) => look.id !== 'wet') ? 'line' : 'finished'
}

/** Looks not yet taken, earliest first; empty until the print hangs. A later look overtakes an earlier one. */
export function dueLooks(state: RunState): DueLook[] {
  const hungAt = hungAtOf(state)
  if (hungAt === null || state.setAside) return []
  const order = state.looks.map((look) => look.id)
  const taken = Math.max(-1, ...state.judgements.map((judged) => order.indexOf(judged.moment)))
  return state.looks
    .filter((_, index) => index > taken)
    .map((look) => ({ id: look.id, dueAt: hungAt + look.dueAfterSeconds * 1000 }))
}

/** When the print was hung to dry, or `null`. */
export const hungAtOf = (state: RunState): number | null =>
  state.steps.find((step) => step.planned.kind === 'hang')?.startedAt ?? null

/** The verdict that stands: that of the latest look. */
export const verdictOf = (state: RunState): 'keep' | 'again' | 'undecided' | null =>
  state.judgements.at(-1)?.verdict ?? null
