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
} from '@core/chemistry/audits'
import { formOf } from '@core/chemistry/forms'
import { leftIn, pricePer } from '@core/chemistry/lots'
import { type Portion, type Solution } from '@core/chemistry/solution'
import { type Ingredient } from '@core/chemistry/recipe'
import {
  type RecipeRow,
  type SolutionDraft,
  type SolutionRoom,
  type ReadSolution,
  statedIn,
  bottleOf,
} from './recipeRows'

export function findingsOf(
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

/** What a row takes of its jar or bottle, against what is left there; nothing where no one measured. */
export function onHand(row: RecipeRow, portion: Portion, room: SolutionRoom) {
  const bottle = bottleOf(row.source, room) ?? bottleOf(row.jarId, room)
  const left = bottle ? leftIn(bottle, room.taken) : null
  const needed = (portion.grams ?? portion.millilitres)?.value
  if (!bottle || left === null || needed === undefined) return null
  return { name: `${bottle.name} ${bottle.label}`, needed, available: left, unit: portion.grams ? 'g' : 'ml' }
}

export function costOf(rows: readonly RecipeRow[], solution: Solution, room: SolutionRoom): number | null {
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
