import { densityFromLightness, lightnessFromDensity } from './density'

describe('lightness and density', () => {
  // CIE 15:2018, from memory: the reference is 100, 50 is at R = 18.42 %, the branches meet at L* = 8.
  it.each([
    [100, 1],
    [50, 0.1842],
    [8, (6 / 29) ** 3],
  ])('L* %d is a reflectance of %d', (lightness, reflectance) => {
    expect(lightnessFromDensity(-Math.log10(reflectance))).toBeCloseTo(lightness, 2)
  })

  it.each([0.03, 0.4, 1.1, 1.9, 2.6])('go to and fro at %d', (density) =>
    expect(densityFromLightness(lightnessFromDensity(density))).toBeCloseTo(density, 9),
  )

  it('refuse what is no reading', () => {
    expect(() => lightnessFromDensity(Number.NaN)).toThrow(expect.objectContaining({ code: 'not-finite' }))
    expect(() => densityFromLightness(0)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
