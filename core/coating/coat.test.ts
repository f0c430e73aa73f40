import { CoreError } from '../errors'
import { glassCoverage } from './glassCoverage'
import fc from 'fast-check'
import { parseSize } from '../quantity/size'
import { BRUSH_COVERAGE, coatVolume, DROPS_PER_MILLILITRE, imageArea } from './coatVolume'
import { betterTotal, dropsVolume, ratioError, shareDrops, totalDrops } from './drops'

const eightByTen = parseSize('8x10', { field: 'size', bareUnit: 'in' })
const coat = { ...eightByTen, coverageMillilitresPerM2: BRUSH_COVERAGE, coats: 1 }

describe('coatVolume', () => {
  // Common practice: 40 drops of 0.05 ml brush 8 x 10 in once.
  it('comes to 40 drops for 8 x 10 in by brush', () => {
    const volume = coatVolume(coat)
    expect(volume.value).toBeCloseTo(2.0, 2)
    expect(totalDrops(volume.value, DROPS_PER_MILLILITRE, 2).value).toBe(40)
  })

  it('finds the area that the definition of the inch gives: 80 × 6.4516 cm²', () => {
    expect(imageArea(eightByTen).value).toBeCloseTo(516.128, 6)
  })

  it('doubles with a second coat', () => {
    expect(coatVolume({ ...coat, coats: 2 }).value).toBeCloseTo(2 * coatVolume(coat).value, 12)
  })

  it.each([
    [{ ...coat, coats: 0 }, 'coats'],
    [{ ...coat, coats: 1.5 }, 'coats'],
    [{ ...coat, coverageMillilitresPerM2: 0 }, 'coverage'],
  ])('refuses what cannot be meant', (input, field) => {
    expect(() => coatVolume(input)).toThrow(
      expect.objectContaining({ refusal: expect.objectContaining({ field }) }),
    )
  })
})

describe('dropsVolume', () => {
  // Common practice: a drop is 0.05 ml.
  it('of 20 drops is a millilitre', () => expect(dropsVolume(20, DROPS_PER_MILLILITRE).value).toBe(1))
})

describe('shareDrops', () => {
  it.each([
    [[1, 1], 40, [20, 20]],
    [[1, 1], 41, [21, 20]],
    [[2, 1], 40, [27, 13]],
    [[4, 1, 3], 8, [4, 1, 3]],
    [[100, 1], 10, [9, 1]],
  ])('shares %j among %d drops', (parts, total, drops) => {
    expect(shareDrops(parts, total).drops).toEqual(drops)
  })

  it('is the best there is, by trying every way', () => {
    const parts = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 3 })
    fc.assert(
      fc.property(parts, fc.integer({ min: 3, max: 24 }), (ratio, total) => {
        const found = shareDrops(ratio, total)
        expect(found.drops.reduce((sum, count) => sum + count, 0)).toBe(total)
        expect(Math.min(...found.drops)).toBeGreaterThanOrEqual(1)
        expect(found.worstError).toBeCloseTo(bestByTrying(ratio, total), 9)
      }),
    )
  })

  it('offers 42 drops for 41 in a 1:1 mix, and nothing where the ratio is exact', () => {
    expect(betterTotal([1, 1], 41)?.drops).toEqual([21, 21])
    expect(betterTotal([1, 1], 40)).toBeNull()
    // 5 : 4 : 3 : 2 by hand: 7 drops go 2, 2, 2, 1, a third off; 8 go 3, 2, 2, 1, a sixth off: exactly half.
    expect(betterTotal([5, 4, 3, 2], 7)?.drops).toEqual([3, 2, 2, 1])
  })

  // Five, five and eight are exactly 1 : 1 : 1.6.
  it('offers the exact count of an uneven ratio', () =>
    expect(betterTotal([1, 1, 1.6], 16)).toMatchObject({
      drops: [5, 5, 8],
      worstError: expect.closeTo(0, 9),
    }))

  it('shows how far the ratio is missed', () => {
    expect(ratioError(shareDrops([1, 1], 41), [1, 1]).value).toBeCloseTo(100 / 41, 9)
  })

  it.each([
    [[1, 0], 10],
    [[], 10],
    [[1, 1], 1],
    [[1, 1], 2.5],
  ])('refuses %j among %d', (parts, total) => {
    expect(() => shareDrops(parts, total)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

function bestByTrying(parts: number[], total: number): number {
  const sum = parts.reduce((all, part) => all + part, 0)
  const ways = (n: number, left: number): number[][] =>
    n === 1
      ? left >= 1
        ? [[left]]
        : []
      : Array.from({ length: left }, (_, i) => i + 1).flatMap((k) =>
          ways(n - 1, left - k).map((rest) => [k, ...rest]),
        )
  const worst = (way: number[]) =>
    Math.max(...way.map((k, i) => Math.abs(k - (total * parts[i]!) / sum) / ((total * parts[i]!) / sum)))
  return Math.min(...ways(parts.length, total).map(worst))
}

describe('the coat that a glass gives', () => {
  const eightByTen = { widthMillimetres: 203.2, heightMillimetres: 254 }
  const dropper = { ...eightByTen, dropsPerMillilitre: 20, coats: 1, sheets: 1 }

  it('is that of the common practice for its 40 drops on 8 × 10 in: 2 ml on 516 cm²', () => {
    expect(glassCoverage({ ...dropper, drops: 40 }).value).toBeCloseTo(38.75, 2)
  })
  it('is shared by coats and by sheets', () => {
    expect(glassCoverage({ ...dropper, drops: 80, coats: 2 }).value).toBeCloseTo(38.75, 2)
    expect(glassCoverage({ ...dropper, drops: 160, coats: 2, sheets: 2 }).value).toBeCloseTo(38.75, 2)
  })
  it('is refused for an empty glass', () => {
    expect(() => glassCoverage({ ...dropper, drops: 0 })).toThrow(CoreError)
  })
})
