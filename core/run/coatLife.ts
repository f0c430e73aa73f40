import { stepInHand, type RunState, type StepState } from './runState'

/** How long a coat may be before the next step begins; moments in milliseconds, `null` for no limit. */
export interface CoatLife {
  /** The step whose plan sets the limits. */
  step: StepState
  /** The end of coating. */
  from: number
  notBefore: number | null
  bestUntil: number | null
  notAfter: number | null
}

/**
 * The life of the coat that a step uses, or `null` where it uses none or it keeps for good. It counts from the end of
 * coating, however late anyone saw that the sheet was dry: that is an observation and no work.
 *
 * @param steps of one sheet.
 * @param index of the step that uses the coat.
 */
export function lifeBefore(steps: readonly StepState[], index: number): CoatLife | null {
  // What was left out took no time, and says nothing about the coat's age.
  const done = steps.slice(0, index).filter(({ skipped }) => skipped !== 'leftOut')
  let at = done.length - 1
  // Drying, resting and humidifying follow the coat and change nothing about its age.
  while (done[at]?.planned.kind === 'wait' && done[at - 1]?.planned.kind === 'wait') at--
  const limited = done.slice(Math.max(0, at)).findLast(hasLife)
  const [first, last] = [done[at], done.at(-1)]
  const from = first?.planned.kind === 'wait' ? first.startedAt : first?.finishedAt
  if (!limited || from === undefined || last?.finishedAt === undefined) return null
  const { keepsLeastSeconds, keepsBestSeconds, keepsSeconds } = limited.planned
  const moment = (seconds: number | undefined) => (seconds === undefined ? null : from + seconds * 1000)
  return {
    step: limited,
    from,
    notBefore: moment(keepsLeastSeconds),
    bestUntil: moment(keepsBestSeconds),
    notAfter: moment(keepsSeconds),
  }
}

const hasLife = ({ planned }: StepState): boolean =>
  planned.keepsLeastSeconds !== undefined ||
  planned.keepsBestSeconds !== undefined ||
  planned.keepsSeconds !== undefined

/** The life of the coat that waits for its next step, or `null` where none waits or it keeps for good. */
export const lifeOf = (state: RunState): CoatLife | null =>
  stepInHand(state)?.status === 'waiting' && !state.setAside ? lifeBefore(state.steps, state.current) : null
