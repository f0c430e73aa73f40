import { replay } from '@core/run/run'
import { emptyRun, stepInHand, wordsIdOf } from '@core/run/runState'
import { plannedThread, threadOf } from '@core/run/thread'
import { nextThing } from '@core/schedule/nextThing'
import { sheet } from '@core/fixtures/workroom'
import { logOf, T0, uuid, wholeJob } from '@core/fixtures/logs'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import type { SheetInRoom } from '../../state/workroom.store'
import { stepNamed } from './stepNamed'
import { doneSince, roomNow, runningOrder, type SheetThread } from './runningOrder'
import { dayLine, headline } from './todayWords'

const at = (seconds: number) => T0 + seconds * 1000
const inRoom = (count: number, n: number): SheetInRoom => ({
  sheet: { ...sheet, id: uuid(n), number: n },
  state: count ? replay(uuid(n), logOf(wholeJob.slice(0, count), uuid(n))) : emptyRun(uuid(n)),
  definition: classicCyanotype,
})

describe('the headline', () => {
  const say = (one: SheetInRoom, seconds: number) =>
    headline(nextThing([one.state], at(seconds)), (id) =>
      id === one.sheet.id
        ? { ...one, id, name: `Sheet ${one.sheet.number}`, title: one.sheet.title }
        : undefined,
    )

  it.each([
    [0, 0, 'Coat sheet 7'],
    [1, 1, 'Count the drops for sheet 7'],
    [6, 60, 'Wait: sheet 7 is being coated'],
    [6, 200, 'Check sheet 7: coat the sheet'],
    [7, 800, 'Check sheet 7: dry in the dark'],
    [8, 800, 'Sheet 7 is ready to expose'],
    [9, 1000, 'Wait: sheet 7 is exposing'],
    [9, 2000, 'Sheet 7: exposure done'],
    [13, 1480, 'Sheet 7: start wash'],
    [14, 1600, 'Wait: sheet 7 is washing'],
    [16, 90_000, 'Dry check of sheet 7'],
    [16, 1_300_000, 'Two-week check of sheet 7'],
    [16, 5000, 'Nothing needs you now'],
  ])('after %d events, at %d s, is “%s”', (count, seconds, words) => {
    expect(say(inRoom(count, 7), seconds)).toBe(words)
  })
})

describe('the line above it', () => {
  it('counts what is at work, on the line and planned', () => {
    expect(dayLine([inRoom(9, 1), inRoom(14, 2), inRoom(16, 3), inRoom(0, 4)])).toBe(
      '2 in progress, 1 drying, 1 planned',
    )
    expect(dayLine([])).toBe('no sheet in progress')
  })
})

describe('the running order', () => {
  const thread = (count: number, n: number, now: number): SheetThread => {
    const one = inRoom(count, n)
    const step = stepInHand(one.state)
    return {
      sheetId: uuid(n),
      number: n,
      title: `Picture ${n}`,
      mark: 'prussian',
      stretches: threadOf(one.state, now),
      runningStepId: step?.startedAt === undefined ? null : wordsIdOf(step.planned),
    }
  }
  const cuesAt = (now: number, ...counts: number[]) =>
    runningOrder(
      counts.map((count, i) => thread(count, i + 1, now)),
      now,
    )

  it('begins with what is ready now, and says the rest in order of time', () => {
    const now = at(800)
    const rows = cuesAt(now, 8, 7)
    const cues = rows.filter((row) => row.kind === 'cue')
    expect(cues[0]).toMatchObject({ number: 1, stepId: 'expose', isNow: true, planId: null })
    expect(cues.map((cue) => cue.at)).toEqual([...cues.map((cue) => cue.at)].sort((a, b) => a - b))
    // What already runs is not to be started again.
    expect(cues.some((cue) => cue.number === 2 && cue.stepId === 'dry')).toBe(false)
  })

  it('takes counting and coating as one', () => {
    const cues = cuesAt(at(1), 1).filter((row) => row.kind === 'cue')
    expect(cues.map((cue) => cue.stepId)).not.toContain('spread')
  })

  it('says how long nothing needs hands, where that is five minutes or more', () => {
    const now = at(1000)
    const rows = cuesAt(now, 9)
    const first = rows.findIndex((row) => row.kind === 'cue')
    const cue = rows[first] as { at: number }
    expect(rows[first - 1]).toMatchObject({ kind: 'gap', seconds: (cue.at - now) / 1000 })
    expect(cue.at - now).toBeGreaterThan(300_000)
    for (const [i, row] of rows.entries())
      if (row.kind === 'gap') {
        expect(row.seconds).toBeGreaterThanOrEqual(300)
        expect(rows[i + 1]?.kind).toBe('cue')
      }
  })

  it('has nothing to say of an empty room', () => {
    expect(runningOrder([], at(0))).toEqual([])
    expect(doneSince([], at(0))).toEqual([])
    expect(roomNow([]).map(({ title, sheetIds }) => [title, sheetIds.length])).toEqual([
      ['Bench', 0],
      ['Dark drawer', 0],
      ['Light', 0],
      ['Water', 0],
      ['Drying line', 0],
    ])
  })

  it('knows where every sheet is, each in one place', () => {
    const now = at(1000)
    const room = roomNow([thread(9, 1, now), thread(7, 2, now), thread(14, 3, now)])
    expect(Object.fromEntries(room.map(({ place, sheetIds }) => [place, sheetIds]))).toEqual({
      bench: [],
      dark: [uuid(2)],
      light: [uuid(1)],
      water: [uuid(3)],
      line: [],
    })
  })

  it('keeps what was finished apart, the latest first, and what still runs out of it', () => {
    const now = at(1000)
    const done = doneSince([thread(9, 1, now)], at(0))
    expect(done.map((step) => step.stepId)).not.toContain('expose')
    expect(done.length).toBeGreaterThan(1)
    expect(done.map((step) => step.at)).toEqual([...done.map((step) => step.at)].sort((a, b) => b - a))
    expect(doneSince([thread(9, 1, now)], at(1000))).toEqual([])
  })
})

