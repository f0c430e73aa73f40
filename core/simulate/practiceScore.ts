import { bestDose, virtualSheet } from './virtualPrint'
import type { SheetConditions, SheetWork, VirtualProcess } from './virtualProcess'

/** What was decided about a practice print besides its light and baths. */
export interface PracticeEffort {
  /** A strip or tablet was printed: it is exposed generously, and read instead of judged by its exposure. */
  isLadder?: boolean
  /** How often the frame was opened, and how many test sheets were made. */
  looks: number
  tests: number
  /** Causes of what was hidden in the sheet, and those that were named; absent before they are. */
  hidden: readonly string[]
  named: readonly string[] | null
}

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
  /** Share of the fixer that the wash left in. */
  fixerLeft: number
  /** Each from 0 to 100, `null` where it does not apply; and all of them together. */
  marks: Record<PracticeMark, number | null> & { total: number }
}

/** What marks are given for. */
export type PracticeMark = 'exposure' | 'clearing' | 'fixing' | 'washing' | 'economy' | 'cause'

/** Stops off at which nothing is left of the marks for exposure; stain, loss and fixer at which none is for their baths. */
const WORST = { stops: 2, stain: 0.06, loss: 0.25, fixer: 0.4 } as const
/** A print that was fixed for less than this share of the time was not fixed. */
const NEARLY = 0.8
/** So many looks, and tests where something is hidden, cost nothing; each more costs so much. */
const FREE = { looks: 3, tests: 2 } as const
const COSTS = { look: 10, test: 15 } as const
/** Within so much of a stop no one sees a difference. */
const UNSEEN_STOPS = 0.15
const WEIGHTS: Record<PracticeMark, number> = {
  exposure: 0.4,
  clearing: 0.2,
  fixing: 0.12,
  washing: 0.08,
  economy: 0.1,
  cause: 0.3,
}

/** Marks by how far something is on its way to the worst. */
const marked = (off: number, worst: number) => Math.round(100 * Math.max(0, 1 - Math.max(0, off) / worst))

/** Share of the hidden causes that were named, less what was named besides; `null` before anything is named. */
function causeMark({ hidden, named }: PracticeEffort): number | null {
  if (!hidden.length) return null
  if (!named) return 0
  const right = hidden.filter((id) => named.includes(id)).length
  const wrong = named.filter((id) => !hidden.includes(id)).length
  return Math.round(100 * Math.max(0, (right - 0.5 * wrong) / hidden.length))
}

/** Judges a practice print. */
export function practiceScore(
  process: VirtualProcess,
  conditions: SheetConditions,
  work: SheetWork,
  effort: PracticeEffort,
): PracticeScore {
  const best = bestDose(process, conditions)
  const doseStops = work.dose > 0 && Number.isFinite(best) ? Math.log2(work.dose / best) : -Infinity
  const { toneAt } = virtualSheet(process, conditions)
  const clear = toneAt(9, work)
  const stainLeft = process.stain.value * clear.uncleared
  const net = (fixed: number | null) => {
    const then = { ...work, fixed, washed: 1e6, hoursDry: 1000 }
    return toneAt(0, then).density - toneAt(9, then).density
  }
  const whole = net(process.fix?.seconds.value ?? null)
  const fixLoss = process.fix && whole > 0 ? Math.max(0, 1 - net(work.fixed) / whole) : 0
  const isUnfixed = process.fix !== null && (work.fixed ?? 0) < NEARLY * process.fix.seconds.value
  const fixerLeft = process.washSeconds ? Math.exp(-(work.washed ?? 0) / process.washSeconds.value) : 0
  const marks: Record<PracticeMark, number | null> = {
    exposure: effort.isLadder ? null : marked(Math.abs(doseStops) - UNSEEN_STOPS, WORST.stops),
    clearing: marked(stainLeft - 0.005, WORST.stain),
    fixing: process.fix ? (isUnfixed ? 0 : marked(fixLoss - 0.02, WORST.loss)) : null,
    washing: process.washSeconds ? marked(fixerLeft - 0.06, WORST.fixer) : null,
    economy: Math.max(
      0,
      100 -
        COSTS.look * Math.max(0, effort.looks - FREE.looks) -
        COSTS.test * Math.max(0, effort.tests - FREE.tests),
    ),
    cause: causeMark(effort),
  }
  const given = (Object.keys(WEIGHTS) as PracticeMark[]).filter((key) => marks[key] !== null)
  const weight = given.reduce((sum, key) => sum + WEIGHTS[key], 0)
  const total = Math.round(given.reduce((sum, key) => sum + WEIGHTS[key] * (marks[key] ?? 0), 0) / weight)
  return { doseStops, stainLeft, fixLoss, isUnfixed, fixerLeft, marks: { ...marks, total } }
}
