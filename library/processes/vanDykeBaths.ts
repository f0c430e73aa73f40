import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, starts } from './blocks'
import { fixes, serves } from './wetBaths'
import { tonerBaths } from './tonerBaths'

/** What is in the trays of a Van Dyke brown. */
export const vanDykeBaths: ProcessDefinition['baths'] = [
  {
    id: 'hypo',
    name: 'Weak plain hypo',
    stock: {
      solutes: [{ substanceId: 'sodium-thiosulfate', percentWv: 3 }],
      making: ['Dissolve the crystals in warm water, let it cool. No rapid fixer.'],
      keepsSeconds: 2 * DAY,
      standing: 'practice',
      source: 'Four heaped teaspoons of crystals a litre, common practice; about 3 % by weight in this app',
    },
    cautions: ['thiosulfate'],
    use: fixes('hypo-2'),
  },
  {
    id: 'hypo-2',
    name: 'Weak plain hypo, second bath',
    stock: {
      solutes: [{ substanceId: 'sodium-thiosulfate', percentWv: 3 }],
      making: ['As the first.'],
      keepsSeconds: 2 * DAY,
      ...starts('As the first bath; 3 %'),
    },
    cautions: ['thiosulfate'],
    use: serves(2.5),
    when: [{ choice: 'fixing', is: ['two'] }],
  },
  {
    id: 'acid-water',
    name: 'Weak citric acid',
    stock: {
      solutes: [{ substanceId: 'citric-acid', percentWv: 0.3 }],
      making: ['3 g of citric acid in a litre of water: half a level teaspoon.'],
      keepsSeconds: DAY,
      standing: 'memory',
      source: '0.1 to 0.5 % citric acid where tap water is alkaline, from memory; the app uses 0.3 %',
    },
    cautions: ['acid'],
    use: serves(0.5),
    when: [{ choice: 'firstWater', is: ['acid'] }],
  },
  ...tonerBaths,
]
