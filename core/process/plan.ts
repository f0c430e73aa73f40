import { CoreError } from '../errors'
import type { ProcessDefinition, SoluteDefinition, StepDefinition } from '../schema/definition'
import type { CameIn, Happening, PlannedStep } from '../schema/event'
import type { PaperRun, Sheet } from '../schema/records'
import { isChosen, partsOf } from './mixPlan'
import { leastTime } from './stepTimes'

/** Steps that belong to a run with these choices, in order. */
export function stepsFor(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): StepDefinition[] {
  // A choice that came to the process after the sheet was planned stands as the process starts.
  const all = { ...startingChoices(definition), ...choices }
  return definition.steps.filter((step) => isChosen(step.when, all))
}

/** Choices with which the process starts unless the user says otherwise. */
export const startingChoices = (definition: ProcessDefinition): Record<string, string> =>
  Object.fromEntries(definition.choices.map((choice) => [choice.id, choice.startsWith]))

/** What each component's bottle holds under the chosen school, by component id. */
export function schoolStocks(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): Record<string, readonly SoluteDefinition[]> {
  const stocks: Record<string, readonly SoluteDefinition[]> = Object.fromEntries(
    definition.components.map((component) => [component.id, component.stock.solutes]),
  )
  for (const choice of definition.choices)
    for (const option of choice.options)
      if (option.id === choices[choice.id]) Object.assign(stocks, option.stocks ?? {})
  return stocks
}

/** Drops of each mix in the order of its components, by mix id. */
export type CountsByMix = Readonly<Record<string, readonly number[]>>

/**
 * The event that begins work on a sheet, with the whole plan written into it: steps of the chosen school, coats one
 * after the other, drops of every mix. A sheet that is coated from another's glass counts nothing itself.
 *
 * @throws CoreError `no-count` for a mix without drops.
 */
export function beginning(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'coats' | 'exposureSeconds' | 'batch'>,
  counts: CountsByMix,
  gramsPerM2: number | undefined,
): Extract<Happening, { type: 'begun' }> {
  const isFromOthersGlass = (sheet.batch?.place ?? 1) > 1
  const steps: PlannedStep[] = []
  let wasLeftOut = false
  for (const { step, coat } of inCoats(stepsFor(definition, sheet.choices), sheet.coats)) {
    if (step.kind === 'count' && isFromOthersGlass) {
      wasLeftOut = true
      continue
    }
    const planned = plannedStep(definition, step, sheet, counts, gramsPerM2)
    steps.push({
      ...planned,
      ...(coat !== undefined && { coat }),
      ...(coat !== undefined && coat > 1 && { id: `${step.id}-${coat}`, of: step.id }),
      // Work that flows on from a count, or from the coat before, has to be begun where that is not there to flow from.
      ...((wasLeftOut || isFirstOfCoat(steps.at(-1), coat)) && { begins: 'press' as const }),
    })
    wasLeftOut = false
  }
  const looks = definition.secondLooks.map(({ id, dueAfterSeconds }) => ({ id, dueAfterSeconds }))
  return { type: 'begun', steps: withLaterSteps(steps), looks }
}

/** A step that would be made up for by one that is not done here, is not made up for. */
const withLaterSteps = (steps: PlannedStep[]): PlannedStep[] =>
  steps.map((step, i) => {
    const { ifShort, ...rest } = step
    return ifShort && !steps.slice(i + 1).some(({ id }) => id === ifShort.lengthens) ? rest : step
  })

/**
 * The event that begins work on a sheet that was coated, exposed or finished before: what lies behind it was not recorded.
 *
 * @param cameIn how it came.
 */
export function comingIn(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'coats' | 'exposureSeconds' | 'batch'>,
  cameIn: CameIn,
  gramsPerM2: number | undefined,
): Extract<Happening, { type: 'begun' }> {
  return { ...beginning(definition, sheet, onesFor(definition, sheet), gramsPerM2), cameIn }
}

/** A drop of everything, for steps whose drops no one asks for. */
const onesFor = (definition: ProcessDefinition, { choices }: Pick<Sheet, 'choices'>): CountsByMix =>
  Object.fromEntries(definition.mixes.map((mix) => [mix.id, partsOf(definition, mix, choices).map(() => 1)]))

