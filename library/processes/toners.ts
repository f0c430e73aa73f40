import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { MINUTE, starts } from './blocks'
import { rinse, toneInGold, washBetween } from './wetSteps'

/** Toners of a silver image, and the places in the order of steps that each of them has. */

type Option = ProcessDefinition['choices'][number]['options'][number]

const under = (...is: string[]): StepDefinition['when'] => [{ choice: 'toner', is }]

/** Toners whose gold goes on before the fixer; the split bath starts with the first of them. */
const GOLDS = ['gold', 'gold-borax', 'gold-thiocyanate', 'gold-platinum']
/** Sour toners before the fixer. */
const SOUR = ['palladium', 'platinum', 'gold-platinum']
const BEFORE = [...new Set([...GOLDS, ...SOUR])]
const AFTER = ['gold-thiourea', 'selenium']

const TONERS: Option[] = [
  {
    id: 'gold',
    name: 'Gold',
    reason: 'By eye, before fixing: from red-brown to purple, and permanent.',
    standing: 'practice',
  },
  {
    id: 'gold-borax',
    name: 'Gold with borax',
    reason: 'Before fixing. Alkaline and slow: warm browns, purple only when left long.',
    standing: 'memory',
  },
  {
    id: 'gold-thiocyanate',
    name: 'Gold with thiocyanate',
    reason: 'Before fixing. Quick and cool, to blue-black. It bleaches a little: print deeper.',
    standing: 'memory',
  },
  {
    id: 'gold-thiourea',
    name: 'Gold with thiourea',
    reason:
      'After fixing, to blue-black: you see the final colour. The fixer has already bleached light tones that gold would have kept.',
    standing: 'memory',
  },
  {
    id: 'palladium',
    name: 'Palladium',
    reason: 'Before fixing. Warm brown-black and lasting; replaces silver.',
    standing: 'memory',
  },
  {
    id: 'platinum',
    name: 'Platinum',
    reason: 'Before fixing. Neutral brown-black and lasting; replaces silver.',
    standing: 'memory',
  },
  {
    id: 'gold-platinum',
    name: 'Gold, then platinum',
    reason: 'Both before fixing: gold cools the light tones, platinum the shadows. Nearly neutral black.',
    standing: 'memory',
  },
  {
    id: 'selenium',
    name: 'Selenium, weak',
    reason:
      'After fixing and washing, a minute or less: it costs least, and bleaches light tones. Toned before fixing it stains.',
    standing: 'memory',
  },
  {
    id: 'none',
    name: 'Untoned',
    reason: 'The plain red-brown. It is the least lasting.',
    standing: 'practice',
  },
]

/**
 * The choice of a toner, from all of them or from those named.
 *
 * @param because why the one that it starts with is the default.
 */
export const tonerChoice = (
  startsWith: string,
  because: string,
  ids: readonly string[] = TONERS.map(({ id }) => id),
): ProcessDefinition['choices'][number] => ({
  id: 'toner',
  name: 'Toned in',
  startsWith,
  options: TONERS.filter(({ id }) => ids.includes(id)).map((one) =>
    one.id === startsWith ? { ...one, reason: `${one.reason} Default because ${because}.` } : one,
  ),
})

/** Gold on the print before it is fixed. */
const inGold: StepDefinition = {
  ...toneInGold,
  tray: undefined,
  trays: ['gold', 'gold-borax', 'gold-thiocyanate'],
  cautions: ['noble', 'thiocyanate', 'reproductive'],
  when: under(...GOLDS),
}

export const rinseGold: StepDefinition = {
  ...rinse,
  id: 'rinse-gold',
  title: 'Rinse the gold out',
  why: 'The gold bath is alkaline and platinum works sour.',
  when: under('gold-platinum'),
}

export const inSourToner: StepDefinition = {
  ...toneInGold,
  id: 'tone-sour',
  title: 'Tone in platinum or palladium',
  tray: undefined,
  trays: ['palladium', 'platinum'],
  cautions: ['noble', 'platinum', 'acid'],
  doing: 'Rock in both directions; go slightly past the colour you want, since the fixer lightens it.',
  why: 'The metal replaces silver and does not fade. Toned before it is fixed.',
  time: { leastSeconds: 2 * MINUTE, ...starts('By eye; at least two minutes') },
  when: under(...SOUR),
  endpoint: {
    good: 'Brown-black in the shadows first, then in the light tones.',
    doubt: 'Patchy or slow: silver was left in the paper, or the toner is spent.',
    swatch: ['#7c4a36', '#5a4136', '#3d332d'],
  },
}

/** Gold is sour or spoiled by hypo, and hypo throws sulfur with acid: every toner is rinsed out. */
export const rinseToner: StepDefinition = {
  ...rinse,
  id: 'rinse-tone',
  title: 'Rinse the toner out',
  why: 'Metal carried into the fixer is lost, and acid precipitates sulfur from the hypo.',
  when: under(...BEFORE),
}

/** Every toner that works on what light has made, before the fixer takes the rest. */
export const tonedBefore: StepDefinition[] = [inGold, rinseGold, inSourToner, rinseToner]

/** Toned when the print is fixed: the fixer is washed out first. */
export const tonedAfter: StepDefinition[] = [
  {
    ...washBetween,
    id: 'wash-fixer',
    title: 'Wash the fixer out',
    why: 'Hypo carried into the toner makes it patchy, and with its acid throws sulfur.',
    time: { leastSeconds: 10 * MINUTE, ...starts('Until the fixer is out; ten minutes') },
    when: under(...AFTER),
  },
  {
    ...toneInGold,
    id: 'tone-after',
    title: 'Tone',
    tray: undefined,
    trays: ['gold-thiourea', 'selenium'],
    doing: 'Rock the tray under extraction, and take the print out at the colour you want.',
    why: 'The image is final, so you see the colour it will have.',
    time: { leastSeconds: MINUTE / 2, ...starts('By eye; at least half a minute') },
    cautions: ['noble', 'selenium', 'reproductive'],
    when: under(...AFTER),
    endpoint: {
      good: 'The colour changes evenly. Gold goes blue-black; selenium goes cooler brown.',
      doubt: 'Light tones fade: take it out and rinse at once.',
      swatch: ['#7c4a36', '#574a52', '#3a3f4c'],
    },
  },
  { ...rinse, id: 'rinse-after', title: 'Rinse the toner out', when: under(...AFTER) },
]
