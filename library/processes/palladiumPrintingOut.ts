import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  DAY,
  drying,
  FILM,
  finalWash,
  hanging,
  HOUR,
  LIGHTING,
  looks,
  MINUTE,
  mixing,
  practice,
  printingOut,
  printingOutLooks,
  spreading,
  starts,
  YEAR,
  deeper,
} from './blocks'
import { ammoniumIron, dryness, humidify, metalLights } from './printingOutMetals'
import { bindInEdta, clearInCitric, clearInSulfite, washBetween } from './wetSteps'
import { citricBath, edtaBath, sulfiteBath } from './wetBaths'
import { objectsOnPrintingOut, subjectChoice, throughEither } from './photograms'

/** Palladium, printing out, dry. */
export const palladiumPrintingOut: ProcessDefinition = {
  id: 'palladium-printing-out',
  version: 2,
  name: 'Palladium, printing out',
  summary: 'Ammonium ferric oxalate and palladium, printed out dry until the image is complete.',
  mark: 'graphite',
  kind: 'process',
  components: [
    ammoniumIron,
    {
      id: 'lithium-iron',
      name: 'Lithium ferric oxalate',
      letter: 'L',
      cautions: ['oxalate'],
      stock: {
        solutes: [
          { substanceId: 'lithium-ferric-oxalate', percentWv: 40 },
          { substanceId: 'ascorbic-acid', percentWv: 0.08 },
        ],
        making: [
          '40 g topped up to 100 ml.',
          'To every 10 ml, 8 drops of 2 % ascorbic acid (1 g in 50 ml), as with the ammonium salt.',
        ],
        keepsSeconds: 120 * DAY,
        ...starts('In place of the ammonium salt, at its strength; 40 %'),
      },
    },
    {
      id: 'palladium',
      name: 'Palladium',
      letter: 'B',
      cautions: ['noble'],
      stock: {
        solutes: [
          { substanceId: 'potassium-chloropalladite', percentWv: 100 / 6 },
          { substanceId: 'sodium-chloride', percentWv: 50 / 6 },
        ],
        making: [
          '1 g of potassium chloropalladite and 0.5 g of sodium chloride, topped up to 6 ml.',
          'Often labelled 15 %; it is 16.7.',
        ],
        keepsSeconds: 5 * YEAR,
        standing: 'practice',
        source: '1 g and 0.5 g topped up to 6 ml, common practice; 16.7 % and 8.3 % follow',
      },
    },
    {
      id: 'ferric',
      name: 'Ferric oxalate',
      letter: 'C',
      cautions: ['oxalate'],
      stock: {
        solutes: [{ substanceId: 'ferric-oxalate', percentWv: 26 }],
        making: ['Sprinkle on hot water; a day to go clear.'],
        ripensSeconds: DAY,
        keepsSeconds: 90 * DAY,
        ...practice,
      },
    },
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitizer',
      parts: [
        { component: 'iron', parts: 3, when: [{ choice: 'iron', is: ['ammonium'] }] },
        { component: 'lithium-iron', parts: 3, when: [{ choice: 'iron', is: ['lithium'] }] },
        { component: 'palladium', parts: 4 },
        {
          component: 'ferric',
          parts: 1,
          when: [
            { choice: 'lift', is: ['ferric'] },
            { choice: 'iron', is: ['ammonium'] },
          ],
        },
      ],
    },
  ],
  baths: [sulfiteBath, citricBath, edtaBath],
  ...deeper(0.25, 'Highlights deeper than wanted', 'The clearing baths remove the faintest tones.'),
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  film: FILM,
  chalk: { bears: false, why: 'Chalk spoils the iron: weak, blotchy prints. Treat a buffered paper first.' },
  choices: [
    {
      id: 'iron',
      name: 'Iron',
      startsWith: 'ammonium',
      options: [
        {
          id: 'ammonium',
          name: 'Ammonium salt',
          reason: 'Softer and warmer, dependable. Default because most negatives suit it.',
          standing: 'practice',
        },
        {
          id: 'lithium',
          name: 'Lithium salt',
          reason: 'Much more contrast, and cooler; needs no ferric oxalate.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'palladium',
      name: 'Palladium salt',
      startsWith: 'potassium',
      options: [
        {
          id: 'potassium',
          name: 'Potassium',
          reason: 'With table salt it stays dissolved. Default because it is the usual bottle.',
          standing: 'practice',
        },
        {
          id: 'sodium',
          name: 'Sodium',
          reason:
            'The same palladium, and dissolves without added salt. Its colour is between potassium and lithium; make a strip.',
          standing: 'memory',
          stocks: { palladium: [{ substanceId: 'sodium-chloropalladite', percentWv: 15 }] },
        },
        {
          id: 'lithium',
          name: 'Lithium',
          reason:
            'The same palladium. Cooler and crisper, most of all with the lithium iron and a dry sheet.',
          standing: 'memory',
          stocks: { palladium: [{ substanceId: 'lithium-chloropalladite', percentWv: 13.4 }] },
        },
      ],
    },
    {
      id: 'lift',
      name: 'Contrast',
      startsWith: 'ferric',
      options: [
        {
          id: 'ferric',
          name: 'One drop of ferric oxalate',
          reason: 'Lifts the contrast of the ammonium salt a little. Default because it is the usual coat.',
          standing: 'practice',
        },
        { id: 'none', name: 'Without', reason: 'Softest.', standing: 'practice' },
      ],
    },
    dryness,
    subjectChoice,
  ],
  lights: metalLights,
  steps: [
    {
      ...mixing,
      doing: 'Count in this order into a glass without metal, swirl.',
      cautions: ['oxalate', 'noble'],
    },
    {
      ...spreading,
      cautions: ['noble'],
      habit: 'The brush should be only just damp. Brush over the margin: it shows when to check.',
    },
    {
      ...drying,
      doing: 'Dry in the dark until completely dry.',
      time: { leastSeconds: 20 * MINUTE, ...starts('Bone dry; twenty minutes') },
      keeps: { bestSeconds: 4 * HOUR, mostSeconds: DAY, ...starts('Print the same day') },
    },
    humidify,
    ...throughEither(
      {
        ...printingOut,
        looks: printingOutLooks('brown', 'deeper'),
        endpoint: {
          good: 'Margin brown, highlight detail just visible, the whole print darker than you want.',
          doubt: 'Nothing, or weak and blotchy: buffered paper, a dim lamp, or a coat too dry to print.',
          swatch: ['#e4dfcf', '#c9b9a3', '#9a7f6a', '#6d5142', '#4a352b'],
        },
      },
      objectsOnPrintingOut('brown'),
    ),
    {
      ...clearInSulfite,
      habit:
        'An ochre veil of spare iron hides the depth until it clears; the print darkens a little in water.',
      time: { leastSeconds: 5 * MINUTE, ...starts('Five minutes') },
    },
    washBetween,
    clearInCitric,
    bindInEdta,
    { ...finalWash, heavyPaper: { fromGramsPerM2: 250, leastSeconds: 45 * MINUTE, ...practice } },
    hanging,
  ],
  cautions: [
    cautions.oxalate,
    cautions.noble,
    cautions.sulfite,
    cautions.acid,
    cautions.eyeDamage,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#c2a757',
    dryCoat: '#b79d54',
    exposed: '#5c4c3a',
    wetPrint: '#4c4036',
    print: '#3b332c',
  },
}
