import type { PlannedMove } from './bookings'

/** One step of a plan as it is told: for a sheet by itself, or for the sheets of a row that are worked through it together. */
export interface ToldMove {
  stepId: string
  /** In the order in which they begin the step. */
  sheetIds: string[]
  /** Milliseconds: the first of them begins, and the last one ends. */
  from: number
  to: number
  /** Milliseconds that one sheet takes, the longest of them. */
  each: number
  /** Milliseconds for which the hands are busy, all sheets together. */
  hands: number
}

/** A row that stops in a step for longer than this is told in two parts. */
const LONGEST_PAUSE_MS = 30 * 60_000

/**
 * A plan told in the order of the day, the sheets of a row as one: twenty prints of a class are a few lines that a class can
 * follow, not two hundred.
 *
 * @param moves steps of all sheets, milliseconds.
 * @param hands what the hands are busy with, milliseconds.
 * @param rowIdOf the row that a sheet is worked in; `undefined` for a sheet by itself.
 */
export function toldInRows(
  moves: readonly PlannedMove[],
  hands: readonly PlannedMove[],
  rowIdOf: (sheetId: string) => string | undefined,
): ToldMove[] {
  const told: ToldMove[] = []
  const rowOf = (sheetId: string) => rowIdOf(sheetId) ?? sheetId
  for (const move of [...moves].sort((a, b) => a.from - b.from)) {
    const row = rowOf(move.sheetId)
    const busy = hands
      .filter(({ sheetId, stepId }) => sheetId === move.sheetId && stepId === move.stepId)
      .reduce((sum, span) => sum + span.to - span.from, 0)
    const together = told.findLast(
      (one) => rowOf(one.sheetIds[0] ?? '') === row && one.stepId === move.stepId,
    )
    if (together && move.from - together.to <= LONGEST_PAUSE_MS) {
      together.sheetIds.push(move.sheetId)
      together.to = Math.max(together.to, move.to)
      together.each = Math.max(together.each, move.to - move.from)
      together.hands += busy
    } else
      told.push({
        stepId: move.stepId,
        sheetIds: [move.sheetId],
        from: move.from,
        to: move.to,
        each: move.to - move.from,
        hands: busy,
      })
  }
  return told
}
