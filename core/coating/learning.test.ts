import { sheet } from '../fixtures/workroom'
import { begun, logOf, SHEET, uuid, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { replay } from '../run/run'
import { learnedCoverage, usualCoverage, type JudgedCoat } from './coverage'
import { calibrateDropper } from './dropper'
import { ownCoats } from './ownCoats'

describe('calibrateDropper', () => {
  // Worked example: 60 drops of water weigh 2.994 g; at 0.998 g/ml that is 3.000 ml, 20 to the millilitre.
  it('turns weighed drops into a volume, with its spread', () => {
    const { dropsPerMillilitre, dropVolume } = calibrateDropper([
      { drops: 20, grams: 0.988 },
      { drops: 20, grams: 0.998 },
      { drops: 20, grams: 1.008 },
    ])
    expect(dropsPerMillilitre.value).toBeCloseTo(20, 3)
    expect(dropVolume.value).toBeCloseTo(0.05, 5)
    expect(dropVolume.uncertainty).toBeCloseTo(0.01 / 0.998 / 20, 6)
  })

  it('minds how heavy the liquid is, and says when one weighing tells no spread', () => {
    const heavy = calibrateDropper([{ drops: 20, grams: 1.2 }], 1.2)
    expect(heavy.dropsPerMillilitre.value).toBeCloseTo(20, 9)
    expect(heavy.dropVolume.uncertainty).toBeUndefined()
    expect(heavy.dropVolume.working.leavesOut).toMatch(/spread/)
  })

  it.each([
    ['nothing weighed', [], 'too-few'],
    ['half a drop', [{ drops: 0.5, grams: 1 }], 'out-of-range'],
    ['milligrams taken for grams', [{ drops: 20, grams: 998 }], 'unlikely'],
  ])('refuses %s', (_, weighings, code) =>
    expect(() => calibrateDropper(weighings)).toThrow(expect.objectContaining({ code })),
  )
})

describe('coverage', () => {
  // Common practice: 40 drops of 0.05 ml on 8 x 10 in, which is 516.1 cm².
  it('starts from 40 drops on 8 x 10 in by brush, six tenths of it by rod', () => {
    expect(usualCoverage('brush').value).toBeCloseTo((40 * 0.05) / 0.05161, 0)
    expect(usualCoverage('rod').value).toBeCloseTo(0.6 * usualCoverage('brush').value, 9)
    expect(usualCoverage('rod').working.standing).toBe('memory')
    const own = { millilitresPerM2: 34.9, standing: 'practice' as const, source: '18 + 18 drops' }
    expect(usualCoverage('brush', own)).toMatchObject({ value: 34.9, working: { source: '18 + 18 drops' } })
    expect(usualCoverage('sponge', own).working).toMatchObject({
      standing: 'memory',
      source: expect.stringContaining('18 + 18 drops'),
    })
  })

  const coat = (said: JudgedCoat['said'], more: Partial<JudgedCoat> = {}): JudgedCoat => ({
    tool: 'brush',
    areaSquareCentimetres: 500,
    millilitres: 2,
    said,
    ...more,
  })

  it('learns from coats that were short, right or over, and shows their spread', () => {
    expect(learnedCoverage([], 'brush')).toBeNull()
    expect(learnedCoverage([coat('right')], 'brush')?.value).toBeCloseTo(40, 9)
    const learned = learnedCoverage(
      [coat('right'), coat('over', { byMillilitres: 0.5 }), coat('short')],
      'brush',
    )
    // 40, 30 and 44 ml/m², by hand.
    expect(learned?.value).toBeCloseTo(38, 9)
    expect(learned?.uncertainty).toBeCloseTo(Math.sqrt((4 + 64 + 36) / 2), 6)
    expect(learnedCoverage([coat('right')], 'rod')).toBeNull()
  })

  it('forgets what was long ago', () => {
    const coats = [
      ...Array.from({ length: 5 }, () => coat('right', { millilitres: 9 })),
      ...Array.from({ length: 12 }, () => coat('right')),
    ]
    expect(learnedCoverage(coats, 'brush')?.value).toBeCloseTo(40, 9)
  })
})

describe('ownCoats', () => {
  const log = (judged: Happening) =>
    logOf([
      [
        0,
        {
          ...begun,
          steps: (begun as Extract<Happening, { type: 'begun' }>).steps.map((step) =>
            'spread dry'.includes(step.id) ? { ...step, coat: 1 } : step,
          ),
        } as Happening,
      ],
      ...wholeJob.slice(1, 7),
      [110, judged],
    ])
  const state = replay(SHEET, log({ type: 'coatJudged', coat: 1, said: 'over', byMillilitres: 0.05 }))

  it('reckons with the drops really counted', () => {
    const [one] = ownCoats([{ sheet, state }], sheet.process.id)
    expect(one).toEqual({
      tool: 'brush',
      areaSquareCentimetres: (203.2 * 254) / 100,
      millilitres: 4 / 20,
      said: 'over',
      byMillilitres: 0.05,
    })
  })

  it('shares a glass among its sheets, and leaves other processes out', () => {
    const batch = { id: uuid(8), of: 4, place: 1 }
    expect(ownCoats([{ sheet: { ...sheet, batch }, state }], sheet.process.id)[0]?.millilitres).toBeCloseTo(
      4 / 20 / 4,
      9,
    )
    expect(ownCoats([{ sheet, state }], 'kallitype')).toEqual([])
    // The second sheet of the row counted nothing itself: it had its share of the same glass.
    const second = { ...sheet, id: uuid(9), number: sheet.number + 1, batch: { ...batch, place: 2 } }
    const counted = { ...state, steps: state.steps.filter(({ planned }) => planned.kind !== 'count') }
    const row = [
      { sheet: { ...sheet, batch }, state },
      { sheet: second, state: counted },
    ]
    expect(ownCoats(row, sheet.process.id)[1]?.millilitres).toBeCloseTo(4 / 20 / 4, 9)
  })

  it('refuses a word on a coat that was never laid', () => {
    expect(() => replay(SHEET, log({ type: 'coatJudged', coat: 2, said: 'right' }))).toThrow(
      expect.objectContaining({ code: 'not-coated' }),
    )
  })
})
