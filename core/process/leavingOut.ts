import type { SubstanceBook } from '../chemistry/lots'
import { formatSpan } from '../quantity/format'
import type { ProcessDefinition } from '../schema/definition'
import type { PlannedStep } from '../schema/event'
import type { Incompatibility } from '../schema/substance'
import { wordsIdOf } from '../run/runState'
import { meansLeftOut } from '../run/timing'
import { orderFindings, type OrderFinding } from './orderRules'

/** What comes of it when a step is not done, to be read before it is left out. */
export interface LeftOutConsequence {
  /** What it means for the print. */
  means: string
  /** The later step that then takes longer, in words; `null` where none does. */
  makesUp: string | null
  /** What would meet or be spoilt without it. */
  findings: OrderFinding[]
}

/**
 * What leaving out a step would mean on one sheet.
 *
 * @param steps of the sheet, as they were planned.
 * @param planned the step that is thought of; one of them.
 * @returns `null` for a step that cannot be left out: the hanging, and one that the process no longer knows.
 */
export function leftOutConsequence(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  steps: readonly PlannedStep[],
  planned: PlannedStep,
  book: SubstanceBook,
  pairs: readonly Incompatibility[],
): LeftOutConsequence | null {
  const words = definition.steps.find(({ id }) => id === wordsIdOf(planned))
  if (!words || planned.kind === 'hang') return null
  const { ifShort } = planned
  const later = ifShort && steps.find(({ id }) => id === ifShort.lengthens)
  const named = later && definition.steps.find(({ id }) => id === wordsIdOf(later))
  const own = later?.leastSeconds ?? 0
  const seconds = Math.max(own, ifShort?.toSeconds ?? own + (planned.leastSeconds ?? 0))
  const of = (steps: ProcessDefinition['steps']) =>
    orderFindings({ ...definition, steps }, choices, book, pairs)
  const known = new Set(of(definition.steps).map(({ problem }) => problem))
  return {
    means: meansLeftOut(words),
    makesUp: named && seconds > own ? `“${named.title}” then takes at least ${formatSpan(seconds)}.` : null,
    findings: of(definition.steps.filter((step) => step !== words)).filter(
      ({ problem }) => !known.has(problem),
    ),
  }
}
