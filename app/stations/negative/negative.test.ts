import { solveCurve } from '@core/tone/curve'
import { densityFromLightness } from '@core/tone/density'
import { chartPlaces, type ChartPlan } from '@core/chart/chart'
import type { ChartScan } from '@core/scan/chartScan'
import { expectedPrint } from '@core/negative/proof'
import { readTyped } from './chartReading'
import { stageWords, standingWords } from './calibrationWords'
import { emptyDraft, fileNameOf, layersOf, readDraft, tintOf, type NegativeDraft } from './negative.draft'
import { coatOf, ladder, printFor, sizeAgainst, willItPrint } from './negativeWords'
import { paint, pictureTable, printTable, proofOf } from './proofing'
import { scanSentences } from './scanWords'
import { printColours } from '@library/index'

const asItIs = (tone: number) => tone
const chart = (response: (ink: number) => number) =>
  solveCurve(
    Array.from({ length: 31 }, (_, i) => ({
      ink: i / 30,
      densities: [densityFromLightness(response(i / 30))],
    })),
  )
const even = chart((ink) => 20 + 70 * ink)
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

describe('a draft of a negative', () => {
  const draft = (change: Partial<NegativeDraft> = {}): NegativeDraft => ({
    ...emptyDraft('8 x 10 in'),
    ...change,
  })
  const read = (change: Partial<NegativeDraft> = {}) => readDraft(draft(change), new Map([['c', even]]), 'in')

  it('is one film, through its curve', () => {
    const [film, ...none] = read({ curveId: 'c', resolution: '300,5' }).films!
    expect(none).toEqual([])
    expect(film!.plan).toMatchObject({ widthMillimetres: 203.2, pixelsPerInch: 300.5, isMirrored: true })
    expect(film!.plan.curve.inks).toEqual(even.inks)
    expect(read({ curveId: 'gone' }).films![0]!.plan.curve).toEqual({ tones: [0, 1], inks: [0, 1] })
  })

  it('or one a layer, of the same size and marks, each through its own curve', () => {
    const layers = layersOf('two', 'plain').map((layer, i) => ({ ...layer, curveId: i ? 'c' : 'plain' }))
    const films = read({ parting: 'two', layers, border: '10' }).films!
    expect(films.map(({ layer, mix }) => [layer, mix])).toEqual([
      ['magenta and yellow', { red: 0, green: 1, blue: 1 }],
      ['cyan', { red: 1, green: 0, blue: 0 }],
    ])
    // Each layer's marks are at places of their own; all else about the border is the same.
    expect(films.map(({ plan }) => plan.border)).toEqual(
      [0, 1].map((layer) => ({ ...films[0]!.plan.border, layer })),
    )
    expect(films[1]!.plan.curve.inks).toEqual(even.inks)
    const gum = read({ layers: layersOf('gum', 'plain') }).films!
    expect(gum.map(({ mix }) => mix)).toEqual([null, null, null])
    expect(gum[0]!.plan.points).toEqual([
      { from: 0, to: 0 },
      { from: 45, to: 100 },
    ])
    expect(layersOf('one', 'c')).toEqual([])
  })

  it('is the whole picture within its size, or fills the size and crops', () => {
    const of = (change: Partial<NegativeDraft>) =>
      readDraft(draft(change), new Map(), 'in', { width: 3000, height: 2000 }).films![0]!.plan
    // 3 : 2 in 8 × 10 in is 8 × 5.33 in.
    expect(of({}).widthMillimetres).toBeCloseTo(203.2, 6)
    expect(of({}).heightMillimetres).toBeCloseTo(203.2 / 1.5, 6)
    const upright = of({ framing: { turns: 1, closer: 2, across: 0, down: 0 } })
    expect([upright.heightMillimetres, upright.framing.closer]).toEqual([254, 1])
    const filled = of({ fit: 'fill', framing: { turns: 0, closer: 2, across: 0, down: 0 } })
    expect([filled.widthMillimetres, filled.heightMillimetres, filled.framing.closer]).toEqual([
      203.2, 254, 2,
    ])
  })

  it('of a drawing is black or white, on a negative or a positive film', () => {
    const lines = read({ isLines: true, threshold: 40, sharpening: 50, isPositive: true }).films![0]!.plan
    expect(lines).toMatchObject({
      points: [
        { from: 39, to: 0 },
        { from: 41, to: 100 },
      ],
      sharpening: 0,
      isPositive: true,
    })
    expect(read({ isPositive: true }).films![0]!.plan.isPositive).toBeUndefined()
  })

  it('has marks only where the border has room for them', () => {
    expect(read({ border: '5' }).films![0]!.plan.border).toMatchObject({ millimetres: 5, hasMarks: false })
    expect(read({ border: '12' }).films![0]!.plan.border).toMatchObject({ millimetres: 12, hasMarks: true })
  })

  it.each<[string, Partial<NegativeDraft>]>([
    ['size', { size: 'big' }],
    ['resolution', { resolution: '' }],
    ['border', { border: 'wide' }],
    ['border', { border: '400' }],
    [
      'tones',
      {
        points: [
          { from: 50, to: 0 },
          { from: 51, to: 100 },
        ],
      },
    ],
    ['layers', { layers: [{ ...layersOf('two', 'c')[0]!, red: '-300' }] }],
    ['layers', { layers: [{ ...layersOf('two', 'c')[0]!, red: 'x' }] }],
    ['layers', { layers: [{ ...layersOf('gum', 'c')[0]!, from: '80', to: '20' }] }],
  ])('with a bad %s is refused at that field', (field, change) =>
    expect(read(change).fault?.field).toBe(field),
  )

  it('names its files by picture, layer and kind', () => {
    expect(fileNameOf('fog horn.jpeg', '', 'png')).toBe('fog horn-negative.png')
    expect(fileNameOf('a.tif', 'Magenta and yellow', 'tiff')).toBe('a-magenta-and-yellow-negative.tif')
    expect(fileNameOf('.jpg', '', 'pdf')).toBe('picture-negative.pdf')
    expect(tintOf('#ff8000').map((one) => one.toFixed(2))).toEqual(['1.00', '0.50', '0.00'])
  })
})

