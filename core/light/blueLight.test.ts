import { blueHazard, blueLightSeconds } from './blueLight'

describe('blue light', () => {
  // ICNIRP 2013, IEC 62471: weights from memory; 100 J/m² is 10 mJ/cm², 1 W/m² is 0.1 mW/cm².
  it.each([
    [365, 0.01],
    [395, 0.05],
    [405, 0.2],
    [437, 1],
    [450, 0.94],
  ])('at %d nm counts %d', (nanometres, weight) => expect(blueHazard(nanometres)).toBeCloseTo(weight, 6))

  it('is watched for a few seconds only at 405 nm, and not at all at 365', () => {
    // 20 mW/cm² × 0.2 = 4 mW/cm²: 10 mJ/cm² in 2.5 s.
    expect(blueLightSeconds(20, 405)?.value).toBeCloseTo(2.5, 6)
    // Half way between two entries of the table.
    expect(blueLightSeconds(1, 402.5)?.value).toBeCloseTo(10 / 0.15, 6)
    expect(blueLightSeconds(5, 365)).toBeNull()
  })

  it('has no time where the level is below the limit, and at most 100 s above it', () => {
    expect(blueLightSeconds(1, 400)).toBeNull()
    expect(blueLightSeconds(1.01, 400)!.value).toBeLessThan(100)
    expect(blueLightSeconds(1.01, 400)!.value).toBeGreaterThan(98)
  })
})
