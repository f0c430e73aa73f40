import {
  placeText,
  readClock,
  readDose,
  readFalloffTable,
  readIrradiance,
  readPlace,
  readShare,
} from './light.draft'

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

describe('light on the frame', () => {
  // By hand: 1 W/m² is 0.1 mW/cm², 1000 µW/cm² are 1 mW/cm².
  it.each([
    ['4,82', 4.82],
    ['4.82 mW/cm2', 4.82],
    ['48.2 W/m2', 4.82],
    ['4820 µW/cm2', 4.82],
  ])('%s is read as it is meant', (text, value) => expect(readIrradiance(text, 'x')).toBeCloseTo(value, 9))
  // Typed in µW/cm² without its unit, a reading is a thousand times too much.
  it.each(['', '0', '-3', 'four', '4820', '4,820', '48.2 mJ/cm2'])('%j is refused', (text) =>
    expect(() => readIrradiance(text, 'x')).toThrow(),
  )
})

describe('a dose', () => {
  it.each([
    ['1200 mJ/cm2', 1200],
    ['1.2 J/cm2', 1200],
    ['12 kJ/m2', 1200],
    ['1200', 1200],
  ])('%s', (text, value) => expect(readDose(text).value).toBeCloseTo(value, 9))
  it.each(['1,200', '1200-1500', '-1200', '12 mW'])('%s is refused with a reason', (text) =>
    expect(readDose(text)).toEqual({ value: null, fault: expect.objectContaining({ field: 'dose' }) }),
  )
})

it('a share is a percentage above 0 and up to 100', () => {
  expect([readShare('60 %', 'x'), readShare('60', 'x')]).toEqual([0.6, 0.6])
  for (const text of ['0', '140 %', 'half']) expect(() => readShare(text, 'x')).toThrow()
})

describe('a time of the day', () => {
  it.each([
    ['9:30', { hours: 9, minutes: 30, seconds: 0 }],
    [' 14.05 ', { hours: 14, minutes: 5, seconds: 0 }],
    ['0:00', { hours: 0, minutes: 0, seconds: 0 }],
    ['', null],
  ])('“%s”', (text, clock) => expect(readClock(text)).toEqual({ clock }))

  it.each(['25:99', '24:00', '9:60', 'noon', '9'])('“%s” is refused', (text) =>
    expect(readClock(text)).toMatchObject({ clock: null, fault: { code: 'unreadable' } }),
  )
})
