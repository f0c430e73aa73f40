import { placeText, readFalloffTable, readPlace, readPositive, readClock } from './lightDraft'

describe('a place as it is typed', () => {
  it.each([
    ['52.09, 5.12', 52.09, 5.12],
    ['52.09 N 5.12 E', 52.09, 5.12],
    ['33.9 S, 151.2 E', -33.9, 151.2],
    ['−33.9 / -70.6', -33.9, -70.6],
    ['40° n; 74° w', 40, -74],
  ])('%s', (text, latitude, longitude) => expect(readPlace(text)).toEqual({ latitude, longitude }))

  it.each([
    ['Utrecht', 'unreadable'],
    ['52.09', 'unreadable'],
    ['95, 5', 'out-of-range'],
    ['5, 195', 'out-of-range'],
  ])('%s is refused', (text, code) =>
    expect(() => readPlace(text)).toThrow(expect.objectContaining({ code })),
  )

  it('is said back as it can be read again', () => {
    const place = { latitude: -33.9, longitude: 151.2 }
    expect(readPlace(placeText(place).replace(/\u00a0/g, ' '))).toEqual(place)
  })
})

describe('a table of distances', () => {
  it('is read row by row, in any unit', () =>
    expect(readFalloffTable('150 mm 4.8; 30 cm: 2.1\n 24 in 0.6', 'mm')).toEqual([
      { millimetres: 150, strength: 4.8 },
      { millimetres: 300, strength: 2.1 },
      { millimetres: expect.closeTo(609.6, 6), strength: 0.6 },
    ]))
  it.each(['150', '150 mm x', 'far 3'])('%s is refused', (text) =>
    expect(() => readFalloffTable(text, 'mm')).toThrow(),
  )
})

it.each([
  ['4,82 mW', 4.82],
  ['.5', 0.5],
])('%s is a positive number', (text, value) => expect(readPositive(text, 'x', 'y')).toBe(value))
it.each(['', '0', '-3', 'four'])('%j is not', (text) => expect(() => readPositive(text, 'x', 'y')).toThrow())

describe('a time of the day', () => {
  it.each([
    ['9:30', { hours: 9, minutes: 30 }],
    [' 14.05 ', { hours: 14, minutes: 5 }],
    ['0:00', { hours: 0, minutes: 0 }],
    ['', null],
  ])('“%s”', (text, clock) => expect(readClock(text)).toEqual({ clock }))

  it.each(['25:99', '24:00', '9:60', 'noon', '9'])('“%s” is refused', (text) =>
    expect(readClock(text)).toMatchObject({ clock: null, fault: { code: 'unreadable' } }),
  )
})
