import { warmAfterSeconds } from '../light/lamp'
import { trayOf } from '../process/trays'
import { stepInHand, wordsIdOf } from '../run/runState'
import { planMix, mixesFor, startingParts, type MixInput } from '../process/mixPlan'
import { lotsFor } from '../chemistry/lots'
import { schoolStocks } from '../process/plan'
import type { Bottle, Light, Paper, Sheet } from '../schema/records'
import type { ProcessDefinition, SoluteDefinition } from '../schema/definition'
import { needsOf, type ReadinessInput } from '../shelf/readiness'
import type { LampInTime, NeedInTime, PaperInTime } from './preparation'
import type { SheetToPlan } from './session'
import type { PlannedMove } from './bookings'

export type SheetWithAll = Omit<SheetToPlan, 'sheet'> & { sheet: Sheet }

/**
 * What a session asks of the shelf: coats of all its sheets together, each tray once, each with the moment at which it
 * is wanted first. What a sheet under way has had already is not asked for again.
 */
export function needsInTime(
  sheets: readonly SheetWithAll[],
  moves: readonly PlannedMove[],
  shelf: Omit<ReadinessInput, 'input'>,
  /** Whether a tray of this stands filled and still serves. */
  stands: (bathId: string, solutes: readonly SoluteDefinition[]) => boolean = () => false,
): NeedInTime[] {
  const needs = new Map<string, NeedInTime>()
  for (const one of sheets) {
    const own = moves.filter((move) => move.sheetId === one.sheet.id)
    const isFromOthersGlass = (one.sheet.batch?.place ?? 1) > 1
    for (const need of needsOf(one.definition, { ...shelf, input: one.sheet })) {
      const wantedAt = need.use === 'coat' ? countedAt(one, own, need.id) : laidInAt(one, own, need.id)
      if (wantedAt === null || (need.use === 'coat' && isFromOthersGlass)) continue
      if (need.use === 'bath' && stands(need.id, need.solutes)) continue
      const key = `${need.use} ${need.id} ${need.solutes.map((s) => `${s.substanceId} ${s.percentWv}`).join()}`
      const known = needs.get(key)
      if (known) {
        known.millilitres =
          need.use === 'coat'
            ? known.millilitres + need.millilitres
            : Math.max(known.millilitres, need.millilitres)
        known.wantedAt = Math.min(known.wantedAt, wantedAt)
        continue
      }
      const stock = stockOf(one.definition, need.id)
      needs.set(key, {
        ...need,
        wantedAt,
        ripensSeconds: stock?.ripensSeconds,
        keepsSeconds: stock?.keepsSeconds,
      })
    }
  }
  return [...needs.values()]
}

const stockOf = (definition: ProcessDefinition, id: string) =>
  [...definition.baths, ...definition.components].find((one) => one.id === id)?.stock

/** When the mix that this component goes into is counted, `null` where that is done. */
function countedAt(one: SheetWithAll, own: readonly PlannedMove[], component: string): number | null {
  const { definition, sheet } = one
  const mixes = mixesFor(definition, sheet.choices).filter((mix) =>
    mix.parts.some((part) => part.component === component),
  )
  const moments = mixes.flatMap((mix) => {
    const step = definition.steps.find((known) => known.kind === 'count' && known.mix === mix.id)
    const move = own.find((known) => known.stepId === step?.id)
    return move ? [move.from] : []
  })
  return moments.length ? Math.min(...moments) : null
}

function laidInAt(one: SheetWithAll, own: readonly PlannedMove[], trayId: string): number | null {
  const { definition, sheet, state, outline } = one
  const planned = state.begunAt === null ? outline : state.steps.map((step) => step.planned)
  const moments = own.flatMap((move) => {
    const step = planned.find((known) => known.id === move.stepId)
    const words = step && definition.steps.find((known) => known.id === wordsIdOf(step))
    return words && trayOf(definition, words, sheet.choices)?.id === trayId ? [move.from] : []
  })
  return moments.length ? Math.min(...moments) : null
}

/** A treatment takes its bath, a drying and a rest: common practice, where this app starts. */
const TREATMENT_SECONDS = 15 * 60 + 3600

