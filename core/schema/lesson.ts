import { z } from 'zod'
import { Key, Line, Text } from './common'

const Marks = z.int().min(0).max(100)

/** One lesson on a virtual print: its sheet, what to notice, and what is to be reached. */
export const Lesson = z.strictObject({
  id: Key,
  title: Line.min(1),
  processId: Key,
  /** What to notice before and while one works, and what happened, for afterwards. */
  before: Text.min(1),
  after: Text.min(1),
  /** How the sheet is made, where it is not as usual. */
  sheet: z
    .strictObject({
      coverage: z.number().min(0.1).max(3),
      relativeHumidity: z.number().min(5).max(95),
      coatAgeHours: z.number().min(0).max(5000),
      imbalance: z.number().min(-3).max(3),
      isBuffered: z.boolean(),
      nanometres: z.number().min(300).max(500),
    })
    .partial(),
  /** Cause of a fault that is hidden in the sheet, and to be found. */
  causeId: Key.optional(),
  /** Marks that have to be reached. */
  aims: z.strictObject({ exposure: Marks, clearing: Marks, fixing: Marks, economy: Marks }).partial(),
})
export type Lesson = z.infer<typeof Lesson>

/** A file of lessons, as a teacher writes one. */
export const LessonFile = z.strictObject({
  format: z.literal('ember-sheet-lessons'),
  version: z.literal(1),
  lessons: z.array(Lesson).min(1).max(100),
})
