import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  chlorineWash,
  DAY,
  drying,
  laying,
  finalWash,
  hanging,
  HOUR,
  looks,
  MINUTE,
  practice,
  printingOut,
  SILVER_LIGHTING,
  starts,
  WEEK,
  WET_SPOT,
  YEAR,
  deeper,
} from './blocks'
import { clearHypo, clearHypoOrWashAnHour, fixAgain, fixInHypo } from './wetSteps'
import { fixingChoice, hypoClearBath, plainHypo, second, fixes } from './wetBaths'
import { tonedAfter, tonedBefore, tonerChoice } from './toners'
import { tonerBaths } from './tonerBaths'
import { objectsOnPrintingOut, subjectChoice, throughEither } from './photograms'

/** Albumen paper takes a weaker hypo than the others. */
const weakHypo: ProcessDefinition['baths'][number] = {
  ...plainHypo,
  stock: {
    ...plainHypo.stock,
    solutes: [{ substanceId: 'sodium-thiosulfate', percentWv: 5 }],
    ...practice,
  },
  use: fixes('hypo-2'),
}

const albumenFixing = {
  leastSeconds: 3 * MINUTE,
  mostSeconds: 5 * MINUTE,
  standing: 'memory',
  source: 'Two baths of 3 to 5 min each for keeping, from memory; one minute is for demonstrations only',
} as const

/** A coat that shines: it never turns dull as it dries. */
const GLOSSY_DRY = {
  good: 'The sheet is stiff, glossy, and not cool to the back of the hand.',
  doubt: 'Cool, or limp at the lower corner: it is still damp.',
  swatch: [],
}

