import fc from 'fast-check'
import {
  doseMoment,
  doseSeconds,
  integrateIrradiance,
  irradianceAt,
  isStuck,
  meteredCourse,
  search,
  STEADY,
  stretchesOf,
  type Sample,
} from './dose'

const every = (milliseconds: number, count: number, light: (seconds: number) => number): Sample[] =>
  Array.from({ length: count }, (_, i) => [i * milliseconds, light((i * milliseconds) / 1000)] as const)

describe('integrateIrradiance', () => {
  it('is irradiance times time for a steady light', () => {
    expect(
      integrateIrradiance(
        every(100, 1000, () => 4.82),
        0,
        99_900,
      ).millijoulesPerCm2,
    ).toBeCloseTo(4.82 * 99.9, 6)
  })

  // Closed form of a lamp that warms up: ∫E(1 − (1−f)e^(−t/τ)) = E(t − (1−f)τ(1 − e^(−t/τ))).
  it('agrees with the closed form of a warming lamp within a thousandth', () => {
    const [E, f, tau] = [5, 0.4, 60]
    const exact = E * (300 - (1 - f) * tau * (1 - Math.exp(-300 / tau)))
    const samples = every(100, 3001, (t) => E * (1 - (1 - f) * Math.exp(-t / tau)))
    expect(integrateIrradiance(samples, 0, 300_000).millijoulesPerCm2 / exact).toBeCloseTo(1, 5)
  })

  it('stays within 0.5 % of the same form through a minute without a reading', () => {
    const [E, f, tau] = [5, 0.8, 120]
    const light = (t: number) => E * (1 - (1 - f) * Math.exp(-t / tau))
    const exact = E * (600 - (1 - f) * tau * (1 - Math.exp(-600 / tau)))
    const holed = every(100, 6001, light).filter(([at]) => at < 60_000 || at > 120_000)
    const dose = integrateIrradiance(holed, 0, 600_000)
    expect(Math.abs(dose.millijoulesPerCm2 / exact - 1)).toBeLessThan(0.005)
    expect(dose.bridgedSeconds).toBeCloseTo(60.2, 1)
  })

  it('goes on by the last reading, and says for how long', () => {
    const dose = integrateIrradiance(
      [
        [1000, 2],
        [2000, 2],
      ],
      0,
      12_000,
    )
    expect(dose).toEqual({ millijoulesPerCm2: 24, bridgedSeconds: 0, assumedSeconds: 11 })
  })

  it('refuses an empty log by name', () =>
    expect(() => integrateIrradiance([], 0, 1)).toThrow(expect.objectContaining({ code: 'no-readings' })))

  it('adds up over any division of the time', () => {
    const log = fc.array(
      fc.tuple(fc.integer({ min: 1, max: 9000 }), fc.double({ min: 0, max: 50, noNaN: true })),
      { minLength: 1, maxLength: 40 },
    )
    fc.assert(
      fc.property(
        log,
        fc.integer({ min: 0, max: 200_000 }),
        fc.integer({ min: 0, max: 200_000 }),
        (steps, a, b) => {
          let at = 0
          const samples = steps.map(([step, value]): Sample => [(at += step), value])
          const [low, high] = [Math.min(a, b), Math.max(a, b)]
          const whole = integrateIrradiance(samples, 0, 250_000).millijoulesPerCm2
          const parts = [
            [0, low],
            [low, high],
            [high, 250_000],
          ].map(([from, to]) => integrateIrradiance(samples, from!, to!).millijoulesPerCm2)
          expect(parts.reduce((sum, one) => sum + one, 0)).toBeCloseTo(whole, 6)
        },
      ),
    )
  })
})

describe('meteredCourse', () => {
  const half = meteredCourse(
    every(1000, 601, () => 2),
    4,
  )

  it('counts a second of half the planned light as half a second', () => {
    expect(half.secondsBetween(0, 600_000)).toBeCloseTo(300, 9)
    expect(half.milliwattsPerCm2At!(1500)).toBe(2)
  })

  it('foresees the end by the last known light', () => {
    expect(half.momentOf(600_000, 100)! / 1000).toBeCloseTo(800, 2)
  })

  it('never ends in the dark', () => {
    expect(meteredCourse([[0, 0]], 4).momentOf(0, 10)).toBeNull()
  })

  it('refuses a reference that is no light', () =>
    expect(() => meteredCourse([[0, 1]], 0)).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})

describe('doseSeconds', () => {
  const clock = { startedAt: 10_000, holds: [{ from: 20_000, to: 26_000 }, { from: 40_000 }] }

  it.each([
    [15_000, 5],
    [23_000, 10],
    [30_000, 14],
    [90_000, 24],
  ])('leaves out looks: at %d ms it is %d s', (now, seconds) => {
    expect(doseSeconds(STEADY, clock, now)).toBeCloseTo(seconds, 9)
    // The same by the stretches themselves.
    expect(doseSeconds({ ...STEADY, by: 'model' }, clock, now)).toBeCloseTo(seconds, 9)
  })

  it('has no stretch before the cover comes off', () => expect(stretchesOf(clock, 9000)).toEqual([]))
})

describe('doseMoment', () => {
  const half = {
    ...STEADY,
    by: 'model' as const,
    secondsBetween: (from: number, to: number) => (to - from) / 2000,
    momentOf: (from: number, seconds: number) => from + seconds * 2000,
  }
  const clock = { startedAt: 0, holds: [{ from: 20_000, to: 30_000 }] }

  it('looks ahead over a look that was taken, and back once it is over', () => {
    expect(doseMoment(half, clock, 30, 40_000)).toBe(70_000)
    expect(doseMoment(half, clock, 30, 95_000)).toBe(70_000)
    expect(doseMoment(half, clock, 5, 95_000)).toBe(10_000)
  })

  it('names no moment while the frame is out', () => {
    expect(doseMoment(half, { startedAt: 0, holds: [{ from: 20_000 }] }, 30, 40_000)).toBeNull()
    expect(doseMoment(half, { startedAt: 0, holds: [{ from: 20_000 }] }, 5, 40_000)).toBe(10_000)
  })
})

describe('search', () => {
  it('finds where a quadratic integral reaches an amount', () => {
    const square = (from: number, to: number) => ((to - from) / 1000) ** 2
    expect(search(square, 5000, 100)).toBeCloseTo(15_000, -1)
    expect(search(square, 5000, 0)).toBe(5000)
  })
})

describe('readings of a meter', () => {
  it('are read between by a straight line', () => {
    const samples: Sample[] = [
      [0, 1],
      [1000, 3],
    ]
    expect([-5, 0, 500, 1000, 9000].map((at) => irradianceAt(samples, at))).toEqual([1, 1, 2, 3, 3])
    expect(irradianceAt([], 0)).toBe(0)
  })

  it('are stuck when they do not tremble', () => {
    expect(isStuck(every(1000, 30, () => 4.8))).toBe(true)
    expect(isStuck(every(1000, 30, (t) => 4.8 + (t % 2) / 1000))).toBe(false)
    expect(isStuck(every(1000, 10, () => 4.8))).toBe(false)
    expect(isStuck(every(100, 30, () => 4.8))).toBe(false)
    expect(isStuck(every(200, 60, () => 4.8))).toBe(true)
    expect(isStuck(every(200, 60, (t) => (t > 5 ? 4.8 : 4.7)))).toBe(false)
    expect(isStuck([])).toBe(false)
  })
})
