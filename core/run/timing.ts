import type { ProcessDefinition, StepDefinition } from '../schema/definition'
import { elapsedSeconds } from './clock'
import { lifeBefore } from './coatLife'
import { missingSeconds } from './shortened'
import { clockOf, wordsIdOf, type RunState, type StepState } from './runState'

/** A step that was done early or late, as it happened, and what that means. */
export interface Slip {
  stepId: string
  wordsId: string
  kind: 'early' | 'late' | 'coatEarly' | 'coatLate' | 'leftOut'
  seconds: number
  means: string
  blames: 'paper' | 'bath' | 'hand' | null
}

const SLACK_SECONDS = 5

const COAT_EARLY = 'This coat was used before its rest was over. Expect a softer, weaker print.'
const COAT_LATE = 'This coat was too old. Expect fog and whites that do not clear.'
const EARLY = 'This bath was shorter than its minimum. Some of what it should remove is still in the paper.'
const EARLY_DRYING =
  'This coat dried for less than the minimum. A damp coat sticks to the film and prints soft.'
const LATE = 'This bath was longer than its maximum. Check whether the image has become lighter.'

/**
 * Everything in a sheet's log that came too early or too late, in order; a step that runs past its ceiling among it.
 *
 * @param now milliseconds.
 */
export function slipsOf(state: RunState, definition: ProcessDefinition, now: number): Slip[] {
  return state.steps.flatMap((step, index) => {
    const words = definition.steps.find((one) => one.id === wordsIdOf(step.planned))
    return [...lifeSlips(state.steps, index), ...clockSlips(step, words, now), ...leftOut(step, words)]
  })
}

/** What it means that a step was left out: what it means when it is short, else what it would have been for. */
function leftOut(step: StepState, words: StepDefinition | undefined): Slip[] {
  if (step.skipped !== 'leftOut') return []
  return [
    {
      stepId: step.planned.id,
      wordsId: wordsIdOf(step.planned),
      kind: 'leftOut',
      seconds: 0,
      means: words ? meansLeftOut(words) : 'What it would have done was not done.',
      blames: null,
    },
  ]
}

/** What it means for a print that a step is not done. */
export const meansLeftOut = ({ early, why }: StepDefinition): string => early ?? `What it is for: ${why}`

function lifeSlips(steps: readonly StepState[], index: number): Slip[] {
  const { planned, startedAt } = steps[index] as StepState
  const life = planned.kind === 'wait' ? null : lifeBefore(steps, index)
  if (!life || startedAt === undefined) return []
  const { keepsLeastSeconds, keepsSeconds } = life.step.planned
  const waited = (startedAt - life.from) / 1000
  const slip = (kind: Slip['kind'], seconds: number, means: string): Slip => ({
    stepId: life.step.planned.id,
    wordsId: wordsIdOf(life.step.planned),
    kind,
    seconds,
    means,
    blames: 'hand',
  })
  if (keepsLeastSeconds !== undefined && waited < keepsLeastSeconds - SLACK_SECONDS)
    return [slip('coatEarly', keepsLeastSeconds - waited, COAT_EARLY)]
  if (keepsSeconds !== undefined && waited > keepsSeconds)
    return [slip('coatLate', waited - keepsSeconds, COAT_LATE)]
  return []
}

function clockSlips(step: StepState, words: StepDefinition | undefined, now: number): Slip[] {
  const clock = clockOf(step)
  const { kind, mostSeconds } = step.planned
  if (!clock || (kind !== 'bath' && kind !== 'wait')) return []
  const elapsed = elapsedSeconds(clock, now)
  const slip = (name: 'early' | 'late', seconds: number, means: string, blames: Slip['blames']): Slip => ({
    stepId: step.planned.id,
    wordsId: wordsIdOf(step.planned),
    kind: name,
    seconds,
    means,
    blames,
  })
  const missing = missingSeconds(step)
  if (missing)
    return [slip('early', missing, words?.early ?? (kind === 'wait' ? EARLY_DRYING : EARLY), 'hand')]
  // Longer in water than it must be does no harm, unless the process has words for it.
  const isSolution = words?.tray !== undefined || words?.trays !== undefined
  const ceiling = words?.late?.afterSeconds ?? (words?.late || isSolution ? mostSeconds : undefined)
  // A ceiling that the process names for itself is meant; the end of a usual range is not, and a busy hand is no news.
  const isMeant = words?.late?.afterSeconds !== undefined
  const grace = isMeant ? SLACK_SECONDS : Math.max(15, 0.25 * (ceiling ?? 0))
  if (kind === 'bath' && ceiling !== undefined && elapsed > ceiling + grace)
    return [slip('late', elapsed - ceiling, words?.late?.means ?? LATE, words?.late?.blames ?? 'hand')]
  return []
}

/** Prints on one paper whose whites took too long to clear: the paper may not suit the process. */
export const paperDoubts = (
  works: readonly { state: RunState; definition: ProcessDefinition }[],
  now: number,
): Slip[] =>
  works.flatMap(({ state, definition }) =>
    slipsOf(state, definition, now).filter((slip) => slip.blames === 'paper'),
  )

/**
 * When a tray wants its next rocking, or its sheets a turn, in milliseconds; `null` where nothing runs or nothing is said.
 */
export function nextRocking(step: StepState, now: number): number | null {
  const every = step.planned.rockSeconds
  if (!every || step.startedAt === undefined || step.status !== 'running') return null
  const rounds = Math.floor((now - step.startedAt) / (every * 1000)) + 1
  return step.startedAt + rounds * every * 1000
}
