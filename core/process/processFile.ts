import { z } from 'zod'
import { refusalAt } from '../errors'
import { Key } from '../schema/common'
import { ProcessDefinition } from '../schema/definition'

export const PROCESS_FORMAT = 'ember-sheet-process'

const ProcessFile = z.strictObject({
  format: z.literal(PROCESS_FORMAT),
  formatVersion: z.literal(1),
  process: ProcessDefinition,
})

/** A process as a file to share: JSON, two blanks of indent. */
export const writeProcessFile = (process: ProcessDefinition): string =>
  `${JSON.stringify({ format: PROCESS_FORMAT, formatVersion: 1, process }, null, 2)}\n`

/**
 * A definition in which every wash has the role `wash`. Before records of version 9 a wash was known by the id of its
 * step, so what was saved until then is brought up to date by that, once.
 *
 * @param definition parsed JSON, not yet checked; what is no definition stays as it is.
 */
export function withWashRoles(definition: unknown): unknown {
  const { steps } = (definition ?? {}) as { steps?: unknown }
  if (!Array.isArray(steps)) return definition
  const isUnnamedWash = (step: unknown) => {
    const { id, role } = (step ?? {}) as { id?: unknown; role?: unknown }
    return role === undefined && typeof id === 'string' && /^(final-)?wash/.test(id)
  }
  return {
    ...(definition as object),
    steps: steps.map((step: unknown) => (isUnnamedWash(step) ? { ...(step as object), role: 'wash' } : step)),
  }
}
const withWashesOf = (file: unknown) => ({
  ...(file as object),
  process: withWashRoles((file as { process?: unknown }).process),
})

/**
 * Reads a shared process.
 *
 * @param knownSubstances ids of the substances known here; a process of others cannot be computed with.
 * @throws CoreError `not-json`, `not-a-process`, or `wrong-process` with the path of the first thing that is wrong.
 */
export function readProcessFile(text: string, knownSubstances: ReadonlySet<string>): ProcessDefinition {
  let found: unknown
  try {
    found = JSON.parse(text)
  } catch (error) {
    throw refuse(
      'not-json',
      `This file is not valid JSON: ${error instanceof Error ? error.message : String(error)}.`,
      'Choose a process saved by Ember Sheet, or correct the file.',
    )
  }
  if ((found as { format?: unknown } | null)?.format !== PROCESS_FORMAT)
    throw refuse(
      'not-a-process',
      'This file is not marked as an Ember Sheet process.',
      `Its first line should hold "format": "${PROCESS_FORMAT}".`,
    )
  const result = ProcessFile.safeParse(withWashesOf(found))
  if (!result.success) {
    const issue = result.error.issues[0]
    throw refuse(
      'wrong-process',
      `${issue?.path.join('.') ?? ''}: ${issue?.message ?? 'not valid'}.`,
      'Correct this and try again.',
    )
  }
  const loose = danglingReference(result.data.process, knownSubstances)
  if (loose)
    throw refuse('wrong-process', `process.${loose.path}: ${loose.problem}`, 'Correct this and try again.')
  return result.data.process
}

/** The first thing in a definition that points at nothing, or `null`. */
export function danglingReference(
  definition: ProcessDefinition,
  knownSubstances: ReadonlySet<string>,
): { path: string; problem: string } | null {
  const ends = [...looseEnds(definition, knownSubstances)]
  return ends[0] ?? null
}

