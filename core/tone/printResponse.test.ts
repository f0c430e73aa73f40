import fc from 'fast-check'
import { densityOf, trueBaseDose, VIRTUAL_COATS, type VirtualCoat } from './printResponse'

const coats = Object.values(VIRTUAL_COATS) as VirtualCoat[]

describe('a virtual coat', () => {
  it('is paper without light, and comes to its black', () => {
    for (const coat of coats) {
      expect(densityOf(coat)(0)).toBeCloseTo(coat.white, 9)
      expect(densityOf(coat)(coat.speedMillijoulesPerCm2 * 400)).toBeCloseTo(coat.black, 2)
    }
  })

  it('only grows darker with dose, at every stage', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...coats),
        fc.constantFrom('exposed' as const, 'wet' as const, 'dry' as const),
        fc.double({ min: 1, max: 9000, noNaN: true }),
        (coat, stage, dose) => {
          const density = densityOf(coat)
          expect(density(dose * 1.05, stage)).toBeGreaterThanOrEqual(density(dose, stage) - 1e-6)
        },
      ),
    )
  })

  it('without masking is the closed form', () => {
    const coat = VIRTUAL_COATS.developingOut
    expect(densityOf(coat)(500)).toBeCloseTo(0.06 + 1.44 * (1 - Math.exp(-((500 / 380) ** 1.3))), 9)
  })

  it('that masks itself needs more light, the deeper the more', () => {
    const open = densityOf({ ...VIRTUAL_COATS.printingOut, selfMasking: 0 })
    const masked = densityOf(VIRTUAL_COATS.printingOut)
    expect(open(50) - masked(50)).toBeLessThan(open(600) - masked(600))
  })

  // The masked dose solved once more in a thousand steps of its own.
  it('follows its own law: light stepped through the coat bit by bit comes to the same density', () => {
    for (const coat of coats) {
      const [net, speed] = [coat.black - coat.white, coat.speedMillijoulesPerCm2]
      const grown = (light: number) => net * (1 - Math.exp(-((light / speed) ** coat.steepness)))
      const density = densityOf(coat)
      for (const dose of [0.02, 0.3, 1, 4, 20].map((share) => share * speed)) {
        const [steps, step] = [20_000, dose / 20_000]
        let light = 0
        for (let i = 0; i < steps; i++) {
          const half = light + (step / 2) * 10 ** (-coat.selfMasking * grown(light))
          light += step * 10 ** (-coat.selfMasking * grown(half))
        }
        expect(Math.abs(density(dose) - coat.white - grown(light))).toBeLessThan(0.0005)
      }
    }
  })

  it('gives back what processing takes and adds what drying does, in that order', () => {
    const density = densityOf(VIRTUAL_COATS.printingOut)
    expect(density(800, 'exposed')).toBeGreaterThan(density(800, 'wet'))
    expect(density(800, 'dry')).toBeGreaterThan(density(800, 'wet'))
  })

  it('is weak on chalk and fast when damp', () => {
    const coat = VIRTUAL_COATS.cyanotype
    expect(densityOf(coat, { relativeHumidity: 50, buffered: true })(800)).toBeLessThan(
      densityOf(coat)(800) - 0.1,
    )
    expect(densityOf(coat, { relativeHumidity: 70, buffered: false })(300)).toBeGreaterThan(
      densityOf(coat)(300),
    )
  })

  it('has a true base dose, in closed form where it does not mask', () => {
    const coat = VIRTUAL_COATS.developingOut
    expect(trueBaseDose(coat, 0.04)).toBeCloseTo(380 * Math.log(1.44 / 0.04) ** (1 / 1.3), 0)
  })
})
