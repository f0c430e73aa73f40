import fc from 'fast-check'
import { CoreError } from '../errors'
import { samples } from '../fixtures/samples'
import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { SheetEvent, type Correction, type Happening, type Missed } from '../schema/event'
import { elapsedSeconds } from './clock'
import { effectiveEvents, historyOf } from './history'
import { nextMove } from './nextMove'
import { advance, replay } from './run'
import { clockOf, emptyRun, stepInHand, type RunState } from './runState'

const at = (seconds: number) => T0 + seconds * 1000
const refusing = (code: string) => expect.objectContaining({ code })
/** Written after the whole job. */
const then = (...more: Happening[]) =>
  logOf([...wholeJob, ...more.map((what, n): [number, Happening] => [2000 + n, what])])
const corrected = (eventIndex: number, right: Correction): Happening => ({
  type: 'corrected',
  eventId: uuid(1000 + eventIndex),
  right,
})
const [MIXED, SPREAD, EXPOSED, WASHED] = [5, 6, 12, 15]

/** What happened, without the account of how it was written down. */
function substance(state: RunState): object {
  const rest: Partial<RunState> = { ...state }
  for (const key of ['length', 'last', 'lastAt', 'redo'] as const) delete rest[key]
  return { ...rest, judgements: state.judgements.map((judged) => ({ ...judged, index: 0 })) }
}

describe('a correction', () => {
  it('moves what happened in time, and what follows from it', () => {
    const state = replay(SHEET, then(corrected(EXPOSED, { at: at(1400) })))
    const exposed = state.steps[3]!
    expect(elapsedSeconds(clockOf(exposed)!, at(9999))).toBe(1400 - 900 - 20)
    expect(state.last).toMatchObject({ type: 'corrected' })
    expect(state.lastAt).toBe(at(2000))
  })

  it('moves the start of a step that flows on from the one before', () => {
    const state = replay(SHEET, then(corrected(SPREAD, { at: at(70) })))
    expect(state.steps[1]!.finishedAt).toBe(at(70))
    expect(state.steps[2]!.startedAt).toBe(at(70))
  })

  it('puts other amounts in the glass and off the shelf', () => {
    const drawn = [{ bottleId: uuid(7), component: 'iron', millilitres: 0.15 }]
    const state = replay(SHEET, then(corrected(MIXED, { drops: [{ component: 'iron', count: 3 }], drawn })))
    expect(state.steps[0]).toMatchObject({ drops: { iron: 3, ferricyanide: 2 }, drawn })
  })

  it('may itself be corrected: the last one counts', () => {
    const state = replay(
      SHEET,
      then(corrected(WASHED, { at: at(1900) }), corrected(WASHED, { at: at(1850) })),
    )
    expect(state.steps[4]!.finishedAt).toBe(at(1850))
  })

  it('is undone like any entry, and everything is as it was before', () => {
    const log = then(corrected(WASHED, { at: at(1900) }))
    const undo: Happening = { type: 'undone', eventId: log.at(-1)!.id }
    expect(substance(replay(SHEET, then(corrected(WASHED, { at: at(1900) }), undo)))).toEqual(
      substance(replay(SHEET, logOf(wholeJob))),
    )
  })

  it('keeps what was written first in the log', () => {
    const log = then(corrected(WASHED, { at: at(1900) }))
    expect(historyOf(log).entries[WASHED]!.at).toBe(at(1820))
    expect(effectiveEvents(log)[WASHED]!.at).toBe(at(1900))
  })

  it.each<[string, Happening, string]>([
    ['of an entry of another sheet', { type: 'corrected', eventId: uuid(5), right: { at: at(5) } }, 'nothing-to-correct'],
    ['of amounts where there are none', corrected(SPREAD - 2, { drops: [{ component: 'iron', count: 3 }] }), 'nothing-to-correct'],
    ['of drops that were never counted here', corrected(WASHED, { drops: [{ component: 'iron', count: 3 }] }), 'not-counting'],
    ['into the future', corrected(WASHED, { at: at(2001) }), 'not-yet'],
    ['to before its step began', corrected(WASHED, { at: at(1450) }), 'other-step'],
    ['that would date work before the beginning', corrected(1, { at: at(-1) }), 'not-begun'],
    ['of a late entry into the future', { type: 'enteredLate', happenedAt: at(2001), what: { type: 'waterChanged', step: 'wash' } }, 'not-yet'],
    ['of a late entry outside its step', { type: 'enteredLate', happenedAt: at(1000), what: { type: 'waterChanged', step: 'wash' } }, 'other-step'],
  ])('%s is refused', (_, what, code) => expect(() => replay(SHEET, then(what))).toThrow(refusing(code))) // prettier-ignore

  it('needs the whole log', () => {
    const state = replay(SHEET, logOf(wholeJob))
    const event = then(corrected(WASHED, { at: at(1900) })).at(-1)!
    expect(() => advance(state, event)).toThrow(refusing('needs-log'))
  })
})

