import { advance } from '@core/run/run'
import { T0, uuid } from '@core/fixtures/logs'
import type { SheetEvent } from '@core/schema/event'
import { needsInTime, papersToTreat, coatsAlike, lampsToLight, costOfSession } from '@core/schedule/needs'
import { preparationsFor } from '@core/schedule/preparation'
import { solved, whyNone, whyRefused } from '@core/schedule/reasons'
import { sessionOf } from '@core/schedule/session'
import { bookingsOf } from '@core/schedule/bookings'
import { substances } from './index'
import { MINUTE, LAMP, planned, workedTo, input, EFFORT, planOf, moveOf } from './session.fixture'

describe('a session', () => {
  const day = [
    planned(1, 'classic-cyanotype'),
    planned(2, 'kallitype'),
    planned(3, 'salted-paper'),
    planned(4, 'classic-cyanotype'),
  ]
  const { made, found, moves } = planOf(input(day))

  it('has every step of every sheet, to the line', () => {
    for (const one of day)
      expect(moves.filter((move) => move.sheetId === one.sheet.id).map((move) => move.stepId)).toEqual(
        one.outline
          .slice(0, one.outline.findIndex((step) => step.kind === 'hang') + 1)
          .map((step) => step.id),
      )
  })

  it('has one pair of hands and one sheet under the lamp', () => {
    for (const { name, capacity, spans } of bookingsOf(made, found.times!))
      if (capacity === 1)
        for (const [i, span] of spans.slice(1).entries())
          expect([name, span.from >= spans[i]!.to]).toEqual([name, true])
  })

  it('takes prints from the frame straight to the bath, and prints coats within their life', () => {
    const dry = moveOf(moves, 3, 'dry')
    const expose = moveOf(moves, 3, 'expose')
    expect(expose.from - dry.to).toBeLessThanOrEqual(6 * 3_600_000)
    expect(moveOf(moves, 3, 'wash').from - expose.to).toBeLessThanOrEqual(5 * MINUTE)
  })

  it('is shorter than one sheet after the other, and no shorter than its bound', () => {
    const alone = day.map((one) => solved(input([one]), EFFORT).length)
    expect(found.length).toBeLessThan(alone.reduce((sum, length) => sum + length, 0))
    expect(found.length).toBeGreaterThanOrEqual(Math.max(...alone))
    expect(found.bound).toBeLessThanOrEqual(found.length)
  })

  it('holds the second layer of a cyanotype for three hours and never over four', () => {
    const two = planOf(input([planned(1, 'two-layer-cyanotype')])).moves
    const waited = moveOf(two, 1, 'expose-second').from - moveOf(two, 1, 'dry-second').from
    expect(waited / 3_600_000).toBeGreaterThanOrEqual(3)
    expect(waited / 3_600_000).toBeLessThanOrEqual(4)
  })

  it('coats sheets of one glass after its count, and a layer over a print that hangs dry', () => {
    const batch = { id: uuid(700), of: 2 }
    const first = planned(1, 'classic-cyanotype', { batch: { ...batch, place: 1 } })
    const other = planned(2, 'classic-cyanotype', { batch: { ...batch, place: 2 } })
    const gum = planned(3, 'gum-over', { over: uuid(1) })
    const plan = planOf(input([other, gum, first])).moves
    expect(moveOf(plan, 2, 'spread').from).toBeGreaterThanOrEqual(moveOf(plan, 1, 'mix').to)
    expect(moveOf(plan, 3, 'mix-size').from).toBeGreaterThanOrEqual(moveOf(plan, 1, 'hang').to + 3600_000)
    expect(plan.some((move) => move.sheetId === uuid(2) && move.stepId === 'mix')).toBe(false)
  })
})

describe('the light', () => {
  it('has as many frames in the sun as there are, and under a lamp as fit', () => {
    const pair = [1, 2].map((n) => planned(n, 'classic-cyanotype', { exposureSeconds: 3600 }))
    const lamp = solved(input(pair), EFFORT).length
    const sun = solved(input(pair.map((one) => ({ ...one, isSun: true }))), EFFORT).length
    expect(lamp).toBeGreaterThan(2 * 3600)
    expect(sun).toBeLessThan(2 * 3600)
  })
})

describe('a layer over a print that hangs already', () => {
  it('waits until that is dry', () => {
    const gum = { ...planned(3, 'gum-over', { over: uuid(50) }), notBefore: T0 + 40 * MINUTE }
    expect(moveOf(planOf(input([gum])).moves, 3, 'mix-size').from).toBe(T0 + 40 * MINUTE)
  })
})

