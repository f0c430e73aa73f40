import fc from 'fast-check'
import { book, bottle } from '../fixtures/substances'
import { begun, logOf, SHEET, T0, uuid } from '../fixtures/logs'
import { replay } from '../run/run'
import { drawFromLots, holdsStock, leftIn, lotsFor, takenByBottle, type Lot } from './lots'
import { metalContent } from './metalContent'
import { saltBalance, USUAL_UPTAKE } from './saltBalance'

describe('metalContent', () => {
  // Common practice: 3 drops of 10 % gold chloride to 1 of 10 % ammonium chloroplatinite, called 75 : 25.
  // By hand, CIAAW abridged weights (from memory): gold 196.97 of 393.83, platinum 195.08 of 372.97 g/mol.
  it('says what 75 : 25 by drops is by metal mass and by mole', () => {
    const [gold, platinum] = metalContent([
      { name: 'gold', millilitres: 0.15, percentWv: 10, formula: 'HAuCl4·3H2O' },
      { name: 'platinum', millilitres: 0.05, percentWv: 10, formula: '(NH4)2PtCl4' },
    ])
    expect(gold?.metal).toBe('Au')
    expect(gold?.mass.value).toBeCloseTo((1000 * 0.015 * 196.97) / 393.83, 2)
    expect(gold?.massShare.value).toBeCloseTo(74.15, 1)
    expect(gold?.moleShare.value).toBeCloseTo(73.97, 1)
    expect((gold?.massShare.value ?? 0) + (platinum?.massShare.value ?? 0)).toBeCloseTo(100, 9)
  })

  it('costs what was counted in, and says so when a price is missing', () => {
    const pour = { name: 's', millilitres: 2, percentWv: 10, formula: 'AgNO3' }
    expect(metalContent([{ ...pour, pricePerMillilitre: 0.25 }])[0]?.cost?.value).toBe(0.5)
    expect(metalContent([pour])[0]?.cost).toBeNull()
    expect(metalContent([{ ...pour, formula: 'NaCl' }])).toEqual([])
  })
})

describe('saltBalance', () => {
  const salt = {
    name: 'Salt',
    by: 'brush' as const,
    coats: 1,
    solutes: [{ name: 'sodium chloride', percentWv: 2, formula: 'NaCl' }],
  }
  const silver = {
    name: 'Silver',
    by: 'brush' as const,
    coats: 1,
    solutes: [{ name: 'silver nitrate', percentWv: 12, formula: 'AgNO3' }],
  }

  // By hand for a brushed square metre, 38.8 ml: chloride 38.8 × 20 / 58.44 = 13.28, silver 38.8 × 120 / 169.87 = 27.41 mmol.
  it('weighs brushed salt against brushed silver', () => {
    const balance = saltBalance([salt, silver], USUAL_UPTAKE)
    expect(balance.halide.value).toBeCloseTo(13.28, 1)
    expect(balance.silver.value).toBeCloseTo(27.41, 1)
    expect(balance.verdict).toBe('silverAmple')
  })

  it('says when silver falls short, with what was assumed', () => {
    const soaked = saltBalance([{ ...salt, by: 'soak' }, silver], USUAL_UPTAKE)
    // 300 g/m² × 0.5 ml/g × 2 % of NaCl, half of it in reach: 25.7 mmol; a single brushed coat of silver hardly covers it.
    expect(soaked.halide.value).toBeCloseTo(25.67, 1)
    expect(soaked.verdict).toBe('even')
    expect(
      saltBalance(
        [
          { ...salt, by: 'soak' },
          { ...silver, solutes: [{ name: 's', percentWv: 8, formula: 'AgNO3' }] },
        ],
        USUAL_UPTAKE,
      ).verdict,
    ).toBe('silverShort')
    expect(soaked.halide.working.inputs.map((one) => one.name)).toContain('within reach')
  })

  it('counts two coats twice, and both chlorides of a salt that has two', () => {
    const two = saltBalance([salt, { ...silver, coats: 2 }], USUAL_UPTAKE)
    expect(two.silver.value).toBeCloseTo(2 * 27.41, 1)
    const strontium = saltBalance(
      [{ ...salt, solutes: [{ name: 's', percentWv: 2, formula: 'SrCl2' }] }, silver],
      USUAL_UPTAKE,
    )
    expect(strontium.halide.value).toBeCloseTo((38.8 * 20 * 2) / 158.52, 1)
  })
})

