import { CoreError } from '../errors'
import { mix, type MixedSolute, type Solute } from '../chemistry/mixture'
import { coatVolume, imageArea } from '../coating/coatVolume'
import { betterTotal, ratioError, shareDrops, totalDrops, type DropCount } from '../coating/drops'
import type { Figure } from '../quantity/figure'
import type { LightKind, ProcessDefinition, StepDefinition } from '../record/definition'
import type { Happening, PlannedStep } from '../record/event'
import type { Sheet } from '../record/records'

/** A substance as the library knows it, as far as a mix needs it. */
export type SubstanceFacts = Pick<Solute, 'substanceId' | 'name' | 'formula'>

/** What goes into the glass for one sheet. */
export interface CoatPlan {
  area: Figure
  volume: Figure
  total: Figure
  count: DropCount
  /** A slightly larger count that keeps the ratio better, where there is one. */
  offer: DropCount | null
  ratioError: Figure
  /** True strength of each salt in the mix. */
  mixture: MixedSolute[]
}

export type CoatInput = Pick<
  Sheet,
  | 'widthMillimetres'
  | 'heightMillimetres'
  | 'coats'
  | 'parts'
  | 'coverageMillilitresPerM2'
  | 'dropsPerMillilitre'
>

/**
 * Volume, whole drops and true strengths of the coat of one sheet.
 *
 * @param strengths % w/v in each component's bottle, by component id.
 * @param substances facts by substance id.
 * @throws CoreError `out-of-range` from the coat or the drops; `no-strength` for a component whose bottle says nothing.
 */
export function planCoat(
  definition: ProcessDefinition,
  input: CoatInput,
  strengths: Readonly<Record<string, number>>,
  substances: Readonly<Record<string, SubstanceFacts>>,
): CoatPlan {
  if (input.parts.length !== definition.components.length)
    throw new CoreError({
      code: 'out-of-range',
      field: 'ratio',
      problem: `${definition.name} is mixed from ${definition.components.length} solutions, and the ratio names ${input.parts.length}.`,
      remedy: `Write it like ${definition.parts.join(' : ')}.`,
    })
  const volume = coatVolume(input)
  const total = totalDrops(volume.value, input.dropsPerMillilitre, input.parts.length)
  const count = shareDrops(input.parts, total.value)
  const pours = definition.components.map((component, index) => {
    const percentWv = strengths[component.id]
    const facts = substances[component.substanceId]
    if (percentWv === undefined || !facts)
      throw new CoreError({
        code: 'no-strength',
        field: component.name,
        problem: 'The strength of this bottle is not known.',
        remedy: 'Say which bottle is used, or choose the strengths.',
      })
    return {
      name: component.name,
      volumeMillilitres: (count.drops[index] as number) / input.dropsPerMillilitre,
      solutes: [{ ...facts, percentWv }],
    }
  })
  return {
    area: imageArea(input),
    volume,
    total,
    count,
    offer: betterTotal(input.parts, total.value),
    ratioError: ratioError(count, input.parts),
    mixture: mix(pours),
  }
}

/** Steps that belong to a run with these choices, in order. */
export function stepsFor(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): StepDefinition[] {
  return definition.steps.filter((step) => !step.when || choices[step.when.choice] === step.when.option)
}

/** Choices with which the process starts unless the user says otherwise. */
export const startingChoices = (definition: ProcessDefinition): Record<string, string> =>
  Object.fromEntries(definition.choices.map((choice) => [choice.id, choice.startsWith]))

/** Strength of each bottle under the chosen school, in % w/v by component id. */
export function schoolStrengths(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
): Record<string, number> {
  const chosen = definition.choices.flatMap((choice) =>
    choice.options.filter((option) => option.id === choices[choice.id]),
  )
  return Object.assign({}, ...chosen.map((option) => option.strengths ?? {}))
}

export interface ExposureInput {
  kind: LightKind
  choices: Readonly<Record<string, string>>
  /** The time the user has found for this light, if any. */
  usualSeconds?: number
}

/**
 * A first exposure time: the user's own time for the light where there is one; otherwise the upper end of what the
 * trade reports for such a light, or the geometric middle of it, as the chosen school has it.
 *
 * @returns seconds.
 */
