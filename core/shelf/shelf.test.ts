import { book, bottle } from '../fixtures/substances'
import { sheet } from '../fixtures/workroom'
import { T0 } from '../fixtures/logs'
import { labelOf } from './label'
import type { ProcessDefinition } from '../schema/definition'
import type { Waste } from '../schema/records'
import type { Substance } from '../schema/substance'
import { uuid } from '../fixtures/logs'
import { conditionOf } from './condition'
import { needsOf, readinessOf, shoppingList } from './readiness'
import { recipesOf } from './recipes'
import { auditPour, wasteClassOf, wasteJars } from '../chemistry/waste'

const DAY = 86_400_000
const stock = (substanceId: string, percentWv: number, more: object = {}) => ({
  solutes: [{ substanceId, percentWv }],
  making: ['m'],
  standing: 'practice' as const,
  source: 's',
  ...more,
})
const definition: ProcessDefinition = {
  id: 'toy', version: 1, name: 'Toy', summary: 's', mark: 'umber', kind: 'process',
  components: [
    { id: 'silver', name: 'Silver', letter: 'A', cautions: [], stock: stock('silver-nitrate', 12) },
    { id: 'salt', name: 'Salt', letter: 'B', cautions: [], stock: stock('sodium-chloride', 2) },
  ],
  mixes: [{ id: 'mix', name: 'Mix', parts: [{ component: 'silver', parts: 1 }] }],
  baths: [{ id: 'clear', name: 'Acid', cautions: [], stock: stock('citric-acid', 3) }],
  chalk: { bears: true, why: 'w' }, tools: ['brush'],
  choices: [{ id: 'c', name: 'C', startsWith: 'full', options: [
    { id: 'full', name: 'F', reason: 'r', standing: 'practice' },
    { id: 'weak', name: 'W', reason: 'r', standing: 'practice', stocks: { silver: [{ substanceId: 'silver-nitrate', percentWv: 10 }] } },
  ] }],
  lights: [], cautions: [], secondLooks: [], colours: {},
  steps: [
    { id: 'count', station: 'coat', place: 'bench', kind: 'count', mix: 'mix', title: 't', meanwhile: 'm', doing: 'd', why: 'w', cautions: [], begins: 'press', press: { start: 's', finish: 'f' } },
    { id: 'soak', station: 'coat', place: 'bench', kind: 'wait', tray: 'salt', title: 't', meanwhile: 'm', doing: 'd', why: 'w', cautions: [], begins: 'press', press: { start: 's', finish: 'f' } },
    { id: 'clear', station: 'wet', place: 'water', kind: 'bath', tray: 'clear', title: 't', meanwhile: 'm', doing: 'd', why: 'w', cautions: [], begins: 'press', press: { start: 's', finish: 'f' } },
  ],
} // prettier-ignore
const input = { ...sheet, choices: { c: 'full' }, parts: {} }
const shelf = (bottles: ReturnType<typeof bottle>[], now = T0 + DAY) => ({
  bottles,
  taken: new Map<string, number>(),
  book,
  now,
})

describe('recipesOf', () => {
  it('lists every solution once, with the other strengths of a choice', () => {
    const found = recipesOf([definition, { ...definition, id: 'other', name: 'Other' }])
    expect(found.map((one) => [one.id, one.use])).toEqual([
      ['toy/silver', 'coat'],
      ['toy/salt', 'coat'],
      ['toy/clear', 'bath'],
      ['toy/silver-weak', 'coat'],
    ])
    expect(found[0]?.usedFor).toEqual(['Toy', 'Other'])
  })
})

describe('needs, readiness and shopping', () => {
  it('reckons coats by the area and trays by their size', () => {
    const needs = needsOf(definition, { ...shelf([bottle(1)]), input })
    expect(needs.map((one) => [one.id, one.use])).toEqual([
      ['silver', 'coat'],
      ['salt', 'bath'],
      ['clear', 'bath'],
    ])
    expect(needs[0]?.millilitres).toBe(2)
    // 253.2 x 304 mm, 15 mm deep, by hand.
    expect(needs[1]?.millilitres).toBeCloseTo((253.2 * 304 * 15) / 1000, 6)
    expect(needs[0]?.readyMillilitres).toBe(100)
  })

  it('counts only what is ripe and within its life', () => {
    const ready = (more: object) =>
      needsOf(definition, { ...shelf([bottle(1, more)]), input })[0]?.readyMillilitres
    expect(ready({ ripeAt: T0 + 2 * DAY })).toBe(0)
    expect(ready({ bestUntil: T0 })).toBe(0)
    expect(ready({ amount: undefined })).toBeNull()
  })

  it('says for how many sheets the shelf is enough, and what is missing', () => {
    const bottles = [
      bottle(1, { amount: 9 }),
      bottle(2, { contents: [{ substanceId: 'sodium-chloride', percent: 2 }], amount: 2000 }),
    ]
    expect(readinessOf(definition, sheet, shelf(bottles))).toMatchObject({ sheets: 4, missing: [] })
    // The last sheet may have been one of six from one mix; the next ones are counted singly all the same.
    const ofSix = { ...sheet, batch: { id: uuid(8), of: 6, place: 1 } }
    expect(readinessOf(definition, ofSix, shelf(bottles)).sheets).toBe(4)
    expect(readinessOf(definition, sheet, shelf(bottles.slice(1)))).toMatchObject({
      sheets: 0,
      missing: ['Silver'],
    })
  })

  it('lists what to weigh for what is short, against the jars', () => {
    const jar = bottle(5, {
      kind: 'solid',
      contents: [{ substanceId: 'citric-acid', percent: 50 }],
      amount: 20,
    })
    const needs = needsOf(definition, { ...shelf([jar]), input })
    const lines = shoppingList(needs, [jar], new Map(), book)
    const acid = lines.find((one) => one.substanceId === 'citric-acid')!
    expect(acid.haveGrams).toBe(10)
    expect(acid.grams).toBeCloseTo((needs[2]!.millilitres * 3) / 100, 9)
    expect(
      shoppingList(needsOf(definition, { ...shelf([bottle(1)]), input }), [bottle(1)], new Map(), book).map(
        (one) => one.substanceId,
      ),
    ).not.toContain('silver-nitrate')
  })
})

