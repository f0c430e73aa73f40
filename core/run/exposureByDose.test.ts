import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { lampCourse } from '../light/lamp'
import { meteredCourse, type LightCourse, type Sample } from './dose'
import { exposureShare } from '../light/plannedExposure'
import type { ProcessDefinition } from '../schema/definition'
import { SheetEvent, type Happening } from '../schema/event'
import { nextThing } from '../schedule/nextThing'
import { clocksOf, ledgeOf } from './deadlines'
import { isOver, nextMove } from './nextMove'
import { replay } from './run'
import { storyOf } from './story'

const at = (seconds: number) => T0 + seconds * 1000
/** In the frame since second 900, for 480 s of the planned light. */
const exposing = replay(SHEET, logOf(wholeJob.slice(0, 9)))
const half: LightCourse = lampCourse({ share: 0.5, referenceMilliwattsPerCm2: 4 })
const under = (course: LightCourse) => () => course

describe('an exposure that counts dose', () => {
  it('takes twice as long under half the light, and everybody says so', () => {
    const [clock] = clocksOf(exposing, at(1140), under(half))
    expect(clock).toMatchObject({
      kind: 'toEnd',
      by: 'model',
      elapsedSeconds: 120,
      targetSeconds: 480,
      held: false,
    })
    expect(clock!.remainingSeconds).toBeCloseTo(720, 1)
    expect(clock!.dueAt! - at(1860)).toBeLessThan(5)
    expect(ledgeOf([exposing], at(1140), under(half))[0]).toEqual(clock)
    expect(exposureShare(exposing.steps[3]!, at(1140), half).value).toBeCloseTo(25, 6)
  })

  it('ends for the target and for the day’s plan when the dose is there, not when the time is up', () => {
    expect(isOver(exposing, at(1400), under(half))).toBe(false)
    expect(nextMove(exposing, at(1400), under(half))).toEqual({ type: 'looked', step: 'expose' })
    expect(isOver(exposing, at(1870), under(half))).toBe(true)
    expect(nextMove(exposing, at(1870), under(half))).toEqual({ type: 'stepFinished', step: 'expose' })
    expect(nextThing([exposing], at(1400), under(half)).kind).toBe('wait')
    expect(nextThing([exposing], at(1870), under(half)).kind).toBe('over')
  })

  it('stands while the frame is out, and names no moment', () => {
    const out = replay(SHEET, logOf(wholeJob.slice(0, 10)))
    const [clock] = clocksOf(out, at(5000), under(half))
    expect(clock).toMatchObject({ elapsedSeconds: 120, remainingSeconds: 360, dueAt: null, held: true })
  })

  it('says how it came about in mJ/cm², by whom, and what that leaves out', () => {
    const samples: Sample[] = [
      [at(900), 4],
      [at(1100), 4],
    ]
    const figure = exposureShare(exposing.steps[3]!, at(1000), meteredCourse(samples, 4))
    expect(figure.working.inputs.map((input) => [input.value, input.unit])).toEqual([
      [400, 'mJ/cm²'],
      [1920, 'mJ/cm²'],
    ])
    expect(figure.working.leavesOut).toContain('meter was silent')
    expect(exposureShare(exposing.steps[3]!, at(1000)).working.inputs[0]?.unit).toBe('s')
  })

  it('leaves every other clock alone', () => {
    const washing = replay(SHEET, logOf(wholeJob.slice(0, 14)))
    expect(clocksOf(washing, at(1600), under(half))).toEqual(clocksOf(washing, at(1600)))
  })
})

