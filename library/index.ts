import type { ProcessDefinition } from '@core/record/definition'
import { classicCyanotype } from './processes/classicCyanotype'

/** Every process this Ember Sheet knows, by id. */
export const processes: Readonly<Record<string, ProcessDefinition>> = {
  [classicCyanotype.id]: classicCyanotype,
}

export { substances } from './substances'
