import { bestDose, virtualSheet } from './virtualPrint'
import type { SheetConditions, SheetWork, VirtualProcess } from './virtualProcess'

/** What a practice print is judged by: what was decided, and not how it happened to come out. */
export interface PracticeScore {
  /** How far the dose was from the best, in stops; above 0 too much. */
  doseStops: number
  /** Density of sensitizer that was left in. */
  stainLeft: number
  /** Share of the density that the fixer took beyond what it had to. */
  fixLoss: number
  /** It was fixed for less than most of the time that it has to be: it will not last. */
  isUnfixed: boolean
  /** How often the frame was opened. */
  looks: number
  /** Each from 0 to 100, and all of them together. */
  marks: { exposure: number; clearing: number; fixing: number; economy: number; total: number }
}

/** Stops off at which nothing is left of the marks for exposure, and stain and loss at which none is for their baths. */
const WORST = { stops: 2, stain: 0.06, loss: 0.25 } as const
/** A print that was fixed for less than this share of the time was not fixed. */
const NEARLY = 0.8
/** So many looks cost nothing; each more costs so much. */
const FREE_LOOKS = 3
const LOOK_COSTS = 10
/** Within so much of a stop no one sees a difference. */
const UNSEEN_STOPS = 0.15
const WEIGHTS = { exposure: 0.5, clearing: 0.25, fixing: 0.15, economy: 0.1 } as const

/** Marks by how far something is on its way to the worst. */
const marked = (off: number, worst: number) => Math.round(100 * Math.max(0, 1 - Math.max(0, off) / worst))

/** Judges a practice print. @param looks times the frame was opened. */
export function practiceScore(
  process: VirtualProcess,
  conditions: SheetConditions,
  work: SheetWork,
  looks: number,
): PracticeScore {
  const best = bestDose(process, conditions)
  const doseStops = work.dose > 0 && Number.isFinite(best) ? Math.log2(work.dose / best) : -Infinity
  const stainLeft = process.stain.value * Math.exp(-(work.cleared ?? 0) / process.clearSeconds.value)
  const sheet = virtualSheet(process, conditions)
  const net = (fixed: number | null) =>
    sheet.densityAt(0, { ...work, fixed, hoursDry: 1000 }) -
    sheet.densityAt(9, { ...work, fixed, hoursDry: 1000 })
  const whole = net(0)
  const fixLoss = whole > 0 ? Math.max(0, 1 - net(work.fixed) / whole) : 0
  const exposure = marked(Math.abs(doseStops) - UNSEEN_STOPS, WORST.stops)
  const clearing = marked(stainLeft - 0.005, WORST.stain)
  const isUnfixed = process.fix !== null && (work.fixed ?? 0) < NEARLY * process.fix.seconds.value
  const fixing = isUnfixed ? 0 : marked(fixLoss - 0.02, WORST.loss)
  const economy = Math.max(0, 100 - LOOK_COSTS * Math.max(0, looks - FREE_LOOKS))
  const marks = { exposure, clearing, fixing, economy }
  const total = Math.round(
    (Object.keys(WEIGHTS) as (keyof typeof WEIGHTS)[]).reduce(
      (sum, key) => sum + WEIGHTS[key] * marks[key],
      0,
    ),
  )
  return { doseStops, stainLeft, fixLoss, isUnfixed, looks, marks: { ...marks, total } }
}
