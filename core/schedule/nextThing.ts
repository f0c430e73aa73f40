import { lifeOf } from '../run/coatLife'
import { ledgeOf, type Courses } from '../run/deadlines'
import { stepInHand, wordsIdOf, type RunState } from '../run/runState'
import { dueLooks, placeOf, type DueLook } from '../run/place'

/** What deserves the hands next, and why. */
export type NextThing =
  /** A clock has run out; the sheet wants a hand or an eye. */
  | { kind: 'over'; sheetId: string; wordsId: string }
  /** Drops are being counted. */
  | { kind: 'counting'; sheetId: string; wordsId: string }
  /** The sheet waits for its next step to be started. */
  | { kind: 'ready'; sheetId: string; wordsId: string }
  /** A hanging print is due for a look. */
  | { kind: 'look'; sheetId: string; lookId: DueLook['id'] }
  /** Nothing to do but wait for the nearest clock. */
  | { kind: 'wait'; sheetId: string; wordsId: string }
  /** A sheet is planned and not begun. */
  | { kind: 'begin'; sheetId: string }
  | { kind: 'nothing' }

/**
 * The next thing to do in the whole room: what has run out, then what is in the hands, then what is ready, then looks
 * that are due, then waiting, then what is only planned. Among equals the one that has waited longest.
 *
 * @param now milliseconds.
 * @param courses the light of sheets that are exposed (see `clocksOf`).
 */
export function nextThing(states: readonly RunState[], now: number, courses?: Courses): NextThing {
  const clocks = ledgeOf(states, now, courses)
  const over = clocks.find((clock) => clock.kind !== 'keeps' && (clock.remainingSeconds ?? 1) <= 0)
  if (over) return { kind: 'over', sheetId: over.sheetId, wordsId: over.wordsId }

  const byWait = [...states].sort((a, b) => a.lastAt - b.lastAt)
  const waiting = byWait.flatMap((state) => {
    const step = state.setAside ? null : stepInHand(state)
    const isResting = (lifeOf(state)?.notBefore ?? now) > now
    return step?.status === 'waiting' && !isResting
      ? [{ sheetId: state.sheetId, wordsId: wordsIdOf(step.planned), kind: step.planned.kind }]
      : []
  })
  const counting = waiting.find((one) => one.kind === 'count')
  if (counting) return { kind: 'counting', sheetId: counting.sheetId, wordsId: counting.wordsId }
  const ready = waiting[0]
  if (ready) return { kind: 'ready', sheetId: ready.sheetId, wordsId: ready.wordsId }

  const look = looksDue(states, now)[0]
  if (look) return { kind: 'look', sheetId: look.sheetId, lookId: look.id }

  const running = clocks[0]
  if (running) return { kind: 'wait', sheetId: running.sheetId, wordsId: running.wordsId }
  const planned = byWait.find((state) => placeOf(state) === 'planned')
  return planned ? { kind: 'begin', sheetId: planned.sheetId } : { kind: 'nothing' }
}

/**
 * Dry and settled looks whose moment has come, longest due first; a wet look is never owed. Where two looks of one
 * print are due, the later one counts.
 */
export function looksDue(states: readonly RunState[], now: number): (DueLook & { sheetId: string })[] {
  return states
    .flatMap((state) => {
      const due = dueLooks(state).filter((look) => look.id !== 'wet' && look.dueAt <= now)
      return due.slice(-1).map((look) => ({ ...look, sheetId: state.sheetId }))
    })
    .sort((a, b) => a.dueAt - b.dueAt)
}
