import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, drying, MINUTE, starts } from './blocks'

/** What the printing-out processes of noble metals share. */

export const ammoniumIron: ProcessDefinition['components'][number] = {
  id: 'iron',
  name: 'Ammonium ferric oxalate',
  letter: 'A',
  cautions: ['oxalate'],
  stock: {
    solutes: [
      { substanceId: 'ammonium-ferric-oxalate', percentWv: 40 },
      { substanceId: 'ascorbic-acid', percentWv: 0.08 },
    ],
    making: [
      '40 g topped up to 100 ml.',
      'To every 10 ml, 8 drops of 2 % ascorbic acid (1 g in 50 ml): this starts printing out.',
    ],
    keepsSeconds: 120 * DAY,
    standing: 'practice',
    source: '8 drops of 2 % ascorbic acid to 10 ml of 40 %, common practice',
  },
}

export const dryness: ProcessDefinition['choices'][number] = {
  id: 'moisture',
  name: 'Printed',
  startsWith: 'dry',
  options: [
    {
      id: 'dry',
      name: 'Bone dry',
      reason: 'Humidity is one more variable. Default because you can repeat it anywhere.',
      standing: 'practice',
    },
    {
      id: 'humid',
      name: 'At a set humidity',
      reason: 'More humidity prints deeper and shifts the colour, but you must measure it.',
      standing: 'practice',
    },
  ],
}

export const humidify: ProcessDefinition['steps'][number] = {
  ...drying,
  id: 'humidify',
  perCoat: false,
  title: 'Condition the coat',
  meanwhile: 'conditioning',
  doing: 'Leave the sheet in the closed box over its salt solution, in the dark.',
  why: 'The humidity is now part of the recipe: keep it the same every time.',
  time: {
    leastSeconds: 30 * MINUTE,
    standing: 'memory',
    source: 'Half an hour to two hours by weight of paper; from memory',
  },
  heavyPaper: {
    fromGramsPerM2: 250,
    leastSeconds: 90 * MINUTE,
    standing: 'memory',
    source: 'Half an hour to two hours by weight of paper; from memory',
  },
  begins: 'atOnce',
  press: { start: 'Start conditioning', finish: 'Conditioned' },
  when: [{ choice: 'moisture', is: ['humid'] }],
}

export const metalLights: ProcessDefinition['lights'] = [
  {
    kind: 'uvBox',
    name: 'UV box',
    leastSeconds: 5 * MINUTE,
    mostSeconds: 20 * MINUTE,
    ...starts('Until the image is complete; five to twenty minutes'),
    note: 'Check when the brushed margin darkens.',
  },
  {
    kind: 'sun',
    name: 'Sun',
    leastSeconds: 3 * MINUTE,
    mostSeconds: 30 * MINUTE,
    ...starts('Until the image is complete'),
    note: 'Check when the brushed margin darkens.',
  },
  {
    kind: 'tubes',
    name: 'Weak tube bank',
    leastSeconds: 15 * MINUTE,
    mostSeconds: 45 * MINUTE,
    ...starts('Slower than a fresh bank'),
    note: 'Warm them up first.',
  },
]
