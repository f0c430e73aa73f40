import type { Happening } from '../schema/event'
import type { Sheet } from '../schema/records'
import { isOver } from './nextMove'
import { stepInHand, type RunState } from './runState'

/** A sheet that may be one of a row: sheets alike that are coated from one glass and worked together. */
export interface InRow {
  sheet: Pick<Sheet, 'id' | 'batch'>
  state: RunState
}

/**
 * The sheets of the row that a sheet belongs to, in their order, itself among them; none where it is in no row or was taken
 * out of it.
 */
export function rowOf<One extends InRow>(one: InRow, all: readonly One[]): One[] {
  const { batch } = one.sheet
  if (!batch || batch.isAlone) return []
  return all
    .filter(({ sheet }) => sheet.batch?.id === batch.id && !sheet.batch.isAlone)
    .sort((a, b) => (a.sheet.batch?.place ?? 0) - (b.sheet.batch?.place ?? 0))
}

const OF_WORK: readonly Happening['type'][] = [
  'stepStarted', 'stepFinished', 'stepLeftOut', 'looked', 'returned', 'waterChanged', 'exposureChanged', 'roomRead',
] // prettier-ignore

/**
 * Whether what happens to one sheet happens to those of its row that are where it is: the work does, and what is said of a
 * sheet does not. A hair dryer dries the one sheet; the others have dried in the air.
 */
export const isForRow = (happening: Happening): boolean =>
  OF_WORK.includes(happening.type) && !(happening.type === 'stepFinished' && happening.byHairDryer)

/** Presses for a row come within this of each other where they are one press. */
const AT_ONCE_MS = 1000

/**
 * The other sheets of a row that are where one is, so that one press and one clock do for all: they wait for the same step,
 * or were started in it at once, and are no less done than it; of sheets that dry, those that have dried for long enough.
 * Sheets are coated one by one.
 *
 * @param now milliseconds.
 */
export function alongside<One extends InRow>(one: InRow, all: readonly One[], now: number): One[] {
  const step = stepInHand(one.state)
  if (!step || one.state.setAside || isByHand(step.planned)) return []
  return rowOf(one, all).filter(({ sheet, state }) => {
    const other = stepInHand(state)
    if (sheet.id === one.sheet.id || state.setAside || !other) return false
    if (other.planned.id !== step.planned.id || other.status !== step.status) return false
    if (step.status === 'waiting') return true
    const isTogether = Math.abs((other.startedAt ?? 0) - (step.startedAt ?? 0)) <= AT_ONCE_MS
    // What is done for one may not be done for another, such as the wash of a heavier paper.
    if (isOver(one.state, now) && !isOver(state, now)) return false
    return isTogether || (step.planned.kind === 'wait' && isOver(state, now))
  })
}

const isByHand = ({ kind, station }: { kind: string; station: string }): boolean =>
  kind === 'count' || (kind === 'act' && station === 'coat')

/**
 * Sheets in one place, those of a row that were started together as one group.
 *
 * @param firstId a sheet whose group comes first.
 */
export function groupsOf<One extends InRow>(sheets: readonly One[], firstId: string): One[][] {
  const groups = new Map<string, One[]>()
  for (const one of sheets) {
    const { batch, id } = one.sheet
    const started = Math.round((stepInHand(one.state)?.startedAt ?? 0) / AT_ONCE_MS)
    const key = batch && !batch.isAlone ? `${batch.id}/${started}` : id
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  const isFirst = (group: One[]) => group.some(({ sheet }) => sheet.id === firstId)
  return [...groups.values()].sort((a, b) => Number(isFirst(b)) - Number(isFirst(a)))
}

/**
 * The sheet of a row that is coated after one: the next that has not begun, or that waits for the same coat.
 *
 * @returns `null` where all are coated.
 */
export function nextToCoat<One extends InRow>(one: InRow, all: readonly One[]): One | null {
  const acts = one.state.steps.filter(({ planned }) => planned.kind === 'act' && planned.station === 'coat')
  const last = acts.findLast(({ startedAt }) => startedAt !== undefined)
  if (!last) return null
  return (
    rowOf(one, all).find(({ sheet, state }) => {
      if (sheet.id === one.sheet.id || state.setAside) return false
      const step = stepInHand(state)
      return state.begunAt === null || (step?.status === 'waiting' && step.planned.id === last.planned.id)
    }) ?? null
  )
}

/**
 * The sheets of a row for which one press was made, so that they are undone together: their last entries are of one moment
 * and one kind.
 */
export const pressedTogether = <One extends InRow>(one: InRow, all: readonly One[]): One[] =>
  rowOf(one, all).filter(
    ({ sheet, state }) =>
      sheet.id !== one.sheet.id &&
      state.last !== null &&
      state.last.at === one.state.last?.at &&
      state.last.type === one.state.last.type,
  )

/** The sheets of a row on which the same press was undone, so that they are redone together. */
export const undoneTogether = <One extends InRow>(one: InRow, all: readonly One[]): One[] =>
  rowOf(one, all).filter(
    ({ sheet, state }) =>
      sheet.id !== one.sheet.id &&
      state.redo !== undefined &&
      state.redo.at === one.state.redo?.at &&
      state.redo.type === one.state.redo.type,
  )
