import type { VirtualProcess } from '@core/simulate/virtualProcess'
import { printColours } from '../printColours'
import { DICHROMATE, invented, NOT_FIXED, practice } from './figures'

/** A layer of pigment in gum over a finished print: what light has not hardened floats off in water. */
export const gumOver = (base: VirtualProcess): VirtualProcess => ({
  processId: 'gum-over',
  white: base.white,
  black: practice(0.6),
  speed: practice(base.speed.value / 4),
  steepness: invented(1.1),
  selfMasking: invented(0.2),
  printsOut: invented(0.08),
  developSeconds: null,
  stain: invented(0.5),
  clearSeconds: practice(180),
  clearLossPerHour: invented(0.1),
  ...NOT_FIXED,
  dryDown: practice(0.03),
  settling: invented(0.01),
  settlingHours: invented(12),
  keepsHours: practice(6),
  chalkLoss: invented(0),
  sinking: invented(0.1),
  ...DICHROMATE,
  colours: {
    deep: { L: 20, a: 22, b: 10 },
    middle: { L: 52, a: 26, b: 10 },
    paper: printColours.graphite.paper,
  },
  printing: {
    deep: { L: 28, a: 24, b: 26 },
    middle: { L: 50, a: 26, b: 36 },
    paper: { L: 70, a: 22, b: 44 },
  },
  over: base,
})
