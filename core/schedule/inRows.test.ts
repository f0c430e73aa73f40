import type { PlannedMove } from './bookings'
import { toldInRows } from './inRows'

const MINUTE = 60_000
const move = (sheetId: string, stepId: string, from: number, to: number): PlannedMove => ({
  sheetId,
  stepId,
  from: from * MINUTE,
  to: to * MINUTE,
})
const inRow = (sheetId: string) => (sheetId.startsWith('r') ? 'row' : undefined)

test('sheets of a row that follow one another in a step are one line of the day', () => {
  const moves = [
    move('r2', 'coat', 2, 4),
    move('r1', 'coat', 0, 2),
    move('r3', 'coat', 4, 6),
    move('alone', 'coat', 6, 8),
    move('r1', 'dry', 2, 12),
    move('r2', 'dry', 4, 14),
    move('r3', 'dry', 6, 17),
  ]
  const told = toldInRows(moves, [move('r1', 'coat', 0, 2), move('r3', 'coat', 4, 5)], inRow)
  expect(told).toEqual([
    {
      stepId: 'coat',
      sheetIds: ['r1', 'r2', 'r3'],
      from: 0,
      to: 6 * MINUTE,
      each: 2 * MINUTE,
      hands: 3 * MINUTE,
    },
    {
      stepId: 'dry',
      sheetIds: ['r1', 'r2', 'r3'],
      from: 2 * MINUTE,
      to: 17 * MINUTE,
      each: 11 * MINUTE,
      hands: 0,
    },
    { stepId: 'coat', sheetIds: ['alone'], from: 6 * MINUTE, to: 8 * MINUTE, each: 2 * MINUTE, hands: 0 },
  ])
})

test('a row that stops in a step is told in two parts', () => {
  const told = toldInRows([move('r1', 'expose', 0, 10), move('r2', 'expose', 60, 70)], [], inRow)
  expect(told.map(({ sheetIds }) => sheetIds)).toEqual([['r1'], ['r2']])
})

test('sheets by themselves are told one by one, whatever they have in common', () => {
  const told = toldInRows([move('a', 'wash', 0, 5), move('b', 'wash', 1, 6)], [], inRow)
  expect(told).toHaveLength(2)
})
