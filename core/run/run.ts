import { refusalAt } from '../errors'
import type { Judged, SheetEvent } from '../schema/event'
import type { Hold } from './clock'
import { begin } from './begin'
import { copied, growing, type Grow } from './grow'
import { historyOf, isAboutEntries } from './history'
import { leaveOut } from './leaveOut'
import { hungStep, judgeCoat, measure, readStrip, test } from './readings'
import { madeUpFor } from './shortened'
import { type StepState, type RunState, emptyRun } from './runState'

/**
 * The state of a sheet from its whole log.
 *
 * @param log every event of the sheet, in the order of `index`, from 0.
 * @throws CoreError `out-of-order` when the log has a gap or belongs to another sheet; otherwise as `advance`.
 */
export function replay(sheetId: string, log: readonly SheetEvent[]): RunState {
  const { happened, entries, undone } = historyOf(log)
  const grow = growing()
  const state = happened.reduce(
    (before, event) => stamped(transition(before, event, grow), event),
    emptyRun(sheetId),
  )
  for (const [index, event] of log.entries())
    if (event.index !== index || event.sheetId !== sheetId)
      throw refuse(
        'out-of-order',
        `Event ${index} of the log is missing or belongs to another log.`,
        'Export again from the original workroom.',
      )
  const [last, next, written] = [entries.at(-1), undone.at(-1), log.at(-1)]
  return {
    ...state,
    ...(written && { length: log.length, lastAt: written.at }),
    last: last ? named(last) : null,
    ...(next && { redo: named(next) }),
  }
}

const named = ({ id, type, at }: SheetEvent): NonNullable<RunState['last']> => ({ id, type, at })

/**
 * The next state after one event. Pure: the state given is not changed.
 *
 * @param event any but one about other entries, such as `undone`: that needs the whole log (see `replay`).
 * @throws CoreError when the event cannot happen in this state, saying what would have to come first.
 */
export function advance(state: RunState, event: SheetEvent): RunState {
  return stamped(transition(state, event, copied), event)
}

/**
 * A state that has just been made, marked with the event that made it. Changed in place: it belongs to no one yet, and to
 * copy it once more would take a third of the time of replaying a log.
 */
export function stamped(fresh: RunState, event: SheetEvent): RunState {
  delete fresh.redo
  return Object.assign(fresh, { length: event.index + 1, last: named(event), lastAt: event.at })
}

/** @returns a fresh state, whatever happened. */
function transition(state: RunState, event: SheetEvent, grow: Grow): RunState {
  if (event.at < state.lastAt)
    throw refuse(
      'back-in-time',
      'This entry would be dated before earlier entries.',
      'Check the clock of this computer.',
    )
  if (event.type === 'begun') return begin(state, event)
  if (event.type === 'noted')
    return { ...state, notes: grow(state.notes, { at: event.at, text: event.text }) }
  if (event.type === 'photographed') return { ...state, photoIds: grow(state.photoIds, event.photoId) }
  if (isAboutEntries(event))
    throw refuse('needs-log', 'An undo or a correction needs the whole log.', 'Replay the log instead.')
  if (state.begunAt === null)
    throw refuse('not-begun', 'This sheet has not been started.', 'Start it in Coat.')
  if (state.setAside)
    throw refuse('set-aside', 'This sheet was set aside.', 'Undo that first if you want to continue.')
  if (event.type === 'setAside') return { ...state, setAside: { at: event.at, reason: event.reason } }
  if (event.type === 'judged') return judge(state, event, grow)
  if (event.type === 'measured') return measure(state, event, grow)
  if (event.type === 'tested') return test(state, event, grow)
  if (event.type === 'coatJudged') return judgeCoat(state, event)
  if (event.type === 'stripRead') return readStrip(state, event)
  if (event.type === 'roomRead') {
    const { at, celsius, relativeHumidity } = event
    return { ...state, room: { at, celsius, relativeHumidity } }
  }
  return work(state, event, grow)
}

function judge(state: RunState, event: Judged, grow: Grow): RunState {
  const hang = hungStep(state, 'judge')
  if (event.moment !== 'later' && state.judgements.some((earlier) => earlier.moment === event.moment))
    throw refuse('judged-already', 'This check has already been recorded.', 'Undo it, or add a note.')
  const judged = { ...state, judgements: grow(state.judgements, event) }
  const atHang = state.steps[state.current] === hang
  return event.moment !== 'wet' && atHang ? finish(judged, event.at) : judged
}

type Work = Extract<
  SheetEvent,
  {
    type:
      | 'dropped'
      | 'stepStarted'
      | 'stepFinished'
      | 'stepLeftOut'
      | 'looked'
      | 'returned'
      | 'waterChanged'
      | 'exposureChanged'
  }
>

/**
 * The state after an event of the work itself.
 *
 * @throws CoreError `all-done` after the last step, `other-step` where the event names another step than the one in
 *   hand, and what the event's own rules refuse.
 */
