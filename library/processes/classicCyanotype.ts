import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  dryLook,
  drying,
  exposing,
  hanging,
  HOUR,
  LIGHTING,
  memory,
  MINUTE,
  mixing,
  practice,
  settledLook,
  spreading,
  wetLook,
  YEAR,
  deeper,
} from './blocks'
import { throughEither } from './photograms'
import { blueTonerBaths, blueTonerSteps } from './cyanotypeToning'
import { rinse } from './wetSteps'
import { serves } from './wetBaths'
import { classicCyanotypeChoices } from './classicCyanotypeChoices'

const expose: StepDefinition = {
  ...exposing,
  why: 'The light reduces iron where it falls. Water will keep only what the light has changed.',
  looks: [
    { share: 0.5, lookFor: 'Shadows have gone from green to blue-green.' },
    { share: 0.75, lookFor: 'Shadows turn slate, and highlight detail starts to show.' },
  ],
  endpoint: {
    good: 'Shadows slate to bronze and reversing; highlight detail just visible.',
    doubt: 'Still green: expose longer. Highlights already blue: finish now.',
    swatch: ['#b3b47e', '#7f9d86', '#5b7b86', '#5d6a76', '#77706a'],
  },
}

const BARE = {
  half: 'The bare coat around the objects has turned from green to blue-green.',
  most: 'The bare coat turns slate.',
  done: 'Bare coat slate to bronze all around.',
}

