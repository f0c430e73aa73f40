import type { StepState } from '@core/run/run'
import { lightnessFromDensity } from '@core/tone/density'
import { markSeconds, readDensities, readStrip } from './stripReading'

const strip = { firstSeconds: 60, lastSeconds: 480, count: 4, spacing: 'ratio', card: 'covers' } as const
const exposed = (over: Partial<StepState>) => ({ plannedSeconds: 480, ...over }) as StepState

describe('what each mark had', () => {
  it('is the plan, and for the last the clock', () => {
    expect(markSeconds(strip, exposed({})).map(Math.round)).toEqual([60, 120, 240, 480])
    expect(markSeconds(strip, exposed({ dose: { by: 'meter', seconds: 500 } })).map(Math.round)).toEqual([
      60, 120, 240, 500,
    ])
    expect(markSeconds(strip, exposed({ dose: { by: 'meter', seconds: 200 } })).map(Math.round)).toEqual([
      60, 120, 200, 200,
    ])
  })
  it('is longer for all where the card frees them', () =>
    expect(
      markSeconds({ ...strip, card: 'frees' }, exposed({ dose: { by: 'model', seconds: 500 } })).map(
        Math.round,
      ),
    ).toEqual([80, 140, 260, 500]))
  it('stretches with more that was given', () =>
    expect(markSeconds(strip, exposed({ plannedSeconds: 960 })).map(Math.round)).toEqual([
      120, 240, 480, 960,
    ]))
})

describe('densities as they are typed', () => {
  it.each([
    ['1.32', [1.32]],
    ['1,32 1.34', [1.32, 1.34]],
    ['', []],
    ['.9; 1', [0.9, 1]],
  ])('%j', (text, values) => expect(readDensities(text, 'density')).toEqual(values))
  it('or L*', () =>
    expect(readDensities(String(lightnessFromDensity(1.2)), 'lightness')[0]).toBeCloseTo(1.2, 9))
  it('leaves other marks alone where one cannot be read', () => {
    const { readings, faults } = readStrip(['1.1', 'black', ''], [60, 120, 240], 'density')
    expect(readings.map((one) => one.densities)).toEqual([[1.1], [], []])
    expect(faults.map((one) => one?.code)).toEqual([undefined, 'unreadable', undefined])
  })
  it.each([
    ['7', 'out-of-range'],
    ['-2', 'out-of-range'],
    ['x', 'unreadable'],
    ['1,234', 'ambiguous'],
  ])('refuses %s', (text, code) =>
    expect(() => readDensities(text, 'density')).toThrow(expect.objectContaining({ code })),
  )
  it('takes the unit of a density', () => expect(readDensities('1.85 D 1.9', 'density')).toEqual([1.85, 1.9]))
})
