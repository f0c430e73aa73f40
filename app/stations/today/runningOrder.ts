import type { ThreadStretch } from '@core/run/thread'
import type { PlaceName } from '@core/schema/definition'

/** One sheet's way through the room, with what it is called. */
export interface SheetThread {
  sheetId: string
  number: number
  title: string
  mark: string
  /** The row that it is worked with, if any. */
  rowId?: string | undefined
  stretches: readonly ThreadStretch[]
  /** The step whose clock is running, if one is. */
  runningStepId: string | null
}

/** A moment that needs hands: a step of a sheet that is to be started. */
export interface Cue {
  kind: 'cue'
  key: string
  /** Moment of the step's start, milliseconds. */
  at: number
  isNow: boolean
  sheetId: string
  number: number
  /** Numbers of the sheets of a row for which it is one act; one number for a sheet by itself. */
  numbers: number[]
  rowId: string | undefined
  title: string
  mark: string
  stepId: string
  /** The step of the plan that may be moved; `null` without a plan. */
  planId: string | null
  /** How long the step takes. */
  seconds: number
}

/** A wait between two cues. */
export interface Gap {
  kind: 'gap'
  key: string
  seconds: number
}

/** A step that was finished. */
export interface DoneStep {
  key: string
  at: number
  number: number
  numbers: number[]
  rowId: string | undefined
  mark: string
  title: string
  stepId: string
  sheetId: string
}

/** A place of the room, with the sheets that are in it. */
export interface RoomPlace {
  place: PlaceName
  title: string
  sheetIds: string[]
}

const PLACES: readonly { place: PlaceName; title: string }[] = [
  { place: 'bench', title: 'Bench' },
  { place: 'dark', title: 'Dark drawer' },
  { place: 'light', title: 'Light' },
  { place: 'water', title: 'Water' },
  { place: 'line', title: 'Drying line' },
]

/** A wait shorter than this is not worth a line. */
const SHORTEST_GAP_MS = 5 * 60_000
/** Steps that one goes straight on to after counting: they are one cue together. */
const STRAIGHT_ON_MS = 60_000

/** Acts of a row within this of each other are one. */
const TOGETHER_MS = 60_000

const isStart = (stretch: ThreadStretch) => stretch.ahead && stretch.manner !== 'waits'

/** Every moment that needs hands from now on, in order of time, with the waits between. */
export function runningOrder(threads: readonly SheetThread[], now: number): (Cue | Gap)[] {
  const each = threads
    .flatMap((thread) => cuesOf(thread, now))
    .sort((a, b) => a.at - b.at || a.number - b.number)
  // What a plan has placed is moved sheet by sheet.
  const cues = inRows(each, (cue) => cue.planId === null)
  return cues.flatMap((cue, i) => {
    const wait = cue.at - Math.max(now, cues[i - 1]?.at ?? now)
    return wait >= SHORTEST_GAP_MS
      ? [{ kind: 'gap' as const, key: `gap ${cue.key}`, seconds: wait / 1000 }, cue]
      : [cue]
  })
}

function cuesOf(thread: SheetThread, now: number): Cue[] {
  const starts = thread.stretches.filter(
    (stretch) => isStart(stretch) && !(stretch.stepId === thread.runningStepId && stretch.from <= now),
  )
  return starts
    .filter((stretch, i) => {
      const before = starts[i - 1]
      return !(before?.manner === 'hands' && before.place === 'bench' && stretch.place === 'bench' && stretch.from - before.to < STRAIGHT_ON_MS) // prettier-ignore
    })
    .map((stretch) => ({
      kind: 'cue',
      key: `${thread.sheetId}/${stretch.planId ?? stretch.stepId}`,
      at: stretch.from,
      isNow: stretch.from <= now,
      sheetId: thread.sheetId,
      number: thread.number,
      numbers: [thread.number],
      rowId: thread.rowId,
      title: thread.title,
      mark: thread.mark,
      stepId: stretch.stepId,
      planId: stretch.planId ?? null,
      seconds: (stretch.to - stretch.from) / 1000,
    }))
}

/** Where every sheet is now, place by place in the order of the work. */
export function roomNow(threads: readonly SheetThread[]): RoomPlace[] {
  const placeOf = ({ stretches }: SheetThread) => stretches.findLast((stretch) => !stretch.ahead)?.place
  return PLACES.map(({ place, title }) => ({
    place,
    title,
    sheetIds: threads.filter((thread) => placeOf(thread) === place).map(({ sheetId }) => sheetId),
  }))
}

/** What was finished since a moment, the latest first. */
export function doneSince(threads: readonly SheetThread[], since: number): DoneStep[] {
  const each = threads
    .flatMap(({ stretches, runningStepId, ...thread }) =>
      stretches
        .filter(
          (stretch) =>
            !stretch.ahead &&
            stretch.manner !== 'waits' &&
            stretch.to >= since &&
            stretch.stepId !== runningStepId,
        )
        .map((stretch) => ({
          key: `${thread.sheetId}/${stretch.stepId}/${stretch.from}`,
          at: stretch.to,
          number: thread.number,
          numbers: [thread.number],
          rowId: thread.rowId,
          mark: thread.mark,
          title: thread.title,
          stepId: stretch.stepId,
          sheetId: thread.sheetId,
        })),
    )
    .sort((a, b) => b.at - a.at)
  return inRows(each)
}

/** Acts for sheets of a row that fall together, as one act; the first of them stands for all. */
function inRows<Act extends Pick<Cue, 'at' | 'rowId' | 'stepId' | 'numbers'>>(
  acts: readonly Act[],
  mayJoin: (act: Act) => boolean = () => true,
): Act[] {
  const joined: Act[] = []
  for (const act of acts) {
    const first = joined.findLast(
      (one) =>
        act.rowId !== undefined &&
        one.rowId === act.rowId &&
        one.stepId === act.stepId &&
        Math.abs(one.at - act.at) <= TOGETHER_MS,
    )
    if (first && mayJoin(act) && mayJoin(first)) first.numbers.push(...act.numbers)
    else joined.push({ ...act, numbers: [...act.numbers] })
  }
  return joined
}
