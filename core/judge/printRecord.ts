import { isAcidTreated, type TreatmentWork } from '../process/acidTreated'
import { layingsOf, silverLaid } from '../process/silverOnPaper'
import { saltBalance, USUAL_UPTAKE, type SaltBalance } from '../chemistry/saltBalance'
import { solutesIn, solutesOf, type SubstanceBook } from '../chemistry/lots'
import { baseFor, type FoundBase } from '../light/bases'
import { healthOf, historyOf } from '../light/lightLedger'
import { heatOf, type BathHeat } from '../process/bathHeat'
import { bathCondition, passesOf, useOf, type BathCondition } from '../process/baths'
import { schoolStocks } from '../process/plan'
import { exchangeOf, type Exchange } from '../process/trayExchange'
import { elapsedSeconds } from '../run/clock'
import { clockOf, wordsIdOf, type RunState, type StepState } from '../run/runState'
import type { Bath } from '../schema/bath'
import type { ProcessDefinition, StepDefinition } from '../schema/definition'
import type { Base, Calibration, Light, LightEntry, MadeNegative } from '../schema/light'
import type { Bottle, Paper, Piece, Sheet } from '../schema/records'
import { inTray } from './laidFromTray'
import { glassesOf } from './mixed'
import { preparationsOf, type Preparation } from './preparation'
import type { RegisterCheck } from '../schema/register'
import { registerOf } from '../scan/registerError'

/** A sheet with what its log amounts to and its process. */
export interface PrintWork {
  sheet: Sheet
  state: RunState
  definition: ProcessDefinition
}

/** Everything in a workroom that a print's record can point at. */
export interface RoomRecords {
  prints: readonly PrintWork[]
  papers: readonly Paper[]
  pieces: readonly Piece[]
  treatments: readonly TreatmentWork[]
  bottles: readonly Bottle[]
  lights: readonly Light[]
  lightEntries: readonly LightEntry[]
  bases: readonly Base[]
  baths: readonly Bath[]
  negatives: readonly MadeNegative[]
  calibrations: readonly Calibration[]
  registerChecks: readonly RegisterCheck[]
  substances: SubstanceBook
}

/** One step of a print in the bath it lay in, as that stood then. */
export interface BathMet {
  wordsId: string
  at: number
  bath: Bath
  standing: BathCondition
  /** Its temperature against the bath before it, where that is known. */
  heat: BathHeat | null
  /** How strong it was made, times what the process means for its tray; `null` where it holds something else. */
  timesStrength: number | null
  /** What the sheet took along, and brought in. */
  exchange: Exchange
}

/** One print with all that its thread hangs on. */
export interface PrintRecord extends PrintWork {
  paper: Paper | null
  piece: Piece | null
  /** What was done to its paper before, oldest first. */
  preparations: readonly Preparation[]
  /** What was really in each glass, in words. */
  glasses: readonly string[]
  /** Whether an acid bath of its paper is on record. */
  isTreated: boolean
  light: Light | null
  /** What the lamp gave then over its oldest reading, percent, and the hours at that; `null` where nothing tells it. */
  lamp: { percent: number; firstReadAtHours: number | null } | null
  base: FoundBase | null
  bottles: readonly { component: string; bottle: Bottle }[]
  /** When the coat was mixed, or the sheet planned. */
  mixedAt: number
  baths: readonly BathMet[]
  films: readonly MadeNegative[]
  /** The calibrations whose curves these have. */
  curves: readonly Calibration[]
  /** The print that it is a layer over. */
  below: PrintWork | null
  balance: SaltBalance | null
  /** Worst mark of the last register check, mm. */
  registerWorst: number | null
}

/** Words of a step of a run. */
export const wordsOf = (definition: ProcessDefinition, step: StepState): StepDefinition | undefined =>
  definition.steps.find((one) => one.id === wordsIdOf(step.planned))

/** The exposure of a sheet: the first that was begun, or is planned. */
export const exposureOf = (state: RunState): StepState | undefined =>
  state.steps.find((step) => step.planned.kind === 'expose')

/** Seconds that an exposure came to: as the dose was counted, or by its clock; `null` while it has not ended. */
export function secondsGiven(step: StepState | undefined): number | null {
  const clock = step && clockOf(step)
  if (step?.dose) return step.dose.seconds
  return clock && step.finishedAt !== undefined ? elapsedSeconds(clock, step.finishedAt) : null
}

/**
 * Gathers all that the records of a workroom say of one print.
 *
 * @param room shape of the whole workroom; only what the print points at is read.
 */
