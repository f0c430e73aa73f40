import fc from 'fast-check'
import { book } from '../fixtures/substances'
import { dilute, scaleToHand } from './dilution'
import { makeSolution } from './solution'
import { type Ingredient, type Measure, type Recipe } from './recipe'

type SubstanceId = keyof typeof book
const of = (id: SubstanceId, amount: number, measure: Measure, more: object = {}): Ingredient => ({
  kind: 'substance',
  substance: book[id],
  amount,
  measure,
  ...more,
})
const make = (ingredients: Ingredient[], more: Partial<Recipe> = {}) =>
  makeSolution({ ingredients, volumeMillilitres: 100, finish: 'topUpTo', dropsPerMillilitre: 20, ...more })
const refusing = (code: string) => expect.objectContaining({ code })

describe('makeSolution', () => {
  it.each<[string, Ingredient, number]>([
    ['% w/v', of('silver-nitrate', 12, 'percentWv'), 12],
    ['g/l', of('sodium-chloride', 20, 'gramsPerLitre'), 2],
    ['grams', of('silver-nitrate', 3.8, 'grams'), 3.8],
    // 0.1 mol/l of AgNO3, 169.87 g/mol (CIAAW abridged weights, from memory): 1.6987 g in 100 ml.
    ['mol/l', of('silver-nitrate', 0.1, 'molar'), 1.6987],
  ])('reads %s', (_, ingredient, grams) => {
    const made = make([ingredient])
    expect(made.portions[0]?.grams?.value).toBeCloseTo(grams, 3)
    expect(made.solutes[0]?.strength.value).toBeCloseTo(grams, 3)
  })

  it('weighs more of a hydrate, and of what is not pure', () => {
    const made = make([of('citric-acid', 6, 'percentWv', { formInHand: 'monohydrate', purityPercent: 98 })])
    // 6 g × 210.14 / 192.12 ÷ 0.98, by hand.
    expect(made.portions[0]?.grams?.value).toBeCloseTo((6 * 210.14) / 192.12 / 0.98, 3)
    expect(made.solutes[0]?.strength.value).toBeCloseTo(6, 9)
  })

  // By hand: 2 g of HCl from a bottle that holds 1.184 × 37 % = 0.438 g a millilitre takes 4.57 ml.
  it('pours a concentrated acid from its density', () => {
    const made = make([of('hydrochloric-acid', 2, 'percentWv')])
    expect(made.portions[0]?.millilitres?.value).toBeCloseTo(4.565, 2)
    expect(made.portions[0]?.grams).toBeNull()
    expect(made.solutes[0]?.strength.value).toBeCloseTo(2, 9)
  })

  it('takes what the label says of the bottle in hand before what is usual', () => {
    const weak = make([
      of('hydrochloric-acid', 2, 'percentWv', { liquid: { gramsPerMillilitre: 1.0474, percentWw: 10 } }),
    ])
    expect(weak.portions[0]?.millilitres?.value).toBeCloseTo(2 / 0.10474, 2)
  })

  // Density table of hydrochloric acid, from memory: 10 % by weight weighs 1.0474 g/ml, so 100 ml hold 10.474 g.
  it('reads % w/w by the density of the finished solution where a table knows it', () => {
    expect(make([of('hydrochloric-acid', 10, 'percentWw')]).solutes[0]?.strength.value).toBeCloseTo(10.474, 3)
    expect(make([of('sodium-chloride', 2, 'percentWw')]).portions[0]?.grams?.working.leavesOut).toMatch(
      /1 g\/ml/,
    )
  })

  it('shares parts out, solids by weight and liquids by volume', () => {
    const made = make([of('sodium-chloride', 1, 'parts'), of('water', 3, 'parts')])
    expect(made.portions.map((one) => (one.grams ?? one.millilitres)?.value)).toEqual([25, 75])
  })

  it('shows how far a spoon can be trusted', () => {
    const spoon = make([of('citric-acid', 10, 'spoonMillilitres')]).portions[0]?.grams
    expect(spoon?.value).toBeCloseTo(8.5, 9)
    expect(spoon?.uncertainty).toBeCloseTo(1, 9)
  })

  it('tops up, or adds to: that is another strength', () => {
    const stock: Ingredient = {
      kind: 'stock',
      name: 'S',
      solutes: [{ substanceId: 'silver-nitrate', name: 'silver nitrate', percentWv: 10 }],
      amount: 50,
      measure: 'millilitres',
    }
    expect(make([stock]).solutes[0]?.strength.value).toBeCloseTo(5, 9)
    const added = make([stock], { finish: 'addTo' })
    expect(added.volume.value).toBe(150)
    expect(added.solutes[0]?.strength.value).toBeCloseTo(10 / 3, 9)
  })

  // Common practice: solids are dissolved in about 70 % of the volume, since they take room of their own.
  it.each([
    [30, 70],
    [40, 70],
    [1, 100],
    [60, 55],
  ])('starts %d g of a salt for 100 ml in %d ml of water', (grams, water) =>
    expect(make([of('citric-acid', grams, 'grams')]).water.value).toBeCloseTo(water, 9),
  )

  // Common salt: 26.4 g in 100 g of solution at 20 °C has a density of 1.198 g/ml (handbook tables, from memory), so
  // 35.9 g in 100 ml of water make about 113 ml.
  it('says about how strong a solid is in a measured amount of water', () => {
    const made = make([of('sodium-chloride', 35.9, 'grams')], { finish: 'addTo' })
    expect(Math.abs(made.volume.value - 113.3)).toBeLessThan(made.volume.uncertainty!)
    const { value, uncertainty } = made.solutes[0]!.strength
    expect(Math.abs(value - 31.7)).toBeLessThan(uncertainty!)
    expect(value).toBeLessThan(35.9)
  })

  // Common practice, a slip of the trade: two 10 % stocks half and half hold 5 % of each.
  it('two 10 % stocks, half and half, hold 5 % of each', () => {
    const stock = (substanceId: string): Ingredient => ({
      kind: 'stock',
      name: substanceId,
      solutes: [{ substanceId, name: substanceId, percentWv: 10 }],
      amount: 1,
      measure: 'parts',
    })
    const made = make([stock('iron-citrate'), stock('ferricyanide')])
    expect(made.solutes.map((one) => one.strength.value)).toEqual([5, 5])
  })

  it.each<[string, () => unknown, string]>([
    ['no volume', () => make([], { volumeMillilitres: 0 }), 'out-of-range'],
    ['an amount below nothing', () => make([of('silver-nitrate', -1, 'grams')]), 'out-of-range'],
    ['moles of what has no formula', () => make([of('iron-citrate', 1, 'molar')]), 'no-formula'],
    ['millilitres of a powder', () => make([of('silver-nitrate', 1, 'millilitres')]), 'not-a-liquid'],
    [
      'spoons of what nobody has heaped',
      () => make([of('silver-nitrate', 1, 'spoonMillilitres')]),
      'no-spoon',
    ],
    ['more liquid than the bottle holds', () => make([of('water', 120, 'millilitres')]), 'overfull'],
  ])('refuses %s', (_, act, code) => expect(act).toThrow(refusing(code)))

  const grams = fc.double({ min: 0.01, max: 40, noNaN: true })
  const volume = fc.double({ min: 10, max: 5000, noNaN: true })
  const strength = fc.double({ min: 0.1, max: 40, noNaN: true })

  it('loses no mass, whatever is mixed: what went in is what is in', () => {
    fc.assert(
      fc.property(
        grams,
        strength,
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        volume,
        (solid, percent, poured, V) => {
          const made = make(
            [
              of('silver-nitrate', solid, 'grams'),
              {
                kind: 'stock',
                name: 'S',
                solutes: [{ substanceId: 'silver-nitrate', name: 's', percentWv: percent }],
                amount: poured,
                measure: 'millilitres',
              },
            ],
            { volumeMillilitres: V },
          )
          const inIt = ((made.solutes[0]?.strength.value ?? 0) * made.volume.value) / 100
          expect(inIt).toBeCloseTo(solid + (poured * percent) / 100, 6)
        },
      ),
    )
  })

  it('scales straight: twice the volume takes twice of everything and is as strong', () => {
    fc.assert(
      fc.property(strength, volume, fc.double({ min: 0.1, max: 10, noNaN: true }), (percent, V, factor) => {
        const of1 = make([of('silver-nitrate', percent, 'percentWv')], { volumeMillilitres: V })
        const of2 = make([of('silver-nitrate', percent, 'percentWv')], { volumeMillilitres: V * factor })
        expect((of2.portions[0]?.grams?.value ?? 0) / (of1.portions[0]?.grams?.value ?? 1)).toBeCloseTo(
          factor,
          6,
        )
        expect(of2.solutes[0]?.strength.value).toBeCloseTo(of1.solutes[0]?.strength.value ?? 0, 6)
      }),
    )
  })
})

