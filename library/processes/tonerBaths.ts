import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, HOUR, memory, WEEK } from './blocks'
import { serves } from './wetBaths'

type Bath = ProcessDefinition['baths'][number]

const under = (...is: string[]): Bath['when'] => [{ choice: 'toner', is }]

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
