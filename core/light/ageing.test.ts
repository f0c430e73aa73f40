import { burntHours, fitAgeing, lampHealth, measuredAgainst } from './ageing'

const fading = (hours: number, k = 0.002) => ({ hours, strength: 5 * Math.exp(-k * hours) })

describe('fitAgeing', () => {
  it('finds the loss of a lamp that fades by a like share an hour', () => {
    const fit = fitAgeing([0, 40, 80, 160].map((hours) => fading(hours)))!
    expect(fit.lossPerHour).toBeCloseTo(0.002, 9)
    expect(fit.at(200)).toBeCloseTo(5 * Math.exp(-0.4), 9)
    expect(fit.isCertain).toBe(true)
  })

  it('says when scatter could feign the loss', () => {
    const fit = fitAgeing([
      { hours: 0, strength: 5 },
      { hours: 5, strength: 5.3 },
      { hours: 10, strength: 4.95 },
    ])!
    expect(fit.isCertain).toBe(false)
  })

  it('reads drift off base exposures as one over their seconds', () => {
    const fit = fitAgeing([
      { hours: 0, strength: 1 / 480 },
      { hours: 100, strength: 1 / 600 },
    ])!
    expect(fit.at(100) / fit.at(0)).toBeCloseTo(0.8, 9)
  })

  it('knows nothing without a reading', () => expect(fitAgeing([])).toBeNull())
})

describe('lampHealth', () => {
  it('says what is left and when to look again', () => {
    const health = lampHealth(
      120,
      [0, 40, 80, 100].map((hours) => fading(hours)),
    )
    expect(health.left!.value).toBeCloseTo(100 * Math.exp(-0.24), 6)
    expect(health.expected).toBeCloseTo(5 * Math.exp(-0.24), 6)
    expect(health.nextCheckHours).toBeCloseTo(5, 6)
  })

  it('asks for a look sooner when a lamp fades fast', () => {
    const health = lampHealth(
      100,
      [0, 50, 100].map((hours) => fading(hours, 0.01)),
    )
    expect(health.nextCheckHours).toBeCloseTo(-Math.log(0.93) / 0.01, 6)
  })

  it('is only hours before the first reading', () => {
    expect(lampHealth(30, [])).toMatchObject({ left: null, expected: null, nextCheckHours: -5 })
    expect(lampHealth(30, [fading(28)])).toMatchObject({ left: null, nextCheckHours: 23 })
  })
})

describe('burntHours', () => {
  const H = 3_600_000
  it.each([
    [[], 0],
    [[[0, H]], 1],
    [
      [
        [0, 2 * H],
        [H, 1.5 * H],
        [3 * H, 4 * H],
      ],
      3,
    ],
    [
      [
        [3 * H, 4 * H],
        [0, 3.5 * H],
      ],
      4,
    ],
  ] as [[number, number][], number][])('counts overlaps once: %j is %d h', (stretches, hours) =>
    expect(burntHours(stretches)).toBeCloseTo(hours, 9),
  )
})

describe('what a percentage is measured against', () => {
  it('is new only where the lamp was read when it was new, else its first reading', () => {
    const health = (from: number) =>
      lampHealth(500, [
        { hours: from, strength: 5 },
        { hours: 480, strength: 4 },
      ])
    expect(measuredAgainst(health(0).firstReadAtHours)).toBe('of what it gave when new')
    expect(measuredAgainst(health(340).firstReadAtHours)).toBe('of its first reading, at 340 h')
    expect(lampHealth(5, []).firstReadAtHours).toBeNull()
  })
})
