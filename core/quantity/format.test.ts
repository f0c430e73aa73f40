import { digits, formatClock, formatOnRule, formatQuantity, formatSpan, formatStops } from './format'
import { parseQuantity } from './parse'

const plain = (text: string) => text.replace(/\u00a0/g, ' ')

describe('formatClock', () => {
  it.each([
    [0, '0:00'],
    [5.9, '0:05'],
    [450, '7:30'],
    [3729, '1:02:09'],
    [-12.4, '+0:12'],
    [-0.4, '0:00'],
  ])('shows %d s as %s', (seconds, shown) => expect(formatClock(seconds)).toBe(shown))
})

describe('formatSpan', () => {
  it.each([
    [0.4, '0.4 s'],
    [45, '45 s'],
    [450, '7 min 30 s'],
    [600, '10 min'],
    [12_000, '3 h 20 min'],
    [172_800, '2 days'],
    [1_209_600, '14 days'],
  ])('says %d s as %s', (seconds, said) => expect(plain(formatSpan(seconds))).toBe(said))
})

describe('formatStops', () => {
  it.each([
    [1 / 3, '⅓ stop'],
    [-0.5, '−½ stop'],
    [5 / 3, '1⅔ stops'],
    [2, '2 stops'],
    [0.1, '0.1 stop'],
  ])('says %d as %s', (stops, said) => expect(plain(formatStops(stops))).toBe(said))
})

describe('digits', () => {
  it.each([
    [0, '0'],
    [12.5, '12.5'],
    [2.0026, '2'],
    [516.128, '516'],
    [0.01234, '0.0123'],
    [12_345, '12\u2009345'],
    [-3.14159, '−3.14'],
    [10.04, '10'],
    [10.06, '10.1'],
  ])('shows %d as %s', (value, shown) => expect(digits(value)).toBe(shown))
  it('keeps zeros where columns must align', () => expect(digits(2, 3, true)).toBe('2.00'))
})

describe('formatQuantity', () => {
  it.each([
    [1, '1 drop'],
    [0.9995, '1 drop'],
    [0.99, '0.99 drops'],
    [2, '2 drops'],
  ])('says %d drops as %s', (value, said) => expect(plain(formatQuantity(value, 'drops'))).toBe(said))
})

describe('formatOnRule', () => {
  it.each([
    [285.75, 'in', '11 1/4 in'],
    [254, 'in', '10 in'],
    [12.7, 'in', '1/2 in'],
    [0, 'in', '0 in'],
    [286.2, 'cm', '28.6 cm'],
    [286.4, 'mm', '286 mm'],
  ] as const)('%d mm is read off as %s: %s', (millimetres, unit, shown) =>
    expect(plain(formatOnRule(millimetres, unit))).toBe(shown),
  )

  it('reads back to within half a mark of the rule', () => {
    for (let millimetres = 1; millimetres < 900; millimetres += 7.3)
      for (const [unit, mark] of [
        ['in', 25.4 / 16],
        ['cm', 1],
        ['mm', 1],
      ] as const)
        expect(
          Math.abs(parseQuantity(formatOnRule(millimetres, unit), 'length', { field: 'rule' }) - millimetres),
        ).toBeLessThanOrEqual(mark / 2 + 1e-9)
  })
})
