import { book } from '../fixtures/substances'
import {
  auditAge,
  auditAmount,
  auditHydrate,
  auditMixing,
  auditNeighbours,
  auditSolubility,
  auditSpoon,
  auditStrength,
} from './audits'

const HOUR = 3_600_000

describe('audits', () => {
  // Slips of the trade, common practice: each is caught in plain words, with what would correct it.
  it('30 g in a litre is 3 %, not 30', () => {
    const finding = auditStrength('oxalic acid', 30, 30, 1000)
    expect(finding?.problem).toBe('30 g in 1000 ml is 3 %, not 30 %. Possibly a factor-of-ten error.')
    expect(finding?.corrections).toEqual([
      { act: 'restate', percent: 3 },
      { act: 'weigh', grams: 300 },
    ])
  })

  it('1 g topped up to 6 ml is 16.7 %, not 15', () => {
    const finding = auditStrength('palladium', 15, 1, 6)
    expect(finding?.problem).toBe('1 g in 6 ml is 16.7 %, not 15 %.')
    expect(finding?.corrections).toContainEqual({ act: 'topUpTo', millilitres: 6.67 })
  })

  it('a label within what a label means is left alone', () => {
    expect(auditStrength('silver', 12, 11.9, 100)).toBeNull()
  })

  it('two 10 % stocks half and half hold 5 % of each', () => {
    expect(auditMixing('iron', 10, 10, 5)).toMatchObject({
      code: 'halved-by-mixing',
      corrections: [{ act: 'restate', percent: 5 }],
    })
    expect(auditMixing('iron', 7, 10, 5)?.code).toBe('stated-strength')
    expect(auditMixing('iron', 5, 10, 5)).toBeNull()
  })

  it('more than stays dissolved at room temperature, and how warm it would have to be', () => {
    // By hand: 9.52 g of the dry acid to 100 g of water is 9.09 in 100 ml, 12.7 of the dihydrate.
    const finding = auditSolubility(book['oxalic-acid'], 20, 20)
    expect(finding?.problem).toMatch(/20 % is above the solubility at 20 °C: about 12\.7 %/)
    expect(finding?.remedy).toMatch(/30 °C/)
    expect(finding?.corrections).toEqual([{ act: 'weaken', percent: 12.7 }])
    expect(auditSolubility(book['oxalic-acid'], 3, 20)).toBeNull()
    expect(auditSolubility(book['iron-citrate'], 90, 20)).toBeNull()
  })

  it('a spoon where a balance is needed', () => {
    expect(auditSpoon(book['citric-acid'], 10)).toMatchObject({
      code: 'spoon',
      corrections: [{ act: 'weigh', grams: 8.5 }],
    })
    expect(auditSpoon(book['silver-nitrate'], 10)).toBeNull()
  })

  it('another hydrate in the jar, with what to weigh of it', () => {
    // 252.14 over 126.04 g/mol, by hand: twice as much of the crystals.
    const finding = auditHydrate(book['sodium-sulfite'], 20, 'anhydrous', 'heptahydrate')
    expect(finding?.problem).toMatch(/need 2 times as much/)
    expect(finding?.remedy).toMatch(/Weigh 40 g/)
    expect(auditHydrate(book['sodium-sulfite'], 20, undefined, 'anhydrous')).toBeNull()
  })

  it('past its life, or not yet ripe', () => {
    expect(auditAge({ name: 'A', ripeAt: 24 * HOUR }, 6 * HOUR)?.problem).toMatch(/18\sh to go/)
    expect(auditAge({ name: 'A', bestUntil: HOUR }, 3 * HOUR)?.code).toBe('past-life')
    expect(auditAge({ name: 'A', ripeAt: HOUR, bestUntil: 9 * HOUR }, 3 * HOUR)).toBeNull()
  })

  it('neighbours that must not meet, each pair once', () => {
    const table = [
      { id: 'a', between: ['ferricyanide', 'strongAcid'], danger: 'cyanide', remedy: 'apart' },
      { id: 'b', between: ['sulfite', 'acid'], danger: 'sulfur dioxide', remedy: 'wash' },
    ] as const
    const found = auditNeighbours(
      [book.ferricyanide, book['hydrochloric-acid'], book['sodium-sulfite'], book['sodium-chloride']],
      table,
    )
    expect(found.map((one) => [one.subject, one.problem])).toEqual([
      ['ferricyanide and hydrochloric acid', 'cyanide'],
      ['hydrochloric acid and sodium sulfite', 'sulfur dioxide'],
    ])
    expect(auditNeighbours([book.ferricyanide, book['citric-acid']], table)).toEqual([])
  })

  it('less in the bottle than the work takes', () => {
    expect(auditAmount('silver', 12, 7.5, 'g')?.problem).toBe('You need 12 g, but 7.5 g are left.')
    expect(auditAmount('silver', 7.5, 7.5, 'g')).toBeNull()
  })
})
