import { holdsStock, leftIn, solutesOf } from '../chemistry/lots'
import { exposureForLight } from '../light/exposureChange'
import { healthOf, historyOf } from '../light/lightLedger'
import { elapsedSeconds } from '../run/clock'
import { schoolStocks } from '../process/plan'
import { clockOf } from '../run/runState'
import type { Figure } from '../quantity/figure'
import type { Bottle, Sheet } from '../schema/records'
import { exposureOf, type PrintRecord, type RoomRecords } from './printRecord'

/** What cannot be had again as it was, and whether something was done about it. */
export type RepeatNotice =
  | {
      kind: 'bottleReplaced'
      component: string
      from: Bottle
      to: Bottle
      strengths: readonly [number, number] | null
    }
  | { kind: 'bottleGone'; component: string; from: Bottle }
  | { kind: 'bottleOld'; component: string; bottle: Bottle }
  | { kind: 'paperGone'; name: string }
  | { kind: 'pieceUsed'; label: string }
  | { kind: 'lampDrifted'; then: number; now: number; seconds: Figure }
  | { kind: 'lightGone' }
  | { kind: 'strengthMended'; component: string; share: number }
  | { kind: 'processChanged' }
  /** The print was kept: it is exposed as it was. */
  | { kind: 'kept' }
  /** The print was judged too light or too dark, and the exposure follows. */
  | { kind: 'exposureJudged'; shadows: 'thin' | 'blocked'; stops: number; seconds: number }
  /** Shadows and highlights ask for opposite exposures: only another contrast helps. */
  | { kind: 'contrastJudged'; isFlat: boolean }

/** Whether a notice says what the print was judged, and not what has become of its materials. */
export const isJudgement = ({ kind }: RepeatNotice): boolean =>
  kind === 'kept' || kind === 'exposureJudged' || kind === 'contrastJudged'

/** One thing to change in a repeat. */
export interface RepeatChange {
  stops?: number
  /** Factor on the coverage. */
  coverage?: number
  coats?: number
}

/** A sheet to plan again, and what is different about it this time. */
export interface Repeat {
  sheet: Omit<Sheet, 'id' | 'number' | 'createdAt' | 'changedAt' | 'batch' | 'over' | 'binnedAt' | 'edition'>
  notices: readonly RepeatNotice[]
}

/** How far an exposure is moved for a print that was judged too light or too dark, in stops: common practice. */
const JUDGED_STOPS = 0.5

/** Lamps are compensated from this change on, percent of the light then. */
const DRIFT = 2

/**
 * The same sheet again: exposed as long as it really was, under the light as it is now, from bottles that still hold
 * something. What cannot be had is replaced where there is a like, and named.
 *
 * @param taken what has been taken from each bottle (see `takenByBottle`).
 * @param now milliseconds.
 */
export function repeatOf(
  record: PrintRecord,
  room: RoomRecords,
  taken: ReadonlyMap<string, number>,
  now: number,
  change: RepeatChange = {},
): Repeat {
  const { sheet, definition } = record
  const { id, number, createdAt, changedAt, batch, over, binnedAt, edition, ...kept } = sheet
  void [number, createdAt, changedAt, batch, over, binnedAt, edition]
  const notices: RepeatNotice[] = []
  const next: Repeat['sheet'] = { ...kept, after: id, bottles: {} }

  if (sheet.process.version !== definition.version) notices.push({ kind: 'processChanged' })
  next.process = { id: definition.id, version: definition.version }
  exposeAgain(record, room, now, next, notices)
  pourAgain(record, room, taken, now, next, notices)

  if (record.paper?.sheets === 0) notices.push({ kind: 'paperGone', name: record.paper.name })
  delete next.pieceId
  if (record.piece) notices.push({ kind: 'pieceUsed', label: record.piece.label })

  // A test of a diagnosis changes its one thing and nothing else.
  const isTest = Object.keys(change).length > 0
  const stops = change.stops ?? (isTest ? 0 : judgedStops(record, notices))
  next.exposureSeconds *= 2 ** stops
  if (next.millijoulesPerCm2 !== undefined) next.millijoulesPerCm2 *= 2 ** stops
  if (change.coverage !== undefined) next.coverageMillilitresPerM2 *= change.coverage
  if (change.coats !== undefined) next.coats = Math.max(next.coats, change.coats)
  next.exposureSeconds = Math.round(next.exposureSeconds)
  return {
    sheet: next,
    notices: notices.map((one) =>
      one.kind === 'exposureJudged' ? { ...one, seconds: next.exposureSeconds } : one,
    ),
  }
}

/**
 * What the last judgement of the dry print says of the next exposure, in stops, with a notice that says why. A wet print
 * still changes as it dries, so a wet check moves nothing.
 */
