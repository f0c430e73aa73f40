import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, memory, practice, starts, WEEK, YEAR } from './blocks'
import { palladiumToner, platinumToner } from './tonerBaths'
import { fixes, hypoClearBath, serves } from './wetBaths'

/** What is in the trays of a kallitype: developer, acid, toners, fixer, hypo clear. */
export const kallitypeBaths: ProcessDefinition['baths'] = [
  {
    id: 'citrate',
    name: 'Citrate developer',
    cautions: [],
    stock: {
      solutes: [{ substanceId: 'sodium-citrate', percentWv: 20 }],
      making: [
        'Dissolve in warm water. Keep and replenish it: 200 ml of fresh developer every 8 to 10 prints.',
      ],
      keepsSeconds: YEAR,
      ...practice,
    },
    use: {
      manner: 'reused',
      replenish: {
        millilitres: 200,
        afterPrints: 8,
        atMostPrints: 10,
        standing: 'practice',
        source: '200 ml of fresh developer every 8 to 10 prints of 8 × 10 in, common practice',
      },
      standing: 'practice',
      source: 'Kept and replenished, common practice',
    },
  },
  {
    id: 'citrate-hard',
    name: 'Citrate developer with dichromate',
    cautions: ['dichromate'],
    when: [{ choice: 'contrast', is: ['dichromate'] }],
    stock: {
      solutes: [
        { substanceId: 'sodium-citrate', percentWv: 20 },
        { substanceId: 'potassium-dichromate', percentWv: 0.012 },
      ],
      making: [
        'The plain developer, in a tray of its own.',
        'Six drops of 4 % dichromate to every 100 ml; 2 to 12 by the contrast you need. Gloves, tongs.',
      ],
      keepsSeconds: DAY,
      ...memory,
    },
    use: serves(0.5),
  },
  {
    id: 'clearing',
    name: 'Citric acid',
    cautions: ['acid'],
    stock: {
      solutes: [{ substanceId: 'citric-acid', percentWv: 3 }],
      making: ['Dissolve in water. Discard it when it turns yellow.'],
      keepsSeconds: WEEK,
      ...practice,
    },
    use: serves(0.5),
  },
  {
    id: 'selenium',
    name: 'Selenium toner',
    cautions: ['selenium'],
    when: [{ choice: 'toner', is: ['selenium'] }],
    stock: {
      solutes: [{ substanceId: 'selenium-toner', percentWv: 1.95 }],
      making: ['15 ml of concentrate per litre of water; ventilate.'],
      keepsSeconds: 30 * DAY,
      standing: 'practice',
      source: '15 ml of concentrate a litre, common practice; it weighs about 1.3 g a millilitre',
    },
    use: serves(0.8),
  },
  {
    id: 'gold',
    name: 'Gold toner',
    cautions: ['noble'],
    when: [{ choice: 'toner', is: ['gold'] }],
    stock: {
      solutes: [
        { substanceId: 'gold-chloride', percentWv: 0.02 },
        { substanceId: 'citric-acid', percentWv: 0.5 },
      ],
      making: ['From a 1 % gold stock: 20 ml per litre, with 5 g of citric acid.'],
      keepsSeconds: WEEK,
      ...memory,
    },
    use: serves(0.5),
  },
  palladiumToner,
  platinumToner,
  {
    id: 'fixer',
    name: 'Mild alkaline fixer',
    cautions: ['thiosulfate', 'sulfite'],
    stock: {
      solutes: [
        { substanceId: 'sodium-thiosulfate', percentWv: 5 },
        { substanceId: 'sodium-sulfite', percentWv: 1 },
        { substanceId: 'sodium-carbonate', percentWv: 0.3 },
      ],
      making: ['Hypo first, then sulfite, then a little carbonate: never near the acid.'],
      keepsSeconds: 2 * DAY,
      ...starts('Thiosulfate with a little carbonate and sulfite; 5, 1 and 0.3 %'),
    },
    use: fixes(),
  },
  hypoClearBath,
]
