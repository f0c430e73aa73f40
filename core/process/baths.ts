import type { SubstanceBook } from '../chemistry/lots'
import type { Figure } from '../quantity/figure'
import type { Bath } from '../schema/bath'
import type { BathUse, ProcessDefinition } from '../schema/definition'
import type { Sheet } from '../schema/records'
import type { WasteClass } from '../schema/substance'
import { wasteClassOf } from '../chemistry/waste'
import type { RunState, StepState } from '../run/runState'
import { PRINT_SQUARE_METRES, type Pass, type FixerAim, capacityOf, usedShare } from './bathCapacity'
import type { Exchange } from './trayExchange'
import { trayLevel } from './trayLevel'

type SheetSize = Pick<Sheet, 'id' | 'widthMillimetres' | 'heightMillimetres'>

/** What the bath asks for next. */
export type BathVerdict =
  /** No one has used it. */
  | 'fresh'
  | 'serves'
  /** The earliest number of prints is reached: it may be replenished now. */
  | 'replenishSoon'
  /** The latest is reached: not another print before. */
  | 'replenish'
  /** It was made for one print, and has had it. */
  | 'used'
  | 'spent'
  | 'old'

export interface BathCondition {
  passes: readonly Pass[]
  squareMetres: number
  /** Prints of 8 × 10 in that this comes to, since it was replenished last. */
  printsSince: number
  /** Share of its capacity that is used; `null` where it has none. */
  used: Figure | null
  /** What is left of its strength after what was carried in and out, 1 when fresh. */
  strength: Figure
  /** What is left in the tray, ml. */
  level: Figure
  verdict: BathVerdict
  /** Prints of 8 × 10 in that it still takes; `null` where nothing limits it. */
  printsLeft: number | null
  bestUntil: number | null
}

/** A bath of another process counts for a tray within this share of the strength that the tray is meant to have. */
const LIKE_STRENGTH = 0.5

/**
 * Baths that stand for this tray, the one in it first: of this name and these substances, the newest first. One of about the
 * strength is taken whichever process it was made for; what was poured for this process is in its tray at any strength.
 *
 * @param processId the process whose tray it is; without it only a bath of about the strength is found.
 */
export function bathsForTray(
  baths: readonly Bath[],
  bathId: string,
  solutes: readonly { substanceId: string; percentWv: number }[],
  processId?: string,
): Bath[] {
  const filled = baths
    .filter((bath) => !bath.ended && bath.bath === bathId)
    .sort((a, b) => b.madeAt - a.madeAt)
  const ofTray = filled.filter(
    (bath) =>
      bath.contents.length === solutes.length &&
      solutes.every((one) => bath.contents.some((held) => held.substanceId === one.substanceId)),
  )
  // What was poured in place of it last is in the tray, as long as nothing else was poured since.
  const own = filled.find((bath) => bath.processId === processId)
  return [
    ...new Set([
      ...(own?.isInstead ? [own] : []),
      ...ofTray.filter((bath) => strengthOff(bath, solutes) <= LIKE_STRENGTH),
      ...ofTray.filter((bath) => bath.processId === processId),
      ...filled.filter((bath) => bath.isInstead && bath.processId === processId),
    ]),
  ]
}

/**
 * Whether a solution may serve the purpose of another in a tray: some substance of each reacts alike, such as two acids or two
 * thiosulfates.
 */
export const isOfPurpose = (
  contents: readonly { substanceId: string }[],
  meant: readonly { substanceId: string }[],
  book: SubstanceBook,
): boolean => {
  const classes = new Set(meant.flatMap(({ substanceId }) => book[substanceId]?.reacts ?? []))
  return contents.some(({ substanceId }) => book[substanceId]?.reacts.some((one) => classes.has(one)))
}

/** How far a bath is off the strength that its tray is meant to have, as a share of it, of the solute that is furthest off. */
export const strengthOff = (
  bath: Bath,
  solutes: readonly { substanceId: string; percentWv: number }[],
): number =>
  Math.max(
    0,
    ...solutes.map(({ substanceId, percentWv }) => {
      const held = bath.contents.find((one) => one.substanceId === substanceId)
      return held ? Math.abs(held.percent - percentWv) / percentWv : Infinity
    }),
  )

interface AboutPasses<Work> {
  /** Whether a sheet is in it at this moment; such a print counts from when it was slid in. */
  inIt?: (sheetId: string) => boolean
  /** g of silver that a sheet brings on a square metre, for fixers. */
  silverPerM2?: ((work: Work) => number) | undefined
  /** What a sheet takes along and brings in at a step; without it every sheet counts as a wet one. */
  exchange?: (work: Work, step: StepState) => Exchange
}