function* looseEnds(definition: ProcessDefinition, knownSubstances: ReadonlySet<string>) {
  const { components, baths, mixes, choices, steps } = definition
  const cautions = new Set(definition.cautions.map((one) => one.id))
  const componentIds = new Set(components.map((one) => one.id))
  const poured = new Set([...componentIds, ...baths.map((one) => one.id)])
  const mixIds = new Set(mixes.map((one) => one.id))
  const options = new Map(choices.map((one) => [one.id, new Set(one.options.map((option) => option.id))]))

  const conditions: [string, ProcessDefinition['steps'][number]['when']][] = []
  for (const [list, name] of [
    [components, 'components'],
    [baths, 'baths'],
  ] as const)
    for (const [i, one] of list.entries()) {
      for (const [j, solute] of one.stock.solutes.entries())
        if (!knownSubstances.has(solute.substanceId))
          yield {
            path: `${name}.${i}.stock.solutes.${j}.substanceId`,
            problem: `“${solute.substanceId}” is not a substance in the library.`,
          }
      for (const [j, id] of one.cautions.entries())
        if (!cautions.has(id))
          yield { path: `${name}.${i}.cautions.${j}`, problem: `There is no caution “${id}”.` }
    }
  for (const [i, bath] of baths.entries()) conditions.push([`baths.${i}.when`, bath.when])
  for (const [i, mix] of mixes.entries())
    for (const [j, part] of mix.parts.entries()) {
      if (!componentIds.has(part.component))
        yield {
          path: `mixes.${i}.parts.${j}.component`,
          problem: `There is no component “${part.component}”.`,
        }
      conditions.push([`mixes.${i}.parts.${j}.when`, part.when])
    }
  for (const [i, choice] of choices.entries()) {
    if (!options.get(choice.id)?.has(choice.startsWith))
      yield { path: `choices.${i}.startsWith`, problem: `There is no option “${choice.startsWith}”.` }
    for (const [j, option] of choice.options.entries())
      for (const [id, solutes] of Object.entries(option.stocks ?? {})) {
        if (!componentIds.has(id))
          yield { path: `choices.${i}.options.${j}.stocks.${id}`, problem: `There is no component “${id}”.` }
        for (const [k, solute] of solutes.entries())
          if (!knownSubstances.has(solute.substanceId))
            yield {
              path: `choices.${i}.options.${j}.stocks.${id}.${k}.substanceId`,
              problem: `“${solute.substanceId}” is not a substance in the library.`,
            }
      }
  }
  const seen = new Set<string>()
  for (const [i, step] of steps.entries()) {
    if (seen.has(step.id)) yield { path: `steps.${i}.id`, problem: `Two steps have the id “${step.id}”.` }
    seen.add(step.id)
    for (const [j, id] of step.cautions.entries())
      if (!cautions.has(id))
        yield { path: `steps.${i}.cautions.${j}`, problem: `There is no caution “${id}”.` }
    if (step.kind === 'count' && !mixIds.has(step.mix ?? ''))
      yield { path: `steps.${i}.mix`, problem: 'A step that counts has to name the mix it counts.' }
    if (step.tray && !poured.has(step.tray))
      yield { path: `steps.${i}.tray`, problem: `There is no solution “${step.tray}”.` }
    for (const [j, id] of (step.trays ?? []).entries())
      if (!poured.has(id)) yield { path: `steps.${i}.trays.${j}`, problem: `There is no solution “${id}”.` }
    if (step.lays && !componentIds.has(step.lays.component))
      yield { path: `steps.${i}.lays.component`, problem: `There is no component “${step.lays.component}”.` }
    conditions.push([`steps.${i}.when`, step.when])
  }
  for (const [path, when] of conditions)
    for (const [j, { choice, is }] of (when ?? []).entries()) {
      if (!options.has(choice))
        yield { path: `${path}.${j}.choice`, problem: `There is no choice “${choice}”.` }
      for (const [k, id] of is.entries())
        if (options.has(choice) && !options.get(choice)?.has(id))
          yield { path: `${path}.${j}.is.${k}`, problem: `“${choice}” has no option “${id}”.` }
    }
}

/**
 * A copy of a process for the user to change, under an id of its own.
 *
 * @param taken ids that are in use already.
 */
export function copyProcess(
  definition: ProcessDefinition,
  name: string,
  taken: ReadonlySet<string>,
): ProcessDefinition {
  const stem =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^[^a-z]+|-+$/g, '')
      .slice(0, 32) || 'process'
  let id = stem
  // A name that every object answers to, such as “constructor”, is no key.
  for (let n = 2; taken.has(id) || !Key.safeParse(id).success; n++) id = `${stem}-${n}`
  return { ...definition, id, version: 1, name, copyOf: definition.id }
}

const refuse = refusalAt('process file')
