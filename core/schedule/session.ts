import { lifeOf } from '../run/coatLife'
import { targetOf } from '../run/deadlines'
import { GLASS_SECONDS } from '../run/glass'
import { elapsedSeconds } from '../run/clock'
import { clockOf, stepInHand, wordsIdOf, type RunState } from '../run/runState'
import type { ProcessDefinition } from '../schema/definition'
import type { PlannedStep } from '../schema/event'
import type { Pin, PlanRoom } from '../schema/plan'
import type { Sheet } from '../schema/records'
import type { Operation, Problem, Use } from './problem'
import { HANDS, Resources, whole, use } from './resources'
import { type Link, linksBetween } from './links'

/** A sheet that is to be printed in a session, planned or under way. */
export interface SheetToPlan {
  sheet: Pick<Sheet, 'id' | 'lightId' | 'batch' | 'over' | 'choices'>
  definition: ProcessDefinition
  state: RunState
  /** Its steps where work has not begun (see `outlineOf`); else its log has them. */
  outline: readonly PlannedStep[]
  /** Whether it is printed by the sun, under which as many frames are as there are. */
  isSun?: boolean
  /** When the print under this layer is dry, milliseconds. */
  notBefore?: number | undefined
}

export interface SessionInput {
  sheets: readonly SheetToPlan[]
  room: PlanRoom
  /** Nothing begins before this, milliseconds; for a plan of what is under way, the present moment. */
  from: number
  finishBy?: number | undefined
  pins: readonly Pin[]
}

/** An operation of the problem, and which step of which sheet it is. */
export interface StepAt {
  sheetId: string
  stepId: string
  wordsId: string
  kind: PlannedStep['kind']
}

export interface Session {
  problem: Problem
  /** By job and place, like the problem. */
  steps: readonly (readonly StepAt[])[]
  from: number
  /** Coats whose life was over before the session could begin: they are planned as if they still served. */
  spent: readonly { sheetId: string; stepId: string }[]
}
/** From the frame the sheet goes to its bath, from bath to bath it does not be about: greatest waits, common practice. */
const STRAIGHT_FROM_FRAME = 300
const STRAIGHT_FROM_BATH = 120
const STRAIGHT: Partial<Record<PlannedStep['kind'], number>> = {
  expose: STRAIGHT_FROM_FRAME,
  bath: STRAIGHT_FROM_BATH,
}
/** A bath of no more than this keeps the hands at it all the while. */
const ATTENDED_SECONDS = 180
/** A solution without a ceiling of its own is not left for longer than so many times its least time. */
const SOLUTION_STRETCH = 2

/** The problem of a session: what is left to do to each sheet, and what of the room each step takes. */
export function sessionOf(input: SessionInput): Session {
  const room = new Resources(input.room)
  const spent: { sheetId: string; stepId: string }[] = []
  const steps: StepAt[][] = []
  const jobs: Operation[][] = []
  for (const one of input.sheets) {
    const chain = chainOf(one, input, room, spent)
    steps.push(chain.map((link) => link.step))
    jobs.push(chain.map((link) => link.operation))
  }
  leaveOutCrowding(jobs, room.list)
  const problem: Problem = {
    resources: room.list,
    jobs,
    after: linksBetween(input.sheets, steps),
    ...(input.finishBy !== undefined && { finishBy: secondsAfter(input.from, input.finishBy) }),
  }
  return { problem, steps, from: input.from, spent }
}

/** More may be in a tray at this moment than should: what is too many is taken as not in the way. */
function leaveOutCrowding(jobs: Operation[][], resources: Problem['resources']): void {
  const load = resources.map(() => 0)
  for (const job of jobs) {
    const first = job[0]
    if (first?.notAfter !== 0) continue
    job[0] = {
      ...first,
      uses: first.uses.filter((one) => {
        if (one.from.edge !== 'start') return true
        load[one.resource]!++
        return load[one.resource]! <= resources[one.resource]!.capacity
      }),
    }
  }
}

const secondsAfter = (from: number, at: number) => Math.round((at - from) / 1000)

