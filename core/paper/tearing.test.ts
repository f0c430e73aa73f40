import fc from 'fast-check'
import { tearingPlan, type TearingPlan } from './tearing'
import { type Sides, type Wanted } from './tearingBlocks'

/** Best area by trying every tear at every whole mark of every piece: slow, and beyond doubt. */
function bruteForce(sheet: Sides, wanted: readonly Wanted[], loss: number): number {
  const memo = new Map<string, number[][]>()
  /** Every set of counts that a rectangle can be torn into, dominated ones left out. */
  const sets = (width: number, height: number): number[][] => {
    const key = `${width}x${height}`
    const known = memo.get(key)
    if (known) return known
    const found = new Map<string, number[]>([[wanted.map(() => 0).join(), wanted.map(() => 0)]])
    const add = (counts: number[]) => {
      const capped = counts.map((count, i) => Math.min(count, wanted[i]!.count))
      found.set(capped.join(), capped)
    }
    wanted.forEach((one, size) => {
      const fits =
        (one.width <= width && one.height <= height) ||
        (one.mayTurn !== false && one.height <= width && one.width <= height)
      if (fits) add(wanted.map((_, i) => (i === size ? 1 : 0)))
    })
    for (let at = 1; at < width; at++)
      for (const a of sets(at, height))
        for (const b of sets(Math.max(0, width - at - loss), height)) add(a.map((count, i) => count + b[i]!))
    for (let at = 1; at < height; at++)
      for (const a of sets(width, at))
        for (const b of sets(width, Math.max(0, height - at - loss))) add(a.map((count, i) => count + b[i]!))
    const list = [...found.values()]
    memo.set(key, list)
    return list
  }
  const area = (counts: readonly number[]) =>
    counts.reduce((sum, count, i) => sum + count * wanted[i]!.width * wanted[i]!.height, 0)
  return Math.max(...sets(sheet.width, sheet.height).map(area))
}

/** Tears the sheet as the plan says, by hand, and returns what is on the table. */
function tearByHand(sheet: Sides, plan: TearingPlan, loss: number) {
  let table = [{ x: 0, y: 0, ...sheet }]
  for (const { piece, way, at } of plan.tears) {
    const inHand = table.find(
      (one) =>
        Math.abs(one.x - piece.x) < 1e-6 &&
        Math.abs(one.y - piece.y) < 1e-6 &&
        Math.abs(one.width - piece.width) < 1e-6 &&
        Math.abs(one.height - piece.height) < 1e-6,
    )
    expect(inHand).toBeDefined()
    const { x, y, width, height } = inHand!
    table = table.filter((one) => one !== inHand)
    const pieces =
      way === 'down'
        ? [
            { x, y, width: at, height },
            { x: x + at + loss, y, width: width - at - loss, height },
          ]
        : [
            { x, y, width, height: at },
            { x, y: y + at + loss, width, height: height - at - loss },
          ]
    table.push(...pieces.filter((one) => one.width > 1e-6 && one.height > 1e-6))
  }
  return table
}

const eighths = (inches: number) => inches * 8

