import fc from 'fast-check'
import { CoreError } from '../errors'
import { parseAir } from './air'
import { parseDay, parseMoment, parseTimeOfDay } from './moment'
import { parseNumber } from './number'
import { parseExposureChange, parseQuantity } from './parse'
import { parseSize } from './size'
import { unitOf, type Dimension } from './units'

const field = 'test'
/** What a field of a workroom counts bare numbers in. */
const BARE: Partial<Record<Dimension, string>> = {
  dose: 'mJPerCm2', irradiance: 'mWPerCm2', humidity: 'rh', liquidDensity: 'gPerMl', altitude: 'altitudeM',
  paperWeight: 'gsm', opticalDensity: 'D', time: 'min', temperature: 'degC', volume: 'ml', mass: 'g', coverage: 'mlPerM2',
  dropRate: 'dropsPerMl', length: 'cm',
} // prettier-ignore
const read = (text: string, dimension: Dimension) =>
  parseQuantity(text, dimension, { field, bareUnit: BARE[dimension] })
const codeOf = (act: () => unknown) => {
  try {
    return act()
  } catch (error) {
    if (error instanceof CoreError) return error.code
    throw error
  }
}

describe('what was misread before', () => {
  // By hand from the definitions of the units: 1 J/cm² is 1000 mJ/cm², 1 kJ/m² 100, 1 W/m² 0.1 mW/cm², 1000 µW 1 mW.
  it.each<[string, Dimension, number]>([
    ['1200 mJ/cm2', 'dose', 1200],
    ['1.2 J/cm2', 'dose', 1200],
    ['12 kJ/m2', 'dose', 1200],
    ['1200', 'dose', 1200],
    ['1.2 J/cm²', 'dose', 1200],
    ['48.2 W/m2', 'irradiance', 4.82],
    ['4820 µW/cm2', 'irradiance', 4.82],
    ['4820 μW/cm²', 'irradiance', 4.82],
    ['4820 uW/cm^2', 'irradiance', 4.82],
    ['4.82', 'irradiance', 4.82],
    ['4.82 mW / cm2', 'irradiance', 4.82],
    ['1.2 g/ml', 'liquidDensity', 1.2],
    ['1184 g/l', 'liquidDensity', 1.184],
    ['1.184', 'liquidDensity', 1.184],
    ['400 ft', 'altitude', 121.92],
    ['400', 'altitude', 400],
    ['-3 m', 'altitude', -3],
    ['1.2 km', 'altitude', 1200],
    ['300 g/m2', 'paperWeight', 300],
    ['300gsm', 'paperWeight', 300],
    ['140 lb', 'paperWeight', 298.2719],
    // NIST Handbook 44, appendix C: a US gallon is 3.785 412 l.
    ['1 gallon', 'volume', 3785.412],
    ['2 quarts', 'volume', 1892.706],
    ['48 % RH', 'humidity', 48],
    ['1.85 D', 'opticalDensity', 1.85],
    ['38.8 ml/m2', 'coverage', 38.8],
    ['24 drops/ml', 'dropRate', 24],
  ])('%s is read as %s', (text, dimension, value) => expect(read(text, dimension)).toBeCloseTo(value, 3))

  it.each<[string, Dimension, string]>([
    ['1,200', 'dose', 'ambiguous'],
    ['1200-1500', 'dose', 'unreadable'],
    ['-1200', 'dose', 'negative'],
    ['1200 mW/cm2', 'dose', 'wrong-dimension'],
    ['48.2 %', 'irradiance', 'wrong-dimension'],
    ['148 %', 'humidity', 'out-of-range'],
    ['7.30', 'time', 'ambiguous'],
    ['1,25', 'time', 'ambiguous'],
    ['9 D', 'opticalDensity', 'out-of-range'],
    ['300 kg', 'paperWeight', 'wrong-dimension'],
  ])('%s as %s is refused: %s', (text, dimension, code) =>
    expect(codeOf(() => read(text, dimension))).toBe(code),
  )

  it.each<[string, number]>([
    ['7.3', 438],
    ['7.5', 450],
    ['7.75', 465],
    ['7.30 min', 438],
    ['7:30', 450],
  ])('a time of %s is not ambiguous', (text, seconds) => expect(read(text, 'time')).toBeCloseTo(seconds, 6))
})

