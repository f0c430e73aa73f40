import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import {
  bath,
  DAY,
  drying,
  exposing,
  finalWash,
  hanging,
  HOUR,
  looks,
  memory,
  MINUTE,
  mixing,
  practice,
  ROCKED,
  SILVER_LIGHTING,
  spreading,
  starts,
  WET_SPOT,
  YEAR,
} from './blocks'
import { kallitypeBaths } from './kallitypeBaths'
import {
  clearHypo,
  clearHypoOrWashAnHour,
  clearInCitric,
  fixInHypo,
  rinse,
  toneInGold,
  washBetween,
} from './wetSteps'

const BEFORE = { choice: 'toned', is: ['before'] }
const AFTER = { choice: 'toned', is: ['after'] }

/** Toned when it is fixed: the fixer is washed out first, or the toner stains. */
const tonedAfter: StepDefinition[] = [
  {
    ...washBetween,
    id: 'wash-fixer',
    title: 'Wash the fixer out',
    why: 'Hypo carried into the toner makes it patchy.',
    time: { leastSeconds: 10 * MINUTE, ...starts('Until the fixer is out; ten minutes') },
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
  {
    ...toneInGold,
    id: 'tone-after',
    title: 'Tone',
    tray: undefined,
    trays: ['selenium', 'gold', 'palladium', 'platinum'],
    doing: 'Rock the tray under extraction, and take the print out at the colour you want.',
    why: 'Only the finished image is toned, and you see its final colour.',
    time: { leastSeconds: 1 * MINUTE, ...starts('By eye; at least a minute') },
    cautions: ['selenium', 'noble', 'platinum'],
    begins: 'press',
    press: { start: 'Start toning', finish: 'Right colour: take the print out' },
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
  {
    ...rinse,
    id: 'rinse-after',
    title: 'Brief rinse',
    when: [{ choice: 'toner', is: ['selenium', 'gold', 'palladium', 'platinum'] }, AFTER],
  },
]

/** Kallitype: ferric oxalate and silver, developed out in citrate, cleared in citric acid, toned before fixing. */
export const kallitype: ProcessDefinition = {
  id: 'kallitype',
  version: 2,
  name: 'Kallitype',
  summary:
    'Ferric oxalate and silver in equal drops, developed out in citrate, cleared in citric acid, toned before it is fixed.',
  mark: 'umber',
  kind: 'process',
  components: [
    {
      id: 'oxalate',
      name: 'Ferric oxalate',
      letter: 'A',
      cautions: ['oxalate'],
      stock: {
        solutes: [{ substanceId: 'ferric-oxalate', percentWv: 20 }],
        making: [
          'Sprinkle on hot water (50 °C) and stir now and then; the solution clears within a day.',
          'Filter. Brown glass, cool.',
        ],
        ripensSeconds: DAY,
        keepsSeconds: 90 * DAY,
        ...memory,
      },
    },
    {
      id: 'silver',
      name: 'Silver',
      letter: 'B',
      cautions: ['silver'],
      stock: {
        solutes: [{ substanceId: 'silver-nitrate', percentWv: 10 }],
        making: ['Distilled water only, goggles on before the jar opens.', 'Brown glass, dark.'],
        keepsSeconds: 5 * YEAR,
        ...memory,
      },
    },
  ],
  mixes: [
    {
      id: 'sensitizer',
      name: 'Sensitizer',
      parts: [
        { component: 'oxalate', parts: 1 },
        { component: 'silver', parts: 1 },
      ],
    },
  ],
  coverage: {
    millilitresPerM2: 34.9,
    standing: 'practice',
    source: '18 + 18 drops of 0.05 ml on 8 × 10 in, common practice',
  },
  baths: kallitypeBaths,
  tools: ['brush', 'rod'],
  lighting: SILVER_LIGHTING,
  film: WET_SPOT,
  chalk: {
    bears: false,
    why: 'Chalk spoils ferric oxalate: weak prints and yellow whites that do not clear.',
  },
  choices: [
    {
      id: 'rinse',
      name: 'After the developer',
      startsWith: 'acid',
      options: [
        {
          id: 'acid',
          name: 'Straight into the acid',
          reason: 'A neutral rinse can stain. Default because a stain cannot be removed.',
          standing: 'practice',
        },
        {
          id: 'rinse',
          name: 'Rinse first',
          reason: 'Keeps the acid clean for more prints, where the water is not alkaline.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'contrast',
      name: 'Contrast',
      startsWith: 'plain',
      options: [
        {
          id: 'plain',
          name: 'From the negative',
          reason: 'A plain developer. Default because it needs no chromium.',
          standing: 'practice',
        },
        {
          id: 'dichromate',
          name: 'Dichromate in the developer',
          reason:
            'A few drops shorten the scale for a thin negative. It is poisonous and goes into the chromium jar, first rinse included.',
          standing: 'memory',
        },
      ],
    },
    {
      id: 'toner',
      name: 'Toned in',
      startsWith: 'selenium',
      options: [
        {
          id: 'selenium',
          name: 'Selenium',
          reason: 'Silver selenide: warm, permanent, timed by eye. Default because it costs least.',
          standing: 'practice',
        },
        { id: 'gold', name: 'Gold', reason: 'Cooler; replaces silver.', standing: 'practice' },
        {
          id: 'palladium',
          name: 'Palladium',
          reason: 'Warm and lasting; replaces silver.',
          standing: 'practice',
        },
        {
          id: 'platinum',
          name: 'Platinum',
          reason: 'Neutral and lasting; replaces silver.',
          standing: 'practice',
        },
        {
          id: 'none',
          name: 'Untoned',
          reason: 'The plain silver brown. It is the least lasting.',
          standing: 'practice',
        },
      ],
    },
    {
      id: 'toned',
      name: 'Toned',
      startsWith: 'before',
      options: [
        {
          id: 'before',
          name: 'Before fixing',
          reason: 'The fixer cannot bleach toned silver. Default because weak shadows survive it.',
          standing: 'practice',
        },
        {
          id: 'after',
          name: 'After fixing',
          reason: 'No toner is lost to silver that the fixer removes, and you see the final colour.',
          standing: 'practice',
        },
      ],
    },
  ],
  lights: [
    {
      kind: 'uvBox',
      name: 'UV box',
      leastSeconds: 5 * MINUTE,
      mostSeconds: 6 * MINUTE,
      ...practice,
      note: 'A faint ghost shows.',
    },
    {
      kind: 'sun',
      name: 'Sun',
      leastSeconds: 2 * MINUTE,
      mostSeconds: 6 * MINUTE,
      ...starts('A ghost of the picture; two to six minutes'),
      note: 'Stop at a faint ghost.',
    },
    {
      kind: 'tubes',
      name: 'Weak tube bank',
      leastSeconds: 10 * MINUTE,
      mostSeconds: 20 * MINUTE,
      ...starts('Slower than a UV box'),
      note: 'A faint ghost shows.',
    },
  ],
  steps: [
    {
      ...mixing,
      doing: 'Equal drops into one small glass, swirl. No metal.',
      cautions: ['silver', 'oxalate'],
    },
    {
      ...spreading,
      cautions: ['silver'],
      habit: 'Use one coat, or two for a deeper black, completely dry in between.',
    },
    {
      ...drying,
      doing: 'Dry in the dark; a hair dryer on low and cool is fine.',
      time: { leastSeconds: 15 * MINUTE, mostSeconds: 20 * MINUTE, ...practice },
      keeps: { bestSeconds: 2 * HOUR, mostSeconds: 12 * HOUR, ...starts('Print soon; the same day') },
    },
    {
      ...exposing,
      why: 'Light turns ferric into ferrous oxalate, which precipitates silver in the developer.',
      looks: [{ share: 0.8, lookFor: 'A faint ghost of the picture.' }],
      endpoint: {
        good: 'A faint image; shadow steps just visible.',
        doubt: 'A full image: over-exposed. Nothing at all: expose longer.',
        swatch: ['#c9c07a', '#b39f63', '#947d51'],
      },
    },
    {
      ...bath,
      id: 'develop',
      title: 'Develop in citrate',
      meanwhile: 'in the developer',
      trays: ['citrate-hard', 'citrate'],
      role: 'develop',
      ...ROCKED,
      early: 'Development was cut short: shadows stay weak, and iron is carried into the acid.',
      doing: 'Pour it over in one sweep. The image appears in 10 to 15 seconds; keep rocking.',
      why: 'Citrate dissolves the ferrous salt, which precipitates silver in place.',
      time: { leastSeconds: 2 * MINUTE, mostSeconds: 3 * MINUTE, ...practice },
      press: { start: 'Start developing', finish: 'Developed' },
      endpoint: {
        good: 'The image appears at once and then stays the same.',
        doubt: 'Slow or muddy: replenish, 200 ml every 8 to 10 prints.',
        swatch: ['#947d51', '#5e4730', '#3f3025'],
      },
    },
    {
      ...rinse,
      id: 'rinse-chromium',
      title: 'First rinse, kept apart',
      doing: 'Rinse in a tray of water that you keep: no fingers in it, use tongs.',
      why: 'The developer holds dichromate, and so does this water.',
      isKept: 'chromium',
      cautions: ['dichromate'],
      when: [{ choice: 'contrast', is: ['dichromate'] }],
    },
    {
      ...rinse,
      when: [
        { choice: 'rinse', is: ['rinse'] },
        { choice: 'contrast', is: ['plain'] },
      ],
    },
    {
      ...clearInCitric,
      id: 'clear',
      title: 'Clear in citric acid',
      tray: 'clearing',
      time: { leastSeconds: 2 * MINUTE, mostSeconds: 5 * MINUTE, ...practice },
      habit:
        'It lightens here and comes back in the toner and as it dries. Weak acetic acid does as well as citric.',
      late: {
        afterSeconds: 6 * MINUTE,
        means: 'If clearing takes more than five or six minutes, this paper does not suit the process.',
        blames: 'paper',
      },
      endpoint: {
        good: 'Whites paper-white.',
        doubt: 'More than five or six minutes: this paper does not suit the process.',
        swatch: ['#d9d39a', '#e5e1c4', '#efeee6'],
      },
    },
    {
      ...rinse,
      id: 'rinse-clear',
      title: 'Rinse the acid out',
      time: {
        leastSeconds: 30,
        standing: 'practice',
        source: '30 to 60 s, common practice; longer does no harm',
      },
    },
    {
      ...toneInGold,
      id: 'tone-selenium',
      title: 'Tone in selenium',
      tray: 'selenium',
      doing: 'Rock the tray under extraction, slightly past the colour you want.',
      why: 'Silver selenide lasts. Toned before it is fixed, or it bleaches.',
      time: { leastSeconds: 1 * MINUTE, ...starts('By eye; at least a minute') },
      cautions: ['selenium'],
      press: { start: 'Start toning', finish: 'Right colour: take the print out' },
      when: [{ choice: 'toner', is: ['selenium'] }, BEFORE],
    },
    {
      ...toneInGold,
      id: 'tone-noble',
      title: 'Tone',
      tray: undefined,
      trays: ['gold', 'palladium', 'platinum'],
      cautions: ['noble', 'platinum'],
      doing: 'Rock in both directions; go slightly past the colour you want, since the fixer lightens it.',
      why: 'The noble metal replaces silver and is permanent. Toned before it is fixed.',
      press: { start: 'Start toning', finish: 'Right colour: take the print out' },
      when: [{ choice: 'toner', is: ['gold', 'palladium', 'platinum'] }, BEFORE],
    },
    { ...rinse, id: 'rinse-tone', title: 'Brief rinse' },
    {
      ...fixInHypo,
      title: 'Fix',
      tray: 'fixer',
      doing: 'Rock it in the mild alkaline fixer.',
      time: { leastSeconds: 2 * MINUTE, ...practice },
      endpoint: {
        good: 'Slight change.',
        doubt: 'Strong lightening: an earlier step was incomplete.',
        swatch: [],
      },
    },
    ...tonedAfter,
    { ...clearHypo, ...clearHypoOrWashAnHour },
    finalWash,
    hanging,
  ],
  cautions: [
    cautions.silver,
    cautions.oxalate,
    cautions.dichromate,
    cautions.acid,
    cautions.selenium,
    cautions.noble,
    cautions.platinum,
    cautions.thiosulfate,
    cautions.sulfite,
    cautions.uv,
  ],
  secondLooks: looks,
  colours: {
    wetCoat: '#cfc978',
    dryCoat: '#c3bb70',
    exposed: '#94834f',
    wetPrint: '#4a382a',
    print: '#33271e',
  },
}