describe('a session in its midst', () => {
  it('goes on from where each sheet lies', () => {
    const { one, now } = workedTo(planned(1, 'classic-cyanotype'), 'wash')
    const started = one.state.steps[one.state.current]!
    expect(started.status).toBe('waiting')
    const plan = planOf(input([one, planned(2, 'classic-cyanotype')], { from: now })).moves
    expect(plan.filter((move) => move.sheetId === uuid(1)).map((move) => move.stepId)).toEqual([
      'wash',
      'hang',
    ])
    expect(moveOf(plan, 1, 'wash').from).toBeLessThanOrEqual(now + 5 * MINUTE)
  })

  it('lets what runs run on for what is left of it', () => {
    const { one, now } = workedTo(planned(1, 'classic-cyanotype'), 'dry')
    const plan = planOf(input([one], { from: now + 4 * MINUTE })).moves
    expect(moveOf(plan, 1, 'dry')).toMatchObject({ from: now + 4 * MINUTE, to: now + 10 * MINUTE })
  })

  it('keeps a coat’s window, and says when it is over', () => {
    const { one, now } = workedTo(planned(1, 'salted-paper', { choices: { salting: 'already' } }), 'expose')
    const inTime = sessionOf(input([one], { from: now + 3_600_000 }))
    expect(inTime.spent).toEqual([])
    // Coated a minute before it was found dry.
    expect(inTime.problem.jobs[0]![0]!.notAfter).toBe(5 * 3600 - 60)
    const late = sessionOf(input([one], { from: now + 7 * 3_600_000 }))
    expect(late.spent).toEqual([{ sheetId: uuid(1), stepId: 'expose' }])
    expect(solved(input([one], { from: now + 7 * 3_600_000 }), EFFORT).times).not.toBeNull()
  })

  it('bears more sheets in a tray than there should be, where they lie there already', () => {
    const made = [1, 2].map((n) => workedTo(planned(n, 'kallitype'), 'develop'))
    const now = made[0]!.now + 1000
    const running = made.map(({ one }) => ({
      ...one,
      state: advance(one.state, {
        type: 'stepStarted',
        step: 'develop',
        id: uuid(9000),
        sheetId: one.sheet.id,
        index: one.state.length,
        at: now,
      } as SheetEvent),
    }))
    expect(solved(input(running, { from: now }), EFFORT).times).not.toBeNull()
  })

  it('has nothing left to do for what hangs or was set aside', () => {
    const { one, now } = workedTo(planned(1, 'classic-cyanotype'), 'nothing')
    expect(sessionOf(input([one], { from: now })).problem.jobs).toEqual([[]])
  })
})

describe('why there is no plan', () => {
  const two = [planned(1, 'classic-cyanotype'), planned(2, 'classic-cyanotype')]

  it('is the end of the session, with the end it would take', () => {
    const reasons = whyNone(input(two, { finishBy: T0 + 30 * MINUTE }))
    const end = solved(input(two), EFFORT).length
    expect(reasons[0]).toMatchObject({ kind: 'finishBy' })
    expect(reasons[0]!.kind === 'finishBy' && reasons[0]!.endsAt).toBeGreaterThanOrEqual(T0 + end * 1000)
    expect(whyNone(input(two, { finishBy: T0 + 20 * MINUTE })).at(-1)).toEqual({
      kind: 'tooLong',
      sheetIds: [uuid(1), uuid(2)],
    })
  })

  it('is a sheet too many, or a place too few', () => {
    const one = solved(input([two[0]!]), EFFORT).length
    const reasons = whyNone(input(two, { finishBy: T0 + one * 1000 + MINUTE }))
    expect(reasons.map((reason) => reason.kind)).toEqual(expect.arrayContaining(['finishBy', 'without']))
  })

  it('is a step that was moved where its sheet cannot have it', () => {
    const pins = [{ sheetId: uuid(1), stepId: 'expose', edge: 'notAfter' as const, at: T0 + 5 * MINUTE }]
    expect(solved(input(two, { pins }), EFFORT).times).toBeNull()
    expect(whyNone(input(two, { pins })).map((reason) => reason.kind)).toContain('pins')
    const refusal = whyRefused(input(two, { pins }), uuid(1), 'expose')
    expect(refusal).toMatchObject({ kind: 'itsOwn' })
    // Counted for three minutes, coated for two, dried for ten, framed for one.
    expect(refusal.kind === 'itsOwn' && refusal.earliest).toBe(T0 + 16 * MINUTE)
  })

  it('is another sheet in the way', () => {
    const at = T0 + 20 * MINUTE
    const pins = [1, 2].map((n) => ({ sheetId: uuid(n), stepId: 'expose', edge: 'notAfter' as const, at }))
    expect(whyRefused(input(two, { pins }), uuid(1), 'expose')).toEqual({ kind: 'another', sheetId: uuid(2) })
  })
})

