import { v4 as uuid } from 'uuid'
import { CoreError } from '@core/errors'
import { misfit } from '@core/run/corrections'
import { historyOf, isAboutEntries, madeAtOnce } from '@core/run/history'
import { advance, replay } from '@core/run/run'
import { emptyRun, type RunState } from '@core/run/runState'
import { SheetEvent, type Happening } from '@core/schema/event'
import { eventsIn } from '@core/archive/logs'
import { db } from './db'
import { timeNow } from './time'
import { logIn, stateIn, writeState } from './runStates'

/**
 * Writes down what happened to a sheet, now. The rules are asked inside the transaction, so of two windows that press
 * at once one is refused and nothing is written twice.
 *
 * @throws CoreError when it cannot have happened in the sheet's present state.
 */
export const append = (
  sheetId: string,
  happening: Happening,
  // Taken before anything is waited for: what counts is when the key was pressed, not when the disk was ready.
  pressedAt: number = timeNow(),
): Promise<RunState> => write(sheetId, [happening], pressedAt)

/**
 * Writes down what happened to several sheets at one press: for all of them or for none.
 *
 * @throws CoreError as `append`, for the first that it cannot have happened to.
 */
export const appendToAll = (
  sheetIds: readonly string[],
  happening: Happening,
  pressedAt: number = timeNow(),
): Promise<void> =>
  db.transaction('rw', db.logBundles, db.standingBundles, async () => {
    for (const sheetId of sheetIds) await write(sheetId, [happening], pressedAt)
  })

/** Takes back the last thing that happened to several sheets, of all of them or of none. */
export const undoOnAll = (sheetIds: readonly string[]): Promise<void> =>
  db.transaction('rw', db.logBundles, db.standingBundles, async () => {
    for (const sheetId of sheetIds) await undo(sheetId)
  })

/** Brings back what was undone last on several sheets, on all of them or on none. */
export const redoOnAll = (sheetIds: readonly string[]): Promise<void> =>
  db.transaction('rw', db.logBundles, db.standingBundles, async () => {
    for (const sheetId of sheetIds) await redo(sheetId)
  })

/**
 * Writes corrections that only fit together: all of them or none.
 *
 * @throws CoreError `does-not-fit` where the corrected log could not have happened.
 */
export async function amend(sheetId: string, corrections: readonly Happening[]): Promise<RunState> {
  try {
    return await write(sheetId, corrections, timeNow())
  } catch (error) {
    throw misfit(error)
  }
}

function write(sheetId: string, happenings: readonly Happening[], pressedAt: number): Promise<RunState> {
  return db.transaction('rw', db.logBundles, db.standingBundles, async () => {
    const state = (await stateIn(db, sheetId)) ?? emptyRun(sheetId)
    const events = happenings.map((happening, n) =>
      SheetEvent.parse({
        ...happening,
        id: uuid(),
        sheetId,
        index: state.length + n,
        // A system clock that was set back must not bend the order of what happened.
        at: Math.max(pressedAt, state.lastAt),
      }),
    )
    const before = await db.logs.textOf(sheetId)
    if (before === undefined && state.length > 0) throw logGone()
    const lines = [before, ...events.map((event) => JSON.stringify(event))].filter(Boolean).join('\n')
    const next = events.some(isAboutEntries)
      ? replay(sheetId, eventsIn({ lines }))
      : events.reduce(advance, state)
    await db.logs.put(sheetId, next.length, lines)
    await writeState(db, next)
    return next
  })
}

const logGone = () =>
  new CoreError({
    code: 'log-gone',
    field: 'log',
    problem: 'The log of this sheet is gone, and nothing can be written after it.',
    remedy: 'Import your last export: it brings the log back and overwrites nothing that is sound.',
  })

/** Takes back the last thing that happened to a sheet, or what was corrected at once; the log keeps both. */
export async function undo(sheetId: string): Promise<RunState> {
  const last = madeAtOnce(historyOf(await logOf(sheetId)).entries)
  if (!last.length)
    throw new CoreError({
      code: 'nothing-to-undo',
      field: 'undo',
      problem: 'Nothing has happened to this sheet yet.',
      remedy: 'There is nothing to undo.',
    })
  return write(sheetId, last.map(({ id }): Happening => ({ type: 'undone', eventId: id })), timeNow()) // prettier-ignore
}

/** Brings back what was undone last on a sheet. */
export async function redo(sheetId: string): Promise<RunState> {
  const next = madeAtOnce(historyOf(await logOf(sheetId)).undone)
  if (!next.length)
    throw new CoreError({
      code: 'nothing-to-redo',
      field: 'redo',
      problem: 'Nothing was undone just before.',
      remedy: 'Enter it again.',
    })
  return write(sheetId, next.map(({ id }): Happening => ({ type: 'redone', eventId: id })), timeNow()) // prettier-ignore
}

/** Every event of one sheet, in order. */
export const logOf = (sheetId: string): Promise<SheetEvent[]> => logIn(db, sheetId)
