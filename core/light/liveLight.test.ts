import type { Sample } from '../run/dose'
import { isBelow, meterJump, readingAtTheEnd, referenceLight } from './liveLight'

describe('the light a dose counts against', () => {
  it.each([
    ['the live reading', 4.8, 5, 4.8],
    ['the live reading where nothing is expected', 4.8, null, 4.8],
    ['what is expected where the lamp is lit after the press', 0.02, 5, 5],
    ['what is expected where the meter reads nothing', 0, 5, 5],
    ['what is expected where nothing is read', null, 5, 5],
    ['nothing where both are dark', 0.003, null, undefined],
    ['nothing where nobody knows', null, null, undefined],
    ['what is expected where the meter slipped its unit', 4820, 5, 5],
  ])('is %s', (_, live, expected, light) => expect(referenceLight(live, expected)).toBe(light))
})

describe('the reading at the end of an exposure', () => {
  const samples = (values: number[]): Sample[] => values.map((value, i) => [i * 300, value])
  const lit = Array.from({ length: 60 }, (_, i) => 4.8 + 0.01 * (i % 3))

  it('is the middle of the last ones', () =>
    expect(readingAtTheEnd(samples(lit))).toEqual({ milliwattsPerCm2: 4.81, at: 59 * 300 }))

  // A lamp that goes out five seconds before the cover leaves fifteen readings of the dark.
  it('is none where the lamp went out first, or there are too few', () => {
    expect(readingAtTheEnd(samples([...lit, ...Array.from({ length: 15 }, () => 0)]))).toBeNull()
    expect(readingAtTheEnd(samples([...lit, ...Array.from({ length: 15 }, () => 0.02)]))).toBeNull()
    expect(readingAtTheEnd(samples(lit.slice(0, 14)))).toBeNull()
  })
})

describe('a meter that jumps', () => {
  const samples = (...values: number[]): Sample[] => values.map((value, i) => [i * 300, value])

  it('a hundredfold is in doubt from there on, with or without an expectation', () => {
    const jump = { at: 600, from: 4.82, to: 482 }
    expect(meterJump(samples(4.8, 4.82, 482, 481), 5)).toEqual(jump)
    expect(meterJump(samples(4.8, 4.82, 482, 481), null)).toEqual(jump)
    expect([isBelow(4.9, jump), isBelow(480, jump)]).toEqual([true, false])
  })

  it.each([
    ['a lamp that is lit after the press', samples(0.05, 0.05, 4.8, 4.9), 5],
    ['a lamp that is lit, out of the dark', samples(0.001, 0.002, 4.8), null],
    ['the sun that comes out of a cloud', samples(0.6, 0.7, 4.8, 5.2), null],
    ['a lamp that goes out', samples(4.8, 4.8, 0.02, 0), 5],
    ['nothing at all', [], null],
  ])('is not one of %s', (_, readings, expected) => expect(meterJump(readings, expected)).toBeNull())
})
