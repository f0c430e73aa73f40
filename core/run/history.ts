import { refusalAt } from '../errors'
import type { SheetEvent } from '../schema/event'

/** What a log says has happened, with what was undone left out and what was corrected set right. */
export interface History {
  /** Every event that counts, in the order in which it happened. Corrections are in the events that they correct. */
  happened: SheetEvent[]
  /** Entries that have not been undone, in the order in which they were made, corrections among them. */
  entries: SheetEvent[]
  /** What was corrected or entered late, in the order in which that was done. */
  amendments: Amendment[]
  /** Entries that a redo would bring back, the next one last. */
  undone: SheetEvent[]
}

/** One correction or late entry, and what came of it. */
export interface Amendment {
  /** When it was made. */
  madeAt: number
  /** The entry as it counted before; `null` for one that had been missing. */
  before: SheetEvent | null
  after: SheetEvent
}

/**
 * Reads a log: an undo takes away the last entry, a redo brings it back, a correction changes an earlier entry, and an
 * entry made late is put where it happened. The log itself keeps all of them.
 *
 * @param log every event of one sheet, in the order in which they were written.
 * @throws CoreError `nothing-to-undo` and `nothing-to-redo` where an undo or redo names anything but the entry whose turn
 *   it is; `nothing-to-correct` where a correction names no earlier entry, or gives it what it cannot have; `not-yet`
 *   where something would be dated after the entry that says so; `back-in-time` where a corrected log was not written
 *   in order.
 */
export function historyOf(log: readonly SheetEvent[]): History {
  const entries: SheetEvent[] = []
  let undone: SheetEvent[] = []
  for (const event of log) {
    if (event.type === 'undone') {
      const last = entries.pop()
      if (last?.id !== event.eventId)
        throw refuse(
          'nothing-to-undo',
          'Only the latest entry can be undone.',
          'Undo the later entries first.',
        )
      undone.push(last)
    } else if (event.type === 'redone') {
      const next = undone.pop()
      if (next?.id !== event.eventId)
        throw refuse('nothing-to-redo', 'Only what was just undone can be redone.', 'Enter it again.')
      entries.push(next)
    } else {
      entries.push(event)
      undone = []
    }
  }
  return { ...amended(entries), entries, undone }
}

/**
 * The entries that belong together with the last of a list: corrections that were made at once, else that one alone.
 *
 * @returns the last first; none for an empty list.
 */
export function madeAtOnce(entries: readonly SheetEvent[]): SheetEvent[] {
  const last = entries.at(-1)
  if (!last) return []
  const start = entries.findLastIndex((one) => !isAboutEntries(one) || one.at !== last.at) + 1
  return isAboutEntries(last) ? entries.slice(start).reverse() : [last]
}

/** The events of a log that count, each as it was corrected last, in the order in which they happened. */
export const effectiveEvents = (log: readonly SheetEvent[]): SheetEvent[] => historyOf(log).happened

const ABOUT_ENTRIES = ['undone', 'redone', 'corrected', 'enteredLate'] as const

type AboutEntries = Extract<SheetEvent, { type: (typeof ABOUT_ENTRIES)[number] }>

/** Whether an event says something about other entries, so that only the whole log tells what it amounts to. */
export const isAboutEntries = (event: SheetEvent): event is AboutEntries =>
  (ABOUT_ENTRIES as readonly string[]).includes(event.type)

function amended(entries: SheetEvent[]): Pick<History, 'happened' | 'amendments'> {
  if (!entries.some(isAboutEntries)) return { happened: entries, amendments: [] }
  const happened = new Map<string, SheetEvent>()
  const amendments: Amendment[] = []
  let before = 0
  for (const event of entries) {
    if (event.at < before)
      throw refuse(
        'back-in-time',
        'This entry is dated before earlier entries.',
        'Check the clock of this computer.',
      )
    before = event.at
    const next = event.type === 'corrected' ? setRight(happened, event) : asHappened(event)
    if (next.at > event.at)
      throw refuse('not-yet', 'A correction cannot be in the future.', 'Enter the time at which it happened.')
    if (isAboutEntries(event))
      amendments.push({ madeAt: event.at, before: happened.get(next.id) ?? null, after: next })
    happened.set(next.id, next)
  }
  // What happened at one moment keeps the order in which it was written.
  return { happened: [...happened.values()].sort((a, b) => a.at - b.at || a.index - b.index), amendments }
}

function setRight(
  happened: ReadonlyMap<string, SheetEvent>,
  { eventId, right }: Extract<SheetEvent, { type: 'corrected' }>,
): SheetEvent {
  const wrong = happened.get(eventId)
  if (!wrong)
    throw refuse(
      'nothing-to-correct',
      'The corrected entry is missing from this log.',
      'Correct an entry of this sheet.',
    )
  const { at = wrong.at, drops, drawn, dose } = right
  if (!drops && !drawn && !dose) return { ...wrong, at }
  if (wrong.type !== 'stepFinished')
    throw refuse(
      'nothing-to-correct',
      'This entry holds no amounts.',
      'Correct the amounts of a finished step.',
    )
  return { ...wrong, at, ...(drops && { drops }), ...(drawn && { drawn }), ...(dose && { dose }) }
}

/** An entry made late as the event that it tells of; any other as it is. */
function asHappened(event: SheetEvent): SheetEvent {
  if (event.type !== 'enteredLate') return event
  const { id, sheetId, index, happenedAt, what } = event
  return { ...what, id, sheetId, index, at: happenedAt }
}

const refuse = refusalAt('sheet')
