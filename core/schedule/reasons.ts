import { makespanOf } from './problem'
import { sessionOf, type SessionInput, type SheetToPlan } from './session'
import { solve, type Effort, type Found } from './solve'

/** Why a session has no plan, as what would give it one. */
export type Reason =
  /** Waits of this sheet contradict each other: these steps ask for more time than they allow. */
  | { kind: 'waits'; sheetId: string; stepIds: readonly string[] }
  /** What was moved by hand cannot be kept. */
  | { kind: 'pins' }
  /** All together it takes until then (milliseconds), at the best that was found. */
  | { kind: 'finishBy'; endsAt: number }
  /** This sheet cannot be printed in its windows, whatever the others do. */
  | { kind: 'sheet'; sheetId: string }
  /** These take longer than the session lasts, even by themselves. */
  | { kind: 'tooLong'; sheetIds: readonly string[] }
  /** One more of something in the room would do. */
  | { kind: 'room'; more: keyof SessionInput['room'] }
  /** It goes without this sheet. */
  | { kind: 'without'; sheetId: string }

/** Enough to see whether a changed session has a plan at all. */
const LOOK: Effort = { seed: 1, tries: 120, nodes: 3000 }
const ROOM = [
  'hands',
  'frames',
  'underOneLight',
  'sheetsInATray',
  'rinseTrays',
  'washPlaces',
  'dryingPlaces',
] as const

/** The last thing that is found. */
export function solved(input: SessionInput, effort?: Effort): Found {
  const looking = solve(sessionOf(input).problem, effort)
  for (;;) {
    const { done, value } = looking.next()
    if (done) return value
  }
}

/**
 * What is in the way of a session that has no plan: each thing is let go of by itself, and what then gives a plan is
 * a reason. In the order in which a printer would rather give way.
 */
export function whyNone(input: SessionInput): Reason[] {
  const reasons: Reason[] = []
  const goes = (changed: SessionInput) => solved(changed, LOOK).times !== null
  if (input.pins.length && goes({ ...input, pins: [] })) reasons.push({ kind: 'pins' })
  if (input.finishBy !== undefined) {
    const open = solved({ ...input, finishBy: undefined }, LOOK)
    if (open.times) reasons.push({ kind: 'finishBy', endsAt: input.from + makespanOf(open.times) * 1000 })
  }
  for (const more of ROOM)
    if (goes({ ...input, room: { ...input.room, [more]: input.room[more] + 1 } }))
      reasons.push({ kind: 'room', more })
  const alone = (one: SheetToPlan): SessionInput => ({ ...input, sheets: [one], finishBy: undefined })
  const hopeless = input.sheets.filter((one) => !goes(alone(one)))
  reasons.push(...hopeless.map((one) => whyHopeless(one, alone(one))))
  const others = input.sheets.filter((one) => !hopeless.includes(one))
  const tooLong =
    input.finishBy === undefined
      ? []
      : others
          .filter((one) => !goes({ ...alone(one), finishBy: input.finishBy }))
          .map(({ sheet }) => sheet.id)
  if (tooLong.length) reasons.push({ kind: 'tooLong', sheetIds: tooLong })
  else if (!hopeless.length && input.sheets.length > 1)
    for (const left of input.sheets)
      if (goes({ ...input, sheets: input.sheets.filter((one) => one !== left) }))
        reasons.push({ kind: 'without', sheetId: left.sheet.id })
  return reasons
}

/** A sheet that has no plan even alone: which of its waits contradict each other, where it is that. */
function whyHopeless({ sheet }: SheetToPlan, alone: SessionInput): Reason {
  const rules = solved(alone, LOOK).contradiction?.filter((rule) => rule.kind !== 'window')
  if (!rules?.length) return { kind: 'sheet', sheetId: sheet.id }
  const steps = sessionOf(alone).steps[0] ?? []
  // A wait is between its step and the next one, so both are named.
  const places = rules.flatMap(({ kind, place }) => (kind === 'wait' ? [place, place + 1] : [place]))
  const stepIds = [...new Set(places)].flatMap((place) => steps[place]?.stepId ?? [])
  return { kind: 'waits', sheetId: sheet.id, stepIds }
}

/** What a step that was moved by hand runs into, where the session has no plan with it. */
export type Refusal =
  /** The sheet's own steps and windows do not allow it; it can be begun at `earliest` at the soonest, or `latest`. */
  | { kind: 'itsOwn'; earliest: number }
  /** Another sheet is in the way. */
  | { kind: 'another'; sheetId: string }
  | { kind: 'together' }

/** Why a pin has no plan: its own sheet alone is looked at first, then each other sheet beside it. */
export function whyRefused(input: SessionInput, sheetId: string, stepId: string): Refusal {
  const own = input.sheets.find((one) => one.sheet.id === sheetId)
  if (!own) return { kind: 'together' }
  const fits = (sheets: readonly SheetToPlan[]) => solved({ ...input, sheets }, LOOK).times !== null
  if (!fits([own])) {
    const free = { ...input, sheets: [own], pins: [], finishBy: undefined }
    const session = sessionOf(free)
    const times = solved(free, LOOK).times
    const place = session.steps[0]?.findIndex((step) => step.stepId === stepId) ?? -1
    return { kind: 'itsOwn', earliest: input.from + (times?.[0]?.[place]?.start ?? 0) * 1000 }
  }
  const other = input.sheets.find((one) => one !== own && !fits([own, one]))
  return other ? { kind: 'another', sheetId: other.sheet.id } : { kind: 'together' }
}
