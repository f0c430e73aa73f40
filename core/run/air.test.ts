import { airFor, BOX_SALTS, conditioningTime, humidityOver, saltFor } from './air'

describe('the air of the room', () => {
  // Common practice: coat and print at about 50 % relative humidity.
  it.each([
    [18, 'dry'],
    [38, 'right'],
    [50, 'right'],
    [65, 'right'],
    [82, 'damp'],
  ])('at %i %% is %s', (humidity, said) => {
    expect(airFor(humidity)).toBe(said)
  })

  it('is what the process wants where it says so', () => {
    const wanted = { leastPercent: 55, mostPercent: 75 }
    expect([50, 60, 80].map((humidity) => airFor(humidity, wanted))).toEqual(['dry', 'right', 'damp'])
  })
})

describe('a conditioning box', () => {
  // Greenspan 1977, table 3, at 25 °C: MgCl2 32.78, Mg(NO3)2 52.89, NaBr 57.57, NaCl 75.29 %; recalled, not looked up.
  it.each([
    ['magnesium chloride', 32.78],
    ['magnesium nitrate', 52.89],
    ['sodium bromide', 57.57],
    ['sodium chloride', 75.29],
  ])('over %s has %d %% at 25 °C', (name, published) => {
    const salt = BOX_SALTS.find((one) => one.name === name)!
    expect(Math.abs(humidityOver(salt, 25).value - published)).toBeLessThan(0.1)
  })

  it('is not reckoned on where no one measured: a room of 0 or 50 °C has the air of 10 or 35 °C', () => {
    for (const salt of BOX_SALTS) {
      expect(humidityOver(salt, 0).value).toBe(humidityOver(salt, 10).value)
      expect(humidityOver(salt, 50).value).toBe(humidityOver(salt, 35).value)
    }
  })

  it('has the nearest salt for what is aimed at', () => {
    expect([30, 45, 50, 60, 80].map((aim) => saltFor(aim).name)).toEqual([
      'magnesium chloride',
      'potassium carbonate',
      'magnesium nitrate',
      'sodium bromide',
      'sodium chloride',
    ])
  })

  it('takes half an hour for thin paper, two hours for heavy or unknown paper, and rises in between', () => {
    const minutes = (weight?: number) => conditioningTime(weight).value / 60
    expect([minutes(80), minutes(120), minutes(400), minutes(600), minutes()]).toEqual([
      30, 30, 120, 120, 120,
    ])
    expect(minutes(200)).toBeGreaterThan(minutes(160))
    expect(minutes(260)).toBeCloseTo(75, 6)
  })
})
