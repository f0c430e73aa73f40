import { solutesIn } from '@core/chemistry/lots'
import { molarMass } from '@core/chemistry/molarMass'
import { solubilityLimit } from '@core/chemistry/solubility'
import { hazardsOf } from '@core/shelf/label'
import { digits } from '@core/quantity/format'
import { hazardStatements, substances } from '@library/index'
import type { MarginNote } from '../../state/margin.store'
import { agoSaid, dateOf } from '../../words/moments'
import { hazardNotes } from '../../words/stepNotes'
import type { ShelvedBottle } from './useShelf'
import { texts } from './words'

/** What the margin says of a bottle: what it is, what to know before its cap comes off, and where it is kept. */
export function bottleNotes({ bottle, left }: ShelvedBottle, now: number): MarginNote[] {
  const held = bottle.contents.flatMap((one) => substances[one.substanceId] ?? [])
  const unit = bottle.kind === 'solid' ? 'g' : 'ml'
  const { statements } = hazardsOf(bottle, substances)
  const stated = bottle.statedPercent
  const first = bottle.contents[0]
  const isOff =
    stated !== undefined && first !== undefined && Math.abs(stated - first.percent) > 0.025 * first.percent
  return [
    {
      title: `${bottle.name} ${bottle.label}`,
      lines: [
        solutesIn(bottle, substances)
          .map((one) => `${one.name} ${digits(one.percentWv)} %`)
          .join(', '),
        bottle.isAssumed ? texts.strengthAssumed : '',
        bottle.madeAt === undefined
          ? ''
          : `${bottle.kind === 'solution' ? 'Made' : 'Opened'} ${dateOf(bottle.madeAt, now)}, ${agoSaid(bottle.madeAt, now)}.`,
        bottle.bestUntil === undefined ? '' : `Best until ${dateOf(bottle.bestUntil, now)}.`,
        left === null
          ? 'Amount not measured.'
          : `${digits(left)} ${unit} left of ${digits(bottle.amount ?? left)}.`,
        bottle.note,
      ].filter(Boolean),
    },
    ...(isOff
      ? [
          {
            title: 'Stated and actual strength',
            lines: [
              `${digits(first.percent)} % actual strength, ${digits(stated)} % on the label.`,
              'Correct the label.',
            ],
            tone: 'caution' as const,
          },
        ]
      : []),
    ...hazardNotes(
      'Before you open it',
      held.map((one) => one.caution),
    ),
    ...(statements.length
      ? [
          {
            title: bottle.kind === 'solution' ? 'Hazard statements at this strength' : 'Hazard statements',
            lines: statements.map((code) => `${code} ${hazardStatements[code] ?? ''}`),
          },
        ]
      : []),
    {
      title: 'Storage and solubility',
      lines: held.flatMap((one) => {
        const limit = solubilityLimit(one, 20)
        return [
          `${one.name}: ${one.storage}`,
          ...(one.forms[0]
            ? [`${one.forms[0].formula}, ${digits(molarMass(one.forms[0].formula).value, 5)} g/mol`]
            : []),
          ...(limit ? [`Solubility at 20 °C: about ${digits(limit.value)} %.`] : []),
        ]
      }),
    },
  ]
}
