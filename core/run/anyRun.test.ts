import fc from 'fast-check'
import { CoreError } from '../errors'
import { samples } from '../fixtures/samples'
import { begun, plan, SHEET, T0, uuid } from '../fixtures/logs'
import { SheetEvent, type Happening } from '../schema/event'
import { elapsedSeconds } from './clock'
import { nextMove } from './nextMove'
import { advance, replay } from './run'
import { clockOf, emptyRun, type RunState } from './runState'

const at = (seconds: number) => T0 + seconds * 1000

describe('any sequence of events', () => {
  const step = fc.constantFrom(...plan.map(({ id }) => id), 'stranger')
  const component = fc.constantFrom('iron', 'ferricyanide', 'gold')
  const happening: fc.Arbitrary<Happening | 'undo' | 'move'> = fc.oneof(
    { weight: 6, arbitrary: fc.constant('move' as const) },
    fc.constant('undo' as const),
    fc.constant(begun),
    fc.record({ type: fc.constant('dropped' as const), component, change: fc.integer({ min: -3, max: 3 }) }),
    fc.record({
      type: fc.constantFrom('stepStarted', 'stepFinished', 'looked', 'returned', 'waterChanged'),
      step,
    }) as fc.Arbitrary<Happening>,
    fc.record({
      type: fc.constant('exposureChanged' as const),
      step,
      plannedSeconds: fc.integer({ min: 1, max: 9999 }),
      said: fc.constant('x'),
    }),
    fc.record({
      type: fc.constant('judged' as const),
      moment: fc.constantFrom('wet', 'dry', 'settled'),
      verdict: fc.constant('keep'),
      note: fc.constant(''),
    }) as fc.Arbitrary<Happening>,
    fc.constant<Happening>({ type: 'setAside', reason: 'dropped it' }),
  )

  /** Applies what can be applied; returns the log that came of it. */
  function perform(attempts: readonly (readonly [number, Happening | 'undo' | 'move'])[]): SheetEvent[] {
    const log: SheetEvent[] = []
    let state = emptyRun(SHEET)
    let seconds = 0
    for (const [pause, attempt] of attempts) {
      seconds += pause
      const what =
        attempt === 'move' ? (state.begunAt === null ? begun : nextMove(state, at(seconds))) : attempt
      if (!what || (what === 'undo' && !state.last)) continue
      const said: Happening = what === 'undo' ? { type: 'undone', eventId: state.last!.id } : what
      const event = {
        ...said,
        id: uuid(5000 + log.length),
        sheetId: SHEET,
        index: log.length,
        at: at(seconds),
      } as SheetEvent
      const before = structuredClone(state)
      try {
        state = said.type === 'undone' ? replay(SHEET, [...log, event]) : advance(state, event)
        log.push(event)
      } catch (error) {
        expect(error).toBeInstanceOf(CoreError)
        expect(state).toEqual(before)
      }
      expectPossible(state, at(seconds))
    }
    expect(replay(SHEET, log)).toEqual(state)
    return log
  }

  function expectPossible(state: RunState, now: number): void {
    const impossible = state.steps.flatMap((one, i) => {
      const clock = clockOf(one)
      return [
        i < state.current && one.status !== 'done' && 'an earlier step is not done',
        i > state.current && one.status !== 'waiting' && 'a later step has begun',
        Object.values(one.drops).some((count) => count < 0) && 'less than no drops',
        one.status === 'held' && one.planned.kind !== 'expose' && 'a pause of what cannot be paused',
        (one.finishedAt ?? Infinity) < (one.startedAt ?? -Infinity) && 'an end before its start',
        clock && elapsedSeconds(clock, now) < 0 && 'a clock that runs backwards',
      ].filter((fault) => fault)
    })
    if (state.judgements.length && state.steps.at(-1)!.startedAt === undefined)
      impossible.push('judged before it was made')
    expect(impossible).toEqual([])
  }

  it('never reaches an impossible state, and its log replays to the same one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 900 }), happening), { maxLength: 60 }),
        (attempts) => {
          const log = perform(attempts)
          expect(log.every((event) => SheetEvent.safeParse(event).success)).toBe(true)
        },
      ),
      { numRuns: samples(150, 300) },
    )
  })
})
