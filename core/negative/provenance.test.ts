import { departures, standingOf, type Circumstances } from './provenance'

const DAY = 86_400_000
const made = {
  processId: 'kallitype',
  paperId: 'p1',
  lightId: 'l1',
  film: 'Clear, thin',
  seconds: 360,
  at: 0,
}

describe('departures from what a curve was made with', () => {
  it.each<[string, Circumstances, string[]]>([
    ['none', { ...made }, []],
    ['another paper', { ...made, paperId: 'p2' }, ['paper']],
    ['another process and film', { ...made, processId: 'cyanotype', film: 'matte' }, ['process', 'film']],
    ['the film in other letters', { ...made, film: ' clear, THIN' }, []],
    ['a fifth of a stop more is borne', { ...made, seconds: 360 * 2 ** 0.19 }, []],
    ['half a stop is not', { ...made, seconds: 360 * 2 ** -0.5 }, ['exposure']],
    ['under another light the time says nothing', { ...made, lightId: 'l2', seconds: 20 }, ['light']],
    ['nothing is known', {}, []],
  ])('%s', (_, use, wanted) => expect(departures(made, { ...use, now: 10 * DAY })).toEqual(wanted))

  it('an old curve', () => {
    expect(departures(made, { now: 183 * DAY })).toEqual([])
    expect(departures(made, { now: 184 * DAY })).toEqual(['age'])
  })
})

describe('standing of a calibration', () => {
  it('is that of its last check', () => {
    expect(standingOf([])).toEqual({ mean: null, worst: null, hasDrifted: false })
    expect(standingOf([{ mean: 0.8, worst: 1.9 }])).toEqual({ mean: 0.8, worst: 1.9, hasDrifted: false })
  })

  it('is not known again after the curve was corrected by its last check', () => {
    const checks = [{ mean: 4, worst: 8, isUsed: true }]
    expect(standingOf(checks)).toEqual({ mean: null, worst: null, hasDrifted: false })
    expect(standingOf([...checks, { mean: 0.9, worst: 2 }]).mean).toBe(0.9)
  })

  it('has drifted when it is clearly worse than it was', () => {
    const good = { mean: 0.7, worst: 1.5 }
    expect(standingOf([good, { mean: 2, worst: 3 }]).hasDrifted).toBe(false)
    expect(standingOf([{ mean: 4, worst: 8 }, good, { mean: 2.3, worst: 5 }]).hasDrifted).toBe(true)
    expect(standingOf([{ mean: 4, worst: 8 }, good]).hasDrifted).toBe(false)
  })
})
