import { search } from '../run/dose'

/** A coat that exists only in numbers: how it answers light, and what processing and drying make of it. */
export interface VirtualCoat {
  /** Density of bare paper, and the blackest this coat comes to, dry. */
  white: number
  black: number
  /** Dose at which 63 % of the way to black is gone, mJ/cm², for a coat that does not mask itself. */
  speedMillijoulesPerCm2: number
  /** Steepness: 1 is an exponential approach. */
  steepness: number
  /** A printing-out coat shades what is below it: how much of the density grown so far is in the light's way. */
  selfMasking: number
  /** Share of net density that processing undoes, and share that drying adds. */
  processingLoss: number
  dryDown: number
  /** Chalk left in the paper: share of net density it costs. */
  chalkLoss: number
}

/** Room and paper as the coat meets them. */
export interface CoatRoom {
  relativeHumidity: number
  buffered: boolean
}

const USUAL_ROOM: CoatRoom = { relativeHumidity: 50, buffered: false }
/** A damper coat is faster and deeper; shares by point of humidity, invented for this stand-in. */
const SPEED_BY_HUMIDITY = 0.008
const BLACK_BY_HUMIDITY = 0.002

/** Coats of the stand-ins: figures invented, of the order that common practice has. */
export const VIRTUAL_COATS = {
  cyanotype: {
    white: 0.07,
    black: 1.38,
    speedMillijoulesPerCm2: 640,
    steepness: 1.05,
    selfMasking: 0.12,
    processingLoss: 0.06,
    dryDown: 0.08,
    chalkLoss: 0.3,
  },
  printingOut: {
    white: 0.06,
    black: 1.62,
    speedMillijoulesPerCm2: 420,
    steepness: 1.1,
    selfMasking: 0.45,
    processingLoss: 0.18,
    dryDown: 0.06,
    chalkLoss: 0.15,
  },
  developingOut: {
    white: 0.06,
    black: 1.5,
    speedMillijoulesPerCm2: 380,
    steepness: 1.3,
    selfMasking: 0,
    processingLoss: 0.02,
    dryDown: 0.05,
    chalkLoss: 0.35,
  },
} as const satisfies Record<string, VirtualCoat>

/** The stages at which a print's density can be asked for. */
export type CoatStage = 'exposed' | 'wet' | 'dry'

/**
 * How a virtual coat answers a dose.
 *
 * Self-masking dims the light by a part of the density grown so far: dE/dH = 10^(−m·D(E)) for the light E that reaches the
 * coat. So H = ∫ 10^(m·D(E)) dE, which is tabled once and read backwards.
 *
 * @returns density by dose in mJ/cm².
 */
export function densityOf(
  coat: VirtualCoat,
  room: CoatRoom = USUAL_ROOM,
): (dose: number, stage?: CoatStage) => number {
  const damp = room.relativeHumidity - USUAL_ROOM.relativeHumidity
  const speed = coat.speedMillijoulesPerCm2 / Math.max(0.2, 1 + SPEED_BY_HUMIDITY * damp)
  const net =
    (coat.black - coat.white) *
    Math.max(0.3, 1 + BLACK_BY_HUMIDITY * damp) *
    (room.buffered ? 1 - coat.chalkLoss : 1)
  const grown = (effective: number) => net * (1 - Math.exp(-((effective / speed) ** coat.steepness)))
  const masked =
    coat.selfMasking > 0 ? behindItself((light) => 10 ** (coat.selfMasking * grown(light)), speed) : null
  return (dose, stage = 'dry') => {
    const dry = grown(masked ? masked(dose) : dose)
    if (stage === 'dry') return coat.white + dry
    const wet = dry / (1 + coat.dryDown)
    return coat.white + (stage === 'wet' ? wet : wet / (1 - coat.processingLoss))
  }
}

/** Places of the table, evenly in the logarithm of light from its first share of the speed to its last. */
const [PLACES, FIRST_SHARE, LAST_SHARE] = [600, 1e-4, 100]

/**
 * Light that reaches a coat which shades itself, by the dose that falls on it.
 *
 * @param dimming how many times more dose a little more light takes, by the light so far; at least 1.
 * @param speed dose about which the coat prints, the middle of the table.
 * @see Simpson's rule in each interval, linear between the places of the table
 */
function behindItself(dimming: (light: number) => number, speed: number): (dose: number) => number {
  const [lights, doses] = [new Float64Array(PLACES), new Float64Array(PLACES)]
  const ratio = (LAST_SHARE / FIRST_SHARE) ** (1 / (PLACES - 1))
  let [before, dose, dimmedBefore] = [0, 0, dimming(0)]
  for (let i = 0; i < PLACES; i++) {
    const light = speed * FIRST_SHARE * ratio ** i
    const dimmed = dimming(light)
    dose += ((light - before) * (dimmedBefore + 4 * dimming((before + light) / 2) + dimmed)) / 6
    ;[lights[i], doses[i], before, dimmedBefore] = [light, dose, light, dimmed]
  }
  const [endLight, endDose, most] = [before, dose, dimmedBefore]
  return (dose) => {
    if (dose >= endDose) return endLight + (dose - endDose) / most
    let [low, high] = [-1, PLACES - 1]
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (doses[middle]! > dose) high = middle
      else low = middle
    }
    const [fromDose, fromLight] = [doses[low] ?? 0, lights[low] ?? 0]
    return fromLight + ((lights[high]! - fromLight) * (dose - fromDose)) / (doses[high]! - fromDose)
  }
}

/** The dose at which a virtual coat is so far below its deepest black: what a base exposure should find. */
export function trueBaseDose(coat: VirtualCoat, difference: number, room: CoatRoom = USUAL_ROOM): number {
  const density = densityOf(coat, room)
  const wanted = density(coat.speedMillijoulesPerCm2 * 400) - difference
  return search((_, to) => density(to), 0, wanted) ?? Number.NaN
}
