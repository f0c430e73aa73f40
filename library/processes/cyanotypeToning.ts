import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { bath, DAY, finalWash, memory, MINUTE, ROCKED, starts } from './blocks'
import { rinse } from './wetSteps'

// Toning of iron blues: the blue is bleached to rust, and a tannin makes it dark again in another colour.

/** Toners after the bleach. */
const BLEACHED = ['tannic', 'gallic', 'tea', 'coffee']
const after = (...is: string[]) => [{ choice: 'toner', is }]

/** In what an iron blue is toned, and whether it is bleached before. */
export const blueToner: ProcessDefinition['choices'][number] = {
  id: 'toner',
  name: 'Toned in',
  startsWith: 'none',
  options: [
    {
      id: 'none',
      name: 'Untoned',
      reason: 'The plain blue. Default because it is the most lasting, and can be toned dry, weeks later.',
      standing: 'practice',
    },
    {
      id: 'tannic',
      name: 'Tannic acid',
      reason: 'Bleached first, then brown-black, with little stain.',
      standing: 'memory',
    },
    {
      id: 'gallic',
      name: 'Gallic acid',
      reason: 'Bleached first, then violet-black; whites stay clean.',
      standing: 'memory',
    },
    {
      id: 'tea',
      name: 'Tea',
      reason: 'Bleached first, then warm brown; the paper takes a tan, more the less it is sized.',
      standing: 'practice',
    },
    {
      id: 'coffee',
      name: 'Coffee',
      reason: 'Bleached first, then black-brown; stains the paper most.',
      standing: 'practice',
    },
    {
      id: 'split',
      name: 'Split',
      reason: 'Tannic acid first, then a short bleach: light tones turn brown, shadows stay blue.',
      standing: 'memory',
    },
  ],
}

type Bath = ProcessDefinition['baths'][number]
const toner = (
  id: string,
  name: string,
  substanceId: string,
  percentWv: number,
  making: string,
  cautions: string[],
  is: string[] = [id],
): Bath => ({
  id,
  name,
  cautions,
  stock: { solutes: [{ substanceId, percentWv }], making: [making], keepsSeconds: 2 * DAY, ...memory },
  use: { manner: 'oneShot', ...starts('Fresh for the day; dark and weak when it is used up') },
  when: after(...is),
})

/** Trays for toning an iron blue. */
export const blueTonerBaths: ProcessDefinition['baths'] = [
  {
    ...toner(
      'bleach',
      'Weak carbonate',
      'sodium-carbonate',
      0.5,
      'A level teaspoon of washing soda in a litre of water.',
      ['irritant'],
      [...BLEACHED, 'split'],
    ),
  },
  toner('tannic', 'Tannic acid', 'tannic-acid', 1, '10 g in a litre of warm water.', [], ['tannic', 'split']),
  toner('gallic', 'Gallic acid', 'gallic-acid', 0.5, '5 g in a litre of hot water; cool it.', ['irritant']),
  toner(
    'tea',
    'Black tea',
    'black-tea',
    2,
    'Ten bags in a litre of boiling water, ten minutes; cool it.',
    [],
  ),
  toner('coffee', 'Coffee', 'coffee', 3, '30 g of instant coffee in a litre of hot water; cool it.', []),
]

const tone: StepDefinition = {
  ...bath,
  id: 'tone',
  title: 'Tone the blue',
  meanwhile: 'toning',
  trays: ['tannic', 'gallic', 'tea', 'coffee'],
  role: 'tone',
  ...ROCKED,
  doing: 'Rock it until the colour no longer changes.',
  why: 'Tannin and the rust that the bleach left make a dark iron tannate.',
  time: { leastSeconds: 5 * MINUTE, ...starts('By eye, five minutes to an hour') },
  cautions: ['irritant'],
  press: { start: 'Start toning', finish: 'Right colour: wash' },
  endpoint: {
    good: 'The depth is back, in the new colour.',
    doubt: 'Weak: it was bleached too far, or the toner is spent. Tan whites: rinse now.',
    swatch: ['#cbb98b', '#8a6f55', '#51423c', '#37302f'],
  },
  when: after(...BLEACHED),
}

const bleach: StepDefinition = {
  ...bath,
  id: 'bleach',
  title: 'Bleach in carbonate',
  meanwhile: 'in the bleach',
  tray: 'bleach',
  role: 'bleach',
  ...ROCKED,
  doing: 'Rock it until the blue has turned to a pale yellow-brown.',
  why: 'Alkali turns the blue to rust, which the toner makes dark again.',
  time: { leastSeconds: 30, mostSeconds: 5 * MINUTE, ...starts('Half a minute to five, by eye') },
  cautions: ['irritant'],
  press: { start: 'Start bleaching', finish: 'The blue is gone' },
  endpoint: {
    good: 'Pale yellow-brown, the picture still to be seen.',
    doubt: 'Gone in the highlights: they do not come back. Weaker and shorter.',
    swatch: ['#2f6290', '#7f93a0', '#c9bd8a', '#d9cda2'],
  },
  when: after(...BLEACHED),
}

/** Toning after the wash, each with water before and after; the split has its toner first. */
export const blueTonerSteps: StepDefinition[] = [
  {
    ...tone,
    id: 'tone-first',
    trays: undefined,
    tray: 'tannic',
    doing: 'Rock it for about five minutes: the blue turns nearly black.',
    why: 'Where much iron is, tannin keeps the blue from the bleach that follows.',
    press: { start: 'Start toning', finish: 'Nearly black: rinse' },
    when: after('split'),
  },
  { ...rinse, id: 'rinse-tone-first', title: 'Rinse the toner out', when: after('split') },
  {
    ...bleach,
    id: 'bleach-split',
    doing: 'Slide it in for some seconds, lift it out as soon as the light tones turn brown.',
    why: 'A short bleach reaches the light tones first.',
    time: { leastSeconds: 5, mostSeconds: MINUTE, ...starts('Seconds, by eye; a minute at most') },
    press: { start: 'Start bleaching', finish: 'Light tones brown' },
    endpoint: {
      good: 'Light tones brown, shadows still blue-black.',
      doubt: 'Shadows turn as well: into the water at once.',
      swatch: ['#2c3c4e', '#5d5148', '#9b8058'],
    },
    when: after('split'),
  },
  bleach,
  {
    ...rinse,
    id: 'rinse-bleach',
    title: 'Rinse the bleach out',
    time: { leastSeconds: 5 * MINUTE, ...starts('Several changes; five minutes') },
    when: after(...BLEACHED),
  },
  tone,
  {
    ...finalWash,
    time: { leastSeconds: 15 * MINUTE, ...starts('Until the water is clear; fifteen minutes') },
    early: 'Toner left in the fibres stains the paper as it dries.',
    why: 'Tannin, tea and coffee left in the fibres go on staining.',
    when: after(...BLEACHED, 'split'),
  },
]
