import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, memory, YEAR } from './blocks'

/** Bottles of a print in platinum and palladium. */
export const platinumPalladiumStocks: ProcessDefinition['components'] = [
  {
    id: 'oxalate',
    name: 'Ferric oxalate',
    letter: 'A',
    cautions: ['oxalate'],
    stock: {
      solutes: [{ substanceId: 'ferric-oxalate', percentWv: 27 }],
      making: [
        'Sprinkle on hot water (50 °C) and stir now and then; the solution clears within a day.',
        'Brown glass, cool. Test it before a large print once it is two months old.',
      ],
      ripensSeconds: DAY,
      keepsSeconds: 90 * DAY,
      ...memory,
    },
  },
  {
    id: 'oxalate-chlorate',
    name: 'Ferric oxalate with chlorate',
    letter: 'C',
    cautions: ['oxalate', 'oxidiser'],
    stock: {
      solutes: [
        { substanceId: 'ferric-oxalate', percentWv: 27 },
        { substanceId: 'potassium-chlorate', percentWv: 0.6 },
      ],
      making: ['Make it like the plain one, and stir the chlorate in last. Never grind chlorate.'],
      ripensSeconds: DAY,
      keepsSeconds: 90 * DAY,
      ...memory,
    },
  },
  {
    id: 'platinum',
    name: 'Platinum',
    letter: 'P',
    cautions: ['platinum'],
    stock: {
      solutes: [{ substanceId: 'potassium-chloroplatinite', percentWv: 20 }],
      making: [
        'Dissolve in hot water; crystals form as it cools. Warm the bottle until clear before each use.',
      ],
      ripensSeconds: DAY,
      keepsSeconds: 5 * YEAR,
      ...memory,
    },
  },
  {
    id: 'palladium',
    name: 'Palladium',
    letter: 'D',
    cautions: ['noble'],
    stock: {
      solutes: [{ substanceId: 'sodium-chloropalladite', percentWv: 15 }],
      making: ['In warm distilled water.'],
      keepsSeconds: 5 * YEAR,
      ...memory,
    },
  },
  {
    id: 'contrast',
    name: 'Platinum contrast drops',
    letter: 'N',
    cautions: ['platinum'],
    stock: {
      solutes: [{ substanceId: 'sodium-hexachloroplatinate', percentWv: 5 }],
      making: ['In distilled water, 1 to 20 %. Weaker drops give less contrast.'],
      keepsSeconds: 5 * YEAR,
      ...memory,
    },
  },
]
