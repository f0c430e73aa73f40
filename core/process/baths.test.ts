import { book } from '../fixtures/substances'
import { sheet, workroom } from '../fixtures/workroom'
import { T0, uuid } from '../fixtures/logs'
import type { Bath } from '../schema/bath'
import type { BathUse } from '../schema/definition'
import { bathCondition, passesOf, bathsForTray, strengthOff, wasteOf } from './baths'
import { PRINT_SQUARE_METRES, type Pass } from './bathCapacity'
import { emptyRun, type RunState, type StepState } from '../run/runState'

const DAY_MS = 86_400_000
const developer = workroom().records.baths[0]!
const fresh: Bath = { ...developer, replenished: [] }
const practice = { standing: 'practice', source: 'common practice' } as const
const use: BathUse = {
  manner: 'reused',
  replenish: { millilitres: 200, afterPrints: 8, atMostPrints: 10, ...practice },
  ...practice,
}
const fixer: BathUse = { manner: 'reused', squareMetresPerLitre: 0.5, ...practice }
const prints = (count: number, squareMetres = PRINT_SQUARE_METRES): Pass[] =>
  Array.from({ length: count }, (_, i) => ({ sheetId: uuid(i + 1), at: T0 + (i + 1) * 60_000, squareMetres }))
const standing = (
  bath: Bath,
  rule: BathUse | undefined,
  passes: Pass[],
  keeps?: number,
  now = T0 + 3_600_000,
) => bathCondition(bath, rule, passes, keeps, now)

describe('a bath', () => {
  // Common practice: 200 ml of fresh citrate developer every 8 to 10 prints of 8 x 10 in.
  it.each([
    [0, 'fresh', 10],
    [1, 'serves', 9],
    [7, 'serves', 3],
    [8, 'replenishSoon', 2],
    [9, 'replenishSoon', 1],
    [10, 'replenish', 0],
    [12, 'replenish', 0],
  ])('of developer after %d prints %s', (count, verdict, left) =>
    expect(standing(fresh, use, prints(count))).toMatchObject({ verdict, printsLeft: left }),
  )

  it('counts larger prints as more', () => {
    expect(standing(fresh, use, prints(5, 2 * PRINT_SQUARE_METRES)).verdict).toBe('replenish')
    expect(standing(fresh, use, prints(15, PRINT_SQUARE_METRES / 2)).verdict).toBe('serves')
  })

  it('counts anew from when it was replenished', () => {
    const replenished = { ...fresh, replenished: [{ at: T0 + 8 * 60_000 + 1, millilitres: 200 }] }
    expect(standing(replenished, use, prints(10))).toMatchObject({ verdict: 'serves', printsLeft: 8 })
  })

  it('has a capacity by area, with its working', () => {
    const passes = prints(9)
    const { used, printsLeft, verdict } = standing(fresh, fixer, passes)
    expect(used!.value).toBeCloseTo((9 * PRINT_SQUARE_METRES) / 0.5, 12)
    expect(used!.working.inputs.map((input) => input.value)).toEqual([
      expect.closeTo(9 * PRINT_SQUARE_METRES, 12),
      0.5,
      1,
    ])
    expect([verdict, printsLeft]).toEqual(['serves', 0])
    expect(standing(fresh, fixer, prints(10)).verdict).toBe('spent')
    expect(standing({ ...fresh, millilitres: 2000 }, fixer, prints(10)).verdict).toBe('serves')
  })

  it('for one print is used up by it', () => {
    const once: Bath = { ...fresh, manner: 'oneShot' }
    expect(standing(once, undefined, [])).toMatchObject({ verdict: 'fresh', printsLeft: 1 })
    expect(standing(once, undefined, prints(1))).toMatchObject({ verdict: 'used', printsLeft: 0 })
  })

  it('grows old in its tray', () => {
    expect(standing(fresh, use, [], 86_400, T0 + DAY_MS)).toMatchObject({
      verdict: 'fresh',
      bestUntil: T0 + DAY_MS,
    })
    expect(standing(fresh, use, [], 86_400, T0 + DAY_MS + 1).verdict).toBe('old')
  })

  it('is thinned by what sheets carry in, and brought up by what is added', () => {
    const thinned = standing(fresh, use, prints(10)).strength
    // Ten sheets carry in about 52 ml: a litre is left at e^-0.0516 of its strength.
    expect(thinned.value).toBeCloseTo(Math.exp(-0.0516128), 5)
    const added = { ...fresh, replenished: [{ at: T0 + 11 * 60_000, millilitres: 200 }] }
    const after = standing(added, use, prints(10)).strength.value
    expect(after).toBeCloseTo(1 - 0.8 * (1 - thinned.value), 12)
    expect(standing(fresh, use, []).strength.value).toBe(1)
  })
})

