import { absorbencyOf, wetStrengthFor } from '@core/paper/waterTests'
import { stepsFor } from '@core/process/plan'
import { formatSpan } from '@core/quantity/format'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Paper } from '@core/schema/records'
import type { MarginNote } from '../state/margin.store'

/** Time that a process keeps a sheet in its trays, at least; s. */
const wetSeconds = (definition: ProcessDefinition, choices: Readonly<Record<string, string>>): number =>
  stepsFor(definition, choices)
    .filter(({ station }) => station === 'wet')
    .reduce((sum, { time }) => sum + (time?.leastSeconds ?? 0), 0)

/** What the margin says of a paper that was tested with water: how it takes the coat, and whether it bears the baths. */
export function paperNotes(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  paper: Pick<Paper, 'dropSeconds' | 'soaked'> | null | undefined,
): MarginNote[] {
  const lines: string[] = []
  if (paper?.dropSeconds !== undefined && absorbencyOf(paper.dropSeconds) === 'thirsty')
    lines.push(
      `A drop sank in after ${formatSpan(paper.dropSeconds)}: this paper drinks (limit from memory). The coat sinks in and prints weak, and washing takes longer. Size it first in Paper, or lay two coats.`,
    )
  const wet = wetSeconds(definition, choices)
  const strength = paper?.soaked && wetStrengthFor(paper.soaked, wet)
  const [soaked, baths] = [formatSpan(paper?.soaked?.seconds ?? 0), formatSpan(wet)]
  if (strength === 'tears')
    lines.push(
      `A scrap tore after ${soaked} in water, and the baths take ${baths} at least: carry the sheet on plastic from tray to tray, or choose a stronger paper.`,
    )
  if (strength === 'untried' && paper?.soaked?.held)
    lines.push(`A scrap was soaked for ${soaked} only, and the baths take ${baths} at least: soak one longer first.`)
  return lines.length ? [{ title: 'This paper in water', lines, tone: 'caution' }] : []
} // prettier-ignore