describe('an entry made late', () => {
  it('counts at the moment at which it happened', () => {
    const state = replay(
      SHEET,
      then(
        { type: 'enteredLate', happenedAt: at(1700), what: { type: 'waterChanged', step: 'wash' } },
        { type: 'enteredLate', happenedAt: at(1300), what: { type: 'looked', step: 'expose' } },
        { type: 'enteredLate', happenedAt: at(1360), what: { type: 'returned', step: 'expose' } },
      ),
    )
    expect(state.steps[4]!.waters).toEqual([at(1600), at(1700)])
    expect(elapsedSeconds(clockOf(state.steps[3]!)!, at(9999))).toBe(1460 - 900 - 20 - 60)
  })
})

describe('redo', () => {
  const undo = (id: string): Happening => ({ type: 'undone', eventId: id })
  const redo = (id: string): Happening => ({ type: 'redone', eventId: id })
  const [last, before] = [uuid(1015), uuid(1014)]

  it('brings back what was undone, one after the other, as it was', () => {
    const log = then(undo(last), undo(before))
    expect(replay(SHEET, log).redo).toMatchObject({ id: before, type: 'waterChanged' })
    const again = replay(SHEET, then(undo(last), undo(before), redo(before), redo(last)))
    expect(substance(again)).toEqual(substance(replay(SHEET, logOf(wholeJob))))
    expect(again.redo).toBeUndefined()
    expect(again.last).toMatchObject({ id: last })
  })

  it('is over once something else has happened', () => {
    const log = then(undo(last), { type: 'noted', text: 'stayed in' })
    expect(replay(SHEET, log).redo).toBeUndefined()
    expect(() => replay(SHEET, then(undo(last), { type: 'noted', text: 'x' }, redo(last)))).toThrow(
      refusing('nothing-to-redo'),
    )
    const carriedOn = advance(replay(SHEET, then(undo(last))), {
      ...logOf([[3000, { type: 'noted', text: 'x' }]])[0]!,
      index: 17,
    })
    expect(carriedOn.redo).toBeUndefined()
  })

  it('refuses anything but what was undone last', () =>
    expect(() => replay(SHEET, then(undo(last), undo(before), redo(last)))).toThrow(
      refusing('nothing-to-redo'),
    ))
})

type Press = 'move' | 'note' | 'water' | 'look'
const presses = fc.array(
  fc.tuple(
    fc.integer({ min: 1, max: 900 }),
    fc.constantFrom<Press>('move', 'move', 'move', 'note', 'water', 'look'),
  ),
  { minLength: 4, maxLength: 40 },
)

/** A log of work that could have happened. */
function worked(pressed: readonly (readonly [number, Press])[]): SheetEvent[] {
  const log = logOf([[0, begun]])
  let state = replay(SHEET, log)
  let seconds = 0
  for (const [pause, press] of pressed) {
    seconds += pause
    const step = stepInHand(state)?.planned.id ?? ''
    const what: Happening | null =
      press === 'move'
        ? nextMove(state, at(seconds))
        : press === 'note'
          ? { type: 'noted', text: `at ${seconds}` }
          : { type: press === 'water' ? 'waterChanged' : 'looked', step }
    if (!what) continue
    const event = { ...what, id: uuid(3000 + log.length), sheetId: SHEET, index: log.length, at: at(seconds) } as SheetEvent
    try {
      state = advance(state, event)
      log.push(event)
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError)
    }
  }
  return log
} // prettier-ignore

