import { book, substance } from '../fixtures/substances'
import { tonerDose } from './tonerDose'

const uptakes = [{ metal: 'Au', least: 40, most: 80, standing: 'memory', source: 'test' }] as const
const substances = { ...book, 'gold-chloride': substance('gold-chloride', { trihydrate: 'HAuCl4·3H2O' }) }
const gold = [{ substanceId: 'gold-chloride', percent: 0.02 }]

describe('the dose of a toner', () => {
  // Gold is 50 % of the trihydrate by mass: 196.97 of 393.83, published atomic weights. 0.02 % is 0.2 mg/ml of salt.
  it('is metal by area, and the toner that holds it', () => {
    const dose = tonerDose(gold, 0.05, substances, uptakes)!
    expect(dose.name).toBe('gold')
    expect([dose.least.value, dose.most.value]).toEqual([2, 4])
    expect(dose.millilitres.value).toBeCloseTo(4 / (0.2 * 0.50014), 2)
  })
  it('counts what a weaker toner holds', () => {
    const half = tonerDose([{ substanceId: 'gold-chloride', percent: 0.01 }], 0.05, substances, uptakes)!
    expect(half.millilitres.value).toBeCloseTo(80, 0)
  })
  it('says nothing without a known metal or an area', () => {
    expect(tonerDose([{ substanceId: 'citric-acid', percent: 5 }], 0.05, substances, uptakes)).toBeNull()
    expect(tonerDose(gold, 0.05, substances, [])).toBeNull()
    expect(tonerDose(gold, 0, substances, uptakes)).toBeNull()
    expect(tonerDose([{ substanceId: 'unknown', percent: 5 }], 0.05, substances, uptakes)).toBeNull()
  })
})
