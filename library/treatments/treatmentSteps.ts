import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { bath, drying, MINUTE, practice, starts } from '../processes/blocks'

/** Steps and settings that the treatments of paper share. */
export const step: StepDefinition = { ...bath, station: 'paper', place: 'bench' }
export const inAcid: StepDefinition = {
  ...step,
  meanwhile: 'in the acid',
  doing: 'Slide the sheets in one after another, and turn the pile once.',
  why: 'Fizzing shows that the chalk dissolves. Untreated buffered paper prints weak.',
  time: { leastSeconds: 15 * MINUTE, ...practice },
  press: { start: 'Start bath', finish: 'Fizzing has stopped' },
  endpoint: {
    good: 'No more fizzing.',
    doubt: 'No fizzing at all: no chalk, or the acid is exhausted.',
    swatch: [],
  },
}
export const inSalt: StepDefinition = {
  ...step,
  title: 'Soak',
  meanwhile: 'soaking in salt',
  doing: 'Slide the sheets in one behind the other without bubbles, and turn the pile once.',
  why: 'Uneven salt prints as pale grey-red patches.',
  press: { start: 'Start bath', finish: 'Drain them' },
  endpoint: {
    good: 'Wet through, without dry spots.',
    doubt: 'Bubbles leave pale spots: turn the sheets again.',
    swatch: [],
  },
}
export const hardening: StepDefinition = {
  ...step,
  kind: 'act',
  title: 'Add hardener',
  meanwhile: 'hardener going in',
  doing: 'Add the hardener drop by drop while stirring, just before use: about 1 drop per 5 ml.',
  why: 'The size starts to set at once.',
  time: { mostSeconds: 5 * MINUTE, ...starts('Just before use') },
  press: { start: 'Start counting', finish: 'Added: draw the size' },
  endpoint: {
    good: 'Stirred in, still thin.',
    doubt: 'Strings or lumps: too late. Melt a new batch.',
    swatch: [],
  },
}
export const hang: StepDefinition = {
  ...drying,
  station: 'paper',
  place: 'line',
  perCoat: false,
  id: 'hang',
  title: 'Drain and hang',
  meanwhile: 'hanging to dry',
  doing:
    'Drain by a corner, and hang the sheets so that they do not touch. Each dries with a curl: print on the side it curls away from.',
  why: 'A damp sheet takes the next coat unevenly.',
  time: { leastSeconds: 30 * MINUTE, mostSeconds: 60 * MINUTE, ...practice },
  press: { start: 'Hang them', finish: 'Dry' },
  endpoint: {
    good: 'Completely dry and flat.',
    doubt: 'Cool to the cheek: leave longer.',
    swatch: [],
  },
  habit: undefined,
}
export const base = {
  version: 2,
  kind: 'treatment',
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  colours: {},
  baths: [],
} as const satisfies Partial<ProcessDefinition>
export const none = { bears: true, why: 'A treatment, not a print.' }
