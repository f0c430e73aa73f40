import { z } from 'zod'
import { Id, Key, Line, Seconds, Stamp, Text } from './common'
import { ProcessDefinition } from './definition'
import type { SheetEvent } from './event'
import { Base, Calibration, Light, LightEntry, MadeNegative, Strip, Tablet, TabletPrint } from './light'
import { Diagnosis, Edition } from './judgement'
import { DayPlan } from './plan'
import { RegisterCheck } from './register'
import { SetAside } from './setAside'
import { WasteClass } from './substance'
import { Bath } from './bath'

/** Raised by one with every change of any record's shape; `migrations.ts` holds the way up from each earlier one. */
export const RECORD_VERSION = 15

export const Paper = z.strictObject({
  id: Id,
  name: Line.min(1),
  gramsPerM2: z.number().gt(0).max(2000).optional(),
  /** The large sheet as it was measured, not as its label says. */
  widthMillimetres: z.number().gt(0).max(5000).optional(),
  heightMillimetres: z.number().gt(0).max(5000).optional(),
  /** Large sheets in the drawer. */
  sheets: z.int().min(0).max(100_000).optional(),
  /** Whether chalk has to come out before the processes that cannot bear it. */
  buffered: z.enum(['yes', 'no', 'unknown']).optional(),
  /** Which side is printed on, in the user's words. */
  side: Line.optional(),
  /** How long a drop of water stood on it before it sank in: how well it is sized. */
  dropSeconds: Seconds.max(3600).optional(),
  /** How long a scrap of it was soaked, and whether it then bore its own weight. */
  soaked: z.strictObject({ seconds: Seconds.gt(0).max(172_800), held: z.boolean() }).optional(),
  price: z.number().min(0).max(1_000_000).optional(),
  note: Text,
  changedAt: Stamp,
})

/** A piece torn from a sheet of paper. */
export const Piece = z.strictObject({
  id: Id,
  paperId: Id,
  /** Pencilled on its back, such as HR-3. */
  label: Line.min(1),
  widthMillimetres: z.number().gt(0).max(5000),
  heightMillimetres: z.number().gt(0).max(5000),
  /** Which side is printed on, and how it is marked. */
  side: Line,
  tornAt: Stamp,
  /** Set when it was given away, spoilt or its tearing was undone. */
  goneAt: Stamp.optional(),
  changedAt: Stamp,
})

/** A treatment of paper under way or done. What happened is its log, like a sheet's. */
export const PaperRun = z.strictObject({
  id: Id,
  number: z.int().min(1).max(999_999),
  process: z.strictObject({ id: Key, version: z.int().min(1) }),
  choices: z.record(Key, Key),
  paperId: Id.optional(),
  pieceIds: z.array(Id).max(999),
  /** A piece of which only half is treated, to see what the treatment does. */
  halfPieceId: Id.optional(),
  sheets: z.int().min(1).max(9999),
  widthMillimetres: z.number().gt(0).max(5000),
  heightMillimetres: z.number().gt(0).max(5000),
  note: Text,
  createdAt: Stamp,
  changedAt: Stamp,
})

/** A bottle or a jar on the shelf: one lot of a chemical, or a solution that was made. */
export const Bottle = z.strictObject({
  id: Id,
  /** What is written on it, such as A-7. */
  label: Line.min(1),
  name: Line.min(1),
  kind: z.enum(['solid', 'liquid', 'solution']),
  /** What it holds: % w/v in a solution; purity of a solid, % w/w of a bought liquid. */
  contents: z
    .array(z.strictObject({ substanceId: Key, form: Key.optional(), percent: z.number().gt(0).max(400) }))
    .max(20),
  /** Its strength was not stated: its contents are those that the recipe of its first sheet means. */
  isAssumed: z.literal(true).optional(),
  /** What the label said, where it was wrong and left so: % w/v of the first solute. */
  statedPercent: z.number().gt(0).max(1000).optional(),
  /** Density of a bought liquid. */
  gramsPerMillilitre: z.number().gt(0).max(25).optional(),
  /** How much it held when it was new, g of a solid and ml of all else; absent where no one measured. */
  amount: z.number().gt(0).max(1_000_000).optional(),
  /** What all of it cost. */
  price: z.number().min(0).max(10_000_000).optional(),
  /** When it was made or opened. */
  madeAt: Stamp.optional(),
  ripeAt: Stamp.optional(),
  bestUntil: Stamp.optional(),
  ended: z.strictObject({ at: Stamp, why: z.enum(['empty', 'discarded', 'undone']) }).optional(),
  note: Text,
  changedAt: Stamp,
})

/** Something taken from a bottle for other work than a coat; coats say what they took in their own logs. */
export const Taking = z.strictObject({
  id: Id,
  bottleId: Id,
  /** g of a solid, ml of all else; below 0 when a count found more than was thought. */
  amount: z.number().min(-1_000_000).max(1_000_000),
  at: Stamp,
  why: z.enum(['solution', 'bath', 'paper', 'spilt', 'counted', 'discarded']),
  /** The bottle that was made from it, or the treatment it served. */
  forId: Id.optional(),
  note: Line,
  takenBackAt: Stamp.optional(),
})

/** Something in a waste jar, waiting for the licensed service. */
export const Waste = z.strictObject({
  id: Id,
  wasteClass: WasteClass,
  amount: z.number().gt(0).max(1_000_000),
  unit: z.enum(['ml', 'g']),
  what: Line.min(1),
  /** What it holds, for checking what may be poured to it; absent where that was never recorded. */
  contents: z
    .array(z.strictObject({ substanceId: Key, percent: z.number().gt(0).max(400).optional() }))
    .max(40)
    .optional(),
  bottleId: Id.optional(),
  at: Stamp,
  handedOverAt: Stamp.optional(),
  takenBackAt: Stamp.optional(),
})

