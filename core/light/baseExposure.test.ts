import { densityOf, trueBaseDose, VIRTUAL_COATS, type VirtualCoat } from '../tone/printResponse'
import { normal, seededRandom } from '../quantity/random'
import { baseByEye, baseExposure } from './baseExposure'
import { stripTimes } from './strip'

const IRRADIANCE = 4
const times = (first: number, last: number, count = 10) =>
  stripTimes({ firstSeconds: first, lastSeconds: last, count, spacing: 'ratio', card: 'covers' })
function strip(coat: VirtualCoat, seconds: readonly number[], noise = 0, seed = 1) {
  const random = seededRandom(seed)
  const density = densityOf(coat)
  return seconds.map((one) => ({
    seconds: one,
    densities: Array.from({ length: 3 }, () => density(one * IRRADIANCE) + noise * normal(random)),
  }))
}

describe('baseExposure', () => {
  it('finds the closed form of a coat that does not mask itself', () => {
    const coat = VIRTUAL_COATS.developingOut
    const found = baseExposure(strip(coat, times(60, 900)), 0.04)
    expect(found.reach).toBe('enough')
    expect(found.seconds!.value).toBeCloseTo((380 * Math.log(1.44 / 0.04) ** (1 / 1.3)) / IRRADIANCE, 0)
    expect(found.black).toBeCloseTo(1.5, 3)
  })

  it.each([1, 2, 3, 4, 5, 6])(
    'stays within 5 %% of the truth under the noise of a densitometer, seed %d',
    (seed) => {
      const coat = VIRTUAL_COATS.developingOut
      const truth = trueBaseDose(coat, 0.04) / IRRADIANCE
      const found = baseExposure(strip(coat, times(60, 900, 12), 0.005, seed), 0.04)
      expect(Math.abs(found.seconds!.value / truth - 1)).toBeLessThan(0.05)
      expect(found.low).toBeLessThan(found.seconds!.value)
      expect(found.high).toBeGreaterThan(found.seconds!.value)
    },
  )

  it('holds the truth in its interval nine times of ten', () => {
    const coat = VIRTUAL_COATS.developingOut
    const truth = trueBaseDose(coat, 0.04) / IRRADIANCE
    const inside = Array.from({ length: 40 }, (_, seed) =>
      baseExposure(strip(coat, times(60, 900, 12), 0.008, seed + 10), 0.04),
    ).filter((found) => found.low! <= truth && truth <= found.high!)
    expect(inside.length).toBeGreaterThanOrEqual(36)
  })

  it.each(['cyanotype', 'printingOut'] as const)('comes near it for a coat that masks itself: %s', (name) => {
    const coat = VIRTUAL_COATS[name]
    const truth = trueBaseDose(coat, 0.04) / IRRADIANCE
    const found = baseExposure(strip(coat, times(truth / 12, truth * 3, 12)), 0.04, coat.white)
    expect(Math.abs(found.seconds!.value / truth - 1)).toBeLessThan(0.1)
  })

  it('says when the strip did not reach far enough, or began too late', () => {
    const coat = VIRTUAL_COATS.developingOut
    expect(baseExposure(strip(coat, times(20, 120)), 0.04)).toMatchObject({
      reach: 'tooShort',
      seconds: null,
    })
    expect(baseExposure(strip(coat, times(700, 3000)), 0.04)).toMatchObject({
      reach: 'tooLong',
      seconds: null,
    })
  })

  it('names a damaged mark and a coat that reverses', () => {
    const readings = strip(VIRTUAL_COATS.developingOut, times(60, 900, 12), 0.003)
    readings[4] = { ...readings[4]!, densities: [0.3] }
    expect(baseExposure(readings, 0.04).outliers).toEqual([4])
    const bronzed = strip(VIRTUAL_COATS.developingOut, times(60, 2400, 12), 0.003).map((one, i) =>
      i > 9 ? { ...one, densities: one.densities.map((density) => density - 0.09) } : one,
    )
    expect(baseExposure(bronzed, 0.04).reverses).toBe(true)
  })

  it('refuses what tells nothing', () => {
    const few = strip(VIRTUAL_COATS.developingOut, times(60, 900, 3))
    expect(() => baseExposure(few)).toThrow(expect.objectContaining({ code: 'too-few' }))
    const flat = times(60, 900).map((seconds) => ({ seconds, densities: [0.1] }))
    expect(() => baseExposure(flat)).toThrow(expect.objectContaining({ code: 'flat' }))
  })
})

describe('baseByEye', () => {
  it('lies between the mark before and the one chosen', () => {
    expect(baseByEye([60, 120, 240, 480], 3)).toMatchObject({
      low: 120,
      high: 240,
      seconds: { value: 240, uncertainty: 120 },
    })
    expect(baseByEye([60, 120], 1).low).toBe(0)
  })
  it('cannot be the last mark', () =>
    expect(() => baseByEye([60, 120], 2)).toThrow(expect.objectContaining({ code: 'tooShort' })))
})
