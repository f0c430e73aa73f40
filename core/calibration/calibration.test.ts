import { readingsCsv, readReadings } from '../formats/chartText'
import { densityFromLightness } from '../tone/density'
import { checkCurve, inkOf } from '../tone/curve'
import {
  checkOf,
  checkPatchesOf,
  checkingChart,
  curveOf,
  laidOut,
  laidOutByName,
  patchesOf,
  placeName,
  readingsOf,
  sheetsOf,
  stageOf,
  withSheet,
  worthOfCorrecting,
} from './calibration'
import { chartPlaces, type ChartPlan } from '../chart/chart'
import type { ChartScan } from '../scan/chartScan'

const PLAN: ChartPlan = { steps: 11, repeats: 2, isScattered: true, hasStrip: true, seed: 3, tag: 0 }
const places = chartPlaces(PLAN)
const response = (ink: number) => densityFromLightness(20 + 72 * ink ** 0.6)
const readings = places.map(({ step }) => ({ step, density: response(step / 10) }))
const calibration = { patches: patchesOf(PLAN, readings), chart: PLAN, checks: [], aim: 'lightness' as const }

describe('the way of a calibration', () => {
  it.each([
    [{ checks: [] }, 'film'],
    [{ checks: [], filmMadeAt: 1 }, 'print'],
    [{ checks: [], filmMadeAt: 1, printedAt: 2 }, 'read'],
    [{ checks: [], printedAt: 2, readAt: 3 }, 'check'],
    [
      {
        checks: [
          checkOf(
            calibration,
            checkPatchesOf(PLAN, readings, (tone) => tone),
            9,
            'scan',
          ),
        ],
        readAt: 3,
      },
      'done',
    ],
  ])('%j stands at %s', (of, stage) => expect(stageOf(of)).toBe(stage))

  it('from readings to a curve, its checking chart, a check and a corrected curve', () => {
    const curve = curveOf(calibration)
    const ink = inkOf(curve)
    const chart = checkingChart(PLAN, curve)
    expect(chart).toMatchObject({ steps: 11, hasStrip: false })
    expect(chart.tag).toBeGreaterThan(0)
    /** The paper changed since: everything but black and white prints lighter. */
    const later = (of: number) => response(Math.min(1, of + 0.12 * Math.sin(Math.PI * of)))
    const patches = (through: (tone: number) => number) =>
      checkPatchesOf(
        chart,
        chartPlaces(chart).map(({ step }) => ({ step, density: later(through(step / 10)) })),
        through,
      )
    const check = checkOf(calibration, patches(ink), 7, 'scan')
    expect(check).toMatchObject({ at: 7, by: 'scan', isUsed: false })
    expect(check.worst).toBeGreaterThan(4)
    const corrected = { ...calibration, checks: [{ ...check, isUsed: true }] }
    const again = inkOf(curveOf(corrected))
    expect(checkCurve(curveOf(corrected), 'lightness', patches(again)).worst).toBeLessThan(check.worst / 2)
    // A check that was not taken changes nothing.
    expect(curveOf({ ...calibration, checks: [check] })).toEqual(curve)
  })
})

describe('more sheets of one chart', () => {
  it('are averaged tone by tone, and counted', () => {
    const [one, two] = [0.2, -0.2].map((shift) =>
      patchesOf(PLAN, readings.map(({ step, density }) => ({ step, density: density + shift }))),
    ) as [ReturnType<typeof patchesOf>, ReturnType<typeof patchesOf>] // prettier-ignore
    const both = withSheet(one, two)
    expect([sheetsOf({ patches: one, chart: PLAN }), sheetsOf({ patches: both, chart: PLAN })]).toEqual([
      1, 2,
    ])
    // What one sheet had too much the other had too little: the curve is that of the true process.
    const curve = curveOf({ ...calibration, patches: both })
    for (const tone of [0.2, 0.5, 0.8])
      expect(inkOf(curve)(tone)).toBeCloseTo(inkOf(curveOf(calibration))(tone), 1)
  })

  it('a check that is used is worth no second thought', () =>
    expect(worthOfCorrecting({ ...calibration, checks: [] })).toBe(null))
})

