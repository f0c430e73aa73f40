import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { glyoxalDrying } from '../processes/glyoxal'
import { bath, DAY, drying, HOUR, MINUTE, poured, practice, starts, YEAR } from '../processes/blocks'

const step: StepDefinition = { ...bath, station: 'paper', place: 'bench' }
const inAcid: StepDefinition = {
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
const inSalt: StepDefinition = {
  ...step,
  title: 'Soak',
  meanwhile: 'soaking in salt',
  doing: 'Start bath one behind the other, no bubbles, turn the pile once.',
  why: 'Uneven salt prints as pale grey-red patches.',
  press: { start: 'Start bath', finish: 'Drain them' },
  endpoint: {
    good: 'Wet through, without dry spots.',
    doubt: 'Bubbles leave pale spots: turn the sheets again.',
    swatch: [],
  },
}
const hardening: StepDefinition = {
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
const hang: StepDefinition = {
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
const base = {
  version: 2,
  kind: 'treatment',
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  colours: {},
  baths: [],
} as const satisfies Partial<ProcessDefinition>
const none = { bears: true, why: 'A treatment, not a print.' }

/** Chalk out of a buffered paper, with a weak acid. */
export const acidBath: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  id: 'acid-bath',
  name: 'Acid bath against chalk',
  mark: 'graphite',
  chalk: none,
  summary: 'A weak acid removes the alkaline chalk from a buffered paper; fizzing shows the reaction.',
  components: [
    {
      id: 'oxalic',
      name: 'Oxalic acid',
      letter: 'A',
      cautions: ['oxalate'],
      stock: {
        solutes: [{ substanceId: 'oxalic-acid', percentWv: 3 }],
        making: ['30 g per litre: 3 %.'],
        keepsSeconds: 30 * DAY,
        ...practice,
      },
    },
    {
      id: 'citric',
      name: 'Citric acid',
      letter: 'B',
      cautions: ['acid'],
      stock: {
        solutes: [{ substanceId: 'citric-acid', percentWv: 6 }],
        making: ['60 g per litre.'],
        keepsSeconds: 7 * DAY,
        ...practice,
      },
    },
    {
      id: 'sulfamic',
      name: 'Sulfamic acid',
      letter: 'C',
      cautions: ['acid'],
      stock: {
        solutes: [{ substanceId: 'sulfamic-acid', percentWv: 10 }],
        making: ['100 g per litre of cold water.'],
        keepsSeconds: 7 * DAY,
        standing: 'memory',
        source: '10 % sulfamic acid; from memory',
      },
    },
  ],
  choices: [
    {
      id: 'acid',
      name: 'Acid',
      startsWith: 'citric',
      options: [
        {
          id: 'citric',
          name: 'Citric, about 6 %',
          reason: 'Not poisonous. Default because it is the safer acid.',
          standing: 'practice',
        },
        {
          id: 'oxalic',
          name: 'Oxalic, 3 %',
          reason:
            'Thorough and cheap, but poisonous: wear gloves, raise no dust. It leaves insoluble calcium oxalate in the sheet.',
          standing: 'practice',
        },
        {
          id: 'sulfamic',
          name: 'Sulfamic, 10 %',
          reason: 'Leaves no insoluble calcium salt: all of the chalk goes into the water.',
          standing: 'memory',
        },
      ],
    },
  ],
  steps: [
    {
      ...inAcid,
      id: 'soak-oxalic',
      title: 'In the oxalic acid',
      tray: 'oxalic',
      cautions: ['oxalate'],
      when: [{ choice: 'acid', is: ['oxalic'] }],
    },
    {
      ...inAcid,
      id: 'soak-citric',
      title: 'In the citric acid',
      tray: 'citric',
      cautions: ['acid'],
      when: [{ choice: 'acid', is: ['citric'] }],
    },
    {
      ...inAcid,
      id: 'soak-sulfamic',
      title: 'In the sulfamic acid',
      tray: 'sulfamic',
      cautions: ['acid'],
      when: [{ choice: 'acid', is: ['sulfamic'] }],
    },
    {
      ...step,
      id: 'rinse',
      title: 'Rinse',
      meanwhile: 'rinsing',
      doing: 'Rinse in two changes of water.',
      why: 'Acid left in the sheet damages it over the years.',
      time: { leastSeconds: 10 * MINUTE, ...starts('A rinse; ten minutes') },
      begins: 'atOnce',
      press: { start: 'Start rinse', finish: 'Rinsed' },
    },
    hang,
  ],
  cautions: [cautions.oxalate, cautions.acid],
}

/** A gelatin size with its hardener. */
export const gelatinSize: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: ['rod'],
  lights: [],
  secondLooks: [],
  id: 'gelatin-size',
  name: 'Gelatin size',
  mark: 'umber',
  chalk: none,
  coverage: poured,
  summary:
    'Warm gelatin with a hardener, applied with a rod: keeps the image at the surface and pigment out of the fibres.',
  components: [
    {
      id: 'gelatin',
      name: 'Gelatin size',
      letter: 'G',
      cautions: ['warmth'],
      stock: {
        solutes: [{ substanceId: 'gelatin', percentWv: 20 }],
        making: ['40 g swollen in cold water, then in 200 ml of warm water.', 'The hardener last.'],
        keepsSeconds: 2 * DAY,
        ...practice,
      },
    },
    {
      id: 'glyoxal',
      name: 'Glyoxal hardener',
      letter: 'H',
      cautions: ['glyoxal'],
      stock: {
        solutes: [{ substanceId: 'glyoxal', percentWv: 40 }],
        making: ['As bought.'],
        keepsSeconds: YEAR,
        ...starts('About 1 drop to 5 ml'),
      },
    },
    {
      id: 'formaldehyde',
      name: 'Formaldehyde hardener',
      letter: 'F',
      cautions: ['formaldehyde'],
      stock: {
        solutes: [{ substanceId: 'formaldehyde', percentWv: 37 }],
        making: ['As bought, under extraction.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
  ],
  choices: [
    {
      id: 'hardener',
      name: 'Hardener',
      startsWith: 'glyoxal',
      options: [
        {
          id: 'glyoxal',
          name: 'Glyoxal',
          reason: 'Hardens within hours and is rinsed out. Default because formaldehyde may cause cancer.',
          standing: 'practice',
        },
        {
          id: 'formaldehyde',
          name: 'Formaldehyde',
          reason: 'Hard in twenty minutes. Use it only under fume extraction.',
          standing: 'practice',
        },
        {
          id: 'none',
          name: 'None',
          reason: 'For paper that is used only in cool water.',
          standing: 'practice',
        },
      ],
    },
  ],
  steps: [
    {
      ...step,
      id: 'melt',
      kind: 'wait',
      title: 'Swell and melt',
      meanwhile: 'gelatin swelling',
      tray: 'gelatin',
      doing: 'Swell in cold water, then warm it in a bath to 45 °C.',
      why: 'Dry gelatin in hot water forms lumps.',
      time: { leastSeconds: 10 * MINUTE, ...starts('Ten minutes to swell') },
      cautions: ['warmth'],
      press: { start: 'Swell it', finish: 'Clear and warm' },
    },
    {
      ...hardening,
      id: 'harden-glyoxal',
      cautions: ['glyoxal'],
      when: [{ choice: 'hardener', is: ['glyoxal'] }],
    },
    {
      ...hardening,
      id: 'harden-formaldehyde',
      doing: 'Under extraction, add drop by drop while stirring: about 1 drop per 5 ml.',
      cautions: ['formaldehyde'],
      when: [{ choice: 'hardener', is: ['formaldehyde'] }],
    },
    {
      ...step,
      id: 'draw',
      kind: 'act',
      title: 'Draw the size',
      meanwhile: 'being sized',
      doing: 'Draw the rod across once and back, sheet after sheet, while the size is warm.',
      why: 'Cooling gelatin drags.',
      time: { mostSeconds: 20 * MINUTE, ...starts('While it is warm') },
      cautions: ['warmth'],
      begins: 'press',
      press: { start: 'First sheet', finish: 'All sized: dry' },
    },
    {
      ...hang,
      time: { leastSeconds: 20 * MINUTE, ...practice },
      when: [{ choice: 'hardener', is: ['formaldehyde', 'none'] }],
    },
    ...glyoxalDrying({ station: 'paper', place: 'line' }).map((one) => ({
      ...one,
      when: [{ choice: 'hardener', is: ['glyoxal'] }],
    })),
  ],
  cautions: [cautions.warmth, cautions.glyoxal, cautions.formaldehyde],
}

/** Salting sheets ahead, in a tray. */
export const saltingAhead: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  id: 'salting-ahead',
  name: 'Salting ahead',
  mark: 'umber',
  chalk: none,
  summary: 'Salt several sheets in one tray, to use later for salted paper.',
  components: [
    {
      id: 'sodium',
      name: 'Sodium chloride',
      letter: 'A',
      cautions: [],
      stock: {
        solutes: [{ substanceId: 'sodium-chloride', percentWv: 2 }],
        making: ['20 g per litre.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
    {
      id: 'ammonium',
      name: 'Ammonium chloride',
      letter: 'B',
      cautions: ['irritant'],
      stock: {
        solutes: [{ substanceId: 'ammonium-chloride', percentWv: 2 }],
        making: ['20 g per litre.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
  ],
  choices: [
    {
      id: 'salt',
      name: 'Salt',
      startsWith: 'sodium',
      options: [
        {
          id: 'sodium',
          name: 'Sodium',
          reason: 'Pure kitchen salt without additives will do. Default because it is at hand.',
          standing: 'practice',
        },
        {
          id: 'ammonium',
          name: 'Ammonium',
          reason: 'More chloride to the gram: about a tenth more.',
          standing: 'practice',
        },
      ],
    },
  ],
  steps: [
    { ...inSalt, id: 'soak-sodium', tray: 'sodium', when: [{ choice: 'salt', is: ['sodium'] }] },
    {
      ...inSalt,
      id: 'soak-ammonium',
      tray: 'ammonium',
      cautions: ['irritant'],
      when: [{ choice: 'salt', is: ['ammonium'] }],
    },
    { ...hang, time: { leastSeconds: 30 * MINUTE, mostSeconds: 2 * HOUR, ...practice } },
  ],
  cautions: [cautions.irritant],
}
