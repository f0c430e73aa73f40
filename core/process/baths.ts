import type { SubstanceBook } from '../chemistry/lots'
import type { Figure, FigureInput } from '../quantity/figure'
import type { Bath } from '../schema/bath'
import type { BathUse, ProcessDefinition } from '../schema/definition'
import type { Sheet } from '../schema/records'
import type { WasteClass } from '../schema/substance'
import { wasteClassOf } from '../chemistry/waste'
import type { RunState } from '../run/run'

/** A print of 8 × 10 in, m²: what the trade counts prints in. */
export const PRINT_SQUARE_METRES = 0.2032 * 0.254
/** A drained sheet carries about so much of one bath into the next, ml for a square metre; from memory. */
export const CARRIED_MILLILITRES_PER_M2 = 100

/** One print that lay in a bath. */
export interface Pass {
  sheetId: string
  at: number
  squareMetres: number
  /** Silver that it brought, g; only known for sheets of silver. */
  silverGrams?: number
}

type SheetSize = Pick<Sheet, 'id' | 'widthMillimetres' | 'heightMillimetres'>

/** What decides how far a fixer goes. */
export interface FixerAim {
  /** Whether a second bath follows, so that this one may hold more silver. */
  isFirstOfTwo: boolean
  /** Silver that the next sheet brings, g/m². */
  silverPerM2: Figure
}

/** What the bath asks for next. */
export type BathVerdict =
  /** Nobody has used it. */
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

export interface BathStanding {
  passes: readonly Pass[]
  squareMetres: number
  /** Prints of 8 × 10 in that this comes to, since it was replenished last. */
  printsSince: number
  /** Share of its capacity that is used; `null` where it has none. */
  used: Figure | null
  /** What is left of its strength after what was carried in and out, 1 when fresh. */
  strength: Figure
  verdict: BathVerdict
  /** Prints of 8 × 10 in that it still takes; `null` where nothing limits it. */
  printsLeft: number | null
  bestUntil: number | null
}

/**
 * The bath that stands for this tray: of this name and solution, whichever process it was made up for, the newest first.
 */
export function standingBath(
  baths: readonly Bath[],
  bathId: string,
  solutes: readonly { substanceId: string; percentWv: number }[],
): Bath | null {
  const same = (bath: Bath) =>
    bath.bath === bathId &&
    bath.contents.length === solutes.length &&
    solutes.every((one) =>
      bath.contents.some(
        (held) =>
          held.substanceId === one.substanceId &&
          Math.abs(held.percent - one.percentWv) <= 0.5 * one.percentWv,
      ),
    )
  return baths.filter((bath) => !bath.ended && same(bath)).sort((a, b) => b.madeAt - a.madeAt)[0] ?? null
}

/**
 * Prints that lay in a bath, by the logs of their sheets, earliest first.
 *
 * @param inIt whether a sheet lies in it at this moment; such a print counts from when it was slid in.
 * @param silverPerM2 g of silver that a sheet brings on a square metre, for fixers.
 */
