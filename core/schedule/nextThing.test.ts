import { begun, logOf, T0, uuid, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { replay } from '../run/run'
import { emptyRun } from '../run/runState'
import { looksDue, nextThing } from './nextThing'

const at = (seconds: number) => T0 + seconds * 1000
const upTo = (count: number, n = 1) => replay(uuid(n), logOf(wholeJob.slice(0, count), uuid(n)))

describe('nextThing', () => {
  const hung = upTo(wholeJob.length, 1)
  const exposing = upTo(9, 2)
  const dried = upTo(8, 3)
  const planned = emptyRun(uuid(4))
  const counting = replay(uuid(5), logOf([[0, begun]], uuid(5)))

  it.each([
    [
      'a clock that has run out before everything else',
      [planned, dried, counting, exposing],
      2000,
      { kind: 'over', sheetId: uuid(2), wordsId: 'expose' },
    ],
    [
      'the drops being counted',
      [planned, dried, counting, exposing],
      1000,
      { kind: 'counting', sheetId: uuid(5), wordsId: 'mix' },
    ],
    [
      'what is ready',
      [planned, dried, exposing, hung],
      1000,
      { kind: 'ready', sheetId: uuid(3), wordsId: 'expose' },
    ],
    ['a look that is due', [planned, hung], 90_000, { kind: 'look', sheetId: uuid(1), lookId: 'dry' }],
    [
      'the nearest clock',
      [planned, exposing, hung],
      1000,
      { kind: 'wait', sheetId: uuid(2), wordsId: 'expose' },
    ],
    ['what is planned', [planned, hung], 2000, { kind: 'begin', sheetId: uuid(4) }],
    ['nothing', [hung], 2000, { kind: 'nothing' }],
  ])('names %s', (_, states, seconds, thing) => expect(nextThing(states, at(seconds))).toEqual(thing))
})

describe('looksDue', () => {
  const judged: Happening = { type: 'judged', moment: 'dry', verdict: 'keep', note: '' }

  it.each([
    ['nothing on the first day', wholeJob, 10_000, []],
    ['the dry look after a day', wholeJob, 90_000, ['dry']],
    ['only the settled one after two weeks', wholeJob, 1_300_000, ['settled']],
    ['nothing between the two', [...wholeJob, [90_000, judged] as const], 100_000, []],
  ])('asks for %s', (_, happened, seconds, ids) => {
    expect(looksDue([replay(uuid(1), logOf(happened, uuid(1)))], at(seconds)).map((look) => look.id)).toEqual(
      ids,
    )
  })
})
