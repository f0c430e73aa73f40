import type { ProcessDefinition } from '@core/schema/definition'
import type { Paper } from '@core/schema/records'
import type { MarginNote } from '../state/margin.store'
import { cautionNotes } from './stepNotes'
import { isChosen } from '@core/process/mixPlan'
import { orderFindings } from '@core/process/orderRules'
import { HANDWORK, incompatibilities, substances } from '@library/index'

/** What the margin says while a sheet is planned: the process, why its schools, the paper, the light to work by, cautions. */
export function planNotes(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  buffered: Paper['buffered'],
  isTreated = false,
): MarginNote[] {
  const inUse = new Set(
    definition.mixes.flatMap((mix) =>
      mix.parts.filter((part) => isChosen(part.when, choices)).map((part) => part.component),
    ),
  )
  const cautions = [
    ...new Set(
      definition.components
        .filter((component) => inUse.has(component.id) || !definition.mixes.length)
        .flatMap((component) => component.cautions),
    ),
  ]
  return [
    { title: definition.name, lines: [definition.summary] },
    ...orderNotes(definition, choices),
    ...chalkNotes(definition, buffered, isTreated),
    ...cautions.flatMap((id) => cautionNotes(definition, id)),
    ...definition.choices.filter(isWorthANote(choices)).map((choice) => {
      const option = choice.options.find((one) => one.id === choices[choice.id])
      return { title: `${choice.name}: ${option?.name ?? ''}`, lines: [option?.reason ?? ''] }
    }),
    ...roomNotes(definition),
  ]
}

/** A habit that was left as it is needs no reason. */
const isWorthANote =
  (choices: Readonly<Record<string, string>>) =>
  ({ id, startsWith }: ProcessDefinition['choices'][number]): boolean =>
    !HANDWORK.some((one) => one === id) || (choices[id] ?? startsWith) !== startsWith

/** What is wrong with the order of the baths under these choices, and with what is in the trays. */
export function orderNotes(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  standing?: Parameters<typeof orderFindings>[4],
): MarginNote[] {
  const found = orderFindings(definition, choices, substances, incompatibilities, standing)
  return found.length
    ? [
        {
          title: 'Order of the baths',
          lines: found.map((one) => `${one.problem} ${one.remedy}`),
          tone: 'caution',
        },
      ]
    : []
}

/** Whether the paper has to lose its chalk first. */
export function chalkNotes(
  definition: ProcessDefinition,
  buffered: Paper['buffered'],
  isTreated = false,
): MarginNote[] {
  if (definition.chalk.bears || buffered === 'no') return []
  if (isTreated)
    return [
      {
        title: 'This paper was treated',
        lines: ['The coat looks darker on it than on untreated paper, before any light: that is expected.'],
      },
    ]
  if (buffered === 'yes')
    return [
      {
        title: 'This paper is buffered',
        lines: [
          definition.chalk.why,
          'Treat it with acid in Paper first, or treat one half of a piece and compare.',
        ],
        tone: 'caution',
      },
    ]
  return [{ title: 'If the paper is buffered', lines: [definition.chalk.why] }]
}

/** The light to work by, and what keeps the negative safe. */
export const roomNotes = (definition: ProcessDefinition): MarginNote[] => [
  ...(definition.lighting ? [{ title: 'Room light', lines: [definition.lighting] }] : []),
  ...(definition.film ? [{ title: 'Between coat and negative', lines: [definition.film] }] : []),
]
