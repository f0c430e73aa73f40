import type { ProcessDefinition, StepDefinition } from '@core/schema/definition'
import { DAY, HOUR, memory, MINUTE, starts, WEEK } from './blocks'
import { rinse, serves, toneInGold, washBetween } from './wetSteps'

/** Toners of a silver image, and the places in the order of steps that each of them has. */

type Bath = ProcessDefinition['baths'][number]
type Option = ProcessDefinition['choices'][number]['options'][number]

const under = (...is: string[]): StepDefinition['when'] => [{ choice: 'toner', is }]

/** Toners whose gold goes on before the fixer; the split bath starts with the first of them. */
const GOLDS = ['gold', 'gold-borax', 'gold-thiocyanate', 'gold-platinum']
/** Sour toners before the fixer. */
const SOUR = ['palladium', 'platinum', 'gold-platinum']
const BEFORE = [...new Set([...GOLDS, ...SOUR])]
const AFTER = ['gold-thiourea', 'selenium']

export const goldToner: Bath = {
  id: 'gold',
  name: 'Gold toner',
  cautions: ['noble'],
  when: under('gold', 'gold-platinum'),
  stock: {
    solutes: [
      { substanceId: 'gold-chloride', percentWv: 0.02 },
      { substanceId: 'sodium-bicarbonate', percentWv: 0.1 },
    ],
    making: [
      'From a 1 % gold stock: 20 ml per litre, with 1 g of bicarbonate. Let it rest for half an hour.',
    ],
    ripensSeconds: HOUR / 2,
    keepsSeconds: WEEK,
    ...memory,
  },
  // 0.1 g of gold in a litre, and at most 4 mg in a print of 8 × 10 in.
  use: serves(1.3),
}

const goldBorax: Bath = {
  id: 'gold-borax',
  name: 'Gold toner, borax',
  cautions: ['noble', 'reproductive'],
  when: under('gold-borax'),
  stock: {
    solutes: [
      { substanceId: 'borax', percentWv: 0.6 },
      { substanceId: 'gold-chloride', percentWv: 0.012 },
    ],
    making: ['6 g of borax in warm water, let it cool.', 'Then 12 ml of 1 % gold stock per litre, stirring.'],
    keepsSeconds: DAY,
    ...memory,
  },
  use: serves(0.75),
}

const goldThiocyanate: Bath = {
  id: 'gold-thiocyanate',
  name: 'Gold toner, thiocyanate',
  cautions: ['noble', 'thiocyanate'],
  when: under('gold-thiocyanate'),
  stock: {
    solutes: [
      { substanceId: 'ammonium-thiocyanate', percentWv: 0.45 },
      { substanceId: 'gold-chloride', percentWv: 0.03 },
    ],
    making: [
      '4.5 g of thiocyanate in 900 ml of water. No acid.',
      'Stir in 30 ml of 1 % gold stock little by little, then water to a litre.',
      'It turns red, then clear: let it rest overnight.',
    ],
    ripensSeconds: 12 * HOUR,
    keepsSeconds: 2 * WEEK,
    ...memory,
  },
  use: serves(1.9),
}

const goldThiourea: Bath = {
  id: 'gold-thiourea',
  name: 'Gold toner, thiourea',
  cautions: ['noble', 'reproductive'],
  when: under('gold-thiourea'),
  stock: {
    solutes: [
      { substanceId: 'gold-chloride', percentWv: 0.05 },
      { substanceId: 'thiourea', percentWv: 0.05 },
      { substanceId: 'tartaric-acid', percentWv: 0.05 },
      { substanceId: 'sodium-chloride', percentWv: 2 },
    ],
    making: [
      '50 ml of 1 % gold stock in 500 ml of water.',
      '50 ml of 1 % thiourea, slowly, stirring: the brown cloud dissolves again.',
      'Then 0.5 g of tartaric acid and 20 g of salt, and water to a litre.',
    ],
    keepsSeconds: 4 * WEEK,
    ...memory,
  },
  use: serves(3.2),
}

export const palladiumToner: Bath = {
  id: 'palladium',
  name: 'Palladium toner',
  cautions: ['noble'],
  when: under('palladium'),
  stock: {
    solutes: [
      { substanceId: 'sodium-chloropalladite', percentWv: 0.05 },
      { substanceId: 'citric-acid', percentWv: 0.5 },
    ],
    making: ['A few millilitres of the 15 % stock per litre, with 5 g of citric acid.'],
    keepsSeconds: WEEK,
    ...memory,
  },
  use: serves(0.5),
}

export const platinumToner: Bath = {
  id: 'platinum',
  name: 'Platinum toner',
  cautions: ['platinum'],
  when: under('platinum'),
  stock: {
    solutes: [
      { substanceId: 'potassium-chloroplatinite', percentWv: 0.05 },
      { substanceId: 'citric-acid', percentWv: 0.5 },
    ],
    making: ['A few millilitres of the 20 % stock, warmed clear, per litre, with 5 g of citric acid.'],
    keepsSeconds: WEEK,
    ...memory,
  },
  use: serves(0.5),
}

/** Weak: what printed itself out bleaches in a selenium toner of the usual strength. */
const weakSelenium: Bath = {
  id: 'selenium',
  name: 'Selenium toner, weak',
  cautions: ['selenium'],
  when: under('selenium'),
  stock: {
    solutes: [{ substanceId: 'selenium-toner', percentWv: 0.65 }],
    making: ['5 ml of concentrate per litre of water; ventilate.'],
    keepsSeconds: 7 * DAY,
    standing: 'memory',
    source:
      'A half to one part of concentrate to 100 of water for prints that printed out, from memory; 5 ml a litre in this app',
  },
  use: serves(0.8),
}

/** What is in a tray when a paper that prints out is toned, each for its own choice. */
export const tonerBaths: Bath[] = [
  goldToner,
  goldBorax,
  goldThiocyanate,
  goldThiourea,
  palladiumToner,
  { ...platinumToner, when: under('platinum', 'gold-platinum') },
  weakSelenium,
]

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

/** Gold is sour or spoiled by hypo, and hypo throws sulfur with acid: whatever toner it is, it is rinsed out. */
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
