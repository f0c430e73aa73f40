import { z } from 'zod'
import { Key, Line, StandingWord } from './common'

/** What a substance does when it meets another. Pairs that must not meet are data of the library. */
export const ReactionClass = z.enum([
  'acid',
  'alcohol',
  'ammonia',
  'ammonium',
  'carbonate',
  'chlorate',
  'dichromate',
  'ferricyanide',
  'flammable',
  'formaldehyde',
  'gold',
  'hydrochloricAcid',
  'hypochlorite',
  'ironSalt',
  'nitricAcid',
  'oxidiser',
  'peroxide',
  'silver',
  'strongAcid',
  'sulfide',
  'sulfite',
  'thiocyanate',
  'thiosulfate',
])

/**
 * Which jar a spent solution belongs in, until the local licensed service takes it. No two substances of one class may
 * react with each other (`library/waste.test.ts`). `oxidiser` is the jar of archives up to version 6, which held
 * chlorate and peroxide alike; nothing new goes into it.
 */
export const WasteClass = z.enum([
  'acid',
  'aldehyde',
  'ammonia',
  'base',
  'chlorate',
  'chromium',
  'cyanoferrate',
  'fixer',
  'hypochlorite',
  'iron',
  'noble',
  'oxidiser',
  'oxidisingAcid',
  'peroxide',
  'plain',
  'selenium',
  'silver',
  'solvent',
])

const HazardStatement = z.string().regex(/^H\d{3}[A-Za-z]*$/)

const Sourced = { standing: StandingWord, source: z.string().min(1).max(300) }

/** A chemical of the trade. Molar masses are not stored: they follow from the formula. */
export const Substance = z.strictObject({
  id: Key,
  name: Line.min(1),
  synonyms: z.array(Line.min(1)),
  /** The forms it is sold in, the usual one first; empty for what has no one composition. */
  forms: z.array(z.strictObject({ id: Key, name: Line.min(1), formula: Line.min(1) })),
  state: z.enum(['solid', 'liquid', 'mixture']),
  purityPercent: z.number().gt(0).max(100),
  /** Grams of `form` (the first one unless said) that 100 g of water take up, by temperature in °C, rising. */
  solubility: z
    .strictObject({
      form: Key.optional(),
      at: z.array(z.tuple([z.number().min(0).max(100), z.number().gt(0)])).min(1),
      ...Sourced,
    })
    .optional(),
  /** For what is sold as a liquid: how heavy it is and how much of the substance it holds. */
  liquid: z
    .strictObject({ gramsPerMillilitre: z.number().gt(0), percentWw: z.number().gt(0).max(100), ...Sourced })
    .optional(),
  /** Density in g/ml at 20 °C by % w/w, rising, for telling the strength from a hydrometer. */
  densities: z
    .strictObject({ at: z.array(z.tuple([z.number().min(0).max(100), z.number().gt(0)])).min(2), ...Sourced })
    .optional(),
  /** Grams in a millilitre as it heaps in a spoon, least and most. */
  bulk: z.strictObject({ least: z.number().gt(0), most: z.number().gt(0), ...Sourced }).optional(),
  /** GHS hazards as sold. Signal word and pictograms follow from the statements (`chemistry/ghs.ts`). */
  hazard: z.strictObject({
    statements: z.array(HazardStatement),
    /** Strengths, % w/w, from which a solution carries a statement, where they differ from the general rule. */
    limits: z
      .array(z.strictObject({ statement: HazardStatement, fromPercent: z.number().gt(0).max(100) }))
      .optional(),
    /** How much more toxic to aquatic life it is than its class assumes (the M-factor of the GHS). */
    aquaticFactor: z.number().min(1).optional(),
    ...Sourced,
  }),
  reacts: z.array(ReactionClass),
  waste: WasteClass,
  storage: Line.min(1),
  /** Colour of its solution, for drawn bottles; clear ones have none. */
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
  /** Id of the caution shown before its bottle opens. */
  caution: Key.optional(),
})

export type Substance = z.infer<typeof Substance>
export type ReactionClass = z.infer<typeof ReactionClass>
export type WasteClass = z.infer<typeof WasteClass>

/** Classes that must not meet, and what happens when they do. */
export interface Incompatibility {
  id: string
  /** Two classes, or three that are dangerous only together. */
  between: readonly [ReactionClass, ReactionClass, ...ReactionClass[]]
  /** What happens, as a plain sentence. */
  danger: string
  remedy: string
}
