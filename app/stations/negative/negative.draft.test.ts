import { emptyDraft, fileNameOf, layersOf, readDraft, tintOf, type NegativeDraft } from './negative.draft'
import { paint, pictureTable, printTable, proofOf } from './proofing'
import { printColours } from '@library/index'
import { even } from './negative.fixture'

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

  it('shows film and picture at the same places with any border', () => {
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
