import { incompatibilities, substances } from '@library/index'
import { saltedPaper } from '@library/processes/saltedPaper'
import { bottle } from '@core/fixtures/substances'
import { T0 } from '@core/fixtures/logs'
import type { Bottle } from '@core/schema/records'
import { corrected, readSolution, scaleDraft } from './solution.draft'
import {
  draftOfDilution,
  draftOfStock,
  draftOfTopUp,
  rowOf,
  type RecipeRow,
  type SolutionDraft,
} from './recipeRows'

const room = (bottles: Bottle[] = [], taken = new Map<string, number>()) => ({
  book: substances,
  incompatibilities,
  bottles,
  taken,
  dropsPerMillilitre: 20,
  celsius: 20,
  now: T0,
})
const draft = (rows: Partial<RecipeRow>[], more: Partial<SolutionDraft> = {}): SolutionDraft => ({
  name: 'Stock',
  volume: '100 ml',
  finish: 'topUpTo',
  stated: '',
  rows: rows.map((row, i) => ({ ...rowOf(String(i), 'silver-nitrate', 12, 'percentWv'), ...row })),
  ...more,
})
const codes = (of: SolutionDraft, bottles: Bottle[] = []) =>
  readSolution(of, room(bottles)).findings.map((one) => one.code)

describe('readSolution', () => {
  it('reads a stock as its process asks for it', () => {
    const silver = saltedPaper.components.find((one) => one.id === 'silver')!
    const { solution, faults, findings } = readSolution(draftOfStock('Silver', silver.stock, '1/2 l'), room())
    expect(faults).toEqual({})
    expect(findings).toEqual([])
    // 12 % of 500 ml at 99.9 %, 6 % of 500 ml at 99.5 %.
    expect(solution?.portions.map((one) => one.grams?.value)).toEqual([
      expect.closeTo(60 / 0.999, 6),
      expect.closeTo(30 / 0.995, 6),
    ])
  })

  it.each([
    ['volume', draft([{}], { volume: 'much' }), 'volume'],
    ['amount', draft([{ amount: '' }]), '0'],
    ['amount of words', draft([{}, { amount: 'a pinch' }]), '1'],
    ['source', draft([{ source: 'phlogiston' }]), '0'],
    ['powder by the millilitre', draft([{ measure: 'millilitres' }]), 'rows'],
  ])('says what is wrong with a %s', (_, wrong, field) => {
    const { solution, faults } = readSolution(wrong, room())
    expect(solution).toBeNull()
    expect(Object.keys(faults)).toEqual([field])
  })

  const jar = bottle(1, {
    kind: 'solid',
    label: 'AG-1',
    contents: [{ substanceId: 'silver-nitrate', percent: 99 }],
    amount: 6,
    price: 15,
  })
  const stock = bottle(2, { contents: [{ substanceId: 'silver-nitrate', percent: 20 }] })

  it('weighs from a jar: its purity, its price, and what is left in it', () => {
    const { solution, fit, cost, findings } = readSolution(draft([{ jarId: jar.id }]), room([jar]))
    expect(solution?.portions[0]?.grams?.value).toBeCloseTo(12 / 0.99, 9)
    expect(cost).toBeCloseTo((2.5 * 12) / 0.99, 6)
    expect(fit).toMatchObject({ limitedBy: 'Silver AG-1', factor: expect.closeTo((6 * 0.99) / 12, 6) })
    expect(findings.map((one) => one.code)).toEqual(['short'])
  })

  it('dilutes a bottle to a strength', () => {
    const { solution } = readSolution(draft([{ source: stock.id, amount: '5' }]), room([stock]))
    expect(solution?.portions[0]?.millilitres?.value).toBe(25)
    expect(solution?.solutes[0]?.strength.value).toBeCloseTo(5, 9)
    expect(readSolution(draft([{ source: stock.id, amount: '40' }]), room([stock])).faults['0']?.code).toBe(
      'cannot-strengthen',
    )
  })

  it('is poured as its label says, so many ml to a litre', () => {
    const { solution } = readSolution(
      draft([{ source: stock.id, amount: '15', measure: 'millilitresPerLitre' }], { volume: '2 l' }),
      room([stock]),
    )
    expect(solution?.portions[0]?.millilitres?.value).toBeCloseTo(30, 9)
    expect(solution?.solutes[0]?.strength.value).toBeCloseTo(0.3, 9)
    // 15 ml of a liquid to a litre are 1.5 % by volume.
    const acid = (amount: string, measure: RecipeRow['measure']) =>
      readSolution(draft([{ source: 'acetic-acid', amount, measure }]), room()).solution?.portions[0]
    expect(acid('15', 'millilitresPerLitre')?.millilitres?.value).toBe(
      acid('1.5', 'percentVv')?.millilitres?.value,
    )
  })

  it('makes half of a bottle’s strength from it until something else is asked', () => {
    const { solution } = readSolution(draftOfDilution(stock), room([stock]))
    expect(solution?.portions[0]?.millilitres?.value).toBe(50)
    expect(solution?.solutes[0]?.strength.value).toBeCloseTo(10, 9)
  })

  it('fills a bottle up again with what keeps its strength', () => {
    const hypo = bottle(6, { contents: [{ substanceId: 'sodium-thiosulfate', percent: 15 }], amount: 1000 })
    const { solution } = readSolution(draftOfTopUp(hypo, 400, 1000), room([hypo]))
    expect(solution?.portions[0]?.millilitres?.value).toBe(400)
    // 15 g in each 100 of the 600 ml that are new, of a salt that is all but pure.
    expect(solution?.portions[1]?.grams?.value).toBeGreaterThanOrEqual(90)
    expect(solution?.portions[1]?.grams?.value).toBeLessThan(92)
    expect(solution?.solutes.map(({ strength }) => strength.value)).toEqual([expect.closeTo(15, 6)])
  })

  it('reckons with what the balance really said', () => {
    const read = readSolution(draft([{ read: '11.5' }]), room(), true)
    expect(read.solution?.portions[0]?.grams?.value).toBeCloseTo(11.5, 9)
    expect(read.solution?.solutes[0]?.strength.value).toBeCloseTo(11.5 * 0.999, 6)
  })
})

