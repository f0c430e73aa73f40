import { computed } from 'vue'
import { ledgeOf } from '@core/run/deadlines'
import { plannedThread, threadOf, type DueStep } from '@core/run/thread'
import { stepInHand, wordsIdOf } from '@core/run/runState'
import { hungAtOf, placeOf } from '@core/run/place'
import { formatSpan } from '@core/quantity/format'
import { useLights } from '../../state/lights.store'
import { useNow } from '../../state/useNow'
import { useWorkroom, type SheetInRoom } from '../../state/workroom.store'
import { stationOfSheet } from '../../state/stations'
import { usePlan } from '../../state/plan.store'
import { ledgeFigure, ledgeLine } from '../../words/clockWords'
import { doneSince, roomNow, runningOrder, type Cue, type SheetThread } from './runningOrder'

/** A step that was moved by hand, in moments. */
export interface MovedStep {
  sheetId: string
  stepId: string
  from: number
  to: number
}

/** A sheet at its place, as the room shows it. */
export interface SheetAtPlace {
  sheetId: string
  /** Of it, or of all the sheets of its row whose clocks run with its own. */
  numbers: number[]
  mark: string
  title: string
  figure: string
  line: string
  isOver: boolean
}

/** A print that was hung longer ago than this belongs to Prints. */
const HUNG_LATELY_MS = 3_600_000
const QUARTER_MS = 900_000
const DAY_MS = 86_400_000

/** What needs hands from now on, where every sheet is, and what was finished today. */
export function useRunningOrder() {
  const [now, workroom, plans, lights] = [useNow(), useWorkroom(), usePlan(), useLights()]

  // The order changes by the minute; there is no need to make it at every beat.
  const minute = computed(() => Math.floor(now.now / 20_000) * 20_000)
  /** Steps that a sheet has still to come by the plan. */
  function dueOf(one: SheetInRoom): DueStep[] | null {
    const plan = plans.current
    if (!plan?.sheetIds.includes(one.sheet.id)) return null
    const hasStarted = one.state.begunAt !== null
    const steps = hasStarted
      ? one.state.steps.slice(one.state.current).map((step) => step.planned)
      : (plans.sheetsOf([one.sheet.id])[0]?.outline ?? [])
    return steps.flatMap((planned) => {
      const move = plan.moves.find((known) => known.sheetId === one.sheet.id && known.stepId === planned.id)
      return move ? [{ planned, from: move.from, to: move.to }] : []
    })
  }
  const threads = computed<SheetThread[]>(() =>
    workroom.open
      .filter(
        (one) =>
          ['coat', 'light', 'wet'].includes(placeOf(one.state)) ||
          (placeOf(one.state) === 'planned' && plans.current?.sheetIds.includes(one.sheet.id)) ||
          minute.value - (hungAtOf(one.state) ?? 0) < HUNG_LATELY_MS,
      )
      .filter((one) => !one.state.setAside)
      .map((one) => {
        const at = Math.max(minute.value, one.state.lastAt)
        const due = dueOf(one)
        const inHand = stepInHand(one.state)
        return {
          sheetId: one.sheet.id,
          number: one.sheet.number,
          title: one.sheet.title,
          mark: one.definition.mark,
          rowId: workroom.ofClock(one.sheet.id).rowId,
          stretches: due ? plannedThread(one.state, due, at) : threadOf(one.state, at),
          runningStepId: inHand?.startedAt === undefined ? null : wordsIdOf(inHand.planned),
        }
      }),
  )
  const order = computed(() => runningOrder(threads.value, minute.value))
  const today = computed(() => new Date(minute.value).setHours(0, 0, 0, 0))
  const done = computed(() => doneSince(threads.value, Math.max(today.value, minute.value - DAY_MS)))

  const clocks = computed(
    () => new Map(ledgeOf(workroom.states, now.now, lights.courseOf).map((clock) => [clock.sheetId, clock])),
  )
  const room = computed(() =>
    roomNow(threads.value).map((place) => ({
      ...place,
      sheets: rowsOf(place.sheetIds).flatMap((ids): SheetAtPlace[] => {
        const id = ids[0] ?? ''
        const thread = threads.value.find((one) => one.sheetId === id)
        const one = workroom.find(id)
        if (!thread || !one) return []
        const clock = clocks.value.get(id)
        return [
          {
            sheetId: id,
            numbers: ids.flatMap((each) => workroom.find(each)?.sheet.number ?? []),
            mark: thread.mark,
            title: ids.length > 1 ? `${ids.length} sheets` : thread.title,
            figure: clock ? ledgeFigure(clock) : '',
            line: clock
              ? ledgeLine(one.definition, clock, now.now)
              : place.place === 'line'
                ? 'drying'
                : 'waiting',
            isOver: (clock?.remainingSeconds ?? 1) <= 0,
          },
        ]
      }),
    })),
  )
  /** Sheets of a row whose clocks show the same are one entry. */
  function rowsOf(ids: readonly string[]): string[][] {
    const rows = new Map<string, string[]>()
    for (const id of ids) {
      const [{ rowId }, clock] = [workroom.ofClock(id), clocks.value.get(id)]
      const key = rowId ? `${rowId}/${clock?.stepId ?? ''}/${clock ? ledgeFigure(clock) : ''}` : id
      rows.set(key, [...(rows.get(key) ?? []), id])
    }
    return [...rows.values()]
  }
  const stepTitle = (sheetId: string, stepId: string) =>
    workroom.find(sheetId)?.definition.steps.find((step) => step.id === stepId)?.title ?? stepId
  const durationOf = (cue: Cue) => (cue.seconds >= 60 ? formatSpan(Math.round(cue.seconds / 60) * 60) : '')
  const placeToGo = (sheetId: string) => {
    const one = workroom.find(sheetId)
    return { name: one ? stationOfSheet(one.state) : 'today', params: { sheetId } }
  }
  /** The step so many quarters of an hour earlier or later. */
  const moved = (cue: Cue, quarters: number): MovedStep | null =>
    cue.planId
      ? { sheetId: cue.sheetId, stepId: cue.planId, from: cue.at, to: cue.at + quarters * QUARTER_MS }
      : null
  return { order, room, done, stepTitle, durationOf, placeToGo, moved, plans }
}
