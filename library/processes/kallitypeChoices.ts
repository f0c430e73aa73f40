import type { ProcessDefinition } from '@core/schema/definition'

/** What there is to choose of a kallitype. */
export const kallitypeChoices: ProcessDefinition['choices'] = [
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
]
