import { CoreError } from '../errors'
import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { type Happening, type PlannedStep } from '../schema/event'
import { elapsedSeconds } from './clock'
import { ledgeOf } from './deadlines'
import { nextMove } from './nextMove'
import { advance, replay } from './run'
import { clockOf, emptyRun, stepInHand } from './runState'
import { dueLooks, placeOf } from './place'

const at = (seconds: number) => T0 + seconds * 1000
const upTo = (count: number) => replay(SHEET, logOf(wholeJob.slice(0, count)))
const refusing = (code: string) => expect.objectContaining({ code })

describe('a run', () => {
  it('goes through the whole job and ends on the line', () => {
    const state = upTo(wholeJob.length)
    expect(state.steps.map((step) => step.status)).toEqual([
      'done',
      'done',
      'done',
      'done',
      'done',
      'running',
    ])
    expect(placeOf(state)).toBe('line')
    expect(dueLooks(state).map((look) => [look.id, look.dueAt])).toEqual([
      ['wet', at(1820)],
      ['dry', at(1820 + 86_400)],
      ['settled', at(1820 + 1_209_600)],
    ])
  })

  it('is carried through by its own next move, drop by drop, from begun to hung', () => {
    let state = replay(SHEET, logOf([[0, begun]]))
    const done: string[] = []
    for (let seconds = 1; seconds < 20_000 && placeOf(state) !== 'line'; seconds += 300) {
      const move = nextMove(state, at(seconds))!
      done.push(move.type)
      state = advance(state, logOf([[seconds, move]]).map((event) => ({ ...event, index: state.length }))[0]!)
    }
    expect(done.filter((type) => type === 'dropped')).toHaveLength(4)
    expect(placeOf(state)).toBe('line')
  })

  it('counts an exposure without the looks', () => {
    const step = upTo(13).steps[3]!
    expect(elapsedSeconds(clockOf(step)!, at(99_999))).toBe(1460 - 900 - 20)
    expect(step.plannedSeconds).toBe(540)
  })

  it('starts the next step by itself only where the work flows on', () => {
    expect(stepInHand(upTo(6))).toMatchObject({
      planned: { id: 'spread' },
      status: 'running',
      startedAt: at(10),
    })
    expect(stepInHand(upTo(8))).toMatchObject({ planned: { id: 'expose' }, status: 'waiting' })
  })

  it('finishes the hanging when the print is judged dry, and the sheet when it has settled', () => {
    const judged = (moment: 'dry' | 'settled'): Happening => ({
      type: 'judged',
      moment,
      verdict: 'keep',
      note: '',
    })
    const dry = replay(SHEET, logOf([...wholeJob, [90_000, judged('dry')]]))
    expect(dry.steps.at(-1)!.status).toBe('done')
    expect(placeOf(dry)).toBe('line')
    expect(dueLooks(dry).map((look) => look.id)).toEqual(['settled'])
    expect(
      placeOf(replay(SHEET, logOf([...wholeJob, [90_000, judged('dry')], [1_300_000, judged('settled')]]))),
    ).toBe('finished')
  })

  it.each<[string, number, Happening, string]>([
    ['work before it begins', 0, { type: 'stepStarted', step: 'expose' }, 'not-begun'],
    ['a second beginning', 1, begun, 'already-begun'],
    ['an unknown component', 1, { type: 'dropped', component: 'gold', change: 1 }, 'not-counting'],
    ['a drop taken from nothing', 1, { type: 'dropped', component: 'iron', change: -1 }, 'below-nothing'],
    ['mixing with one bottle only', 2, { type: 'stepFinished', step: 'mix' }, 'not-counted'],
    ['another step than the one in hand', 6, { type: 'stepFinished', step: 'wash' }, 'other-step'],
    ['taking out what never went in', 8, { type: 'stepFinished', step: 'expose' }, 'not-started'],
    ['a look before the light', 8, { type: 'looked', step: 'expose' }, 'not-exposing'],
    ['a second look at once', 10, { type: 'looked', step: 'expose' }, 'not-exposing'],
    ['a second start', 9, { type: 'stepStarted', step: 'expose' }, 'running'],
    ['water for a print not in the bath', 13, { type: 'waterChanged', step: 'wash' }, 'not-in-bath'],
    [
      'a dry look at a wet print',
      14,
      { type: 'judged', moment: 'dry', verdict: 'keep', note: '' },
      'not-hung',
    ],
  ])('refuses %s', (_, count, what, code) => {
    const state = upTo(count)
    const event = { ...logOf([[50_000, what]])[0]!, index: state.length }
    expect(() => advance(state, event)).toThrow(refusing(code))
  })

  it('leaves the state that it goes on from as it was, at every step', () => {
    let state = emptyRun(SHEET)
    for (const event of logOf(wholeJob)) {
      const before = structuredClone(state)
      const next = advance(state, event)
      expect(next).not.toBe(state)
      expect(state).toEqual(before)
      state = next
    }
    expect(state).toEqual(upTo(wholeJob.length))
  })

  it('refuses a stamp before the last one', () => {
    expect(() =>
      replay(
        SHEET,
        logOf([
          [10, begun],
          [9, { type: 'noted', text: 'x' }],
        ]),
      ),
    ).toThrow(refusing('back-in-time'))
  })

  it('refuses a log with a gap', () => {
    const log = logOf(wholeJob)
    expect(() => replay(SHEET, log.slice(1))).toThrow(CoreError)
    expect(() => replay(SHEET, [log[0]!, log[2]!])).toThrow(refusing('out-of-order'))
  })

  it('lets nothing more happen to a sheet set aside, but keeps notes', () => {
    const aside = logOf([...wholeJob.slice(0, 9), [1000, { type: 'setAside', reason: 'fogged' }]])
    const state = replay(SHEET, aside)
    expect(placeOf(state)).toBe('setAside')
    expect(ledgeOf([state], at(1001))).toEqual([])
    expect(() =>
      advance(state, { ...logOf([[1002, { type: 'looked', step: 'expose' }]])[0]!, index: 10 }),
    ).toThrow(refusing('set-aside'))
    expect(
      advance(state, { ...logOf([[1002, { type: 'noted', text: 'lamp' }]])[0]!, index: 10 }).notes,
    ).toHaveLength(1)
  })
})

