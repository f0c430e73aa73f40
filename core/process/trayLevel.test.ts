import { T0, uuid } from '../fixtures/logs'
import { workroom } from '../fixtures/workroom'
import type { Bath } from '../schema/bath'
import { PRINT_SQUARE_METRES, type Pass } from './bathCapacity'
import type { Exchange } from './trayExchange'
import { pouredOff, trayLevel } from './trayLevel'

const tray: Bath = { ...workroom().records.baths[0]!, millilitres: 500, replenished: [], filtered: [] }
const FLOATED: Exchange = { takes: 60, brings: 0 }
const sheets = (count: number, exchange?: Exchange): Pass[] =>
  Array.from({ length: count }, (_, i) => ({
    sheetId: uuid(i + 1),
    at: T0 + (i + 1) * 60_000,
    squareMetres: PRINT_SQUARE_METRES,
    ...(exchange && { exchange }),
  }))
const added = (minute: number, millilitres: number): Bath => ({
  ...tray,
  replenished: [{ at: T0 + minute * 60_000 + 1, millilitres }],
})
const of = (bath: Bath, passes: Pass[]) => {
  const { level, strength } = trayLevel(bath, passes)
  return [level.value, strength.value] as const
}

describe('what is left in a tray', () => {
  // 8 × 10 in are 0.0516128 m²: a floated sheet takes 3.1 ml of it, at 60 ml/m².
  it('goes down with every floated sheet, which leaves its strength', () => {
    const [level, strength] = of(tray, sheets(10, FLOATED))
    expect(level).toBeCloseTo(500 - 30.97, 2)
    expect(strength).toBe(1)
  })

  it('stays with wet sheets, which bring as much as they take', () =>
    expect(of(tray, sheets(10))[0]).toBeCloseTo(500, 9))

  it('is filled up, and what no longer fits is poured off first', () => {
    expect(of(added(10, 25), sheets(10, FLOATED))[0]).toBeCloseTo(494.03, 2)
    expect(of(added(10, 100), sheets(10, FLOATED))[0]).toBeCloseTo(500, 9)
    expect(pouredOff(tray, 469, 100)).toBeCloseTo(69, 9)
    expect(pouredOff(tray, 469, 25)).toBe(0)
    // More than the tray holds: all of the old goes.
    expect(pouredOff(tray, 469, 2000)).toBe(469)
    expect(of(added(10, 2000), sheets(10))).toEqual([500, 1])
  })

  it('is never less than nothing', () => {
    expect(of({ ...tray, millilitres: 20 }, sheets(10, FLOATED))[0]).toBe(0)
    const drawn = of({ ...tray, millilitres: 20 }, sheets(10, { ...FLOATED, spends: 45 }))
    expect(drawn).toEqual([0, 0])
  })

  it('is worth what is poured together: half of fresh and half of old at 80 %', () => {
    // Two sheets of which each draws a tenth of the fresh tray, and take nothing along.
    const drawing = { takes: 0, brings: 0, spends: 50 / PRINT_SQUARE_METRES }
    expect(of(tray, sheets(2, drawing))[1]).toBeCloseTo(0.8, 9)
    expect(of(added(2, 250), sheets(2, drawing))).toEqual([500, expect.closeTo(0.9, 9)])
  })
})
