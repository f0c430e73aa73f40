import { beginning, beginningOfTreatment, startingChoices } from '@core/process/plan'
import { mixesFor, planMix, startingParts } from '@core/process/mixPlan'
import { trayOf } from '@core/process/trays'
import { lotsFor } from '@core/chemistry/lots'
import { nextMove } from '@core/run/nextMove'
import { advance } from '@core/run/run'
import { emptyRun, stepInHand, type RunState } from '@core/run/runState'
import { schoolStocks } from '@core/process/plan'
import type { ProcessDefinition } from '@core/schema/definition'
import type { Happening, SheetEvent } from '@core/schema/event'
import type { PaperRun, Piece, Sheet, WorkroomRecords } from '@core/schema/records'
import { processes, substances, treatments } from '@library/index'
import { seededUuid } from '@core/quantity/random'
import type { DemoShelf } from './shelf'

const MINUTE = 60_000
const DAY = 1440 * MINUTE

/** A log as steady hands would make it: the next thing again and again, until a step is reached or all is done. */
function steadyLog(
  id: string,
  begun: Happening,
  until: (state: RunState) => boolean,
  random: () => number,
): { after: number; what: Happening }[] {
  const steps: { after: number; what: Happening }[] = [{ after: 0, what: begun }]
  let state = advance(emptyRun(id), stamp(begun, id, 0, 1_000_000_000_000, random))
  let at = 1_000_000_000_000
  while (!until(state)) {
    const step = stepInHand(state)
    if (!step) break
    const what = nextMove(state, at + 3_600_000)
    if (!what) break
    const { kind, leastSeconds, mostSeconds } = step.planned
    const isEnd = what.type === 'stepFinished'
    const seconds =
      what.type === 'dropped'
        ? 1.1
        : !isEnd
          ? 90
          : kind === 'expose'
            ? (step.plannedSeconds ?? 300)
            : kind === 'act'
              ? (mostSeconds ?? 100) * 0.7
              : (leastSeconds ?? 20) * 1.08 + 25
    const after = Math.round(seconds * (0.95 + 0.1 * random()) * 1000)
    at += after
    steps.push({ after, what })
    state = advance(state, stamp(what, id, state.length, at, random))
  }
  return steps
}

const stamp = (what: Happening, sheetId: string, index: number, at: number, random: () => number) =>
  ({ ...what, id: seededUuid(random), sheetId, index, at }) as SheetEvent

function laidEndingAt(
  id: string,
  steps: readonly { after: number; what: Happening }[],
  end: number,
  random: () => number,
): SheetEvent[] {
  let at = end - steps.reduce((sum, step) => sum + step.after, 0)
  return steps.map(({ after, what }, index) => {
    at += after
    return stamp(what, id, index, Math.round(at), random)
  })
}

export interface OtherSheet {
  number: number
  title: string
  process: string
  choices?: Record<string, string>
  tool?: Sheet['tool']
  paper: keyof DemoShelf['papers']
  coats?: number
  exposureSeconds: number
  /**
   * The step that is in hand at the end, and how long ago that came about; where `isRunning`, it has begun. Absent for a
   * sheet that is only planned.
   */
  at?: { step: string; ago: number; isRunning?: boolean }
  /** Bath in each tray it lay in. */
  baths?: Record<string, string>
  /** The sheet it is a layer over. */
  over?: string
}

/** Sheets by other processes, begun while the cyanotypes hang. */
const OTHERS: readonly OtherSheet[] = [
  { number: 34, title: 'Foghorn mouth', process: 'salted-paper', tool: 'cotton', paper: 'laid', exposureSeconds: 720, at: { step: 'dry', ago: 13 * MINUTE } },
  { number: 35, title: 'Compressor hall', process: 'kallitype', paper: 'rag', coats: 2, exposureSeconds: 330 },
] // prettier-ignore

