import fc from 'fast-check'
import {
  chartLayout,
  chartPlaces,
  chartShapes,
  CODE_CELLS,
  codeOf,
  crc16,
  PATCH,
  placeCorner,
  planOfCode,
  tagOf,
  type ChartPlan,
} from './chart'
import { chartPixels, drawChart } from './chartFilm'

const PLAN: ChartPlan = { steps: 21, repeats: 2, isScattered: true, hasStrip: true, seed: 3, tag: 0 }
const anyPlan = fc.record<ChartPlan>({
  steps: fc.integer({ min: 5, max: 101 }),
  repeats: fc.integer({ min: 1, max: 8 }),
  isScattered: fc.boolean(),
  hasStrip: fc.boolean(),
  seed: fc.integer({ min: 0, max: 31 }),
  tag: fc.integer({ min: 0, max: 16_383 }),
})

describe('a chart', () => {
  it('lays every tone as often as it says, and clear and full fields in each corner', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const places = chartPlaces(plan)
        const { columns, rows } = chartLayout(plan)
        expect(new Set(places.map(({ column, row }) => row * columns + column)).size).toBe(places.length)
        expect(places.every(({ column, row }) => column < columns && row < rows)).toBe(true)
        for (let step = 0; step < plan.steps; step++) {
          const extra = step === 0 || step === plan.steps - 1 ? 4 : 0
          if (places.filter((place) => place.step === step).length !== plan.repeats + extra)
            throw new Error(`step ${step}`)
        }
      }),
      { numRuns: 40 },
    ))

  it('keeps each repeat to rows of its own, so that no tone lies in one part of the sheet only', () => {
    const plan = { ...PLAN, steps: 31, repeats: 3 }
    const rows = Array.from({ length: plan.steps }, (_, step) =>
      chartPlaces(plan)
        .filter((place) => place.step === step)
        .map(({ row }) => row),
    )
    const apart = rows.map((of) => Math.max(...of) - Math.min(...of))
    expect(Math.min(...apart)).toBeGreaterThanOrEqual(2)
  })

  it('lies scattered or in order, another way for another seed', () => {
    const steps = (plan: ChartPlan) => chartPlaces(plan).map(({ step }) => step)
    expect(steps(PLAN)).toEqual(steps({ ...PLAN }))
    expect(steps(PLAN)).not.toEqual(steps({ ...PLAN, seed: 4 }))
    const ordered = steps({ ...PLAN, isScattered: false, repeats: 1, steps: 51 }).filter(
      (step) => step > 0 && step < 50,
    )
    expect(ordered).toEqual([...ordered].sort((a, b) => a - b))
  })

  it('keeps every shape on its film, and none of them over a mark', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { width, height, marks } = chartLayout(plan)
        for (const shape of chartShapes(plan)) {
          if (shape.kind === 'disc') continue
          expect(shape.x).toBeGreaterThan(0)
          expect(shape.y).toBeGreaterThan(0)
          expect(shape.x + shape.width).toBeLessThan(width)
          expect(shape.y + shape.height).toBeLessThan(height)
          const away = marks.map(([x, y]) =>
            Math.hypot(
              Math.max(shape.x - x, 0, x - shape.x - shape.width),
              Math.max(shape.y - y, 0, y - shape.y - shape.height),
            ),
          )
          // A millimetre of white ground parts a mark from everything else.
          expect(Math.min(...away)).toBeGreaterThan(6 - 1e-9)
        }
      }),
      { numRuns: 15 },
    ))

  it.each([
    [{ steps: 4 }],
    [{ steps: 102 }],
    [{ repeats: 0 }],
    [{ repeats: 9 }],
    [{ steps: 20.5 }],
    [{ tag: 20_000 }],
  ])('of %j is refused', (change) =>
    expect(() => chartLayout({ ...PLAN, ...change })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    ),
  )
})

