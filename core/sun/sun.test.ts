import { STEADY, trendOf } from '../run/dose'
import { Body, Equator, Horizon, Observer, SearchRiseSet } from 'astronomy-engine'
import fc from 'fast-check'
import { getPosition } from 'suncalc'
import { clearSkyUvIndex, cloudFromUvIndex } from './cloud'
import { bestWindow, doneAt, doseAt, lightAt, sunCourse, sunCurve, sunTimes, type SunScene } from './day'
import { airMass, CLEAR_SKY, rayleighDepth, sunLight, sunLightAt } from './irradiance'
import { learnedSun } from './learned'
import { pressureShare, sunPosition } from './position'

const at = (text: string) => Date.parse(text)

describe('sunPosition', () => {
  // NREL solar position algorithm, worked example (Reda & Andreas 2004): 2003-10-17 12:30:30 UTC−7, 1830 m.
  it('stands where the worked example has it', () => {
    const sun = sunPosition(
      { latitude: 39.742476, longitude: -105.1786, altitudeMetres: 1830.14 },
      at('2003-10-17T12:30:30-07:00'),
    )
    expect(Math.abs(sun.zenith - 50.11162)).toBeLessThan(0.01)
    expect(Math.abs(sun.azimuth - 194.34024)).toBeLessThan(0.01)
  })

  const places = [
    [0, 0],
    [52, 5],
    [-34, 151],
    [35, -116],
    [69, 19],
    [-77, 166],
  ] as const
  const dates = [1990, 2026, 2060].flatMap((year) =>
    ['01-03T09:00', '03-20T12:00', '06-21T18:30', '09-30T03:15', '12-21T14:45'].map(
      (day) => `${year}-${day}:00Z`,
    ),
  )

  it.each(places)('agrees with an astronomy library at %d, %d', (latitude, longitude) => {
    for (const date of dates) {
      const observer = new Observer(latitude, longitude, 0)
      const equator = Equator(Body.Sun, new Date(date), observer, true, true)
      const theirs = Horizon(new Date(date), observer, equator.ra, equator.dec)
      const ours = sunPosition({ latitude, longitude, altitudeMetres: 0 }, at(date))
      const bent = ours.zenith < 90 ? 0.6 : 0.02
      // Heights without refraction there; near the horizon ours is lifted by up to 0.57°.
      expect(Math.abs(90 - ours.zenith - theirs.altitude)).toBeLessThan(
        theirs.altitude > 15 ? 0.08 : bent + 0.05,
      )
      if (theirs.altitude < 80)
        expect(Math.abs(((ours.azimuth - theirs.azimuth + 540) % 360) - 180)).toBeLessThan(0.03)
      expect(ours.distance).toBeCloseTo(equator.dist, 3)
    }
  })

  it.each(places)('agrees with a second library at %d, %d', (latitude, longitude) => {
    for (const date of dates) {
      const theirs = getPosition(new Date(date), latitude, longitude)
      const ours = sunPosition({ latitude, longitude, altitudeMetres: 0 }, at(date))
      if (theirs.altitude > 5) expect(Math.abs(90 - ours.zenith - theirs.altitude)).toBeLessThan(0.2)
    }
  })
})

describe('air', () => {
  // Kasten & Young 1989, table II: zenith 0, 60, 80, 85 and 90 degrees.
  it.each([
    [0, 1.0],
    [60, 1.994],
    [80, 5.586],
    [85, 10.306],
    [90, 37.92],
  ])('at %d° from overhead has mass %d', (zenith, mass) => {
    expect(Math.abs(airMass(zenith) / mass - 1)).toBeLessThan(0.003)
  })

  // Hansen & Travis 1974 at 0.38 µm, worked by hand: 0.008569·47.96·(1 + 0.07825 + 0.00623).
  it('has a depth of 0.4457 at 380 nm', () => expect(rayleighDepth(0.38)).toBeCloseTo(0.4457, 3))

  // ICAO standard atmosphere: 898.7 hPa at 1000 m, 795.0 at 2000 m, of 1013.25.
  it.each([
    [1000, 898.7],
    [2000, 795.0],
  ])('weighs less at %d m', (metres, hectopascals) =>
    expect(pressureShare(metres) * 1013.25).toBeCloseTo(hectopascals, 0),
  )
})

