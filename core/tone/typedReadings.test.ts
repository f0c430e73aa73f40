import { lightnessFromDensity } from './density'
import { readDensities, readRow } from './typedReadings'

describe('densities as they are typed', () => {
  it.each([
    ['1.32', [1.32]],
    ['1,32 1.34', [1.32, 1.34]],
    ['', []],
    ['.9; 1', [0.9, 1]],
  ])('%j', (text, values) => expect(readDensities(text, 'density')).toEqual(values))
  it('or L*', () =>
    expect(readDensities(String(lightnessFromDensity(1.2)), 'lightness')[0]).toBeCloseTo(1.2, 9))
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

describe('a row of readings', () => {
  it('takes a dash for a step that could not be read, and the mean of several', () =>
    expect(readRow('0.10 - 1.2/1.4', 'density')).toEqual([0.1, null, expect.closeTo(1.3, 9)]))
})
