import { concentratePerLitre } from './dilution'

describe('a litre of some percentage from a bought liquid', () => {
  // Hydrochloric acid of 37 %, 1.18 g/ml, holds 0.437 g in a millilitre: 229 ml for 100 g (handbook figures, from memory).
  it('takes as much as holds the weight, or the volume as it is poured', () => {
    const { byWeight, byVolume } = concentratePerLitre(10, { percentWw: 37, gramsPerMillilitre: 1.18 })
    expect(byWeight).toBeCloseTo(100 / 0.4366, 6)
    expect(Math.round(byWeight)).toBe(229)
    expect(byVolume).toBe(100)
  })
})