describe('sunLight', () => {
  const sun = (zenith: number) => ({ zenith, azimuth: 180, distance: 1 })

  it('is dark when the sun is down', () => expect(sunLight(sun(91), 0, CLEAR_SKY, 'flat').total).toBe(0))

  it('is mostly sky when the sun is low, mostly beam when it is high', () => {
    const [high, low] = [sunLight(sun(15), 0, CLEAR_SKY, 'flat'), sunLight(sun(80), 0, CLEAR_SKY, 'flat')]
    expect(high.direct).toBeGreaterThan(high.diffuse)
    expect(low.diffuse).toBeGreaterThan(2 * low.direct)
  })

  it('falls with every degree, with haze and with cloud, and rises with height and snow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 88, noNaN: true }),
        fc.constantFrom('flat' as const, 'sun' as const),
        (zenith, facing) => {
          const light = (z: number, metres = 0, sky = {}) =>
            sunLight(sun(z), metres, { ...CLEAR_SKY, ...sky }, facing).total
          const here = light(zenith)
          expect(light(zenith + 1)).toBeLessThan(here)
          expect(light(zenith, 0, { aerosol: 0.4 })).toBeLessThan(here)
          expect(light(zenith, 0, { cloud: 0.3 })).toBeCloseTo(0.3 * here, 9)
          expect(light(zenith, 0, { ground: 0.8 })).toBeGreaterThan(here)
        },
      ),
    )
    expect(sunLight(sun(40), 2500, CLEAR_SKY, 'flat').total).toBeGreaterThan(
      sunLight(sun(40), 0, CLEAR_SKY, 'flat').total,
    )
  })

  // Common measure, from memory: clear noon UVA of 315 to 400 nm is about 5 to 6 mW/cm² in high summer; 350 to 420 nm
  // holds somewhat more.
  it('is of the right order in absolute terms', () => {
    const { total } = sunLight(sun(20), 0, CLEAR_SKY, 'flat')
    expect(total).toBeGreaterThan(4.5)
    expect(total).toBeLessThan(8)
  })

  // Common practice (handbook): clear noon differs only two- to threefold between the seasons at mid latitudes, for a
  // frame that faces the sun.
  it('spans the seasons two- to threefold at noon', () => {
    const place = { latitude: 45, longitude: 0, altitudeMetres: 0 }
    const [june, december] = ['2026-06-21T12:02:00Z', '2026-12-21T11:58:00Z'].map(
      (day) => sunLightAt(place, at(day), CLEAR_SKY, 'sun').total,
    )
    expect(june! / december!).toBeGreaterThan(1.7)
    expect(june! / december!).toBeLessThan(3.2)
  })

  // The trade's experience of one print (common practice): under a minute in a clear desert midsummer noon, up to an
  // hour under a low, overcast winter sun.
  it('spans the trade’s experience of one print', () => {
    const desert = sunLightAt(
      { latitude: 35, longitude: -116, altitudeMetres: 700 },
      at('2026-06-21T19:45:00Z'),
      { aerosol: 0.05, cloud: 1, ground: 0.15 },
      'sun',
    ).total
    const winter = sunLightAt(
      { latitude: 52, longitude: 0, altitudeMetres: 0 },
      at('2026-12-21T14:00:00Z'),
      { aerosol: 0.2, cloud: 0.15, ground: 0.05 },
      'flat',
    ).total
    const dose = desert * 50
    expect(dose / winter / 60).toBeGreaterThan(25)
    expect(dose / winter / 60).toBeLessThan(90)
  })
})

