import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { bath, MINUTE, practice, ROCKED, starts } from './blocks'

/** Steps of the wet side that several processes share. */

/** The second of two equal baths makes up for the first. */
export const madeUp = {
  standing: 'practice',
  source: 'What the first bath lacks, the second makes up for; common practice',
} as const

/** Where the final wash is half an hour with a clearing agent already. */
export const clearHypoOrWashAnHour: Pick<StepDefinition, 'ifShort'> = {
  ifShort: {
    lengthens: 'final-wash',
    toSeconds: 60 * MINUTE,
    standing: 'practice',
    source: 'An hour of washing where no clearing agent shortened it; common practice, from memory',
  },
}

export const rinse: StepDefinition = {
  ...bath,
  id: 'rinse',
  title: 'Rinse',
  meanwhile: 'rinsing',
  doing: 'Rinse in clean water and drain by a corner.',
  why: 'Carry-over spoils the next bath.',
  time: { leastSeconds: 30, ...practice },
  begins: 'atOnce',
  press: { start: 'Start rinse', finish: 'Rinsed' },
}

export const washBetween: StepDefinition = {
  ...bath,
  id: 'wash-1',
  role: 'wash',
  title: 'Wash between baths',
  meanwhile: 'washing between baths',
  why: 'Acid must not meet sulfite: it gives off sulfur dioxide.',
  begins: 'atOnce',
  press: { start: 'Start wash', finish: 'Washed' },
}

export const toneInGold: StepDefinition = {
  ...bath,
  id: 'tone',
  title: 'Tone in gold',
  meanwhile: 'toning',
  tray: 'gold',
  role: 'tone',
  ...ROCKED,
  doing: 'Rock in both directions; go slightly past the colour you want, since the fixer lightens it.',
  why: 'Gold replaces silver from the shadows up. Toned before it is fixed.',
  time: { leastSeconds: 3 * MINUTE, ...starts('By eye; at least three minutes') },
  cautions: ['noble'],
  press: { start: 'Start toning', finish: 'Right colour: take the print out' },
  when: [{ choice: 'toner', is: ['gold'] }],
  endpoint: {
    good: 'The colour changes from the shadows up.',
    doubt: 'Patchy: silver or hypo was carried over.',
    swatch: ['#7c4a36', '#674250', '#513a52'],
  },
}

const fixing: StepDefinition = {
  ...bath,
  id: 'fix',
  title: 'Fix in plain hypo',
  meanwhile: 'in the fixer',
  tray: 'hypo',
  role: 'fix',
  ...ROCKED,
  early: 'Silver that light did not change is still in the paper: the print will darken and stain.',
  late: {
    afterSeconds: 15 * MINUTE,
    means: 'Much longer in the fixer than needed. Check whether the highlights have bleached.',
    blames: 'hand',
  },
  doing: 'Rock the tray; the print lightens a little.',
  why: 'Hypo removes the silver that light did not change.',
  time: { leastSeconds: 5 * MINUTE, mostSeconds: 10 * MINUTE, ...practice },
  cautions: ['thiosulfate'],
  press: { start: 'Start fixing', finish: 'Fixed' },
  endpoint: {
    good: 'Slight lightening.',
    doubt: 'Strong lightening: under-exposed, or the fixer is too strong.',
    swatch: [],
  },
}

export const clearHypo: StepDefinition = {
  ...bath,
  id: 'hypo-clear',
  title: 'Hypo clear',
  meanwhile: 'in the hypo clear',
  tray: 'hypo-clear',
  ...ROCKED,
  early: 'Hypo is still in the fibres: the final wash takes its place and is longer.',
  ifShort: {
    lengthens: 'final-wash',
    toSeconds: 30 * MINUTE,
    standing: 'practice',
    source: '5 min of washing with a clearing agent, 30 min without; common practice',
  },
  doing: 'Rinse, then put the print in sulfite.',
  why: 'With a clearing agent, five minutes of washing are enough; without, thirty.',
  time: { leastSeconds: 2 * MINUTE, ...starts('A few minutes; two') },
  cautions: ['sulfite'],
  press: { start: 'Start sulfite bath', finish: 'Cleared: wash' },
}

