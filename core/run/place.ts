import type { LookMoment } from '../schema/judgement'
import { stepInHand, type RunState } from './runState'

/** Where a sheet is in the room. */
export type SheetPlace = 'planned' | 'paper' | 'coat' | 'light' | 'wet' | 'line' | 'finished' | 'setAside'

/** A look at the finished print that is due at a moment (milliseconds). */
export interface DueLook {
  id: LookMoment
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
  return dueLooks(state).some((look) => look.id === 'dry' || look.id === 'settled') ? 'line' : 'finished'
}

/**
 * Looks not yet taken, earliest first; empty until the print hangs. A later look overtakes an earlier one. Last comes the
 * one that was asked for when the print was last judged.
 */
export function dueLooks(state: RunState): DueLook[] {
  const hungAt = hungAtOf(state)
  if (hungAt === null || state.setAside) return []
  const again = state.judgements.at(-1)?.lookAgainAt
  if (cameFinished(state)) {
    const dueAt = again ?? (state.judgements.length ? null : hungAt)
    return dueAt === null ? [] : [{ id: 'later', dueAt }]
  }
  const order: LookMoment[] = [...state.looks.map((look) => look.id), 'later']
  const taken = Math.max(-1, ...state.judgements.map((judged) => order.indexOf(judged.moment)))
  const planned = state.looks
    .filter((_, index) => index > taken)
    .map((look) => ({ id: look.id, dueAt: hungAt + look.dueAfterSeconds * 1000 }))
  return again === undefined ? planned : [...planned, { id: 'later', dueAt: again }]
}

/** A planned look that was missed by so many days is no longer waited for. From memory: no one has written one down. */
const MISSED_LOOK_DAYS = 60

/**
 * Whether something is still to be done with it, today or later: a step, or a look. What is not open need not be asked by
 * clocks and lists of the day.
 *
 * @param now milliseconds.
 */
export function isOpen(state: RunState, now: number): boolean {
  // A look that was asked for stays asked for, however late it is.
  if (state.judgements.at(-1)?.lookAgainAt !== undefined) return !state.setAside
  const place = placeOf(state)
  if (place !== 'line') return place !== 'finished' && place !== 'setAside'
  return dueLooks(state).some((look) => look.dueAt > now - MISSED_LOOK_DAYS * 86_400_000)
}

/** When the print was hung to dry, or came as a finished print; `null` before. */
export const hungAtOf = (state: RunState): number | null =>
  state.steps.find((step) => step.planned.kind === 'hang')?.startedAt ??
  (cameFinished(state) ? state.begunAt : null)

/** Whether it was a finished print when it came, so that no check was planned for it. */
export const cameFinished = (state: RunState): boolean =>
  state.steps.some((step) => step.planned.kind === 'hang' && step.skipped !== undefined)

/** The verdict that stands: that of the latest look. */
export const verdictOf = (state: RunState): 'keep' | 'again' | 'undecided' | null =>
  state.judgements.at(-1)?.verdict ?? null
