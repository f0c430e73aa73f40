import { chartLayout, drawChart } from './chart'

const drawn = (steps: number, isMirrored = false) => {
  const rows: Uint16Array[] = []
  drawChart({ steps, pixelsPerInch: 100, isMirrored }, (row) => rows.push(row.slice()))
  return rows
}

describe('a step chart', () => {
  it.each([11, 21, 31, 51, 101])(
    'of %d patches has each of them once, in even steps, where its layout says',
    (steps) => {
      const rows = drawn(steps)
      const { across, patch, gap, width, height } = chartLayout({ steps, pixelsPerInch: 100 })
      expect([rows[0]!.length, rows.length]).toEqual([width, height])
      for (let step = 0; step < steps; step++) {
        const [x, y] = [
          (step % across) * (patch + gap) + gap,
          Math.floor(step / across) * (patch + gap) + gap,
        ]
        const wanted = Math.round(65_535 * (1 - step / (steps - 1)))
        for (const [dx, dy] of [
          [0, 0],
          [patch - 1, patch - 1],
          [patch >> 1, patch >> 1],
        ] as const)
          expect(rows[y + dy]![x + dx]).toBe(wanted)
        expect(rows[y]![x + patch]).toBe(65_535)
      }
    },
  )

  it('says where it begins, and is turned for the film', () => {
    const { gap, patch } = chartLayout({ steps: 21, pixelsPerInch: 100 })
    expect(drawn(21)[0]![gap + (patch >> 1)]).toBe(0)
    expect(drawn(21, true).map((row) => [...row].reverse())).toEqual(drawn(21).map((row) => [...row]))
  })

  it('is a patch of eleven millimetres at any resolution', () =>
    expect(chartLayout({ steps: 21, pixelsPerInch: 360 }).patch).toBe(Math.round((11 / 25.4) * 360)))

  it.each([
    [4, 360],
    [200, 360],
    [21, 5],
  ])('of %d patches at %d is refused', (steps, pixelsPerInch) =>
    expect(() => chartLayout({ steps, pixelsPerInch })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    ),
  )
})
