import { numbersSaid } from './numbers'

describe('numbersSaid', () => {
  it.each([
    [[], ''],
    [[4], '4'],
    [[5, 4], '4 and 5'],
    [[3, 4, 5], '3–5'],
    [[9, 3, 4, 5, 5, 8], '3–5, 8 and 9'],
    [[1, 3, 6], '1, 3 and 6'],
  ])('says %j as “%s”', (numbers, said) => {
    expect(numbersSaid(numbers)).toBe(said)
  })
})
