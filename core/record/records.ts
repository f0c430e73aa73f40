import { z } from 'zod'
import { Id, Key, Line, Stamp, Text } from './common'
import { SheetEvent } from './event'

/** Raised by one with every change of any record's shape; `migrations.ts` holds the way up from each earlier one. */
export const RECORD_VERSION = 1

export const Paper = z.strictObject({
  id: Id,
  name: Line.min(1),
  gramsPerM2: z.number().gt(0).max(2000).optional(),
  note: Text,
  changedAt: Stamp,
})

/** A bottle on the shelf: one lot of one component, as its label says. */
export const Bottle = z.strictObject({
  id: Id,
  /** What is written on it, such as A-7. */
  label: Line.min(1),
  component: Key,
  percentWv: z.number().gt(0).max(100),
  madeAt: Stamp.optional(),
  note: Text,
  changedAt: Stamp,
})

export const Light = z.strictObject({
  id: Id,
  name: Line.min(1),
  kind: z.enum(['sun', 'uvBox', 'lamp', 'tubes']),
  /** The exposure that has served under it, as the user found it. */
  usualSeconds: z.number().gt(0).max(604_800).optional(),
  note: Text,
  changedAt: Stamp,
})

/** One sheet of paper and all that was decided for it. What happened to it is its log of events. */
export const Sheet = z.strictObject({
  id: Id,
  number: z.int().min(1).max(999_999),
  title: Line.min(1),
  portfolio: Line,
  process: z.strictObject({ id: Key, version: z.int().min(1) }),
  /** Option chosen for each choice of the process. */
  choices: z.record(Key, Key),
  widthMillimetres: z.number().gt(0).max(5000),
  heightMillimetres: z.number().gt(0).max(5000),
  coats: z.int().min(1).max(9),
  parts: z.array(z.number().gt(0).max(1000)).min(1),
  coverageMillilitresPerM2: z.number().gt(0).max(1000),
  dropsPerMillilitre: z.number().gt(0).max(200),
  /** What lies on the paper: the negative's name, or the objects. */
  subject: Line,
  exposureSeconds: z.number().gt(0).max(604_800),
  paperId: Id.optional(),
  lightId: Id.optional(),
  /** Bottle used for each component. */
  bottles: z.record(Key, Id),
  createdAt: Stamp,
  changedAt: Stamp,
})

/** Largest photograph kept, so that every archive that is written can be read again. */
export const MAX_PHOTO_BYTES = 128 * 2 ** 20

/** A photograph of a print. The picture itself lies beside the record, under the same id. */
export const Photo = z.strictObject({
  id: Id,
  sheetId: Id,
  takenAt: Stamp,
  mime: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  widthPixels: z.int().min(1).max(65_535),
  heightPixels: z.int().min(1).max(65_535),
  bytes: z.int().min(1).max(MAX_PHOTO_BYTES),
  note: Line,
})

/** Everything a workroom holds except the pixels. */
export const WorkroomRecords = z.strictObject({
  sheets: z.array(Sheet),
  events: z.array(SheetEvent),
  papers: z.array(Paper),
  bottles: z.array(Bottle),
  lights: z.array(Light),
  photos: z.array(Photo),
})

export type Paper = z.infer<typeof Paper>
export type Bottle = z.infer<typeof Bottle>
export type Light = z.infer<typeof Light>
export type Sheet = z.infer<typeof Sheet>
export type Photo = z.infer<typeof Photo>
export type WorkroomRecords = z.infer<typeof WorkroomRecords>
