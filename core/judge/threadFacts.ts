import { digits, formatSpan } from '../quantity/format'
import { elapsedSeconds } from '../run/clock'
import { clockOf, wordsIdOf, type RunState } from '../run/runState'
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
