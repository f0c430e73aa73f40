import type { SubstanceBook } from '../chemistry/lots'
import { auditNeighbours } from '../chemistry/audits'
import type { ProcessDefinition, SoluteDefinition, StepDefinition } from '../schema/definition'
import type { Incompatibility, ReactionClass } from '../schema/substance'
import { partsOf, mixesFor } from './mixPlan'
import { schoolStocks, stepsFor } from './plan'
import { trayOf } from './trays'

/** An order of steps that could hurt someone or spoil a print. */
export interface OrderFinding {
  code: 'must-not-meet' | 'silver-before-gold' | 'tone-before-clear' | 'first-water-not-kept'
  stepId: string
  problem: string
  remedy: string
}

type Substances = Pick<SoluteDefinition, 'substanceId'>

interface WetStep {
  step: StepDefinition
  solutes: readonly Substances[]
}

/**
 * What is wrong with the order of a process's wet steps under these choices: solutions that must not meet with no water
 * between them, silver carried into gold, a toner before the whites are cleared, a first water with silver or dichromate
 * that would go down the drain.
 *
 * @param pairs what must not meet, as data.
 * @param standing what really is in a tray, by the id of its solution, where it is not what the process says.
 */
export function orderFindings(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  book: SubstanceBook,
  pairs: readonly Incompatibility[],
  standing: (solutionId: string) => readonly Substances[] | undefined = () => undefined,
): OrderFinding[] {
  const stocks = schoolStocks(definition, choices)
  const wet: WetStep[] = stepsFor(definition, choices)
    .filter((step) => step.station === 'wet')
    .map((step) => {
      const tray = trayOf(definition, step, choices)
      return {
        step,
        solutes: tray ? (standing(tray.id) ?? stocks[tray.id] ?? tray.stock.solutes) : [],
      }
    })
  const coat = coatSolutes(definition, choices)
  return [
    ...meetings(wet, book, pairs),
    ...(holds(coat, book, 'silver') ? silverIntoGold(wet, book) : []),
    ...tonedTooSoon(wet),
    ...firstWater(wet, coat, book),
  ]
}

/** What the coat holds under these choices: everything counted into a glass, and every bath the sheet is in first. */
export function coatSolutes(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): SoluteDefinition[] {
  const stocks = schoolStocks(definition, choices)
  const counted = mixesFor(definition, choices).flatMap((mix) =>
    partsOf(definition, mix, choices).map(({ component }) => component.id),
  )
  const laid = stepsFor(definition, choices).flatMap((step) => step.lays?.component ?? [])
  return [...new Set([...counted, ...laid])].flatMap((id) => stocks[id] ?? [])
}

const classesOf = (solutes: readonly Substances[], book: SubstanceBook): ReactionClass[] => [
  ...new Set(solutes.flatMap((one) => book[one.substanceId]?.reacts ?? [])),
]
const holds = (solutes: readonly Substances[], book: SubstanceBook, what: ReactionClass) =>
  classesOf(solutes, book).includes(what)
const isWater = (one: WetStep) => one.solutes.length === 0

function meetings(
  wet: readonly WetStep[],
  book: SubstanceBook,
  pairs: readonly Incompatibility[],
): OrderFinding[] {
  return wet.flatMap((one, i) => {
    const before = wet[i - 1]
    if (!before || isWater(one) || isWater(before)) return []
    const neighbours = [before, one].map(({ step, solutes }) => ({
      name: step.title,
      reacts: classesOf(solutes, book),
    }))
    return auditNeighbours(neighbours, pairs).map(({ problem, remedy }) => ({
      code: 'must-not-meet' as const,
      stepId: one.step.id,
      problem: `${before.step.title}, then ${one.step.title.toLowerCase()}: ${problem}`,
      remedy,
    }))
  })
}

function silverIntoGold(wet: readonly WetStep[], book: SubstanceBook): OrderFinding[] {
  const isNoble = ({ solutes }: WetStep) => solutes.some((one) => book[one.substanceId]?.waste === 'noble')
  const gold = wet.find(isNoble)
  if (!gold || wet.slice(0, wet.indexOf(gold)).some(isWater)) return []
  return [
    {
      code: 'silver-before-gold',
      stepId: gold.step.id,
      problem: 'Free silver gets into the toner, precipitates the gold and mottles the print.',
      remedy: 'Wash until the water stays clear before you tone.',
    },
  ]
}

function tonedTooSoon(wet: readonly WetStep[]): OrderFinding[] {
  const toned = wet.find(({ step }) => step.role === 'tone')
  const cleared = wet.find(({ step }) => step.role === 'clear')
  if (!toned || !cleared || wet.indexOf(cleared) < wet.indexOf(toned)) return []
  return [
    {
      code: 'tone-before-clear',
      stepId: toned.step.id,
      problem:
        'The print is toned before its whites are cleared. Salts left in the paper stain and use up gold.',
      remedy: 'Clear until the whites are paper-white, then tone.',
    },
  ]
}

/** What must not go down the drain with the first water, and what to say of it. */
const KEPT = { chromium: 'dichromate', silver: 'silver' } as const

function firstWater(
  wet: readonly WetStep[],
  coat: readonly Substances[],
  book: SubstanceBook,
): OrderFinding[] {
  const first = wet[0]
  if (!first || !isWater(first)) return []
  return (['chromium', 'silver'] as const).flatMap((jar) => {
    const isInCoat = coat.some((one) => book[one.substanceId]?.waste === jar)
    if (!isInCoat || first.step.isKept === jar) return []
    return [
      {
        code: 'first-water-not-kept' as const,
        stepId: first.step.id,
        problem: `The first water holds ${KEPT[jar]} and would go down the drain.`,
        remedy: `Keep the first water in the ${jar} jar for the licensed service.`,
      },
    ]
  })
}