describe('a tearing plan', () => {
  // Common practice: a sheet sold as 22 x 30 in measures 22.5 x 30; three rows of 10 in, halves of 11.25 in.
  it('gives six pieces of 11.25 x 10 in from a sheet of 22.5 x 30 in, with nothing left', () => {
    const plan = tearingPlan({ width: 22.5, height: 30 }, [{ width: 10, height: 11.25, count: Infinity }])
    expect(plan.counts).toEqual([6])
    expect(plan.used).toBeCloseTo(1, 9)
    expect(plan.leftOver).toEqual([])
    expect(plan.tears).toHaveLength(5)
    expect(plan.tears.map((tear) => tear.at)).toEqual(expect.arrayContaining([11.25, 10]))
  })

  it('does not believe the 22 in that the label says', () => {
    const plan = tearingPlan({ width: 22, height: 30 }, [{ width: 10, height: 11.25, count: Infinity }])
    expect(plan.counts[0]).toBeLessThan(6)
  })

  it('tears three mixed sizes and keeps to the counts', () => {
    const sheet = { width: eighths(22.5), height: eighths(30) }
    const wanted = [
      { width: eighths(8), height: eighths(10), count: 4 },
      { width: eighths(5), height: eighths(7), count: 6 },
      { width: eighths(4), height: eighths(5), count: Infinity },
    ]
    const plan = tearingPlan(sheet, wanted)
    expect(plan.counts[0]).toBeLessThanOrEqual(4)
    expect(plan.counts[1]).toBeLessThanOrEqual(6)
    expect(plan.used).toBeGreaterThan(0.94)
  })

  it('needs room for the torn edge', () => {
    const wanted = [{ width: 5, height: 10, count: Infinity }]
    expect(tearingPlan({ width: 10, height: 10 }, wanted).counts).toEqual([2])
    expect(tearingPlan({ width: 10, height: 10 }, wanted, 0.1).counts).toEqual([1])
    expect(tearingPlan({ width: 10.1, height: 10 }, wanted, 0.1).counts).toEqual([2])
  })

  it('keeps a piece as written where the grain matters', () => {
    const sheet = { width: 4, height: 3 }
    expect(tearingPlan(sheet, [{ width: 3, height: 4, count: 1 }]).pieces[0]?.turned).toBe(true)
    expect(() => tearingPlan(sheet, [{ width: 3, height: 4, count: 1, mayTurn: false }])).toThrow(
      /None of these pieces fits/,
    )
  })

  it('refuses what no one could tear', () => {
    expect(() => tearingPlan({ width: 0, height: 3 }, [{ width: 1, height: 1, count: 1 }])).toThrow(
      /two lengths/,
    )
    expect(() => tearingPlan({ width: 3, height: 3 }, [])).toThrow(/Every piece/)
    expect(() => tearingPlan({ width: 3, height: 3 }, [{ width: 1, height: 1, count: 1 }], -1)).toThrow(
      /torn edge/,
    )
    const crumbs = [2, 3, 5].map((width) => ({ width, height: width + 1, count: Infinity }))
    expect(() => tearingPlan({ width: 500, height: 500 }, crumbs)).toThrow(/too many small pieces/)
  })

  const small = fc.record({
    sheet: fc.record({ width: fc.integer({ min: 2, max: 8 }), height: fc.integer({ min: 2, max: 8 }) }),
    wanted: fc.array(
      fc.record({
        width: fc.integer({ min: 1, max: 5 }),
        height: fc.integer({ min: 2, max: 5 }),
        count: fc.integer({ min: 1, max: 4 }),
        mayTurn: fc.boolean(),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    loss: fc.constantFrom(0, 1),
  })

  it('is as good as brute force on small sheets, and can be torn as it says', () => {
    fc.assert(
      fc.property(small, ({ sheet, wanted, loss }) => {
        const best = bruteForce(sheet, wanted, loss)
        if (best === 0) {
          expect(() => tearingPlan(sheet, wanted, loss)).toThrow(/None of/)
          return
        }
        const plan = tearingPlan(sheet, wanted, loss)
        expect(plan.used * sheet.width * sheet.height).toBeCloseTo(best, 6)
        const table = tearByHand(sheet, plan, loss)
        for (const piece of plan.pieces) {
          const size = wanted[piece.size]!
          expect([piece.width, piece.height]).toEqual(
            piece.turned ? [size.height, size.width] : [size.width, size.height],
          )
          expect(table).toContainEqual({
            x: piece.x,
            y: piece.y,
            width: piece.width,
            height: piece.height,
          })
        }
        expect(table).toHaveLength(plan.pieces.length + plan.leftOver.length)
      }),
      { numRuns: 150 },
    )
  })
})

describe('any tearing plan', () => {
  const asked = fc.record({
    sheet: fc.record({ width: fc.integer({ min: 20, max: 60 }), height: fc.integer({ min: 20, max: 80 }) }),
    wanted: fc.array(
      fc.record({
        width: fc.integer({ min: 6, max: 20 }),
        height: fc.integer({ min: 6, max: 20 }),
        count: fc.integer({ min: 1, max: 4 }),
        mayTurn: fc.boolean(),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    loss: fc.constantFrom(0, 0.5, 1),
  })
  const planOf = (sheet: Sides, wanted: readonly Wanted[], loss: number) => {
    try {
      return tearingPlan(sheet, wanted, loss)
    } catch {
      return null
    }
  }

  it('keeps every piece on the sheet, none over another, and no more of a size than is wanted', () => {
    fc.assert(
      fc.property(asked, ({ sheet, wanted, loss }) => {
        const plan = planOf(sheet, wanted, loss)
        if (!plan) return
        for (const [i, a] of plan.pieces.entries()) {
          expect(a.x).toBeGreaterThanOrEqual(0)
          expect(a.y).toBeGreaterThanOrEqual(0)
          expect(a.x + a.width).toBeLessThanOrEqual(sheet.width + 1e-6)
          expect(a.y + a.height).toBeLessThanOrEqual(sheet.height + 1e-6)
          for (const b of plan.pieces.slice(i + 1)) {
            const isApart =
              a.x + a.width <= b.x + 1e-6 ||
              b.x + b.width <= a.x + 1e-6 ||
              a.y + a.height <= b.y + 1e-6 ||
              b.y + b.height <= a.y + 1e-6
            expect(isApart).toBe(true)
          }
        }
        plan.counts.forEach((count, size) => {
          expect(count).toBeLessThanOrEqual(wanted[size]!.count)
          expect(plan.pieces.filter((piece) => piece.size === size)).toHaveLength(count)
        })
      }),
      { numRuns: 120 },
    )
  })

  it('never gets more out of a smaller sheet, or out of one that loses more at every tear', () => {
    fc.assert(
      fc.property(asked, ({ sheet, wanted }) => {
        const made = (of: Sides, loss: number) => (planOf(of, wanted, loss)?.used ?? 0) * of.width * of.height
        const whole = made(sheet, 0)
        expect(made(sheet, 1)).toBeLessThanOrEqual(whole + 1e-6)
        expect(made({ ...sheet, height: sheet.height - 3 }, 0)).toBeLessThanOrEqual(whole + 1e-6)
      }),
      { numRuns: 80 },
    )
  })

  it('is as good in millimetres as in inches, and with the sheet turned', () => {
    fc.assert(
      fc.property(asked, ({ sheet, wanted }) => {
        const plan = planOf(sheet, wanted, 0)
        if (!plan) return
        const inMillimetres = tearingPlan(
          { width: sheet.width * 25.4, height: sheet.height * 25.4 },
          wanted.map((one) => ({ ...one, width: one.width * 25.4, height: one.height * 25.4 })),
        )
        expect(inMillimetres.used).toBeCloseTo(plan.used, 9)
        const turning = wanted.map((one) => ({ ...one, mayTurn: true }))
        const turned = { width: sheet.height, height: sheet.width }
        expect(planOf(turned, turning, 0)?.used).toBeCloseTo(planOf(sheet, turning, 0)!.used, 9)
      }),
      { numRuns: 60 },
    )
  })
})
