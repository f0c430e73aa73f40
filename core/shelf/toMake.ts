import type { Need } from './readiness'
import type { ShelfRecipe } from './recipes'

/** Whether the shelf holds less of it than is needed; a bottle that no one measured is taken to be enough. */
export const isShort = ({ millilitres, readyMillilitres }: Need): boolean =>
  readyMillilitres !== null && readyMillilitres < millilitres

/** The recipe that makes what a need is of: the same solutes at the same strengths. */
export const recipeFor = ({ solutes }: Need, recipes: readonly ShelfRecipe[]): ShelfRecipe | undefined =>
  recipes.find(
    ({ stock }) =>
      stock.solutes.length === solutes.length &&
      stock.solutes.every((one) =>
        solutes.some(
          (need) => need.substanceId === one.substanceId && Math.abs(need.percentWv - one.percentWv) < 1e-6,
        ),
      ),
  )

/**
 * A little more than is short, to a round figure: what clings to the glass is lost.
 *
 * @returns ml: in steps of 5, of 10 above 20 and of 50 above 200.
 */
export function volumeToMake({ millilitres, readyMillilitres }: Need): number {
  const missing = millilitres - (readyMillilitres ?? 0)
  const step = missing > 200 ? 50 : missing > 20 ? 10 : 5
  return Math.ceil((missing * 1.05) / step) * step
}
