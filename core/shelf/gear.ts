import { trayOf } from '../process/trays'
import { stepsFor } from '../process/plan'
import type { ProcessDefinition } from '../schema/definition'

/** What a process may ask of the room; a thing of the gear is for one of these. */
export type GearUse =
  | 'always'
  | 'weighing'
  | 'counting'
  | 'brush'
  | 'rod'
  | 'exposing'
  | 'looking'
  | 'sun'
  | 'trays'
  | 'hanging'
  | 'silver'

/** To try a process once, or to do it well. */
export type GearLevel = 'try' | 'well'

/** A thing that is bought once, in words of the trade and without a maker. */
export interface Gear {
  name: string
  for: GearUse
  level: GearLevel
}

/**
 * What a process takes besides chemicals and paper.
 *
 * @param book every thing that is known, in the order in which it is listed.
 * @returns things to try it with, things to do it well with, and how many trays stand on the bench, waters among them.
 */
export function gearFor(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  book: readonly Gear[],
): { toTry: string[]; toDoWell: string[]; trays: number } {
  const steps = stepsFor(definition, choices)
  const baths = steps.filter(({ kind }) => kind === 'bath')
  const trays = new Set(baths.map((step) => trayOf(definition, step, choices)?.id ?? 'water')).size
  const uses = new Set<GearUse>(['always', 'weighing'])
  if (steps.some(({ kind }) => kind === 'count')) uses.add('counting')
  for (const tool of definition.tools) if (tool === 'brush' || tool === 'rod') uses.add(tool)
  if (steps.some(({ kind }) => kind === 'expose')) uses.add('exposing')
  if (steps.some(({ looks = [], lookEvery }) => looks.length > 0 || lookEvery)) uses.add('looking')
  if (definition.lights.some(({ kind }) => kind === 'sun')) uses.add('sun')
  if (trays) uses.add('trays')
  if (steps.some(({ kind }) => kind === 'hang')) uses.add('hanging')
  if (definition.cautions.some(({ id }) => id === 'silver')) uses.add('silver')
  const of = (level: GearLevel) =>
    book.filter((one) => one.level === level && uses.has(one.for)).map(({ name }) => name)
  return { toTry: of('try'), toDoWell: of('well'), trays }
}
