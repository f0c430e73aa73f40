import type { MetalUptake } from '@core/chemistry/tonerDose'

/** A print of 8 × 10 in, m². */
const PRINT = 0.2032 * 0.254

/** What a silver image takes up of a metal as it is toned. No sound figures are known for palladium and platinum. */
export const metalUptakes: readonly MetalUptake[] = [
  {
    metal: 'Au',
    least: 2 / PRINT,
    most: 4 / PRINT,
    standing: 'memory',
    source: 'About 2 to 4 mg of gold on a print of 8 × 10 in, by how dark it is; from memory',
  },
]
