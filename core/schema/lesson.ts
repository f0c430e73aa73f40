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
      sizing: z.number().min(0).max(1),
      contrast: z.number().min(0.5).max(3),
      fogDose: z.number().min(0).max(10_000),
      nanometres: z.number().min(300).max(500),
      lampShare: z.number().min(0.05).max(2),
      coldDose: z.number().min(0).max(10_000),
    })
    .partial(),
  /** What is printed: the drawn negative where nothing is said; a test strip of 8 or a tablet of 21 half stops. */
  negative: z.enum(['strip', 'tablet']).optional(),
  /** Density of all the ink on the film, where it is not as usual. */
  filmRange: z.number().min(0.3).max(4).optional(),
  /** The water holds no chlorine, so that no milk shows. */
  hasSoftWater: z.boolean().optional(),
  /** The print goes through the toner too. */
  isToned: z.boolean().optional(),
  /** The print is read, and printed a second time through the curve of the first. */
  isCalibrated: z.boolean().optional(),
  /** Cause of a fault that is hidden in the sheet, and to be found. */
  causeId: Key.optional(),
  /** Marks that have to be reached. */
  aims: z
    .strictObject({
      exposure: Marks,
      clearing: Marks,
      fixing: Marks,
      washing: Marks,
      economy: Marks,
      /** Strip or tablet read right; and how even the tones are through the curve. */
      reading: Marks,
      linearity: Marks,
    })
    .partial(),
})
export type Lesson = z.infer<typeof Lesson>

/** A file of lessons, as a teacher writes one. */
export const LessonFile = z.strictObject({
  format: z.literal('ember-sheet-lessons'),
  version: z.literal(1),
  lessons: z.array(Lesson).min(1).max(100),
})
