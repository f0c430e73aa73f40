import { texts } from './words'
import { toSignificant } from '@core/quantity/number'
import { parseNumber } from '@core/quantity/number'
import { CoreError, type Refusal } from '@core/errors'
import { formatSpan } from '@core/quantity/format'
import { parseQuantity } from '@core/quantity/parse'
import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'

/** What of a process can be changed on the page; all else travels in its file. */
export interface ProcessDraft {
  name: string
  summary: string
  coverage: string
  /** By component id, then solute id. */
  strengths: Record<string, Record<string, string>>
  /** Parts of a mix, in the order of its components. */
  parts: Record<string, string[]>
  steps: Record<string, { least: string; most: string; doing: string }>
}

const span = (seconds: number | undefined) => (seconds === undefined ? '' : formatSpan(seconds))

export function draftOfProcess(definition: ProcessDefinition): ProcessDraft {
  return {
    name: definition.name,
    summary: definition.summary,
    coverage: definition.coverage ? String(definition.coverage.millilitresPerM2) : '',
    strengths: Object.fromEntries(
      definition.components.map((one) => [
        one.id,
        Object.fromEntries(
          one.stock.solutes.map((s) => [s.substanceId, String(toSignificant(s.percentWv, 4))]),
        ),
      ]),
    ),
    parts: Object.fromEntries(
      definition.mixes.map((mix) => [mix.id, mix.parts.map((part) => String(part.parts))]),
    ),
    steps: Object.fromEntries(
      definition.steps.map((step) => [
        step.id,
        { least: span(step.time?.leastSeconds), most: span(step.time?.mostSeconds), doing: step.doing },
      ]),
    ),
  }
}

/**
 * The process with what was changed on the page. Times and strengths that were changed are the user's own from now on.
 *
 * @returns the definition, `null` where something cannot be read, and what is wrong, by field.
 */
export function readProcess(
  definition: ProcessDefinition,
  draft: ProcessDraft,
): { read: ProcessDefinition | null; faults: Record<string, Refusal> } {
  const faults: Record<string, Refusal> = {}
  const before = draftOfProcess(definition)
  const attempt = <Value>(field: string, read: () => Value, otherwise: Value): Value => {
    try {
      return read()
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[field] = error.refusal
      return otherwise
    }
  }
  const number = (field: string, text: string, otherwise: number) =>
    attempt(field, () => parseNumber(text, { field, isPositive: true, example: '12.5' }), otherwise)
  const name = attempt(
    'name',
    () => {
      if (draft.name.trim()) return draft.name.trim()
      throw new CoreError({
        code: 'empty',
        field: 'name',
        problem: 'The process has no name.',
        remedy: texts.enterNameSoThatYou,
      })
    },
    definition.name,
  )
  const read: ProcessDefinition = {
    ...definition,
    name,
    summary: draft.summary.trim() || definition.summary,
    ...(draft.coverage.trim() &&
      draft.coverage !== before.coverage && {
        coverage: {
          millilitresPerM2: number('coverage', draft.coverage, 38.8),
          standing: 'yours',
          source: 'Set by you',
        },
      }),
    components: definition.components.map((one) => {
      const changed = one.stock.solutes.some(
        (s) => draft.strengths[one.id]?.[s.substanceId] !== before.strengths[one.id]?.[s.substanceId],
      )
      if (!changed) return one
      return {
        ...one,
        stock: {
          ...one.stock,
          solutes: one.stock.solutes.map((s) => ({
            ...s,
            percentWv: number(
              `strength/${one.id}/${s.substanceId}`,
              draft.strengths[one.id]?.[s.substanceId] ?? '',
              s.percentWv,
            ),
          })),
          standing: 'yours',
          source: 'Set by you',
        },
      }
    }),
    mixes: definition.mixes.map((mix) => ({
      ...mix,
      parts: mix.parts.map((part, i) => ({
        ...part,
        parts: number(`parts/${mix.id}/${i}`, draft.parts[mix.id]?.[i] ?? '', part.parts),
      })),
    })),
    steps: definition.steps.map((step) => changedStep(step, draft, before, attempt)),
  }
  return { read: Object.keys(faults).length ? null : read, faults }
}

function changedStep(
  step: StepDefinition,
  draft: ProcessDraft,
  before: ProcessDraft,
  attempt: <Value>(field: string, read: () => Value, otherwise: Value) => Value,
): StepDefinition {
  const [now, was] = [draft.steps[step.id], before.steps[step.id]]
  if (!now || !was) return step
  const seconds = (field: 'least' | 'most') =>
    now[field].trim()
      ? attempt(
          `step/${step.id}/${field}`,
          () => parseQuantity(now[field], 'time', { field: step.title, bareUnit: 'min' }),
          undefined,
        )
      : undefined
  const [leastSeconds, mostSeconds] = [seconds('least'), seconds('most')]
  const isTimed = now.least !== was.least || now.most !== was.most
  return {
    ...step,
    doing: now.doing.trim() || step.doing,
    ...(isTimed && {
      time: {
        ...(leastSeconds !== undefined && { leastSeconds }),
        ...(mostSeconds !== undefined && { mostSeconds }),
        standing: 'yours' as const,
        source: 'Set by you',
      },
    }),
  }
}
