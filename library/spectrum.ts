import type { CoatReach } from '@core/light/spectrum'

const memory = { standing: 'memory' } as const

/**
 * What answers to light in a coat, and how far: where iron and silver are together, iron sees the light. All recalled and
 * none measured: thickness, humidity and time move them by ten nanometres and more.
 */
export const coatReaches: readonly CoatReach[] = [
  {
    substanceIds: ['ammonium-dichromate', 'potassium-dichromate'],
    name: 'dichromate',
    bestNanometres: 420,
    toNanometres: 500,
    ...memory,
    source: 'Dichromated colloids answer to violet and blue; from memory',
  },
  {
    substanceIds: ['ferric-ammonium-citrate', 'ferric-oxalate', 'ammonium-ferric-oxalate', 'lithium-ferric-oxalate'],
    name: 'iron salts',
    bestNanometres: 405,
    toNanometres: 450,
    ...memory,
    source: 'Iron citrate and oxalate print well under diodes of 365 to 405 nm; from memory',
  },
  {
    substanceIds: ['silver-nitrate', 'silver-oxide'],
    name: 'silver chloride',
    bestNanometres: 385,
    toNanometres: 420,
    ...memory,
    source: 'Silver chloride absorbs little beyond about 410 nm; from memory',
  },
] // prettier-ignore