describe('what a session asks for', () => {
  const sheets = [planned(1, 'kallitype'), planned(2, 'kallitype'), planned(3, 'salted-paper')]
  const shelf = { bottles: [], taken: new Map<string, number>(), book: substances, now: T0 }
  const { moves } = planOf(input(sheets))
  const needs = needsInTime(sheets, moves, shelf)
  const need = (id: string) => needs.find((one) => one.id === id)!

  it('adds up what is coated and fills each tray once', () => {
    const one = needsInTime([sheets[0]!], planOf(input([sheets[0]!])).moves, shelf)
    const alone = (id: string) => one.find((entry) => entry.id === id)!
    expect(need('oxalate').millilitres).toBeCloseTo(2 * alone('oxalate').millilitres, 6)
    expect(need('citrate').millilitres).toBeCloseTo(alone('citrate').millilitres, 6)
  })

  it('knows when each is wanted first', () => {
    expect(need('citrate').wantedAt).toBe(
      Math.min(moveOf(moves, 1, 'develop').from, moveOf(moves, 2, 'develop').from),
    )
    expect(need('silver').wantedAt).toBeLessThanOrEqual(moveOf(moves, 3, 'mix-silver').from)
  })

  it('begins with what ripens, a day ahead for a day of ripening', () => {
    const list = preparationsFor(needs, [])
    expect(list.map((one) => one.beginBy)).toEqual(list.map((one) => one.beginBy).sort((a, b) => a - b))
    const gold = list.find((one) => one.id === 'gold')!
    expect(gold).toMatchObject({ kind: 'make', because: 'ripens' })
    expect(gold.wantedAt - gold.beginBy).toBeGreaterThan(30 * MINUTE)
    const gum = needsInTime([planned(1, 'gum-over')], planOf(input([planned(1, 'gum-over')])).moves, shelf)
    expect(preparationsFor(gum, [])[0]).toMatchObject({ id: 'gum', because: 'ripens' })
    expect(preparationsFor([{ ...need('citrate'), readyMillilitres: 9999 }], [])[0]).toMatchObject({
      kind: 'fill',
    })
    expect(preparationsFor([{ ...need('oxalate'), readyMillilitres: 9999 }], [])).toEqual([])
  })

  it('has buffered paper treated where the process cannot bear chalk', () => {
    const paper = { id: uuid(2), name: 'Rag', buffered: 'yes' as const, note: '', changedAt: T0 }
    const on = sheets.map((one) => ({
      ...one,
      sheet: { ...one.sheet, paperId: paper.id, pieceId: uuid(20) },
    }))
    const due = papersToTreat(on, moves, [paper], () => false)
    expect(due).toHaveLength(1)
    expect(preparationsFor([], due)[0]).toMatchObject({ kind: 'treat', because: 'rests' })
    expect(papersToTreat(on, moves, [paper], () => true)).toEqual([])
    expect(papersToTreat(on, moves, [{ ...paper, buffered: 'no' }], () => false)).toEqual([])
  })

  it('has the lamp lit before the first guess, and no sun', () => {
    const lamp = { id: LAMP, name: 'Box', kind: 'uvBox' as const, note: '', changedAt: T0 }
    const first = Math.min(...sheets.map((one) => moveOf(moves, one.sheet.number, 'expose').from))
    const due = lampsToLight(sheets, moves, [lamp])
    expect(preparationsFor([], [], due)).toMatchObject([
      { kind: 'warmUp', wantedAt: first, beginBy: first - 5 * MINUTE },
    ])
    expect(lampsToLight(sheets, moves, [{ ...lamp, kind: 'sun' }])).toEqual([])
    // It burns already while something is under it.
    const { one } = workedTo(planned(9, 'classic-cyanotype'), 'expose')
    const state = advance(one.state, {
      type: 'stepStarted', step: 'expose', id: uuid(9001), sheetId: one.sheet.id, index: one.state.length, at: one.state.lastAt,
    } as SheetEvent) // prettier-ignore
    expect(lampsToLight([...sheets, { ...one, state }], moves, [lamp])).toEqual([])
    expect(lampsToLight(sheets, moves, [{ ...lamp, id: uuid(1) }])).toEqual([])
  })

  it('sees which sheets could share one glass', () => {
    expect(coatsAlike(sheets).map((group) => group.map((one) => one.sheet.number))).toEqual([[1, 2]])
  })

  it('counts what has no price', () => {
    expect(costOfSession(sheets, shelf)).toEqual({ money: 0, without: 3 })
  })
})
