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
  /** How a lamp comes to its full light; absent where it is lit ahead, or nobody knows. */
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
    /** Read at the frame; of the sun with what the model reckoned for that moment. */
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
    /** New tubes or a new bulb: hours and readings begin afresh. */
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
  by: z.enum(['strip', 'eye', 'typed']),
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

/** A printed chart that was read, from which the curve of a negative is solved. */
export const Calibration = z.strictObject({
  id: Id,
  at: Stamp,
  name: Line.min(1),
  /** Ink on the film, 0 to 1, and the densities of the print behind it; none where a patch is damaged. */
  patches: z
    .array(
      z.strictObject({
        ink: z.number().min(0).max(1),
        densities: z.array(z.number().min(-0.5).max(6)).max(20),
      }),
    )
    .min(5)
    .max(1000),
  aim: z.enum(['lightness', 'density']),
  by: z.enum(['typed', 'instrument']),
  processId: Key.optional(),
  paperId: Id.optional(),
  lightId: Id.optional(),
  film: Line,
  /** Base exposure it was printed with. */
  seconds: Seconds.optional(),
  note: Text,
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
export type TabletPrint = z.infer<typeof TabletPrint>
export type SkySaid = z.infer<typeof SkySaid>
