import { MF } from 'mf-parser'
import { silverByDrops, silverToAdd } from './titration'

const massOf = (formula: string) => new MF(formula).getInfo().mass

describe('silver by drops of salt', () => {
  // By hand, with another table of weights: 1 ml of a 12 % bath holds 0.12/169.87 mol of silver, for which 2 % salt water
  // of 20 drops to the ml takes 0.12/169.87·58.44/0.02·20 = 41.3 drops.
  it('finds the strength of a bath from the drops that it takes', () => {
    const drops = ((0.12 / massOf('AgNO3')) * massOf('NaCl') * 20) / 0.02
    expect(drops).toBeCloseTo(41.3, 1)
    const found = silverByDrops({ sampleMillilitres: 1, drops, dropsPerMillilitre: 20, saltPercent: 2 })
    expect(found.value).toBeCloseTo(12, 2)
    expect(found.uncertainty).toBeCloseTo(12 / 41.3, 2)
  })

  it('is half as strong where half as many drops do, or twice the sample takes as many', () => {
    const of = (drops: number, sampleMillilitres: number) =>
      silverByDrops({ sampleMillilitres, drops, dropsPerMillilitre: 20, saltPercent: 2 }).value
    expect(of(20, 1)).toBeCloseTo(of(40, 1) / 2, 12)
    expect(of(40, 2)).toBeCloseTo(of(40, 1) / 2, 12)
  })

  it.each([{ drops: 0 }, { sampleMillilitres: -1 }, { saltPercent: 0 }])('refuses %p', (wrong) => {
    const right = { sampleMillilitres: 1, drops: 40, dropsPerMillilitre: 20, saltPercent: 2 }
    expect(() => silverByDrops({ ...right, ...wrong })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })

  it('says how much brings it back: 2 % of 500 ml are 10 g, and nothing where it is strong', () => {
    expect(silverToAdd(12, 10, 500).value).toBeCloseTo(10, 12)
    expect(silverToAdd(12, 12.4, 500).value).toBe(0)
  })
})
