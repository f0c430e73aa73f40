import { processes } from './index'
import type { Figure } from '@core/quantity/figure'
import { firstExposure } from '@core/process/stepTimes'
import { CLEAR_SKY, sunLightAt } from '@core/sun/irradiance'
import { firstGuess, highSunLight, stopsFromHighSun } from '@core/light/sunGuess'

const cyanotype = processes['classic-cyanotype']!
const place = { latitude: 50, longitude: 8, altitudeMetres: 100 }
const figure = (value: number, uncertainty = 0.15 * value): Figure => ({
  value, unit: 'mW/cm²', uncertainty,
  working: { words: '', formula: '', inputs: [], standing: 'published', source: '' },
}) // prettier-ignore
const lightAt = (month: number, hours: number, cloud = 1) =>
  figure(sunLightAt(place, Date.UTC(2026, month, 21, hours), { ...CLEAR_SKY, cloud }, 'flat').total)
const guess = (light: Figure | null, kind: 'sun' | 'uvBox' = 'sun', usualSeconds?: number) =>
  firstGuess(cyanotype, { kind, choices: {}, ...(usualSeconds && { usualSeconds }) }, light)

it('says how many stops lie between a weak bank of tubes and full sun', () => {
  expect(stopsFromHighSun(figure(highSunLight())).value).toBeCloseTo(0, 9)
  expect(stopsFromHighSun(figure(highSunLight() / 8)).value).toBeCloseTo(-3, 9)
  // A fact of the trade: full sun has some milliwatts a cm² of UVA, a bank of tubes about one to ten.
  expect(stopsFromHighSun(figure(1)).value).toBeLessThan(-1)
  expect(stopsFromHighSun(figure(1)).value).toBeGreaterThan(-3.5)
})

describe('the first guess under the sun', () => {
  const told = firstExposure(cyanotype, { kind: 'sun', choices: {} }).value
  const [june, december, overcast] = [guess(lightAt(5, 11)), guess(lightAt(11, 11)), guess(lightAt(5, 11, 0.35))]

  it('is what is told for a clear, high sun, about noon in June', () =>
    expect(june.seconds.value / told).toBeGreaterThan(0.8))
  it('is not far from it', () => expect(june.seconds.value / told).toBeLessThan(1.25))

  // Facts of the trade: winter sun takes several times as long as summer sun, an overcast sky two to four times.
  it('takes several times as long in December', () => {
    expect(december.seconds.value / june.seconds.value).toBeGreaterThan(3)
    expect(december.seconds.value / june.seconds.value).toBeLessThan(12)
  })
  it('takes longer under an overcast sky, by what the clouds leave', () =>
    expect(overcast.seconds.value / june.seconds.value).toBeCloseTo(1 / 0.35, 6))

  it('is the same dose under any light, so that the clock can count it', () => {
    expect(december.millijoulesPerCm2).toBeCloseTo(june.millijoulesPerCm2!, 9)
    expect(june.millijoulesPerCm2).toBeCloseTo(told * highSunLight(), 6)
  })

  it('says how sure it is: wider than the range that is told, about the guess', () => {
    for (const { seconds, low, high } of [june, december]) {
      expect(low! * high!).toBeCloseTo(seconds.value ** 2, 3)
      // Told are 5 to 20 min.
      expect(high! / low!).toBeGreaterThan(20 / 5)
    }
    expect(guess(null)).toMatchObject({ low: expect.closeTo(told / 2, 6), high: expect.closeTo(told * 2, 6) })
  })

  it('says that it knows no hour where the place is not known, and no dose where the sun is down', () => {
    expect(guess(null).seconds).toMatchObject({ value: told, working: { leavesOut: expect.stringMatching(/clear, high sun/) } })
    expect(guess(figure(0.001)).millijoulesPerCm2).toBeUndefined()
    expect(guess(figure(0.001)).seconds.value).toBe(told)
  })

  it('leaves other lights and one’s own time alone', () => {
    expect(guess(figure(1), 'uvBox').seconds).toEqual(firstExposure(cyanotype, { kind: 'uvBox', choices: {} }))
    expect(guess(figure(1), 'sun', 700)).toEqual({ seconds: expect.objectContaining({ value: 700 }) })
  })
}) // prettier-ignore
