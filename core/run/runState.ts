import type {
  CountedDose,
  Draw,
  Judged,
  Measured,
  Tested,
  PlannedLook,
  PlannedStep,
  SheetEvent,
  SheetEventType,
} from '../schema/event'
import type { Clock, Hold } from './clock'

/** One step of a run: what was planned, and what has happened to it. */
export interface StepState {
  planned: PlannedStep
  status: 'waiting' | 'running' | 'held' | 'done'
  startedAt?: number
  finishedAt?: number
  /** Set where it is behind the sheet and nothing of it was recorded: left out here, or done before the sheet came. */
  skipped?: 'leftOut' | 'doneBefore'
  /** It was dried with a hair dryer. */
  byHairDryer?: true
  holds: Hold[]
  /** Drops counted so far, by component. */
  drops: Record<string, number>
  /** Stamps of the changes of water. */
  waters: number[]
  /** Planned end of an exposure after all changes to it. */
  plannedSeconds?: number
  changes: { at: number; said: string; plannedSeconds: number }[]
  /** What was taken off the shelf for it. */
  drawn: readonly Draw[]
  /** The light under which an exposure began, mW/cm², where it was known. */
  milliwattsPerCm2?: number
  /** What an exposure came to. */
  dose?: CountedDose
  /** The bath in which the print lay. */
  bathId?: string
  /** An earlier step that was cut short, for which the least time of this one was made longer. */
  lengthenedBy?: string
}

/** Whether what was mixed for a coat was enough. */
export interface CoatJudgement {
  coat: number
  said: 'short' | 'right' | 'over'
  byMillilitres?: number
}

export type StripRead = Pick<Extract<SheetEvent, { type: 'stripRead' }>, 'at' | 'densities' | 'by' | 'mark'>

/** What a sheet's log amounts to. Plain data: it can be stored and compared. */
export interface RunState {
  sheetId: string
  begunAt: number | null
  steps: StepState[]
  /** Index of the step in hand; the number of steps when all are done. */
  current: number
  looks: PlannedLook[]
  judgements: Judged[]
  measurements: Measured[]
  /** Tests of permanence; absent where there was none. */
  tested?: Tested[]
  coatsJudged: CoatJudgement[]
  photoIds: string[]
  /** The last reading of a test strip. */
  stripRead: StripRead | null
  /** Air of the room as it was last read, for this sheet. */
  room: { at: number; celsius: number; relativeHumidity: number } | null
  notes: { at: number; text: string }[]
  setAside: { at: number; reason: string } | null
  /** Events in the log, those undone included; the index of the next one. */
  length: number
  /** The event that an undo would undo. */
  last: { id: string; type: SheetEventType; at: number } | null
  /** The entry that a redo would bring back; absent where there is none. */
  redo?: { id: string; type: SheetEventType; at: number }
  /** No later event may be stamped before this. */
  lastAt: number
}

/** The state of a sheet with an empty log. */
export const emptyRun = (sheetId: string): RunState => ({
  sheetId,
  begunAt: null,
  steps: [],
  current: 0,
  looks: [],
  judgements: [],
  measurements: [],
  coatsJudged: [],
  photoIds: [],
  stripRead: null,
  room: null,
  notes: [],
  setAside: null,
  length: 0,
  last: null,
  lastAt: 0,
})

/** New with every event: tells two states of one sheet apart. */
export const revisionOf = (state: RunState): string => `${state.length}/${state.last?.id ?? ''}`

/** The step in hand, or `null` before work begins and after the last. */
export const stepInHand = (state: RunState): StepState | null => state.steps[state.current] ?? null

/** Id of the step of the process that a planned step is one of: its own, or the first coat's for a later coat. */
export const wordsIdOf = (planned: PlannedStep): string => planned.of ?? planned.id

/** The clock of a step, or `null` while it has not started. */
export const clockOf = (step: StepState): Clock | null =>
  step.startedAt === undefined
    ? null
    : { startedAt: step.startedAt, holds: step.holds, finishedAt: step.finishedAt }