/** Prints that lay in a bath, by the logs of their sheets, earliest first. */
export function passesOf<Work extends { sheet: SheetSize; state: RunState }>(
  bathId: string,
  works: readonly Work[],
  { inIt = () => false, silverPerM2, exchange }: AboutPasses<Work> = {},
): Pass[] {
  return works
    .flatMap((work) => {
      const { sheet, state } = work
      const squareMetres = (sheet.widthMillimetres * sheet.heightMillimetres) / 1e6
      const pass = (step: StepState): Pass => ({
        sheetId: sheet.id,
        at: step.startedAt ?? step.finishedAt ?? 0,
        squareMetres,
        ...(silverPerM2 && { silverGrams: silverPerM2(work) * squareMetres }),
        ...(exchange && { exchange: exchange(work, step) }),
      })
      const running = state.steps[state.current]
      const isIn = running?.startedAt !== undefined && running.status === 'running' && inIt(sheet.id)
      return [
        ...state.steps.filter((step) => step.bathId === bathId && step.status === 'done'),
        ...(isIn ? [running] : []),
      ].map(pass)
    })
    .sort((a, b) => a.at - b.at)
}

/**
 * How a bath stands: how many prints it has had, how far it is used up and thinned, and what it asks for.
 *
 * @param use how far such a solution goes, by the process; absent where nothing is known of it.
 * @param keepsSeconds its life in the tray.
 * @param now milliseconds.
 * @param fixer for baths whose capacity is a weight of silver; without it they have none.
 */
export function bathCondition(
  bath: Bath,
  use: BathUse | undefined,
  passes: readonly Pass[],
  keepsSeconds: number | undefined,
  now: number,
  fixer?: FixerAim,
): BathCondition {
  const squareMetres = passes.reduce((sum, pass) => sum + pass.squareMetres, 0)
  const lastFresh = bath.replenished.at(-1)?.at ?? bath.madeAt
  const since = passes.filter((pass) => pass.at >= lastFresh)
  const printsSince = since.reduce((sum, pass) => sum + pass.squareMetres, 0) / PRINT_SQUARE_METRES
  const capacity = capacityOf(bath, use, fixer)
  const used = capacity && usedShare(capacity, passes, use)
  const bestUntil = keepsSeconds === undefined ? null : bath.madeAt + keepsSeconds * 1000
  const left = [
    ...(capacity && used ? [((1 - used.value) * capacity.value) / capacity.perPrint] : []),
    ...(use?.replenish ? [use.replenish.atMostPrints - printsSince] : []),
    ...(bath.manner === 'oneShot' ? [passes.length ? 0 : 1] : []),
  ]
  return {
    passes,
    squareMetres,
    printsSince,
    used,
    ...trayLevel(bath, passes),
    verdict: verdictOf(bath, use, { used, printsSince, bestUntil, count: passes.length }, now),
    printsLeft: left.length ? Math.max(0, Math.floor(Math.min(...left) + 1e-6)) : null,
    bestUntil,
  }
}

const SLACK = 1e-6

function verdictOf(
  bath: Bath,
  use: BathUse | undefined,
  {
    used,
    printsSince,
    bestUntil,
    count,
  }: { used: Figure | null; printsSince: number; bestUntil: number | null; count: number },
  now: number,
): BathVerdict {
  if (bestUntil !== null && now > bestUntil) return 'old'
  if (used && used.value >= 1 - SLACK) return 'spent'
  if (bath.manner === 'oneShot' && count > 0) return 'used'
  if (use?.replenish && printsSince >= use.replenish.atMostPrints - SLACK) return 'replenish'
  if (use?.replenish && printsSince >= use.replenish.afterPrints - SLACK) return 'replenishSoon'
  return count ? 'serves' : 'fresh'
}

/** Which jar a bath is poured into. */
export const wasteOf = (bath: Bath, book: SubstanceBook): WasteClass => wasteClassOf(bath.contents, book)

/** How far a process says that one of its baths goes, and how long it keeps. */
export function useOf(
  definition: ProcessDefinition,
  bathId: string,
): { use: BathUse | undefined; keepsSeconds: number | undefined } {
  const bath = definition.baths.find((one) => one.id === bathId)
  const component = definition.components.find((one) => one.id === bathId)
  return { use: bath?.use, keepsSeconds: (bath ?? component)?.stock.keepsSeconds }
}
