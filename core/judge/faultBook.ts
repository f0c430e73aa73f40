import type { Standing } from '../quantity/figure'

/** What a print is made of and by, as far as faults turn on it. */
export type Trait =
  | 'iron'
  | 'silver'
  | 'ferricyanide'
  | 'noble'
  | 'gold'
  | 'pigment'
  | 'halide'
  | 'printsOut'
  | 'develops'
  | 'clears'
  | 'tones'
  | 'fixes'
  | 'hatesChalk'
  | 'layers'
  | 'negative'
  | 'coated'
  | 'lamp'
  | 'sun'

/** When a fault is first to be seen: on the dry coat, in the light, in the first water or developer, in a later bath, dry. */
export type Moment = 'coat' | 'light' | 'water' | 'bath' | 'dry' | 'weeks'

/** How a symptom is drawn, so that it is known by sight. */
export type Drawing =
  | 'pale'
  | 'heavy'
  | 'veil'
  | 'tint'
  | 'specksDark'
  | 'specksLight'
  | 'mottle'
  | 'streaks'
  | 'soft'
  | 'blotch'
  | 'line'
  | 'double'
  | 'bronze'
  | 'flat'
  | 'harsh'
  | 'uneven'
  | 'rings'
  | 'patches'
  | 'washed'
  | 'blank'
  | 'mirrored'
  | 'ruled'
  | 'finger'
  | 'tide'
  | 'halo'
  | 'grain'
  | 'flakes'
  | 'frills'
  | 'slow'
  | 'covered'
  | 'paler'
  | 'wedge'
  | 'dull'
  | 'coat'
  | 'stuck'
  | 'split'
  | 'cloudy'

/** Something the eye sees. */
export interface Symptom {
  id: string
  name: string
  /** What it looks like, and what it is not to be mistaken for. */
  looks: string
  drawing: Drawing
  /** Colour of the drawing where it is one, such as a stain. */
  colour?: string
  /** Share of faulty prints that show it, whatever their cause. */
  base: number
  /** Processes it can happen in: all of these traits; everywhere when left out. */
  needs?: readonly Trait[]
}

/** Something that the record shows, or that is asked of the user. */
export interface FaultFact {
  id: string
  /** Question, for what no record shows. */
  ask?: string
  /** What a yes and a no to it are called among the evidence. */
  yes: string
  no: string
  /** Share of faulty prints of which it is true, whatever their cause. */
  base: number
  /** Facts of one group say the same thing twice: the stronger counts. */
  group?: string
  /** How easily one can know it, 0 to 1; 1 where nothing is said. */
  ease?: number
  /** It says when the fault was first seen: one of these facts is true of a print, and a yes to one is a no to the others. */
  moment?: Moment
  needs?: readonly Trait[]
}

/** A cause of faults. */
export interface Cause {
  id: string
  name: string
  /** How it makes what is seen, in plain words. */
  why: string
  /** How to prevent it. */
  cure: string
  /** How to save the print that has it; absent where nothing does. */
  rescue?: string
  /** When it is first to be seen. */
  when: readonly Moment[]
  /** How often it is the cause, against the others. */
  weight: number
  needs?: readonly Trait[]
  /** Share of its prints that show each symptom; a symptom not named shows beside it by chance. */
  shows: Readonly<Record<string, number>>
  /** Share of its prints of which each fact is true; a fact not named is true by chance. */
  facts: Readonly<Record<string, number>>
}

/** A next sheet with one thing changed. */
export interface FaultTest {
  id: string
  name: string
  /** What to do differently, and nothing else. */
  doing: string
  /** Share in which the fault is gone, for causes that it answers; all others come out `same`. */
  cures: Readonly<Record<string, number>>
  /** What is changed on the planned sheet itself. */
  change?: { stops?: number; coverage?: number; coats?: number }
  /** What it costs: 1 a scrap of paper, 2 a sheet, 3 a new solution. */
  effort: 1 | 2 | 3
  /** Looks that it can show at all; every look where nothing is said. */
  shows?: readonly string[]
  needs?: readonly Trait[]
}

/** The trade's knowledge of faults, as data. */
export interface FaultBook {
  symptoms: readonly Symptom[]
  facts: readonly FaultFact[]
  causes: readonly Cause[]
  tests: readonly FaultTest[]
  standing: Standing
  source: string
}

/** Whether something belongs to a print of these traits. */
export const belongs = (needs: readonly Trait[] | undefined, traits: ReadonlySet<Trait>): boolean =>
  !needs || needs.every((trait) => traits.has(trait))

/** Share of a cause's prints in which the fault is first seen when it says so; the rest is shared by the other moments. */
const SEEN_THEN = 0.85
const MOMENTS = 6

/** When a cause is first to be seen in a print of these traits: what does not print out shows in the developer. */
export const momentsOf = ({ when }: Pick<Cause, 'when'>, traits: ReadonlySet<Trait>): readonly Moment[] => [
  ...new Set(when.map((moment) => (moment === 'light' && !traits.has('printsOut') ? 'water' : moment))),
]

/** Share of the prints of a cause of which a fact is true, 0 to 1. */
export function shareOf(fact: FaultFact, cause: Cause, traits: ReadonlySet<Trait>): number {
  const own = cause.facts[fact.id]
  if (own !== undefined || !fact.moment) return own ?? fact.base
  const moments = momentsOf(cause, traits)
  return moments.includes(fact.moment)
    ? SEEN_THEN / moments.length
    : (1 - SEEN_THEN) / (MOMENTS - moments.length)
}