describe('the day by a plan', () => {
  const MINUTE = 60_000
  const planned = inRoom(8, 1).state
  const step = (id: string) => planned.steps.find((one) => one.planned.id === id)!.planned
  const now = at(1000)
  const due = [
    { planned: step('expose'), from: now + 20 * MINUTE, to: now + 28 * MINUTE },
    { planned: step('wash'), from: now + 30 * MINUTE, to: now + 36 * MINUTE },
  ]

  it('lies ahead as it was planned, waiting between', () => {
    const ahead = plannedThread(planned, due, now).filter((stretch) => stretch.ahead)
    expect(
      ahead.map((stretch) => [
        stretch.stepId,
        stretch.manner,
        (stretch.from - now) / MINUTE,
        (stretch.to - now) / MINUTE,
      ]),
    ).toEqual([
      ['expose', 'waits', 0, 20],
      ['expose', 'alone', 20, 28],
      ['wash', 'waits', 28, 30],
      ['wash', 'hands', 30, 36],
    ])
  })

  it('is pushed on by what is late', () => {
    const late = now + 25 * MINUTE
    const ahead = plannedThread(planned, due, late).filter((stretch) => stretch.ahead)
    expect(ahead.map((stretch) => (stretch.to - late) / MINUTE)).toEqual([8, 14])
  })

  it('shows what a sheet that has not begun will do', () => {
    const ahead = plannedThread(emptyRun(uuid(4)), due, now)
    expect(ahead.map((stretch) => stretch.place)).toEqual(['light', 'light', 'water'])
  })

  it('gives cues that can be moved, each by its step of the plan', () => {
    const of = { sheetId: uuid(1), number: 1, title: 'Picture', mark: 'prussian', runningStepId: null }
    const rows = runningOrder([{ ...of, stretches: plannedThread(planned, due, now) }], now)
    expect(rows).toMatchObject([
      { kind: 'gap', seconds: 20 * 60 },
      { kind: 'cue', stepId: 'expose', planId: 'expose', at: now + 20 * MINUTE, isNow: false, seconds: 480 },
      { kind: 'gap', seconds: 10 * 60 },
      { kind: 'cue', stepId: 'wash', planId: 'wash', at: now + 30 * MINUTE },
    ])
    // Without a plan nothing can be moved.
    const free = runningOrder([{ ...of, stretches: threadOf(planned, now) }], now)
    expect(free.every((row) => row.kind === 'gap' || row.planId === null)).toBe(true)
  })
})

describe('the words for a step of a plan', () => {
  it('are its own, or the first coat’s for a later one, whether or not work has begun', () => {
    expect(stepNamed(inRoom(0, 1), 'spread')?.title).toBe('Coat the sheet')
    expect(stepNamed(inRoom(0, 1), 'spread-2')?.title).toBe('Coat the sheet')
    expect(stepNamed(inRoom(8, 1), 'wash')?.title).toBe('Wash')
    expect(stepNamed(inRoom(8, 1), 'nothing')).toBeUndefined()
    expect(stepNamed(undefined, 'wash')).toBeUndefined()
  })
})
