import { begun, logOf, plan, SHEET, T0, wholeJob } from '../fixtures/logs'
import type { Happening, PlannedStep } from '../schema/event'
import { nextThing } from '../schedule/nextThing'
import { elapsedSeconds, isHeld, momentAt } from './clock'
import { lifeOf } from './coatLife'
import { clocksOf, ledgeOf, ringsDue } from './deadlines'
import { replay } from './run'
import { threadOf } from './thread'

const at = (seconds: number) => T0 + seconds * 1000
const upTo = (count: number, sheetId = SHEET) => replay(sheetId, logOf(wholeJob.slice(0, count), sheetId))

describe('a clock', () => {
  const clock = { startedAt: at(0), holds: [{ from: at(60), to: at(90) }] }

  it.each([
    [30, 30],
    [75, 60],
    [100, 70],
    [-5, 0],
  ])('asked at %d s has run %d s', (now, ran) => expect(elapsedSeconds(clock, at(now))).toBe(ran))

  it('does not depend on how often it is asked', () => {
    for (let now = 0; now < 1000; now++) elapsedSeconds(clock, at(now))
    expect(elapsedSeconds(clock, at(86_400))).toBe(86_370)
  })

  it('names the moment it will be over, unless it is held', () => {
    expect(momentAt(clock, 480)).toBe(at(510))
    const held = { startedAt: at(0), holds: [{ from: at(60) }] }
    expect(isHeld(held)).toBe(true)
    expect(momentAt(held, 480)).toBeNull()
    expect(elapsedSeconds(held, at(5000))).toBe(60)
  })
})

describe('the ledge', () => {
  it('reads an exposure to its planned end', () => {
    const [clock] = clocksOf(upTo(9), at(1000))
    expect(clock).toMatchObject({
      kind: 'toEnd',
      elapsedSeconds: 100,
      remainingSeconds: 380,
      dueAt: at(1380),
      held: false,
    })
  })

  it('counts on past the end', () => {
    expect(clocksOf(upTo(9), at(2000))[0]?.remainingSeconds).toBe(480 - 1100)
  })

  it('shows the life of a dry coat until it goes under the light', () => {
    expect(clocksOf(upTo(8), at(800))[0]).toMatchObject({ kind: 'keeps', dueAt: at(100 + 7200) })
  })

  it('puts the nearest deadline first and a held clock last', () => {
    const other = (n: number) => SHEET.replace(/1$/, String(n))
    const states = [upTo(10, other(2)), upTo(14, other(3)), upTo(9, other(4)), upTo(8, other(5))]
    expect(ledgeOf(states, at(1550)).map((clock) => clock.sheetId)).toEqual([
      other(4),
      other(3),
      other(5),
      other(2),
    ])
  })
})

describe('the thread', () => {
  it('tells what happened, then what would follow', () => {
    const thread = threadOf(upTo(9), at(1000))
    expect(thread.map(({ stepId, place, ahead }) => `${stepId} ${place}${ahead ? ' ahead' : ''}`)).toEqual([
      'mix bench',
      'spread bench',
      'dry dark',
      'expose dark',
      'expose light',
      'expose light ahead',
      'wash water ahead',
      'hang line ahead',
    ])
    expect(thread.find((stretch) => stretch.ahead)).toMatchObject({ from: at(1000), to: at(1380) })
  })

  it('has neither gap nor overlap', () => {
    for (let count = 1; count <= wholeJob.length; count++) {
      const thread = threadOf(upTo(count), at(5000))
      for (const [i, stretch] of thread.entries()) {
        expect(stretch.to).toBeGreaterThanOrEqual(stretch.from)
        if (i) expect(stretch.from).toBe(thread[i - 1]!.to)
      }
    }
  })

  it('is nothing before work begins', () => {
    expect(threadOf(replay(SHEET, []), T0)).toEqual([])
    expect(threadOf(replay(SHEET, logOf([[0, begun]])), at(5))[0]).toMatchObject({
      stepId: 'mix',
      manner: 'hands',
    })
  })
})

describe('the life of a coat', () => {
  // Common practice, a second cyanotype layer: left about 3 h and never over 4 h before exposure.
  const steps = plan.map((step) =>
    step.id === 'dry'
      ? { ...step, keepsLeastSeconds: 3 * 3600, keepsBestSeconds: 3.5 * 3600, keepsSeconds: 4 * 3600 }
      : step,
  )
  const layered = { ...(begun as Extract<Happening, { type: 'begun' }>), steps }
  const dried = replay(SHEET, logOf([[0, layered], ...wholeJob.slice(1, 8)]))
  // The end of coating, however late anyone saw that the sheet was dry.
  const coatedAt = 100

  it('has a not before, a best until and a not after', () =>
    expect(lifeOf(dried)).toMatchObject({
      from: at(coatedAt),
      notBefore: at(coatedAt + 3 * 3600),
      bestUntil: at(coatedAt + 3.5 * 3600),
      notAfter: at(coatedAt + 4 * 3600),
    }))

  it('rests first, and is not the next thing meanwhile; then it is, and its end runs', () => {
    const kinds = (seconds: number) => clocksOf(dried, at(seconds)).map((clock) => clock.kind)
    expect(kinds(coatedAt + 3600)).toEqual(['rests', 'keeps'])
    expect(nextThing([dried], at(coatedAt + 3600)).kind).not.toBe('ready')
    expect(kinds(coatedAt + 3.2 * 3600)).toEqual(['keeps'])
    expect(nextThing([dried], at(coatedAt + 3.2 * 3600))).toMatchObject({ kind: 'ready', wordsId: 'expose' })
    expect(clocksOf(dried, at(coatedAt + 4.1 * 3600))[0]?.remainingSeconds).toBeCloseTo(-360, 6)
  })

  it('counts through a second wait, such as humidifying, and limits the exposure after it', () => {
    const damp: PlannedStep = {
      id: 'humidify',
      station: 'coat',
      place: 'dark',
      kind: 'wait',
      begins: 'press',
    }
    const three = steps.flatMap((step) => (step.id === 'dry' ? [step, damp] : [step]))
    const state = replay(
      SHEET,
      logOf([
        [0, { ...layered, steps: three }],
        ...wholeJob.slice(1, 8),
        [1000, { type: 'stepStarted', step: 'humidify' }],
        [1600, { type: 'stepFinished', step: 'humidify' }],
      ]),
    )
    expect(lifeOf(state)).toMatchObject({ from: at(coatedAt), notAfter: at(coatedAt + 4 * 3600) })
  })

  it('is nothing where nothing waits, or it keeps for good', () => {
    expect(lifeOf(upTo(9))).toBeNull()
    expect(lifeOf(replay(SHEET, logOf([[0, begun]])))).toBeNull()
  })
})

describe('a clock that no one answers', () => {
  it.each([
    [0, 1],
    [29, 1],
    [30, 2],
    [60, 3],
    [300, 6],
    [599, 6],
    [600, 7],
    [3600, 17],
  ])('has been heard after %d s %d times', (over, times) => expect(ringsDue(over)).toBe(times))
})
