import { lookup } from '@core/lookup'
import type { Substance } from '@core/schema/substance'
import { acidSubstances } from './acids'
import { bathSubstances } from './baths'
import { carrierSubstances } from './carriers'
import { ironSubstances } from './iron'
import { metalSubstances } from './metals'
import { saltSubstances } from './salts'

/** Every substance this Ember Sheet knows, by id. */
export const substances: Readonly<Record<string, Substance>> = lookup(
  [
    ironSubstances,
    metalSubstances,
    acidSubstances,
    saltSubstances,
    bathSubstances,
    carrierSubstances,
  ].flatMap((list) => list.map((substance) => [substance.id, substance] as const)),
)
