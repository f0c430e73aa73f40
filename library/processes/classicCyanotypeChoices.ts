import type { ProcessDefinition } from '@core/schema/definition'
import { subjectChoice } from './photograms'
import { blueToner } from './cyanotypeToning'

/** What there is to choose of a classic cyanotype. */
export const classicCyanotypeChoices: ProcessDefinition['choices'] = [
  {
    id: 'strengths',
    name: 'Stocks, iron + ferricyanide',
    startsWith: 'full',
    options: [
      {
        id: 'full',
        name: '25 % + 10 %',
        reason:
          'The usual strong pair: deep blue in one coat. Default because most published recipes use it.',
        standing: 'memory',
        stocks: {
          iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 25 }],
          ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
        },
      },
      {
        id: 'lean',
        name: '20 % + 8 %',
        reason: 'Lower end of the usual range: uses less salt and prints a little softer and paler.',
        standing: 'memory',
        stocks: {
          iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 20 }],
          ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 8 }],
        },
      },
      {
        id: 'even',
        name: '10 % + 10 %',
        reason: 'One strength for both bottles, easy to teach and mix; paler, suits thin papers.',
        standing: 'practice',
        stocks: {
          iron: [{ substanceId: 'ferric-ammonium-citrate', percentWv: 10 }],
          ferricyanide: [{ substanceId: 'potassium-ferricyanide', percentWv: 10 }],
        },
      },
    ],
  },
  subjectChoice,
  {
    id: 'exposure',
    name: 'How it is exposed',
    startsWith: 'calibrated',
    options: [
      {
        id: 'calibrated',
        name: 'For a known time',
        reason: 'The same light gives the same print. Default because you can repeat and correct it.',
        standing: 'practice',
        exposeTo: 'middle',
      },
      {
        id: 'long',
        name: 'Long',
        reason: 'A longer exposure loses no shadows, and the wash lightens the print.',
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
        reason: 'Air deepens the blue in about 24 hours. Default because it needs no extra bath.',
        standing: 'practice',
      },
      {
        id: 'peroxide',
        name: 'Weak peroxide bath',
        reason: 'A minute or two gives the final blue at once, so you can judge the print sooner.',
        standing: 'practice',
      },
    ],
  },
  blueToner,
]
