import type { StepDefinition } from '@core/schema/definition'
import { MINUTE, starts } from './blocks'
import { rinse, toneInGold, washBetween } from './wetSteps'

export const BEFORE = { choice: 'toned', is: ['before'] }
const AFTER = { choice: 'toned', is: ['after'] }

/** Toned when it is fixed: the fixer is washed out first, or the toner stains. */
export const tonedAfter: StepDefinition[] = [
  {
    ...washBetween,
    id: 'wash-fixer',
    title: 'Wash the fixer out',
    why: 'Hypo carried into the toner makes it patchy.',
    time: { leastSeconds: 10 * MINUTE, ...starts('Until the fixer is out; ten minutes') },
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
  {
    ...toneInGold,
    id: 'tone-after',
    title: 'Tone',
    tray: undefined,
    trays: ['selenium', 'gold', 'palladium', 'platinum'],
    doing: 'Rock the tray under extraction, and take the print out at the colour you want.',
    why: 'Only the finished image is toned, and you see its final colour.',
    time: { leastSeconds: 1 * MINUTE, ...starts('By eye; at least a minute') },
    cautions: ['selenium', 'noble', 'platinum'],
    begins: 'press',
    press: { start: 'Start toning', finish: 'Right colour: take the print out' },
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
  {
    ...rinse,
    id: 'rinse-after',
    title: 'Brief rinse',
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
]
