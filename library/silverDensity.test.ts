import { silverByDensity } from '@core/chemistry/titration'
import { substances } from './index'

const silver = substances['silver-nitrate']!

/**
 * Density of a solution of silver nitrate from the volumes of its ions in water at 25 °C: Ag⁺ −0.7 and NO₃⁻ 29.0 cm³/mol
 * (Millero 1971, from memory), with Masson's slope of 1.9 for a 1:1 salt. Good to two thousandths up to 20 %.
 */
function densityOf(percentWw: number): number {
  const moles = percentWw / 169.87
  const water = (100 - percentWw) / 0.9982
  let volume = water
  for (let turn = 0; turn < 20; turn++)
    volume = water + moles * (28.3 + 1.9 * Math.sqrt((1000 * moles) / volume))
  return 100 / volume
}

describe('silver nitrate by a hydrometer', () => {
  it.each([1, 2, 5, 10, 15, 20])('the table agrees with the volumes of its ions at %d %%', (percent) => {
    const density = densityOf(percent)
    const found = silverByDensity(silver, density).value / density
    expect(Math.abs(found - percent)).toBeLessThan(0.02 * percent + 0.05)
  })
  it('gives % w/v, which in a heavy solution is more than % w/w', () =>
    expect(silverByDensity(silver, 1.0882).value).toBeCloseTo(10.88, 2))
  it('refuses what is no solution of silver nitrate', () => {
    expect(() => silverByDensity(silver, 0.9)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(() => silverByDensity(silver, 2)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
