import fc from 'fast-check'
import { begun, logOf, plan, T0, uuid, wholeJob } from '../fixtures/logs'
import type { Happening, PlannedStep, SheetEvent } from '../schema/event'
import { checkUnder, coveredIds, dryForLayerAt, layersWithin, stacksOf } from './layers'
import { nextMove } from './nextMove'
import { advance, replay } from './run'
import { emptyRun, type RunState } from './runState'
import { hungAtOf } from './place'

const layer = (id: number, over?: number) => ({
  sheet: { id: uuid(id), ...(over !== undefined && { over: uuid(over) }) },
  state: { begunAt: T0 as number | null },
})

describe('layers over each other', () => {
  const sheets = [layer(3, 2), layer(1), layer(9), layer(2, 1)]

  it('are one stack, lowest first, whichever is named', () => {
    for (const id of [1, 2, 3]) expect(stacksOf(sheets)(uuid(id))).toEqual([1, 2, 3].map(uuid))
    expect(stacksOf(sheets)(uuid(9))).toEqual([uuid(9)])
    // One list for all of them: thousands of layers ask for it.
    const stack = stacksOf(sheets)
    expect(stack(uuid(3))).toBe(stack(uuid(1)))
  })

  it('end where one is missing, and do not run in a ring', () => {
    expect(stacksOf([layer(2, 1)])(uuid(2))).toEqual([uuid(2)])
    expect(stacksOf([layer(1, 2), layer(2, 1)])(uuid(1))).toHaveLength(2)
  })

  it('cover what lies under them, once they are begun', () => {
    expect([...coveredIds(sheets)].sort()).toEqual([uuid(1), uuid(2)])
    const planned = [layer(1), { ...layer(2, 1), state: { begunAt: null } }]
    expect(coveredIds(planned).size).toBe(0)
  })
})

describe('what a layer lies on', () => {
  const code = (under: RunState | undefined, now: number) => {
    try {
      checkUnder(under, now)
      return 'may begin'
    } catch (error) {
      return (error as { code: string }).code
    }
  }
  const hung = replay(uuid(1), logOf(wholeJob, uuid(1)))
  const hungAt = hungAtOf(hung)!

  it('has to hang, and to be dry', () => {
    expect(code(undefined, hungAt)).toBe('not-hung')
    expect(code(replay(uuid(1), logOf(wholeJob.slice(0, 9), uuid(1))), hungAt)).toBe('not-hung')
    expect(dryForLayerAt(hung)).toBe(hungAt + 3_600_000)
    expect(code(hung, hungAt + 3_599_000)).toBe('damp')
    expect(code(hung, hungAt + 3_600_000)).toBe('may begin')
  })

  it('is dry when it is said to be', () => {
    const said = replay(
      uuid(1),
      logOf([...wholeJob, [2000, { type: 'stepFinished', step: 'hang' }]], uuid(1)),
    )
    expect(code(said, T0 + 2_000_000)).toBe('may begin')
  })

  it('is not there when it was set aside', () => {
    const aside = replay(uuid(1), logOf([...wholeJob, [2000, { type: 'setAside', reason: 'torn' }]], uuid(1)))
    expect(code(aside, T0 + 9e9)).toBe('not-hung')
  })
})

/** Coat, dry, expose, wash; twice in one log. */
const once = (suffix: string): PlannedStep[] =>
  plan
    .filter((step) => step.kind !== 'hang')
    .map((step) => ({ ...step, id: `${step.id}-${suffix}`, begins: 'press' }))
const twoLayers: PlannedStep[] = [...once('a'), ...once('b'), plan.at(-1)!]

describe('layers within one log', () => {
  it('begin anew at the coat after an exposure', () => {
    const state = replay(uuid(1), logOf([[0, { ...begun, steps: twoLayers } as Happening]]))
    expect(layersWithin(state)).toEqual([
      { from: 0, to: 5, isDone: false },
      { from: 5, to: 11, isDone: false },
    ])
    expect(layersWithin(replay(uuid(1), logOf(wholeJob)))).toHaveLength(1)
  })

  // Whatever the hands do, a step is never skipped, the first layer is done before the second begins, and the whole log
  // replays to the same state.
  it('keep their order under random hands', () => {
    const move = fc.constantFrom('move', 'move', 'move', 'water', 'look', 'undo', 'wrong', 'note')
    fc.assert(
      fc.property(fc.array(move, { maxLength: 60 }), (moves) => {
        const log: SheetEvent[] = []
        let state = emptyRun(uuid(1))
        for (const [n, what] of moves.entries()) {
          const at = T0 + n * 60_000
          const inHand = state.steps[state.current]?.planned.id ?? 'none'
          const happening: Happening | null =
            state.begunAt === null
              ? ({ ...begun, steps: twoLayers } as Happening)
              : what === 'water'
                ? { type: 'waterChanged', step: inHand }
                : what === 'look'
                  ? { type: 'looked', step: inHand }
                  : what === 'wrong'
                    ? { type: 'stepStarted', step: twoLayers[(n * 7) % twoLayers.length]!.id }
                    : what === 'note'
                      ? { type: 'noted', text: 'x' }
                      : what === 'undo'
                        ? state.last && { type: 'undone', eventId: state.last.id }
                        : nextMove(state, at)
          if (!happening) continue
          const event = {
            ...happening,
            id: uuid(100 + log.length),
            sheetId: uuid(1),
            index: log.length,
            at,
          } as SheetEvent
          try {
            state = event.type === 'undone' ? replay(uuid(1), [...log, event]) : advance(state, event)
            log.push(event)
          } catch (error) {
            expect((error as { code?: string }).code).toMatch(/\w/)
          }
          const done = state.steps.map((step) => step.status === 'done')
          expect(done.indexOf(false) === -1 ? done.length : done.indexOf(false)).toBe(state.current)
          expect(done.slice(state.current).some(Boolean)).toBe(false)
          const [first, second] = state.begunAt === null ? [] : layersWithin(state)
          if (second && state.current > second.from) expect(first!.isDone).toBe(true)
        }
        expect(replay(uuid(1), log)).toEqual(state)
      }),
      { numRuns: 60 },
    )
  })
})
