import type { SubstanceBook } from '../chemistry/lots'
import { digits, formatSize, formatSpan, type UnitChoice } from '../quantity/format'
import type { ProcessDefinition, StepDefinition } from '../schema/definition'
import type { Sheet } from '../schema/records'
import { isGentle } from './gentle'
import type { MixPlan } from './mixPlan'
import { stepsFor } from './plan'
import { leastTime } from './stepTimes'
import { cautionsFor } from './trays'

/** One step as it is read from a wall. */
export interface WorkCardStep {
  title: string
  doing: string
  /** Such as `at least 10 min`; empty where the eye alone decides. */
  time: string
  /** What shows that it is done; empty where nothing is seen. */
  cue: string
}

/** A process for one size and paper, to be printed for a wall, for pupils, or for a workshop. */
export interface WorkCard {
  title: string
  /** Process, size, coats, sheets, paper, light. */
  line: string
  /** Whether children may work by it, with an adult beside them. */
  isGentle: boolean
  cautions: { title: string; text: string; firstAid: string }[]
  mixes: { name: string; rows: { solution: string; drops: string; millilitres: string }[] }[]
  steps: WorkCardStep[]
}

/** What a card is made for. */
export interface WorkCardInput {
  definition: ProcessDefinition
  sheet: Pick<
    Sheet,
    'title' | 'choices' | 'coats' | 'exposureSeconds' | 'widthMillimetres' | 'heightMillimetres' | 'batch'
  >
  plans: readonly MixPlan[]
  paper: { name: string; gramsPerM2?: number | undefined } | undefined
  lightName: string | undefined
  units: UnitChoice
}

/** The work card of one planned sheet, or of a row of sheets. */
export function workCard(
  { definition, sheet, plans, paper, lightName, units }: WorkCardInput,
  book: SubstanceBook,
): WorkCard {
  const steps = stepsFor(definition, sheet.choices)
  const asked = new Set(steps.flatMap((step) => cautionsFor(definition, step, sheet.choices)))
  const counted = plans.flatMap((plan) => plan.pours.flatMap(({ component }) => component.cautions))
  return {
    title: definition.name,
    line: [
      formatSize(sheet, units),
      sheet.coats > 1 ? `${sheet.coats} coats` : '',
      sheet.batch ? `${sheet.batch.of} sheets` : '',
      paper?.name ?? '',
      lightName ? `under ${lightName}` : '',
    ]
      .filter(Boolean)
      .join(', '),
    isGentle: isGentle(definition, sheet.choices, book),
    cautions: definition.cautions
      .filter(({ id }) => asked.has(id) || counted.includes(id))
      .map(({ title, text, firstAid = '' }) => ({ title, text, firstAid })),
    mixes: plans.map(({ mix, pours, count }) => ({
      name: mix.name,
      rows: pours.map(({ component, millilitres }, i) => ({
        solution: component.name,
        drops: `${count.drops[i] ?? 0}`,
        millilitres: `${digits(millilitres, 2)} ml`,
      })),
    })),
    steps: steps.map((step) => ({
      title:
        step.perCoat && sheet.coats > 1 ? `${step.title} (for each of ${sheet.coats} coats)` : step.title,
      doing: step.doing,
      time: timeSaid(step, sheet.exposureSeconds, paper?.gramsPerM2),
      cue: step.endpoint?.good ?? '',
    })),
  }
}

function timeSaid(step: StepDefinition, exposureSeconds: number, gramsPerM2: number | undefined): string {
  if (step.kind === 'expose') return formatSpan(exposureSeconds * (step.share ?? 1))
  const least = leastTime(step, gramsPerM2)?.value
  const most = step.time?.mostSeconds
  if (step.kind === 'act') return most === undefined ? '' : `within ${formatSpan(most)}`
  if (least === undefined) return most === undefined ? '' : `at most ${formatSpan(most)}`
  return most === undefined || most <= least
    ? `at least ${formatSpan(least)}`
    : `${formatSpan(least)} to ${formatSpan(most)}`
}
