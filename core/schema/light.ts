import { z } from 'zod'
import { Id, Key, Line, Seconds, Stamp, Text } from './common'

/** Where a frame is put out. Degrees, north and east positive. */
export const Place = z.strictObject({
  name: Line,
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
  altitudeMetres: z.number().min(-500).max(6000),
})

/** What the sky was last said to be. */
export const SkySaid = z.strictObject({
  /** Share of the clear sky's light that the clouds leave. */
  share: z.number().gt(0).max(1.2),
  /** How far that may be out, as a factor. */
  factor: z.number().min(1).max(10),
  /** The sky by eye, or the UV index it was worked out from. */
  by: z.union([
    z.enum(['clear', 'veil', 'broken', 'overcast', 'heavy']),
    z.strictObject({ uvIndex: z.number().min(0).max(20) }),
  ]),
  at: Stamp,
})

/** A light: a lamp in its box, a row of tubes, or the sun at a place. */
export const Light = z.strictObject({
  id: Id,
  name: Line.min(1),
  kind: z.enum(['sun', 'uvBox', 'lamp', 'tubes']),
  /** The exposure that has served under it, as the user found it. */
  usualSeconds: Seconds.gt(0).max(604_800).optional(),
  /** How a lamp comes to its full light; absent where it is lit ahead, or no one knows. */
  warmUp: z
    .strictObject({ startsAt: z.number().min(0).max(1), settlesSeconds: z.number().min(0).max(7200) })
    .optional(),
  /** From the lamp to the paper, and how the light falls off with it. */
  distanceMillimetres: z.number().gt(0).max(20_000).optional(),
  falloff: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('point') }),
      z.strictObject({ kind: z.literal('line'), lengthMillimetres: z.number().gt(0).max(5000) }),
      z.strictObject({
        kind: z.literal('table'),
        rows: z
          .array(
            z.strictObject({
              millimetres: z.number().gt(0).max(20_000),
              strength: z.number().gt(0).max(1e6),
            }),
          )
          .min(2)
          .max(50),
      }),
    ])
    .optional(),
  /** Where its spectrum is strongest: of a diode, of black-light tubes. */
  peakNanometres: z.number().min(250).max(780).optional(),
  /** Schwarzschild's exponent; 1 where light and time stand for each other. */
  schwarzschild: z.number().min(0.5).max(1.2).optional(),
  place: Place.optional(),
  facing: z.enum(['flat', 'sun']).optional(),
  /** Aerosol optical depth at 550 nm, and share of light that the ground throws back. */
  aerosol: z.number().min(0).max(2).optional(),
  ground: z.number().min(0).max(0.95).optional(),
  sky: SkySaid.optional(),
  note: Text,
  changedAt: Stamp,
})

/** Something that happened to a light: its ledger. */
export const LightEntry = z.strictObject({
  id: Id,
  lightId: Id,
  at: Stamp,
  what: z.discriminatedUnion('type', [
    z.strictObject({ type: z.literal('lit') }),
    z.strictObject({ type: z.literal('out') }),
    /** Read at the frame; of the sun with what the model computed for that moment. */
    z.strictObject({
      type: z.literal('read'),
      milliwattsPerCm2: z.number().gt(0).max(1000),
      by: z.enum(['meter', 'typed']),
      reckonedMilliwattsPerCm2: z.number().gt(0).max(1000).optional(),
    }),
    /** How the sky was said to be from then on: the share of a clear sky's light that the clouds leave. */
    z.strictObject({ type: z.literal('sky'), share: z.number().gt(0).max(1.2) }),
    /** Hours it had burnt by then, as a counter or a memory has them. */
    z.strictObject({ type: z.literal('hours'), hours: z.number().min(0).max(1_000_000) }),
    /** New tubes or a new bulb: hours and readings begin again. */
    z.strictObject({ type: z.literal('renewed') }),
  ]),
  note: Line,
  takenBackAt: Stamp.optional(),
})

/** A base exposure that was found, for one combination of process, paper, light and film. */
export const Base = z.strictObject({
  id: Id,
  at: Stamp,
  processId: Key,
  /** Options of the process it was found with: the sensitizer's school and the like. */
  choices: z.record(Key, Key),
  paperId: Id.optional(),
  lightId: Id,
  /** The clear film it was printed through, in the user's words. */
  film: Line,
  seconds: z.number().gt(0).max(604_800),
  lowSeconds: z.number().min(0).max(604_800).optional(),
  highSeconds: z.number().gt(0).max(604_800).optional(),
  /** Difference from the deepest black that was allowed, in density. */
  difference: z.number().gt(0).max(1).optional(),
  /** The light in which it was found, where it was known: with it a base is a dose. */
  milliwattsPerCm2: z.number().gt(0).max(1000).optional(),
  by: z.enum(['strip', 'eye', 'typed', 'calibration']),
  /** The strip it was found on. */
  sheetId: Id.optional(),
  note: Line,
  takenBackAt: Stamp.optional(),
})

/** A step tablet of one's own, with its calibrated densities over its clear step. */
export const Tablet = z.strictObject({
  id: Id,
  name: Line.min(1),
  densities: z.array(z.number().min(0).max(6)).min(6).max(101),
  changedAt: Stamp,
})

