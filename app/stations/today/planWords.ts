import type { Reason, Refusal } from '@core/schedule/reasons'
import type { Preparation } from '@core/schedule/preparation'
import type { Slipping } from '@core/schedule/slipping'
import { formatQuantity, formatSpan } from '@core/quantity/format'
import type { PlanRoom } from '@core/schema/plan'
import { momentSaid } from '../../words/moments'

type Named = (sheetId: string) => string

const MORE: Record<keyof PlanRoom, string> = {
  hands: 'One more person would make it possible.',
  frames: 'One more frame would make it possible.',
  underOneLight: 'One more frame under the same light would make it possible.',
  sheetsInATray: 'One more sheet in each tray would make it possible.',
  rinseTrays: 'One more rinse tray would make it possible.',
  washPlaces: 'One more sheet in the wash would make it possible.',
  dryingPlaces: 'One more drying place would make it possible.',
}

/** Why there is no plan, and what would give one. */
export function reasonLine(
  reason: Reason,
  named: Named,
  now: number,
  stepTitle: (sheetId: string, stepId: string) => string,
): string {
  switch (reason.kind) {
    case 'waits': {
      const titles = reason.stepIds.map((id) => `“${stepTitle(reason.sheetId, id)}”`).join(' and ')
      return `${named(reason.sheetId)}: the times of ${titles} contradict each other, since the minimum is longer than the maximum. Correct them in the process.`
    }
    case 'pins':
      return 'It works without the steps you moved by hand.'
    case 'finishBy':
      return `The best plan found ends at ${momentSaid(reason.endsAt, now)}. Allow time until then.`
    case 'sheet':
      return `${named(reason.sheetId)} cannot be printed within its own time limits, even alone. Change its plan, or leave it out.`
    case 'tooLong':
      return `${reason.sheetIds.map(named).join(', ')} ${reason.sheetIds.length === 1 ? 'takes' : 'take'} longer than that even alone.`
    case 'room':
      return MORE[reason.more]
    case 'without':
      return `It works without ${named(reason.sheetId)}.`
  }
}

/** Why a step may not be moved there. */
export function refusalLine(why: Refusal, named: Named, now: number): { problem: string; remedy: string } {
  switch (why.kind) {
    case 'itsOwn':
      return {
        problem: 'The order of its own steps does not allow that.',
        remedy: `The earliest start is ${momentSaid(why.earliest, now)}.`,
      }
    case 'another':
      return {
        problem: `${named(why.sheetId)} needs the same equipment at that time.`,
        remedy: 'Move that one first.',
      }
    case 'together':
      return {
        problem: 'There is no room for it at that time.',
        remedy: 'Move it less far, or remove a sheet from the plan.',
      }
  }
}

/** How far a sheet is off its plan. */
export const slipLine = (slip: Slipping, named: Named, doing: string): string =>
  slip.isWaiting
    ? `${named(slip.sheetId)}: ${doing} has been waiting for ${formatSpan(Math.round(slip.seconds / 60) * 60)}.`
    : `${named(slip.sheetId)}: ${doing} started ${formatSpan(Math.round(slip.seconds / 60) * 60)} late.`

const VERB: Record<Preparation['kind'], string> = {
  make: 'Make',
  fill: 'Fill the tray:',
  treat: 'Remove the chalk from',
  warmUp: 'Switch on',
}
const BECAUSE: Record<Preparation['because'], string> = {
  ripens: 'it needs time to rest',
  keepsShort: 'it does not keep, so make it just before use',
  rests: 'bath, drying and rest',
  steady: 'so that its output is steady',
  hands: '',
}

export const preparationLine = (one: Preparation): string =>
  `${VERB[one.kind]} ${one.what}${one.millilitres ? `, ${formatQuantity(one.millilitres, 'volume')}` : ''}`
export const becauseLine = (one: Preparation): string => BECAUSE[one.because]
