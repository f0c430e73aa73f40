import { z } from 'zod'
import { Id, Key, Line, Stamp, Text } from './common'

/** When a print is looked at: wet, a day dry, settled, or any time after that. */
export const LookMoment = z.enum(['wet', 'dry', 'settled', 'later'])

/** What the eye said of a print, in the trade's words. */
export const JudgedParts = {
  moment: LookMoment,
  verdict: z.enum(['keep', 'again', 'undecided']),
  shadows: z.enum(['thin', 'right', 'blocked']).optional(),
  highlights: z.enum(['blank', 'right', 'veiled']).optional(),
  whites: z.enum(['clean', 'yellow', 'blue', 'pink', 'brown', 'grey']).optional(),
  /** When it is to be looked at again. */
  lookAgainAt: Stamp.optional(),
  note: Text,
}

const density = z.number().min(-0.5).max(6)

/** One place of a print that was measured. */
export const Reading = z.strictObject({
  /** The deepest black, the bare white, or a patch of its own. */
  of: z.enum(['black', 'white', 'patch']),
  /** What a patch is called, so that the same one is found again. */
  name: Line,
  density: density.optional(),
  /** CIE L*a*b*, D50. */
  lab: z
    .tuple([z.number().min(-5).max(105), z.number().min(-160).max(160), z.number().min(-160).max(160)])
    .optional(),
})

/** What a print measured: its densities, its colours, or both. */
export const MeasuredParts = {
  moment: LookMoment,
  by: z.enum(['typed', 'instrument', 'scan', 'photo']),
  readings: z.array(Reading).min(1).max(200),
}

/** What a test of permanence showed: a drop on a damp margin, or a half that was left in the light. */
export const TestedParts = {
  test: z.enum(['silver', 'hypo', 'iron', 'fade']),
  showed: z.enum(['nothing', 'trace', 'stain']),
  /** Of a fade test: how long the half was in the light, and how much of it. */
  days: z.number().gt(0).max(36_500).optional(),
  millijoulesPerCm2: z.number().gt(0).max(1e9).optional(),
  note: Line,
}

/** One talk with a print about what went wrong: what was seen, what was answered, and what turned out to be the cause. */
export const Diagnosis = z.strictObject({
  id: Id,
  sheetId: Id,
  at: Stamp,
  /** Ids of symptoms, as `library/faults` has them. */
  symptoms: z.array(Key).min(1).max(30),
  /** Facts that no record shows, as the user answered them. */
  answers: z.record(Key, z.enum(['yes', 'no'])),
  confirmed: Key.optional(),
  ruledOut: z.array(Key).max(200),
  /** Sheet that was planned to tell the causes apart, the test it makes, and what it showed. */
  test: z
    .strictObject({ testId: Key, sheetId: Id.optional(), outcome: z.enum(['changed', 'same']).optional() })
    .optional(),
  note: Text,
  changedAt: Stamp,
  takenBackAt: Stamp.optional(),
})

/** Place of a print in an edition. */
export const Edition = z.strictObject({
  number: z.int().min(1).max(9999),
  of: z.int().min(1).max(9999).optional(),
  /** A proof is numbered apart. */
  isProof: z.boolean().optional(),
})

export type LookMoment = z.infer<typeof LookMoment>
export type Reading = z.infer<typeof Reading>
export type Diagnosis = z.infer<typeof Diagnosis>
export type Edition = z.infer<typeof Edition>
