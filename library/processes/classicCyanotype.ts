import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  dryLook,
  drying,
  exposing,
  hanging,
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
import { rinse, serves } from './wetSteps'

const expose: StepDefinition = {
  ...exposing,
  why: 'The light reduces iron where it falls. Water will keep only what the light has changed.',
  looks: [
    { share: 0.5, lookFor: 'Shadows have gone from green to blue-green.' },
    { share: 0.75, lookFor: 'Shadows turn slate; highlight detail begins.' },
  ],
  endpoint: {
    good: 'Shadows slate to bronze, the picture reversing; highlight detail just there.',
    doubt: 'Still green: more light. Highlights already blue: enough, take it out.',
    swatch: ['#b3b47e', '#7f9d86', '#5b7b86', '#5d6a76', '#77706a'],
  },
  when: [{ choice: 'subject', is: ['negative'] }],
}

/** Things laid on the sheet hide the picture while it forms, so the bare coat beside them is what the eye follows. */
const exposeObjects: StepDefinition = {
  ...expose,
  id: 'expose-objects',
  title: 'Under the glass',
  doing: 'Lay the things flat, glass on top, clips against wind; start when the cover comes off, not before.',
  looks: [
    { share: 0.5, lookFor: 'The bare coat round the things has gone from green to blue-green.' },
    { share: 0.75, lookFor: 'The bare coat turns slate.' },
  ],
  habit:
    'What lies flat prints sharp, what stands up blurs. Thin leaves let light through and give half-tones.',
  endpoint: {
    good: 'Bare coat slate to bronze all round.',
    doubt: 'Still green: more light. Do not lift a leaf to look: it will not lie down in the same place.',
    swatch: expose.endpoint?.swatch ?? [],
  },
  when: [{ choice: 'subject', is: ['photogram'] }],
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
    'Lean to the long side and let the wash take it back',
    'The wash takes some of the blue, and drying gives a little back over a day.',
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
          'Brown glass. Mould floats after some weeks: filter it, or make it fresh.',
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
        source: 'A weak bath, common practice; 0.3 % is where this app starts',
      },
      cautions: ['peroxide'],
      use: serves(0.5),
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
  ],
  choices: [
    {
      id: 'strengths',
      name: 'Stocks, iron + ferricyanide',
      startsWith: 'full',
      options: [
        {
          id: 'full',
          name: '25 % + 10 %',
          reason:
            'The usual strong pair: a deep blue in one coat. Started with because most printed recipes lead here.',
          standing: 'memory',
          stocks: {
            iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 25 }],
            ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
          },
        },
        {
          id: 'lean',
          name: '20 % + 8 %',
          reason: 'The lower end of the usual range: saves salts, prints a little softer and paler.',
          standing: 'memory',
          stocks: {
            iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 20 }],
            ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 8 }],
          },
        },
        {
          id: 'even',
          name: '10 % + 10 %',
          reason: 'One strength for both bottles, easy to teach and to mix; paler, kinder to thin papers.',
          standing: 'practice',
          stocks: {
            iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 10 }],
            ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
          },
        },
      ],
    },
    {
      id: 'subject',
      name: 'Printed through',
      startsWith: 'negative',
      options: [
        {
          id: 'negative',
          name: 'A negative',
          reason: 'Emulsion to emulsion in the frame; a look through the split back shows the picture.',
          standing: 'practice',
        },
        {
          id: 'photogram',
          name: 'Leaves or things',
          reason: 'What lies flat prints sharp, what stands up blurs. Judge by the bare coat beside it.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'exposure',
      name: 'Exposure',
      startsWith: 'calibrated',
      options: [
        {
          id: 'calibrated',
          name: 'To a known time',
          reason:
            'The same light gives the same print again. Started with because it can be repeated and mended.',
          standing: 'practice',
          exposeTo: 'middle',
        },
        {
          id: 'long',
          name: 'Long',
          reason: 'Leaning to the long side loses no shadow; the wash lightens the print again.',
          standing: 'practice',
          exposeTo: 'upperEnd',
        },
      ],
    },
    {
      id: 'finish',
      name: 'Final blue',
      startsWith: 'patience',
      options: [
        {
          id: 'patience',
          name: 'Air and a day',
          reason:
            'Air deepens the blue in about 24 hours. Started with because nothing more has to be handled.',
          standing: 'practice',
        },
        {
          id: 'peroxide',
          name: 'Weak peroxide bath',
          reason: 'A minute or two brings the final blue at once, so the print can be judged sooner.',
          standing: 'practice',
        },
      ],
    },
  ],
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
      source: 'About 25 min under an old single lamp, common practice; 20 to 30 is where this app starts',
      note: 'About 25 minutes under an old lamp; let it burn steady first.',
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
      why: 'Mixed, the two begin to react slowly even in the dark. Mix what this sheet needs.',
      cautions: ['ferricyanide', 'iron'],
      habit:
        'Never put one dropper into both bottles. Dim tungsten or warm light; no daylight, no bare tube.',
      endpoint: {
        good: 'Clear, green to yellow.',
        doubt: 'Cloudy, or blue: the iron is old or the glass was dirty. Mix afresh.',
        swatch: [],
      },
    },
    {
      ...spreading,
      cautions: ['iron'],
      endpoint: {
        good: 'Yellow-green, the shine even all over. Hold it against the dim lamp to see.',
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
        source:
          'Coated paper keeps days in a dark dry bag, common practice; three days is where this app starts',
      },
      endpoint: {
        good: 'Dull, and not cool to the back of the hand.',
        doubt: 'Shine, or cool: the negative will stick.',
        swatch: ['#c9d17c', '#c3c97c', '#bcbf7e', '#b3b47e'],
      },
    },
    expose,
    exposeObjects,
    {
      ...bath,
      role: 'wash',
      early: 'Salts are still in the paper: yellow where white is due, after a day.',
      doing: 'Face down into cool running water, then change it until it runs clear.',
      why: 'Water carries off the salts that the light did not change. What stays behind will yellow.',
      time: { leastSeconds: 5 * MINUTE, ...practice },
      heavyPaper: {
        fromGramsPerM2: 250,
        leastSeconds: 10 * MINUTE,
        standing: 'practice',
        source: 'Heavy paper washes longer, common practice; ten minutes is where this app starts',
      },
      cautions: ['ferricyanide'],
      press: { start: 'Into the water', finish: 'No colour runs off' },
      habit: 'Drain by a corner. Thin paper rides on a plastic sheet.',
      endpoint: {
        good: 'Whites paper-white; no yellow or blue runs off the corner.',
        doubt: 'Yellow where white is due: wash on. Blue-violet whites: fogged or over-exposed.',
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
      why: 'Peroxide does in a minute what air does in a day, so the print shows its depth now.',
      time: { leastSeconds: 1 * MINUTE, mostSeconds: 2 * MINUTE, ...practice },
      cautions: ['peroxide'],
      press: { start: 'Into the peroxide', finish: 'Deep blue: rinse it' },
      endpoint: {
        good: 'Blue deep and no longer changing.',
        doubt: 'No change at all: the bath is spent or too weak.',
        swatch: ['#7d9ab0', '#4a7398', '#28557f', '#16406c'],
      },
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
    {
      ...rinse,
      doing: 'Rinse the peroxide out in clean water.',
      why: 'What stays in the fibres goes on working on the paper.',
      time: {
        leastSeconds: 2 * MINUTE,
        standing: 'practice',
        source: 'A rinse after peroxide, common practice; two minutes is where this app starts',
      },
      cautions: [],
      begins: 'atOnce',
      press: { start: 'Into the rinse', finish: 'Rinsed' },
      endpoint: { good: 'Clean water, whites white.', doubt: 'Still slippery: rinse on.', swatch: [] },
      when: [{ choice: 'finish', is: ['peroxide'] }],
    },
    {
      ...hanging,
      why: 'Nothing is judged wet: the print dries darker, and the blue goes on deepening for a day.',
    },
  ],
  cautions: [cautions.ferricyanide, cautions.iron, cautions.peroxide, cautions.uv],
  secondLooks: [
    wetLook,
    {
      ...dryLook,
      why: 'The print has dried down and the blue has deepened for a day. This is the first look that counts.',
    },
    { ...settledLook, why: 'Blues settle over one to two weeks; a wash cut short shows by now.' },
  ],
  colours: {
    wetCoat: '#cdd28f',
    dryCoat: '#b3b47e',
    exposed: '#77806f',
    wetPrint: '#4f7ea3',
    print: '#163f6b',
  },
}
