import { outlineOf, startingChoices } from '@core/process/plan'
import { startingParts } from '@core/process/mixPlan'
import { advance } from '@core/run/run'
import { emptyRun, type RunState } from '@core/run/runState'
import { nextMove } from '@core/run/nextMove'
import { sheet as anySheet } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { beginning } from '@core/process/plan'
import type { SheetEvent } from '@core/schema/event'
import type { PlanRoom } from '@core/schema/plan'
import { type SheetWithAll } from '@core/schedule/needs'
import { brokenRule } from '@core/schedule/problem'
import { solved } from '@core/schedule/reasons'
import { sessionOf, type SessionInput } from '@core/schedule/session'
import { movesOf } from '@core/schedule/bookings'
import { processes } from './index'

const room: PlanRoom = {
  hands: 1,
  frames: 2,
  underOneLight: 1,
  sheetsInATray: 1,
  rinseTrays: 2,
  washPlaces: 6,
  dryingPlaces: 8,
}
export const MINUTE = 60_000
export const LAMP = uuid(900)

/** A sheet that is only planned. */
export function planned(
  n: number,
  processId: string,
  changes: Partial<SheetWithAll['sheet']> = {},
): SheetWithAll {
  const definition = processes[processId]!
  const choices = { ...startingChoices(definition), ...changes.choices }
  const sheet = {
    ...anySheet,
    id: uuid(n),
    number: n,
    process: { id: processId, version: 1 },
    parts: startingParts(definition, choices),
    exposureSeconds: 480,
    lightId: LAMP,
    bottles: {},
    ...changes,
    choices,
  }
  return { sheet, definition, state: emptyRun(sheet.id), outline: outlineOf(definition, sheet, 300) }
}

/** The same sheet, worked on until a step is in hand and runs or waits. */
export function workedTo(
  one: SheetWithAll,
  stepId: string,
  pace = 60_000,
  from = T0,
): { one: SheetWithAll; now: number } {
  const counts = Object.fromEntries(one.definition.mixes.map((mix) => [mix.id, mix.parts.map(() => 1)]))
  let state: RunState = emptyRun(one.sheet.id)
  let now = from
  const happen = (what: object) => {
    state = advance(state, {
      ...what,
      id: uuid(5000 + state.length),
      sheetId: one.sheet.id,
      index: state.length,
      at: now,
    } as SheetEvent)
  }
  happen(beginning(one.definition, one.sheet, counts, 300))
  for (let i = 0; i < 200 && state.steps[state.current]?.planned.id !== stepId; i++) {
    now += pace
    const next = nextMove(state, now)
    if (!next) break
    happen(
      next.type === 'looked' ? { type: 'stepFinished', step: state.steps[state.current]!.planned.id } : next,
    )
  }
  return { one: { ...one, state }, now }
}

export const input = (
  sheets: readonly SheetWithAll[],
  changes: Partial<SessionInput> = {},
): SessionInput => ({
  sheets,
  room,
  from: T0,
  pins: [],
  ...changes,
})
export const EFFORT = { seed: 1, tries: 150, nodes: 2000 }

export function planOf(session: SessionInput) {
  const made = sessionOf(session)
  const found = solved(session, EFFORT)
  if (!found.times) throw new Error('no plan')
  expect(brokenRule(made.problem, found.times)).toBeNull()
  return { made, found, moves: movesOf(made, found.times) }
}
export const moveOf = (moves: ReturnType<typeof movesOf>, n: number, stepId: string) =>
  moves.find((move) => move.sheetId === uuid(n) && move.stepId === stepId)!
