import 'fake-indexeddb/auto'
import { begun, SHEET, T0, wholeJob } from '@core/fixtures/logs'
import { replay } from '@core/run/run'
import type { Happening } from '@core/schema/event'
import type * as db from './db'
import type * as log from './log'
import type * as standings from './runStates'
import type * as holdings from './holdings'

// The workroom asks the page which one it is, so there has to be a page before it is loaded.
Object.assign(globalThis, { document: { querySelector: () => null, addEventListener: () => undefined } })

let data: typeof db & typeof log & typeof standings & typeof holdings
beforeAll(async () => {
  data = {
    ...(await import('./db')),
    ...(await import('./log')),
    ...(await import('./runStates')),
    ...(await import('./holdings')),
  }
})
beforeEach(() => data.clearRecords(data.db))
afterEach(() => jest.restoreAllMocks())

const drop: Happening = { type: 'dropped', component: 'iron', change: 1 }
const stateOf = (id = SHEET) => data.stateIn(data.db, id)
const refusing = (code: string) => expect.objectContaining({ code })
const setTime = (at: number) => jest.spyOn(Date, 'now').mockReturnValue(at)

describe('append', () => {
  it('writes the event and what it amounts to in one go', async () => {
    setTime(T0)
    const state = await data.append(SHEET, begun)
    expect(state.begunAt).toBe(T0)
    expect(await data.logOf(SHEET)).toMatchObject([{ type: 'begun', index: 0, at: T0, sheetId: SHEET }])
    expect(await stateOf()).toEqual(state)
  })

  it('writes nothing when it is refused', async () => {
    await data.append(SHEET, begun)
    await expect(data.append(SHEET, { type: 'stepStarted', step: 'wash' })).rejects.toThrow(
      refusing('other-step'),
    )
    expect(await data.logOf(SHEET)).toHaveLength(1)
    expect((await stateOf())?.length).toBe(1)
  })

  it('writes nothing that the schema does not know', async () => {
    await expect(data.append(SHEET, { ...begun, steps: [] } as Happening)).rejects.toThrow()
    expect(await data.logOf(SHEET)).toEqual([])
  })

  it('stamps the moment of the press, not of the writing', async () => {
    setTime(T0)
    const pressed = data.append(SHEET, begun)
    setTime(T0 + 5000)
    await pressed
    expect((await data.logOf(SHEET))[0]?.at).toBe(T0)
  })

  it('never goes back in time when the system clock does', async () => {
    setTime(T0 + 60_000)
    await data.append(SHEET, begun)
    setTime(T0)
    await data.append(SHEET, drop)
    expect((await data.logOf(SHEET)).map((event) => event.at)).toEqual([T0 + 60_000, T0 + 60_000])
  })

  it('keeps the order of many presses that do not wait for each other', async () => {
    await data.append(SHEET, begun)
    await Promise.all(Array.from({ length: 12 }, () => data.append(SHEET, drop)))
    expect((await data.logOf(SHEET)).map((event) => event.index)).toEqual(
      Array.from({ length: 13 }, (_, i) => i),
    )
    expect((await stateOf())?.steps[0]?.drops.iron).toBe(12)
  })

  it('lets one of two contradicting presses win and refuses the other', async () => {
    for (const [, what] of wholeJob.slice(0, 9)) await data.append(SHEET, what)
    const both = await Promise.allSettled([
      data.append(SHEET, { type: 'looked', step: 'expose' }),
      data.append(SHEET, { type: 'looked', step: 'expose' }),
    ])
    expect(both.map((one) => one.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect((await stateOf())?.steps[3]?.holds).toHaveLength(1)
  })
})

describe('undo', () => {
  it('takes back the last thing, and the log keeps both', async () => {
    await data.append(SHEET, begun)
    await data.append(SHEET, drop)
    const state = await data.undo(SHEET)
    expect(state.steps[0]?.drops.iron).toBe(0)
    expect((await data.logOf(SHEET)).map((event) => event.type)).toEqual(['begun', 'dropped', 'undone'])
  })

  it('goes on after an undo as if nothing had been', async () => {
    await data.append(SHEET, begun)
    await data.append(SHEET, drop)
    await data.undo(SHEET)
    await data.append(SHEET, drop)
    await data.append(SHEET, drop)
    expect((await stateOf())?.steps[0]?.drops.iron).toBe(2)
  })

  it('says so when there is nothing to take back', async () => {
    await expect(data.undo(SHEET)).rejects.toThrow(refusing('nothing-to-undo'))
    await data.append(SHEET, begun)
    await data.undo(SHEET)
    await expect(data.undo(SHEET)).rejects.toThrow(refusing('nothing-to-undo'))
  })
})

describe('redo', () => {
  it('brings back what was undone, and says so when there is nothing', async () => {
    await data.append(SHEET, begun)
    await expect(data.redo(SHEET)).rejects.toThrow(refusing('nothing-to-redo'))
    await data.append(SHEET, drop)
    expect((await data.undo(SHEET)).redo).toMatchObject({ type: 'dropped' })
    const state = await data.redo(SHEET)
    expect(state.steps[0]?.drops.iron).toBe(1)
    expect(state).toEqual(replay(SHEET, await data.logOf(SHEET)))
    await expect(data.redo(SHEET)).rejects.toThrow(refusing('nothing-to-redo'))
  })
})

describe('amend', () => {
  const at = (seconds: number) => T0 + seconds * 1000
  const worked = async () => {
    for (const [seconds, what] of wholeJob) await data.append(SHEET, what, at(seconds))
    setTime(at(5000))
    return data.logOf(SHEET)
  }
  const moved = (eventId: string, seconds: number): Happening => ({
    type: 'corrected',
    eventId,
    right: { at: at(seconds) },
  })

  it('writes corrections that only fit together', async () => {
    const log = await worked()
    const [exposed, washed] = [log[12]!, log[13]!]
    // The end of the exposure after the start of the wash is only right once that start is right as well.
    await expect(data.amend(SHEET, [moved(exposed.id, 1550)])).rejects.toThrow(refusing('does-not-fit'))
    const state = await data.amend(SHEET, [moved(exposed.id, 1550), moved(washed.id, 1580)])
    expect([state.steps[3]?.finishedAt, state.steps[4]?.startedAt]).toEqual([at(1550), at(1580)])
    expect(await stateOf()).toEqual(state)
  })

  it('is undone at once, and redone at once', async () => {
    const log = await worked()
    const before = await stateOf()
    const state = await data.amend(SHEET, [moved(log[12]!.id, 1450), moved(log[13]!.id, 1480)])
    const steps = (one: typeof before) => one?.steps
    expect(steps(await data.undo(SHEET))).toEqual(steps(before))
    expect(steps(await data.redo(SHEET))).toEqual(steps(state))
    // One more undo takes the correction, the next one the work before it, one press.
    await data.undo(SHEET)
    expect((await data.undo(SHEET)).steps[4]?.status).toBe('running')
  })

  it('writes nothing where one of them does not fit, and says what to check', async () => {
    const log = await worked()
    await expect(data.amend(SHEET, [moved(log[13]!.id, 1550), moved(log[12]!.id, 1700)])).rejects.toThrow(
      /every step starts after the step before it has ended/,
    )
    await expect(data.amend(SHEET, [moved(log[13]!.id, 9999)])).rejects.toThrow(refusing('not-yet'))
    expect(await data.logOf(SHEET)).toEqual(log)
  })
})
