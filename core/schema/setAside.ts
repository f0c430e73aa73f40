import { z } from 'zod'
import { Id, Line, Stamp } from './common'

/**
 * A record, or the end of a log, that could not be read as it was. It is kept as it was found, and travels with every
 * backup, so that it can be read by eye, corrected and entered again.
 */
export const SetAside = z.strictObject({
  /** Made from what it holds: the same damage found twice is one entry. */
  id: Id,
  /** Kind of the record, or `log` for lines of a log. */
  kind: z.string().min(1).max(40),
  /** What a person would call it. */
  name: Line,
  problem: z.string().max(2000),
  /** Whether a repaired record took its place, or none did. */
  outcome: z.enum(['repaired', 'setAside']),
  /** As it was found: JSON of a record, lines of a log. */
  original: z.string(),
  at: Stamp,
})

export type SetAside = z.infer<typeof SetAside>
