import type { Precursor } from '@core/chemistry/precursors'

/** How a salt can be made from what is cheaper or at hand, by the substance that it gives. */
export interface Making {
  from: readonly Precursor[]
  lines: readonly string[]
}

const PALLADIUM: Precursor = { name: 'palladium chloride', formula: 'PdCl2', moles: 1 }
const STIR =
  'Dissolve the salt in two thirds of the water at 60 °C, stir in the palladium chloride until it is clear (an hour), top up, filter. From memory.'

/** Chloropalladites from palladium chloride: PdCl2 + 2 MCl → M2PdCl4. */
export const makings: Readonly<Record<string, Making>> = {
  'sodium-chloropalladite': {
    from: [PALLADIUM, { name: 'sodium chloride', formula: 'NaCl', moles: 2 }],
    lines: [STIR],
  },
  'potassium-chloropalladite': {
    from: [PALLADIUM, { name: 'potassium chloride', formula: 'KCl', moles: 2 }],
    lines: [STIR],
  },
  'lithium-chloropalladite': {
    from: [PALLADIUM, { name: 'lithium chloride', formula: 'LiCl', moles: 2 }],
    lines: [STIR],
  },
}

/** Whether an old ferric solution holds ferrous iron, which fogs: from memory. */
export const ferrousTest =
  'Test for ferrous iron: a drop of it on a drop of fresh 1 % potassium ferricyanide. Brown or green is good; blue is ferrous iron, and the coat will fog. From memory.'
