import { strengthAtDistance, throughLayers } from './distance'

describe('strengthAtDistance', () => {
  // Inverse square law: twice as far is a quarter of the light.
  it.each([
    [300, 600, 0.25],
    [300, 150, 4],
    [200, 200, 1],
  ])('of a bulb from %d to %d mm is %d', (from, to, share) =>
    expect(strengthAtDistance({ kind: 'point' }, from, to)).toBeCloseTo(share, 12),
  )

  it('of a tube falls off by distance close by, and by its square far off', () => {
    const tube = { kind: 'line', lengthMillimetres: 10_000 } as const
    expect(strengthAtDistance(tube, 10, 20)).toBeCloseTo(0.5, 2)
    expect(strengthAtDistance({ kind: 'line', lengthMillimetres: 10 }, 1000, 2000)).toBeCloseTo(0.25, 4)
  })

  it('of a tube agrees with adding up its length piece by piece', () => {
    const [L, n] = [600, 20_000]
    const added = (d: number) => {
      let sum = 0
      for (let i = 0; i < n; i++) {
        const x = (i + 0.5) * (L / n) - L / 2
        sum += (d * d) / (d * d + x * x) ** 2
      }
      return sum
    }
    expect(strengthAtDistance({ kind: 'line', lengthMillimetres: L }, 100, 250)).toBeCloseTo(
      added(250) / added(100),
      6,
    )
  })

  it('by a table meets its rows, and goes between and beyond them', () => {
    const table = {
      kind: 'table',
      rows: [
        { millimetres: 400, strength: 1 },
        { millimetres: 100, strength: 10 },
        { millimetres: 200, strength: 4 },
      ],
    } as const
    expect(strengthAtDistance(table, 100, 400)).toBeCloseTo(0.1, 12)
    expect(strengthAtDistance(table, 200, 400)).toBeCloseTo(0.25, 12)
    expect(strengthAtDistance(table, 400, 800)).toBeCloseTo(0.25, 12)
    expect(strengthAtDistance(table, 100, 50)).toBeCloseTo(2.5, 12)
    expect(strengthAtDistance(table, 100, Math.sqrt(100 * 200))).toBeCloseTo(Math.sqrt(0.4), 12)
  })

  it('refuses nothing, and a table of one', () => {
    expect(() => strengthAtDistance({ kind: 'point' }, 0, 5)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
    expect(() =>
      strengthAtDistance({ kind: 'table', rows: [{ millimetres: 5, strength: 1 }] }, 5, 6),
    ).toThrow(expect.objectContaining({ code: 'too-few' }))
  })
})

it('layers multiply', () => expect(throughLayers([0.5, 0.5, 0.9])).toBeCloseTo(0.225, 12))
