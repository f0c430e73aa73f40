import type { ProcessDefinition } from '@core/schema/definition'

/** What there is to choose of a print in platinum and palladium. */
export const platinumPalladiumChoices: ProcessDefinition['choices'] = [
  {
    id: 'metal',
    name: 'Metal',
    startsWith: 'both',
    options: [
      {
        id: 'both',
        name: 'Half and half',
        reason:
          'Between warm and neutral, at half of the price of platinum. Default because it tolerates the most errors.',
        standing: 'memory',
      },
      {
        id: 'palladium',
        name: 'Palladium',
        reason: 'Warm, long scale, needs a contrasty negative.',
        standing: 'memory',
      },
      {
        id: 'platinum',
        name: 'Platinum',
        reason: 'Neutral and cool; grainier with contrast drops.',
        standing: 'memory',
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
        reason:
          'Nothing added: the smoothest coat. Default because contrast is best controlled in the negative.',
        standing: 'memory',
      },
      {
        id: 'chlorate',
        name: 'Chlorate in the oxalate',
        reason: 'Part of the oxalate contains chlorate: more contrast, a little grainier.',
        standing: 'memory',
      },
      {
        id: 'platinate',
        name: 'Platinate drops',
        reason: 'Drops of sodium hexachloroplatinate, mainly for palladium.',
        standing: 'memory',
      },
    ],
  },
]