/** A print of a step tablet, read step by step. */
export const TabletPrint = z.strictObject({
  id: Id,
  at: Stamp,
  name: Line.min(1),
  /** Densities of the tablet as it was then, so that the reading stands by itself. */
  tablet: z.array(z.number().min(0).max(6)).min(6).max(101),
  /** Densities of the print, in the order of the tablet; `null` where a step could not be read. */
  print: z.array(z.number().min(-0.5).max(6).nullable()).min(6).max(101),
  by: z.enum(['typed', 'instrument']),
  processId: Key.optional(),
  paperId: Id.optional(),
  lightId: Id.optional(),
  sheetId: Id.optional(),
  note: Text,
  takenBackAt: Stamp.optional(),
})

/** A chart as its code tells of it (see `core/chart/chart.ts`). */
export const Chart = z.strictObject({
  steps: z.int().min(5).max(101),
  repeats: z.int().min(1).max(8),
  isScattered: z.boolean(),
  hasStrip: z.boolean(),
  seed: z.int().min(0).max(31),
  tag: z.int().min(0).max(16_383),
})

/** What the tones of a print aim at: even in lightness or density, or an aim of the user's own. */
export const Aim = z.union([
  z.enum(['lightness', 'density']),
  z.strictObject({
    name: Line.min(1),
    points: z
      .array(z.strictObject({ tone: z.number().min(0).max(1), lightness: z.number().min(0).max(100) }))
      .min(2)
      .max(65)
      .refine(
        (points) =>
          points.every((point, i) => {
            const before = points[i - 1]
            return !before || (point.tone > before.tone && point.lightness >= before.lightness)
          }),
        { error: 'The tones of a target must rise, and its lightness must not fall.' },
      ),
  }),
])

const Densities = z.array(z.number().min(-0.5).max(6)).max(40)
/** How patches were read; `curve` where none were, and a curve made elsewhere says what they would be. */
const ReadBy = z.enum(['typed', 'instrument', 'scan', 'file', 'curve'])
/** How far a curve may be off because its scan was scaled by too little, L*. */
const ScanError = z.number().min(0).max(100)

/** A chart that was printed through the curve and read again. */
export const ChartCheck = z.strictObject({
  at: Stamp,
  by: ReadBy,
  patches: z
    .array(
      z.strictObject({ tone: z.number().min(0).max(1), ink: z.number().min(0).max(1), densities: Densities }),
    )
    .min(5)
    .max(1000),
  /** Difference from the aim when it was read, L*. */
  mean: z.number().min(0).max(100),
  worst: z.number().min(0).max(100),
  /** Whether the curve was corrected by it. */
  isUsed: z.boolean(),
  scanError: ScanError.optional(),
})

/**
 * A calibration from its first step on: the chart, when it was made and printed, what was read from it, and its checks.
 * The curve is solved from it when it is wanted.
 */
export const Calibration = z.strictObject({
  id: Id,
  at: Stamp,
  name: Line.min(1),
  chart: Chart,
  filmMadeAt: Stamp.optional(),
  printedAt: Stamp.optional(),
  readAt: Stamp.optional(),
  by: ReadBy.optional(),
  /** Ink on the film, 0 to 1, and the densities of the print behind it; empty until it is read. */
  patches: z.array(z.strictObject({ ink: z.number().min(0).max(1), densities: Densities })).max(1000),
  /** Density of the print behind all the ink, by which a scan is scaled. */
  whiteDensity: z.number().min(-0.1).max(3).optional(),
  scanError: ScanError.optional(),
  aim: Aim,
  checks: z.array(ChartCheck).max(100),
  processId: Key.optional(),
  paperId: Id.optional(),
  lightId: Id.optional(),
  film: Line,
  /** Base exposure it is printed with. */
  seconds: Seconds.optional(),
  note: Text,
  changedAt: Stamp,
  takenBackAt: Stamp.optional(),
})

/** A negative that was made, and the sheet it is for. */
export const MadeNegative = z.strictObject({
  id: Id,
  at: Stamp,
  /** Name of the picture's file, and of the one that was made. */
  picture: Line,
  fileName: Line,
  sheetId: Id.optional(),
  calibrationId: Id.optional(),
  /** What the curve was called then. */
  curve: Line,
  /** One of several layers: its name. */
  layer: Line.optional(),
  widthMillimetres: z.number().gt(0).max(5000),
  heightMillimetres: z.number().gt(0).max(5000),
  pixelsPerInch: z.number().min(36).max(2880),
  note: Line,
  takenBackAt: Stamp.optional(),
})

/** How a test strip is laid out (see `core/light/strip.ts`). */
export const Strip = z.strictObject({
  firstSeconds: z.number().gt(0).max(604_800),
  lastSeconds: z.number().gt(0).max(604_800),
  count: z.int().min(2).max(24),
  spacing: z.enum(['time', 'ratio']),
  card: z.enum(['covers', 'frees']),
})

export type Light = z.infer<typeof Light>
export type LightEntry = z.infer<typeof LightEntry>
export type Base = z.infer<typeof Base>
export type Tablet = z.infer<typeof Tablet>
export type Calibration = z.infer<typeof Calibration>
export type ChartCheck = z.infer<typeof ChartCheck>
export type MadeNegative = z.infer<typeof MadeNegative>
export type TabletPrint = z.infer<typeof TabletPrint>
export type SkySaid = z.infer<typeof SkySaid>
