import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { DAY, MINUTE, practice, starts } from '../processes/blocks'
import { step, inAcid, hang, base, none } from './treatmentSteps'

/** Chalk out of a buffered paper, with a weak acid. */
export const acidBath: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  id: 'acid-bath',
  name: 'Acid bath against chalk',
  mark: 'graphite',
  chalk: none,
  summary: 'A weak acid removes the alkaline chalk from a buffered paper; fizzing shows the reaction.',
  components: [
    {
      id: 'oxalic',
      name: 'Oxalic acid',
      letter: 'A',
      cautions: ['oxalate'],
      stock: {
        solutes: [{ substanceId: 'oxalic-acid', percentWv: 3 }],
        making: ['30 g per litre: 3 %.'],
        keepsSeconds: 30 * DAY,
        ...practice,
      },
    },
    {
      id: 'citric',
      name: 'Citric acid',
      letter: 'B',
      cautions: ['acid'],
      stock: {
        solutes: [{ substanceId: 'citric-acid', percentWv: 6 }],
        making: ['60 g per litre.'],
        keepsSeconds: 7 * DAY,
        ...practice,
      },
    },
    {
      id: 'sulfamic',
      name: 'Sulfamic acid',
      letter: 'C',
      cautions: ['acid'],
      stock: {
        solutes: [{ substanceId: 'sulfamic-acid', percentWv: 10 }],
        making: ['100 g per litre of cold water.'],
        keepsSeconds: 7 * DAY,
        standing: 'memory',
        source: '10 % sulfamic acid; from memory',
      },
    },
  ],
  choices: [
    {
      id: 'acid',
      name: 'Acid',
      startsWith: 'citric',
      options: [
        {
          id: 'citric',
          name: 'Citric, about 6 %',
          reason: 'Not poisonous. Default because it is the safer acid.',
          standing: 'practice',
        },
        {
          id: 'oxalic',
          name: 'Oxalic, 3 %',
          reason:
            'Thorough and cheap, but poisonous: wear gloves, raise no dust. It leaves insoluble calcium oxalate in the sheet.',
          standing: 'practice',
        },
        {
          id: 'sulfamic',
          name: 'Sulfamic, 10 %',
          reason: 'Leaves no insoluble calcium salt: all of the chalk goes into the water.',
          standing: 'memory',
        },
      ],
    },
  ],
  steps: [
    {
      ...inAcid,
      id: 'soak-oxalic',
      title: 'In the oxalic acid',
      tray: 'oxalic',
      cautions: ['oxalate'],
      when: [{ choice: 'acid', is: ['oxalic'] }],
    },
    {
      ...inAcid,
      id: 'soak-citric',
      title: 'In the citric acid',
      tray: 'citric',
      cautions: ['acid'],
      when: [{ choice: 'acid', is: ['citric'] }],
    },
    {
      ...inAcid,
      id: 'soak-sulfamic',
      title: 'In the sulfamic acid',
      tray: 'sulfamic',
      cautions: ['acid'],
      when: [{ choice: 'acid', is: ['sulfamic'] }],
    },
    {
      ...step,
      id: 'rinse',
      title: 'Rinse',
      meanwhile: 'rinsing',
      doing: 'Rinse in two changes of water.',
      why: 'Acid left in the sheet damages it over the years.',
      time: { leastSeconds: 10 * MINUTE, ...starts('A rinse; ten minutes') },
      begins: 'atOnce',
      press: { start: 'Start rinse', finish: 'Rinsed' },
    },
    hang,
  ],
  cautions: [cautions.oxalate, cautions.acid],
}
