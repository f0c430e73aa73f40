import { texts } from './words'
import { type Correction } from '@core/chemistry/audits'
import { dilute, scaleToHand, densityByStrength } from '@core/chemistry/dilution'
import { solutesIn } from '@core/chemistry/lots'
import { makeSolution, type Portion, type Solution } from '@core/chemistry/solution'
import { type Ingredient } from '@core/chemistry/recipe'
import { CoreError, type Refusal } from '@core/errors'
import { digits } from '@core/quantity/format'
import { toSignificant } from '@core/quantity/number'
import { parseQuantity } from '@core/quantity/parse'
import {
  type RecipeRow,
  type SolutionDraft,
  type SolutionRoom,
  type ReadSolution,
  bottleOf,
  amountIn,
} from './recipeRows'
import { findingsOf, onHand, costOf } from './solutionFindings'

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

/** What a correction does to the recipe. */
export function corrected(
  draft: SolutionDraft,
  correction: Correction,
  rowKey: string | undefined,
): SolutionDraft {
  const rows = (change: Partial<RecipeRow>) =>
    draft.rows.map((row) => (row.key === rowKey ? { ...row, ...change } : row))
  switch (correction.act) {
    case 'restate':
      return { ...draft, stated: digits(correction.percent) }
    case 'topUpTo':
      return { ...draft, volume: `${digits(correction.millilitres)} ml` }
    case 'weigh':
      return { ...draft, rows: rows({ amount: digits(correction.grams), measure: 'grams' }) }
    case 'useForm':
      return { ...draft, rows: rows({ formSeen: true }) }
    case 'weaken':
      return { ...draft, rows: rows({ amount: digits(correction.percent), measure: 'percentWv' }) }
  }
}

function ingredientOf(row: RecipeRow, room: SolutionRoom, volumeMillilitres: number): Ingredient {
  const amount = amountIn(row)
  const poured = bottleOf(row.source, room)
  if (poured) {
    const solutes = solutesIn(poured, room.book)
    const stock = { kind: 'stock' as const, name: `${poured.name} ${poured.label}`, solutes }
    if (row.measure === 'millilitresPerLitre')
      return { ...stock, amount: (amount * volumeMillilitres) / 1000, measure: 'millilitres' }
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
      problem: texts.thisIngredientNotInLibrary,
      remedy: 'Choose a substance or a bottle.',
    })
  const jar = bottleOf(row.jarId, room)
  const held = jar?.contents.find((one) => one.substanceId === substance.id)
  return {
    kind: 'substance',
    substance,
    // So many millilitres to a litre are a tenth as many percent by volume.
    ...(row.measure === 'millilitresPerLitre'
      ? { amount: amount / 10, measure: 'percentVv' as const }
      : { amount, measure: row.measure }),
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
