import { meetNegative, type ContrastMeans } from './contrast'

const drops: ContrastMeans = {
  id: 'drops',
  processId: 'any',
  name: 'Drops',
  unit: 'drops',
  per: 'to the glass',
  rungs: [
    { amount: 0, scale: 2 },
    { amount: 2, scale: 1.6 },
    { amount: 6, scale: 1.2 },
  ],
  isWhole: true,
  costs: '',
  cautions: [],
  standing: 'memory',
  source: 'A table',
}

describe('a negative and a paper meet', () => {
  // By hand: on the straight line from 2 drops at 1.6 to 6 at 1.2, a range of 1.4 takes 4.
  it.each([
    [2, 0, 'meets'],
    [1.8, 1, 'meets'],
    [1.4, 4, 'meets'],
    [1.2, 6, 'meets'],
    [2.3, 0, 'tooLong'],
    [0.9, 6, 'tooShort'],
  ])('a range of %d takes %d drops: %s', (range, amount, says) => {
    const found = meetNegative(range, drops)
    expect([found.amount.value, found.says]).toEqual([amount, says])
    expect(found.spare).toBeCloseTo(found.scale.value - range, 12)
  })

  it('takes never fewer drops for a shorter negative', () => {
    const ranges = Array.from({ length: 60 }, (_, i) => 0.6 + i * 0.03)
    const amounts = ranges.map((range) => meetNegative(range, drops).amount.value)
    expect([...amounts].sort((a, b) => b - a)).toEqual(amounts)
  })

  it('learns from one’s own tablets: a paper that prints 0.2 longer takes the drops of a shorter negative', () => {
    const own = [
      { amount: 0, scale: 2.2 },
      { amount: 2, scale: 1.8 },
      { amount: 6, scale: 1.9 },
    ]
    // Two of three are 0.2 above the table; the third, which is far off, does not move the median.
    const learnt = meetNegative(1.6, drops, own)
    expect(learnt.amount.value).toBe(meetNegative(1.4, drops).amount.value)
    expect(learnt.scale.value).toBeCloseTo(1.6, 12)
    expect(learnt.amount.working.standing).toBe('yours')
    expect(meetNegative(1.6, drops).amount.working.standing).toBe('memory')
  })

  it.each([0, -1, Number.NaN])('refuses a range of %d', (range) => {
    expect(() => meetNegative(range, drops)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
