import { replay } from '../run/run'
import { emptyRun, type RunState } from '../run/runState'
import type { Happening, Measured } from '../schema/event'
import type { Reading } from '../schema/judgement'
import { logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { dryDown, dryShare, stopsForDrying, wetAim, type DriedPrint } from './dryDown'
import { changesSince, densityAt, DRY, fadingOf } from './measured'

const measured = (moment: Measured['moment'], at: number, readings: Partial<Reading>[]): Measured => ({
  id: uuid(9000 + at),
  sheetId: SHEET,
  index: 0,
  at,
  type: 'measured',
  moment,
  by: 'typed',
  readings: readings.map((one) => ({ of: 'patch', name: '', ...one })),
})
const withThese = (...measurements: Measured[]): RunState => ({ ...emptyRun(SHEET), measurements })

describe('measurements of a print', () => {
  it('are refused before it hangs, and kept in its log after that', () => {
    const what: Happening = { type: 'measured', moment: 'dry', by: 'typed', readings: [{ of: 'black', name: '', density: 1.4 }] } // prettier-ignore
    expect(() => replay(SHEET, logOf([...wholeJob.slice(0, 8), [2000, what]]))).toThrow(
      expect.objectContaining({ code: 'not-hung' }),
    )
    const state = replay(
      SHEET,
      logOf([...wholeJob, [90_000, what], [9_000_000, { ...what, moment: 'later' }]]),
    )
    expect(state.measurements.map((one) => one.at - T0)).toEqual([90_000_000, 9_000_000_000])
    expect(densityAt(state, 'black', DRY)).toBe(1.4)
    expect(densityAt(state, 'black', ['wet'])).toBeNull()
  })

  it('a later look may be written down again and again; it asks for the next one itself', () => {
    const later = { type: 'judged', moment: 'later', verdict: 'keep', note: '' } as const
    const state = replay(
      SHEET,
      logOf([...wholeJob, [3e6, later], [9e6, { ...later, lookAgainAt: T0 + 4e10 }]]),
    )
    expect(state.judgements).toHaveLength(2)
  })

  it('take the density from the lightness where only a colour was read', () => {
    const state = withThese(measured('dry', 1, [{ of: 'black', lab: [50, 0, 0] }]))
    // L* 50 is a reflectance of 0.1842 (CIE 15), a density of 0.735.
    expect(densityAt(state, 'black', DRY)).toBeCloseTo(0.735, 3)
  })
})

describe('fading', () => {
  it('is the change of each place since it was first read dry', () => {
    const state = withThese(
      measured('wet', 1, [{ of: 'white', lab: [80, 0, 0] }]),
      measured('dry', 2, [{ of: 'white', lab: [95, 0, 2] }, { of: 'black', density: 1.45 }]),
      measured('settled', 3, [{ of: 'white', lab: [95, 0, 3] }]),
      measured('later', 4, [{ of: 'white', lab: [93, 1, 9] }, { of: 'black', density: 1.44 }]),
    ) // prettier-ignore
    const changes = changesSince(state)
    expect(changes.map((one) => [one.of, one.from.at, one.to.at])).toEqual([
      ['white', 2, 4],
      ['black', 2, 4],
    ])
    expect(changes[0]?.colour).toBeGreaterThan(4)
    expect(changes[1]?.density).toBeCloseTo(-0.01, 6)
    expect(fadingOf(changes)).toBe('strong')
    expect(fadingOf(changes.slice(1))).toBe('none')
    expect(fadingOf([])).toBeNull()
    // Settling is no fading, however far it goes.
    const settled = withThese(
      measured('dry', 2, [{ of: 'white', lab: [95, 0, 2] }]),
      measured('settled', 3, [{ of: 'white', lab: [80, 0, 20] }]),
    )
    expect(changesSince(settled)[0]?.colour).toBeGreaterThan(4)
    expect(fadingOf(changesSince(settled))).toBeNull()
  })
})

describe('dry-down', () => {
  const dried = (wet: number, dry: number, where: Partial<DriedPrint> = {}): DriedPrint => ({
    processId: 'van-dyke',
    paperId: uuid(2),
    lightId: uuid(4),
    state: withThese(
      measured('wet', 1, [{ of: 'black', density: wet + 0.1 }, { of: 'white', density: 0.1 }]),
      measured('dry', 2, [{ of: 'black', density: dry + 0.08 }, { of: 'white', density: 0.08 }]),
    ),
    ...where,
  }) // prettier-ignore
  const here = { processId: 'van-dyke', paperId: uuid(2), lightId: uuid(4) }

  it('of a print is what its net density gained', () => {
    expect(dryShare(dried(1, 1.25).state)).toBeCloseTo(0.25, 6)
    expect(dryShare(withThese(measured('dry', 1, [{ of: 'black', density: 1 }])))).toBeNull()
  })

  it('starts from the trade’s figure and comes to one’s own, the nearer prints counting more', () => {
    const usual = { share: 0.25, standing: 'practice', source: 'a quarter darker' } as const
    expect(dryDown(here, [], usual).value).toBe(0.25)
    expect(dryDown(here, [], usual).working.standing).toBe('practice')
    const own = Array.from({ length: 12 }, () => dried(1, 1.1))
    expect(dryDown(here, own, usual).value).toBeLessThan(0.105)
    const elsewhere = own.map((one) => ({ ...one, paperId: uuid(3) }))
    const shifted = dryDown(here, elsewhere, usual).value
    expect(shifted).toBeGreaterThan(0.105)
    expect(shifted).toBeLessThan(0.25)
    expect(dryDown({ ...here, processId: 'salted-paper' }, own, usual).value).toBe(0.25)
  })

  it('says what to look for in the tray, about three quarters where it dries a third darker', () => {
    const third = dryDown(here, [], { share: 1 / 3, standing: 'practice', source: '' })
    expect(wetAim(1.2, third).value).toBeCloseTo(0.9, 6)
  })

  it('asks for less light the more a print deepens', () => {
    // Density 1 gaining a quarter at a gradient of 1.3: 0.25 / 1.3 in log exposure is 0.19, two thirds of a stop.
    expect(stopsForDrying(1, 0.25)).toBeCloseTo(-0.64, 2)
    expect(stopsForDrying(1, 0)).toBeCloseTo(0, 9)
  })
})
