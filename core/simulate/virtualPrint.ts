import { densityOf, trueBaseDose, type VirtualCoat } from '../tone/printResponse'
import { UNTOUCHED, USUAL_CONDITIONS, type SheetConditions, type SheetWork, type VirtualProcess } from './virtualProcess' // prettier-ignore

/** What one tone of a virtual sheet is now. */
export interface VirtualTone {
  density: number
  /** Share of the density over the paper that is this layer's own, and not of the print under it. */
  ownShare: number
  /** Share of the sensitizer that is not cleared, and how far it is toned; 0 to 1. */
  uncleared: number
  toned: number
  /** Share of the tone that fixer left in the paper has taken. */
  faded: number
}

/** What a coat of one sheet comes to, with everything about it that lasts. */
export interface VirtualSheet {
  /** Tone behind film of some density, as the eye sees it now. */
  toneAt: (filmDensity: number, work: SheetWork) => VirtualTone
  densityAt: (filmDensity: number, work: SheetWork) => number
}

/** Sensitizer that a usual coat holds back of what would still deepen it: so much thinner coats lose. Invented. */
const DEPTH = 2.3
/** Doublings of imbalance at which a coat has lost 63 % of its depth. Invented. */
const IMBALANCE = 1.6
/** How fog grows with age. Invented: little at first. */
const FOG_POWER = 1.6
const FOG_AT_KEEP = 0.1
/** Light that a cold lamp is short of at first. Invented. */
const COLD_SHORT = 0.45
/** A print that was not washed at all loses 63 % of its tone in so many years. Invented: it depends on air and damp. */
const FADES_IN_YEARS = 1.5
/** A print that was not fixed at all darkens by so much of its range, in about so many hours of room light. Invented. */
const DARKENS = { share: 0.35, hours: 300 } as const
/** Sensitizer that was left in goes on to stain: so much more, in about so many hours. Invented; common practice says weeks. */
const STAINS = { more: 1.2, hours: 500 } as const
const HOURS_A_YEAR = 8766

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

/**
 * Dose that a lamp really gave, mJ/cm²: less than its clock says while it is cold, and when it has dimmed.
 *
 * @param dose by the clock.
 */
export function givenDose(
  dose: number,
  { lampShare, coldDose }: Pick<SheetConditions, 'lampShare' | 'coldDose'>,
): number {
  const short = coldDose > 0 ? COLD_SHORT * coldDose * (1 - Math.exp(-dose / coldDose)) : 0
  return lampShare * (dose - short)
}