describe('a proof', () => {
  const preview = {
    width: 60,
    height: 40,
    data: Float32Array.from({ length: 2400 }, (_, i) => (i % 60) / 59),
  }
  const plan = readDraft({ ...emptyDraft('6 x 4 in'), border: '10' }, new Map(), 'in').films![0]!.plan

  it('shows film and picture at the same places, whatever the border', () => {
    const proof = proofOf(preview, plan)
    expect(proof.ink).toHaveLength(proof.width * proof.height)
    const row = Math.round(proof.height / 2) * proof.width
    const at = (values: Float32Array, share: number) => values[row + Math.round(share * proof.width)]!
    // Light in the picture is ink on the film; the proof is not mirrored.
    expect(at(proof.ink, 0.85)).toBeGreaterThan(at(proof.ink, 0.15))
    expect(at(proof.before, 0.85)).toBeGreaterThan(at(proof.before, 0.15))
    expect(at(proof.ink, 0.01)).toBe(1)
    expect(at(proof.before, 0.01)).toBe(1)
  })

  it('is painted through one table left of the edge and through another right of it', () => {
    const pixels = new Uint8ClampedArray(4 * 4)
    const values = Float32Array.of(0, 0, 1, 1)
    const print = printTable((ink) => 20 + 70 * ink, printColours.graphite, null)
    paint(pixels, 4, 2, { values, table: pictureTable }, { values, table: print })
    expect([...pixels.slice(0, 4)]).toEqual([0, 0, 0, 255])
    expect(pixels[8]).toBeGreaterThan(210)
    const wet = printTable((ink) => 20 + 70 * ink, printColours.graphite, 0.1)
    expect(wet[0]!).toBeGreaterThan(print[0]!)
  })
})