describe('the sky by a forecast', () => {
  // Madronich 2007: overhead sun and 300 DU give 12.5.
  it.each([
    [0, 300, 12.5],
    [60, 300, 12.5 * 0.5 ** 2.42],
    [0, 350, 12.5 * (350 / 300) ** -1.23],
    [90, 300, 0],
  ])('has a clear-sky index at %d° and %d DU', (zenith, ozone, index) =>
    expect(clearSkyUvIndex(zenith, ozone)).toBeCloseTo(index, 9),
  )

  it('is half where the index is half', () => expect(cloudFromUvIndex(6.25, 0).value).toBeCloseTo(0.5, 9))
  it('cannot tell under a low sun, and refuses nonsense', () => {
    expect(() => cloudFromUvIndex(1, 80)).toThrow(expect.objectContaining({ code: 'too-low' }))
    expect(() => cloudFromUvIndex(-1, 20)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('a day', () => {
  const scene: SunScene = {
    place: { latitude: 52, longitude: 5, altitudeMetres: 0 },
    sky: CLEAR_SKY,
    facing: 'flat',
    correction: 1,
  }
  const start = at('2026-06-21T00:00:00Z')
  const curve = sunCurve(scene, start, start + 86_400_000)

  it('has its light where the sun stands highest', () => {
    const { rises, highest, sets } = sunTimes(scene.place, start)
    const brightest = curve.milliwattsPerCm2.reduce((best, one, i, all) => (one > all[best]! ? i : best), 0)
    expect(Math.abs(start + brightest * 60_000 - highest)).toBeLessThanOrEqual(120_000)
    const observer = new Observer(52, 5, 0)
    const [up, down] = [1, -1].map((way) =>
      SearchRiseSet(Body.Sun, observer, way, new Date(start), 1)!.date.getTime(),
    )
    expect(Math.abs(rises! - up!)).toBeLessThanOrEqual(120_000)
    expect(Math.abs(sets! - down!)).toBeLessThanOrEqual(120_000)
  })

  it('has no rise and no set in a polar summer', () =>
    expect(sunTimes({ latitude: 75, longitude: 5, altitudeMetres: 0 }, start)).toMatchObject({
      rises: null,
      sets: null,
    }))

  it('says when a frame will have its dose, and adds up to it', () => {
    const out = at('2026-06-21T09:10:30Z')
    const done = doneAt(curve, out, 2000)!
    expect(doseAt(curve, done) - doseAt(curve, out)).toBeCloseTo(2000, 1)
    // A second witness: the light itself, added up second by second.
    let added = 0
    for (let moment = out; moment < done; moment += 1000)
      added += sunLightAt(scene.place, moment + 500, CLEAR_SKY, 'flat').total
    expect(Math.abs(added / 2000 - 1)).toBeLessThan(0.004)
    expect(lightAt(curve, out)).toBeCloseTo(sunLightAt(scene.place, out, CLEAR_SKY, 'flat').total, 3)
  })

  it('has its shortest exposure round noon, as a search over every minute finds', () => {
    const window = bestWindow(curve, 2000)!
    const every = Array.from({ length: 1380 }, (_, minute) => {
      const from = start + minute * 60_000
      const done = doneAt(curve, from, 2000)
      return done === null ? Infinity : (done - from) / 1000
    })
    expect(window.seconds).toBeCloseTo(Math.min(...every), 0)
    expect(window.from).toBeLessThan(window.at)
    expect(window.to).toBeGreaterThan(window.at)
    expect(bestWindow(curve, 1e7)).toBeNull()
  })

  it('is a course: late in the day it takes till the next morning', () => {
    const evening = at('2026-06-21T19:30:00Z')
    const course = sunCourse(scene, evening, 5)
    const done = course.momentOf(evening, 400)!
    expect(done).toBeGreaterThan(at('2026-06-22T04:00:00Z'))
    expect(course.secondsBetween(evening, done)).toBeCloseTo(400, 1)
    expect(course.milliwattsPerCm2At!(evening)).toBeLessThan(0.6)
  })
})

describe('a sky that changes', () => {
  const noon = at('2026-06-21T11:40:00Z')
  const scene: SunScene = {
    place: { latitude: 52, longitude: 5, altitudeMetres: 0 },
    sky: CLEAR_SKY,
    facing: 'flat',
    correction: 1,
  }
  const clear = sunCourse(scene, noon, 5)

  it('rises in the morning, falls in the evening, and is about steady at noon', () => {
    const hour = 3_600_000
    const wholeDay = sunCourse(scene, noon - 6 * hour, 5)
    expect(trendOf(wholeDay, noon - 5 * hour, noon - 4 * hour)).toBe('rising')
    expect(trendOf(wholeDay, noon + 4 * hour, noon + 5 * hour)).toBe('falling')
    expect(trendOf(wholeDay, noon - 300_000, noon + 300_000)).toBeNull()
    expect(trendOf(STEADY, noon, noon + hour)).toBeNull()
  })

  it('counts on under the new one, and leaves what was counted as it was', () => {
    const clouded = sunCourse(scene, noon, 5, [{ at: noon + 600_000, share: 0.35 }])
    expect(clouded.secondsBetween(noon, noon + 540_000)).toBeCloseTo(
      clear.secondsBetween(noon, noon + 540_000),
      6,
    )
    expect(
      clouded.secondsBetween(noon + 600_000, noon + 1_200_000) /
        clear.secondsBetween(noon + 600_000, noon + 1_200_000),
    ).toBeCloseTo(0.35, 6)
    expect(clouded.momentOf(noon, 1500)!).toBeGreaterThan(clear.momentOf(noon, 1500)!)
  })

  it('takes the last that was said before the cover came off', () => {
    const before = sunCourse(scene, noon, 5, [
      { at: noon - 7_200_000, share: 0.85 },
      { at: noon - 60_000, share: 0.65 },
    ])
    expect(
      before.secondsBetween(noon, noon + 600_000) / clear.secondsBetween(noon, noon + 600_000),
    ).toBeCloseTo(0.65, 6)
  })
})

describe('learnedSun', () => {
  it('trusts the model, widely, before there is a result', () => {
    const figure = learnedSun([], 1.15)
    expect(figure.value).toBe(1)
    expect(figure.uncertainty!).toBeCloseTo(Math.hypot(Math.log(1.2), Math.log(1.15)), 9)
  })

  it('comes to what one’s own results say', () => {
    const results = Array.from({ length: 9 }, () => ({ reckoned: 4, found: 5 }))
    expect(learnedSun(results, 1.15).value).toBeCloseTo(1.25 ** 0.9, 9)
    expect(learnedSun(results, 1.15).uncertainty!).toBeLessThan(learnedSun([], 1.15).uncertainty!)
    expect(learnedSun([{ reckoned: 0, found: 1 }], 1.15).value).toBe(1)
  })
})
