import { CoreError } from '../errors'
import type { Figure } from '../quantity/figure'
import type { LightKind, ProcessDefinition, StepDefinition } from '../schema/definition'

/** What decides how long a sheet is exposed at first. */
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
      problem: `${definition.name} has no first guess for this kind of light.`,
      remedy: 'Enter a starting time.',
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
        source: 'Entered by you for this light',
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
        ? 'upper end of the usual range for such lights'
        : 'geometric middle of the usual range for such lights, rounded to 5 s',
      formula: toUpperEnd ? 't = t₂' : 't = √(t₁·t₂)',
      inputs: ends,
      standing: range.standing,
      source: range.source,
      leavesOut: 'paper, negative and lamp age; make a test strip',
    },
  }
}

/**
 * The minimum time of a step that makes up for one that was cut short, with its reason.
 *
 * @param seconds the time that it has in the sheet's run.
 * @param short the step that was cut short, which has to say what makes up for it.
 */
export function madeUpTime(seconds: number, short: StepDefinition): Figure {
  return {
    value: seconds,
    unit: 's',
    working: {
      words: `minimum time after “${short.title}” was cut short`,
      formula: 't ≥ t₂',
      inputs: [{ name: 'minimum time then', symbol: 't₂', value: seconds, unit: 's' }],
      standing: short.ifShort?.standing ?? 'practice',
      source: short.ifShort?.source ?? 'common practice',
    },
  }
}

/** The minimum time of a step for a paper of this weight, with its reason; `null` for a step without one. */
export function leastTime(step: StepDefinition, gramsPerM2: number | undefined): Figure | null {
  const heavy = step.heavyPaper
  const isHeavy = heavy !== undefined && gramsPerM2 !== undefined && gramsPerM2 >= heavy.fromGramsPerM2
  const value = isHeavy ? heavy.leastSeconds : step.time?.leastSeconds
  if (value === undefined || !step.time) return null
  return {
    value,
    unit: 's',
    working: {
      words: isHeavy ? `minimum time for papers from ${heavy.fromGramsPerM2} g/m²` : 'minimum time',
      formula: 't ≥ t₁',
      inputs: [
        { name: 'minimum time', symbol: 't₁', value, unit: 's' },
        ...(gramsPerM2 === undefined
          ? []
          : [{ name: 'paper', symbol: 'm', value: gramsPerM2, unit: 'g/m²' }]),
      ],
      standing: isHeavy ? heavy.standing : step.time.standing,
      source: isHeavy ? heavy.source : step.time.source,
    },
  }
}
