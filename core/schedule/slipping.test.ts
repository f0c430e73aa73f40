import { workroom } from '../fixtures/workroom'
import { logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import { emptyRun } from '../run/runState'
import type { DayPlan } from '../schema/plan'
import { diaryOf } from './diary'
import { isOpen, slippingOf } from './slipping'

const MINUTE = 60_000
const base = workroom().records.plans[0]!
const moves = [
  ['mix', 0, 3], ['spread', 3, 5], ['dry', 5, 15], ['expose', 16, 24], ['wash', 25, 31], ['hang', 31, 32],
].map(([stepId, from, to]) => ({ sheetId: SHEET, stepId: String(stepId), from: T0 + Number(from) * MINUTE, to: T0 + Number(to) * MINUTE })) // prettier-ignore
const plan: DayPlan = { ...base, moves, endsAt: T0 + 32 * MINUTE }
const state = (count: number) => replay(SHEET, logOf(wholeJob.slice(0, count)))

describe('what slips', () => {
  it('is a sheet that nobody begins', () => {
    const [slip] = slippingOf(plan, [emptyRun(SHEET)], T0 + 10 * MINUTE)
    expect(slip).toEqual({ sheetId: SHEET, stepId: 'mix', seconds: 600, isWaiting: true })
  })

  it('is a step that waits past its time, or began late', () => {
    // Dry at 760 s; the frame was due at 16 min.
    expect(slippingOf(plan, [state(8)], T0 + 20 * MINUTE)[0]).toMatchObject({
      stepId: 'expose',
      seconds: 240,
      isWaiting: true,
    })
    const late = {
      ...plan,
      moves: moves.map((move) =>
        move.stepId === 'expose' ? { ...move, from: move.from - 5 * MINUTE } : move,
      ),
    }
    expect(slippingOf(late, [state(9)], T0 + 17 * MINUTE)[0]).toMatchObject({
      stepId: 'expose',
      seconds: 240,
      isWaiting: false,
    })
  })

  it('is nothing within two minutes, nothing ahead of the plan, and nothing that ran before it was made', () => {
    expect(slippingOf(plan, [emptyRun(SHEET)], T0 + 2 * MINUTE)).toEqual([])
    expect(slippingOf(plan, [state(9)], T0 + 16 * MINUTE)).toEqual([])
    const madeLater = {
      ...plan,
      madeAt: T0 + 20 * MINUTE,
      moves: moves.map((move) => ({ ...move, from: move.from - 10 * MINUTE })),
    }
    expect(slippingOf(madeLater, [state(9)], T0 + 21 * MINUTE)).toEqual([])
  })

  it('leaves out sheets that are not in the plan', () =>
    expect(slippingOf({ ...plan, sheetIds: [uuid(77)] }, [emptyRun(SHEET)], T0 + 9 * MINUTE)).toEqual([]))
})

describe('a plan', () => {
  it('is open until everything hangs, or it was ended', () => {
    expect(isOpen(plan, [emptyRun(SHEET)])).toBe(true)
    expect(isOpen(plan, [state(9)])).toBe(true)
    expect(isOpen(plan, [state(wholeJob.length)])).toBe(false)
    expect(isOpen({ ...plan, endedAt: T0 }, [emptyRun(SHEET)])).toBe(false)
  })
})

describe('the diary', () => {
  const looks = () => [
    { id: 'wet' as const, dueAfterSeconds: 0 },
    { id: 'dry' as const, dueAfterSeconds: 86_400 },
  ]
  const preparation = {
    kind: 'make' as const, id: 'citrate', what: 'Developer', beginBy: T0 - 60 * MINUTE, wantedAt: T0, because: 'hands' as const,
  } // prettier-ignore

  it('has preparations, the session, and looks reckoned from when each print will hang', () => {
    const entries = diaryOf(plan, [preparation], [emptyRun(SHEET)], looks)
    expect(entries.map((entry) => [entry.what.kind, entry.at])).toEqual([
      ['prepare', T0 - 60 * MINUTE],
      ['session', plan.startsAt],
      ['look', T0 + 31 * MINUTE + 86_400_000],
    ])
    expect(new Set(entries.map((entry) => entry.uid)).size).toBe(3)
  })

  it('reckons the looks of what hangs from when it was hung', () => {
    const hung = state(wholeJob.length)
    const entries = diaryOf(plan, [], [hung], looks).filter((entry) => entry.what.kind === 'look')
    expect(entries.map((entry) => entry.at)).toEqual([
      T0 + 1820 * 1000 + 86_400_000,
      T0 + 1820 * 1000 + 1_209_600_000,
    ])
  })

  it('names the same thing the same, so that a calendar replaces it', () => {
    const uids = (now: DayPlan) => diaryOf(now, [preparation], [], looks).map((entry) => entry.uid)
    expect(uids(plan)).toEqual(uids({ ...plan, endsAt: plan.endsAt + MINUTE }))
  })
})