describe('what people plainly mean', () => {
  it.each<[string, Dimension, number]>([
    ['１２．５ g', 'mass', 12.5],
    ['١٢ g', 'mass', 12],
    ['1,234.5 ml', 'volume', 1234.5],
    ['1.234,5 ml', 'volume', 1234.5],
    ['1,234,567 ml', 'volume', 1_234_567],
    ['1\u00a0234 ml', 'volume', 1234],
    ['1\u202f234,5 ml', 'volume', 1234.5],
    ['1 234 ml', 'volume', 1234],
    ['1’234 ml', 'volume', 1234],
    ['12,5 ml', 'volume', 12.5],
    ['8-1/2 in', 'length', 215.9],
    ['8-½ in', 'length', 215.9],
    ['2 fl. oz.', 'volume', 59.147],
    ['2 fl oz', 'volume', 59.147],
    ['10 grains', 'mass', 0.64799],
    ['70 degrees F', 'temperature', 21.111],
    ['70 deg. F', 'temperature', 21.111],
    ['21°', 'temperature', 21],
    ['21 °C', 'temperature', 21],
    ['21,5', 'temperature', 21.5],
    ['3 min.', 'time', 180],
    ['2 hrs. 5 mins.', 'time', 7500],
    ['75 cl', 'volume', 750],
  ])('%s is read as %s', (text, dimension, value) => expect(read(text, dimension)).toBeCloseTo(value, 2))

  it('a bare degree counts in the unit of the workroom, and needs one', () => {
    expect(parseQuantity('70°', 'temperature', { field, bareUnit: 'degF' })).toBeCloseTo(21.11, 2)
    expect(codeOf(() => parseQuantity('70°', 'temperature', { field }))).toBe('no-unit')
  })

  it.each([
    ['10 % more', { kind: 'percent', percent: 10 }],
    ['1/2 stop less', { kind: 'stops', stops: -0.5 }],
    ['2 min longer', { kind: 'time', seconds: 120 }],
    ['30 s shorter', { kind: 'time', seconds: -30 }],
    ['-10 % more', 'ambiguous'],
  ])('%s', (text, change) => expect(codeOf(() => parseExposureChange(text, field))).toEqual(change))
})

describe('sizes', () => {
  const size = (text: string, bareUnit = 'cm') => codeOf(() => parseSize(text, { field, bareUnit }))
  // A4: ISO 216; whole plate 6.5 x 8.5 in: common practice.
  it.each([
    ['A4', 210, 297],
    ['a 3', 297, 420],
    ['whole plate', 165.1, 215.9],
    ['quarter-plate', 82.55, 107.95],
    ['8-1/2 x 11 in', 215.9, 279.4],
    ['20 x 25', 200, 250],
    ['8 x 10 in', 203.2, 254],
    ['8" x 10"', 203.2, 254],
  ])('%s', (text, widthMillimetres, heightMillimetres) =>
    expect(size(text)).toEqual({
      widthMillimetres: expect.closeTo(widthMillimetres, 6),
      heightMillimetres: expect.closeTo(heightMillimetres, 6),
    }),
  )

  it('8x10 in a workroom of centimetres is asked about, and in inches it is what it says', () => {
    for (const text of ['8x10', '10 x 8', '11x14', '8.5 x 11', '8,5 x 11'])
      expect(size(text)).toBe('ambiguous')
    expect(size('8x10', 'mm')).toBe('ambiguous')
    expect(size('8x10', 'in')).toMatchObject({ widthMillimetres: expect.closeTo(203.2, 6) })
    expect(size('half plate')).toBe('ambiguous')
  })
})