export function passesOf<Work extends { sheet: SheetSize; state: RunState }>(
  bathId: string,
  works: readonly Work[],
  inIt: (sheetId: string) => boolean = () => false,
  silverPerM2?: (work: Work) => number,
): Pass[] {
  return works
    .flatMap((work) => {
      const { sheet, state } = work
      const squareMetres = (sheet.widthMillimetres * sheet.heightMillimetres) / 1e6
      const pass = (at: number): Pass => ({
        sheetId: sheet.id,
        at,
        squareMetres,
        ...(silverPerM2 && { silverGrams: silverPerM2(work) * squareMetres }),
      })
      const done = state.steps
        .filter((step) => step.bathId === bathId && step.status === 'done')
        .map((step) => pass(step.startedAt ?? step.finishedAt ?? 0))
      const running = state.steps[state.current]
      return running?.startedAt !== undefined && running.status === 'running' && inIt(sheet.id)
        ? [...done, pass(running.startedAt)]
        : done
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
export function bathStanding(
  bath: Bath,
  use: BathUse | undefined,
  passes: readonly Pass[],
  keepsSeconds: number | undefined,
  now: number,
  fixer?: FixerAim,
): BathStanding {
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
    strength: strengthOf(bath, passes),
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

/** How much a bath bears, in what is counted: m² of paper, or g of silver. */
interface Capacity {
  kind: 'area' | 'silver'
  value: number
  /** What one more print of 8 × 10 in takes of it. */
  perPrint: number
  inputs: FigureInput[]
}

function capacityOf(bath: Bath, use: BathUse | undefined, fixer: FixerAim | undefined): Capacity | null {
  const litres: FigureInput = {
    name: 'in the tray',
    symbol: 'V',
    value: bath.millilitres / 1000,
    unit: 'l',
    standing: 'yours',
  }
  if (use?.silver && fixer && fixer.silverPerM2.value > 0) {
    const aim = fixer.isFirstOfTwo ? use.silver.firstOfTwo : use.silver.alone
    return {
      kind: 'silver',
      value: aim * litres.value,
      perPrint: fixer.silverPerM2.value * PRINT_SQUARE_METRES,
      inputs: [
        {
          name: fixer.isFirstOfTwo ? 'silver a first bath may hold' : 'silver a single bath may hold',
          symbol: 'c',
          value: aim,
          unit: 'g/l',
          standing: use.standing,
        },
        litres,
        {
          name: 'silver the next sheet brings',
          symbol: 'm',
          value: fixer.silverPerM2.value,
          unit: 'g/m²',
          standing: fixer.silverPerM2.working.standing,
        },
      ],
    }
  }
  if (use?.squareMetresPerLitre === undefined) return null
  return {
    kind: 'area',
    value: use.squareMetresPerLitre * litres.value,
    perPrint: PRINT_SQUARE_METRES,
    inputs: [
      {
        name: 'capacity',
        symbol: 'c',
        value: use.squareMetresPerLitre,
        unit: 'm²/l',
        standing: use.standing,
      },
      litres,
    ],
  }
}

function usedShare(capacity: Capacity, passes: readonly Pass[], use: BathUse | undefined): Figure {
  const isSilver = capacity.kind === 'silver'
  const brought = passes.reduce(
    (sum, pass) => sum + (isSilver ? (pass.silverGrams ?? 0) : pass.squareMetres),
    0,
  )
  return {
    value: brought / capacity.value,
    unit: '',
    working: {
      words: isSilver
        ? 'silver brought into it over what it may hold'
        : 'paper through it over what it bears',
      formula: isSilver ? 'u = Σ m·A / (c·V)' : 'u = A / (c·V)',
      inputs: [
        isSilver
          ? { name: 'silver brought into it', symbol: 'Σ m·A', value: brought, unit: 'g', standing: 'memory' }
          : { name: 'paper through it', symbol: 'A', value: brought, unit: 'm²', standing: 'yours' },
        ...capacity.inputs,
      ],
      standing: use?.standing ?? 'memory',
      source: use?.source ?? '',
      leavesOut: isSilver
        ? 'the silver of the picture and what the first water took: it errs to the safe side'
        : 'how much of each sheet is picture; dense prints and their borders take less or more',
    },
  }
}

/** Every drained sheet brings in what it carries and takes as much along; what is replenished brings it up again. */
function strengthOf(bath: Bath, passes: readonly Pass[]): Figure {
  const happened = [
    ...passes.map((pass) => ({
      at: pass.at,
      carried: pass.squareMetres * CARRIED_MILLILITRES_PER_M2,
      fresh: 0,
    })),
    ...bath.replenished.map((one) => ({ at: one.at, carried: 0, fresh: one.millilitres })),
  ].sort((a, b) => a.at - b.at)
  let strength = 1
  for (const { carried, fresh } of happened) {
    strength *= Math.exp(-carried / bath.millilitres)
    strength += (1 - strength) * Math.min(1, fresh / bath.millilitres)
  }
  return {
    value: strength,
    unit: '',
    working: {
      words: 'thinned by what each sheet carries in, brought up by what was added',
      formula: 's = s·e^(−k·A/V), then s + (1 − s)·r/V',
      inputs: [
        {
          name: 'carried by a drained sheet',
          symbol: 'k',
          value: CARRIED_MILLILITRES_PER_M2,
          unit: 'ml/m²',
          standing: 'memory',
        },
        { name: 'sheets through it', symbol: 'n', value: passes.length, unit: '', standing: 'yours' },
        { name: 'in the tray', symbol: 'V', value: bath.millilitres, unit: 'ml', standing: 'yours' },
        {
          name: 'added',
          symbol: 'r',
          value: bath.replenished.reduce((sum, one) => sum + one.millilitres, 0),
          unit: 'ml',
          standing: 'yours',
        },
      ],
      standing: 'memory',
      source:
        'Exponential dilution in a well-stirred tray; what a sheet carries is from memory, about 5 ml on 8 × 10 in',
      leavesOut: 'what the prints themselves use up',
    },
  }
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
