import {
  auditAge,
  auditAmount,
  auditHydrate,
  auditMixing,
  auditNeighbours,
  auditSolubility,
  auditSpoon,
  auditStrength,
  type Finding,
  type Mend,
} from '@core/chemistry/audits'
import { dilute, scaleToHand, densityByStrength } from '@core/chemistry/dilution'
import { formOf } from '@core/chemistry/forms'
import { leftIn, pricePer, solutesIn, type SubstanceBook } from '@core/chemistry/lots'
import {
  makeSolution,
  type Ingredient,
  type Measure,
  type Portion,
  type Solution,
} from '@core/chemistry/solution'
import { CoreError, type Refusal } from '@core/errors'
import { digits } from '@core/quantity/format'
import { parseNumber, toSignificant } from '@core/quantity/number'
import { parseQuantity } from '@core/quantity/parse'
import type { StockDefinition } from '@core/schema/definition'
import type { Bottle } from '@core/schema/records'
import type { Incompatibility } from '@core/schema/substance'

/** One line of a recipe as it is written. */
export interface RecipeRow {
  key: string
  /** Id of a substance, or of a bottle that is poured from. */
  source: string
  amount: string
  measure: Measure
  /** Jar it is weighed from; empty for one that is not on the shelf. */
  jarId: string
  /** What the balance or the measure really said, once it was read. */
  read: string
  /** The hydrate in the jar was pointed out and is reckoned with. */
  formSeen: boolean
}

export interface SolutionDraft {
  name: string
  volume: string
  finish: 'topUpTo' | 'addTo'
  /** What it is called, in % of its first solute; empty for its true strength. */
  stated: string
  rows: RecipeRow[]
}

export interface SolutionRoom {
  book: SubstanceBook
  incompatibilities: readonly Incompatibility[]
  bottles: readonly Bottle[]
  taken: ReadonlyMap<string, number>
  dropsPerMillilitre: number
  celsius: number
  now: number
}

export interface ReadSolution {
  /** `null` where something cannot be read. */
  solution: Solution | null
  volumeMillilitres: number | null
  faults: Record<string, Refusal>
  findings: (Finding & { rowKey?: string })[]
  /** How far the recipe has to shrink so that nothing runs short, and what limits it. */
  fit: { factor: number; limitedBy: string | null }
  /** Price of what goes in, as far as it is known. */
  cost: number | null
}

/** A row of a recipe for so much per cent of a substance. */
export const rowOf = (key: string, source: string, amount: number, measure: Measure): RecipeRow => ({
  key,
  source,
  amount: String(toSignificant(amount, 4)),
  measure,
  jarId: '',
  read: '',
  formSeen: false,
})

/** What the bottle is called, in % of its first solute; `null` where nothing can be read. */
export function statedIn(draft: SolutionDraft): number | null {
  try {
    return parseQuantity(draft.stated, 'fraction', { field: 'stated', bareUnit: 'percent' })
  } catch {
    return null
  }
}

/** The draft of a stock as a process asks for it. */
export const draftOfStock = (name: string, stock: StockDefinition, volume: string): SolutionDraft => ({
  name,
  volume,
  finish: 'topUpTo',
  stated: '',
  rows: stock.solutes.map((one, i) => rowOf(String(i), one.substanceId, one.percentWv, 'percentWv')),
})

/** Reads a recipe: what to weigh and pour, what it will really hold, and every slip worth a word. */
export function readSolution(draft: SolutionDraft, room: SolutionRoom, withReadings = false): ReadSolution {
  const faults: Record<string, Refusal> = {}
  const attempt = <Value>(field: string, read: () => Value): Value | null => {
    try {
      return read()
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      faults[field] = error.refusal
      return null
    }
  }
  const volumeMillilitres = attempt('volume', () =>
    parseQuantity(draft.volume, 'volume', { field: 'volume', bareUnit: 'ml' }),
  )
  const rows = draft.rows.filter((row) => row.source)
  const ingredients = rows.map((row) =>
    volumeMillilitres === null ? null : attempt(row.key, () => ingredientOf(row, room, volumeMillilitres)),
  )
  const nothing: ReadSolution = {
    solution: null,
    volumeMillilitres,
    faults,
    findings: [],
    fit: { factor: 1, limitedBy: null },
    cost: null,
  }
  if (volumeMillilitres === null || !rows.length || ingredients.includes(null)) return nothing
  const recipe = { volumeMillilitres, finish: draft.finish, dropsPerMillilitre: room.dropsPerMillilitre }
  const planned = attempt('rows', () => makeSolution({ ...recipe, ingredients: ingredients as Ingredient[] }))
  if (!planned) return nothing
  const asRead = withReadings
    ? attempt('rows', () =>
        makeSolution({ ...recipe, ingredients: asMeasured(rows, ingredients as Ingredient[], planned) }),
      )
    : null
  const solution = asRead ?? planned
  return {
    solution,
    volumeMillilitres,
    faults,
    findings: findingsOf(draft, rows, ingredients as Ingredient[], solution, volumeMillilitres, room),
    fit: scaleToHand(rows.flatMap((row, i) => onHand(row, solution.portions[i] as Portion, room) ?? [])),
    cost: costOf(rows, solution, room),
  }
}

