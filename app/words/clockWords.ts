import { isOverExposed, type ClockReading } from '@core/run/deadlines'
import { formatClock, formatSpan } from '@core/quantity/format'
import type { ProcessDefinition } from '@core/schema/definition'
import { momentSaid } from './moments'

/** From here on seconds no longer matter, and a clock is said in hours. */
const HOURS_FROM = 3 * 3600

/** From an hour past its time on, a clock is said in hours. */
const LATE_FROM = 3600

const stepOf = (definition: ProcessDefinition, id: string) => definition.steps.find((step) => step.id === id)

/** The figure of a clock on the ledge. */
export function ledgeFigure(clock: ClockReading): string {
  // A countdown shows the second it is in until that second is over, so that 0:00 is the end and not the last second.
  const seconds = clock.remainingSeconds === null ? clock.elapsedSeconds : Math.ceil(clock.remainingSeconds)
  if (seconds >= HOURS_FROM) return formatSpan(Math.floor(seconds / 60) * 60)
  return seconds <= -LATE_FROM ? `+${formatSpan(Math.floor(-seconds / 60) * 60)}` : formatClock(seconds)
}

/** Whether a clock is so far past its time that what to do matters more than the seconds. */
export const isLate = (clock: ClockReading): boolean => (clock.remainingSeconds ?? 1) <= -LATE_FROM

/** What to do about a clock that is long past its time. */
export function lateWords(definition: ProcessDefinition, clock: ClockReading): string {
  const step = stepOf(definition, clock.wordsId)
  // Past a minimum nothing is late: it can be looked at, and the step finished, at any time.
  const how = clock.kind === 'atLeast' ? 'check now' : 'overdue'
  return clock.kind === 'atLeast' || clock.kind === 'toEnd' || clock.kind === 'within'
    ? `${how}: ${(step?.press.finish ?? 'finish the step').replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase())}`
    : endWords(definition, clock)
}

/** What is under it: what the sheet is doing, or until when it keeps. */
export function ledgeLine(definition: ProcessDefinition, clock: ClockReading, now: number): string {
  if (clock.kind === 'keeps')
    return `${stepOf(definition, clock.wordsId)?.place === 'line' ? 'use' : 'print'} before ${clock.dueAt === null ? '' : momentSaid(clock.dueAt, now)}`
  if (clock.kind === 'rests') return 'resting, do not print yet'
  const doing = stepOf(definition, clock.wordsId)?.meanwhile ?? clock.stepId
  return clock.held ? `${doing}, held` : doing
}

/** What is said again of an exposure that runs past its end. */
export function stillExposing(clock: ClockReading): string {
  const isOver = isOverExposed(clock.elapsedSeconds, clock.targetSeconds ?? Infinity)
  return `still exposing, ${formatSpan(-(clock.remainingSeconds ?? 0))} past its end${isOver ? ', over-exposed' : ''}`
}

/** What is said when a clock runs out. */
export function endWords(definition: ProcessDefinition, clock: ClockReading): string {
  const step = stepOf(definition, clock.wordsId)
  switch (clock.kind) {
    case 'toEnd':
      return 'exposure done'
    case 'within':
      return 'coating time is over'
    case 'rests':
      return 'rested, ready to use'
    case 'keeps':
      return 'the coat is too old'
    case 'atLeast':
      return `${step?.title.toLowerCase() ?? 'this'}: minimum time reached, check now`
  }
}
