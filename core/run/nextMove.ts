import type { Happening } from '../schema/event'
import { clocksOf, type Courses } from './deadlines'
import { stepInHand, type RunState, type StepState } from './runState'

/** The component whose drops are due: the first short of its count, or `null` when all are in. */
export function componentInHand(step: StepState): string | null {
  return (
    (step.planned.drops ?? []).find(({ component, count }) => (step.drops[component] ?? 0) < count)
      ?.component ?? null
  )
}

/**
 * The next thing, for the one big target and the foot pedal: a drop while drops are short; the start of what waits;
 * a look while the light works, and back under it; the end of everything else.
 *
 * @returns what should be recorded when the target is pressed, or `null` when nothing is in hand.
 */
export function nextMove(state: RunState, now: number, courses?: Courses): Happening | null {
  const step = stepInHand(state)
  if (!step || state.setAside) return null
  const { id, kind } = step.planned
  if (kind === 'count') {
    const component = componentInHand(step)
    return component ? { type: 'dropped', component, change: 1 } : { type: 'stepFinished', step: id }
  }
  if (step.status === 'waiting') return { type: 'stepStarted', step: id }
  if (step.status === 'held') return { type: 'returned', step: id }
  if (kind === 'expose' && !isOver(state, now, courses)) return { type: 'looked', step: id }
  return { type: 'stepFinished', step: id }
}

/** Whether the clock of the step in hand has reached what it runs to. */
export function isOver(state: RunState, now: number, courses?: Courses): boolean {
  const id = stepInHand(state)?.planned.id
  const reading = clocksOf(state, now, courses).find((clock) => clock.stepId === id)
  return reading?.remainingSeconds != null && reading.remainingSeconds <= 0
}