export const clearInCitric: StepDefinition = {
  ...bath,
  id: 'citric',
  title: 'Citric acid',
  meanwhile: 'clearing',
  tray: 'citric',
  role: 'clear',
  ...ROCKED,
  early: 'Iron is still in the paper: the whites will turn yellow.',
  doing: 'Rock the tray until no yellow is left.',
  why: 'Iron left in the paper turns yellow.',
  time: { leastSeconds: 10 * MINUTE, ...starts('Ten minutes') },
  cautions: ['acid'],
  press: { start: 'Start acid bath', finish: 'Whites clear' },
  endpoint: {
    good: 'Whites are clean.',
    doubt: 'Still yellow: use a fresh bath, or this paper does not suit the process.',
    swatch: ['#d9d39a', '#e5e1c4', '#efeee6'],
  },
}

export const clearInSulfite: StepDefinition = {
  ...bath,
  id: 'sulfite',
  title: 'Sulfite',
  meanwhile: 'in the sulfite',
  tray: 'sulfite',
  role: 'clear',
  ...ROCKED,
  early: 'Iron is still in the paper: the print turns pink in weeks, then dark.',
  doing: 'Rock the tray at 21 to 24 °C; iron runs off.',
  why: 'Sulfite removes the iron that light did not change.',
  time: { leastSeconds: 10 * MINUTE, ...practice },
  cautions: ['sulfite'],
  press: { start: 'Start sulfite bath', finish: 'Done: wash' },
}

export const bindInEdta: StepDefinition = {
  ...bath,
  id: 'edta',
  title: 'EDTA',
  meanwhile: 'in the EDTA',
  tray: 'edta',
  role: 'clear',
  ...ROCKED,
  early: 'The last iron is not bound: the print turns pink in weeks, then dark.',
  doing: 'Rinse, then rock the tray now and then.',
  why: 'EDTA binds the last iron.',
  time: { leastSeconds: 10 * MINUTE, ...practice },
  cautions: ['eyeDamage'],
  press: { start: 'Start EDTA bath', finish: 'Done: wash' },
}

export const fixInHypo: StepDefinition = { ...fixing, ifShort: { lengthens: 'fix-2', ...madeUp } }

/** The second of two fixers, after the first. */
export const fixAgain: StepDefinition = {
  ...fixing,
  id: 'fix-2',
  title: 'Fix again',
  meanwhile: 'in the second fixer',
  tray: 'hypo-2',
  doing: 'Move the print from fixer to fixer without a rinse.',
  why: 'The second, nearly clean bath removes what the first left.',
  begins: 'atOnce',
  press: { start: 'Start second fixer', finish: 'Fixed' },
  when: [{ choice: 'fixing', is: ['two'] }],
}

export const waxChoice: ProcessDefinition['choices'][number] = {
  id: 'surface',
  name: 'When it is dry',
  startsWith: 'bare',
  options: [
    {
      id: 'bare',
      name: 'Left as it is',
      reason: 'Matt. Default because you can wax it later.',
      standing: 'practice',
    },
    {
      id: 'wax',
      name: 'Waxed',
      reason: 'Wax deepens the shadows and keeps air from the silver.',
      standing: 'practice',
    },
  ],
}

export const waxing: StepDefinition = {
  id: 'wax',
  station: 'line',
  place: 'line',
  kind: 'act',
  title: 'Wax it',
  meanwhile: 'being waxed',
  doing:
    'Warm a little paste of beeswax in lavender oil, rub it in thinly in circles with a soft cloth, then polish with a clean one until it no longer drags. Ventilate: the oil is a solvent.',
  why: 'Wax fills the fibres: shadows deepen, and the silver is sealed from the air.',
  time: { mostSeconds: 10 * MINUTE, ...starts('A few minutes; ten') },
  cautions: ['wax'],
  begins: 'press',
  press: { start: 'Start waxing', finish: 'Polished' },
  endpoint: {
    good: 'An even, dull shine, and nothing comes off on a white cloth.',
    doubt: 'Streaks: keep polishing. Sticky: remove some with a clean cloth.',
    swatch: [],
  },
  when: [{ choice: 'surface', is: ['wax'] }],
}