describe('the code of a chart', () => {
  it('tells the whole plan again', () =>
    fc.assert(fc.property(anyPlan, (plan) => expect(planOfCode(codeOf(plan))).toEqual(plan))))

  it('is not read with up to three cells wrong', () =>
    fc.assert(
      fc.property(
        anyPlan,
        fc.uniqueArray(fc.integer({ min: 0, max: CODE_CELLS - 1 }), { minLength: 1, maxLength: 3 }),
        (plan, wrong) => {
          const code = codeOf(plan).map((cell, i) => (wrong.includes(i) ? !cell : cell))
          expect(planOfCode(code)).toBeNull()
        },
      ),
    ))

  it('is checked by the published sum', () => {
    // CRC-16/CCITT-FALSE, check value of the catalogue of parametrised CRC algorithms; from memory.
    const bits = [...'123456789'].flatMap((letter) =>
      Array.from({ length: 8 }, (_, i) => ((letter.charCodeAt(0) >> (7 - i)) & 1) === 1),
    )
    expect(crc16(bits)).toBe(0x29b1)
  })

  it('has no long run of one kind, so that every cell has light and dark near it', () => {
    for (let seed = 0; seed < 32; seed++) {
      const text = codeOf({ ...PLAN, seed })
        .map((cell) => (cell ? 'd' : 'l'))
        .join('')
      expect(text).not.toMatch(/d{12}|l{12}/)
    }
  })

  it('has a mark for each curve', () => {
    const curve = { inks: [0, 0.2, 0.5, 1] }
    expect(tagOf(curve)).toBe(tagOf({ inks: [0, 0.2, 0.5, 1] }))
    expect(tagOf(curve)).not.toBe(tagOf({ inks: [0, 0.21, 0.5, 1] }))
    expect(tagOf(curve)).toBeGreaterThan(0)
  })
})

describe('the film of a chart', () => {
  const drawn = (pixelsPerInch: number, isMirrored = false, inkOfStep?: (tone: number) => number) =>
    Array.from(drawChart(PLAN, { pixelsPerInch, isMirrored, inkOfStep }), (row) => row.slice())

  it('is drawn at its exact size, every patch in its ink from edge to edge', () => {
    const rows = drawn(300)
    const layout = chartLayout(PLAN)
    const scale = 300 / 25.4
    const { width, height } = chartPixels(PLAN, 300)
    expect([rows[0]!.length, rows.length]).toEqual([width, height])
    expect((width / 300) * 25.4).toBeCloseTo(layout.width, 0)
    for (const place of chartPlaces(PLAN)) {
      const { x, y } = placeCorner(layout, place)
      for (const [dx, dy] of [
        [0.1, 0.1],
        [PATCH - 0.1, PATCH / 2],
        [PATCH / 2, PATCH - 0.1],
      ] as const)
        expect(rows[Math.floor((y + dy) * scale)]![Math.floor((x + dx) * scale)]).toBeCloseTo(place.step / 20)
      // The ground between is all ink.
      expect(rows[Math.floor((y - 1) * scale)]![Math.floor((x - 1) * scale)]).toBe(1)
    }
  })

  it('is mirrored for the film, and goes through a curve where there is one', () => {
    expect(drawn(100, true).map((row) => [...row].reverse())).toEqual(drawn(100).map((row) => [...row]))
    const { x, y } = placeCorner(
      chartLayout(PLAN),
      chartPlaces(PLAN).find(({ step }) => step === 10)!,
    )
    const scale = 100 / 25.4
    const at = (rows: Float32Array[]) => rows[Math.floor((y + 4) * scale)]![Math.floor((x + 4) * scale)]
    expect(at(drawn(100))).toBeCloseTo(0.5)
    expect(at(drawn(100, false, (tone) => tone ** 2))).toBeCloseTo(0.25)
  })

  it('carries a line of text in clear film', () => {
    const { label } = chartPixels(PLAN, 150)
    const writing = { ...label, width: 2, height: 1, data: Float32Array.from([1, 0.5]) }
    const how = { pixelsPerInch: 150, isMirrored: false, writing }
    const rows = Array.from(drawChart(PLAN, how), (row) => row.slice())
    expect([...rows[label.y]!.slice(label.x, label.x + 3)]).toEqual([0, 0.5, 1])
  })

  it.each([5, 2000, Number.NaN])('of %d pixels to the inch is refused', (pixelsPerInch) =>
    expect(() => chartPixels(PLAN, pixelsPerInch)).toThrow(expect.objectContaining({ code: 'out-of-range' })),
  )
})
