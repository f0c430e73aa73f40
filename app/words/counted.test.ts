import { counted } from './counted'

describe('a number with its noun', () => {
  it.each([
    [0, '0\u00A0prints'],
    [1, '1\u00A0print'],
    [2, '2\u00A0prints'],
    [21, '21\u00A0prints'],
  ])('%i', (count, said) => expect(counted(count, 'print')).toBe(said))

  it('has its own plural where an s is not enough', () =>
    expect([1, 3].map((count) => counted(count, 'press is', 'presses are'))).toEqual([
      '1\u00A0press is',
      '3\u00A0presses are',
    ]))
})