/** One sheet of any process, with its log as steady hands would make it. */
export function sheetWithLog(
  entry: OtherSheet,
  shelf: DemoShelf,
  random: () => number,
  now: number,
): { sheet: Sheet; events: SheetEvent[] } {
  const definition = processes[entry.process] as ProcessDefinition
  const choices = { ...startingChoices(definition), ...entry.choices }
  const createdAt = Math.round(now - (entry.at?.ago ?? 0) - 200 * MINUTE)
  const sheet: Sheet = {
    id: seededUuid(random),
    number: entry.number,
    title: entry.title,
    portfolio: 'Fog signals, disused',
    process: { id: definition.id, version: definition.version },
    choices,
    widthMillimetres: 203.2,
    heightMillimetres: 254,
    coats: entry.coats ?? 1,
    tool: entry.tool ?? 'brush',
    parts: startingParts(definition, choices),
    coverageMillilitresPerM2: definition.coverage?.millilitresPerM2 ?? 38.8,
    dropsPerMillilitre: 20,
    subject: entry.title,
    exposureSeconds: entry.exposureSeconds,
    paperId: shelf.papers[entry.paper].id,
    lightId: shelf.lights.box.id,
    bottles: {},
    ...(entry.over && { over: entry.over }),
    createdAt,
    changedAt: createdAt,
  }
  if (!entry.at) return { sheet, events: [] }
  const { step, ago, isRunning } = entry.at
  const stocks = schoolStocks(definition, choices)
  const lots = Object.fromEntries(
    definition.components.map(({ id, name }) => [
      id,
      lotsFor(name, stocks[id] ?? [], shelf.records.bottles, new Map(), substances),
    ]),
  )
  const plans = mixesFor(definition, choices).map((mix) => planMix(definition, mix, sheet, lots))
  const counts = Object.fromEntries(plans.map((plan) => [plan.mix.id, plan.count.drops]))
  const begun = beginning(definition, sheet, counts, shelf.papers[entry.paper].gramsPerM2)
  const isThere = (state: RunState) => {
    const inHand = stepInHand(state)
    return inHand?.planned.id === step && (!isRunning || inHand.status === 'running')
  }
  const steps = steadyLog(sheet.id, begun, isThere, random)
  for (const one of steps)
    if (one.what.type === 'stepFinished') {
      const done = one.what.step
      const words = definition.steps.find((each) => each.id === done)
      const plan = plans.find((each) => each.mix.id === words?.mix)
      const tray = words && trayOf(definition, words, choices)?.id
      const bathId = tray && entry.baths?.[tray]
      one.what = { ...one.what, ...(plan && { drawn: plan.draws }), ...(bathId && { bathId }) }
    }
  return { sheet, events: laidEndingAt(sheet.id, steps, now - ago, random) }
}

/** Sheets of other processes, with their logs. */
export function otherSheets(
  shelf: DemoShelf,
  random: () => number,
  now: number,
): Pick<WorkroomRecords, 'sheets' | 'events'> {
  const all = OTHERS.map((entry) => sheetWithLog(entry, shelf, random, now))
  return { sheets: all.map((one) => one.sheet), events: all.flatMap((one) => one.events) }
}

/** The paper drawer: one large sheet torn in six, three pieces treated a day ago, the rest under way now. */
export function paperDrawer(
  shelf: DemoShelf,
  random: () => number,
  now: number,
): Pick<WorkroomRecords, 'pieces' | 'paperRuns' | 'events'> {
  const definition = treatments['acid-bath']
  const found: Pick<WorkroomRecords, 'pieces' | 'paperRuns' | 'events'> = {
    pieces: [],
    paperRuns: [],
    events: [],
  }
  if (!definition) return found
  const { rag } = shelf.papers
  const tornAt = Math.round(now - 2 * DAY)
  found.pieces = Array.from({ length: 6 }, (_, i): Piece => ({
    id: seededUuid(random),
    paperId: rag.id,
    label: `HR-${i + 1}`,
    widthMillimetres: 285.75,
    heightMillimetres: 254,
    side: 'pencil cross',
    tornAt,
    changedAt: tornAt,
  }))
  const [first, second] = [found.pieces.slice(0, 3), found.pieces.slice(3, 6)]
  const run = (number: number, pieces: readonly Piece[], createdAt: number, half?: string): PaperRun => ({
    id: seededUuid(random),
    number,
    process: { id: definition.id, version: definition.version },
    choices: startingChoices(definition),
    paperId: rag.id,
    pieceIds: pieces.map((one) => one.id),
    ...(half && { halfPieceId: half }),
    sheets: pieces.length,
    widthMillimetres: 285.75,
    heightMillimetres: 254,
    note: '',
    createdAt,
    changedAt: createdAt,
  })
  const done = run(1, first, Math.round(now - DAY - 2 * 60 * MINUTE), first[2]?.id)
  const going = run(2, second, Math.round(now - 25 * MINUTE))
  found.paperRuns = [done, going]
  const begun = beginningOfTreatment(definition, done, rag.gramsPerM2)
  const whole = steadyLog(done.id, begun, () => false, random)
  found.events.push(...laidEndingAt(done.id, whole, now - DAY, random))
  const part = steadyLog(
    going.id,
    begun,
    (state) => stepInHand(state)?.planned.id === 'soak-citric' && stepInHand(state)?.status === 'running',
    random,
  )
  found.events.push(...laidEndingAt(going.id, part, now - 6 * MINUTE, random))
  return found
}