function chainOf(
  one: SheetToPlan,
  input: SessionInput,
  room: Resources,
  spent: { sheetId: string; stepId: string }[],
): Link[] {
  const { sheet, state, outline } = one
  const isBegun = state.begunAt !== null
  if (state.setAside) return []
  const plannedSteps = isBegun ? state.steps.slice(state.current).map((step) => step.planned) : outline
  const links: Link[] = []
  for (const [i, planned] of plannedSteps.entries()) {
    const next = plannedSteps[i + 1]
    const step = { sheetId: sheet.id, stepId: planned.id, wordsId: wordsIdOf(planned), kind: planned.kind }
    const length = isBegun
      ? (state.steps[state.current + i]?.plannedSeconds ?? planned.plannedSeconds)
      : planned.plannedSeconds
    const base: Operation = {
      ...lengthOf(planned, length, room.trayOf(one, planned) !== null),
      ...waitAfter(planned, next),
      uses: usesOf(planned, length, one, room),
    }
    links.push({ step, operation: withPins(base, step, input) })
    if (planned.kind === 'hang') break
  }
  const first = links[0]
  if (!first) return links
  const inHand = stepInHand(state)
  if (isBegun && inHand && inHand.startedAt !== undefined && inHand.planned.kind !== 'hang')
    first.operation = underWay(first.operation, state, input.from)
  else if (isBegun && inHand?.planned.kind === 'hang' && inHand.startedAt !== undefined) return []
  else first.operation = opened(first.operation, one, input, first.step, spent)
  return links
}

function lengthOf(
  { kind, leastSeconds, mostSeconds }: PlannedStep,
  exposureSeconds: number | undefined,
  isInSolution: boolean,
): Pick<Operation, 'leastSeconds' | 'mostSeconds'> {
  const fixed = (seconds: number) => ({ leastSeconds: Math.round(seconds), mostSeconds: Math.round(seconds) })
  if (kind === 'count') return fixed(HANDS.counting)
  if (kind === 'act') return fixed(mostSeconds ?? HANDS.coating)
  if (kind === 'expose') return fixed(exposureSeconds ?? 0)
  if (kind === 'hang') return fixed(HANDS.hanging)
  const least = waitSeconds({ leastSeconds })
  if (kind === 'wait') return { leastSeconds: least, mostSeconds: least }
  const ceiling = mostSeconds ?? (isInSolution ? SOLUTION_STRETCH * least : Infinity)
  return { leastSeconds: least, mostSeconds: Math.max(least, ceiling) }
}

/** How long a step without a planned end is meant to take at least. */
const waitSeconds = ({ leastSeconds }: { leastSeconds?: number | undefined }): number =>
  Math.max(1, Math.round(leastSeconds ?? 60))

function waitAfter(
  planned: PlannedStep,
  next: PlannedStep | undefined,
): Pick<Operation, 'waitLeastSeconds' | 'waitMostSeconds' | 'waitBestSeconds'> {
  if (!next) return { waitLeastSeconds: 0, waitMostSeconds: Infinity }
  // The frame is laid while the sheet still is where it lay.
  const preparing = next.kind === 'expose' ? HANDS.framing : 0
  if (next.begins === 'atOnce') return { waitLeastSeconds: 0, waitMostSeconds: 0 }
  const { keepsLeastSeconds, keepsSeconds, keepsBestSeconds, kind } = planned
  const usual = STRAIGHT[kind] ?? (kind === 'count' ? GLASS_SECONDS : Infinity)
  // A coat's life counts from the end of coating, and this wait has used some of it.
  const age = kind === 'wait' ? waitSeconds(planned) : 0
  const least = Math.max(preparing, (keepsLeastSeconds ?? 0) - age)
  return {
    waitLeastSeconds: least,
    waitMostSeconds: Math.max(least, (keepsSeconds ?? usual + age) - age),
    ...(keepsBestSeconds !== undefined && { waitBestSeconds: Math.max(least, keepsBestSeconds - age) }),
  }
}

