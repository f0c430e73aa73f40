import { SHEET, T0, uuid } from '../fixtures/logs'
import { emptyRun, type RunState } from '../run/runState'
import type { Measured } from '../schema/event'
import { ciede2000, type Lab } from './colour'
import type { DriedPrint } from './dryDown'
import { driftPerDay, settledMove, settlesTo, settling, STANDS_STILL } from './settling'

const DAY = 86_400_000
const BLACK = { of: 'black', name: '' } as const
type Look = [moment: Measured['moment'], day: number, lab: Lab | null]

const measured = (...looks: Look[]): RunState => ({
  ...emptyRun(SHEET),
  measurements: looks.map(([moment, day, lab], n) => ({
    ...{ id: uuid(9000 + n), sheetId: SHEET, index: n, at: T0 + day * DAY },
    ...{ type: 'measured', moment, by: 'typed' },
    readings: [{ ...BLACK, density: 1.3, ...(lab && { lab: [...lab] as [number, number, number] }) }],
  })),
})
const print = (move: Lab, where: Partial<DriedPrint> = {}): DriedPrint => ({
  processId: 'cyanotype-classic',
  paperId: uuid(2),
  state: measured(['dry', 1, [24, 2, -26]], ['settled', 14, [24 + move[0], 2 + move[1], -26 + move[2]]]),
  ...where,
})
const wanted = { processId: 'cyanotype-classic', paperId: uuid(2) }

describe('how a colour settles', () => {
  it('is what lies between the dry look and the settled one', () => {
    expect(settledMove(print([-2, 0.5, -3]).state, BLACK)).toEqual([-2, 0.5, -3])
    expect(settledMove(measured(['dry', 1, [24, 2, -26]]), BLACK)).toBeNull()
    expect(settledMove(measured(['wet', 0, [30, 2, -20]], ['settled', 14, [24, 2, -26]]), BLACK)).toBeNull()
    expect(settledMove(measured(['dry', 1, null], ['settled', 14, [24, 2, -26]]), BLACK)).toBeNull()
  })

  it('begins from no change, so that one print moves a third of its own', () => {
    const { move, prints, onThisPaper, spread } = settling(wanted, [print([-3, 0, -6], { paperId: uuid(9) })], BLACK) // prettier-ignore
    expect(move[0]).toBeCloseTo(-1)
    expect(move[2]).toBeCloseTo(-2)
    expect([prints, onThisPaper, spread]).toEqual([1, 0, undefined])
    expect(settling(wanted, [], BLACK)).toEqual({ move: [0, 0, 0], prints: 0, onThisPaper: 0 })
  })

  it('is told from prints of the process and the paper, and of nothing else', () => {
    const strangers = [print([9, 9, 9], { processId: 'van-dyke' })]
    const here = Array.from({ length: 6 }, () => print([-2, 0, -4]))
    const found = settling(wanted, [...here, ...strangers], BLACK)
    // (2 · 0 + 6 · −4) / 8 = −3, and from there (2 · −3 + 6 · −4) / 8 = −3.75.
    expect(found.move[2]).toBeCloseTo(-3.75)
    expect([found.prints, found.onThisPaper]).toEqual([6, 6])
    expect(found.spread).toBeCloseTo(Math.hypot(2 - 1.875, 4 - 3.75))
  })

  it('comes ever nearer to what prints really do, however many there are', () => {
    const off = [2, 5, 20, 80].map((count) => {
      const { move } = settling(
        wanted,
        Array.from({ length: count }, () => print([-2, 1, -4])),
        BLACK,
      )
      return Math.hypot(move[0] + 2, move[1] - 1, move[2] + 4)
    })
    expect([...off].sort((a, b) => b - a)).toEqual(off)
    expect(off.at(-1)).toBeLessThan(0.01)
  })

  it('tells what a print that is dry will come to, until it has been read settled', () => {
    const learned = settling(
      wanted,
      Array.from({ length: 20 }, () => print([-2, 0, -4])),
      BLACK,
    )
    const dry = measured(['dry', 1, [26, 1, -24]])
    const to = settlesTo(dry, BLACK, learned)!
    expect(to.lab[2]).toBeCloseTo(-24 + learned.move[2])
    expect(to.difference).toBeCloseTo(ciede2000([26, 1, -24], to.lab))
    expect(settlesTo(print([0, 0, 0]).state, BLACK, learned)).toBeNull()
    expect(settlesTo(measured(['wet', 0, [26, 1, -24]]), BLACK, learned)).toBeNull()
  })
})

describe('how fast a colour still moves', () => {
  it('is told by the last two readings half a day apart', () => {
    const state = measured(['dry', 1, [26, 1, -24]], ['dry', 3, [25, 1, -26]], ['dry', 3.2, [24.9, 1, -26.1]])
    const drift = driftPerDay(state, BLACK)!
    expect(drift.from).toBe(T0 + DAY)
    expect(drift.perDay).toBeCloseTo(ciede2000([26, 1, -24], [24.9, 1, -26.1]) / 2.2)
    expect(drift.perDay).toBeGreaterThan(STANDS_STILL)
  })

  it('stands still where nothing more can be seen in a fortnight', () => {
    const drift = driftPerDay(measured(['dry', 1, [24, 2, -26]], ['settled', 15, [24, 2, -26.8]]), BLACK)!
    expect(drift.perDay).toBeLessThan(STANDS_STILL)
  })

  it('is no longer asked of what has settled: a change over years is no standing still', () => {
    const years = measured(
      ['dry', 1, [24, 2, -26]],
      ['settled', 15, [23, 2, -27]],
      ['later', 900, [35, 2, -15]],
    )
    expect(driftPerDay(years, BLACK)?.to).toBe(T0 + 15 * DAY)
    expect(
      driftPerDay(measured(['settled', 15, [23, 2, -27]], ['later', 900, [35, 2, -15]]), BLACK),
    ).toBeNull()
  })

  it('is not known from one reading, or from two of one morning', () => {
    expect(driftPerDay(measured(['dry', 1, [26, 1, -24]]), BLACK)).toBeNull()
    expect(driftPerDay(measured(['dry', 1, [26, 1, -24]], ['dry', 1.1, [25, 1, -25]]), BLACK)).toBeNull()
    expect(driftPerDay(measured(['wet', 0, [40, 1, -14]], ['dry', 1, [26, 1, -24]]), BLACK)).toBeNull()
  })
})
