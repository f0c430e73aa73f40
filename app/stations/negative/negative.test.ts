import { densityFromLightness } from '@core/tone/density'
import { chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { ChartScan } from '@core/scan/chartScan'
import { expectedPrint } from '@core/negative/proof'
import { readTyped } from './chartReading'
import { stageWords, standingWords } from './calibrationWords'
import { coatOf, ladder, printFor, sizeAgainst, willItPrint } from './negativeWords'
import { scanSentences } from './scanWords'
import { even } from './negative.fixture'

const asItIs = (tone: number) => tone
const notes = (over: Partial<Parameters<typeof willItPrint>[0]> = {}) =>
  willItPrint({
    curve: even,
    rungs: ladder(asItIs, asItIs, printFor(even, 'umber')),
    blackShare: 0,
    whiteShare: 0,
    picturePixels: 1e7,
    negativePixels: 1e7,
    ...over,
  })
const titles = (over: Partial<Parameters<typeof willItPrint>[0]> = {}) =>
  notes(over).map((note) => note.title)

describe('the ladder of tones', () => {
  it('has a rung for each tone, where the print puts it', () => {
    const rungs = ladder(asItIs, asItIs, printFor(even, 'umber'), 11)
    expect(rungs.map((rung) => Math.round(rung.print))).toEqual([20, 27, 34, 41, 48, 55, 62, 69, 76, 83, 90])
    expect(rungs.some((rung) => rung.closesUp)).toBe(false)
  })

  it('points out rungs that close up, at the end where they do', () => {
    const blocked = ladder(asItIs, asItIs, (ink) => Math.min(80, 20 + 100 * ink))
    const closed = blocked.filter((rung) => rung.closesUp)
    expect(Math.min(...closed.map((rung) => rung.tone))).toBeGreaterThan(52)
    expect(titles({ rungs: blocked })).toContain('Highlights merge')
    const merged = ladder(asItIs, asItIs, (ink) => Math.max(30, 95 * ink))
    expect(titles({ rungs: merged })).toContain('Shadows merge')
  })

  it('of a process that nobody measured is what a stand-in of it gives', () => {
    const rungs = ladder(asItIs, asItIs, printFor(null, 'prussian'))
    rungs.forEach((rung, i) => i && expect(rung.print).toBeGreaterThanOrEqual(rungs[i - 1]!.print))
    expect(printFor(null, 'plum')(0.5)).toBeCloseTo(expectedPrint(coatOf('plum'))(0.5), 9)
  })

  it('goes over what is planned', () => {
    const rungs = ladder(
      (tone) => tone ** 2,
      asItIs,
      (ink) => 100 * ink,
      5,
    )
    expect(rungs.map((rung) => rung.planned)).toEqual([0, 6.25, 25, 56.25, 100])
    expect(rungs[2]!.print).toBe(25)
  })
})

describe('will it print', () => {
  it('says so when every tone has its place', () =>
    expect(titles()).toEqual(['Will it print?', 'Correction curve']))

  it('says what the picture lacks, and what the size asks of it', () => {
    expect(titles({ whiteShare: 0.1, blackShare: 0.2, negativePixels: 9e7 })).toEqual([
      'Will it print?',
      'Clipped highlights',
      'Clipped shadows',
      'Enlarged too far',
      'Correction curve',
    ])
    expect(
      notes({ whiteShare: 0.1 }).find((note) => note.title === 'Clipped highlights')?.lines[0],
    ).toContain('10 %')
  })

  it('is honest about a print that is only guessed', () =>
    expect(notes({ curve: null }).at(-1)?.lines[0]).toContain('typical coat'))

  it('warns outside of its curve, and says how good the curve is', () => {
    expect(notes({ departures: ['paper', 'age'] })[0]).toMatchObject({
      title: 'Outside its calibration',
      tone: 'caution',
      lines: [expect.stringMatching(/another paper, a chart more than half a year old/)],
    })
    const said = (mean: number | null, hasDrifted = false) =>
      notes({ standing: { mean, worst: mean === null ? null : 2 * mean, hasDrifted } })
        .at(-1)!
        .lines.join(' ')
    expect(said(0.8)).toContain('Last check: mean error 0.8 L*, maximum 1.6 L*.')
    expect(said(3, true)).toContain('Drift')
    expect(said(null)).toContain('Not checked yet')
  })
})

const PLAN: ChartPlan = { steps: 5, repeats: 1, isScattered: false, hasStrip: false, seed: 0, tag: 0 }

describe('what else is said of a film', () => {
  const size = (widthMillimetres: number, heightMillimetres: number) => ({
    widthMillimetres,
    heightMillimetres,
  })
  it('is its size against the sheet, either way up', () => {
    expect(sizeAgainst(size(203, 254), size(254, 203))).toBe(null)
    expect(sizeAgainst(size(203, 135), size(203, 254))).toBe(null)
    expect(sizeAgainst(size(203, 300), size(203, 254))).toContain('larger than the sheet’s 203 × 254 mm')
    expect(sizeAgainst(size(100, 150), size(203, 254))).toContain('smaller than the sheet’s')
    expect(sizeAgainst(size(100, 150), null)).toBe(null)
  })

  it('of a drawing is nothing of tones', () => {
    const merged = ladder(asItIs, asItIs, (ink) => Math.max(30, 95 * ink))
    expect(titles({ rungs: merged, isLines: true, blackShare: 0.3 })).toEqual(['Line art'])
  })
})

describe('a chart as it is typed', () => {
  it('is one reading a tone, or one a place; repeats and damage as they are written', () => {
    expect(readTyped('1.4 1.2/1,22 - 0.5 0.1', PLAN, 'density').readings).toEqual([
      { step: 0, density: 1.4 },
      { step: 1, density: 1.21 },
      { step: 2, density: null },
      { step: 3, density: 0.5 },
      { step: 4, density: 0.1 },
    ])
    const places = chartPlaces(PLAN)
    const whole = readTyped(places.map(({ step }) => (step + 1) / 4).join(' '), PLAN, 'density').readings
    expect(whole).toEqual(places.map(({ step }) => ({ step, density: (step + 1) / 4 })))
    expect(readTyped('', PLAN, 'density')).toEqual({ readings: null })
    expect(readTyped('20 40 60 80 95', PLAN, 'lightness').readings?.[0]?.density).toBeCloseTo(
      densityFromLightness(20),
      9,
    )
  })

  it.each([
    ['1.4 1.2', 'wrong-count'],
    ['1.4 1.2 black 0.5 0.1', 'unreadable'],
  ])('%s is refused', (text, code) => expect(readTyped(text, PLAN, 'density').fault?.code).toBe(code))
})

describe('what a scan says', () => {
  const scan: ChartScan = {
    plan: PLAN,
    patches: chartPlaces(PLAN).map((place, i) => ({
      ...place,
      density: 1,
      spread: 0.01,
      damage: i ? null : ('speck' as const),
    })),
    warnings: ['white-clipped', 'uneven'],
    groundDensity: 0.1,
    lightRange: 1.5,
    pixelsPerMillimetre: 7.87,
    isMirrored: true,
    coatRange: 0,
    tablet: null,
    corners: [],
  }
  it('is how much was read, and what to do better', () => {
    const [found, clipped, uneven] = scanSentences(scan)
    expect(found).toBe('12 of 13 patches read, at 7.9 pixels per mm, from a mirrored picture.')
    expect(clipped).toContain('automatic exposure and scan darker')
    expect(uneven).toContain('light')
  })
})

it('a calibration’s standing is said in a few words', () => {
  expect(standingWords({ mean: null, worst: null, hasDrifted: false })).toBe('')
  expect(standingWords({ mean: 0.84, worst: 2.1, hasDrifted: false })).toBe(
    'checked: mean error 0.8 L*, maximum 2.1 L*',
  )
  expect(standingWords({ mean: 3, worst: 5, hasDrifted: true })).toMatch(/^drifted/)
  expect(stageWords('read')).toBe('next: read the print')
})
