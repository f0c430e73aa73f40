import { bathCondition } from '@core/process/baths'
import { PRINT_SQUARE_METRES } from '@core/process/bathCapacity'
import { workroom } from '@core/fixtures/workroom'
import { T0, uuid } from '@core/fixtures/logs'
import { kallitype } from '@library/processes/kallitype'
import { bathLine, isWanting, meetsLines, slipLine } from './bathWords'

const bath = { ...workroom().records.baths[0]!, replenished: [] }
const use = kallitype.baths.find((one) => one.id === 'citrate')?.use
const acid = kallitype.baths.find((one) => one.id === 'clearing')?.use
const standing = (count: number, rule = use, keeps?: number, now = T0 + 1e6) =>
  bathCondition(
    bath,
    rule,
    Array.from({ length: count }, (_, i) => ({
      sheetId: uuid(i),
      at: T0 + i,
      squareMetres: PRINT_SQUARE_METRES,
    })),
    keeps,
    now,
  )

describe('the line below a tray', () => {
  it.each([
    [0, 'fresh'],
    [1, '1 print; add 200 ml after 8'],
    [6, '6 prints; add 200 ml after 8'],
    [8, '8 prints; add 200 ml'],
    [10, '10 prints; add 200 ml first'],
  ])('after %d prints in the developer says %s', (count, said) =>
    expect(bathLine(standing(count), use).replace(/\u00a0/g, ' ')).toBe(said),
  )

  it('tells the share of a capacity, and when it is spent or old', () => {
    expect(bathLine(standing(2, acid), acid)).toBe('2 prints, 21 % used')
    expect(bathLine(standing(12, acid), acid)).toBe('12 prints: spent')
    expect(bathLine(standing(2, acid, 60), acid)).toBe('past its shelf life')
    expect(isWanting(standing(12, acid).verdict)).toBe(true)
    expect(isWanting(standing(2, acid).verdict)).toBe(false)
  })
})

describe('what the next print will meet', () => {
  it('names the solution, how thin it is, and how many it still takes', () => {
    expect(meetsLines(bath, standing(9)).map((line) => line.replace(/\u00a0/g, ' '))).toEqual([
      'Citrate developer, 1 l, 20 %, 21 °C.',
      'About 95.5 % of its strength: sheets carry water into it or draw on it.',
      'Enough for about 1 more of 8 × 10 in.',
    ])
    expect(meetsLines(bath, standing(10)).at(-1)).toMatch(/No capacity left/)
    expect(meetsLines(bath, standing(0))).toHaveLength(2)
  })
})

describe('a step that came early or late', () => {
  const slip = { stepId: 'a', wordsId: 'a', seconds: 90.4, means: 'So it is.', blames: null }
  it.each([
    ['early', 'Clear: 1 min 30 s early. So it is.'],
    ['late', 'Clear: 1 min 30 s over the maximum time. So it is.'],
    ['coatEarly', 'Clear: printed 1 min 30 s before its rest was over. So it is.'],
    ['coatLate', 'Clear: printed 1 min 30 s past the life of the coat. So it is.'],
  ] as const)('%s', (kind, said) =>
    expect(slipLine('Clear', { ...slip, kind }).replace(/\u00a0/g, ' ')).toBe(said),
  )
})