export function work(state: RunState, event: Work, grow: Grow): RunState {
  const step = state.steps[state.current]
  if (!step) throw refuse('all-done', 'Every step of this sheet is done.', 'Judge it in Prints.')
  if (event.type === 'dropped') return put(state, drop(step, event.component, event.change))
  if (event.step !== step.planned.id)
    throw refuse(
      'other-step',
      `The current step is “${step.planned.id}”.`,
      'Another window may have moved on. Check the sheet again.',
    )

  switch (event.type) {
    case 'stepStarted':
      if (step.status !== 'waiting' || step.planned.kind === 'count')
        throw refuse('running', 'This step has already started.', 'You do not need to do anything.')
      return put(state, start(step, event.at, event.light?.milliwattsPerCm2))
    case 'stepFinished':
      return finish(state, event.at, event)
    case 'stepLeftOut':
      return leaveOut(state, step)
    case 'looked':
      if (step.planned.kind !== 'expose' || step.status !== 'running')
        throw refuse('not-exposing', 'The exposure is paused.', 'Resume it first.')
      return put(state, { ...step, status: 'held', holds: grow(step.holds, { from: event.at }) })
    case 'returned':
      if (step.status !== 'held')
        throw refuse('not-held', 'The exposure is already running.', 'You do not need to do anything.')
      return put(state, { ...step, status: 'running', holds: closeHolds(step.holds, event.at) })
    case 'waterChanged':
      if (step.planned.kind !== 'bath' || step.status !== 'running')
        throw refuse('not-in-bath', 'The print is not in a bath.', 'Put it in the bath first.')
      return put(state, { ...step, waters: grow(step.waters, event.at) })
    case 'exposureChanged':
      if (step.planned.kind !== 'expose')
        throw refuse('not-exposing', 'Only an exposure can be changed.', 'Continue with the current step.')
      return put(state, {
        ...step,
        plannedSeconds: event.plannedSeconds,
        changes: grow(step.changes, { at: event.at, said: event.said, plannedSeconds: event.plannedSeconds }),
      })
  }
}

function drop(step: StepState, component: string, change: number): StepState {
  const counted = step.drops[component]
  if (step.planned.kind !== 'count' || counted === undefined)
    throw refuse(
      'not-counting',
      'Drops of this component are not being counted.',
      'Continue with the current step.',
    )
  if (counted + change < 0) throw refuse('below-nothing', 'There is no drop to undo.', 'Count the first one.')
  return { ...step, drops: { ...step.drops, [component]: counted + change } }
}

const start = (step: StepState, at: number, milliwattsPerCm2?: number): StepState => ({
  ...step,
  status: 'running',
  startedAt: at,
  ...(milliwattsPerCm2 !== undefined && { milliwattsPerCm2 }),
})

type StepFinished = Extract<SheetEvent, { type: 'stepFinished' }>

/** Ends the step in hand and starts the next where the work flows on without a press. */
function finish(
  state: RunState,
  at: number,
  {
    drawn = [],
    dose,
    bathId,
    drops = [],
    byHairDryer,
  }: Pick<Partial<StepFinished>, 'drawn' | 'dose' | 'bathId' | 'drops' | 'byHairDryer'> = {},
): RunState {
  const step = recounted(state.steps[state.current] as StepState, drops)
  if (step.planned.kind === 'count') {
    if (Object.values(step.drops).some((count) => count === 0))
      throw refuse(
        'not-counted',
        'One component has no drops yet.',
        'Count its drops, or enter how many you added.',
      )
  } else if (step.status === 'waiting')
    throw refuse('not-started', 'This step has not started.', 'Start it first.')
  const done: StepState = {
    ...step,
    status: 'done',
    finishedAt: at,
    holds: closeHolds(step.holds, at),
    drawn,
    ...(dose && { dose }),
    ...(bathId !== undefined && { bathId }),
    ...(byHairDryer && { byHairDryer }),
  }
  const steps = madeUpFor(state.steps.with(state.current, done), state.current)
  const moved = { ...state, steps, current: state.current + 1 }
  const next = moved.steps[moved.current]
  return next?.planned.begins === 'atOnce' ? put(moved, start(next, at)) : moved
}

/** The step with the drops that were really in the glass. */
function recounted(step: StepState, drops: NonNullable<StepFinished['drops']>): StepState {
  if (drops.some(({ component }) => step.drops[component] === undefined))
    throw refuse(
      'not-counting',
      'Drops of this component are not counted in this step.',
      'Correct the components of this step.',
    )
  const right = Object.fromEntries(drops.map(({ component, count }) => [component, count]))
  return drops.length ? { ...step, drops: { ...step.drops, ...right } } : step
}

const put = (state: RunState, step: StepState): RunState => ({
  ...state,
  steps: state.steps.with(state.current, step),
})

const closeHolds = (holds: readonly Hold[], at: number): Hold[] =>
  holds.map((hold) => (hold.to === undefined ? { ...hold, to: at } : hold))

const refuse = refusalAt('sheet')
