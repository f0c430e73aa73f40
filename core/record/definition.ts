import { z } from 'zod'
import { Key, Seconds, StandingWord } from './common'

/** Where a step is worked: the station of the application, which is the place in the room. */
export const Station = z.enum(['coat', 'light', 'wet', 'line'])

/** Column of the day's threads: where the sheet lies meanwhile. */
export const Place = z.enum(['bench', 'dark', 'light', 'water', 'line'])

/**
 * What kind of work a step is, which decides how its clock behaves:
 * `count` counts drops; `act` is handwork inside a limit; `wait` must last at least so long; `expose` runs to a planned
 * end and can be held for a look; `bath` lasts at least so long and counts waters; `hang` ends by itself when dry.
 */
export const StepKind = z.enum(['count', 'act', 'wait', 'expose', 'bath', 'hang'])

const Sentence = z.string().min(1).max(600)

const Range = z.strictObject({
  leastSeconds: Seconds.optional(),
  mostSeconds: Seconds.optional(),
  standing: StandingWord,
  source: Sentence,
})

/** The option that has to be chosen for a step to belong to the run. */
const Condition = z.strictObject({ choice: Key, option: Key })

const Caution = z.strictObject({
  id: Key,
  title: Sentence,
  text: Sentence,
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
  /** How long the sheet may wait after this step before the next begins. */
  keeps: Range.optional(),
  endpoint: Endpoint.optional(),
  /** How far into an exposure a look pays, as shares of the planned time. */
  looks: z.array(z.strictObject({ share: z.number().gt(0).lt(1), lookFor: Sentence })).optional(),
  /** Ids of cautions that belong to what is in hand. */
  cautions: z.array(Key),
  /** `atOnce` when finishing the step before starts this one. */
  begins: z.enum(['press', 'atOnce']),
  /** Words on the target that starts and that ends the step. */
  press: z.strictObject({ start: Sentence, finish: Sentence }),
  habit: Sentence.optional(),
  when: Condition.optional(),
})

const Option = z.strictObject({
  id: Key,
  name: Sentence,
  reason: Sentence,
  standing: StandingWord,
  /** Strength of each component's bottle in % w/v, for options about strengths. */
  strengths: z.record(Key, z.number().gt(0).max(100)).optional(),
  /** Which end of the light's range a first exposure starts from, for options about exposure. */
  exposeTo: z.enum(['upperEnd', 'middle']).optional(),
})

const Choice = z.strictObject({
  id: Key,
  name: Sentence,
  startsWith: Key,
  options: z.array(Option).min(2),
})

const Component = z.strictObject({
  id: Key,
  name: Sentence,
  substanceId: Key,
  /** Letter of the bottle in the trade's usual naming. */
  letter: z.string().regex(/^[A-Z]$/),
  cautions: z.array(Key),
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
  parts: z.array(z.number().gt(0)).min(1),
  components: z.array(Component).min(1),
  choices: z.array(Choice),
  lights: z.array(LightRange).min(1),
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
export type StationName = z.infer<typeof Station>
export type PlaceName = z.infer<typeof Place>
