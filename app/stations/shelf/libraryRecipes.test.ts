import { incompatibilities, processes, substances, treatments } from '@library/index'
import { recipesOf } from '@core/shelf/recipes'
import { readSolution } from './solution.draft'
import { draftOfStock } from './recipeRows'

// Every stock and bath of the library put through the same audits as a recipe of one's own.

const recipes = recipesOf([...Object.values(processes), ...Object.values(treatments)])
const room = {
  book: substances,
  incompatibilities,
  bottles: [],
  taken: new Map<string, number>(),
  dropsPerMillilitre: 20,
  celsius: 20,
  now: 0,
}

/**
 * What the audits rightly say of the trade's own stocks: silver nitrate feeds a fire, and collodion burns. No figure from
 * memory may call a common stock impossible.
 */
const KNOWN: Readonly<Record<string, string>> = {
  'collodion-chloride/emulsion': 'incompatible',
}

describe('the library’s own recipes', () => {
  it('are there for coats and for trays', () => {
    expect(recipes.length).toBeGreaterThan(35)
    expect(recipes.some((one) => one.use === 'bath')).toBe(true)
    expect(new Set(recipes.map((one) => one.id)).size).toBe(recipes.length)
  })

  it.each(recipes.map((one) => [one.id, one] as const))(
    '%s can be made as it is written',
    (id, { name, stock }) => {
      const { solution, faults, findings } = readSolution(draftOfStock(name, stock, '250 ml'), room)
      expect(faults).toEqual({})
      expect(findings.map((one) => one.code)).toEqual(KNOWN[id] ? [KNOWN[id]] : [])
      const strengths = Object.fromEntries(
        solution!.solutes.map((one) => [one.substanceId, one.strength.value]),
      )
      for (const { substanceId, percentWv } of stock.solutes)
        expect(strengths[substanceId]).toBeCloseTo(percentWv, 2)
      expect(stock.making.length).toBeGreaterThan(0)
    },
  )
})
