import { bottle } from '../fixtures/substances'
import { T0 } from '../fixtures/logs'
import { freeLabel, writtenLabel } from './bottleLabel'

describe('labels of bottles', () => {
  const shelf = [bottle(1, { label: 'SN-1' }), bottle(2, { label: 'SN-2', ended: { at: T0, why: 'empty' } })]

  it('are suggested free, never one that was', () => {
    expect(freeLabel('silver nitrate', shelf)).toBe('SN-3')
    expect(freeLabel('Iron', shelf)).toBe('I-1')
  })

  it('are refused when a bottle on the shelf has them, and free again when it is gone', () => {
    expect(() => writtenLabel('SN-1', 'SN-3', shelf)).toThrow(expect.objectContaining({ code: 'taken' }))
    expect(writtenLabel('SN-2', 'SN-3', shelf)).toBe('SN-2')
    expect(writtenLabel(' ', 'SN-3', shelf)).toBe('SN-3')
  })
})