/** The coat of a sheet as the plain model of a coat knows it. */
function coatOf(process: VirtualProcess, { coverage, imbalance, contrast }: SheetConditions): VirtualCoat {
  const depth = Math.min(1.25, depthOf(coverage)) * Math.exp(-((imbalance / IMBALANCE) ** 2))
  return {
    white: process.white.value,
    black: process.white.value + (process.black.value - process.white.value) * depth,
    speedMillijoulesPerCm2: process.speed.value,
    steepness: process.steepness.value * contrast,
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

/** How far something has gone in some seconds, 0 to 1. */
const gone = (seconds: number | null, constant: number) => 1 - Math.exp(-(seconds ?? 0) / constant)

/**
 * A sheet of a process, coated in some way: what light, baths, drying and hours make of it.
 *
 * Deeper with more dose, coat, size and humidity; lighter with chalk, imbalance and time in the fixer; cleaner with time
 * in the clearing bath; foggier with age and with light in the room; for years only what was washed. Without
 * self-masking it approaches its black as 1 − exp(−(H/H₀)^k).
 */
export function virtualSheet(process: VirtualProcess, conditions: SheetConditions): VirtualSheet {
  const response = densityOf(coatOf(process, conditions), roomOf(conditions))
  const answer = answerTo(conditions.nanometres, process)
  const white = process.white.value
  // Fog uses up the coat that it grows in: never deeper than its black.
  const range = process.black.value - white
  const age = FOG_AT_KEEP * (Math.max(0, conditions.coatAgeHours) / process.keepsHours.value) ** FOG_POWER
  const fog = range * (1 - Math.exp(-age / range))
  const under = process.over ? finished(process.over) : null

  /** What light has grown so far, as far as developer, baths and air let it be seen: density over the paper. */
  function seen(grown: number, work: SheetWork, toned: number, faded: number): number {
    const { developed, cleared, fixed, hoursDry } = work
    if (!isProcessed(work)) return process.printsOut.value * grown
    const { developSeconds, fix, toner, printsOut } = process
    const came = developSeconds ? 1 - (1 - printsOut.value) * (1 - gone(developed, developSeconds.value)) : 1
    const inWater = Math.exp((-process.clearLossPerHour.value * (cleared ?? 0)) / 3600)
    const tooLong = fix ? Math.max(0, (fixed ?? 0) - fix.seconds.value) / 60 : 0
    const spared = 1 - (toner?.spares.value ?? 0) * toned
    const inFixer = fix ? Math.exp(-fix.lossPerMinute.value * spared * tooLong) : 1
    const net = grown * came * inWater * inFixer * (1 + (toner?.deepens.value ?? 0) * toned)
    if (hoursDry === null) return net / (1 + process.dryDown.value)
    const settled = 1 - process.settling.value * Math.exp(-hoursDry / process.settlingHours.value)
    const sunken = 1 - process.sinking.value * (1 - conditions.sizing)
    return net * settled * sunken * (1 - faded)
  }

  function toneAt(filmDensity: number, work: SheetWork): VirtualTone {
    const dose = answer * givenDose(work.dose, conditions) * 10 ** -filmDensity + conditions.fogDose
    const grown = response(dose) - white
    const { toner, fix, washSeconds } = process
    const hours = isProcessed(work) ? (work.hoursDry ?? 0) : 0
    const toned = toner ? gone(work.toned, toner.seconds.value) : 0
    const fixerLeft = washSeconds && work.fixed !== null ? 1 - gone(work.washed, washSeconds.value) : 0
    const faded = 1 - Math.exp((-fixerLeft * hours) / HOURS_A_YEAR / FADES_IN_YEARS)
    const unfixed = fix ? 1 - gone(work.fixed, fix.seconds.value / 4) : 0
    const darkened = range * DARKENS.share * unfixed * gone(hours, DARKENS.hours)
    const uncleared = isProcessed(work) ? 1 - gone(work.cleared, process.clearSeconds.value) : 1
    const net = seen(grown, work, toned, faded)
    const stain = process.stain.value * uncleared * (1 + STAINS.more * gone(hours, STAINS.hours))
    // Where a coat has printed, less of it is left to fog.
    const own = net + (fog + darkened) * Math.exp(-net / range) + stain
    const base = under ? under(filmDensity) : 0
    const ownShare = base > 0 ? own / (own + base) : 1
    return { density: white + base + own, ownShare, uncleared, toned, faded }
  }
  return { toneAt, densityAt: (filmDensity, work) => toneAt(filmDensity, work).density }
}

const isProcessed = ({ developed, cleared }: SheetWork) => developed !== null || cleared !== null

/** The finished print under a layer, as density over its paper by that of the film. */
function finished(process: VirtualProcess): (filmDensity: number) => number {
  const sheet = virtualSheet(process, USUAL_CONDITIONS)
  const work = workWell(process, bestDose(process, USUAL_CONDITIONS))
  return (filmDensity) => sheet.densityAt(filmDensity, work) - process.white.value
}

/** A sheet of so much dose that was worked as it should be, and dried for two days. */
export function workWell(process: VirtualProcess, dose: number): SheetWork {
  return {
    ...UNTOUCHED,
    dose,
    developed: process.developSeconds ? 8 * process.developSeconds.value : null,
    cleared: 6 * process.clearSeconds.value,
    fixed: process.fix?.seconds.value ?? null,
    washed: process.washSeconds ? 6 * process.washSeconds.value : null,
    hoursDry: 48,
  }
}

/** Density below the deepest black that a base exposure allows. Common practice. */
export const JUST_BLACK = 0.04

/**
 * The dose on the clock at which clear film prints all but black: what a base exposure should find, mJ/cm².
 *
 * @returns `Infinity` under a lamp that the coat does not answer.
 */
export function bestDose(process: VirtualProcess, conditions: SheetConditions): number {
  const answer = answerTo(conditions.nanometres, process) * conditions.lampShare
  if (!(answer > 0)) return Infinity
  const wanted = trueBaseDose(coatOf(process, conditions), JUST_BLACK, roomOf(conditions)) / answer
  let dose = wanted
  // A cold lamp takes longer for the same light: each round is closer by more than half.
  for (let i = 0; i < 40; i++) dose += wanted - givenDose(dose, { ...conditions, lampShare: 1 })
  return dose
}
