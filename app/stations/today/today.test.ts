import { replay } from '@core/run/run'
import { emptyRun } from '@core/run/runState'
import { plannedThread, threadOf } from '@core/run/thread'
import { nextThing } from '@core/schedule/nextThing'
import { sheet } from '@core/fixtures/workroom'
import { logOf, T0, uuid, wholeJob } from '@core/fixtures/logs'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import type { SheetInRoom } from '../../state/workroom.store'
import { stepNamed } from './stepNamed'
import { layOutDay, type DayThread } from './threadLayout'
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
    [0, 0, 'Sheet 7 waits for its coat'],
    [1, 1, 'Count the drops for sheet 7'],
    [6, 60, 'Wait: sheet 7 is being coated'],
    [6, 200, 'Look at sheet 7: coat the sheet'],
    [7, 800, 'Look at sheet 7: dry in the dark'],
    [8, 800, 'Sheet 7 is ready for the frame'],
    [9, 1000, 'Wait: sheet 7 is exposing'],
    [9, 2000, 'Take sheet 7 out of the frame'],
    [13, 1480, 'Sheet 7: into the water'],
    [14, 1600, 'Wait: sheet 7 is washing'],
    [16, 90_000, 'Judge sheet 7, it has hung a day'],
    [16, 1_300_000, 'See how sheet 7 has settled'],
    [16, 5000, 'Nothing is wet and nothing waits'],
  ])('after %d events, at %d s, is “%s”', (count, seconds, words) => {
    expect(say(inRoom(count, 7), seconds)).toBe(words)
  })
})

describe('the line above it', () => {
  it('counts what is at work, on the line and planned', () => {
    expect(dayLine([inRoom(9, 1), inRoom(14, 2), inRoom(16, 3), inRoom(0, 4)])).toBe(
      '2 at work, 1 on the line, 1 planned',
    )
    expect(dayLine([])).toBe('no sheet at work')
  })
})

describe('layOutDay', () => {
  const size = { width: 800, height: 560 }
  const thread = (count: number, n: number, now: number): DayThread => ({
    sheetId: uuid(n),
    number: n,
    mark: 'prussian',
    stretches: threadOf(inRoom(count, n).state, now),
  })
  const label = () => 'words'

  it('keeps everything on the page, time running down', () => {
    const now = at(1000)
    const layout = layOutDay([thread(9, 1, now), thread(8, 2, now), thread(6, 3, now)], now, size, label)
    for (const drawn of layout.threads)
      for (const stretch of drawn.stretches) {
        expect(stretch.y2).toBeGreaterThanOrEqual(stretch.y1)
        expect(stretch.y1).toBeGreaterThanOrEqual(0)
        expect(stretch.y2).toBeLessThanOrEqual(size.height)
        expect(stretch.x).toBeGreaterThan(0)
        expect(stretch.x).toBeLessThan(size.width)
      }
    expect(layout.hours.map(({ y }) => y)).toEqual([...layout.hours.map(({ y }) => y)].sort((a, b) => a - b))
  })

  it('draws what happened above the present and what lies ahead below it', () => {
    const now = at(1000)
    const layout = layOutDay([thread(9, 1, now)], now, size, label)
    for (const stretch of layout.threads[0]!.stretches) {
      if (stretch.ahead) expect(stretch.y1).toBeGreaterThanOrEqual(layout.nowY - 0.001)
      else expect(stretch.y2).toBeLessThanOrEqual(layout.nowY + 0.001)
    }
  })

  it('gives sheets that lie in one place at one time a lane each', () => {
    const now = at(300)
    const layout = layOutDay([thread(7, 1, now), thread(7, 2, now), thread(7, 3, now)], now, size, label)
    const dark = layout.threads.map(
      (drawn) => drawn.stretches.find((stretch) => !stretch.ahead && stretch.manner === 'alone')!.x,
    )
    expect(new Set(dark).size).toBe(3)
  })

  it('never writes two labels over each other', () => {
    const now = at(300)
    const layout = layOutDay([thread(7, 1, now), thread(7, 2, now), thread(7, 3, now)], now, size, label)
    const labels = layout.threads.flatMap((drawn) => drawn.stretches.filter((stretch) => stretch.label))
    for (const [i, a] of labels.entries())
      for (const b of labels.slice(i + 1))
        expect(Math.abs(a.x - b.x) > 60 || Math.abs(a.y1 - b.y1) >= 15).toBe(true)
    expect(labels.length).toBeGreaterThan(0)
  })

  it('lets a coat that waits since yesterday come in from the top edge', () => {
    const now = at(86_400)
    const layout = layOutDay([thread(8, 1, now)], now, size, label)
    expect(layout.threads[0]!.stretches[0]!.y1).toBeLessThan(60)
    expect(layout.nowY).toBeGreaterThan(60)
  })

  it('is an empty page for an empty room', () => {
    const layout = layOutDay([], at(0), size, label)
    expect(layout.threads).toEqual([])
    expect(layout.columns.map(({ title }) => title)).toEqual([
      'Bench',
      'Dark drawer',
      'Light',
      'Water',
      'Line',
    ])
  })
})

describe('the day by a plan', () => {
  const size = { width: 800, height: 560 }
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

  it('draws as far ahead as the plan goes, with the hands beside it, and knows what a pixel is', () => {
    const threads = [
      { sheetId: uuid(1), number: 1, mark: 'prussian', stretches: plannedThread(planned, due, now) },
    ]
    const endsAt = now + 180 * MINUTE
    const hands = [{ from: now + 19 * MINUTE, to: now + 20 * MINUTE, mark: 'prussian' }]
    const layout = layOutDay(threads, now, size, () => null, { hands, endsAt })
    expect(layout.hands).toHaveLength(1)
    const [first] = layout.threads[0]!.stretches.filter((stretch) => stretch.planId)
    expect(first).toMatchObject({ stepId: 'expose', planId: 'expose', from: now + 20 * MINUTE })
    expect((first!.y1 - layout.nowY) * layout.millisecondsPerPixel).toBeCloseTo(20 * MINUTE, -3)
    // Without a plan nothing can be moved.
    const free = layOutDay(
      threads.map((one) => ({ ...one, stretches: threadOf(planned, now) })),
      now,
      size,
      () => null,
    )
    expect(free.threads[0]!.stretches.every((stretch) => stretch.planId === null)).toBe(true)
    expect(free.hands).toEqual([])
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