describe('dilute', () => {
  // Worked example: 100 ml of 3 % from a 20 % stock takes 15 ml and 85 ml of water.
  it('gives stock and water', () => {
    const { stock, water } = dilute(20, 3, 100)
    expect([stock.value, water.value]).toEqual([15, 85])
  })

  it('loses nothing of what is dissolved', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        (from, share, V) => {
          const { stock, water } = dilute(from, from * share, V)
          expect(stock.value * from).toBeCloseTo(V * from * share, 5)
          expect(stock.value + water.value).toBeCloseTo(V, 6)
        },
      ),
    )
  })

  it('cannot strengthen', () => {
    expect(() => dilute(5, 10, 100)).toThrow(refusing('cannot-strengthen'))
    expect(() => dilute(0, 10, 100)).toThrow(refusing('out-of-range'))
  })
})

describe('scaleToHand', () => {
  it('shrinks a recipe to what runs short first, and leaves it alone where nothing does', () => {
    const silver = { name: 'silver', needed: 12, available: 7.5 }
    expect(scaleToHand([silver, { name: 'acid', needed: 6, available: 100 }])).toEqual({
      factor: 0.625,
      limitedBy: 'silver',
    })
    expect(scaleToHand([{ ...silver, available: 20 }])).toEqual({ factor: 1, limitedBy: null })
  })
})