/** The same recipe for another volume, with every absolute amount scaled alike. */
export function scaleDraft(draft: SolutionDraft, factor: number, volumeMillilitres: number): SolutionDraft {
  const isAbsolute = (row: RecipeRow) =>
    ['grams', 'millilitres', 'drops', 'spoonMillilitres'].includes(row.measure)
  return {
    ...draft,
    volume: `${roundedDown(volumeMillilitres * factor)} ml`,
    rows: draft.rows.map((row) =>
      isAbsolute(row) ? { ...row, amount: String(roundedDown(amountIn(row) * factor)) } : row,
    ),
  }
}

/** To three figures, never above: a recipe that was scaled to what is there must not ask for more. */
function roundedDown(value: number): number {
  const step = 10 ** (Math.floor(Math.log10(value)) - 2)
  return toSignificant(Math.floor(value / step + 1e-9) * step, 3)
}

/** What a mend does to the recipe. */
export function mended(draft: SolutionDraft, mend: Mend, rowKey: string | undefined): SolutionDraft {
  const rows = (change: Partial<RecipeRow>) =>
    draft.rows.map((row) => (row.key === rowKey ? { ...row, ...change } : row))
  switch (mend.act) {
    case 'restate':
      return { ...draft, stated: digits(mend.percent) }
    case 'topUpTo':
      return { ...draft, volume: `${digits(mend.millilitres)} ml` }
    case 'weigh':
      return { ...draft, rows: rows({ amount: digits(mend.grams), measure: 'grams' }) }
    case 'useForm':
      return { ...draft, rows: rows({ formSeen: true }) }
    case 'weaken':
      return { ...draft, rows: rows({ amount: digits(mend.percent), measure: 'percentWv' }) }
  }
}

const bottleOf = (id: string, room: SolutionRoom) => room.bottles.find((one) => one.id === id)

const amountIn = (row: RecipeRow): number =>
  parseNumber(row.amount, { field: 'amount', example: '12 or 1.5' })

function ingredientOf(row: RecipeRow, room: SolutionRoom, volumeMillilitres: number): Ingredient {
  const amount = amountIn(row)
  const poured = bottleOf(row.source, room)
  if (poured) {
    const solutes = solutesIn(poured, room.book)
    const stock = { kind: 'stock' as const, name: `${poured.name} ${poured.label}`, solutes }
    if (row.measure === 'percentWv')
      return {
        ...stock,
        amount: dilute(solutes[0]?.percentWv ?? 0, amount, volumeMillilitres).stock.value,
        measure: 'millilitres',
      }
    return { ...stock, amount, measure: row.measure === 'parts' ? 'parts' : 'millilitres' }
  }
  const substance = room.book[row.source]
  if (!substance)
    throw new CoreError({
      code: 'unknown',
      field: 'what',
      problem: 'This is not known here.',
      remedy: 'Choose a substance or a bottle.',
    })
  const jar = bottleOf(row.jarId, room)
  const held = jar?.contents.find((one) => one.substanceId === substance.id)
  return {
    kind: 'substance',
    substance,
    amount,
    measure: row.measure,
    ...(held?.form && { formInHand: held.form }),
    ...(held && jar?.kind === 'solid' && { purityPercent: held.percent }),
    ...(held &&
      jar?.kind === 'liquid' && {
        liquid: {
          gramsPerMillilitre:
            jar.gramsPerMillilitre ?? densityByStrength(substance, held.percent)?.value ?? 1,
          percentWw: held.percent,
        },
      }),
  }
}

