import { densityOf, trueBaseDose, type VirtualCoat } from '../tone/printResponse'
import type { SheetConditions, SheetWork, VirtualProcess } from './virtualProcess'

/** What a coat of one sheet comes to, with everything about it that lasts. */
export interface VirtualSheet {
  /** Density behind film of some density, as the eye sees it now. */
  densityAt: (filmDensity: number, work: SheetWork) => number
}

/** Sensitizer that a usual coat holds back of what would still deepen it: so much thinner coats lose. Invented. */
const DEPTH = 2.3
/** Doublings of imbalance at which a coat has lost 63 % of its depth. Invented. */
const IMBALANCE = 1.6
/** How fog grows with age. Invented: little at first. */
const FOG_POWER = 1.6
const FOG_AT_KEEP = 0.1

/** Depth of a coat by how much of it there is, 1 for the usual one; rising, and less and less. */
export const depthOf = (coverage: number): number =>
  (1 - Math.exp(-DEPTH * Math.max(0, coverage))) / (1 - Math.exp(-DEPTH))

/** Share of a lamp's light that a coat answers: all of it up to its best, none from its end on. */
export function answerTo(
  nanometres: number,
  { bestNanometres, toNanometres }: Pick<VirtualProcess, 'bestNanometres' | 'toNanometres'>,
): number {
  const beyond = (nanometres - bestNanometres.value) / (toNanometres.value - bestNanometres.value)
  return beyond <= 0 ? 1 : beyond >= 1 ? 0 : (1 + Math.cos(Math.PI * beyond)) / 2
}

/** The coat of a sheet as the plain model of a coat knows it. */
function coatOf(process: VirtualProcess, { coverage, imbalance }: SheetConditions): VirtualCoat {
  const depth = Math.min(1.25, depthOf(coverage)) * Math.exp(-((imbalance / IMBALANCE) ** 2))
  return {
    white: process.white.value,
    black: process.white.value + (process.black.value - process.white.value) * depth,
    speedMillijoulesPerCm2: process.speed.value,
    steepness: process.steepness.value,
    selfMasking: process.selfMasking.value,
    processingLoss: 0,
    dryDown: process.dryDown.value,
    chalkLoss: process.chalkLoss.value,
  }
}

const roomOf = ({ relativeHumidity, isBuffered }: SheetConditions) => ({
  relativeHumidity,
  buffered: isBuffered,
})

/**
 * A sheet of a process, coated in some way: what light, baths, drying and hours make of it.
 *
 * Deeper with more dose, coat and humidity; lighter with chalk, imbalance and time in the fixer; cleaner with time in the
 * clearing bath; foggier with age. Without self-masking it approaches its black as 1 − exp(−(H/H₀)^k).
 */
export function virtualSheet(process: VirtualProcess, conditions: SheetConditions): VirtualSheet {
  const density = densityOf(coatOf(process, conditions), roomOf(conditions))
  const answer = answerTo(conditions.nanometres, process)
  const white = process.white.value
  // Fog uses up the coat that it grows in: never deeper than its black.
  const range = process.black.value - white
  const age = FOG_AT_KEEP * (Math.max(0, conditions.coatAgeHours) / process.keepsHours.value) ** FOG_POWER
  const fog = range * (1 - Math.exp(-age / range))
  /** Where a coat has printed, less of it is left to fog. */
  const withFog = (net: number) => net + fog * Math.exp(-net / range)
  const densityAt = (filmDensity: number, work: SheetWork): number => {
    const grown = density(answer * work.dose * 10 ** -filmDensity) - white
    const stain = process.stain.value * Math.exp(-(work.cleared ?? 0) / process.clearSeconds.value)
    const isProcessed = work.developed !== null || work.cleared !== null
    if (!isProcessed) return white + process.stain.value + withFog(process.printsOut.value * grown)
    const developed = process.developSeconds
      ? 1 - (1 - process.printsOut.value) * Math.exp(-(work.developed ?? 0) / process.developSeconds.value)
      : 1
    const { fix } = process
    const tooLong = fix ? Math.max(0, (work.fixed ?? 0) - fix.seconds.value) / 60 : 0
    const lost = fix ? Math.exp(-fix.lossPerMinute.value * tooLong) : 1
    const net = grown * developed * lost
    if (work.hoursDry === null) return white + stain + withFog(net / (1 + process.dryDown.value))
    const settled = 1 - process.settling.value * Math.exp(-work.hoursDry / process.settlingHours.value)
    return white + stain + withFog(net * settled)
  }
  return { densityAt }
}

/** Density below the deepest black that a base exposure allows. Common practice. */
const JUST_BLACK = 0.04

/** The dose at which clear film prints all but black: what a base exposure should find, mJ/cm² at the frame. */
export function bestDose(process: VirtualProcess, conditions: SheetConditions): number {
  const answer = answerTo(conditions.nanometres, process)
  const dose = trueBaseDose(coatOf(process, conditions), JUST_BLACK, roomOf(conditions))
  return answer > 0 ? dose / answer : Infinity
}
