import { workroom } from '../fixtures/workroom'
import { T0, uuid } from '../fixtures/logs'
import type { Bath } from '../schema/bath'
import { heatOf } from './bathHeat'

const developer = workroom().records.baths[0]!
const bath = (n: number, celsius: number | undefined, more: Partial<Bath> = {}): Bath => ({
  ...developer,
  id: uuid(n),
  madeAt: T0 + n * 1000,
  celsius,
  ...more,
})

describe('the temperature of a developer', () => {
  it('is asked for where it was not measured', () => {
    expect(heatOf(bath(2, undefined), [bath(1, 20)])).toEqual({ says: 'notMeasured' })
  })
  it('is compared with the bath before it that was measured', () => {
    const now = bath(9, 32)
    expect(heatOf(now, [bath(1, 45), bath(3, 20), bath(5, undefined), now])).toEqual({ says: 'differs', before: 20, now: 32 })
    expect(heatOf(now, [bath(3, 30)])).toBeNull()
    expect(heatOf(now, [])).toBeNull()
  }) // prettier-ignore
  it('is not compared with another tray, a later bath, or one that was undone', () => {
    const now = bath(9, 32)
    expect(heatOf(now, [bath(3, 20, { bath: 'another' })])).toBeNull()
    expect(heatOf(now, [bath(12, 20)])).toBeNull()
    expect(heatOf(now, [bath(3, 20, { ended: { at: T0, why: 'undone' } })])).toBeNull()
  })
})
