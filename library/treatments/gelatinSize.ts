import type { ProcessDefinition } from '@core/schema/definition'
import { cautions } from '../cautions'
import { glyoxalDrying } from '../processes/glyoxal'
import { DAY, MINUTE, poured, practice, starts, YEAR } from '../processes/blocks'
import { step, hardening, hang, base, none } from './treatmentSteps'

/** A gelatin size with its hardener. */
export const gelatinSize: ProcessDefinition = {
  ...base,
  baths: [],
  mixes: [],
  tools: ['rod'],
  lights: [],
  secondLooks: [],
  id: 'gelatin-size',
  name: 'Gelatin size',
  mark: 'umber',
  chalk: none,
  coverage: poured,
  summary:
    'Warm gelatin with a hardener, applied with a rod: keeps the image at the surface and pigment out of the fibres.',
  components: [
    {
      id: 'gelatin',
      name: 'Gelatin size',
      letter: 'G',
      cautions: ['warmth'],
      stock: {
        solutes: [{ substanceId: 'gelatin', percentWv: 20 }],
        making: ['40 g swollen in cold water, then in 200 ml of warm water.', 'The hardener last.'],
        keepsSeconds: 2 * DAY,
        ...practice,
      },
    },
    {
      id: 'glyoxal',
      name: 'Glyoxal hardener',
      letter: 'H',
      cautions: ['glyoxal'],
      stock: {
        solutes: [{ substanceId: 'glyoxal', percentWv: 40 }],
        making: ['As bought.'],
        keepsSeconds: YEAR,
        ...starts('About 1 drop to 5 ml'),
      },
    },
    {
      id: 'formaldehyde',
      name: 'Formaldehyde hardener',
      letter: 'F',
      cautions: ['formaldehyde'],
      stock: {
        solutes: [{ substanceId: 'formaldehyde', percentWv: 37 }],
        making: ['As bought, under extraction.'],
        keepsSeconds: YEAR,
        ...practice,
      },
    },
  ],
  choices: [
    {
      id: 'hardener',
      name: 'Hardener',
      startsWith: 'glyoxal',
      options: [
        {
          id: 'glyoxal',
          name: 'Glyoxal',
          reason: 'Hardens within hours and is rinsed out. Default because formaldehyde may cause cancer.',
          standing: 'practice',
        },
        {
          id: 'formaldehyde',
          name: 'Formaldehyde',
          reason: 'Hard in twenty minutes. Use it only under fume extraction.',
          standing: 'practice',
        },
        {
          id: 'none',
          name: 'None',
          reason: 'For paper that is used only in cool water.',
          standing: 'practice',
        },
      ],
    },
  ],
  steps: [
    {
      ...step,
      id: 'melt',
      kind: 'wait',
      title: 'Swell and melt',
      meanwhile: 'gelatin swelling',
      tray: 'gelatin',
      doing: 'Swell in cold water, then warm it in a bath to 45 °C.',
      why: 'Dry gelatin in hot water forms lumps.',
      time: { leastSeconds: 10 * MINUTE, ...starts('Ten minutes to swell') },
      cautions: ['warmth'],
      press: { start: 'Swell it', finish: 'Clear and warm' },
    },
    {
      ...hardening,
      id: 'harden-glyoxal',
      cautions: ['glyoxal'],
      when: [{ choice: 'hardener', is: ['glyoxal'] }],
    },
    {
      ...hardening,
      id: 'harden-formaldehyde',
      doing: 'Under extraction, add drop by drop while stirring: about 1 drop per 5 ml.',
      cautions: ['formaldehyde'],
      when: [{ choice: 'hardener', is: ['formaldehyde'] }],
    },
    {
      ...step,
      id: 'draw',
      kind: 'act',
      title: 'Draw the size',
      meanwhile: 'being sized',
      doing: 'Draw the rod across once and back, sheet after sheet, while the size is warm.',
      why: 'Cooling gelatin drags.',
      time: { mostSeconds: 20 * MINUTE, ...starts('While it is warm') },
      cautions: ['warmth'],
      begins: 'press',
      press: { start: 'First sheet', finish: 'All sized: dry' },
    },
    {
      ...hang,
      time: { leastSeconds: 20 * MINUTE, ...practice },
      when: [{ choice: 'hardener', is: ['formaldehyde', 'none'] }],
    },
    ...glyoxalDrying({ station: 'paper', place: 'line' }).map((one) => ({
      ...one,
      when: [{ choice: 'hardener', is: ['glyoxal'] }],
    })),
  ],
  cautions: [cautions.warmth, cautions.glyoxal, cautions.formaldehyde],
}
