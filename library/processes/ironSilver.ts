import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  deeper,
  drying,
  finalWash,
  hanging,
  looks,
  memory,
  MINUTE,
  mixing,
  practice,
  printingOut,
  printingOutLooks,
  ROCKED,
  SILVER_LIGHTING,
  spreading,
  starts,
  WET_SPOT,
  YEAR,
} from './blocks'
import { subjectChoice, throughEither } from './photograms'
import { dryness, humidify } from './printingOutMetals'
import { tonedAfter, tonedBefore, tonerChoice } from './toners'
import { tonerBaths } from './tonerBaths'
import { fixAgain, madeUp } from './wetSteps'
import { fixes, fixingChoice, second } from './wetBaths'

const hypo: ProcessDefinition['baths'][number] = {
  id: 'hypo',
  name: 'Weak plain hypo',
  cautions: ['thiosulfate'],
  stock: {
    solutes: [{ substanceId: 'sodium-thiosulfate', percentWv: 2 }],
    making: ['Dissolve 20 g of crystals in a litre of water. No rapid fixer.'],
    keepsSeconds: 2 * DAY,
    ...memory,
  },
  use: fixes('hypo-2'),
}

/** Silver sulfamate with iron: one bottle, printed out, brown to purple by humidity. */
export const ironSilver: ProcessDefinition = {
  id: 'iron-silver',
  version: 1,
  name: 'Iron-silver with sulfamate',
  summary:
    'Silver sulfamate and iron citrate in one bottle, printed out in full: brown when dry, purple when humid. No free silver nitrate.',
  mark: 'umber',
  kind: 'process',
  tools: ['brush', 'rod'],
  lighting: SILVER_LIGHTING,
  film: WET_SPOT,
  chalk: {
    bears: false,
    why: 'Chalk turns the iron rusty and the whites yellow; a buffered paper prints weak.',
  },
  components: [
    {
      id: 'sensitizer',
      name: 'Iron-silver sensitizer',
      letter: 'S',
      cautions: ['silverOxide', 'acid', 'iron'],
      stock: {
        solutes: [
          { substanceId: 'silver-oxide', percentWv: 7 },
          { substanceId: 'sulfamic-acid', percentWv: 7 },
          { substanceId: 'ferric-ammonium-citrate', percentWv: 22 },
          { substanceId: 'polysorbate', percentWv: 0.2 },
        ],
        making: [
          'Dissolve 7 g of sulfamic acid in 70 ml of distilled water at about 60 °C.',
          'Stir in 7 g of silver oxide, a little at a time, until it has dissolved.',
          'Let it cool; stir in 22 g of ferric ammonium citrate and 4 drops of wetting agent.',
          'Filter, top up to 100 ml. Brown glass.',
        ],
        keepsSeconds: YEAR,
        ...memory,
      },
    },
  ],
  mixes: [{ id: 'sensitizer', name: 'Sensitizer', parts: [{ component: 'sensitizer', parts: 1 }] }],
  baths: [hypo, second(hypo), ...tonerBaths],
  ...deeper(
    -0.1,
    'Printed to nearly the final depth',
    'The print lightens a little in the hypo and darkens as much as it dries.',
  ),
  choices: [dryness, tonerChoice('none', 'humidity already moves its colour'), fixingChoice, subjectChoice],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 2 * MINUTE,
      mostSeconds: 10 * MINUTE,
      ...starts('Until the image is complete'),
      note: 'Strong sun: look early.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 3 * MINUTE,
      mostSeconds: 12 * MINUTE,
      ...starts('Until the image is complete'),
      note: 'Inspect through the split back.',
    },
    {
      kind: 'tubes',
      name: 'Weak tube bank',
      leastSeconds: 10 * MINUTE,
      mostSeconds: 30 * MINUTE,
      ...starts('Slower than a fresh bank'),
      note: 'Warm them up first.',
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Shake the bottle, count into a small glass. Keep metal away.',
      why: 'One bottle, ready to use.',
      cautions: ['silverOxide', 'iron'],
      press: { start: 'Start', finish: 'Ready: start coating' },
    },
    {
      ...spreading,
      cautions: ['silverOxide'],
      habit: 'A rod suits it: the wetting agent draws it in evenly. Wet a brush with distilled water.',
    },
    {
      ...drying,
      doing: 'Dry in cool, moving air in the dark.',
      time: { leastSeconds: 20 * MINUTE, ...starts('Dry to the touch; twenty minutes') },
      keeps: { bestSeconds: 4 * 3600, mostSeconds: 1 * DAY, ...starts('Print the same day') },
    },
    humidify,
    ...throughEither(
      {
        ...printingOut,
        doing: 'Inspect through the split back: what you see is nearly what you get.',
        looks: printingOutLooks('orange-brown', 'lighter'),
        endpoint: {
          good: 'Shadows as deep as you want them, highlight detail just visible.',
          doubt: 'Grey and weak: an old lamp, buffered paper, or metal on the brush.',
          swatch: ['#d8c48f', '#b8905f', '#8d5f41', '#5f3d2e'],
        },
      },
      {
        half: 'The bare coat around the objects has turned orange-brown.',
        most: 'The bare coat is brown.',
        done: 'Bare coat as dark as the ground you want.',
      },
    ),
    {
      ...bath,
      id: 'water',
      title: 'Clear in water',
      meanwhile: 'in the first water',
      doing: 'Rock it in water and change the water until no yellow runs off.',
      why: 'Water takes out the iron and most of the silver that light did not change.',
      time: { leastSeconds: 5 * MINUTE, ...starts('Until no yellow runs off; five minutes') },
      isKept: 'silver',
      habit: 'This water holds silver: it goes into the silver jar, as with every silver paper.',
      cautions: ['silverOxide'],
      press: { start: 'Start wash', finish: 'No yellow: go on' },
    },
    ...tonedBefore,
    {
      ...bath,
      id: 'fix',
      title: 'Fix in weak hypo',
      meanwhile: 'in the fixer',
      tray: 'hypo',
      role: 'fix',
      ...ROCKED,
      early: 'Silver that light did not change is still in the paper: the print will darken and stain.',
      late: {
        afterSeconds: 6 * MINUTE,
        means: 'Much longer than three minutes in hypo: look whether the highlights have bleached.',
        blames: 'hand',
      },
      doing: 'Rock it in weak plain hypo. The colour shifts from orange to brown: that is right.',
      why: 'Hypo takes out the silver that light did not change.',
      time: {
        leastSeconds: 2 * MINUTE,
        mostSeconds: 3 * MINUTE,
        standing: 'memory',
        source: 'A few minutes in 2 % hypo, from memory; two to three in this app',
      },
      cautions: ['thiosulfate'],
      ifShort: { lengthens: 'fix-2', ...madeUp },
      press: { start: 'Start fixing', finish: 'Fixed: wash' },
      endpoint: {
        good: 'Brown to purple-brown, whites clean.',
        doubt: 'Bleaching: the fixer is too strong, or the print under-exposed.',
        swatch: ['#a8663f', '#74452f', '#4c2e24'],
      },
    },
    fixAgain,
    ...tonedAfter,
    { ...finalWash, heavyPaper: { fromGramsPerM2: 200, leastSeconds: 45 * MINUTE, ...practice } },
    hanging,
  ],
  cautions: [
    cautions.silverOxide,
    cautions.iron,
    cautions.acid,
    cautions.noble,
    cautions.platinum,
    cautions.thiocyanate,
    cautions.reproductive,
    cautions.selenium,
    cautions.thiosulfate,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#c9a95a',
    dryCoat: '#bf9f58',
    exposed: '#8a5a40',
    wetPrint: '#6b3f2e',
    print: '#452a22',
  },
}
