import type { ProcessDefinition } from '@core/schema/definition'
import { DAY, practice, starts, WEEK } from './blocks'

/** Baths of the wet side that several processes share. */

type Bath = ProcessDefinition['baths'][number]
/** How far a bath goes, by memory; @param squareMetresPerLitre paper that a litre serves. */
export const serves = (squareMetresPerLitre: number, followedBy?: string): NonNullable<Bath['use']> => ({
  manner: 'reused',
  squareMetresPerLitre,
  ...(followedBy && { followedBy }),
  standing: 'memory',
  source: `About ${Math.round(squareMetresPerLitre / 0.0516)} prints of 8 × 10 in per litre; from memory, judge by the prints`,
})

/**
 * A fixer goes as far as the silver that it may hold: how many prints that is depends on how the silver was laid.
 *
 * @see handbooks of print permanence: about 0.5 g/l in a single bath, 2 g/l in the first of two; from memory
 */
export const fixes = (followedBy?: string): NonNullable<Bath['use']> => ({
  manner: 'reused',
  silver: { alone: 0.5, firstOfTwo: 2 },
  ...(followedBy && { followedBy }),
  standing: 'memory',
  source:
    'For permanence, a single fixing bath may hold about 0.5 g of silver per litre, the first of two about 2 g; from memory',
})

const stock = (substanceId: string, percentWv: number) => [{ substanceId, percentWv }]

export const plainHypo: Bath = {
  id: 'hypo',
  name: 'Plain hypo',
  cautions: ['thiosulfate'],
  stock: {
    solutes: stock('sodium-thiosulfate', 10),
    making: ['Dissolve the crystals in warm water, let it cool.'],
    keepsSeconds: 2 * DAY,
    ...starts('Plain hypo; 10 %'),
  },
  use: fixes('hypo-2'),
}

/** A hypo bath as the second of two: it stays nearly clean, and takes the place of the first when that is spent. */
export const second = (first: Bath): Bath => ({
  ...first,
  id: 'hypo-2',
  name: 'Plain hypo, second bath',
  // A sheet carries about 0.1 l/m² over from a first bath at 2 g/l; at 0.5 g/l this one is no longer clean.
  use: serves(2.5),
  when: [{ choice: 'fixing', is: ['two'] }],
})

export const fixingChoice: ProcessDefinition['choices'][number] = {
  id: 'fixing',
  name: 'Fixed in',
  startsWith: 'one',
  options: [
    {
      id: 'one',
      name: 'One bath',
      reason: 'Enough for a few prints in a fresh fixer. Default because it takes one tray.',
      standing: 'practice',
    },
    {
      id: 'two',
      name: 'Two baths',
      reason:
        'Half the time in each: the first takes most of the silver, the second stays clean. Safer for many prints.',
      standing: 'practice',
    },
  ],
}

export const hypoClearBath: Bath = {
  id: 'hypo-clear',
  name: 'Hypo clear',
  cautions: ['sulfite'],
  stock: {
    solutes: stock('sodium-sulfite', 2),
    making: ['Dissolve in water, 1 to 5 %.'],
    keepsSeconds: DAY,
    ...starts('1 to 5 % sulfite; 2 %'),
  },
  use: serves(1),
}

export const sulfiteBath: Bath = {
  ...hypoClearBath,
  id: 'sulfite',
  name: 'Sodium sulfite',
  stock: {
    ...hypoClearBath.stock,
    making: ['10 g in 500 ml, 21 to 24 °C.'],
    standing: 'practice',
    source: 'About 1.5 teaspoons in 500 ml, common practice; weighed, 2 % in this app',
  },
}

export const citricBath: Bath = {
  id: 'citric',
  name: 'Citric acid',
  cautions: ['acid'],
  stock: {
    solutes: stock('citric-acid', 2),
    making: ['Dissolve in water.'],
    keepsSeconds: DAY,
    ...starts('2 %'),
  },
  use: serves(0.5),
}

export const edtaBath: Bath = {
  id: 'edta',
  name: 'EDTA',
  cautions: ['eyeDamage'],
  stock: {
    solutes: stock('tetrasodium-edta', 5),
    making: ['Dissolve in water, 5 to 10 %.'],
    keepsSeconds: WEEK,
    ...practice,
  },
  use: serves(1),
}
