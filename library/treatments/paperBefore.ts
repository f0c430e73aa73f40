import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { DAY, MINUTE, starts } from '../processes/blocks'
import * as shared from './treatmentSteps'

// What is done to a paper before it is coated, besides taking its chalk out and sizing it with gelatin.

const hang: StepDefinition = {
  ...shared.hang,
  doing:
    'Drain by a corner and hang the sheets so that they do not touch, or dry them flat between blotters.',
  time: { leastSeconds: 60 * MINUTE, ...starts('Dry through; an hour') },
}
const base = {
  ...shared.base,
  version: 1,
  mark: 'graphite',
  chalk: shared.none,
} satisfies Partial<ProcessDefinition>

/** Paper soaked and dried once, so that later layers stay in register. */
export const preShrinking: ProcessDefinition = {
  ...base,
  id: 'pre-shrinking',
  name: 'Shrinking ahead',
  summary:
    'A hot soak and a slow drying: the sheet has shrunk before the first layer, and later ones stay in register.',
  components: [],
  choices: [],
  steps: [
    {
      ...shared.step,
      id: 'soak',
      title: 'Soak in hot water',
      meanwhile: 'soaking',
      doing: 'Slide the sheets one behind the other into hot water, about 50 °C, and turn the pile once.',
      why: 'Paper shrinks when it dries for the first time. Shrunk now, it keeps its size through several layers.',
      time: { leastSeconds: 20 * MINUTE, ...starts('Until it is wet through; twenty minutes') },
      press: { start: 'Start soaking', finish: 'Drain them' },
      endpoint: {
        good: 'Limp and evenly grey when held against the light.',
        doubt: 'Fuzz or tears: this paper has too little wet strength for several layers.',
        swatch: [],
      },
      habit: 'Test one first: a sheet that cannot be lifted by two corners does not bear long baths.',
    },
    hang,
  ],
  cautions: [],
}

/** A starch size: keeps the image on the surface, softer than gelatin and without a hardener. */
export const starchSize: ProcessDefinition = {
  ...base,
  id: 'starch-size',
  name: 'Starch size',
  mark: 'umber',
  summary:
    'Cooked arrowroot brushed or soaked in: matt, neutral to colour, needs no hardener. For salted paper and iron papers in cool water.',
  components: [
    {
      id: 'starch',
      name: 'Arrowroot size',
      letter: 'S',
      cautions: ['warmth'],
      stock: {
        solutes: [{ substanceId: 'arrowroot', percentWv: 2 }],
        making: [
          'Stir 20 g into a little cold water, pour on a litre of boiling water while stirring.',
          'Simmer until it is clear, cool it, take the skin off, strain.',
        ],
        keepsSeconds: 2 * DAY,
        standing: 'memory',
        source: 'About 2 % arrowroot; from memory',
      },
    },
  ],
  choices: [],
  steps: [
    {
      ...shared.step,
      id: 'soak-starch',
      title: 'In the starch',
      meanwhile: 'in the starch',
      tray: 'starch',
      doing:
        'Slide the sheets in one behind the other, no bubbles; turn the pile once. Or brush it on in both directions.',
      why: 'Starch fills the surface: the coat stays on top, deeper and sharper.',
      time: { leastSeconds: 3 * MINUTE, ...starts('A few minutes; three') },
      cautions: ['warmth'],
      press: { start: 'Start bath', finish: 'Drain them' },
      endpoint: {
        good: 'A drop of water stays on the dry sheet for some seconds.',
        doubt: 'The drop sinks in at once: a second size.',
        swatch: [],
      },
      habit: 'Wipe drips off the lower edge: they dry as a line.',
    },
    hang,
  ],
  cautions: [cautions.warmth],
}
