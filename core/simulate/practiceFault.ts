import { belongs, type Drawing, type FaultBook, type Trait } from '../judge/faultBook'
import type { SheetConditions, VirtualFilm, VirtualProcess } from './virtualProcess'

/** Faults that show in places, by the drawing that the book of faults has for them. */
export type PracticeLook = Extract<
  Drawing,
  | 'streaks'
  | 'line'
  | 'uneven'
  | 'blotch'
  | 'specksLight'
  | 'specksDark'
  | 'mottle'
  | 'soft'
  | 'mirrored'
  | 'double'
  | 'finger'
  | 'rings'
  | 'patches'
>

/** Something that is wrong with a practice sheet, by the cause that a diagnosis would name. */
export interface PracticeFault {
  causeId: string
  /** 1: seen at a glance. 2: only a change of depth, whites or contrast. */
  level: 1 | 2
  look?: PracticeLook
  /** Processes it can happen in, where the cause itself does not say so. */
  needs?: readonly Trait[]
  change?: Partial<SheetConditions>
  film?: Partial<VirtualFilm>
  /** Of a coat that is too old: its age as a multiple of what it keeps. */
  ageOfKeeping?: number
  /** Of a coat that met light in the room: that light as a share of the process's own speed. */
  fogOfSpeed?: number
}

/** The sheet with everything that is wrong with it. */
export function spoiltBy(
  conditions: SheetConditions,
  process: VirtualProcess,
  faults: readonly PracticeFault[],
): SheetConditions {
  return faults.reduce(
    (sheet, { change, ageOfKeeping, fogOfSpeed }) => ({
      ...sheet,
      ...change,
      ...(ageOfKeeping !== undefined && { coatAgeHours: ageOfKeeping * process.keepsHours.value }),
      ...(fogOfSpeed !== undefined && { fogDose: fogOfSpeed * process.speed.value }),
    }),
    conditions,
  )
}

/** The film with everything that is wrong with it. */
export const filmOf = (film: VirtualFilm, faults: readonly PracticeFault[]): VirtualFilm =>
  faults.reduce((one, fault) => ({ ...one, ...fault.film }), film)

/** Faults that can be hidden in a print of these traits. */
export const faultsFor = (
  faults: readonly PracticeFault[],
  book: Pick<FaultBook, 'causes'>,
  traits: ReadonlySet<Trait>,
): PracticeFault[] =>
  faults.filter(({ causeId, needs }) => {
    const cause = book.causes.find(({ id }) => id === causeId)
    return cause && belongs(cause.needs, traits) && belongs(needs, traits)
  })

/** How many faults are hidden in a sheet, and of which kind: one at a glance, one of depth, or two at once. */
export type FaultLevel = 'none' | 'plain' | 'depth' | 'two'

/**
 * Faults for a sheet, by chance.
 *
 * @param random from 0 to below 1. @param possible those of the process.
 */
export function drawFaults(
  level: FaultLevel,
  possible: readonly PracticeFault[],
  random: () => number,
): PracticeFault[] {
  const drawn = (of: 1 | 2): PracticeFault[] => {
    const some = possible.filter((fault) => fault.level === of)
    return some.slice(Math.floor(random() * some.length)).slice(0, 1)
  }
  return [
    ...(level === 'plain' || level === 'two' ? drawn(1) : []),
    ...(level === 'depth' || level === 'two' ? drawn(2) : []),
  ]
}

/**
 * What is still wrong after a test: one thing changed on the next sheet.
 *
 * @param cures share in which each cause is gone after the test, as the book of faults has it.
 */
export const leftAfter = (
  faults: readonly PracticeFault[],
  cures: Readonly<Record<string, number>>,
): PracticeFault[] => faults.filter(({ causeId }) => (cures[causeId] ?? 0) < 0.5)

/** The steps of a practice print, in order: light, baths, and the day after. */
export type PracticeStep = 'light' | 'develop' | 'clear' | 'tone' | 'fix' | 'wash' | 'dry' | 'judged'

/** The steps that a process has. @param isToned it goes through the toner as well. */
export const stepsOf = (
  { developSeconds, fix, toner, washSeconds }: VirtualProcess,
  isToned: boolean,
): readonly PracticeStep[] => [
  'light',
  ...(developSeconds ? (['develop'] as const) : []),
  'clear',
  ...(toner && isToned ? (['tone'] as const) : []),
  ...(fix ? (['fix'] as const) : []),
  ...(washSeconds ? (['wash'] as const) : []),
  'dry',
  'judged',
]
