import { z } from 'zod'
import { Id, Key, Stamp } from './common'

/** What there is to work with in a session. */
export const PlanRoom = z.strictObject({
  /** Pairs of hands at work. */
  hands: z.int().min(1).max(50),
  frames: z.int().min(1).max(50),
  /** Frames that are under one lamp, or in the sun, at once. */
  underOneLight: z.int().min(1).max(50),
  sheetsInATray: z.int().min(1).max(50),
  rinseTrays: z.int().min(1).max(50),
  washPlaces: z.int().min(1).max(100),
  dryingPlaces: z.int().min(1).max(200),
})

/** A step that was moved by hand: it may begin no earlier, or no later, than this. */
export const Pin = z.strictObject({
  sheetId: Id,
  stepId: Key,
  edge: z.enum(['notBefore', 'notAfter']),
  at: Stamp,
})

/** The plan of one session: which sheets, and when each step of each is due. */
export const DayPlan = z.strictObject({
  id: Id,
  madeAt: Stamp,
  startsAt: Stamp,
  finishBy: Stamp.optional(),
  sheetIds: z.array(Id).min(1).max(99),
  room: PlanRoom,
  pins: z.array(Pin).max(200),
  moves: z.array(z.strictObject({ sheetId: Id, stepId: Key, from: Stamp, to: Stamp })).max(5000),
  /** When the hands are wanted, and for what. */
  hands: z.array(z.strictObject({ sheetId: Id, stepId: Key, from: Stamp, to: Stamp })).max(10_000),
  /** All is over by then; no plan could be over before the other. */
  endsAt: Stamp,
  boundAt: Stamp,
  isProven: z.boolean(),
  endedAt: Stamp.optional(),
  changedAt: Stamp,
})

export type PlanRoom = z.infer<typeof PlanRoom>
export type Pin = z.infer<typeof Pin>
export type DayPlan = z.infer<typeof DayPlan>
