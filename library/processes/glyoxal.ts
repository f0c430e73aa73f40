import type { StepDefinition } from '@core/schema/definition'
import { bath, drying, HOUR, memory, MINUTE, starts } from './blocks'

/** Steps after a glyoxal size: it hardens over hours and is rinsed out, or the paper yellows. */
export const glyoxalDrying = (where: Pick<StepDefinition, 'station' | 'place'>): StepDefinition[] => [
  {
    ...drying,
    ...where,
    id: 'harden',
    perCoat: false,
    title: 'Harden the size',
    meanwhile: 'hardening',
    doing: 'Hang the sheet or lay it flat for several hours or overnight.',
    why: 'Glyoxal hardens the gelatin slowly. Twenty minutes are enough for formaldehyde only.',
    time: { leastSeconds: 6 * HOUR, ...memory },
    press: { start: 'Hang it', finish: 'Hard: rinse' },
    endpoint: {
      good: 'A wet finger does not stick.',
      doubt: 'Tacky: leave overnight.',
      swatch: [],
    },
    habit: undefined,
  },
  {
    ...bath,
    ...where,
    place: 'bench',
    id: 'rinse-glyoxal',
    title: 'Rinse the glyoxal out',
    meanwhile: 'rinsing',
    doing: 'Use cool water and change it twice.',
    why: 'Glyoxal left in the paper yellows it.',
    time: { leastSeconds: 10 * MINUTE, ...starts('Rinsed well; ten minutes') },
    cautions: ['glyoxal'],
    press: { start: 'Start rinse', finish: 'Rinsed: dry' },
    endpoint: {
      good: 'The surface is not slippery.',
      doubt: 'Slippery: change the water again.',
      swatch: [],
    },
  },
  {
    ...drying,
    ...where,
    id: 'dry-rinsed',
    perCoat: false,
    title: 'Dry the size',
    meanwhile: 'sized, drying',
    doing: 'Blot it, then hang it until dry.',
    why: 'The next coat needs a dry sheet.',
    time: { leastSeconds: HOUR, ...starts('Dry through; an hour') },
    press: { start: 'Hang it', finish: 'Dry' },
    habit: undefined,
  },
]