/** Ingredients with their amounts as the balance and the measure really read: all measures are proportional. */
function asMeasured(
  rows: readonly RecipeRow[],
  ingredients: readonly Ingredient[],
  planned: Solution,
): Ingredient[] {
  return ingredients.map((ingredient, i) => {
    const [row, portion] = [rows[i] as RecipeRow, planned.portions[i] as Portion]
    const meant = (portion.grams ?? portion.millilitres)?.value ?? 0
    const read = row.read.trim() ? amountIn({ ...row, amount: row.read }) : meant
    return { ...ingredient, amount: meant > 0 ? (ingredient.amount * read) / meant : ingredient.amount }
  })
}

function findingsOf(
  draft: SolutionDraft,
  rows: readonly RecipeRow[],
  ingredients: readonly Ingredient[],
  solution: Solution,
  volumeMillilitres: number,
  room: SolutionRoom,
): ReadSolution['findings'] {
  const findings: ReadSolution['findings'] = []
  const add = (finding: Finding | null, rowKey?: string) =>
    finding && findings.push({ ...finding, ...(rowKey && { rowKey }) })
  const stated = statedIn(draft) ?? Number.NaN
  const first = solution.solutes[0]
  if (first && Number.isFinite(stated)) {
    const stock = ingredients.find((one) => one.kind === 'stock')
    const inStock =
      stock?.kind === 'stock' ? stock.solutes.find((one) => one.substanceId === first.substanceId) : undefined
    if (inStock) add(auditMixing(first.name, stated, inStock.percentWv, first.strength.value))
    else
      add(
        auditStrength(
          first.name,
          stated,
          (first.strength.value * solution.volume.value) / 100,
          solution.volume.value,
        ),
        rows[0]?.key,
      )
  }
  for (const [i, ingredient] of ingredients.entries()) {
    const row = rows[i] as RecipeRow
    const portion = solution.portions[i] as Portion
    const hand = onHand(row, portion, room)
    if (hand) add(auditAmount(hand.name, hand.needed, hand.available, hand.unit))
    const bottle = bottleOf(ingredient.kind === 'stock' ? row.source : row.jarId, room)
    if (bottle) add(auditAge({ ...bottle, name: `${bottle.name} ${bottle.label}` }, room.now))
    if (ingredient.kind === 'stock') continue
    const { substance } = ingredient
    if (ingredient.measure === 'spoonMillilitres') add(auditSpoon(substance, ingredient.amount), row.key)
    if (!row.formSeen)
      add(auditHydrate(substance, portion.pureGrams, ingredient.askedForm, ingredient.formInHand), row.key)
    const strength = solution.solutes.find((one) => one.substanceId === substance.id)?.strength.value
    if (strength !== undefined)
      add(auditSolubility(substance, strength, room.celsius, formOf(substance)?.id), row.key)
  }
  const neighbours = ingredients.flatMap((one) =>
    one.kind === 'substance'
      ? [{ name: one.substance.name, reacts: one.substance.reacts }]
      : one.solutes.map((solute) => ({
          name: solute.name,
          reacts: room.book[solute.substanceId]?.reacts ?? [],
        })),
  )
  for (const finding of auditNeighbours(neighbours, room.incompatibilities)) add(finding)
  return volumeMillilitres > 0 ? findings : []
}

/** What a row takes of its jar or bottle, against what is left there; nothing where nobody measured. */
function onHand(row: RecipeRow, portion: Portion, room: SolutionRoom) {
  const bottle = bottleOf(row.source, room) ?? bottleOf(row.jarId, room)
  const left = bottle ? leftIn(bottle, room.taken) : null
  const needed = (portion.grams ?? portion.millilitres)?.value
  if (!bottle || left === null || needed === undefined) return null
  return { name: `${bottle.name} ${bottle.label}`, needed, available: left, unit: portion.grams ? 'g' : 'ml' }
}

function costOf(rows: readonly RecipeRow[], solution: Solution, room: SolutionRoom): number | null {
  let cost: number | null = null
  for (const [i, row] of rows.entries()) {
    const bottle = bottleOf(row.source, room) ?? bottleOf(row.jarId, room)
    const price = bottle && pricePer(bottle).pricePerMillilitre
    const portion = solution.portions[i]
    const amount = (portion?.grams ?? portion?.millilitres)?.value
    if (price !== undefined && amount !== undefined) cost = (cost ?? 0) + price * amount
  }
  return cost
}
