import { exposureOf, secondsGiven, type PrintWork } from '../judge/printRecord'
import { expectedLight } from '../light/lightNow'
import type { LightHistory } from '../light/lightLedger'
import type { Base } from '../schema/light'
import { densityAt, DRY } from '../tone/measured'
import { bestDose } from './virtualPrint'
import { USUAL_CONDITIONS, type VirtualProcess } from './virtualProcess'

/** A real print, or a base exposure, that says something about its process: its dose, and how that turned out. */
export interface RealPrint {
  id: string
  /** When it was judged or found. */
  at: number
  /** Number of the sheet; `null` for a base exposure. */
  number: number | null
  /** Dose it was given, and what it should have had by its dry judgement, mJ/cm². */
  dose: number
  wanted: number
  /** Density of its black, dry, where it was measured. */
  black: number | null
}

/** What a workroom's own prints change about a practice model. */
export interface ModelTuning {
  /** Factor on the dose that the model needs. */
  doseTimes: number
  /** Dry Dmax, where it was measured. */
  black: number | null
  /** The prints it was taken from. */
  ids: readonly string[]
}

/** A print that is too thin should have had half a stop more, one that is blocked half a stop less. Common practice. */
const OFF_STOPS = { thin: 0.5, right: 0, blocked: -0.5 } as const
/** Newer prints say more about how one works now. */
const LAST = 5

/**
 * Dose of a print, mJ/cm²: as it was counted, or its time in the light that its lamp gave then; `null` where neither is
 * known. Of the sun only a counted dose is a dose.
 */
export function doseOfPrint(
  { state }: Pick<PrintWork, 'state'>,
  history: LightHistory | null,
): number | null {
  const step = exposureOf(state)
  if (step?.dose?.millijoulesPerCm2 !== undefined) return step.dose.millijoulesPerCm2
  const [seconds, at] = [secondsGiven(step), step?.startedAt]
  if (seconds === null || at === undefined || !history || history.light.kind === 'sun') return null
  const light = step?.milliwattsPerCm2 ?? expectedLight(history, at)?.value
  return light === undefined ? null : seconds * light
}

/**
 * Prints of a process that were exposed by a known dose and judged dry, and base exposures that are doses, newest first.
 *
 * A print that was kept without a word about its shadows counts as right. Test strips are not prints.
 */
export function realPrintsOf(
  processId: string,
  works: readonly PrintWork[],
  bases: readonly Base[],
  historyOf: (lightId: string | undefined) => LightHistory | null,
): RealPrint[] {
  const prints = works
    .filter(({ sheet }) => sheet.process.id === processId && sheet.binnedAt === undefined && !sheet.strip)
    .flatMap((work): RealPrint[] => {
      const { sheet, state } = work
      const judged = state.judgements.findLast(({ moment }) => moment !== 'wet')
      const shadows = judged?.shadows ?? (judged?.verdict === 'keep' ? 'right' : null)
      const dose = shadows && doseOfPrint(work, historyOf(sheet.lightId))
      if (!judged || !shadows || !dose) return []
      const wanted = dose * 2 ** OFF_STOPS[shadows]
      return [{ id: sheet.id, at: judged.at, number: sheet.number, dose, wanted, black: densityAt(state, 'black', DRY) }] // prettier-ignore
    })
  const found = bases
    .filter((base) => base.processId === processId && base.takenBackAt === undefined)
    .flatMap(({ id, at, seconds, milliwattsPerCm2 }): RealPrint[] => {
      if (milliwattsPerCm2 === undefined) return []
      const dose = seconds * milliwattsPerCm2
      return [{ id, at, number: null, dose, wanted: dose, black: null }]
    })
  return [...prints, ...found].sort((one, other) => other.at - one.at)
}

/** What the last prints of a process say about its model; `null` where there are none. */
export function tuningFrom(process: VirtualProcess, prints: readonly RealPrint[]): ModelTuning | null {
  const last = prints.slice(0, LAST)
  const wanted = median(last.map((one) => one.wanted))
  if (wanted === null) return null
  return {
    doseTimes: wanted / bestDose(process, USUAL_CONDITIONS),
    black: median(last.flatMap(({ black }) => (black === null ? [] : [black]))),
    ids: last.map(({ id }) => id),
  }
}

/** The model as one's own prints have shown it to be: the same curve, moved to their dose and their black. */
export function tunedProcess(process: VirtualProcess, tuning: ModelTuning | null): VirtualProcess {
  if (!tuning) return process
  const speed = { value: process.speed.value * tuning.doseTimes, standing: 'measured' as const }
  const black = tuning.black !== null && tuning.black > process.white.value + 0.2 ? tuning.black : null
  return { ...process, speed, ...(black !== null && { black: { value: black, standing: 'measured' } }) }
}

function median(values: readonly number[]): number | null {
  if (!values.length) return null
  const sorted = [...values].sort((a, b) => a - b)
  const middle = (sorted.length - 1) / 2
  return ((sorted[Math.floor(middle)] ?? 0) + (sorted[Math.ceil(middle)] ?? 0)) / 2
}
