import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  chlorineWash,
  DAY,
  drying,
  finalWash,
  hanging,
  looks,
  memory,
  MINUTE,
  mixing,
  printingOut,
  SILVER_LIGHTING,
  spreading,
  starts,
  WEEK,
  WET_SPOT,
  deeper,
} from './blocks'
import { fixInHypo, toneInGold } from './wetSteps'
import { plainHypo } from './wetBaths'
import { inSourToner, rinseGold, rinseToner, tonerChoice } from './toners'
import { goldToner, platinumToner } from './tonerBaths'
import { objectsOnPrintingOut, subjectChoice, throughEither } from './photograms'

/** Collodion-chloride: silver chloride in collodion, printed very deep, gold toned. */
export const collodionChloride: ProcessDefinition = {
  id: 'collodion-chloride',
  version: 2,
  name: 'Collodion-chloride',
  summary:
    'Silver chloride in collodion on a smooth paper, printed very deep, toned in gold from red to purple.',
  mark: 'plum',
  kind: 'process',
  components: [
    {
      id: 'emulsion',
      name: 'Collodion emulsion',
      letter: 'E',
      cautions: ['silver', 'collodion', 'ether', 'alcohol'],
      stock: {
        solutes: [
          { substanceId: 'collodion', percentWv: 2.8 },
          { substanceId: 'silver-nitrate', percentWv: 2.5 },
          { substanceId: 'citric-acid', percentWv: 0.5 },
          { substanceId: 'lithium-chloride', percentWv: 0.3 },
        ],
        making: [
          'By amber light, under extraction, no flame in the room.',
          'Chloride and acid in alcohol into the collodion; the silver last, in a little water and warm alcohol, drop by drop, shaking.',
          'Let it rest for a day.',
        ],
        ripensSeconds: DAY,
        keepsSeconds: 4 * WEEK,
        ...memory,
      },
    },
  ],
  mixes: [{ id: 'sensitizer', name: 'Emulsion', parts: [{ component: 'emulsion', parts: 1 }] }],
  coverage: {
    millilitresPerM2: 120,
    standing: 'memory',
    source: 'A poured or rod-coated emulsion is thicker than a brushed salt; from memory',
  },
  baths: [
    { ...goldToner, when: undefined },
    { ...platinumToner, when: [{ choice: 'toner', is: ['gold-platinum'] }] },
    {
      ...plainHypo,
      stock: { ...plainHypo.stock, solutes: [{ substanceId: 'sodium-thiosulfate', percentWv: 10 }] },
    },
  ],
  ...deeper(
    0.75,
    'Print very deep',
    'Fixing lightens it clearly. A deeper print can be toned longer and ends cooler.',
  ),
  tools: ['rod'],
  lighting: SILVER_LIGHTING,
  film: WET_SPOT,
  chalk: { bears: true, why: 'The coat does not sink into the paper.' },
  choices: [tonerChoice('gold', 'plain silver fades', ['gold', 'gold-platinum']), subjectChoice],
  lights: [
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 10 * MINUTE,
      mostSeconds: 30 * MINUTE,
      ...starts('Printed very deep'),
      note: 'Very deep: toner and fixer lighten the print.',
    },
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 10 * MINUTE,
      mostSeconds: 40 * MINUTE,
      ...starts('Printed very deep'),
      note: 'Very deep.',
    },
  ],
  steps: [
    {
      ...mixing,
      title: 'Measure the emulsion',
      doing: 'Shake it gently, let the bubbles rise, measure it out.',
      why: 'One bottle, ready to use.',
      cautions: ['silver', 'collodion', 'ether', 'alcohol'],
      press: { start: 'Start', finish: 'Ready: draw it' },
    },
    {
      ...spreading,
      title: 'Draw the emulsion',
      doing: 'Pour along one edge, draw the rod over once, and drain at the corner.',
      cautions: ['silver', 'collodion', 'ether', 'alcohol'],
      habit: 'No flame, no spark: the room is full of ether.',
    },
    {
      ...drying,
      doing: 'Hang it in the dark in moving air.',
      press: { start: 'Start drying', finish: 'Dry: the smell is gone' },
      endpoint: {
        good: 'No smell of ether is left, and the coat is hard and glossy.',
        doubt: 'Any smell: the coat is still soft below its skin, and the negative will stick.',
        swatch: [],
      },
      time: { leastSeconds: 30 * MINUTE, ...starts('Until no smell is left; half an hour') },
      keeps: { bestSeconds: 2 * DAY, mostSeconds: WEEK, ...starts('Days in a cool dark box') },
    },
    ...throughEither(
      {
        ...printingOut,
        endpoint: {
          good: 'Very deep: bronzed shadows, highlights much too dark.',
          doubt: 'Only as deep as you want it: far too little, because the baths lighten the print.',
          swatch: ['#e9ddd0', '#b0715c', '#7b3f34', '#4a2723'],
        },
      },
      objectsOnPrintingOut('red-brown'),
    ),
    chlorineWash,
    {
      ...toneInGold,
      doing:
        'Rock in both directions, from red to purple, slightly past the colour you want. The deeper the print, the cooler it can end.',
      habit: 'The paper absorbs water and the coat does not, so the sheet curls. Hold it by the corners.',
      when: undefined,
    },
    rinseGold,
    {
      ...inSourToner,
      title: 'Tone in platinum',
      tray: 'platinum',
      trays: undefined,
      when: [{ choice: 'toner', is: ['gold-platinum'] }],
    },
    { ...rinseToner, when: undefined },
    {
      ...fixInHypo,
      doing: 'At least four minutes; it lightens.',
      time: {
        leastSeconds: 240,
        standing: 'practice',
        source: 'At least 4 to 4.5 min, common practice; a minimum, and longer does no harm',
      },
    },
    {
      ...finalWash,
      time: {
        leastSeconds: 10 * MINUTE,
        standing: 'practice',
        source: '10 min or longer, common practice; longer does no harm',
      },
    },
    { ...hanging, why: 'It dries darker and cooler.' },
  ],
  cautions: [
    cautions.silver,
    cautions.collodion,
    cautions.ether,
    cautions.alcohol,
    cautions.noble,
    cautions.platinum,
    cautions.acid,
    cautions.thiosulfate,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#ece9e2',
    dryCoat: '#e6e2d9',
    exposed: '#5a2d2a',
    wetPrint: '#5d3a44',
    print: '#473040',
  },
}
