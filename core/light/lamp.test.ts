import { integrateIrradiance, type Sample } from '../run/dose'
import { lampCourse, warmAfterSeconds, warmSeconds, warmShare } from './lamp'

const tubes = { startsAt: 0.55, settlesSeconds: 90 }

describe('a lamp that warms up', () => {
  it('starts at its first share and comes to all of it', () => {
    expect(warmShare(tubes, 0)).toBeCloseTo(0.55, 9)
    expect(warmShare(tubes, 90)).toBeCloseTo(1 - 0.45 / Math.E, 9)
    expect(warmShare(tubes, 3600)).toBeCloseTo(1, 9)
    expect(warmShare(tubes, -1)).toBe(0)
  })

  // The closed form against the trapezoidal rule over readings ten times a second.
  it.each([5, 60, 240, 1800])('has given in %d s what its readings add up to', (seconds) => {
    const readings = Array.from({ length: seconds * 10 + 1 }, (_, i): Sample => [
      i * 100,
      warmShare(tubes, i / 10),
    ])
    expect(warmSeconds(tubes, seconds)).toBeCloseTo(
      integrateIrradiance(readings, 0, seconds * 1000).millijoulesPerCm2,
      3,
    )
  })

  it('is called warm within two per cent', () => {
    expect(warmShare(tubes, warmAfterSeconds(tubes))).toBeCloseTo(0.98, 9)
    expect(warmAfterSeconds({ startsAt: 1, settlesSeconds: 90 })).toBe(0)
  })
})

describe('lampCourse', () => {
  it('counts a cold start short', () => {
    const course = lampCourse({ litAt: 0, warmUp: tubes })
    expect(course.secondsBetween(0, 300_000)).toBeCloseTo(warmSeconds(tubes, 300), 9)
    expect(course.momentOf(0, warmSeconds(tubes, 300))! / 1000).toBeCloseTo(300, 2)
  })

  it('is a clock when it has burnt for long', () => {
    const course = lampCourse({ referenceMilliwattsPerCm2: 5 })
    expect(course.secondsBetween(1000, 61_000)).toBe(60)
    expect(course.milliwattsPerCm2At!(0)).toBe(5)
  })

  it('takes longer when it has aged', () => {
    expect(lampCourse({ share: 0.8 }).momentOf(0, 80)).toBeCloseTo(100_000, -1)
  })
})