describe('conditionOf', () => {
  it.each<[string, object, number | null, string | null]>([
    ['a kit that rests', { ripeAt: T0 + 20 * DAY }, 100, 'resting, 10 days'],
    ['a label that is wrong', { statedPercent: 15 }, 100, 'label says 15'],
    ['what is past its life', { bestUntil: T0 + DAY }, 100, 'past its shelf life'],
    ['an empty one', {}, 0, 'empty'],
    ['nearly out', {}, 10, 'nearly out'],
    ['ageing', { madeAt: T0, bestUntil: T0 + 12 * DAY }, 100, 'ageing'],
    ['fresh', { madeAt: T0 + 10 * DAY - 1000 }, 100, 'fresh'],
    ['nothing to say', { madeAt: T0, bestUntil: T0 + 100 * DAY }, null, null],
  ])('says of %s', (_, more, left, words) =>
    expect(
      conditionOf(bottle(1, { madeAt: T0, ...more }), left, T0 + 10 * DAY)?.words.replace(/\u00a0/g, ' ') ??
        null,
    ).toBe(words),
  )
})

describe('waste', () => {
  it('goes where its worst part belongs', () => {
    expect(
      wasteClassOf(
        [
          { substanceId: 'citric-acid', percent: 6 },
          { substanceId: 'silver-nitrate', percent: 12 },
        ],
        book,
      ),
    ).toBe('silver')
    expect(wasteClassOf([], book)).toBe('plain')
  })

  it('is checked before it is poured: against itself, against the jar, and where the jar is not recorded', () => {
    const table = [{ id: 'x', between: ['sulfite', 'acid'], danger: 'gas', remedy: 'wash' }] as const
    const waste = (n: number, what: string, ids?: string[], more: Partial<Waste> = {}): Waste => ({
      id: uuid(n),
      wasteClass: 'acid',
      amount: 100,
      unit: 'ml',
      what,
      contents: ids?.map((substanceId) => ({ substanceId })),
      at: T0,
      ...more,
    })
    const pour = (ids: string[], wastes: Waste[]) =>
      auditPour(
        { name: 'mine', contents: ids.map((substanceId) => ({ substanceId })) },
        'acid',
        wastes,
        book,
        table,
      ).map((one) => [one.code, one.subject])
    expect(pour(['sodium-sulfite', 'citric-acid'], [])).toEqual([
      ['incompatible', 'sodium sulfite and citric acid'],
    ])
    const acid = waste(1, 'old acid', ['citric-acid'])
    expect(pour(['sodium-sulfite'], [acid])).toEqual([['incompatible', 'mine and old acid']])
    expect(pour(['citric-acid'], [acid])).toEqual([])
    expect(pour(['citric-acid'], [waste(2, 'something')])).toEqual([['unknown-contents', 'mine']])
    expect(pour(['sodium-chloride'], [waste(2, 'something')])).toEqual([])
    for (const gone of [{ handedOverAt: T0 }, { takenBackAt: T0 }, { wasteClass: 'plain' as const }])
      expect(pour(['sodium-sulfite'], [{ ...acid, ...gone }])).toEqual([])
  })

  it('is kept by jar until it is handed over', () => {
    const waste = (n: number, more: Partial<Waste>): Waste => ({
      id: uuid(n),
      wasteClass: 'silver',
      amount: 100,
      unit: 'ml',
      what: 'w',
      at: T0,
      ...more,
    })
    const jars = wasteJars([
      waste(1, {}),
      waste(2, { amount: 50 }),
      waste(3, { wasteClass: 'iron', unit: 'g' }),
      waste(4, { handedOverAt: T0 }),
      waste(5, { takenBackAt: T0 }),
    ])
    expect(jars.map((jar) => [jar.wasteClass, jar.millilitres, jar.grams])).toEqual([
      ['silver', 150, 0],
      ['iron', 0, 100],
    ])
  })
})

describe('labelOf', () => {
  const hazard: Substance['hazard'] = {
    statements: ['H314'],
    standing: 'published',
    source: 's',
  }
  const dangerous = { ...book, 'silver-nitrate': { ...book['silver-nitrate'], hazard } }
  const label = (percent: number) =>
    labelOf(
      bottle(1, { contents: [{ substanceId: 'silver-nitrate', percent }], bestUntil: T0 + DAY }),
      dangerous,
      { H314: 'Burns' },
      'http://x/shelf/1',
      (at) => `day ${(at - T0) / DAY}`,
    )

  it('says what is in it, how strong, how old, and what it does', () => {
    expect(label(12)).toEqual({
      title: 'Silver', label: 'B-1', contents: ['silver nitrate 12 % w/v'], dates: [expect.stringMatching(/^made day/), 'best until day 1'],
      signal: 'DANGER', pictograms: ['corrosion'], statements: ['H314 Burns'], link: 'http://x/shelf/1',
    }) // prettier-ignore
  })

  it('carries no hazard of a mere trace', () =>
    expect(label(0.2)).toMatchObject({ signal: null, statements: [] }))
})
