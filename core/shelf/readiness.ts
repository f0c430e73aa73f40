import { BRUSH_COVERAGE, DROPS_PER_MILLILITRE } from '../coating/coatVolume'
import { holdsStock, leftIn, type SubstanceBook } from '../chemistry/lots'
import { mixesFor, partsOf, planMix, startingParts, type MixInput } from '../process/mixPlan'
import { schoolStocks, startingChoices, stepsFor } from '../process/plan'
import { trayOf } from '../process/trays'
import { trayVolume } from '../paper/amounts'
import type { ProcessDefinition, SoluteDefinition } from '../schema/definition'
import type { Bottle } from '../schema/records'

/** What one sheet takes of one solution, and what stands ready of it. */
export interface Need {
  id: string
  name: string
  solutes: readonly SoluteDefinition[]
  use: 'coat' | 'bath'
  millilitres: number
  /** Ripe and within its life; `null` where a bottle stands that no one measured. */
  readyMillilitres: number | null
}

/** Depth of liquid that covers a sheet in its tray, in mm: common practice. */
const TRAY_DEPTH = 15

export interface ReadinessInput {
  /** Sheet and its choices; `batch` says how many. */
  input: MixInput
  bottles: readonly Bottle[]
  taken: ReadonlyMap<string, number>
  book: SubstanceBook
  now: number
}

/**
 * Everything a run of a process asks of the shelf: what is counted into its mixes, and what is in its trays.
 *
 * @returns one entry a solution, coats before baths; a tray is filled once, however many sheets pass through it.
 */
export function needsOf(
  definition: ProcessDefinition,
  { input, bottles, taken, book, now }: ReadinessInput,
): Need[] {
  const stocks = schoolStocks(definition, input.choices)
  const lots = Object.fromEntries(
    Object.entries(stocks).map(([id, solutes]) => [
      id,
      [
        {
          name: id,
          solutes: solutes.map((one) => ({ ...one, name: book[one.substanceId]?.name ?? one.substanceId })),
          leftMillilitres: null,
        },
      ],
    ]),
  )
  const needs = new Map<string, Need>()
  const add = (
    id: string,
    name: string,
    solutes: readonly SoluteDefinition[],
    use: Need['use'],
    millilitres: number,
  ) => {
    if (!solutes.length) return
    const known = needs.get(id)
    if (known) known.millilitres += millilitres
    else
      needs.set(id, {
        id,
        name,
        solutes,
        use,
        millilitres,
        readyMillilitres: readyOf(solutes, bottles, taken, now),
      })
  }
  for (const mix of mixesFor(definition, input.choices)) {
    const parts = { ...startingParts(definition, input.choices), ...input.parts }
    for (const pour of planMix(definition, mix, { ...input, parts }, lots).pours)
      add(pour.component.id, pour.component.name, stocks[pour.component.id] ?? [], 'coat', pour.millilitres)
  }
  const tray = trayVolume(input, TRAY_DEPTH).value
  for (const step of stepsFor(definition, input.choices)) {
    const held = trayOf(definition, step, { ...startingChoices(definition), ...input.choices })
    if (held && !needs.has(held.id))
      add(held.id, held.name, stocks[held.id] ?? held.stock.solutes, 'bath', tray)
  }
  return [...needs.values()]
}

function readyOf(
  solutes: readonly SoluteDefinition[],
  bottles: readonly Bottle[],
  taken: ReadonlyMap<string, number>,
  now: number,
): number | null {
  const fit = bottles.filter(
    (bottle) =>
      !bottle.ended &&
      holdsStock(bottle, solutes) &&
      (bottle.ripeAt ?? now) <= now &&
      (bottle.bestUntil ?? now) >= now,
  )
  const left = fit.map((bottle) => leftIn(bottle, taken))
  return left.includes(null) ? null : left.reduce<number>((sum, one) => sum + (one ?? 0), 0)
}

/** How a process stands with what is on the shelf. */
export interface Readiness {
  definition: ProcessDefinition
  /** Sheets of the size that the coats on the shelf are enough for; `null` where an unmeasured bottle decides. */
  sheets: number | null
  /** Coating solutions of which none stands ready. */
  missing: string[]
}