function usesOf(
  planned: PlannedStep,
  exposureSeconds: number | undefined,
  one: SheetToPlan,
  room: Resources,
): Use[] {
  const [hands, frames, drying] = [0, 1, 2]
  switch (planned.kind) {
    case 'count':
    case 'act':
    case 'hang':
      return [whole(hands)]
    case 'wait':
      return [whole(drying)]
    case 'expose': {
      const looks = one.definition.steps.find((step) => step.id === wordsIdOf(planned))?.looks ?? []
      const seconds = exposureSeconds ?? 0
      return [
        whole(room.light(one)),
        use(frames, 'start', -HANDS.framing, 'end', HANDS.unframing),
        use(hands, 'start', -HANDS.framing, 'start', 0),
        use(hands, 'end', 0, 'end', HANDS.unframing),
        ...looks.map((look) => {
          const at = Math.round(look.share * seconds)
          return use(hands, 'start', at, 'start', at + HANDS.looking)
        }),
      ]
    }
    case 'bath': {
      const tray = whole(room.bath(one, planned))
      const most = planned.mostSeconds ?? Infinity
      const isAttended = (planned.leastSeconds ?? 0) < 2 * HANDS.moving + 20 || most <= ATTENDED_SECONDS
      return isAttended
        ? [tray, whole(hands)]
        : [tray, use(hands, 'start', 0, 'start', HANDS.moving), use(hands, 'end', -HANDS.moving, 'end', 0)]
    }
  }
}

function withPins(operation: Operation, step: StepAt, { pins, from }: SessionInput): Operation {
  let { notBefore, notAfter } = operation
  for (const pin of pins) {
    if (pin.sheetId !== step.sheetId || pin.stepId !== step.stepId) continue
    const at = secondsAfter(from, pin.at)
    if (pin.edge === 'notBefore') notBefore = Math.max(notBefore ?? 0, at)
    else notAfter = Math.min(notAfter ?? Infinity, at)
  }
  return {
    ...operation,
    ...(notBefore !== undefined && { notBefore }),
    ...(notAfter !== undefined && { notAfter }),
  }
}

/** A step that runs already: it is where it is, for what is left of it. */
function underWay(operation: Operation, state: RunState, now: number): Operation {
  const step = stepInHand(state)!
  const elapsed = elapsedSeconds(clockOf(step)!, now)
  const target = targetOf(step).seconds ?? operation.leastSeconds
  const least = Math.max(
    0,
    Math.ceil((step.planned.kind === 'act' ? operation.leastSeconds : target) - elapsed),
  )
  const stretch = operation.mostSeconds - operation.leastSeconds
  return {
    ...operation,
    leastSeconds: least,
    mostSeconds: least + stretch,
    notBefore: 0,
    notAfter: 0,
    // What the hands did to begin it is done; looks that are past cannot be told from those to come, so none is counted.
    uses: operation.uses.flatMap((one) =>
      one.from.edge === 'start' && one.to.edge === 'end'
        ? [{ ...one, from: { edge: 'start' as const, plus: 0 } }]
        : one.from.edge === 'end'
          ? least + one.from.plus >= 0
            ? [one]
            : []
          : [],
    ),
  }
}

/** A step that waits to be begun, with what is left of the life of what was done last. */
function opened(
  operation: Operation,
  { state, notBefore: dryAt }: SheetToPlan,
  { from: now, sheets }: SessionInput,
  step: StepAt,
  spent: { sheetId: string; stepId: string }[],
): Operation {
  const life = lifeOf(state)
  const preparing = step.kind === 'expose' ? HANDS.framing : 0
  const notBefore = Math.max(
    operation.notBefore ?? 0,
    preparing,
    life?.notBefore == null ? 0 : secondsAfter(now, life.notBefore),
    dryAt === undefined ? 0 : secondsAfter(now, dryAt),
  )
  let notAfter = operation.notAfter
  if (life?.notAfter != null) {
    const end = secondsAfter(now, life.notAfter)
    if (end < notBefore) spent.push({ sheetId: step.sheetId, stepId: step.stepId })
    else notAfter = Math.min(notAfter ?? Infinity, end)
  }
  const before = state.steps[state.current - 1]
  const straight = before && step.kind === 'bath' ? STRAIGHT[before.planned.kind] : undefined
  if (before?.finishedAt !== undefined && straight !== undefined) {
    // Where it is about too long already, it is next, or soon after others of its kind.
    const soon = Math.max(secondsAfter(now, before.finishedAt) + straight, sheets.length * STRAIGHT_FROM_BATH)
    notAfter = Math.min(notAfter ?? Infinity, soon)
  }
  return { ...operation, notBefore, ...(notAfter !== undefined && { notAfter }) }
}