export function printRecord({ sheet, state, definition }: PrintWork, room: RoomRecords): PrintRecord {
  const drawn = state.steps.flatMap((step) => step.drawn)
  const chosen = Object.entries(sheet.bottles).map(([component, bottleId]) => ({ component, bottleId }))
  const bottles = (drawn.length ? drawn : chosen).flatMap(({ component, bottleId }) => {
    const bottle = room.bottles.find((one) => one.id === bottleId)
    return bottle ? [{ component, bottle }] : []
  })
  const light = room.lights.find((one) => one.id === sheet.lightId) ?? null
  const exposedAt = exposureOf(state)?.startedAt ?? null
  const checks = room.registerChecks.filter(
    (one) => one.sheetId === sheet.id && one.takenBackAt === undefined,
  )
  const check = checks.sort((a, b) => a.at - b.at).at(-1)
  const baths = bathsMet({ sheet, state, definition }, room)
  const films = room.negatives.filter((one) => one.sheetId === sheet.id && one.takenBackAt === undefined)
  return {
    sheet,
    state,
    definition,
    paper: room.papers.find((one) => one.id === sheet.paperId) ?? null,
    piece: room.pieces.find((one) => one.id === sheet.pieceId) ?? null,
    preparations: preparationsOf(sheet, room.treatments, room.substances),
    glasses: glassesOf(state, definition, room.bottles, room.substances),
    isTreated: isAcidTreated(sheet, room.treatments, room.substances),
    light,
    lamp: light && exposedAt !== null ? lampThen(light, exposedAt, room) : null,
    base: sheet.lightId
      ? baseFor(
          room.bases.filter((one) => one.at <= (exposedAt ?? Infinity)),
          {
            processId: sheet.process.id,
            paperId: sheet.paperId,
            lightId: sheet.lightId,
            choices: sheet.choices,
          },
        )
      : null,
    bottles: [...new Map(bottles.map((one) => [one.component, one])).values()],
    mixedAt: state.steps.find((step) => step.drawn.length)?.finishedAt ?? state.begunAt ?? sheet.createdAt,
    baths,
    films,
    curves: room.calibrations.filter(({ id }) => films.some(({ calibrationId }) => calibrationId === id)),
    below: room.prints.find((one) => one.sheet.id === sheet.over) ?? null,
    balance: balanceOf({ sheet, definition }, bottles, baths, room),
    registerWorst: check ? registerOf(check.marks).worst : null,
  }
}

function lampThen(light: Light, at: number, room: RoomRecords): PrintRecord['lamp'] {
  if (light.kind === 'sun') return null
  const sheets = room.prints.map((one) => ({ lightId: one.sheet.lightId, state: one.state }))
  const entries = room.lightEntries.filter((one) => one.at <= at)
  const bases = room.bases.filter((one) => one.at <= at)
  const { left, firstReadAtHours } = healthOf(historyOf(light, entries, bases, sheets, at), at)
  return left && { percent: left.value, firstReadAtHours }
}

const weightOf = (papers: readonly Paper[], paperId: string | undefined) =>
  papers.find((one) => one.id === paperId)?.gramsPerM2

function bathsMet({ sheet, state, definition }: PrintWork, room: RoomRecords): BathMet[] {
  const gramsPerM2 = weightOf(room.papers, sheet.paperId)
  return state.steps.flatMap((step) => {
    const bath = room.baths.find((one) => one.id === step.bathId)
    if (!bath) return []
    const at = step.finishedAt ?? step.startedAt ?? 0
    // The bath as this print met it: what came after is not its fault, and neither is its own pass.
    const passes = passesOf(bath.id, room.prints, {
      silverPerM2: (one) => silverLaid(one.definition, one.sheet, room.substances).value,
      exchange: (one, its) =>
        exchangeOf(one, its, bath, room.substances, weightOf(room.papers, one.sheet.paperId)),
    }).filter((pass) => pass.sheetId !== sheet.id && pass.at < at)
    const known = {
      ...bath,
      replenished: bath.replenished.filter((one) => one.at <= at),
      filtered: bath.filtered.filter((filteredAt) => filteredAt <= at),
    }
    const { use, keepsSeconds } = useOf(definition, bath.bath)
    return [
      {
        wordsId: wordsIdOf(step.planned),
        at,
        bath: known,
        exchange: exchangeOf({ sheet, state, definition }, step, bath, room.substances, gramsPerM2),
        heat: heatOf(bath, room.baths),
        timesStrength: timesStrength(bath, meantFor(definition, sheet, bath.bath)),
        standing: bathCondition(known, use, passes, keepsSeconds, at, {
          isFirstOfTwo: room.baths.some(
            (other) =>
              other.bath === use?.followedBy && state.steps.some((later) => later.bathId === other.id),
          ),
          silverPerM2: silverLaid(definition, sheet, room.substances),
        }),
      },
    ]
  })
}

/** What a process means for a tray, by what was chosen. */
const meantFor = (definition: ProcessDefinition, { choices }: Pick<Sheet, 'choices'>, trayId: string) =>
  schoolStocks(definition, choices)[trayId] ??
  definition.baths.find(({ id }) => id === trayId)?.stock.solutes ??
  []

function timesStrength(
  bath: Bath,
  meant: readonly { substanceId: string; percentWv: number }[],
): number | null {
  const shares = meant.map(
    ({ substanceId, percentWv }) =>
      (bath.contents.find((one) => one.substanceId === substanceId)?.percent ?? NaN) / percentWv,
  )
  const most = Math.max(...shares)
  return shares.length > 0 && !bath.isAssumed && Number.isFinite(most) ? most : null
}

function balanceOf(
  { sheet, definition }: Pick<PrintWork, 'sheet' | 'definition'>,
  bottles: readonly { component: string; bottle: Bottle }[],
  baths: readonly BathMet[],
  { papers, substances }: RoomRecords,
): SaltBalance | null {
  const stocks = schoolStocks(definition, sheet.choices)
  const laid = layingsOf(definition, sheet, (component) => {
    // What was in the tray counts, whatever the bottle holds that it was poured from.
    const tray = baths.find((met) => met.bath.bath === component)
    if (tray) return solutesOf(inTray(tray), substances)
    const bottle = bottles.find((one) => one.component === component)?.bottle
    return bottle ? solutesIn(bottle, substances) : solutesOf(stocks[component] ?? [], substances)
  })
  if (laid.length < 2) return null
  const gramsPerM2 = weightOf(papers, sheet.paperId)
  const balance = saltBalance(laid, {
    ...USUAL_UPTAKE,
    brushMillilitresPerM2: sheet.coverageMillilitresPerM2,
    ...(gramsPerM2 !== undefined && { gramsPerM2 }),
  })
  return balance.halide.value > 0 && balance.silver.value > 0 ? balance : null
}