/** Papers whose chalk has to come out before the session's coats, one entry a paper. */
export function papersToTreat(
  sheets: readonly SheetWithAll[],
  moves: readonly PlannedMove[],
  papers: readonly Paper[],
  isTreated: (sheet: Sheet) => boolean,
): PaperInTime[] {
  const due = new Map<string, PaperInTime>()
  for (const { sheet, definition, state } of sheets) {
    const paper = papers.find((one) => one.id === sheet.paperId)
    if (!paper || definition.chalk.bears || paper.buffered !== 'yes' || state.begunAt !== null) continue
    if (sheet.over !== undefined || isTreated(sheet)) continue
    const wantedAt = Math.min(...moves.filter((move) => move.sheetId === sheet.id).map((move) => move.from))
    if (!Number.isFinite(wantedAt)) continue
    const known = due.get(paper.id)
    if (known) known.wantedAt = Math.min(known.wantedAt, wantedAt)
    else due.set(paper.id, { id: paper.id, what: paper.name, wantedAt, seconds: TREATMENT_SECONDS })
  }
  return [...due.values()]
}

/** A lamp whose warm-up is not known burns steady after about so long: common practice, where this app starts. */
const WARM_UP_SECONDS = 300

function isExposing({ sheet, state }: SheetWithAll, lightId: string): boolean {
  const step = stepInHand(state)
  return sheet.lightId === lightId && step?.planned.kind === 'expose' && step.startedAt !== undefined
}

/** Lamps that have to burn steady before the session's first exposure under each. */
export function lampsToLight(
  sheets: readonly SheetWithAll[],
  moves: readonly PlannedMove[],
  lights: readonly Light[],
): LampInTime[] {
  return lights.flatMap((light) => {
    // A lamp under which something is burns already.
    if (light.kind === 'sun' || sheets.some((one) => isExposing(one, light.id))) return []
    const exposures = sheets
      .filter((one) => one.sheet.lightId === light.id)
      .flatMap(({ sheet, state, outline }) => {
        const planned = state.begunAt === null ? outline : state.steps.map((step) => step.planned)
        const isExposure = (stepId: string) => planned.find((step) => step.id === stepId)?.kind === 'expose'
        return moves.filter((move) => move.sheetId === sheet.id && isExposure(move.stepId))
      })
    if (!exposures.length) return []
    return [
      {
        id: light.id,
        what: light.name,
        wantedAt: Math.min(...exposures.map((move) => move.from)),
        seconds: light.warmUp ? warmAfterSeconds(light.warmUp) : WARM_UP_SECONDS,
      },
    ]
  })
}

/** Bottles, what was taken from each, and the substances they are made of: what a coat can be priced by. */
export interface PricedShelf {
  bottles: readonly Bottle[]
  taken: ReadonlyMap<string, number>
  book: ReadinessInput['book']
}

/** What the mixes of a sheet cost, in the user's money; `undefined` for each without a price. */
export function costsOfMixes(
  definition: ProcessDefinition,
  sheet: MixInput & Pick<Sheet, 'bottles'>,
  shelf: PricedShelf,
): (number | undefined)[] {
  const stocks = schoolStocks(definition, sheet.choices)
  const lots = Object.fromEntries(
    definition.components.map((component) => [
      component.id,
      lotsFor(
        component.name,
        stocks[component.id] ?? [],
        shelf.bottles,
        shelf.taken,
        shelf.book,
        sheet.bottles[component.id],
      ),
    ]),
  )
  const parts = { ...startingParts(definition, sheet.choices), ...sheet.parts }
  return mixesFor(definition, sheet.choices).map(
    (mix) => planMix(definition, mix, { ...sheet, parts }, lots).cost?.value,
  )
}

/**
 * What the coats of a session cost, as far as the prices of their lots are known.
 *
 * @returns the sum in the user's money, and how many sheets have no price.
 */
export function costOfSession(
  sheets: readonly SheetWithAll[],
  shelf: PricedShelf,
): { money: number; without: number } {
  let [money, without] = [0, 0]
  for (const { sheet, definition, state } of sheets) {
    if (state.begunAt !== null || (sheet.batch?.place ?? 1) > 1) continue
    const costs = costsOfMixes(definition, sheet, shelf)
    if (costs.includes(undefined)) without++
    money += costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0)
  }
  return { money, without }
}

/** Sheets that could be coated from one glass: the same process, school and ratio, none of them begun or bound yet. */
export function coatsAlike(sheets: readonly SheetWithAll[]): SheetWithAll[][] {
  const groups = new Map<string, SheetWithAll[]>()
  for (const one of sheets) {
    const { sheet, state } = one
    if (state.begunAt !== null || sheet.batch || sheet.over !== undefined) continue
    const key = JSON.stringify([
      sheet.process.id,
      Object.entries(sheet.choices).sort(),
      Object.entries(sheet.parts).sort(),
      sheet.coats,
    ])
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups.values()].filter((group) => group.length > 1)
}