describe('what the record keeps of light', () => {
  const upTo = (count: number, ...more: [number, Happening][]) =>
    replay(SHEET, logOf([...wholeJob.slice(0, count), ...more]))

  it('the light it began under and what it came to', () => {
    const dose = { by: 'meter' as const, seconds: 470, millijoulesPerCm2: 1880, silentSeconds: 21 }
    const state = upTo(
      8,
      [900, { type: 'stepStarted', step: 'expose', light: { milliwattsPerCm2: 4 } }],
      [1400, { type: 'stepFinished', step: 'expose', dose }],
    )
    expect(state.steps[3]).toMatchObject({ milliwattsPerCm2: 4, dose })
    expect(upTo(9).steps[3]).not.toHaveProperty('milliwattsPerCm2')
  })

  it('a reading of the strip, once it has been exposed, and the last one counts', () => {
    const read = (mark: number): Happening => ({ type: 'stripRead', by: 'eye', densities: [], mark })
    expect(() => upTo(9, [950, read(3)])).toThrow(expect.objectContaining({ code: 'not-exposed' }))
    expect(upTo(16, [9000, read(3)], [9100, read(4)]).stripRead).toMatchObject({ by: 'eye', mark: 4 })
    const log = logOf([
      ...wholeJob,
      [9000, read(3)],
      [9100, read(4)],
      [9200, { type: 'undone', eventId: uuid(1017) }],
    ])
    expect(replay(SHEET, log).stripRead).toMatchObject({ mark: 3 })
  })

  it('the air of the room', () => {
    expect(upTo(3, [5, { type: 'roomRead', celsius: 21.5, relativeHumidity: 48 }]).room).toEqual({
      at: at(5),
      celsius: 21.5,
      relativeHumidity: 48,
    })
  })

  it.each<[string, object]>([
    ['a dose by nobody', { type: 'stepFinished', step: 'expose', dose: { by: 'guess', seconds: 3 } }],
    ['a light of nothing', { type: 'stepStarted', step: 'expose', light: { milliwattsPerCm2: 0 } }],
    ['a density of a hundred', { type: 'stripRead', by: 'typed', densities: [[100]] }],
    ['a humidity of 140 %', { type: 'roomRead', celsius: 20, relativeHumidity: 140 }],
  ])('but not %s', (_, what) =>
    expect(SheetEvent.safeParse({ ...what, id: uuid(1), sheetId: SHEET, index: 0, at: T0 }).success).toBe(
      false,
    ),
  )
})

describe('what the story tells of light', () => {
  const definition = {
    components: [],
    steps: [{ id: 'expose', title: 'Exposure' }],
  } as unknown as ProcessDefinition
  const told = (...happened: (readonly [number, Happening])[]) =>
    storyOf(SHEET, logOf([...wholeJob.slice(0, 9), ...happened]), definition).map((line) =>
      `${line.what}: ${line.detail}`.replace(/\u00a0/g, ' '),
    )
  const ended = (dose: Extract<Happening, { type: 'stepFinished' }>['dose']) =>
    told([1380, { type: 'stepFinished', step: 'expose', dose }])

  it.each([
    [
      { by: 'meter' as const, seconds: 470, millijoulesPerCm2: 1880.4, silentSeconds: 75 },
      '1880 mJ/cm² by the meter, 1 min 15 s of it without meter readings',
    ],
    [{ by: 'meter' as const, seconds: 470, millijoulesPerCm2: 1880 }, '1880 mJ/cm² by the meter'],
    [{ by: 'model' as const, seconds: 447 }, '93 % of the planned dose from the model of the light'],
    [{ by: 'steady' as const, seconds: 480 }, '100 % of the planned dose'],
  ])('%j', (dose, words) => expect(ended(dose).find((line) => line.startsWith('Exposure'))).toContain(words))

  it('a strip and the room', () => {
    const lines = told(
      [1000, { type: 'roomRead', celsius: 20.6, relativeHumidity: 48 }],
      [1380, { type: 'stepFinished', step: 'expose' }],
      [9000, { type: 'stripRead', by: 'instrument', densities: [[1], [1.1], []] }],
      [9100, { type: 'stripRead', by: 'eye', densities: [], mark: 6 }],
    )
    expect(lines).toContain('Room: 20.6 °C, 48 % humidity')
    expect(lines).toContain('Test strip read: 2 steps by the densitometer')
    expect(lines).toContain('Test strip read: by eye, step 6')
  })

  it('and an old log, which knows nothing of it, reads as before', () => {
    const old = storyOf(SHEET, logOf([[0, begun]]), definition)
    expect(old.every((line) => !line.detail.includes('dose'))).toBe(true)
  })
})
