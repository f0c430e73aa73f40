import { eyeLimitSeconds } from './eyeLimit'

describe('eyeLimitSeconds', () => {
  // ICNIRP 2004 (value from memory): 10 kJ/m² is 1000 mJ/cm².
  it.each([
    [4.82, 207.47],
    [1, 1000],
    [0.001, 28_800],
  ])('at %d mW/cm² is %d s', (irradiance, seconds) =>
    expect(eyeLimitSeconds(irradiance).value).toBeCloseTo(seconds, 2),
  )
  it('names its source', () => expect(eyeLimitSeconds(1).working.source).toContain('ICNIRP'))
})
