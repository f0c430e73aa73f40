import type { Reason, Refusal } from '@core/schedule/reasons'
import type { Preparation } from '@core/schedule/preparation'
import type { Slipping } from '@core/schedule/slipping'
import { formatQuantity, formatSpan } from '@core/quantity/format'
import type { PlanRoom } from '@core/schema/plan'
import { momentSaid } from '../../words/moments'

type Named = (sheetId: string) => string

const MORE: Record<keyof PlanRoom, string> = {
  frames: 'A further frame would do it.',
  underOneLight: 'It would go with one more frame under the same light.',
  sheetsInATray: 'It would go with one more sheet in each tray.',
  rinseTrays: 'A further rinse tray would do it.',
  washPlaces: 'It would go with one more sheet in the wash.',
  dryingPlaces: 'A further drying place would do it.',
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
      return 'It goes without what was moved by hand.'
    case 'finishBy':
      return `All together they end at ${momentSaid(reason.endsAt, now)} at the best that was found. Give it until then.`
    case 'sheet':
      return `${named(reason.sheetId)} cannot be printed in its own windows, whatever the others do. Change its plan, or leave it out.`
    case 'tooLong':
      return `${reason.sheetIds.map(named).join(', ')} ${reason.sheetIds.length === 1 ? 'takes' : 'take'} longer than that even alone.`
    case 'room':
      return MORE[reason.more]
    case 'without':
      return `It goes without ${named(reason.sheetId)}.`
  }
}

/** Why a step may not be moved there. */
export function refusalLine(why: Refusal, named: Named, now: number): { problem: string; remedy: string } {
  switch (why.kind) {
    case 'itsOwn':
      return {
        problem: 'Its own steps do not allow that.',
        remedy: `It can be begun at ${momentSaid(why.earliest, now)} at the soonest.`,
      }
    case 'another':
      return { problem: `${named(why.sheetId)} is in the way then.`, remedy: 'Move that one first.' }
    case 'together':
      return {
        problem: 'With all the others it does not fit there.',
        remedy: 'Move it less far, or take a sheet out of the plan.',
      }
  }
}

/** How far a sheet is off its plan. */
export const slipLine = (slip: Slipping, named: Named, doing: string): string =>
  slip.isWaiting
    ? `${named(slip.sheetId)}: ${doing} has waited ${formatSpan(Math.round(slip.seconds / 60) * 60)}.`
    : `${named(slip.sheetId)} began ${doing} ${formatSpan(Math.round(slip.seconds / 60) * 60)} late.`

const VERB: Record<Preparation['kind'], string> = {
  make: 'Make',
  fill: 'Fill the tray:',
  treat: 'Take the chalk out of',
  warmUp: 'Light',
}
const BECAUSE: Record<Preparation['because'], string> = {
  ripens: 'it has to ripen',
  keepsShort: 'it does not keep: no earlier than it must be',
  rests: 'bath, drying and rest',
  steady: 'so that it burns steady',
  hands: '',
}

export const preparationLine = (one: Preparation): string =>
  `${VERB[one.kind]} ${one.what}${one.millilitres ? `, ${formatQuantity(one.millilitres, 'volume')}` : ''}`
export const becauseLine = (one: Preparation): string => BECAUSE[one.because]
