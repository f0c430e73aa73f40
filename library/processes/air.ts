import type { ProcessDefinition } from '@core/schema/definition'

type Air = NonNullable<ProcessDefinition['air']>

/** Room and paper near 50 %: common practice for every paper that is coated by hand. */
export const usualAir: Air = {
  leastPercent: 38,
  aimPercent: 50,
  mostPercent: 65,
  dry: 'A dry sheet takes the coat unevenly and prints weak.',
  damp: 'A damp coat dries slowly, and sticks to the negative.',
  standing: 'practice',
  source: 'Room and paper near 50 % relative humidity, common practice; 38 to 65 % in this app',
}

/** Processes whose print itself changes with the humidity of the paper. */
const OWN: Readonly<Record<string, Partial<Air>>> = {
  'iron-silver': {
    dry: 'A dry sheet prints orange-brown and weaker.',
    damp: 'A humid sheet prints purple-brown; a damp one fogs and sticks to the negative.',
    standing: 'memory',
    source: 'Brown to purple by humidity; from memory',
  },
  'palladium-printing-out': {
    dry: 'A dry sheet prints less of the picture out, and leaves more to the baths.',
    damp: 'A humid sheet prints deeper; a damp one stains and sticks to the negative.',
    standing: 'memory',
    source:
      'Colour and contrast change with humidity; sources disagree which way: make a strip at two humidities',
  },
  'gold-platinum': {
    dry: 'A dry sheet prints slowly and thin.',
    damp: 'A damp sheet stains and sticks to the negative.',
  },
}

/** A process with the air that it wants, where it does not say so itself. */
export const withAir = (definition: ProcessDefinition): ProcessDefinition =>
  definition.tools.length ? { air: { ...usualAir, ...OWN[definition.id] }, ...definition } : definition
