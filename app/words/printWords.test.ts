import { editionSaid } from './printWords'

describe('an edition', () => {
  it('is written as it is pencilled', () => {
    expect(editionSaid({ number: 3, of: 7 })).toBe('3/7')
    expect(editionSaid({ number: 2, isProof: true })).toBe('proof 2')
  })
})