describe('readings of a chart', () => {
  it('are put together tone by tone; what cannot be read is left out', () => {
    const torn = readings.map((one, i) => (i === 5 ? { ...one, density: null } : one))
    const patches = patchesOf(PLAN, torn)
    expect(patches).toHaveLength(11)
    const count = patches.reduce((sum, one) => sum + one.densities.length, 0)
    expect(count).toBe(places.length - 1)
    expect(patches[3]).toEqual({ ink: 0.3, densities: [response(0.3), response(0.3)] })
  })

  it('come place by place or tone by tone', () => {
    expect(
      laidOut(
        PLAN,
        readings.map(({ density }) => density),
      ),
    ).toEqual(readings)
    const ramp = Array.from({ length: 11 }, (_, i) => i / 10)
    expect(laidOut(PLAN, ramp)).toEqual(ramp.map((density, step) => ({ step, density })))
    expect(laidOut(PLAN, [1, 2, 3])).toBeNull()
  })

  it('come by the names of their places, in any order', () => {
    const rows = places.map((place, i) => ({
      id: placeName(place).toLowerCase(),
      density: readings[i]!.density,
    }))
    expect(laidOutByName(PLAN, [...rows].reverse())).toEqual(readings)
    expect(
      laidOutByName(
        PLAN,
        rows.map(({ density }) => ({ id: '', density })),
      ),
    ).toEqual(readings)
    expect(laidOutByName(PLAN, rows.slice(1))).toBeNull()
    expect(placeName({ row: 2, column: 10 })).toBe('C11')
  })

  it('come back as they went out, by tone and repeat, also with a patch left out', () => {
    const torn = readings.map((one, i) => (i === 5 ? { ...one, density: null } : one))
    for (const read of [readings, torn]) {
      const patches = patchesOf(PLAN, read)
      const written = patches.flatMap(({ ink, densities }, step) =>
        densities.map((density, i) => ({ id: `${step + 1}.${i + 1}`, ink, density })),
      )
      const again = patchesOf(PLAN, laidOutByName(PLAN, readReadings(readingsCsv(written)))!)
      again.forEach(({ densities }, step) => {
        expect(densities).toHaveLength(patches[step]!.densities.length)
        densities.forEach((density, i) => expect(density).toBeCloseTo(patches[step]!.densities[i]!, 3))
      })
    }
    expect(laidOutByName(PLAN, [{ id: '99.1', density: 1 }])).toBeNull()
  })

  it('of a scan are scaled by the white, and by the black where it is known', () => {
    const scan: ChartScan = {
      plan: PLAN,
      patches: places.map((place, i) => ({
        ...place,
        density: 0.8 * (readings[i]!.density - response(1)),
        spread: 0.01,
        damage: i === 4 ? ('speck' as const) : null,
      })),
      warnings: [],
      groundDensity: 0.07,
      lightRange: 1,
      pixelsPerMillimetre: 8,
      isMirrored: false,
      coatRange: 0,
      tablet: null,
      corners: [],
    }
    const shifted = readingsOf(scan, { whiteDensity: 0.1 })
    expect(shifted[4]!.density).toBeNull()
    expect(shifted[0]!.density).toBeCloseTo(0.8 * (response(0) - response(1)) + 0.1)
    // A scanner that adds 1 % of full light everywhere, and one that pulls the tones apart.
    const [white, black] = [response(1), response(0)]
    const strayed = (density: number) => -Math.log10((10 ** -density + 0.01) / (10 ** -white + 0.01))
    const pulled = (density: number) => 1.2 * (density - white)
    for (const seen of [strayed, pulled]) {
      const patches = scan.patches.map((patch, i) => ({ ...patch, density: seen(readings[i]!.density) }))
      readingsOf({ ...scan, patches }, { whiteDensity: white, blackDensity: black }).forEach(
        ({ density }, i) => density !== null && expect(density).toBeCloseTo(readings[i]!.density, 6),
      )
    }
    const beside = [0, 0.5, 1, 2].map((density) => ({ read: 0.8 * (density - white), density }))
    readingsOf({ ...scan, tablet: beside }, { whiteDensity: 9 }).forEach(
      ({ density }, k) => density !== null && expect(density).toBeCloseTo(readings[k]!.density, 6),
    )
    const tablet = [0, 0.5, 1, 2].map((density) => ({ read: 0.8 * (density - response(1)) + 0.07, density }))
    readingsOf(scan, { whiteDensity: 9, tablet }).forEach(
      ({ density }, k) => density !== null && expect(density).toBeCloseTo(readings[k]!.density, 6),
    )
  })
})