/** A process that the user copied and changed. */
export const OwnProcess = z.strictObject({
  id: Id,
  definition: ProcessDefinition,
  changedAt: Stamp,
})

/** A dropper that was weighed: so many drops, so many grams of them. */
export const Dropper = z.strictObject({
  id: Id,
  name: Line.min(1),
  weighings: z
    .array(z.strictObject({ drops: z.int().min(1).max(1000), grams: z.number().gt(0).max(1000) }))
    .min(1)
    .max(50),
  gramsPerMillilitre: z.number().gt(0).max(25),
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
  tool: z.enum(['brush', 'rod', 'sponge', 'cotton']),
  /** Ratio of each mix, in the order in which its components go in. */
  parts: z.record(Key, z.array(z.number().gt(0).max(1000)).min(1)),
  /** Sheets that share one mix: all name the same batch, and the first of them counts for all. */
  batch: z
    .strictObject({
      id: Id,
      of: z.int().min(2).max(99),
      place: z.int().min(1).max(99),
      /** It was taken out of the row: what is pressed for the others is not pressed for it. */
      isAlone: z.literal(true).optional(),
    })
    .optional(),
  pieceId: Id.optional(),
  coverageMillilitresPerM2: z.number().gt(0).max(1000),
  dropsPerMillilitre: z.number().gt(0).max(200),
  /** What is on the paper: the negative's name, or the objects. */
  subject: Line,
  exposureSeconds: z.number().gt(0).max(604_800),
  /** The dose that exposure stands for, where the light is known: then the clock counts dose. */
  millijoulesPerCm2: z.number().gt(0).max(10_000_000).optional(),
  /** Set for a test strip, which is exposed in steps under a card. */
  strip: Strip.optional(),
  /** The sheet on which this is as a further layer: its paper is that one's, and it begins when that one is dry. */
  over: Id.optional(),
  /** The sheet that this one repeats, as it was or with one change. */
  after: Id.optional(),
  edition: Edition.optional(),
  /** Set while it is in the bin. */
  binnedAt: Stamp.optional(),
  paperId: Id.optional(),
  lightId: Id.optional(),
  /** Bottle used for each component. */
  bottles: z.record(Key, Id),
  createdAt: Stamp,
  changedAt: Stamp,
})

/** Largest photograph kept, so that every archive that is written can be read again. */
export const MAX_PHOTO_BYTES = 128 * 2 ** 20

/** A photograph of a print. The picture itself is beside the record, under the same id. */
export const Photo = z.strictObject({
  id: Id,
  sheetId: Id,
  takenAt: Stamp,
  mime: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  widthPixels: z.int().min(1).max(65_535),
  heightPixels: z.int().min(1).max(65_535),
  bytes: z.int().min(1).max(MAX_PHOTO_BYTES),
  /** Of the file as it was added, in hexadecimal, so that decay of the disk shows. */
  sha256: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .optional(),
  note: Line,
})

/** Everything a workroom holds except its logs and pixels. */
export const Holdings = z.strictObject({
  sheets: z.array(Sheet),
  papers: z.array(Paper),
  bottles: z.array(Bottle),
  lights: z.array(Light),
  photos: z.array(Photo),
  pieces: z.array(Piece),
  paperRuns: z.array(PaperRun),
  takings: z.array(Taking),
  wastes: z.array(Waste),
  ownProcesses: z.array(OwnProcess),
  droppers: z.array(Dropper),
  lightEntries: z.array(LightEntry),
  bases: z.array(Base),
  tablets: z.array(Tablet),
  tabletPrints: z.array(TabletPrint),
  calibrations: z.array(Calibration),
  negatives: z.array(MadeNegative),
  baths: z.array(Bath),
  registerChecks: z.array(RegisterCheck),
  plans: z.array(DayPlan),
  diagnoses: z.array(Diagnosis),
  setAside: z.array(SetAside),
})

/** Schema of one record of each kind. */
export const RECORD_SCHEMAS = Object.fromEntries(
  Object.entries(Holdings.shape).map(([kind, list]) => [kind, list.element]),
) as unknown as Readonly<Record<keyof Holdings, z.ZodType>>

/** A workroom with nothing in it. */
export const emptyRecords = (): WorkroomRecords => ({ ...emptyHoldings(), events: [] })

/** A workroom's records without its logs, with nothing in it. */
export const emptyHoldings = (): Holdings => ({
  sheets: [],
  papers: [],
  bottles: [],
  lights: [],
  photos: [],
  pieces: [],
  paperRuns: [],
  takings: [],
  wastes: [],
  ownProcesses: [],
  droppers: [],
  lightEntries: [],
  bases: [],
  tablets: [],
  tabletPrints: [],
  calibrations: [],
  negatives: [],
  baths: [],
  registerChecks: [],
  plans: [],
  diagnoses: [],
  setAside: [],
})

export type Paper = z.infer<typeof Paper>
export type Piece = z.infer<typeof Piece>
export type PaperRun = z.infer<typeof PaperRun>
export type Taking = z.infer<typeof Taking>
export type Waste = z.infer<typeof Waste>
export type OwnProcess = z.infer<typeof OwnProcess>
export type Dropper = z.infer<typeof Dropper>
export type Bottle = z.infer<typeof Bottle>
export type { Light } from './light'
export type Sheet = z.infer<typeof Sheet>
export type Photo = z.infer<typeof Photo>
export type Holdings = z.infer<typeof Holdings>
/** Name of a list of records. */
export type Kind = keyof Holdings
/** A whole small workroom, with every event of every log. */
export type WorkroomRecords = Holdings & { events: SheetEvent[] }
