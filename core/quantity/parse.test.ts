import fc from 'fast-check'
import { CoreError } from '../errors'
import { formatQuantity, formatSize, INCHES, METRIC } from './format'
import { parseExposureChange, parseQuantity, parseRatio } from './parse'
import { parseSize } from './size'
import type { Dimension } from './units'

const field = 'test'
const codeOf = (act: () => unknown) => {
  try {
    act()
  } catch (error) {
    if (error instanceof CoreError) return error.refusal
    throw error
  }
  throw new Error('it was accepted')
}

describe('parseQuantity', () => {
  // Lengths and masses: international yard and pound, 1959. US teaspoon: 1/768 of a gallon of 231 cubic inches
  // (NIST Handbook 44, Appendix C). Both from memory.
  it.each<[string, Dimension, number]>([
    ['20 cm', 'length', 200],
    ['8in', 'length', 203.2],
    ['8"', 'length', 203.2],
    ['5 ft 3 in', 'length', 1600.2],
    ['5 ft 3', 'length', 1600.2],
    ['8 1/2 in', 'length', 215.9],
    ['8½ in', 'length', 215.9],
    ['1 1/2 tsp', 'volume', 7.393_382_390_625],
    ['1 cup', 'volume', 236.588_236_5],
    ['1 fl oz', 'volume', 29.573_529_562_5],
    ['0,5 l', 'volume', 500],
    ['.5 l', 'volume', 500],
    ['1 lb 2 oz', 'mass', 510.291_416_25],
    ['1 lb', 'mass', 453.592_37],
    ['250 mg', 'mass', 0.25],
    ['500 cm2', 'area', 500],
    ['2 sq in', 'area', 12.9032],
    ['1 m²', 'area', 10_000],
    ['21 C', 'temperature', 21],
    ['70 °F', 'temperature', 21.111_111_111],
    ['-40 F', 'temperature', -40],
    ['10 %', 'fraction', 10],
    ['10 per cent', 'fraction', 10],
    ['1/3 stop', 'stops', 1 / 3],
    ['-1 1/3 stops', 'stops', -4 / 3],
    ['⅔ stop', 'stops', 2 / 3],
    ['20 drops', 'drops', 20],
    ['7:30', 'time', 450],
    ['1:07:30', 'time', 4050],
    ['7 min 30', 'time', 450],
    ['7 min 30 s', 'time', 450],
    ['7′30″', 'time', 450],
    ['1 h 20', 'time', 4800],
    ['1 1/2 h', 'time', 5400],
    ['90 s', 'time', 90],
    ['2 days', 'time', 172_800],
    ['1 week', 'time', 604_800],
  ])('reads %s as %s', (text, dimension, value) => {
    expect(parseQuantity(text, dimension, { field })).toBeCloseTo(value, 6)
  })

  it('counts a bare number in the unit it is given', () => {
    expect(parseQuantity('7', 'time', { field, bareUnit: 'min' })).toBe(420)
  })

  it.each<[string, Dimension, string, string]>([
    ['', 'length', 'empty', ''],
    ['20', 'length', 'no-unit', '20'],
    ['20 parsec', 'length', 'unreadable', 'parsec'],
    ['20 g', 'length', 'wrong-dimension', 'g'],
    ['twenty cm', 'length', 'unreadable', 'twenty cm'],
    ['-3 cm', 'length', 'negative', '-3 cm'],
    ['1,000 ml', 'volume', 'ambiguous', '1,000'],
    ['1/0 stop', 'stops', 'zero-divisor', '1/0'],
    ['7:75', 'time', 'seconds-over-59', '7:75'],
    ['7:3:', 'time', 'unreadable', '7:3:'],
    ['30 s 2 min', 'time', 'unreadable', '2 min'],
    ['7 min 3 +', 'time', 'unreadable', '+'],
  ])('refuses %p as %s: %s', (text, dimension, code, part) => {
    const refusal = codeOf(() => parseQuantity(text, dimension, { field }))
    expect(refusal).toMatchObject({ code, part, field })
    expect(refusal.remedy).toMatch(/\w/)
  })

  it('reads back what was formatted, in every dimension and choice of units', () => {
    const dimensions: Dimension[] = ['length', 'area', 'volume', 'mass', 'temperature', 'fraction', 'drops']
    fc.assert(
      fc.property(
        fc.constantFrom(...dimensions),
        fc.constantFrom(METRIC, INCHES),
        fc.double({ min: 0.01, max: 90_000, noNaN: true }),
        (dimension, choice, value) => {
          const shown = formatQuantity(value, dimension, choice)
          const read = parseQuantity(shown, dimension, { field })
          // Temperatures are shown to the degree, everything else to three digits.
          expect(Math.abs(read - value)).toBeLessThanOrEqual(
            dimension === 'temperature' ? 0.55 + value * 0.05 : value * 0.006,
          )
          expect(formatQuantity(read, dimension, choice)).toBe(shown)
        },
      ),
    )
  })

  it('reads back every time that was formatted, to the second under an hour', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3599 }), (seconds) => {
        expect(parseQuantity(formatQuantity(seconds, 'time'), 'time', { field })).toBe(seconds)
      }),
    )
  })

  it('never answers with anything but a finite number or a refusal', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'0123456789 /.,:+-xcmsnidgl%½"'.split('')) }),
        (text) => {
          try {
            expect(Number.isFinite(parseQuantity(text, 'time', { field }))).toBe(true)
          } catch (error) {
            expect(error).toBeInstanceOf(CoreError)
          }
        },
      ),
      { numRuns: 2000 },
    )
  })
})

