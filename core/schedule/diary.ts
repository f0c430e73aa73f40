import { dueLooks } from '../run/place'
import type { RunState } from '../run/runState'
import type { DayPlan } from '../schema/plan'
import type { PlannedLook } from '../schema/event'
import type { LookMoment } from '../schema/judgement'
import type { Preparation } from './preparation'

/** One entry for a calendar. */
export interface DiaryEntry {
  /** The same for the same thing, so that a calendar replaces it when it is imported again. */
  uid: string
  at: number
  seconds: number
  what:
    | { kind: 'session'; sheetIds: readonly string[] }
    | { kind: 'prepare'; preparation: Preparation }
    | { kind: 'look'; sheetId: string; lookId: LookMoment }
}

const LOOK_SECONDS = 600

/**
 * What belongs in a calendar: the session, its preparations, and the later looks at what hangs and what will hang.
 *
 * @param states of the plan's sheets, and of all others whose looks are to come.
 * @param looks planned looks of a sheet that has not begun.
 */
export function diaryOf(
  plan: DayPlan,
  preparations: readonly Preparation[],
  states: readonly RunState[],
  looks: (sheetId: string) => readonly PlannedLook[],
): DiaryEntry[] {
  const session: DiaryEntry = {
    uid: `session-${plan.id}`,
    at: plan.startsAt,
    seconds: (plan.endsAt - plan.startsAt) / 1000,
    what: { kind: 'session', sheetIds: plan.sheetIds },
  }
  const prepared = preparations.map((preparation): DiaryEntry => ({
    uid: `prepare-${plan.id}-${preparation.kind}-${preparation.id}`,
    at: preparation.beginBy,
    seconds: Math.max(300, (preparation.wantedAt - preparation.beginBy) / 1000),
    what: { kind: 'prepare', preparation },
  }))
  const coming = states.flatMap((state) => looksOf(plan, state, looks(state.sheetId)))
  return [...prepared, session, ...coming].sort((a, b) => a.at - b.at)
}

function looksOf(plan: DayPlan, state: RunState, looks: readonly PlannedLook[]): DiaryEntry[] {
  const entry = (lookId: LookMoment, at: number): DiaryEntry => ({
    uid: `look-${state.sheetId}-${lookId}`,
    at,
    seconds: LOOK_SECONDS,
    what: { kind: 'look', sheetId: state.sheetId, lookId },
  })
  const hung = dueLooks(state)
  if (hung.length) return hung.filter((look) => look.id !== 'wet').map((look) => entry(look.id, look.dueAt))
  const hangs = plan.moves.filter((move) => move.sheetId === state.sheetId).at(-1)
  if (!hangs || state.setAside || !plan.sheetIds.includes(state.sheetId)) return []
  return looks
    .filter((look) => look.id !== 'wet')
    .map((look) => entry(look.id, hangs.from + look.dueAfterSeconds * 1000))
}
