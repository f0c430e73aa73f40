import { z } from 'zod'
import { Id, Key, Line, Stamp, Text } from './common'

/** A solution standing in a tray: made up once, used by one print or by many, and at last discarded. */
export const Bath = z.strictObject({
  id: Id,
  /** The process it was made up for, and what that calls it; prints of other processes may be in it too. */
  processId: Key,
  bath: Key,
  name: Line.min(1),
  contents: z
    .array(z.strictObject({ substanceId: Key, percent: z.number().gt(0).max(400) }))
    .min(1)
    .max(20),
  /** It was poured from a bottle whose strength was not stated. */
  isAssumed: z.literal(true).optional(),
  /** It was poured in place of what the process means for this tray. */
  isInstead: z.literal(true).optional(),
  millilitres: z.number().gt(0).max(100_000),
  celsius: z.number().min(-5).max(100).optional(),
  madeAt: Stamp,
  /** For one print, or for as many as it bears. */
  manner: z.enum(['oneShot', 'reused']),
  /** What was added to keep it strong; what no longer fitted the tray was poured off first. */
  replenished: z.array(z.strictObject({ at: Stamp, millilitres: z.number().gt(0).max(100_000) })).max(500),
  /** When it was filtered. */
  filtered: z.array(Stamp).max(500),
  /** How long a test strip took to clear in it, for a fixer. */
  clearing: z
    .array(z.strictObject({ at: Stamp, seconds: z.number().gt(0).max(3600) }))
    .max(500)
    .optional(),
  ended: z.strictObject({ at: Stamp, why: z.enum(['discarded', 'undone']) }).optional(),
  note: Text,
  changedAt: Stamp,
})

export type Bath = z.infer<typeof Bath>