describe('parseSize', () => {
  it.each([
    ['8x10', 203.2, 254],
    ['8 x 10 in', 203.2, 254],
    ['8 × 10', 203.2, 254],
    ['8" x 10"', 203.2, 254],
    ['20 x 25 cm', 200, 250],
    ['20 by 25 cm', 200, 250],
    ['8 1/2 x 11 in', 215.9, 279.4],
    ['20 cm x 10 in', 200, 254],
    ['203 × 254 mm', 203, 254],
  ])('reads %s', (text, widthMillimetres, heightMillimetres) => {
    const size = parseSize(text, { field, bareUnit: 'in' })
    expect(size.widthMillimetres).toBeCloseTo(widthMillimetres, 9)
    expect(size.heightMillimetres).toBeCloseTo(heightMillimetres, 9)
  })

  it.each([
    ['8', 'not-a-size'],
    ['8x', 'not-a-size'],
    ['8x10x12', 'not-a-size'],
    ['0 x 10 in', 'not-a-size'],
    ['8 x 10 g', 'wrong-dimension'],
  ])('refuses %s', (text, code) => {
    expect(codeOf(() => parseSize(text, { field, bareUnit: 'in' })).code).toBe(code)
  })

  it('shows a size as it was typed', () => {
    const size = parseSize('8x10', { field, bareUnit: 'in' })
    expect(formatSize(size, INCHES)).toBe('8 × 10 in'.replace(/ /g, '\u00a0'))
    expect(formatSize({ widthMillimetres: 210, heightMillimetres: 297 }, INCHES)).toBe('A4')
    expect(formatSize({ widthMillimetres: 297, heightMillimetres: 210 }, INCHES)).toMatch(/^29.7.×.21.cm$/)
    expect(formatSize({ widthMillimetres: 203.2, heightMillimetres: 254 }, METRIC)).toMatch(/^8.×.10.in$/)
    expect(formatSize({ widthMillimetres: 254, heightMillimetres: 254 }, METRIC)).toMatch(/^25.4.×.25.4.cm$/)
  })
})

describe('parseExposureChange', () => {
  it.each([
    ['1/3 stop', { kind: 'stops', stops: 1 / 3 }],
    ['+½ stop', { kind: 'stops', stops: 0.5 }],
    ['-1 stop', { kind: 'stops', stops: -1 }],
    ['10 %', { kind: 'percent', percent: 10 }],
    ['2 min', { kind: 'time', seconds: 120 }],
    ['+0:30', { kind: 'time', seconds: 30 }],
    ['-30 s', { kind: 'time', seconds: -30 }],
  ])('reads %s', (text, change) => {
    expect(parseExposureChange(text, field)).toEqual(change)
  })

  it.each([
    ['2', 'no-unit'],
    ['', 'empty'],
    ['2 drops', 'wrong-dimension'],
  ])('refuses %p', (text, code) => {
    expect(codeOf(() => parseExposureChange(text, field)).code).toBe(code)
  })
})

describe('parseRatio', () => {
  it.each([
    ['1:1', [1, 1]],
    ['2 : 1', [2, 1]],
    ['1.5:1', [1.5, 1]],
  ])('reads %s', (text, parts) => expect(parseRatio(text, 2, field)).toEqual(parts))

  it.each(['1', '1:1:1', '0:1', '1:x', '', '-1:1'])('refuses %p', (text) => {
    expect(codeOf(() => parseRatio(text, 2, field)).code).toBe('not-a-ratio')
  })
})
