import type { PrintColours } from '@core/negative/proof'
import type { ProcessDefinition } from '@core/schema/definition'

/**
 * Colours of dry prints by the mark of their process: the deepest tone, a middle one, and warm white paper. Common
 * practice as the eye remembers it, from memory; toning, paper and water move all of them.
 */
export const printColours: Readonly<Record<ProcessDefinition['mark'], PrintColours>> = {
  prussian: {
    deep: { L: 18, a: 4, b: -24 },
    middle: { L: 52, a: -4, b: -26 },
    paper: { L: 95, a: 0, b: 4 },
  },
  umber: {
    deep: { L: 18, a: 6, b: 9 },
    middle: { L: 50, a: 9, b: 16 },
    paper: { L: 95, a: 0, b: 6 },
  },
  plum: {
    deep: { L: 18, a: 9, b: 1 },
    middle: { L: 52, a: 9, b: 5 },
    paper: { L: 95, a: 0, b: 5 },
  },
  graphite: {
    deep: { L: 18, a: 1, b: 2 },
    middle: { L: 52, a: 1, b: 5 },
    paper: { L: 95, a: 0, b: 5 },
  },
}
