import { digits, formatSpan } from '../quantity/format'
import { elapsedSeconds } from '../run/clock'
import { clockOf, wordsIdOf, type RunState } from '../run/runState'
import type { Standing } from '../quantity/figure'
import { exposureOf, secondsGiven, wordsOf, type PrintRecord } from './printRecord'

/** What of a thread can differ, and how it is weighed. */
export type FactKind =
  | 'process'
  | 'choice'
  | 'exposure'
  | 'light'
  | 'lamp'
  | 'negative'
  | 'paper'
  | 'treatment'
  | 'tool'
  | 'coats'
  | 'coverage'
  | 'drops'
  | 'bottle'
  | 'strength'
  | 'lotAge'
  | 'coatAge'
  | 'humidity'
  | 'temperature'
  | 'develop'
  | 'clear'
  | 'fix'
  | 'tone'
  | 'wash'
  | 'bath'
  | 'bathUse'
  | 'size'

/** One thing a print's thread says: a word, or a number with its unit. */
export interface ThreadFact {
  kind: FactKind
  /** Which one of its kind: a component, a step. */
  of: string
  /** What it is called: `exposure`, `wash`, `drops of B`. */
  name: string
  value: number | string
  /** The value as it is said. */
  said: string
}

/**
 * How much a difference is likely to change the print: for words the weight as it is, for numbers the weight of a
 * doubling (`ratio`) or of one unit (`step`).
 */
export interface EffectWeight {
  weight: number
  by: 'word' | 'ratio' | 'step'
}
export interface EffectBook {
  weights: Readonly<Record<FactKind, EffectWeight>>
  standing: Standing
  source: string
}

/** Whether a sheet was coated here: of the coat of one that came in coated, nothing is known. */
export const isCoatKnown = (state: RunState): boolean =>
  !state.steps.some(({ planned, skipped }) => planned.station === 'coat' && skipped === 'doneBefore')

/** Everything a thread says that may have made the print what it is. */
export function threadFacts(record: PrintRecord): ThreadFact[] {
  const { sheet, state, definition, paper, light, bottles } = record
  const fact = (
    kind: FactKind,
    of: string,
    name: string,
    value: number | string | null | undefined,
    said?: string,
  ): ThreadFact[] =>
    value === null || value === undefined || value === ''
      ? []
      : [{ kind, of, name, value, said: said ?? String(value) }]
  const expose = exposureOf(state)
  // Of an exposure that was made elsewhere nothing is known; one to come is taken as planned.
  const seconds = secondsGiven(expose) ?? (expose?.skipped ? null : sheet.exposureSeconds)
  const dose = expose?.dose?.millijoulesPerCm2
  const before = expose && state.steps[state.steps.indexOf(expose) - 1]
  const coatAge =
    before?.finishedAt !== undefined && expose?.startedAt !== undefined
      ? (expose.startedAt - before.finishedAt) / 1000
      : null
  return [
    ...fact('process', '', 'process', definition.name),
    ...definition.choices.flatMap((choice) => {
      const chosen = choice.options.find((one) => one.id === sheet.choices[choice.id])
      return fact('choice', choice.id, choice.name.toLowerCase(), chosen?.name)
    }),
    ...fact(
      'exposure',
      dose === undefined ? '' : 'dose',
      dose === undefined ? 'exposure' : 'dose',
      dose ?? seconds,
      dose === undefined ? formatSpan(seconds ?? 0) : `${digits(dose)} mJ/cm²`,
    ),
    ...fact('light', '', 'light', light?.name),
    ...(record.lamp === null
      ? []
      : fact('lamp', '', 'lamp output', record.lamp.percent, `${digits(record.lamp.percent, 2)} %`)),
    ...fact('negative', '', 'picture', sheet.subject),
    ...fact('negative', 'curve', 'correction curve', record.films.at(-1)?.curve),
    ...fact('paper', '', 'paper', paper?.name),
    ...(definition.chalk.bears || paper?.buffered !== 'yes'
      ? []
      : fact('treatment', '', 'chalk', record.isTreated ? 'taken out' : 'left in')),
    ...(isCoatKnown(state)
      ? [
          ...fact('tool', '', 'tool', sheet.tool),
          ...fact('coats', '', 'coats', sheet.coats),
          ...fact(
            'coverage',
            '',
            'sensitizer',
            sheet.coverageMillilitresPerM2,
            `${digits(sheet.coverageMillilitresPerM2)} ml/m²`,
          ),
        ]
      : []),
    ...state.steps.flatMap((step) =>
      step.planned.kind === 'count' && step.status === 'done' && !step.skipped
        ? shares(step.drops).flatMap(([component, share]) =>
            fact(
              'drops',
              `${step.planned.id}/${component}`,
              `share of ${componentName(record, component)}`,
              share,
              `${digits(100 * share, 2)} %`,
            ),
          )
        : [],
    ),
    ...bottles.flatMap(({ component, bottle }) => [
      ...fact('bottle', component, `bottle of ${componentName(record, component)}`, bottle.label),
      ...(bottle.contents[0]
        ? fact(
            'strength',
            component,
            `strength of ${componentName(record, component)}`,
            bottle.contents[0].percent,
            `${digits(bottle.contents[0].percent)} %`,
          )
        : []),
      ...(bottle.madeAt !== undefined && record.mixedAt > bottle.madeAt
        ? fact(
            'lotAge',
            component,
            `age of ${componentName(record, component)}`,
            (record.mixedAt - bottle.madeAt) / 86_400_000,
            formatSpan((record.mixedAt - bottle.madeAt) / 1000),
          )
        : []),
    ]),
    ...(coatAge === null
      ? []
      : fact('coatAge', '', 'age of the coat at exposure', coatAge, formatSpan(coatAge))),
    ...(state.room
      ? [
          ...fact(
            'humidity',
            '',
            'humidity',
            state.room.relativeHumidity,
            `${digits(state.room.relativeHumidity, 2)} %`,
          ),
          ...fact('temperature', '', 'room', state.room.celsius, `${digits(state.room.celsius, 2)} °C`),
        ]
      : []),
    ...wetFacts(record),
    ...fact('size', '', 'size', `${digits(sheet.widthMillimetres)} × ${digits(sheet.heightMillimetres)} mm`),
  ]
}

