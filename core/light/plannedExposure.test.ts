import { logOf, SHEET, T0, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import { exposureShare, plannedExposure } from './plannedExposure'

const at = (seconds: number) => T0 + seconds * 1000
const exposing = (count: number) => replay(SHEET, logOf(wholeJob.slice(0, count))).steps[3]!

describe('plannedExposure', () => {
  it('is what was planned, until it is changed', () => {
    expect(plannedExposure(exposing(9))).toMatchObject({
      value: 480,
      unit: 's',
      working: { formula: 't = tₒ' },
    })
  })

  it('names every change that was given', () => {
    const figure = plannedExposure(exposing(12))
    expect(figure.value).toBe(540)
    expect(figure.working.inputs.map((input) => [input.name.replace(/\u00a0/g, ' '), input.value])).toEqual([
      ['planned at the bench', 480],
      ['changed by 1 min, to 9 min', 540],
    ])
  })
})

describe('exposureShare', () => {
  it.each([
    [9, 900, 0],
    [9, 1140, 50],
    [10, 1150, 50],
    [11, 1160 + 120, 75],
    [12, 1160 + 120, (100 * 360) / 540],
    [9, 900 + 960, 200],
  ])('after %d events, at %d s, is %d %%', (count, seconds, share) => {
    expect(exposureShare(exposing(count), at(seconds)).value).toBeCloseTo(share, 9)
  })

  it('is nothing before the cover comes off', () =>
    expect(exposureShare(exposing(8), at(5000)).value).toBe(0))
})