describe('the bath that stands', () => {
  const solutes = [{ substanceId: 'sodium-citrate', percentWv: 20 }]
  it('is of the tray’s name and solution, the newest first, and not one that was poured away', () => {
    const newer = { ...fresh, id: uuid(80), madeAt: T0 + 1 }
    const gone = { ...fresh, id: uuid(81), madeAt: T0 + 2, ended: { at: T0 + 3, why: 'discarded' as const } }
    expect(bathsForTray([fresh, newer, gone], 'citrate', solutes)[0]?.id).toBe(newer.id)
    expect(bathsForTray([fresh], 'clearing', solutes)).toEqual([])
    expect(bathsForTray([fresh], 'citrate', [{ substanceId: 'citric-acid', percentWv: 20 }])).toEqual([])
    expect(bathsForTray([fresh], 'citrate', [{ substanceId: 'sodium-citrate', percentWv: 25 }])[0]?.id).toBe(
      fresh.id,
    )
    expect(bathsForTray([fresh], 'citrate', [{ substanceId: 'sodium-citrate', percentWv: 3 }])).toEqual([])
  })

  it('is what was poured for the process, at any strength; a nearer one goes first', () => {
    const weak = [{ substanceId: 'sodium-citrate', percentWv: 3 }]
    expect(bathsForTray([fresh], 'citrate', weak, fresh.processId)[0]?.id).toBe(fresh.id)
    expect(bathsForTray([fresh], 'citrate', weak, 'another-process')).toEqual([])
    const near = {
      ...fresh,
      id: uuid(82),
      madeAt: T0 - 1,
      contents: [{ substanceId: 'sodium-citrate', percent: 3 }],
    }
    expect(bathsForTray([fresh, near], 'citrate', weak, fresh.processId)[0]?.id).toBe(near.id)
    expect(strengthOff(fresh, [{ substanceId: 'sodium-citrate', percentWv: 10 }])).toBeCloseTo(1, 9)
  })

  it('is what was poured in place of it, until something else is poured for the process', () => {
    const acetic = [{ substanceId: 'acetic-acid', percent: 2 }]
    const other: Bath = { ...fresh, id: uuid(83), madeAt: T0 + 5, contents: acetic, isInstead: true }
    expect(bathsForTray([fresh, other], 'citrate', solutes, fresh.processId)[0]?.id).toBe(other.id)
    expect(bathsForTray([fresh, other], 'citrate', solutes, 'another-process')[0]?.id).toBe(fresh.id)
    const later = { ...fresh, id: uuid(84), madeAt: T0 + 6 }
    expect(bathsForTray([fresh, other, later], 'citrate', solutes, fresh.processId)[0]?.id).toBe(later.id)
  })

  it('belongs in the jar of the worst that it holds', () => {
    const spent = { ...fresh, contents: [{ substanceId: 'silver-nitrate', percent: 1 }] }
    expect(wasteOf(spent, book)).toBe('silver')
  })
})

describe('prints through a bath', () => {
  const step = (changes: Partial<StepState>): StepState => ({
    planned: { id: 'develop', station: 'wet', place: 'water', kind: 'bath', begins: 'press' },
    status: 'done',
    startedAt: T0,
    finishedAt: T0 + 1000,
    holds: [],
    drops: {},
    waters: [],
    changes: [],
    drawn: [],
    ...changes,
  })
  const run = (steps: StepState[], current: number): RunState => ({ ...emptyRun(sheet.id), steps, current })

  it('are read off the logs, with the one that lies in it now', () => {
    const done = { sheet, state: run([step({ bathId: developer.id })], 1) }
    const elsewhere = { sheet: { ...sheet, id: uuid(5) }, state: run([step({ bathId: uuid(99) })], 1) }
    const lying = {
      sheet: { ...sheet, id: uuid(6) },
      state: run([step({ status: 'running', startedAt: T0 - 500 })], 0),
    }
    const works = [done, elsewhere, lying]
    expect(passesOf(developer.id, works).map((pass) => pass.sheetId)).toEqual([sheet.id])
    const withIt = passesOf(developer.id, works, { inIt: (id) => id === uuid(6) })
    expect(withIt.map((pass) => pass.sheetId)).toEqual([uuid(6), sheet.id])
    expect(withIt[0]!.squareMetres).toBeCloseTo(PRINT_SQUARE_METRES, 6)
  })
})
