import { z } from 'zod'
import { Id, Key, Line, Seconds, Stamp, Text } from './common'
import { Place, Station, StepKind } from './stepKinds'
import { JudgedParts, MeasuredParts, TestedParts } from './judgement'

/** A step as it was planned for one sheet when work began, so that the log can be replayed without the library. */
export const PlannedStep = z.strictObject({
  id: Key,
  station: Station,
  place: Place,
  kind: StepKind,
  begins: z.enum(['press', 'atOnce']),
  leastSeconds: Seconds.optional(),
  mostSeconds: Seconds.optional(),
  /** The planned end of an exposure. */
  plannedSeconds: Seconds.optional(),
  /** Longest wait after this step before the next begins; with the shortest and the best where they matter. */
  keepsSeconds: Seconds.optional(),
  keepsLeastSeconds: Seconds.optional(),
  keepsBestSeconds: Seconds.optional(),
  /** How often it is rocked or turned over. */
  rockSeconds: Seconds.optional(),
  /** A later step that makes up for this one when it is cut short: its least time then, or longer by what was missing. */
  ifShort: z.strictObject({ lengthens: Key, toSeconds: Seconds.optional() }).optional(),
  /** The step of the process that this is one of, where it is done more than once. */
  of: Key.optional(),
  /** Which coat it belongs to, from 1. */
  coat: z.int().min(1).max(9).optional(),
  /** Drops to count, in the order in which they are counted. */
  drops: z.array(z.strictObject({ component: Key, count: z.int().min(1).max(9999) })).optional(),
})

export const PlannedLook = z.strictObject({ id: z.enum(['wet', 'dry', 'settled']), dueAfterSeconds: Seconds })

/** A sheet that someone coated, exposed or finished before this workroom knew of it. */
export const CameIn = z.enum(['coated', 'exposed', 'finished'])

const stamped = <Type extends string, Parts extends z.ZodRawShape>(type: Type, parts: Parts) =>
  z.strictObject({
    id: Id,
    sheetId: Id,
    /** Place in the sheet's log, from 0 without gaps. */
    index: z.int().min(0),
    at: Stamp,
    type: z.literal(type),
    ...parts,
  })

/** What was drawn from a bottle for a mix. */
const Draw = z.strictObject({ bottleId: Id, component: Key, millilitres: z.number().gt(0).max(100_000) })

/** The light under which an exposure began, where it is known: one second of dose is a second of this light. */
const StartedLight = z.strictObject({ milliwattsPerCm2: z.number().gt(0).max(1000) })

/** What an exposure came to, and who counted it. */
const CountedDose = z.strictObject({
  by: z.enum(['meter', 'model', 'steady']),
  /** Seconds of the light for which it was planned. */
  seconds: Seconds,
  millijoulesPerCm2: z.number().min(0).max(10_000_000).optional(),
  /** Time for which the meter was silent and the light was taken to stay as last read, or drawn straight between. */
  silentSeconds: Seconds.optional(),
})

const CorrectedDrops = z
  .array(z.strictObject({ component: Key, count: z.int().min(1).max(9999) }))
  .min(1)
  .max(99)

/** What was right about an entry that was wrong; what is absent was right before. */
const Correction = z.strictObject({
  /** When it really happened. */
  at: Stamp.optional(),
  /** Of a finished count. */
  drops: CorrectedDrops.optional(),
  /** Of a finished step that drew from bottles. */
  drawn: z.array(Draw).max(99).optional(),
  /** Of a finished exposure. */
  dose: CountedDose.optional(),
})

/** What may have been done without a press. */
const Missed = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('looked'), step: Key }),
  z.strictObject({ type: z.literal('returned'), step: Key }),
  z.strictObject({ type: z.literal('waterChanged'), step: Key }),
])

/** Everything that can happen to a sheet. The log of these is the record; nothing in it is ever rewritten. */
export const SheetEvent = z.discriminatedUnion('type', [
  stamped('begun', {
    steps: z.array(PlannedStep).min(1),
    looks: z.array(PlannedLook),
    /** How the sheet came, where its work began elsewhere: what it takes to be so was done before and not recorded. */
    cameIn: CameIn.optional(),
  }),
  stamped('dropped', { component: Key, change: z.int().min(-9999).max(9999) }),
  stamped('stepStarted', { step: Key, light: StartedLight.optional() }),
  stamped('stepFinished', {
    step: Key,
    drawn: z.array(Draw).max(99).optional(),
    /** The bath in which the print lay. */
    bathId: Id.optional(),
    dose: CountedDose.optional(),
    /** Drops of a count where they were not what was counted by presses. */
    drops: CorrectedDrops.optional(),
    /** It was dried with a hair dryer, so that its least time says nothing. */
    byHairDryer: z.literal(true).optional(),
  }),
  /** The step in hand is not done on this sheet. */
  stamped('stepLeftOut', { step: Key }),
  /** Whether what was mixed for a coat was enough. */
  stamped('coatJudged', {
    coat: z.int().min(1).max(9),
    said: z.enum(['short', 'right', 'over']),
    byMillilitres: z.number().min(0).max(1000).optional(),
  }),
  /** The frame is off the light for a look; its clock stands. */
  stamped('looked', { step: Key }),
  stamped('returned', { step: Key }),
  stamped('waterChanged', { step: Key }),
  stamped('exposureChanged', { step: Key, plannedSeconds: Seconds, said: Line }),
  /** A test strip was read: densities of each mark, shortest exposure first; by eye the mark that was chosen. */
  stamped('stripRead', {
    densities: z.array(z.array(z.number().min(-0.5).max(6)).max(20)).max(24),
    by: z.enum(['typed', 'instrument', 'eye']),
    mark: z.int().min(1).max(24).optional(),
  }),
  /** Air of the room, as the instrument or the wall has it. */
  stamped('roomRead', { celsius: z.number().min(-30).max(60), relativeHumidity: z.number().min(0).max(100) }),
  stamped('noted', { text: Text }),
  stamped('judged', JudgedParts),
  stamped('measured', MeasuredParts),
  stamped('tested', TestedParts),
  stamped('photographed', { photoId: Id }),
  stamped('setAside', { reason: Text }),
  /** Takes back the last entry that has not been undone. */
  stamped('undone', { eventId: Id }),
  /** Brings back the entry that was undone last, as long as nothing else has happened since. */
  stamped('redone', { eventId: Id }),
  /** An earlier entry was wrong: what was right about it. The log keeps both. */
  stamped('corrected', { eventId: Id, right: Correction }),
  /** Something was done at the time and not entered then. */
  stamped('enteredLate', { happenedAt: Stamp, what: Missed }),
])

export type CameIn = z.infer<typeof CameIn>
export type SheetEvent = z.infer<typeof SheetEvent>
export type SheetEventType = SheetEvent['type']
export type PlannedStep = z.infer<typeof PlannedStep>
export type PlannedLook = z.infer<typeof PlannedLook>
export type CountedDose = z.infer<typeof CountedDose>
export type Draw = z.infer<typeof Draw>
export type Correction = z.infer<typeof Correction>
export type Missed = z.infer<typeof Missed>
export type Judged = Extract<SheetEvent, { type: 'judged' }>
export type Tested = Extract<SheetEvent, { type: 'tested' }>
export type Measured = Extract<SheetEvent, { type: 'measured' }>

type Unstamped<Event> = Event extends SheetEvent ? Omit<Event, 'id' | 'sheetId' | 'index' | 'at'> : never

/** An event before it is stamped: what is said when a key is pressed. */
export type Happening = Unstamped<SheetEvent>