/** Albumen-type paper: salted egg white, floated on silver. */
export const albumen: ProcessDefinition = {
  id: 'albumen-type',
  version: 2,
  name: 'Albumen-type paper',
  summary: 'Salted egg white on thin paper, floated on a silver bath, printed out.',
  mark: 'plum',
  kind: 'process',
  components: [
    {
      id: 'albumen',
      name: 'Salted albumen',
      letter: 'A',
      cautions: ['alcohol'],
      stock: {
        solutes: [
          { substanceId: 'ammonium-chloride', percentWv: 2.38 },
          { substanceId: 'ethanol', percentWv: 3.62 },
          { substanceId: 'egg-white', percentWv: 49.5 },
        ],
        making: [
          '2.5 g of ammonium chloride in 50 ml of water, 5 ml of alcohol, 50 ml of egg white.',
          'Beat it for ten minutes, let it settle overnight, filter it.',
        ],
        ripensSeconds: DAY / 2,
        keepsSeconds: WEEK,
        standing: 'memory',
        source:
          '1.5 to 3 % chloride in albumen, from memory; 2.5 g to 50, 5 and 50 ml in this app, and the strengths follow for the 105 ml',
      },
    },
    {
      id: 'silver',
      name: 'Silver bath',
      letter: 'B',
      cautions: ['silver'],
      stock: {
        solutes: [{ substanceId: 'silver-nitrate', percentWv: 10 }],
        making: [
          '10 g in 100 ml of distilled water, made up in the tray.',
          'Filter it when specks that do not darken appear.',
          'When it turns brown, sun it: a little sodium carbonate, a day in clear glass in the sun, then filter. Keep it faintly sour, about pH 4 to 6 (from memory).',
        ],
        keepsSeconds: 2 * YEAR,
        ...practice,
      },
    },
  ],
  mixes: [],
  baths: [...tonerBaths, weakHypo, second(weakHypo), hypoClearBath],
  ...deeper(0.5, 'Print clearly darker than the final print', 'Washing and fixing lighten it.'),
  tools: [],
  lighting: SILVER_LIGHTING,
  film: WET_SPOT,
  chalk: { bears: true, why: 'The albumen separates the silver from the paper.' },
  choices: [
    {
      id: 'coating',
      name: 'Albumen',
      startsWith: 'float',
      options: [
        {
          id: 'float',
          name: 'Floated',
          reason: 'One side, glossy. Default because it uses less and dries flatter.',
          standing: 'practice',
        },
        {
          id: 'soak',
          name: 'Soaked',
          reason: 'Both sides, with less risk of bubbles.',
          standing: 'practice',
        },
        {
          id: 'already',
          name: 'Albumenized before',
          reason: 'Use a sheet you prepared earlier.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'chloride',
      name: 'Chloride in the albumen',
      startsWith: 'usual',
      options: [
        {
          id: 'usual',
          name: '2.4 %',
          reason:
            'Leaves the excess of silver that printing out needs from a 10 % bath. Default because it matches that bath.',
          standing: 'memory',
        },
        {
          id: 'strong',
          name: '4.8 %',
          reason:
            'The strong recipe of demonstrations: 5 g instead of 2.5. It needs a silver bath of 15 % or more.',
          standing: 'practice',
          stocks: {
            albumen: [
              { substanceId: 'ammonium-chloride', percentWv: 4.76 },
              { substanceId: 'ethanol', percentWv: 3.62 },
              { substanceId: 'egg-white', percentWv: 49.5 },
            ],
          },
        },
      ],
    },
    tonerChoice('gold', 'plain silver fades'),
    { ...fixingChoice, startsWith: 'two' },
    subjectChoice,
  ],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 5 * MINUTE,
      mostSeconds: 20 * MINUTE,
      ...starts('As for salted paper, a little longer'),
      note: 'Check every few minutes.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 8 * MINUTE,
      mostSeconds: 30 * MINUTE,
      ...starts('As for salted paper, a little longer'),
      note: 'Check every five to ten minutes.',
    },
  ],
  steps: [
    {
      ...laying,
      id: 'albumenize',
      title: 'Float on the albumen',
      meanwhile: 'on the albumen',
      tray: 'albumen',
      doing: 'Lower the sheet by two corners, face down, without bubbles.',
      why: 'The albumen carries the salt and keeps the image at the surface.',
      time: { leastSeconds: 10 * MINUTE, ...practice },
      press: { start: 'Lower it on', finish: 'Lift it by a corner' },
      lays: { component: 'albumen', by: 'float' },
      cautions: ['alcohol'],
      when: [{ choice: 'coating', is: ['float'] }],
    },
    {
      ...laying,
      id: 'albumenize-soak',
      title: 'Soak in the albumen',
      meanwhile: 'in the albumen',
      tray: 'albumen',
      doing: 'Slide the sheet under without bubbles.',
      why: 'The albumen carries the salt.',
      endpoint: { ...laying.endpoint, good: 'The sheet is limp and wet on both sides.' },
      time: { leastSeconds: 10 * MINUTE, ...practice },
      press: { start: 'Slide it in', finish: 'Lift it by a corner' },
      lays: { component: 'albumen', by: 'soak' },
      cautions: ['alcohol'],
      when: [{ choice: 'coating', is: ['soak'] }],
    },
    {
      ...drying,
      id: 'dry-albumen',
      perCoat: false,
      place: 'line',
      title: 'Dry the albumen',
      meanwhile: 'albumenized, drying',
      doing: 'Hang the sheet by a corner, away from dust.',
      why: 'A damp coat dissolves in the silver bath.',
      time: { leastSeconds: 30 * MINUTE, ...starts('Dry; half an hour') },
      keeps: { mostSeconds: YEAR, ...starts('Albumenized paper keeps') },
      press: { start: 'Hang it', finish: 'Dry' },
      endpoint: GLOSSY_DRY,
      when: [{ choice: 'coating', is: ['float', 'soak'] }],
    },
    {
      ...laying,
      id: 'silver-float',
      title: 'Float on the silver',
      meanwhile: 'on the silver bath',
      tray: 'silver',
      doing: 'Goggles and gloves. Lower the sheet by two corners, face down, without bubbles.',
      why: 'Silver reacts with the chloride in the albumen, with some silver left free.',
      time: { leastSeconds: 3 * MINUTE, ...starts('A few minutes; three') },
      press: { start: 'Lower it on', finish: 'Drain it by a corner' },
      lays: { component: 'silver', by: 'float' },
      cautions: ['silver'],
      endpoint: {
        good: 'The sheet is flat, and its edges no longer curl.',
        doubt: 'Specks that do not darken: filter the silver bath.',
        swatch: [],
      },
    },
    {
      ...drying,
      id: 'dry',
      perCoat: false,
      doing: 'Several hours in the dark, hung by a corner.',
      press: { start: 'Start drying', finish: 'Dry: stiff and glossy' },
      endpoint: GLOSSY_DRY,
      time: { leastSeconds: 3 * HOUR, ...starts('Several hours; three') },
      keeps: { bestSeconds: 12 * HOUR, mostSeconds: DAY, ...starts('Print the same day') },
    },
    ...throughEither(printingOut, objectsOnPrintingOut('red-brown')),
    chlorineWash,
    ...tonedBefore,
    { ...fixInHypo, time: albumenFixing },
    { ...fixAgain, time: albumenFixing },
    ...tonedAfter,
    { ...clearHypo, ...clearHypoOrWashAnHour },
    finalWash,
    hanging,
  ],
  cautions: [
    cautions.silver,
    cautions.noble,
    cautions.platinum,
    cautions.thiocyanate,
    cautions.reproductive,
    cautions.selenium,
    cautions.acid,
    cautions.thiosulfate,
    cautions.sulfite,
    cautions.alcohol,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#ece4cc',
    dryCoat: '#e6dcc0',
    exposed: '#6a3c3c',
    wetPrint: '#6b4440',
    print: '#57383a',
  },
}