describe('slips', () => {
  const hydrate = bottle(3, {
    kind: 'solid',
    contents: [{ substanceId: 'citric-acid', percent: 100, form: 'monohydrate' }],
    amount: 500,
  })
  const old = bottle(4, { contents: [{ substanceId: 'silver-nitrate', percent: 10 }], bestUntil: T0 - 1 })
  const raw = bottle(5, { contents: [{ substanceId: 'silver-nitrate', percent: 10 }], ripeAt: T0 + 1 })

  it.each<[string, SolutionDraft, Bottle[], string]>([
    ['a per cent that is not', draft([{}], { stated: '120' }), [], 'stated-strength'],
    [
      'two stocks half and half',
      draft([{ source: raw.id, amount: '50', measure: 'millilitres' }], { stated: '10' }),
      [{ ...raw, ripeAt: T0 }],
      'halved-by-mixing',
    ],
    ['more than stays dissolved', draft([{ source: 'oxalic-acid', amount: '30' }]), [], 'over-solubility'],
    ['a spoon', draft([{ source: 'sodium-thiosulfate', measure: 'spoonMillilitres' }]), [], 'spoon'],
    ['the wrong hydrate', draft([{ source: 'citric-acid', jarId: hydrate.id }]), [hydrate], 'wrong-hydrate'],
    ['a bottle past its life', draft([{ source: old.id, measure: 'millilitres' }]), [old], 'past-life'],
    ['a bottle that has not ripened', draft([{ source: raw.id, measure: 'millilitres' }]), [raw], 'not-ripe'],
    [
      'ferricyanide with strong acid',
      draft([
        { source: 'potassium-ferricyanide', amount: '1' },
        { source: 'hydrochloric-acid', amount: '1' },
      ]),
      [],
      'incompatible',
    ],
    ['silver with ammonia', draft([{}, { source: 'ammonia', amount: '1' }]), [], 'incompatible'],
  ])('%s is noticed', (_, of, bottles, code) => expect(codes(of, bottles)).toContain(code))

  it('are corrected as the button says', () => {
    const of = draft([{ amount: '30', measure: 'grams' }], { volume: '1 l', stated: '30' })
    const [finding] = readSolution(of, room()).findings
    expect(finding?.corrections.length).toBeGreaterThan(1)
    for (const correction of finding!.corrections)
      expect(codes(corrected(of, correction, finding!.rowKey))).toEqual([])
    const spoon = draft([{ source: 'sodium-thiosulfate', amount: '40', measure: 'spoonMillilitres' }])
    const [said] = readSolution(spoon, room()).findings
    expect(corrected(spoon, said!.corrections[0]!, said!.rowKey).rows[0]).toMatchObject({
      amount: '40',
      measure: 'grams',
    })
    const full = draft([{ source: 'oxalic-acid', amount: '30' }])
    const [over] = readSolution(full, room()).findings
    expect(codes(corrected(full, over!.corrections[0]!, over!.rowKey))).toEqual([])
    const wet = draft([{ source: 'citric-acid', jarId: hydrate.id }])
    const [form] = readSolution(wet, room([hydrate])).findings
    expect(codes(corrected(wet, form!.corrections[0]!, form!.rowKey), [hydrate])).toEqual([])
  })
})

describe('scaleDraft', () => {
  it('scales what is absolute and leaves per cents alone', () => {
    const half = scaleDraft(draft([{ amount: '10', measure: 'grams' }, {}]), 0.5, 100)
    expect(half.volume).toBe('50 ml')
    expect(half.rows.map((row) => row.amount)).toEqual(['5', '12'])
  })
})