function judgedStops({ state }: PrintRecord, notices: RepeatNotice[]): number {
  const judged = state.judgements.findLast((one) => one.moment !== 'wet')
  if (!judged || judged.verdict === 'undecided') return 0
  if (judged.verdict === 'keep') {
    notices.push({ kind: 'kept' })
    return 0
  }
  const { shadows, highlights } = judged
  if (shadows !== 'thin' && shadows !== 'blocked') return 0
  const isFlat = shadows === 'thin' && highlights === 'veiled'
  if (isFlat || (shadows === 'blocked' && highlights === 'blank')) {
    notices.push({ kind: 'contrastJudged', isFlat })
    return 0
  }
  const stops = shadows === 'thin' ? JUDGED_STOPS : -JUDGED_STOPS
  notices.push({ kind: 'exposureJudged', shadows, stops, seconds: 0 })
  return stops
}

function exposeAgain(
  { sheet, state, light, lamp }: PrintRecord,
  room: RoomRecords,
  now: number,
  next: Repeat['sheet'],
  notices: RepeatNotice[],
): void {
  const expose = exposureOf(state)
  const clock = expose && clockOf(expose)
  if (expose && clock && expose.finishedAt !== undefined) {
    next.exposureSeconds = Math.max(1, elapsedSeconds(clock, expose.finishedAt))
    if (expose.dose?.millijoulesPerCm2) next.millijoulesPerCm2 = expose.dose.millijoulesPerCm2
  }
  if (sheet.lightId && !light) {
    delete next.lightId
    notices.push({ kind: 'lightGone' })
  }
  // A dose is counted by itself; minutes have to be stretched.
  if (!light || light.kind === 'sun' || lamp === null || next.millijoulesPerCm2 !== undefined) return
  const sheets = room.prints.map((one) => ({ lightId: one.sheet.lightId, state: one.state }))
  const left = healthOf(historyOf(light, room.lightEntries, room.bases, sheets, now), now).left?.value
  if (left === undefined || Math.abs(left - lamp.percent) < (DRIFT / 100) * lamp.percent) return
  const seconds = exposureForLight(next.exposureSeconds, left / lamp.percent, light.schwarzschild)
  next.exposureSeconds = seconds.value
  notices.push({ kind: 'lampDrifted', then: lamp.percent, now: left, seconds })
}

function pourAgain(
  { sheet, definition, bottles }: PrintRecord,
  room: RoomRecords,
  taken: ReadonlyMap<string, number>,
  now: number,
  next: Repeat['sheet'],
  notices: RepeatNotice[],
): void {
  const stocks = schoolStocks(definition, sheet.choices)
  for (const { component, bottle } of bottles) {
    if (leftIn(bottle, taken) !== 0) {
      next.bottles[component] = bottle.id
      if (bottle.bestUntil !== undefined && bottle.bestUntil < now)
        notices.push({ kind: 'bottleOld', component, bottle })
      continue
    }
    const stock = stocks[component] ?? solutesOf([], room.substances)
    const like = room.bottles
      .filter((one) => !one.ended && holdsStock(one, stock) && leftIn(one, taken) !== 0)
      .sort((a, b) => (b.madeAt ?? 0) - (a.madeAt ?? 0))[0]
    if (!like) {
      notices.push({ kind: 'bottleGone', component, from: bottle })
      continue
    }
    next.bottles[component] = like.id
    const [was, is] = [bottle.contents[0]?.percent, like.contents[0]?.percent]
    const differs = was !== undefined && is !== undefined && Math.abs(is / was - 1) > 0.005
    notices.push({
      kind: 'bottleReplaced',
      component,
      from: bottle,
      to: like,
      strengths: differs ? [was, is] : null,
    })
    if (differs) mendStrength(component, was / is, definition, next, notices)
  }
}

/** Another strength of the same solution: its part in the mix is stretched so that as much of the solute goes in. */
function mendStrength(
  component: string,
  share: number,
  definition: PrintRecord['definition'],
  next: Repeat['sheet'],
  notices: RepeatNotice[],
): void {
  const mix = definition.mixes.find((one) => one.parts.some((part) => part.component === component))
  const parts = mix && next.parts[mix.id]
  const place =
    mix?.parts.filter((part) => !part.when).findIndex((part) => part.component === component) ?? -1
  // Where parts depend on choices their places shift; then it is only named.
  if (!mix || !parts || mix.parts.some((part) => part.when) || place < 0 || parts[place] === undefined) return
  next.parts = {
    ...next.parts,
    [mix.id]: parts.map((part, i) => (i === place ? Math.round(1000 * part * share) / 1000 : part)),
  }
  notices.push({ kind: 'strengthMended', component, share })
}
