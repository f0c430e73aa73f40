import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { glyoxalDrying } from './glyoxal'
import {
  bath,
  drying,
  exposing,
  HOUR,
  MINUTE,
  mixing,
  poured,
  practice,
  spreading,
  starts,
  WEEK,
  YEAR,
} from './blocks'

// What a layer of gum takes, on a finished print as on bare paper.

const dichromate = (percentWv: number) => ({
  dichromate: [{ substanceId: 'ammonium-dichromate', percentWv }],
})

/** Glyoxal hardens slowly, and what is left of it yellows the paper. */
const glyoxalSteps = glyoxalDrying({ station: 'coat', place: 'line' })

/** Gum with its pigment, dichromate, and the size under them. */
export const gumComponents: ProcessDefinition['components'] = [
  {
    id: 'gum',
    name: 'Gum with pigment',
    letter: 'A',
    cautions: [],
    stock: {
      solutes: [
        { substanceId: 'gum-arabic', percentWv: 30 },
        { substanceId: 'watercolour-pigment', percentWv: 4 },
      ],
      making: ['Gum in cold water, overnight, strained.', 'Rub the pigment into a little gum first.'],
      ripensSeconds: 12 * HOUR,
      keepsSeconds: 2 * WEEK,
      ...starts('Pigment in gum arabic; 30 % gum'),
    },
  },
  {
    id: 'dichromate',
    name: 'Dichromate',
    letter: 'B',
    cautions: ['dichromate'],
    stock: {
      solutes: [{ substanceId: 'ammonium-dichromate', percentWv: 20 }],
      making: ['Gloves before the jar opens. In warm water, labelled as poison.'],
      keepsSeconds: YEAR,
      ...practice,
    },
  },
  {
    id: 'size',
    name: 'Gelatin size',
    letter: 'G',
    cautions: ['warmth'],
    stock: {
      solutes: [{ substanceId: 'gelatin', percentWv: 20 }],
      making: [
        '40 g of gelatin swollen, then in 200 ml of warm water.',
        'Hardener goes in at the last moment: about 1 drop to 5 ml.',
      ],
      keepsSeconds: 2 * 86_400,
      ...practice,
    },
  },
]

/** The size, and the gum that is laid on it. */
export const gumMixes: ProcessDefinition['mixes'] = [
  {
    id: 'size',
    name: 'Gelatin size',
    coats: 1,
    preparesPaper: true,
    coverage: poured,
    parts: [{ component: 'size', parts: 1 }],
  },
  {
    id: 'sensitizer',
    name: 'Gum and dichromate',
    parts: [
      { component: 'gum', parts: 1 },
      { component: 'dichromate', parts: 1 },
    ],
  },
]

/** Strength of the dichromate, hardener, and whether the paper is sized already. */
export const gumChoices: ProcessDefinition['choices'] = [
  {
    id: 'strength',
    name: 'Dichromate',
    startsWith: 'd20',
    options: [
      {
        id: 'd20',
        name: '20 %',
        reason: 'Middling contrast. Default because the first layer should be visible.',
        standing: 'practice',
        stocks: dichromate(20),
      },
      { id: 'd30', name: '30 %', reason: 'Soft.', standing: 'practice', stocks: dichromate(30) },
      { id: 'd8', name: '8 %', reason: 'Harder.', standing: 'practice', stocks: dichromate(8) },
      { id: 'd4', name: '4 %', reason: 'Hardest.', standing: 'practice', stocks: dichromate(4) },
    ],
  },
  {
    id: 'hardener',
    name: 'Hardener of the size',
    startsWith: 'glyoxal',
    options: [
      {
        id: 'glyoxal',
        name: 'Glyoxal',
        reason:
          'Hardens within hours and must be rinsed out, or the paper turns yellow. Default because formaldehyde may cause cancer.',
        standing: 'practice',
      },
      {
        id: 'formaldehyde',
        name: 'Formaldehyde',
        reason: 'Hard in twenty minutes. Use it only under fume extraction.',
        standing: 'practice',
      },
    ],
  },
  {
    id: 'sizing',
    name: 'Print sized',
    startsWith: 'size',
    options: [
      {
        id: 'size',
        name: 'Now',
        reason: 'Pigment stains a bare print. Default because most papers need it.',
        standing: 'practice',
      },
      { id: 'already', name: 'Before', reason: 'Already sized and dry.', standing: 'practice' },
    ],
  },
]

/** First times under a lamp and in the sun. */
export const gumLights: ProcessDefinition['lights'] = [
  {
    kind: 'uvBox',
    name: 'UV box',
    leastSeconds: 90,
    mostSeconds: 4 * MINUTE,
    standing: 'practice',
    source: 'About a quarter of the palladium time, common practice',
    note: 'A quarter of the palladium time; halve it when the colour is too heavy.',
  },
  {
    kind: 'sun',
    name: 'Sun',
    leastSeconds: 1 * MINUTE,
    mostSeconds: 5 * MINUTE,
    ...starts('About a quarter of the palladium time'),
    note: 'A quarter of the palladium time.',
  },
]