const written = (log: readonly SheetEvent[], ...more: Happening[]): SheetEvent[] =>
  [...log, ...more.map((what) => what as SheetEvent)].map((event, index) => ({
    ...event,
    id: event.id ?? uuid(9000 + index),
    sheetId: SHEET,
    index,
    at: index < log.length ? event.at : at(99_999),
  }))
/** What a log amounts to, or the code with which it is refused. */
function outcome(log: readonly SheetEvent[]): object | string {
  try {
    return substance(replay(SHEET, log))
  } catch (error) {
    if (error instanceof CoreError) return error.code
    throw error
  }
}

const isMissable = (event: SheetEvent): event is Extract<SheetEvent, { type: Missed['type'] }> =>
  ['looked', 'returned', 'waterChanged'].includes(event.type)

describe('any log, written wrong and corrected', () => {
  it('amounts to the same as if it had been right at first', () => {
    let [moved, reordered] = [0, 0]
    fc.assert(
      fc.property(presses, fc.nat(), fc.integer({ min: 0, max: 30_000 }), (pressed, which, seconds) => {
        const right = worked(pressed)
        const event = right[which % right.length]!
        const to = Math.min(at(seconds), right.at(-1)!.at)
        // As it would have been written by someone who pressed at the moment `to`.
        const atFirst = written(
          right
            .map((one) => (one === event ? { ...one, at: to } : one))
            .sort((a, b) => a.at - b.at || a.index - b.index),
        )
        const later = written(right, { type: 'corrected', eventId: event.id, right: { at: to } })
        expect(outcome(later)).toEqual(outcome(atFirst))
        if (typeof outcome(later) === 'object') moved++
        if (atFirst.some((one, i) => one.id !== right[i]!.id)) reordered++
      }),
      { numRuns: samples(200, 400), seed: 18 },
    )
    expect(moved).toBeGreaterThan(20)
    expect(reordered).toBeGreaterThan(20)
  })

  it('amounts to the same with a press made late as with the press in time', () => {
    let late = 0
    fc.assert(
      fc.property(presses, (pressed) => {
        const right = worked(pressed)
        const missed = right.filter(isMissable)
        const gaps = written(
          right.filter((event) => !isMissable(event)),
          ...missed.map(({ at: happenedAt, type, step }): Happening => ({
            type: 'enteredLate',
            happenedAt,
            what: { type, step } as Missed,
          })),
        )
        expect(outcome(gaps)).toEqual(outcome(right))
        late += missed.length
      }),
      { numRuns: samples(150, 300), seed: 18 },
    )
    expect(late).toBeGreaterThan(10)
  })

  it('goes on from a corrected state as a replay of the whole log does', () => {
    fc.assert(
      fc.property(presses, fc.nat(), fc.integer({ min: -200, max: 200 }), (pressed, which, seconds) => {
        const log = worked(pressed)
        const event = log[which % log.length]!
        const first = written(log, { type: 'corrected', eventId: event.id, right: { at: event.at + seconds * 1000 } })
        fc.pre(typeof outcome(first) === 'object')
        const more = written(first, { type: 'noted', text: 'on' }).at(-1)!
        const state = replay(SHEET, first)
        expect(advance(state, more)).toEqual(replay(SHEET, [...first, more]))
      }),
      { numRuns: 200, seed: 18 },
    )
    expect(emptyRun(SHEET).redo).toBeUndefined()
  }) // prettier-ignore

  it('is written in events that their schema knows', () => {
    const log = written(
      worked([[5, 'move']]),
      corrected(0, { at: at(0), drops: [{ component: 'iron', count: 2 }], drawn: [] }),
      { type: 'enteredLate', happenedAt: at(3), what: { type: 'looked', step: 'expose' } },
      { type: 'redone', eventId: uuid(1) },
    )
    expect(log.map((event) => SheetEvent.safeParse(event).error?.issues ?? [])).toEqual(log.map(() => []))
    const strange = { ...log.at(-2)!, what: { type: 'judged', verdict: 'keep' } }
    expect(SheetEvent.safeParse(strange).success).toBe(false)
  })
})