describe('lots', () => {
  const stock = [{ substanceId: 'silver-nitrate', percentWv: 12 }]
  const lotsOf = (bottles: ReturnType<typeof bottle>[], taken = new Map<string, number>(), chosen?: string) =>
    lotsFor('Silver', stock, bottles, taken, book, chosen)

  it('are used in the order of opening, the chosen one first', () => {
    const [newer, older] = [bottle(9), bottle(1)]
    expect(lotsOf([newer, older]).map((lot) => lot.bottleId)).toEqual([older.id, newer.id])
    expect(lotsOf([newer, older], new Map(), newer.id)[0]?.bottleId).toBe(newer.id)
  })

  it('leave out what is empty, ended or holds something else', () => {
    const other = bottle(4, { contents: [{ substanceId: 'sodium-chloride', percent: 2 }] })
    const ended = bottle(3, { ended: { at: T0, why: 'discarded' } })
    const found = lotsOf([bottle(1), bottle(2), ended, other], new Map([[bottle(1).id, 100]]))
    expect(found.map((lot) => lot.bottleId)).toEqual([bottle(2).id])
    expect(holdsStock(bottle(1, { kind: 'solid' }), stock)).toBe(false)
  })

  it('are what the school says where the shelf has none', () => {
    expect(lotsOf([])).toEqual([
      {
        name: 'Silver',
        solutes: [expect.objectContaining({ percentWv: 12, formula: 'AgNO3' })],
        leftMillilitres: null,
      },
    ])
  })

  it('give all that is wanted, each until it is empty; the last makes up what is missing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 1, maxLength: 5 }),
        (wanted, lefts) => {
          const lots = lefts.map((leftMillilitres): Lot => ({ name: 'l', solutes: [], leftMillilitres }))
          const shares = drawFromLots(wanted, lots)
          expect(shares.reduce((sum, share) => sum + share.millilitres, 0)).toBeCloseTo(wanted, 6)
          for (const share of shares.filter((one) => one.lot !== lots.at(-1)))
            expect(share.millilitres).toBeLessThanOrEqual((share.lot.leftMillilitres ?? Infinity) + 1e-9)
        },
      ),
    )
  })

  it('lose what coats and takings took, and have it back when either is undone', () => {
    const drawn = [{ bottleId: bottle(1).id, component: 'iron', millilitres: 1.5 }]
    const drop = (component: string) => ({ type: 'dropped' as const, component, change: 1 })
    const log = logOf([
      [0, begun],
      [1, drop('iron')],
      [2, drop('ferricyanide')],
      [3, { type: 'stepFinished', step: 'mix', drawn }],
    ])
    const taking = {
      id: uuid(5),
      bottleId: bottle(1).id,
      amount: 10,
      at: T0,
      why: 'spilt' as const,
      note: '',
    }
    const taken = takenByBottle([replay(SHEET, log)], [taking])
    expect(leftIn(bottle(1), taken)).toBeCloseTo(88.5, 9)
    const undone = logOf([
      [0, begun],
      [1, drop('iron')],
      [2, drop('ferricyanide')],
      [3, { type: 'stepFinished', step: 'mix', drawn }],
      [4, { type: 'undone', eventId: uuid(1003) }],
    ])
    expect(leftIn(bottle(1), takenByBottle([replay(SHEET, undone)], [{ ...taking, takenBackAt: T0 }]))).toBe(
      100,
    )
    expect(leftIn(bottle(1, { amount: undefined }), taken)).toBeNull()
    expect(leftIn(bottle(1), new Map([[bottle(1).id, 400]]))).toBe(0)
  })
})
