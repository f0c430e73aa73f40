import { stepInHand, type RunState } from '../run/runState'
import type { DayPlan } from '../schema/plan'

/** How a sheet stands against its plan. */
export interface Slipping {
  sheetId: string
  stepId: string
  seconds: number
  /** Whether it waits still; else it began so late. */
  isWaiting: boolean
}

/** A press comes when the hands are free; this is no slip. */
const SLACK_SECONDS = 120

/**
 * How far every sheet of a plan is from it: the step that is due and has not begun, else the last that began.
 *
 * @param now milliseconds.
 * @returns only sheets that are late by more than two minutes, the latest first.
 */
export function slippingOf(plan: DayPlan, states: readonly RunState[], now: number): Slipping[] {
  return states
    .filter((state) => plan.sheetIds.includes(state.sheetId) && !state.setAside)
    .flatMap((state) => againstPlan(plan, state, now) ?? [])
    .filter((one) => one.seconds > SLACK_SECONDS)
    .sort((a, b) => b.seconds - a.seconds)
}

function againstPlan(plan: DayPlan, state: RunState, now: number): Slipping | null {
  const plannedFor = (stepId: string) =>
    plan.moves.find((move) => move.sheetId === state.sheetId && move.stepId === stepId)
  const inHand = stepInHand(state)
  const first = plan.moves.find((move) => move.sheetId === state.sheetId)
  const waiting =
    state.begunAt === null
      ? first
      : inHand?.startedAt === undefined && inHand
        ? plannedFor(inHand.planned.id)
        : undefined
  if (waiting && now > waiting.from)
    return {
      sheetId: state.sheetId,
      stepId: waiting.stepId,
      seconds: (now - waiting.from) / 1000,
      isWaiting: true,
    }
  for (const step of [...state.steps].reverse()) {
    const move = plannedFor(step.planned.id)
    // What ran already when the plan was made tells nothing about it.
    if (step.startedAt === undefined || !move || step.startedAt < plan.madeAt) continue
    return {
      sheetId: state.sheetId,
      stepId: move.stepId,
      seconds: (step.startedAt - move.from) / 1000,
      isWaiting: false,
    }
  }
  return null
}

/** Whether a plan is still of use: something in it has not been done. */
export function isOpen(plan: DayPlan, states: readonly RunState[]): boolean {
  if (plan.endedAt !== undefined) return false
  return states.some(
    (state) =>
      plan.sheetIds.includes(state.sheetId) &&
      !state.setAside &&
      (state.begunAt === null || (stepInHand(state) !== null && stepInHand(state)?.planned.kind !== 'hang')),
  )
}
