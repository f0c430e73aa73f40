import { begun, logOf, SHEET, T0, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { componentInHand, isOver, nextMove } from './nextMove'
import { replay } from './run'
import { stepInHand } from './runState'
import { dueLooks, hungAtOf, isOpen, placeOf, verdictOf } from './place'

const at = (seconds: number) => T0 + seconds * 1000
const upTo = (count: number) => replay(SHEET, logOf(wholeJob.slice(0, count)))
const judged = (
  moment: 'wet' | 'dry' | 'settled',
  verdict: 'keep' | 'again' | 'undecided' = 'keep',
): Happening => ({
  type: 'judged',
  moment,
  verdict,
  note: '',
})
const after = (...looks: readonly (readonly [number, Happening])[]) =>
  replay(SHEET, logOf([...wholeJob, ...looks]))

describe('placeOf', () => {
  it.each([
    [0, 'planned'],
    [1, 'coat'],
    [6, 'coat'],
    [7, 'coat'],
    [8, 'light'],
    [9, 'light'],
    [13, 'wet'],
    [14, 'wet'],
    [16, 'line'],
  ])('after %d events is %s', (count, place) => expect(placeOf(upTo(count))).toBe(place))

  it('stays on the line until the last look, and a wet look does not hold it there', () => {
    expect(placeOf(after([90_000, judged('dry')]))).toBe('line')
    expect(placeOf(after([90_000, judged('dry')], [1_300_000, judged('settled')]))).toBe('finished')
    expect(placeOf(after([1_300_000, judged('settled')]))).toBe('finished')
  })

  it('is set aside from wherever it was', () => {
    for (const count of [1, 8, 9, 14, 16])
      expect(
        placeOf(
          replay(SHEET, logOf([...wholeJob.slice(0, count), [99_999, { type: 'setAside', reason: 'x' }]])),
        ),
      ).toBe('setAside')
  })
})

describe('dueLooks', () => {
  it('names none before the print hangs', () => {
    expect(dueLooks(upTo(14))).toEqual([])
    expect(hungAtOf(upTo(14))).toBeNull()
  })

  it('lets a later look overtake an earlier one', () => {
    expect(dueLooks(after([90_000, judged('dry')])).map(({ id }) => id)).toEqual(['settled'])
    expect(dueLooks(after([1_300_000, judged('settled')]))).toEqual([])
  })

  it('reckons from the moment of hanging', () => {
    expect(hungAtOf(upTo(16))).toBe(at(1820))
    expect(dueLooks(upTo(16))[1]).toEqual({ id: 'dry', dueAt: at(1820 + 86_400) })
  })
})

describe('verdictOf', () => {
  it('is that of the latest look', () => {
    expect(verdictOf(upTo(16))).toBeNull()
    expect(verdictOf(after([2000, judged('wet', 'undecided')], [90_000, judged('dry', 'again')]))).toBe(
      'again',
    )
  })
})

describe('nextMove', () => {
  it.each<[string, number, number, Happening | null]>([
    ['a drop of the first bottle', 1, 1, { type: 'dropped', component: 'iron', change: 1 }],
    [
      'a drop of the second once the first is in',
      3,
      3,
      { type: 'dropped', component: 'ferricyanide', change: 1 },
    ],
    ['the end of counting', 5, 5, { type: 'stepFinished', step: 'mix' }],
    ['the end of coating', 6, 20, { type: 'stepFinished', step: 'spread' }],
    ['the start of the exposure', 8, 800, { type: 'stepStarted', step: 'expose' }],
    ['a look while the light works', 9, 1000, { type: 'looked', step: 'expose' }],
    ['back under the light', 10, 1150, { type: 'returned', step: 'expose' }],
    ['out when the time is up', 9, 900 + 480, { type: 'stepFinished', step: 'expose' }],
    ['into the water', 13, 1480, { type: 'stepStarted', step: 'wash' }],
    ['out of the water, whatever the clock says', 14, 1501, { type: 'stepFinished', step: 'wash' }],
    ['nothing before work begins', 0, 0, null],
  ])('is %s', (_, count, seconds, move) => expect(nextMove(upTo(count), at(seconds))).toEqual(move))

  it('is nothing once the sheet is set aside', () => {
    const aside = replay(SHEET, logOf([...wholeJob.slice(0, 9), [1000, { type: 'setAside', reason: 'x' }]]))
    expect(nextMove(aside, at(1001))).toBeNull()
  })

  it('goes back to a bottle from which a drop was taken', () => {
    const state = replay(
      SHEET,
      logOf([...wholeJob.slice(0, 4), [3.5, { type: 'dropped', component: 'iron', change: -1 }]]),
    )
    expect(componentInHand(stepInHand(state)!)).toBe('iron')
  })

  it('counts a bottle with too many drops as full', () => {
    const state = replay(
      SHEET,
      logOf([
        [0, begun],
        [1, { type: 'dropped', component: 'iron', change: 5 }],
      ]),
    )
    expect(componentInHand(stepInHand(state)!)).toBe('ferricyanide')
  })
})

describe('isOver', () => {
  it.each([
    [1379, false],
    [1380, true],
    [9999, true],
  ])('at %d s is %s', (seconds, over) => expect(isOver(upTo(9), at(seconds))).toBe(over))

  it('follows a change of the plan', () => {
    const more = replay(
      SHEET,
      logOf([
        ...wholeJob.slice(0, 9),
        [1000, { type: 'exposureChanged', step: 'expose', plannedSeconds: 900, said: '' }],
      ]),
    )
    expect(isOver(more, at(1700))).toBe(false)
    expect(isOver(more, at(1800))).toBe(true)
  })

  it('does not mistake the life of a waiting coat for the step in hand', () => {
    expect(isOver(upTo(8), at(760 + 7200 + 1))).toBe(false)
  })
})

describe('isOpen', () => {
  const DAY = 86_400
  const days = (count: number) => at(count * DAY)
  it.each([
    ['planned', upTo(0), 400, true],
    ['in work, however long ago', upTo(9), 400, true],
    ['drying', upTo(wholeJob.length), 30, true],
    ['on the line, every look missed by months', upTo(wholeJob.length), 80, false],
    ['looked at to the end', after([20 * DAY, judged('settled')]), 21, false],
    ['set aside', after([DAY, { type: 'setAside', reason: 'torn' }]), 2, false],
    [
      'asked for again, and late',
      after([20 * DAY, { ...judged('settled'), lookAgainAt: days(50) } as Happening]),
      900,
      true,
    ],
  ])('%s', (_, state, day, open) => expect(isOpen(state, days(day))).toBe(open))
})