function wetFacts(record: PrintRecord): ThreadFact[] {
  const seen = new Map<string, number>()
  return record.state.steps.flatMap((step): ThreadFact[] => {
    const [words, clock] = [wordsOf(record.definition, step), clockOf(step)]
    if (!words || !clock || step.planned.kind !== 'bath' || step.finishedAt === undefined) return []
    const took = elapsedSeconds(clock, step.finishedAt)
    const id = wordsIdOf(step.planned)
    const nth = (seen.get(id) ?? 0) + 1
    seen.set(id, nth)
    const kind: FactKind =
      words.role === 'bleach' ? 'bath' : (words.role ?? (/wash/.test(words.id) ? 'wash' : 'bath'))
    const met = record.baths.find((one) => one.wordsId === id)
    return [
      {
        kind,
        of: `${id}/${nth}`,
        name: words.title.toLowerCase(),
        value: took,
        said: formatSpan(took),
      },
      ...(met
        ? [
            {
              kind: 'bathUse' as const,
              of: `${id}/${nth}`,
              name: `earlier prints in ${met.bath.name}`,
              value: met.standing.passes.length,
              said: String(met.standing.passes.length),
            },
          ]
        : []),
    ]
  })
}

function shares(drops: Readonly<Record<string, number>>): [string, number][] {
  const total = Object.values(drops).reduce((sum, one) => sum + one, 0)
  return total && Object.keys(drops).length > 1
    ? Object.entries(drops).map(([component, count]) => [component, count / total])
    : []
}

const componentName = ({ definition }: PrintRecord, id: string) =>
  definition.components.find((one) => one.id === id)?.name.toLowerCase() ?? id

/** Something in which two prints differ. */
export interface Difference {
  kind: FactKind
  of: string
  name: string
  /** As each print has it, in the order given; `null` where its record does not say. */
  said: readonly (string | null)[]
  /** How much it is likely to have changed the print: larger is more. */
  effect: number
  /** In a line: `11 % more`, `twice as long`; empty where words differ. */
  change: string
}

/** Numbers nearer than this share of each other are the same; no one counts finer at the bench. */
const SAME = 0.03

/**
 * What differs in the threads of two prints or more, in order of likely effect.
 *
 * @param threads facts of each print, in the order in which they are compared.
 * @param book how much each kind of difference is likely to do.
 */
export function differencesOf(threads: readonly (readonly ThreadFact[])[], book: EffectBook): Difference[] {
  const keys = new Map<string, ThreadFact>()
  for (const thread of threads) for (const one of thread) if (!keys.has(keyOf(one))) keys.set(keyOf(one), one)
  return [...keys.entries()]
    .flatMap(([key, sample]): Difference[] => {
      const found = threads.map((thread) => thread.find((one) => keyOf(one) === key) ?? null)
      const known = found.flatMap((one) => (one ? [one.value] : []))
      if (known.length < threads.length && sample.kind !== 'bath') {
        // What only one record tells is worth a word where it is a step or a choice, not where no one looked.
        if (!TOLD_BY_ONE.has(sample.kind)) return []
      } else if (isSame(known, book.weights[sample.kind])) return []
      const effect = effectOf(known, known.length < threads.length, book.weights[sample.kind])
      return effect > 0
        ? [
            {
              kind: sample.kind,
              of: sample.of,
              name: sample.name,
              said: found.map((one) => one?.said ?? null),
              effect,
              change: known.length === threads.length ? changeSaid(known, book.weights[sample.kind]) : '',
            },
          ]
        : []
    })
    .sort((a, b) => b.effect - a.effect)
}

const TOLD_BY_ONE: ReadonlySet<FactKind> = new Set(['develop', 'clear', 'fix', 'tone', 'wash', 'choice'])
const keyOf = (one: ThreadFact) => `${one.kind}/${one.of}`

function isSame(values: readonly (number | string)[], { by }: EffectWeight): boolean {
  const [first] = values
  if (typeof first !== 'number') return values.every((one) => one === first)
  const numbers = values as number[]
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
  return by === 'ratio' ? high <= low * (1 + SAME) : high - low < 0.5
}

function effectOf(
  values: readonly (number | string)[],
  isMissing: boolean,
  { weight, by }: EffectWeight,
): number {
  if (isMissing || by === 'word' || typeof values[0] !== 'number') return weight
  const numbers = values as number[]
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
  if (by === 'step') return weight * (high - low)
  // Against nothing at all a ratio says nothing: four doublings stand for it.
  return weight * (low > 0 ? Math.min(4, Math.log2(high / low)) : 4)
}

/** The last against the first. */
function changeSaid(values: readonly (number | string)[], { by }: EffectWeight): string {
  const [from, to] = [values[0], values.at(-1)]
  if (typeof from !== 'number' || typeof to !== 'number' || from === to) return ''
  const word = to > from ? 'more' : 'less'
  if (by === 'step' || from <= 0) return `${digits(Math.abs(to - from), 2)} ${word}`
  const ratio = to / from
  if (ratio >= 1.95) return `${digits(ratio, 2)} times as much`
  return `${digits(Math.abs(ratio - 1) * 100, 2)} % ${word}`
}
