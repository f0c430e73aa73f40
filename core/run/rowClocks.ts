import type { ClockReading } from './deadlines'

/** One clock, and the sheets for which it runs. */
export interface SharedClock {
  clock: ClockReading
  /** Ids in the order of their clocks. */
  sheetIds: string[]
}

/** What is known of a sheet whose clock runs. */
export interface SheetOfClock {
  /** The row that it is worked with, if any. */
  rowId: string | undefined
  /** Whether it is in a step that waits, such as drying: then the row is ready when the last of it is. */
  isWaiting: boolean
}

/**
 * Clocks of many sheets, with one for a row: of sheets that wait the last to be ready, of coats that keep the first to end,
 * and otherwise one for those that run out together in the same step.
 *
 * @param clocks in the order in which they are shown, nearest end first; each row has the place of its clock.
 */
export function sharedClocks(
  clocks: readonly ClockReading[],
  about: (sheetId: string) => SheetOfClock,
): SharedClock[] {
  const shared = new Map<string, SharedClock>()
  for (const clock of clocks) {
    const { rowId, isWaiting } = about(clock.sheetId)
    const isRested = clock.kind === 'rests' || (clock.kind === 'atLeast' && isWaiting)
    const key = rowId
      ? `${rowId}/${clock.stepId}/${clock.kind}/${isRested || clock.kind === 'keeps' ? '' : endOf(clock)}`
      : `${clock.sheetId}/${clock.stepId}/${clock.kind}`
    const known = shared.get(key)
    const sheetIds = [...(known?.sheetIds ?? []), clock.sheetId]
    // Put in again, it comes where its clock is.
    if (isRested) shared.delete(key)
    shared.set(key, { clock: known && !isRested ? known.clock : clock, sheetIds })
  }
  return [...shared.values()]
}

/** When a clock ends, in whole seconds, or how long it has run where it is held or has no end. */
const endOf = ({ dueAt, elapsedSeconds, held }: ClockReading): string =>
  `${dueAt === null ? Math.round(elapsedSeconds) : Math.round(dueAt / 1000)}${held ? ' held' : ''}`