/** The steps of a sheet before its drops are counted out: enough to plan a day by. */
export function outlineOf(
  definition: ProcessDefinition,
  sheet: Pick<Sheet, 'choices' | 'coats' | 'exposureSeconds' | 'batch'>,
  gramsPerM2: number | undefined,
): PlannedStep[] {
  return beginning(definition, sheet, onesFor(definition, sheet), gramsPerM2).steps
}

/** The event that begins a treatment of paper. */
export const beginningOfTreatment = (
  definition: ProcessDefinition,
  run: Pick<PaperRun, 'choices'>,
  gramsPerM2: number | undefined,
): Extract<Happening, { type: 'begun' }> =>
  beginning(definition, { choices: run.choices, coats: 1, exposureSeconds: 1 }, {}, gramsPerM2)

const isFirstOfCoat = (before: PlannedStep | undefined, coat: number | undefined) =>
  coat !== undefined && coat > 1 && before?.coat !== coat

/** Steps in the order of work, each run of steps that belongs to a coat repeated for every coat. */
function inCoats(
  steps: readonly StepDefinition[],
  coats: number,
): { step: StepDefinition; coat: number | undefined }[] {
  const ordered: { step: StepDefinition; coat: number | undefined }[] = []
  for (let at = 0; at < steps.length;) {
    const step = steps[at] as StepDefinition
    if (!step.perCoat) {
      ordered.push({ step, coat: undefined })
      at++
      continue
    }
    const after = steps.findIndex((other, i) => i > at && !other.perCoat)
    const block = steps.slice(at, after < 0 ? steps.length : after)
    for (let coat = 1; coat <= coats; coat++) ordered.push(...block.map((one) => ({ step: one, coat })))
    at += block.length
  }
  return ordered
}

function plannedStep(
  definition: ProcessDefinition,
  step: StepDefinition,
  sheet: Pick<Sheet, 'choices' | 'exposureSeconds'>,
  counts: CountsByMix,
  gramsPerM2: number | undefined,
): PlannedStep {
  const least = leastTime(step, gramsPerM2)
  const { time, keeps } = step
  return {
    id: step.id,
    station: step.station,
    place: step.place,
    kind: step.kind,
    begins: step.begins,
    ...(least && { leastSeconds: least.value }),
    ...(time?.mostSeconds !== undefined && { mostSeconds: time.mostSeconds }),
    ...(keeps?.leastSeconds !== undefined && { keepsLeastSeconds: keeps.leastSeconds }),
    ...(keeps?.bestSeconds !== undefined && { keepsBestSeconds: keeps.bestSeconds }),
    ...(keeps?.mostSeconds !== undefined && { keepsSeconds: keeps.mostSeconds }),
    ...(step.ifShort && { ifShort: laterStep(step.ifShort) }),
    ...(step.rock && { rockSeconds: step.rock.everySeconds }),
    ...(step.kind === 'expose' && { plannedSeconds: sheet.exposureSeconds * (step.share ?? 1) }),
    ...(step.kind === 'count' && { drops: dropsFor(definition, step, sheet.choices, counts) }),
  }
}

const laterStep = ({ lengthens, toSeconds }: NonNullable<StepDefinition['ifShort']>) => ({
  lengthens,
  ...(toSeconds !== undefined && { toSeconds }),
})

function dropsFor(
  definition: ProcessDefinition,
  step: StepDefinition,
  choices: Readonly<Record<string, string>>,
  counts: CountsByMix,
): NonNullable<PlannedStep['drops']> {
  const mix = definition.mixes.find((one) => one.id === step.mix)
  const drops = mix && counts[mix.id]
  if (!mix || !drops)
    throw new CoreError({
      code: 'no-count',
      field: step.title,
      problem: 'The drops for this mix were not computed.',
      remedy: 'Plan the sheet again.',
    })
  return partsOf(definition, mix, choices).map(({ component }, i) => ({
    component: component.id,
    count: drops[i] as number,
  }))
}