describe('a step that was cut short', () => {
  /** A fixer, then a clearing bath of two minutes, then a wash of five that takes half an hour without it. */
  const planFor = (toSeconds?: number): Happening => ({
    type: 'begun',
    looks: [],
    steps: [
      {
        ...bath('clear', 120),
        ifShort: { lengthens: 'wash', ...(toSeconds !== undefined && { toSeconds }) },
      },
      { ...bath('rinse', 30), begins: 'atOnce' },
      { ...bath('wash', 300), begins: 'atOnce', mostSeconds: 600 },
    ],
  })
  const bath = (id: string, leastSeconds: number): PlannedStep =>
    ({ id, station: 'wet', place: 'water', kind: 'bath', begins: 'press', leastSeconds }) as const
  const washAfter = (
    seconds: number,
    toSeconds?: number,
    more: readonly (readonly [number, Happening])[] = [],
  ) =>
    replay(
      SHEET,
      logOf([
        [0, planFor(toSeconds)],
        [10, { type: 'stepStarted', step: 'clear' }],
        [10 + seconds, { type: 'stepFinished', step: 'clear' }],
        ...more,
      ]),
    ).steps[2]!

  it('makes the step longer that makes up for it, at once', () => {
    expect(washAfter(20, 1800)).toMatchObject({
      planned: { leastSeconds: 1800, mostSeconds: 1800 },
      lengthenedBy: 'clear',
    })
    expect(washAfter(20)).toMatchObject({ planned: { leastSeconds: 400, mostSeconds: 600 } })
  })

  it('changes nothing where it was long enough, or a hand was a little quick', () => {
    for (const seconds of [120, 116, 300]) {
      expect(washAfter(seconds, 1800).planned.leastSeconds).toBe(300)
      expect(washAfter(seconds, 1800).lengthenedBy).toBeUndefined()
    }
  })

  it('changes it back when the record is corrected', () => {
    const right: Happening = { type: 'corrected', eventId: uuid(1002), right: { at: at(140) } }
    expect(washAfter(20, 1800, [[500, right]]).planned.leastSeconds).toBe(300)
  })

  it('is on the clock of the longer step', () => {
    const state = replay(
      SHEET,
      logOf([
        [0, planFor(1800)],
        [10, { type: 'stepStarted', step: 'clear' }],
        [20, { type: 'stepFinished', step: 'clear' }],
        [60, { type: 'stepFinished', step: 'rinse' }],
      ]),
    )
    expect(ledgeOf([state], at(160))[0]).toMatchObject({ stepId: 'wash', remainingSeconds: 1700 })
  })
})

describe('undo', () => {
  const undo = (eventIndex: number): Happening => ({ type: 'undone', eventId: uuid(1000 + eventIndex) })

  it('takes back the last thing, as if it had not been, and keeps the log', () => {
    const log = logOf([...wholeJob.slice(0, 13), [1470, undo(12)]])
    const state = replay(SHEET, log)
    expect(state).toMatchObject({ ...upTo(12), length: 14, lastAt: at(1470) })
    expect(elapsedSeconds(clockOf(stepInHand(state)!)!, at(1500))).toBe(1500 - 900 - 20)
  })

  it('goes back step by step', () => {
    const state = replay(SHEET, logOf([...wholeJob.slice(0, 3), [20, undo(2)], [21, undo(1)], [22, undo(0)]]))
    expect(placeOf(state)).toBe('planned')
    expect(state.last).toBeNull()
  })

  it('refuses anything but the last', () => {
    expect(() => replay(SHEET, logOf([...wholeJob.slice(0, 3), [20, undo(1)]]))).toThrow(
      refusing('nothing-to-undo'),
    )
    expect(() => replay(SHEET, logOf([[20, undo(1)]]))).toThrow(refusing('nothing-to-undo'))
  })
})
