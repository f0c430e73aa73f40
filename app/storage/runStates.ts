import { replay } from '@core/run/run'
import { emptyRun, revisionOf, type RunState } from '@core/run/runState'
import type { SheetEvent } from '@core/schema/event'
import { eventsIn } from '@core/archive/logs'
import { bundleKey } from './bundles'
import type { Rows } from './rows'
import type { WorkroomDb } from './workroomDb'

/** Every event of one sheet, in order. */
export async function logIn(db: WorkroomDb, sheetId: string): Promise<SheetEvent[]> {
  const lines = await db.logs.textOf(sheetId)
  return lines === undefined ? [] : eventsIn({ lines })
}

/** What the log of a sheet amounts to, as it is kept beside the log so that lists need not replay every log. */
export async function stateIn(db: WorkroomDb, sheetId: string): Promise<RunState | undefined> {
  const text = await db.standings.textOf(sheetId)
  return text === undefined ? undefined : (JSON.parse(text) as RunState)
}

export const writeState = (db: WorkroomDb, state: RunState): Promise<void> =>
  db.standings.put(state.sheetId, revisionOf(state), JSON.stringify(state))

/** A state as it is in its bundle. */
export const stateEntry = (state: RunState): [key: string, text: string] => [
  bundleKey(state.sheetId, revisionOf(state)),
  JSON.stringify(state),
]

/** Lays out the standing of a sheet or a treatment on which nothing has happened. */
export const addRunState = (db: WorkroomDb, id: string): Promise<void> =>
  db.standings.add([stateEntry(emptyRun(id))])

type Standing = readonly [id: string, state: RunState]

/** Every standing, for lists of all sheets. Where a file of them is lost, their logs tell the same. */
export function runStatesOf(db: WorkroomDb): Rows<RunState> {
  async function* pieces(): AsyncGenerator<Standing[]> {
    const read = new Set<string>()
    for await (const piece of db.standings.pieces()) {
      for (const [id] of piece) read.add(id)
      yield statesIn(piece)
    }
    for (const [id] of await db.standings.revisions())
      if (!read.has(id)) yield [[id, replay(id, await logIn(db, id).catch(() => []))]]
  }
  async function some(ids: readonly string[]): Promise<Standing[]> {
    try {
      return statesIn(await db.standings.textsOf(ids))
    } catch {
      const wanted = new Set(ids)
      const found: Standing[] = []
      for await (const piece of pieces()) found.push(...piece.filter(([id]) => wanted.has(id)))
      return found
    }
  }
  return { revisions: () => db.standings.revisions(), some, pieces }
}
const statesIn = (texts: Iterable<readonly [id: string, text: string]>) =>
  [...texts].map(([id, text]) => [id, JSON.parse(text) as RunState] as const)

/** Works out standings again from the logs, for sheets that were written by other means than `append`. */
export async function rebuildAllRunStates(db: WorkroomDb, sheetIds: readonly string[]): Promise<void> {
  for (const id of sheetIds) await writeState(db, replay(id, await logIn(db, id)))
}

/** Makes again what lists show of sheets, also where it lay in files that are lost. */
export async function rebuildRunStates(db: WorkroomDb, sheetIds: readonly string[]): Promise<void> {
  await db.standings.forget(await db.standings.lostRows())
  await rebuildAllRunStates(db, sheetIds)
}
