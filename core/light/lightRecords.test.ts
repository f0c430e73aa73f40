import { logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import type { Base, Light, LightEntry } from '../schema/light'
import { baseFor, exposureFromBase } from './bases'
import { printDeeper } from './deeper'
import { exposureForLight } from './exposureChange'
import { healthOf, historyOf, hoursAt, litSince, readingsOf } from './lightLedger'
import { courseUnder, expectedLight, exposureUnder, sunLightThen, sunSceneOf } from './lightNow'
import { warmSeconds } from './lamp'

const H = 3_600_000
const box: Light = {
  id: uuid(4),
  name: 'Box',
  kind: 'uvBox',
  note: '',
  changedAt: T0,
  warmUp: { startsAt: 0.5, settlesSeconds: 60 },
}
const sill: Light = {
  id: uuid(5), name: 'Sill', kind: 'sun', note: '', changedAt: T0,
  place: { name: 'here', latitude: 52, longitude: 5, altitudeMetres: 0 },
} // prettier-ignore
let count = 0
const entry = (hours: number, what: LightEntry['what'], lightId = box.id): LightEntry => ({
  id: uuid(700 + count++), lightId, at: T0 + hours * H, what, note: '',
}) // prettier-ignore
const base = (over: Partial<Base>): Base => ({
  id: uuid(800 + count++), at: T0, processId: 'kallitype', choices: { school: 'one' }, lightId: box.id, film: 'clear',
  seconds: 300, by: 'strip', note: '', ...over,
}) // prettier-ignore
const history = (entries: LightEntry[] = [], bases: Base[] = [], light = box) =>
  historyOf(light, entries, bases, [], T0 + 1000 * H)

describe('the ledger of a lamp', () => {
  it('counts lit stretches and exposures once, from the hours that were told', () => {
    const told = historyOf(
      box,
      [
        entry(0, { type: 'hours', hours: 200 }),
        entry(1, { type: 'lit' }),
        entry(3, { type: 'out' }),
        entry(5, { type: 'lit' }),
      ],
      [],
      [{ lightId: box.id, state: replay(SHEET, logOf(wholeJob)) }],
      T0 + 8 * H,
    )
    // The sheet's exposure is in the first half hour, before the lamp was said to be lit.
    const exposure = told.exposures.reduce((sum, [from, to]) => sum + to - from, 0) / H
    expect(exposure).toBeGreaterThan(0.1)
    expect(hoursAt(told, T0 + 8 * H)).toBeCloseTo(200 + exposure + 2 + 3, 9)
    expect(litSince(told)).toBe(T0 + 5 * H)
  })

  it('begins again with new tubes', () => {
    const told = history([
      entry(0, { type: 'hours', hours: 900 }),
      entry(1, { type: 'read', milliwattsPerCm2: 3, by: 'typed' }),
      entry(2, { type: 'renewed' }),
      entry(3, { type: 'lit' }),
      entry(4, { type: 'out' }),
      entry(4, { type: 'read', milliwattsPerCm2: 5, by: 'meter' }),
    ])
    expect(hoursAt(told, T0 + 10 * H)).toBeCloseTo(1, 9)
    expect(readingsOf(told)).toEqual({ from: 'meter', readings: [{ hours: 1, strength: 5 }] })
    expect(litSince(told)).toBeNull()
    expect(expectedLight(told, T0 + 10 * H)!.value).toBeCloseTo(5, 9)
  })

  it('leaves out what was taken back', () => {
    const told = history([
      { ...entry(1, { type: 'read', milliwattsPerCm2: 9, by: 'typed' }), takenBackAt: T0 + 2 * H },
    ])
    expect(expectedLight(told, T0 + 3 * H)).toBeNull()
  })

  it('sees a lamp fade by its base exposures, of one combination only', () => {
    const told = history(
      [entry(0, { type: 'hours', hours: 0 }), entry(0, { type: 'lit' })],
      [
        base({ at: T0 + H, seconds: 300 }),
        base({ at: T0 + 101 * H, seconds: 375 }),
        base({ at: T0 + 50 * H, seconds: 900, processId: 'van-dyke' }),
      ],
    )
    const health = healthOf(told, T0 + 101 * H)
    expect(health.from).toBe('bases')
    expect(health.left!.value).toBeCloseTo(80, 6)
    expect(health.expected).toBeNull()
  })
})

describe('the light of an exposure', () => {
  it('is the meter’s where there is one, over the light it was planned for', () => {
    const course = courseUnder(history(), {
      startedAt: T0,
      milliwattsPerCm2: 5,
      samples: [
        [T0, 4],
        [T0 + 1000, 4],
      ],
    })!
    expect(course.by).toBe('meter')
    expect(course.secondsBetween(T0, T0 + 100_000)).toBeCloseTo(80, 9)
  })

  it('is the cold lamp’s after it was lit', () => {
    const course = courseUnder(history([entry(0, { type: 'lit' })]), { startedAt: T0, samples: [] })!
    expect(course.secondsBetween(T0, T0 + 120_000)).toBeCloseTo(warmSeconds(box.warmUp!, 120), 6)
  })

  it('is weaker than planned where the lamp has faded since', () => {
    const told = history([entry(0, { type: 'read', milliwattsPerCm2: 4, by: 'typed' })])
    const course = courseUnder(told, { startedAt: T0 + H, milliwattsPerCm2: 5, samples: [] })!
    expect(course.secondsBetween(T0 + H, T0 + H + 100_000)).toBeCloseTo(80, 6)
    expect(course.milliwattsPerCm2At!(T0 + H)).toBeCloseTo(4, 9)
  })

  it('follows what is said of the sky while the frame is out', () => {
    const noon = Date.parse('2026-06-21T11:40:00Z')
    const hours = (noon - T0) / H
    const told = historyOf(sill, [entry(hours + 0.25, { type: 'sky', share: 0.35 }, sill.id)], [], [], noon)
    const course = courseUnder(told, { startedAt: noon, samples: [] })!
    const quarter = course.secondsBetween(noon, noon + H / 4)
    // Past its height the sun gives a little less in each quarter of an hour.
    expect(quarter).toBeGreaterThan(870)
    expect(quarter).toBeLessThan(905)
    expect(course.secondsBetween(noon + H / 4, noon + H / 2) / quarter).toBeCloseTo(0.35, 1)
  })

  it('is unknown for a lamp of which nobody told anything', () =>
    expect(courseUnder(history(), { startedAt: T0, samples: [] })).toBeNull())

  it('is the sun’s where its place is known', () => {
    const noon = Date.parse('2026-06-21T11:40:00Z')
    const sky = { share: 0.35, factor: 1.6, by: 'overcast' as const, at: noon - H }
    const said = history([], [], { ...sill, sky })
    const clear = history([], [], sill)
    expect(expectedLight(said, noon)!.value / expectedLight(clear, noon)!.value).toBeCloseTo(0.35, 6)
    // A sky that was said yesterday is not today's.
    expect(sunSceneOf(said, noon + 24 * H)!.scene.sky.cloud).toBe(1)
    const course = courseUnder(clear, { startedAt: noon, samples: [] })!
    expect(course.by).toBe('model')
    expect(course.secondsBetween(noon, noon + 60_000)).toBeCloseTo(60, 1)
  })

  it('learns from readings under the sun', () => {
    const told = history(
      [entry(0, { type: 'read', milliwattsPerCm2: 6, by: 'meter', reckonedMilliwattsPerCm2: 5 }, sill.id)],
      [],
      sill,
    )
    expect(sunSceneOf(told, T0)!.correction.value).toBeCloseTo(Math.sqrt(1.2), 9)
  })
})

describe('base exposures', () => {
  const wanted = { processId: 'kallitype', choices: { school: 'one' }, paperId: uuid(2), lightId: box.id }

  it('are looked up by process and light, the same paper before a newer one of another', () => {
    const same = base({ paperId: uuid(2), at: T0 })
    const newer = base({ paperId: uuid(9), at: T0 + H })
    expect(baseFor([same, newer], wanted)).toEqual({ base: same, differs: [] })
    expect(baseFor([newer], wanted)!.differs).toEqual(['paper'])
    expect(baseFor([base({ choices: { school: 'two' } })], wanted)!.differs).toEqual(['paper', 'choices'])
    expect(baseFor([{ ...same, takenBackAt: T0 }, base({ processId: 'van-dyke' })], wanted)).toBeNull()
  })

  it('are doses where the light was known: a dimmer lamp gets longer', () => {
    const found = {
      base: base({ seconds: 300, lowSeconds: 280, highSeconds: 320, milliwattsPerCm2: 5 }),
      differs: [] as [],
    }
    const told = history([entry(0, { type: 'read', milliwattsPerCm2: 4, by: 'typed' })])
    const from = exposureFromBase(found, expectedLight(told, T0 + H))
    expect(from.seconds.value).toBeCloseTo(375, 9)
    expect(from.millijoulesPerCm2).toBe(1500)
    expect(exposureFromBase(found, expectedLight(told, T0 + H), 0.9).seconds.value).toBeCloseTo(
      300 * 1.25 ** (1 / 0.9),
      9,
    )
    const night = { ...expectedLight(told, T0 + H)!, value: 0.001 }
    expect(exposureFromBase(found, night)).toMatchObject({ seconds: { value: 300 }, millijoulesPerCm2: 1500 })
    expect(exposureFromBase(found, null).seconds.value).toBe(300)
    expect(
      exposureFromBase({ base: base({}), differs: ['paper'] }, null).seconds.working.leavesOut,
    ).toContain('another paper')
  })
})

describe('exposureForLight', () => {
  // A quarter of the light takes four times as long; with p = 0.9, 4^(1/0.9) times.
  it.each([
    [1, 400],
    [0.9, 100 * 4 ** (1 / 0.9)],
  ])('with an exponent of %d', (p, seconds) =>
    expect(exposureForLight(100, 0.25, p).value).toBeCloseTo(seconds, 6),
  )
  it('refuses the dark', () =>
    expect(() => exposureForLight(100, 0)).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})

describe('printDeeper', () => {
  const usual = { stops: 0.5, standing: 'practice' as const, source: 'common practice' }
  const judged = (n: number, parts: object) => {
    const log = logOf([
      ...wholeJob,
      [90_000 + n, { type: 'judged', moment: 'dry', verdict: 'undecided', note: '', ...parts }],
    ])
    return replay(SHEET, log)
  }

  it('is the usual before anything was judged', () => {
    expect(printDeeper(usual, []).value).toBe(0.5)
    expect(printDeeper(undefined, []).value).toBe(0)
  })

  it('grows with prints found thin and shrinks with blocked ones', () => {
    const thin = Array.from({ length: 6 }, (_, n) => judged(n, { shadows: 'thin', highlights: 'blank' }))
    expect(printDeeper(usual, thin).value).toBeCloseTo(0.5 + (6 / 8) * (2 / 6), 9)
    const blocked = Array.from({ length: 2 }, (_, n) => judged(n, { shadows: 'blocked' }))
    expect(printDeeper(usual, blocked).value).toBeCloseTo(0.5 - (2 / 4) * (1 / 6), 9)
    expect(printDeeper(usual, [judged(1, {})]).value).toBe(0.5)
  })
})

describe('an exposure under another light', () => {
  const light = (value: number) =>
    ({ value, unit: 'mW/cm²', working: { words: '', formula: '', inputs: [], standing: 'yours', source: '' } }) as const // prettier-ignore
  it('is the same dose where both lights are known', () =>
    expect(exposureUnder(480, light(4), light(3))).toBeCloseTo(640, 9))
  it('cannot be told where one of them is not, or is dark', () => {
    expect(exposureUnder(480, null, light(3))).toBeNull()
    expect(exposureUnder(480, light(4), null)).toBeNull()
    expect(exposureUnder(480, light(4), light(0))).toBeNull()
  })
})

describe('the sun at another moment', () => {
  const sun: Light = { id: uuid(9), name: 'Sill', kind: 'sun', note: '', changedAt: T0, place: { name: 'Sill', latitude: 50, longitude: 8, altitudeMetres: 100 } } // prettier-ignore
  const history = { light: sun, entries: [], bases: [], exposures: [] }
  const noon = Date.UTC(2026, 5, 21, 11)
  it('is what the model says for that hour, by the share that the clouds left', () => {
    const clear = sunLightThen(history, noon, 1)!
    expect(clear).toBeGreaterThan(2)
    expect(sunLightThen(history, noon, 0.35)! / clear).toBeCloseTo(0.35, 9)
    expect(sunLightThen(history, Date.UTC(2026, 11, 21, 11), 1)! / clear).toBeLessThan(0.35)
  })
  it('is nothing by night, or where its place is not known', () => {
    expect(sunLightThen(history, Date.UTC(2026, 5, 21, 23), 1)).toBeNull()
    expect(sunLightThen({ ...history, light: { ...sun, place: undefined } as Light }, noon, 1)).toBeNull()
  })
})