/** Classic cyanotype: iron salts on paper, printed by contact, developed in water. */
export const classicCyanotype: ProcessDefinition = {
  id: 'classic-cyanotype',
  version: 1,
  name: 'Classic cyanotype',
  summary: 'Two iron salts mixed just before use, brushed on, printed by contact, developed in plain water.',
  mark: 'prussian',
  kind: 'process',
  ...deeper(
    0.5,
    'Expose generously: the wash lightens the print',
    'The wash removes some of the blue, and a little returns within a day.',
  ),
  tools: ['brush', 'rod', 'sponge'],
  lighting: LIGHTING,
  chalk: {
    bears: false,
    why: 'Chalk is alkaline and bleaches the blue; a buffered paper prints weak and fades at the edges.',
  },
  components: [
    {
      id: 'iron',
      name: 'Iron citrate',
      letter: 'A',
      stock: {
        solutes: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 25 }],
        making: [
          'Dissolve in about two thirds of the water, top up.',
          'Brown glass. If mould floats after some weeks, filter the solution or make it fresh.',
        ],
        keepsSeconds: YEAR / 2,
        ...memory,
      },
      cautions: ['iron'],
    },
    {
      id: 'ferricyanide',
      name: 'Ferricyanide',
      letter: 'B',
      stock: {
        solutes: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
        making: ['Dissolve in about two thirds of the water, top up.', 'Brown glass, well away from acids.'],
        keepsSeconds: YEAR,
        ...memory,
      },
      cautions: ['ferricyanide'],
    },
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitizer',
      parts: [
        { component: 'iron', parts: 1 },
        { component: 'ferricyanide', parts: 1 },
      ],
    },
  ],
  baths: [
    {
      id: 'peroxide',
      name: 'Weak peroxide',
      stock: {
        solutes: [{ substanceId: 'hydrogen-peroxide', percentWv: 0.3 }],
        making: ['Pour the peroxide into the water, in gloves and goggles.', 'Made fresh for the day.'],
        keepsSeconds: DAY,
        standing: 'practice',
        source: 'A weak bath, common practice; the app uses 0.3 %',
      },
      cautions: ['peroxide'],
      use: serves(0.5),
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
    ...blueTonerBaths,
  ],
  choices: classicCyanotypeChoices,
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 5 * MINUTE,
      mostSeconds: 20 * MINUTE,
      ...practice,
      note: 'From midsummer noon to soft light; under an overcast sky an hour or more.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 5 * MINUTE,
      mostSeconds: 10 * MINUTE,
      ...practice,
      note: 'A purpose-built box with fresh tubes or diodes.',
    },
    {
      kind: 'lamp',
      name: 'Single lamp',
      leastSeconds: 20 * MINUTE,
      mostSeconds: 30 * MINUTE,
      standing: 'practice',
      source: 'About 25 min under an old single lamp, common practice; the app uses 20 to 30',
      note: 'About 25 minutes under an old lamp. Let it warm up first.',
    },
    {
      kind: 'tubes',
      name: 'Weak tube bank',
      leastSeconds: 60 * MINUTE,
      mostSeconds: 90 * MINUTE,
      ...practice,
      note: 'Black-light tubes that have seen years of use.',
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Count both into one small glass, then stir.',
      why: 'Once mixed, the two react slowly even in the dark. Mix only what this sheet needs.',
      keeps: {
        mostSeconds: 4 * HOUR,
        standing: 'practice',
        source: 'Mixed sensitizer can be used for a few hours in the dark; common practice, from memory',
      },
      cautions: ['ferricyanide', 'iron'],
      habit: 'Use one dropper per bottle. Dim tungsten or warm light; no daylight, no bare tube.',
      endpoint: {
        good: 'Clear, green to yellow.',
        doubt: 'Cloudy or blue: the iron is old or the glass was dirty. Mix again.',
        swatch: [],
      },
    },
    {
      ...spreading,
      cautions: ['iron'],
      endpoint: {
        good: 'Yellow-green with an even shine. Hold it against the dim lamp to check.',
        doubt: 'Puddles, pilling, two colours. Leave hairs: they brush off dry.',
        swatch: [],
      },
    },
    {
      ...drying,
      time: { leastSeconds: 10 * MINUTE, ...practice },
      keeps: {
        mostSeconds: 3 * DAY,
        standing: 'practice',
        source: 'Coated paper keeps days in a dark dry bag, common practice; the app uses three days',
      },
      endpoint: {
        good: 'Dull, and not cool to the back of the hand.',
        doubt: 'Shine, or cool: the negative will stick.',
        swatch: ['#c9d17c', '#c3c97c', '#bcbf7e', '#b3b47e'],
      },
    },
    ...throughEither(expose, BARE),
    {
      ...bath,
      role: 'wash',
      early: 'Salts left in the paper turn the whites yellow after a day.',
      doing: 'Put the print face down in cool running water until the water is clear.',
      why: 'Water removes the salts that the light did not change. Any that remain turn yellow.',
      time: { leastSeconds: 5 * MINUTE, ...practice },
      heavyPaper: {
        fromGramsPerM2: 250,
        leastSeconds: 10 * MINUTE,
        standing: 'practice',
        source: 'Heavy paper washes longer, common practice; the app uses ten minutes',
      },
      cautions: ['ferricyanide'],
      press: { start: 'Start wash', finish: 'No colour runs off' },
      habit: 'Drain by a corner. Support thin paper on a plastic sheet.',
      endpoint: {
        good: 'Whites are clean, and no yellow or blue runs off the corner.',
        doubt: 'Yellow whites: keep washing. Blue-violet whites: fogged or over-exposed.',
        swatch: ['#d9d68f', '#dfe0b9', '#e6e8d8', '#eff0ea'],
      },
    },
    {
      ...bath,
      id: 'peroxide',
      title: 'Weak peroxide',
      tray: 'peroxide',
      meanwhile: 'in the peroxide',
      doing: 'Rock it in weak peroxide until the blue stops deepening.',
      why: 'Peroxide does in a minute what air does in a day, so you see the final depth now.',
      time: { leastSeconds: 1 * MINUTE, mostSeconds: 2 * MINUTE, ...practice },
      cautions: ['peroxide'],
      press: { start: 'Start peroxide bath', finish: 'Deep blue: rinse it' },
      endpoint: {
        good: 'The blue is deep and no longer changes.',
        doubt: 'No change: the bath is exhausted or too weak.',
        swatch: ['#7d9ab0', '#4a7398', '#28557f', '#16406c'],
      },
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
    {
      ...rinse,
      doing: 'Rinse the peroxide out in clean water.',
      why: 'Peroxide left in the fibres keeps attacking the paper.',
      time: {
        leastSeconds: 2 * MINUTE,
        standing: 'practice',
        source: 'A rinse after peroxide, common practice; the app uses two minutes',
      },
      cautions: [],
      begins: 'atOnce',
      press: { start: 'Start rinse', finish: 'Rinsed' },
      endpoint: { good: 'Clean water, whites white.', doubt: 'Still slippery: keep rinsing.', swatch: [] },
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
    ...blueTonerSteps,
    {
      ...hanging,
      why: 'Judge the print dry: it dries darker, and the blue deepens for a day.',
    },
  ],
  cautions: [cautions.ferricyanide, cautions.iron, cautions.peroxide, cautions.irritant, cautions.uv],
  secondLooks: [
    wetLook,
    {
      ...dryLook,
      why: 'The print has dried down and the blue has deepened for a day. This is the first check that counts.',
    },
    { ...settledLook, why: 'Blues settle within one to two weeks. A wash that was too short shows by now.' },
  ],
  colours: {
    wetCoat: '#cdd28f',
    dryCoat: '#b3b47e',
    exposed: '#77806f',
    wetPrint: '#4f7ea3',
    print: '#163f6b',
  },
}
