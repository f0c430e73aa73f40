import { logOf, SHEET, T0, wholeJob } from '../fixtures/logs'
import { replay } from '../run/run'
import { countedDose } from './countedDose'
import { meteredCourse, type Sample } from '../run/dose'

const exposing = replay(SHEET, logOf(wholeJob.slice(0, 9))).steps[3]!
const start = exposing.startedAt!

describe('countedDose', () => {
  it('is time where nobody knows more', () =>
    expect(countedDose(exposing, null, [], start + 120_000)).toEqual({ by: 'steady', seconds: 120 }))

  it('is mJ/cm² by the meter, and says for how long it was silent', () => {
    const samples = Array.from({ length: 61 }, (_, i): Sample => [start + i * 1000, 4])
    const course = meteredCourse(samples, 5)
    expect(countedDose(exposing, course, samples, start + 60_000)).toEqual({
      by: 'meter',
      seconds: 48,
      millijoulesPerCm2: 240,
    })
    expect(countedDose(exposing, course, samples, start + 120_000)).toEqual({
      by: 'meter',
      seconds: 96,
      millijoulesPerCm2: 480,
      silentSeconds: 60,
    })
  })

  it('is nothing before the cover comes off', () => {
    const waiting = replay(SHEET, logOf(wholeJob.slice(0, 8))).steps[3]!
    expect(countedDose(waiting, null, [], T0 + 9e6)).toBeNull()
  })
})
