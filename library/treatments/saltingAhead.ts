import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { HOUR, MINUTE, practice, YEAR } from '../processes/blocks'
import { inSalt, hang, base, none } from './treatmentSteps'

/** Salting sheets ahead, in a tray. */
export const saltingAhead: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: [],
  lights: [],
  secondLooks: [],
  id: 'salting-ahead',
  name: 'Salting ahead',
  mark: 'umber',
  chalk: none,
  summary: 'Salt several sheets in one tray, to use later for salted paper.',
  components: [
    {
      id: 'sodium',
      name: 'Sodium chloride',
      letter: 'A',
      cautions: [],
      stock: {
        solutes: [{ substanceId: 'sodium-chloride', percentWv: 2 }],
        making: ['20 g per litre.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
    {
      id: 'ammonium',
      name: 'Ammonium chloride',
      letter: 'B',
      cautions: ['irritant'],
      stock: {
        solutes: [{ substanceId: 'ammonium-chloride', percentWv: 2 }],
        making: ['20 g per litre.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
  ],
  choices: [
    {
      id: 'salt',
      name: 'Salt',
      startsWith: 'sodium',
      options: [
        {
          id: 'sodium',
          name: 'Sodium',
          reason: 'Pure kitchen salt without additives will do. Default because it is at hand.',
          standing: 'practice',
        },
        {
          id: 'ammonium',
          name: 'Ammonium',
          reason: 'More chloride to the gram: about a tenth more.',
          standing: 'practice',
        },
      ],
    },
  ],
  steps: [
    { ...inSalt, id: 'soak-sodium', tray: 'sodium', when: [{ choice: 'salt', is: ['sodium'] }] },
    {
      ...inSalt,
      id: 'soak-ammonium',
      tray: 'ammonium',
      cautions: ['irritant'],
      when: [{ choice: 'salt', is: ['ammonium'] }],
    },
    { ...hang, time: { leastSeconds: 30 * MINUTE, mostSeconds: 2 * HOUR, ...practice } },
  ],
  cautions: [cautions.irritant],
}
