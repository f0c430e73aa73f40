import { z } from 'zod'
import { WantedAir } from './air'
import { Key, Seconds, StandingWord } from './common'
import { Place, Station, StepKind } from './stepKinds'
import { WasteClass } from './substance'

const Sentence = z.string().min(1).max(600)

const Range = z.strictObject({
  leastSeconds: Seconds.optional(),
  mostSeconds: Seconds.optional(),
  standing: StandingWord,
  source: Sentence,
})

/** Options that have to be chosen for a thing to belong to the run: one of `is` for each choice named. */
const When = z.array(z.strictObject({ choice: Key, is: z.array(Key).min(1) })).min(1)

const Caution = z.strictObject({
  id: Key,
  title: Sentence,
  text: Sentence,
  /** First aid in one line, where it burns or poisons. */
  firstAid: Sentence.optional(),
})

const Endpoint = z.strictObject({
  /** What to look for, as the eye sees it. */
  good: Sentence,
  /** What should make one stop and think. */
  doubt: Sentence,
  /** Drawn colours from `as it went in` to `move it on`. */
  swatch: z.array(z.string().regex(/^#[0-9a-f]{6}$/)).max(6),
})

const Step = z.strictObject({
  id: Key,
  station: Station,
  place: Place,
  kind: StepKind,
  title: Sentence,
  /** What the sheet is doing meanwhile, for the ledge: `drying in the dark`. */
  meanwhile: Sentence,
  /** What the hands do. */
  doing: Sentence,
  why: Sentence,
  time: Range.optional(),
  /** A longer least time for heavy papers. */
  heavyPaper: z
    .strictObject({
      fromGramsPerM2: z.number().min(1),
      leastSeconds: Seconds,
      standing: StandingWord,
      source: Sentence,
    })
    .optional(),
  /** How long the sheet may wait after this step before the next begins: not before, best until, not after. */
  keeps: z.strictObject({ ...Range.shape, bestSeconds: Seconds.optional() }).optional(),
  /** Which mix is counted, for steps that count. */
  mix: Key.optional(),
  /** How often the tray is rocked, or the sheets in it turned over, once the print is in it. */
  rock: z.strictObject({ everySeconds: Seconds, standing: StandingWord, source: Sentence }).optional(),
  /** What it means when the print leaves before its least time. */
  early: Sentence.optional(),
  /**
   * Which later step makes up for it when the print leaves before its least time: that one's least time becomes so much,
   * or grows by what was missing.
   */
  ifShort: z
    .strictObject({
      lengthens: Key,
      toSeconds: Seconds.optional(),
      standing: StandingWord,
      source: Sentence,
    })
    .optional(),
  /** What it means when it stays past its greatest time, and what is to blame. */
  late: z
    .strictObject({
      afterSeconds: Seconds.optional(),
      means: Sentence,
      blames: z.enum(['paper', 'bath', 'hand']),
    })
    .optional(),
  /** Its water holds what may not go down the drain: it is kept. */
  isKept: WasteClass.optional(),
  /** Said again for every coat. */
  perCoat: z.boolean().optional(),
  /** Which solution is in the tray, for steps that soak or float. */
  tray: Key.optional(),
  /** Where the solution depends on what was chosen: the one of these whose bath belongs to the choices. */
  trays: z.array(Key).min(1).optional(),
  /** What a wet step does, where the order of steps turns on it. */
  role: z.enum(['develop', 'clear', 'tone', 'fix', 'bleach', 'wash']).optional(),
  /** Which solution this lays into the paper and how, for the balance of salt and silver. */
  lays: z.strictObject({ component: Key, by: z.enum(['brush', 'soak', 'float']) }).optional(),
  /** Exposure of this step over the sheet's own, where it is not the same: a gum layer takes about a quarter. */
  share: z.number().gt(0).max(10).optional(),
  endpoint: Endpoint.optional(),
  /** How far into an exposure a look pays, as shares of the planned time. */
  looks: z.array(z.strictObject({ share: z.number().gt(0).lt(1), lookFor: Sentence })).optional(),
  /** How often a print that shows itself is looked at, once looking has begun. */
  lookEvery: Range.optional(),
  /** Ids of cautions that belong to what is in hand. */
  cautions: z.array(Key),
  /** `atOnce` when finishing the step before starts this one. */
  begins: z.enum(['press', 'atOnce']),
  /** Words on the target that starts and that ends the step. */
  press: z.strictObject({ start: Sentence, finish: Sentence }),
  habit: Sentence.optional(),
  when: When.optional(),
})

/** Something dissolved: grams in 100 ml of solution. */
const Solute = z.strictObject({ substanceId: Key, percentWv: z.number().gt(0).max(400) })

const Option = z.strictObject({
  id: Key,
  name: Sentence,
  reason: Sentence,
  standing: StandingWord,
  /** What these components' bottles hold under this option, instead of what they say themselves. */
  stocks: z.record(Key, z.array(Solute).min(1)).optional(),
  /** Which end of the light's range a first exposure starts from, for options about exposure. */
  exposeTo: z.enum(['upperEnd', 'middle']).optional(),
})

const Choice = z.strictObject({
  id: Key,
  name: Sentence,
  startsWith: Key,
  options: z.array(Option).min(2),
})

/** Time on a shelf: some solutions keep for many years. */
const Shelf = z
  .number()
  .min(0)
  .max(50 * 31_536_000)

/** What is in a bottle, how it is made and how long it serves. */
const Stock = z.strictObject({
  solutes: z.array(Solute),
  /** How it is made, act by act. */
  making: z.array(Sentence),
  ripensSeconds: Shelf.optional(),
  keepsSeconds: Shelf.optional(),
  standing: StandingWord,
  source: Sentence,
})

const Component = z.strictObject({
  id: Key,
  name: Sentence,
  /** Letter of the bottle in the trade's usual naming. */
  letter: z.string().regex(/^[A-Z]$/),
  stock: Stock,
  cautions: z.array(Key),
})

/** How far a solution in a tray goes. */
const BathUse = z.strictObject({
  manner: z.enum(['oneShot', 'reused']),
  /** Paper that a litre of it serves, m². */
  squareMetresPerLitre: z.number().gt(0).max(100).optional(),
  /** Silver that a litre of fixer may hold, g: as the only bath, and as the first of two. Comes before the area. */
  silver: z
    .strictObject({ alone: z.number().gt(0).max(50), firstOfTwo: z.number().gt(0).max(50) })
    .optional(),
  /** What is added, and after how many prints of 8 × 10 in at the earliest and at the latest. */
  replenish: z
    .strictObject({
      millilitres: z.number().gt(0).max(10_000),
      afterPrints: z.int().min(1).max(1000),
      atMostPrints: z.int().min(1).max(1000),
      standing: StandingWord,
      source: Sentence,
    })
    .optional(),
  /** The bath that takes its place when it is discarded: the second of two fixers. */
  followedBy: Key.optional(),
  standing: StandingWord,
  source: Sentence,
})

/** A solution that is in a tray, of which no measured share goes into the sheet. */
const Bath = z.strictObject({
  id: Key,
  name: Sentence,
  stock: Stock,
  /** Kept for one print where nothing is said. */
  use: BathUse.optional(),
  cautions: z.array(Key),
  when: When.optional(),
})

/** Components that are counted into one glass, in the order in which they go in. */
const Mix = z.strictObject({
  id: Key,
  name: Sentence,
  /** Coats that this mix is for, whatever the sheet's own number: a salt size is laid once. */
  coats: z.int().min(1).max(9).optional(),
  /** Laid into the paper before it is sensitized, as a size or a salt: its drops are not those of the coat. */
  preparesPaper: z.boolean().optional(),
  /** How much of it a square metre takes, where that is not the sheet's own coverage: a size is poured. */
  coverage: z
    .strictObject({ millilitresPerM2: z.number().gt(0).max(1000), standing: StandingWord, source: Sentence })
    .optional(),
  parts: z
    .array(z.strictObject({ component: Key, parts: z.number().gt(0).max(1000), when: When.optional() }))
    .min(1),
})

const LightRange = z.strictObject({
  kind: z.enum(['sun', 'uvBox', 'lamp', 'tubes']),
  name: Sentence,
  leastSeconds: Seconds,
  mostSeconds: Seconds,
  standing: StandingWord,
  source: Sentence,
  note: Sentence,
})

const SecondLook = z.strictObject({
  id: z.enum(['wet', 'dry', 'settled']),
  title: Sentence,
  /** From the moment the print was hung; `wet` is due as soon as it hangs. */
  dueAfterSeconds: Seconds,
  lookFor: Sentence,
  why: Sentence,
})

/** A process as typed data: what there is to choose, what is done in which order, and why. */
export const ProcessDefinition = z.strictObject({
  id: Key,
  version: z.int().min(1),
  name: Sentence,
  summary: Sentence,
  /** Name of the process's own colour in both palettes. */
  mark: z.enum(['prussian', 'umber', 'plum', 'graphite']),
  /** A process makes prints; a treatment gets paper ready for one. */
  kind: z.enum(['process', 'treatment']),
  /** Id of the process this is a changed copy of. */
  copyOf: Key.optional(),
  components: z.array(Component),
  mixes: z.array(Mix),
  baths: z.array(Bath),
  /** Whether it bears the chalk of a buffered paper, and what the chalk does. */
  chalk: z.strictObject({ bears: z.boolean(), why: Sentence }),
  /** Coverage by brush where the process has its own. */
  coverage: z
    .strictObject({ millilitresPerM2: z.number().gt(0).max(1000), standing: StandingWord, source: Sentence })
    .optional(),
  /** Stops to print deeper than what is wanted in the end (below 0: lighter), for what baths and drying do to it. */
  deeper: z
    .strictObject({
      stops: z.number().min(-3).max(3),
      standing: StandingWord,
      source: Sentence,
      why: Sentence,
    })
    .optional(),
  air: WantedAir.optional(),
  /** What coats it, the usual tool first. */
  tools: z.array(z.enum(['brush', 'rod', 'sponge', 'cotton'])),
  /** Light to work by. */
  lighting: Sentence.optional(),
  /** What keeps the negative safe from the coat. */
  film: Sentence.optional(),
  choices: z.array(Choice),
  lights: z.array(LightRange),
  steps: z.array(Step).min(1),
  cautions: z.array(Caution),
  secondLooks: z.array(SecondLook),
  /** Colours of the coat through its life, for drawn swatches. */
  colours: z.record(Key, z.string().regex(/^#[0-9a-f]{6}$/)),
})

export type ProcessDefinition = z.infer<typeof ProcessDefinition>
export type StepDefinition = z.infer<typeof Step>
export type LightKind = z.infer<typeof LightRange>['kind']
export type SecondLookDefinition = z.infer<typeof SecondLook>
export type WhenChosen = z.infer<typeof When>
export type SoluteDefinition = z.infer<typeof Solute>
export type StockDefinition = z.infer<typeof Stock>
export type ComponentDefinition = z.infer<typeof Component>
export type BathDefinition = z.infer<typeof Bath>
export type BathUse = z.infer<typeof BathUse>
export type MixDefinition = z.infer<typeof Mix>
export type ToolName = ProcessDefinition['tools'][number]
export type StationName = z.infer<typeof Station>
export type PlaceName = z.infer<typeof Place>
