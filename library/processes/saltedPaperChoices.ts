import type { ProcessDefinition } from '@core/schema/definition'
import { waxChoice } from './wetSteps'
import { fixingChoice } from './wetBaths'
import { tonerChoice } from './toners'
import { subjectChoice } from './photograms'

/** What there is to choose of a salted paper. */
export const saltedPaperChoices: ProcessDefinition['choices'] = [
  {
    id: 'salting',
    name: 'Salted',
    startsWith: 'brush',
    options: [
      {
        id: 'brush',
        name: 'Brushed on one side',
        reason:
          'Uses little, and the image stays on the surface. Default because you can make single sheets.',
        standing: 'practice',
      },
      {
        id: 'soak',
        name: 'Soaked 5 min',
        reason: 'Both sides take salt evenly: slower, and the image sinks in.',
        standing: 'practice',
      },
      {
        id: 'gelatin',
        name: 'Warm gelatin and salt',
        reason: 'A sharper image that sinks in less.',
        standing: 'practice',
      },
      {
        id: 'already',
        name: 'Salted before',
        reason: 'Use a sheet you salted earlier.',
        standing: 'practice',
      },
    ],
  },
  {
    id: 'silver',
    name: 'Silver',
    startsWith: 'citric',
    options: [
      {
        id: 'citric',
        name: '12 % with citric acid',
        reason: 'Default because the coated sheet keeps longer and its whites stay clean.',
        standing: 'practice',
      },
      {
        id: 'plain',
        name: '12 % plain',
        reason: 'Prints a little faster. The solution keeps for years; the coated sheet lasts only hours.',
        standing: 'practice',
        stocks: { silver: [{ substanceId: 'silver-nitrate', percentWv: 12 }] },
      },
    ],
  },
  tonerChoice('gold', 'plain silver fades'),
  fixingChoice,
  waxChoice,
  subjectChoice,
]