describe('days and times of day', () => {
  it.each([
    ['2026-05-12', [2026, 5, 12]],
    ['12 May 2026', [2026, 5, 12]],
    ['May 12, 2026', [2026, 5, 12]],
    ['12th May 2026', [2026, 5, 12]],
    ['12.5.2026', [2026, 5, 12]],
    ['13/5/2026', [2026, 5, 13]],
    ['5/13/2026', [2026, 5, 13]],
    ['2026-05', [2026, 5, null]],
    ['May 2026', [2026, 5, null]],
    ['05/2026', [2026, 5, null]],
    ['5.2026', [2026, 5, null]],
    ['2026', [2026, null, null]],
    ['29 Feb 2028', [2028, 2, 29]],
  ])('%s', (text, [year, month, day]) => expect(parseDay(text, field)).toEqual({ year, month, day }))

  it.each([
    ['2026-02-30', 'no-such-day'],
    ['29 Feb 2026', 'no-such-day'],
    ['2026-13', 'no-such-day'],
    ['31.4.2026', 'no-such-day'],
    ['13/2026', 'no-such-day'],
    ['5/6/2026', 'ambiguous'],
    ['tomorrow', 'unreadable'],
    ['12 Foo 2026', 'unreadable'],
    ['', 'empty'],
  ])('%s is refused: %s', (text, code) => expect(codeOf(() => parseDay(text, field))).toBe(code))

  it.each([
    ['2:30 pm', 14, 30],
    ['2.30 p.m.', 14, 30],
    ['12:05 am', 0, 5],
    ['12 pm', 12, 0],
    ['9 am', 9, 0],
    ['14h30', 14, 30],
    ['7:30', 7, 30],
    ['14.05', 14, 5],
  ])('%s', (text, hours, minutes) =>
    expect(parseTimeOfDay(text, field)).toEqual({ hours, minutes, seconds: 0 }),
  )

  it.each([
    ['14:05:20', { day: null, time: { hours: 14, minutes: 5, seconds: 20 } }],
    ['2:05:09 pm', { day: null, time: { hours: 14, minutes: 5, seconds: 9 } }],
    ['2026-05-12 14:05', { day: { year: 2026, month: 5, day: 12 }, time: { hours: 14, minutes: 5, seconds: 0 } }],
    ['2026-05-12T14:05:20', { day: { year: 2026, month: 5, day: 12 }, time: { hours: 14, minutes: 5, seconds: 20 } }],
    ['12 May 2026, 2:30 pm', { day: { year: 2026, month: 5, day: 12 }, time: { hours: 14, minutes: 30, seconds: 0 } }],
  ])('%s is a moment', (text, moment) => expect(parseMoment(text, field)).toEqual(moment)) // prettier-ignore

  it.each(['2026 14:05', '2026-05-12', '14:05:60', '12 May 14:05', ''])('%s is no moment', (text) =>
    expect(['unreadable', 'empty']).toContain(codeOf(() => parseMoment(text, field))),
  )

  it.each(['25:99', '13:00 pm', '9', '0:30 pm', '7:3', 'noon'])('%s is no time of day', (text) =>
    expect(codeOf(() => parseTimeOfDay(text, field))).toBe('unreadable'),
  )
})

describe('the air of a room', () => {
  it.each([
    ['21,5, 48 %', 21.5, 48],
    ['21.5 48', 21.5, 48],
    ['21 C, 48 %', 21, 48],
    ['70 F / 45 % RH', 21.11, 45],
    ['21°; 48', 21, 48],
    ['-3 C 80 %', -3, 80],
  ])('%s', (text, celsius, relativeHumidity) =>
    expect(parseAir(text, 'degC')).toEqual({ celsius: expect.closeTo(celsius, 2), relativeHumidity }),
  )

  it.each(['21,5', '21', '48 %', '21 C, 480 %', ''])('%p is refused', (text) =>
    expect(codeOf(() => parseAir(text, 'degC'))).toMatch(/unreadable|out-of-range|wrong-dimension/),
  )
})

describe('plain numbers', () => {
  it.each([
    ['12', 12],
    ['12,5', 12.5],
    ['1/2', 0.5],
    ['−3', -3],
  ])('%s', (text, value) => expect(parseNumber(text, { field })).toBe(value))

  it.each([
    ['12 prints', 'unreadable'],
    ['', 'empty'],
    ['1,200', 'ambiguous'],
    ['2.5', 'not-whole'],
    ['0', 'out-of-range'],
    ['101', 'out-of-range'],
    ['1200-1500', 'unreadable'],
  ])('%p as a count from 1 to 100 is refused: %s', (text, code) =>
    expect(codeOf(() => parseNumber(text, { field, isWhole: true, min: 1, max: 100 }))).toBe(code),
  )
})

it('a number with its unit is read the same however the number is written', () => {
  const units = ['mJPerCm2', 'WPerM2', 'g', 'ml', 'degF', 'gsm', 'altitudeFt'].map(unitOf)
  fc.assert(
    fc.property(fc.constantFrom(...units), fc.integer({ min: 1, max: 9_999_999 }), (unit, tenths) => {
      const value = tenths / 10
      const [whole, decimal] = value.toFixed(1).split('.') as [string, string]
      const grouped = (mark: string) => whole.replace(/\B(?=(\d{3})+$)/g, mark)
      const forms = [`${whole}.${decimal}`, `${whole},${decimal}`]
      if (whole.length > 3)
        forms.push(
          `${grouped(',')}.${decimal}`,
          `${grouped('.')},${decimal}`,
          `${grouped('\u00a0')}.${decimal}`,
        )
      const values = forms.map((form) => parseQuantity(`${form} ${unit.label}`, unit.dimension, { field }))
      for (const one of values) expect(one).toBeCloseTo(values[0]!, 9)
    }),
  )
})