export function firstExposure(definition: ProcessDefinition, input: ExposureInput): Figure {
  const range = definition.lights.find((light) => light.kind === input.kind)
  if (!range)
    throw new CoreError({
      code: 'no-light',
      field: 'light',
      problem: `${definition.name} has no figures for this kind of light.`,
      remedy: 'Type the time to start from.',
    })
  if (input.usualSeconds)
    return {
      value: input.usualSeconds,
      unit: 's',
      working: {
        words: 'your own time under this light',
        formula: 't = tₒ',
        inputs: [
          { name: 'your time', symbol: 'tₒ', value: input.usualSeconds, unit: 's', standing: 'yours' },
        ],
        standing: 'yours',
        source: 'What you wrote down for this light',
      },
    }
  const ends = [
    {
      name: `${range.name}, least`,
      symbol: 't₁',
      value: range.leastSeconds,
      unit: 's',
      standing: range.standing,
    },
    {
      name: `${range.name}, most`,
      symbol: 't₂',
      value: range.mostSeconds,
      unit: 's',
      standing: range.standing,
    },
  ]
  const toUpperEnd = definition.choices.some((choice) =>
    choice.options.some((option) => option.exposeTo === 'upperEnd' && input.choices[choice.id] === option.id),
  )
  return {
    value: toUpperEnd
      ? range.mostSeconds
      : Math.round(Math.sqrt(range.leastSeconds * range.mostSeconds) / 5) * 5,
    unit: 's',
    working: {
      words: toUpperEnd
        ? 'upper end of what such lights take'
        : 'middle of what such lights take, as a ratio, to 5 s',
      formula: toUpperEnd ? 't = t₂' : 't = √(t₁·t₂)',
      inputs: ends,
      standing: range.standing,
      source: range.source,
      leavesOut: 'paper, negative and age of the lamp; a test strip settles it',
    },
  }
}

/** The least time of a step for a paper of this weight, with its reason; `null` for a step without one. */
export function leastTime(step: StepDefinition, gramsPerM2: number | undefined): Figure | null {
  const heavy = step.heavyPaper
  const isHeavy = heavy !== undefined && gramsPerM2 !== undefined && gramsPerM2 >= heavy.fromGramsPerM2
  const value = isHeavy ? heavy.leastSeconds : step.time?.leastSeconds
  if (value === undefined || !step.time) return null
  return {
    value,
    unit: 's',
    working: {
      words: isHeavy ? `least time for papers from ${heavy.fromGramsPerM2} g/m²` : 'least time',
      formula: 't ≥ t₁',
      inputs: [
        { name: 'least time', symbol: 't₁', value, unit: 's' },
        ...(gramsPerM2 === undefined
          ? []
          : [{ name: 'paper', symbol: 'm', value: gramsPerM2, unit: 'g/m²' }]),
      ],
      standing: isHeavy ? heavy.standing : step.time.standing,
      source: isHeavy ? heavy.source : step.time.source,
    },
  }
}

/**
 * The event that begins work on a sheet, with the whole plan written into it.
 *
 * @param drops whole drops in the order of the components.
 */
export function beginning(
  definition: ProcessDefinition,
  sheet: Sheet,
  drops: readonly number[],
  gramsPerM2: number | undefined,
): Extract<Happening, { type: 'begun' }> {
  const steps = stepsFor(definition, sheet.choices).map((step): PlannedStep => {
    const least = leastTime(step, gramsPerM2)
    return {
      id: step.id,
      station: step.station,
      place: step.place,
      kind: step.kind,
      begins: step.begins,
      ...(least && { leastSeconds: least.value }),
      ...(step.time?.mostSeconds !== undefined && { mostSeconds: step.time.mostSeconds }),
      ...(step.keeps?.mostSeconds !== undefined && { keepsSeconds: step.keeps.mostSeconds }),
      ...(step.kind === 'expose' && { plannedSeconds: sheet.exposureSeconds }),
      ...(step.kind === 'count' && {
        drops: definition.components.map((component, i) => ({
          component: component.id,
          count: drops[i] as number,
        })),
      }),
    }
  })
  const looks = definition.secondLooks.map(({ id, dueAfterSeconds }) => ({ id, dueAfterSeconds }))
  return { type: 'begun', steps, looks }
}