/** How far the shelf goes for a process in its usual school, for sheets of one size. */
export function readinessOf(
  definition: ProcessDefinition,
  size: Pick<MixInput, 'widthMillimetres' | 'heightMillimetres'>,
  shelf: Omit<ReadinessInput, 'input'>,
): Readiness {
  const choices = startingChoices(definition)
  const input: MixInput = {
    // A whole sheet may be handed in: that it was one of a batch says nothing about one sheet more.
    widthMillimetres: size.widthMillimetres,
    heightMillimetres: size.heightMillimetres,
    coats: 1,
    choices,
    parts: startingParts(definition, choices),
    coverageMillilitresPerM2: definition.coverage?.millilitresPerM2 ?? BRUSH_COVERAGE,
    dropsPerMillilitre: DROPS_PER_MILLILITRE,
  }
  // Nothing has to be computed for a process of which a bottle is missing, and most are such.
  const missing = missingFor(definition, choices, shelf)
  if (missing.length) return { definition, sheets: 0, missing }
  const needs = needsOf(definition, { ...shelf, input })
  const enough = needs
    .filter((need) => need.use === 'coat' && need.readyMillilitres !== null)
    .map((need) => Math.floor((need.readyMillilitres as number) / need.millilitres + 1e-9))
  return { definition, sheets: enough.length ? Math.min(...enough) : null, missing }
}

/** Names of the components that a run takes, and of which nothing stands ready. */
function missingFor(
  definition: ProcessDefinition,
  choices: Readonly<Record<string, string>>,
  { bottles, taken, now }: Omit<ReadinessInput, 'input'>,
): string[] {
  const stocks = schoolStocks(definition, choices)
  const used = new Set([
    ...mixesFor(definition, choices).flatMap((mix) =>
      partsOf(definition, mix, choices).map((part) => part.component.id),
    ),
    ...stepsFor(definition, choices).flatMap((step) => trayOf(definition, step, choices)?.id ?? []),
  ])
  return definition.components
    .filter(({ id }) => used.has(id) && stocks[id]?.length && readyOf(stocks[id], bottles, taken, now) === 0)
    .map((one) => one.name)
}

/** Something to buy or to weigh out for a plan. */
export interface ShoppingLine {
  substanceId: string
  name: string
  grams: number
  /** On hand in jars, g of the pure substance. */
  haveGrams: number
  forWhat: string[]
}

/**
 * Chemicals that a plan asks for beyond the solutions that stand ready, against the jars on the shelf.
 *
 * @param needs see `needsOf`; what is ready is counted against each before anything is weighed for it.
 */
export function shoppingList(
  needs: readonly Need[],
  bottles: readonly Bottle[],
  taken: ReadonlyMap<string, number>,
  book: SubstanceBook,
): ShoppingLine[] {
  const lines = new Map<string, ShoppingLine>()
  for (const need of needs) {
    const short = need.readyMillilitres === null ? 0 : Math.max(0, need.millilitres - need.readyMillilitres)
    if (short <= 0) continue
    for (const { substanceId, percentWv } of need.solutes) {
      const line = lines.get(substanceId) ?? {
        substanceId,
        name: book[substanceId]?.name ?? substanceId,
        grams: 0,
        haveGrams: gramsOnHand(substanceId, bottles, taken),
        forWhat: [],
      }
      line.grams += (short * percentWv) / 100
      line.forWhat.push(need.name)
      lines.set(substanceId, line)
    }
  }
  return [...lines.values()].sort((a, b) => b.grams - b.haveGrams - (a.grams - a.haveGrams))
}

function gramsOnHand(
  substanceId: string,
  bottles: readonly Bottle[],
  taken: ReadonlyMap<string, number>,
): number {
  return bottles
    .filter((bottle) => bottle.kind !== 'solution' && !bottle.ended)
    .flatMap((bottle) => {
      const held = bottle.contents.find((one) => one.substanceId === substanceId)
      const left = leftIn(bottle, taken)
      if (!held || left === null) return []
      return [(left * held.percent * (bottle.kind === 'liquid' ? (bottle.gramsPerMillilitre ?? 1) : 1)) / 100]
    })
    .reduce((sum, grams) => sum + grams, 0)
}