/** From the size to the last water. */
export const gumSteps: StepDefinition[] = [
  {
    ...mixing,
    id: 'mix-size',
    mix: 'size',
    title: 'Measure the size',
    doing: 'Measure it warm into a warm glass. Add the hardener last, about 1 drop per 5 ml.',
    why: 'Gelatin keeps pigment out of the fibres.',
    cautions: ['warmth', 'glyoxal', 'formaldehyde'],
    press: { start: 'Start', finish: 'Ready: draw it' },
    when: [{ choice: 'sizing', is: ['size'] }],
  },
  {
    ...spreading,
    id: 'size',
    perCoat: false,
    title: 'Size the print',
    doing: 'Draw the rod across once and back.',
    why: 'Gelatin keeps pigment out of the fibres.',
    cautions: ['warmth', 'glyoxal', 'formaldehyde'],
    press: { start: 'Pour', finish: 'Even: dry it' },
    when: [{ choice: 'sizing', is: ['size'] }],
  },
  {
    ...drying,
    id: 'dry-size',
    perCoat: false,
    place: 'line',
    title: 'Dry the size',
    meanwhile: 'sized, drying',
    doing: 'Leave the sheet flat for about twenty minutes.',
    why: 'Gum over damp size lifts off.',
    time: { leastSeconds: 20 * MINUTE, ...practice },
    press: { start: 'Start drying', finish: 'Dry' },
    when: [
      { choice: 'sizing', is: ['size'] },
      { choice: 'hardener', is: ['formaldehyde'] },
    ],
  },
  ...glyoxalSteps.map((step) => ({
    ...step,
    when: [
      { choice: 'sizing', is: ['size'] },
      { choice: 'hardener', is: ['glyoxal'] },
    ],
  })),
  {
    ...mixing,
    title: 'Mix gum and dichromate',
    doing: 'Put gloves on. Shake the pigment, then stir equal parts without bubbles.',
    habit: 'Warm colours suit highlights, cool ones shadows. Try a small print first.',
    why: 'Dichromate makes gum harden in light. Its strength sets the contrast.',
    cautions: ['dichromate'],
    press: { start: 'Start', finish: 'Mixed: start coating' },
  },
  {
    ...spreading,
    doing: 'Mask the border, brush a thin coat, and even it out with a dry brush.',
    cautions: ['dichromate'],
    habit: 'The base print should be toned: re-wetting lightens and mottles an untoned print.',
  },
  {
    ...drying,
    doing: 'Dry in the dark in cool air.',
    time: { leastSeconds: 10 * MINUTE, ...starts('Dry; ten minutes') },
    keeps: {
      bestSeconds: 1 * HOUR,
      mostSeconds: 6 * HOUR,
      ...starts('Gum hardens even in the dark; print within the hour'),
    },
  },
  {
    ...exposing,
    title: 'Expose the gum layer',
    doing: 'Line up the register marks, then start when you uncover the frame.',
    why: 'Gum hardens where light reaches it. You cannot see progress through the back: the time decides.',
    habit: undefined,
    endpoint: {
      good: 'The time is up. The image only shows in the water.',
      doubt: 'Do not open the frame: you would lose the register and see nothing.',
      swatch: [],
    },
    looks: [],
    cautions: ['uv', 'dichromate'],
  },
  {
    ...bath,
    id: 'first-water',
    title: 'First tray, kept apart',
    meanwhile: 'in the first water',
    doing: 'Put the print face down in lukewarm water without bubbles until the yellow has run out.',
    why: 'This tray holds the dichromate: collect it, never pour it away.',
    time: { leastSeconds: 20, mostSeconds: 30, ...practice },
    isKept: 'chromium',
    early: 'Dichromate carried into the next tray makes that waste too.',
    cautions: ['dichromate'],
    press: { start: 'Face down', finish: 'Next tray' },
    habit: 'Use tongs: no fingers in water with dichromate. Do not touch the wet picture.',
    endpoint: {
      good: 'Yellow gone from the margin.',
      doubt: 'Still yellow: repeat, and collect this water too.',
      swatch: ['#d99a3a', '#e6cf9a', '#efeadb'],
    },
  },
  {
    ...bath,
    id: 'float',
    title: 'Float until clear',
    meanwhile: 'floating',
    doing: 'Float the print face down in lukewarm water.',
    why: 'Let soft gum float off. Rubbing removes the image.',
    time: { leastSeconds: 15 * MINUTE, ...starts('Until clear; about 15 minutes') },
    begins: 'atOnce',
    press: { start: 'Face down', finish: 'Clear' },
    endpoint: {
      good: 'Highlights are clear, and nothing runs off.',
      doubt: 'Colour too heavy: halve the exposure next time.',
      swatch: [],
    },
  },
]
