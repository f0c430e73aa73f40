import { changeExposure } from './exposureChange'

describe('changeExposure', () => {
  // One stop is twice the light, by definition.
  it.each([
    [480, { kind: 'stops', stops: 1 }, 960],
    [480, { kind: 'stops', stops: -1 }, 240],
    [480, { kind: 'stops', stops: 1 / 3 }, 604.76],
    [480, { kind: 'percent', percent: 10 }, 528],
    [480, { kind: 'time', seconds: 120 }, 600],
  ] as const)('turns %d s by %j into %d s', (seconds, change, value) => {
    expect(changeExposure(seconds, change).value).toBeCloseTo(value, 2)
  })

  it('refuses to leave nothing', () => {
    expect(() => changeExposure(60, { kind: 'time', seconds: -60 })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
    expect(() => changeExposure(60, { kind: 'percent', percent: -100 })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
})
