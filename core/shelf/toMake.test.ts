import type { Need } from './readiness'
import type { ShelfRecipe } from './recipes'
import { isShort, recipeFor, volumeToMake } from './toMake'

const need = (millilitres: number, readyMillilitres: number | null, percentWv = 25): Need => ({
  id: 'iron',
  name: 'Iron',
  solutes: [{ substanceId: 'ferric-ammonium-citrate', percentWv }],
  use: 'coat',
  millilitres,
  readyMillilitres,
})
const recipe = (id: string, percentWv: number) =>
  ({ id, stock: { solutes: [{ substanceId: 'ferric-ammonium-citrate', percentWv }] } }) as ShelfRecipe

describe('what is to be made', () => {
  it('is what the shelf lacks, unless a bottle was never measured', () => {
    expect([need(10, 4), need(10, 10), need(10, null)].map(isShort)).toEqual([true, false, false])
  })

  // One twentieth more than is short, up to the next step.
  it.each([
    [1, 0, 5],
    [10, 4, 10],
    [19, 0, 20],
    [100, 0, 110],
    [390, 0, 450],
  ])('of %d ml with %d ready is %d ml', (millilitres, ready, made) =>
    expect(volumeToMake(need(millilitres, ready))).toBe(made),
  )

  it('has the recipe of its own strength, or none', () => {
    const recipes = [recipe('weak', 20), recipe('right', 25)]
    expect(recipeFor(need(1, 0), recipes)?.id).toBe('right')
    expect(recipeFor(need(1, 0, 30), recipes)).toBeUndefined()
  })
})
