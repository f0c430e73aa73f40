import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
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
  WEEK,
  YEAR,
  deeper,
} from './blocks'
import { ammoniumIron, dryness, humidify, metalLights } from './printingOutMetals'
import { bindInEdta, clearInSulfite, madeUp, washBetween } from './wetSteps'
import { edtaBath, serves, sulfiteBath } from './wetBaths'
import { objectsOnPrintingOut, subjectChoice, throughEither } from './photograms'

const acid: StepDefinition = {
  ...bath,
  id: 'acid-1',
  title: 'Acid',
  meanwhile: 'in the acid',
  tray: 'acid',
  role: 'clear',
  doing: 'Put goggles on. Rock the tray now and then.',
  why: 'Acid removes the iron that sulfite leaves.',
  time: { leastSeconds: 15 * MINUTE, ...practice },
  cautions: ['hydrochloric'],
  press: { start: 'Start acid bath', finish: 'Wash it' },
}

/** Gold-platinum, printing out, dry. */
export const goldPlatinum: ProcessDefinition = {
  id: 'gold-platinum',
  version: 2,
  name: 'Gold-platinum, printing out',
  summary: 'Ammonium ferric oxalate with gold and platinum, printed out dry, cleared at length.',
  mark: 'plum',
  kind: 'process',
  components: [
    ammoniumIron,
    {
      id: 'platinum',
      name: 'Ammonium chloroplatinite',
      letter: 'B',
      cautions: ['platinum'],
      stock: {
        solutes: [{ substanceId: 'ammonium-chloroplatinite', percentWv: 10 }],
        making: ['In distilled water.'],
        keepsSeconds: 5 * YEAR,
        ...practice,
      },
    },
    {
      id: 'platinum-potassium',
      name: 'Potassium chloroplatinite',
      letter: 'P',
      cautions: ['platinum'],
      stock: {
        solutes: [{ substanceId: 'potassium-chloroplatinite', percentWv: 10 }],
        making: ['In warm distilled water; warm it clear before use.'],
        keepsSeconds: 5 * YEAR,
        ...practice,
      },
    },
    {
      id: 'gold',
      name: 'Gold chloride',
      letter: 'C',
      cautions: ['noble'],
      stock: {
        solutes: [{ substanceId: 'gold-chloride', percentWv: 10 }],
        making: [
          'Break the whole vial into distilled water. Never use a spoon: gold chloride corrodes metal.',
        ],
        keepsSeconds: 2 * YEAR,
        ...practice,
      },
    },
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitizer',
      parts: [
        { component: 'iron', parts: 4 },
        { component: 'platinum', parts: 1, when: [{ choice: 'platinum', is: ['ammonium'] }] },
        { component: 'platinum-potassium', parts: 1, when: [{ choice: 'platinum', is: ['potassium'] }] },
        { component: 'gold', parts: 3 },
      ],
    },
  ],
  baths: [
    sulfiteBath,
    {
      id: 'acid',
      name: 'Hydrochloric acid',
      cautions: ['hydrochloric'],
      stock: {
        solutes: [{ substanceId: 'hydrochloric-acid', percentWv: 2 }],
        making: [
          'Pour the acid into the water, never water into acid. Wear goggles and gloves.',
          '2 % by weight is 46 ml of 37 % concentrate in a litre; 2 % by volume is 20 ml in a litre.',
        ],
        keepsSeconds: WEEK,
        ...practice,
      },
      use: serves(0.5),
    },
    edtaBath,
  ],
  ...deeper(0.25, 'Highlights deeper than wanted', 'The acid baths clear the veil together with the iron.'),
  tools: ['brush', 'rod'],
  lighting: LIGHTING,
  film: FILM,
  chalk: {
    bears: false,
    why: 'Chalk spoils the iron and stains gold prints pink. Treat a buffered paper first.',
  },
  choices: [
    {
      id: 'platinum',
      name: 'Platinum salt',
      startsWith: 'ammonium',
      options: [
        {
          id: 'ammonium',
          name: 'Ammonium',
          reason: 'Dissolves at once. Default because it never forms crystals.',
          standing: 'practice',
        },
        { id: 'potassium', name: 'Potassium', reason: 'A bluer cast.', standing: 'practice' },
      ],
    },
    {
      id: 'acid-strength',
      name: 'Hydrochloric acid, 2 %',
      startsWith: 'weight',
      options: [
        {
          id: 'weight',
          name: 'By weight',
          reason:
            '2 g of hydrogen chloride in 100 ml: 46 ml of 37 % concentrate in a litre. Default because it clears surely.',
          standing: 'arithmetic',
        },
        {
          id: 'volume',
          name: 'By volume of concentrate',
          reason:
            '20 ml of 37 % concentrate in a litre, which is 0.88 % by weight: weaker, and what many recipes mean.',
          standing: 'arithmetic',
          stocks: { acid: [{ substanceId: 'hydrochloric-acid', percentWv: 0.876 }] },
        },
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
      cautions: ['oxalate', 'platinum', 'noble'],
    },
    {
      ...spreading,
      cautions: ['platinum', 'noble'],
      habit: 'Brush over the margin: when it turns grey, start checking.',
    },
    {
      ...drying,
      doing: 'Dry in the dark until completely dry.',
      time: { leastSeconds: 20 * MINUTE, ...starts('Bone dry; twenty minutes') },
      keeps: { bestSeconds: 2 * HOUR, mostSeconds: 8 * HOUR, ...starts('Print within hours') },
    },
    humidify,
    ...throughEither(
      {
        ...printingOut,
        looks: printingOutLooks('grey to blue-grey', 'deeper'),
        endpoint: {
          good: 'Margin grey to blue-grey, highlight detail just visible.',
          doubt: 'Brown or pink instead of grey: too little gold, or buffered paper. Nothing: a dim lamp.',
          swatch: ['#d9cfa0', '#a78f7d', '#76606a', '#544855'],
        },
      },
      objectsOnPrintingOut('grey'),
    ),
    {
      ...clearInSulfite,
      habit: 'A blue hint goes here. The print looks weak before this bath: do not print longer for that.',
      why: 'The acid clears the iron. Without clearing, the print turns pink within weeks, then dark.',
    },
    washBetween,
    { ...acid, ifShort: { lengthens: 'acid-2', ...madeUp } },
    {
      ...washBetween,
      id: 'wash-2',
      time: { leastSeconds: 2 * MINUTE, ...practice },
    },
    { ...acid, id: 'acid-2', title: 'Acid again' },
    { ...washBetween, id: 'wash-3', time: { leastSeconds: 2 * MINUTE, ...practice } },
    { ...bindInEdta, id: 'edta-1', ifShort: { lengthens: 'edta-2', ...madeUp } },
    { ...washBetween, id: 'wash-4' },
    {
      ...bindInEdta,
      id: 'edta-2',
      title: 'EDTA again',
      why: 'The second bath keeps gold prints from turning pink.',
      press: { start: 'Start EDTA bath', finish: 'Start final wash' },
    },
    {
      ...finalWash,
      heavyPaper: {
        fromGramsPerM2: 300,
        leastSeconds: 45 * MINUTE,
        standing: 'practice',
        source: '45 to 60 min for 310 g/m², common practice',
      },
    },
    hanging,
  ],
  cautions: [
    cautions.oxalate,
    cautions.platinum,
    cautions.noble,
    cautions.sulfite,
    cautions.hydrochloric,
    cautions.eyeDamage,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#d3b85a',
    dryCoat: '#c8ae58',
    exposed: '#6d5b66',
    wetPrint: '#564a5a',
    print: '#453c4a',
  },
}
