import type { Substance } from '@core/schema/substance'

/** Where the figures of the tables stand. All were recorded from memory; none was looked up. */
export const CRC = {
  standing: 'published',
  source: 'CRC Handbook of Chemistry and Physics, aqueous solubility; value from memory',
} as const
export const CLP = {
  standing: 'published',
  source: 'Harmonised classification under the UN GHS (EU); from memory. The safety data sheet comes first',
} as const
export const SUPPLIER = {
  standing: 'memory',
  source: 'Suppliers’ usual classification; from memory. The safety data sheet comes first',
} as const
export const HANDBOOK = {
  standing: 'published',
  source: 'Handbook density tables; value from memory',
} as const
export const HEAPED = {
  standing: 'memory',
  source: 'Loosely heaped crystals and powders; large spread',
} as const
export const REMEMBERED = {
  standing: 'memory',
  source: 'From memory of the literature, not checked',
} as const

type Hazard = Substance['hazard']

export const harmless: Hazard = { statements: [], ...SUPPLIER }
export const irritant: Hazard = {
  statements: ['H319'],
  ...SUPPLIER,
}
