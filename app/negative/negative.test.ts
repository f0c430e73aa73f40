import { solveCurve } from '@core/tone/curve'
import { densityFromLightness } from '@core/tone/density'
import { readChart } from './chartReading'
import { ladder, printFor, unmeasuredPrint, willItPrint } from './negativeWords'

const chart = (response: (ink: number) => number) =>
  solveCurve(
    Array.from({ length: 31 }, (_, i) => ({
      ink: i / 30,
      densities: [densityFromLightness(response(i / 30))],
    })),
  )
const even = chart((ink) => 20 + 70 * ink)
const notes = (over: Partial<Parameters<typeof willItPrint>[0]> = {}) =>
  willItPrint({
    curve: even,
    rungs: ladder((tone) => tone, printFor(even)),
    blackShare: 0,
    whiteShare: 0,
    picturePixels: 1e7,
    negativePixels: 1e7,
    ...over,
  })
const titles = (over: Partial<Parameters<typeof willItPrint>[0]> = {}) =>
  notes(over).map((note) => note.title)

describe('the ladder of tones', () => {
  it('has a rung for each tone, where the print puts it', () => {
    const rungs = ladder((tone) => tone, printFor(even), 11)
    expect(rungs.map((rung) => Math.round(rung.print))).toEqual([20, 27, 34, 41, 48, 55, 62, 69, 76, 83, 90])
    expect(rungs.some((rung) => rung.closesUp)).toBe(false)
  })

  it('points out rungs that close up, at the end where they do', () => {
    const blocked = ladder(
      (tone) => tone,
      (ink) => Math.min(80, 20 + 100 * ink),
    )
    const closed = blocked.filter((rung) => rung.closesUp)
    expect(Math.min(...closed.map((rung) => rung.tone))).toBeGreaterThan(52)
    expect(titles({ rungs: blocked })).toContain('Highlights close up')
    const merged = ladder(
      (tone) => tone,
      (ink) => Math.max(30, 95 * ink),
    )
    expect(titles({ rungs: merged })).toContain('Shadows close up')
  })

  it('of a process that nobody measured rises all the same', () => {
    const rungs = ladder((tone) => tone, unmeasuredPrint)
    rungs.forEach((rung, i) => i && expect(rung.print).toBeGreaterThan(rungs[i - 1]!.print))
    expect(printFor(null)).toBe(unmeasuredPrint)
  })
})

describe('will it print', () => {
  it('says so when every tone has its place', () => expect(titles()).toEqual(['Will it print?', 'The curve']))

  it('says what the picture lacks, and what the size asks of it', () => {
    expect(titles({ whiteShare: 0.1, blackShare: 0.2, negativePixels: 9e7 })).toEqual([
      'Will it print?',
      'White without detail',
      'Black without detail',
      'Larger than its picture',
      'The curve',
    ])
    expect(
      notes({ whiteShare: 0.1 }).find((note) => note.title === 'White without detail')?.lines[0],
    ).toContain('10 %')
  })

  it('is honest about a print that is only guessed', () =>
    expect(notes({ curve: null }).at(-1)?.lines[0]).toContain('a guess until a chart is read'))
})

describe('a chart as it is typed', () => {
  it('gives each patch its ink, clear film first, repeats and damage as they are written', () => {
    expect(readChart('1.4 1.2/1,22 - 0.5 0.1', 5, 'density').patches).toEqual([
      { ink: 0, densities: [1.4] },
      { ink: 0.25, densities: [1.2, 1.22] },
      { ink: 0.5, densities: [] },
      { ink: 0.75, densities: [0.5] },
      { ink: 1, densities: [0.1] },
    ])
    expect(readChart('', 5, 'density')).toEqual({ patches: null })
    expect(readChart('20 40 60 80 95', 5, 'lightness').patches?.[0]?.densities[0]).toBeCloseTo(
      densityFromLightness(20),
      9,
    )
  })

  it.each([
    ['1.4 1.2', 'wrong-count'],
    ['1.4 1.2 black 0.5 0.1', 'unreadable'],
  ])('%s is refused', (text, code) => expect(readChart(text, 5, 'density').fault?.code).toBe(code))
})
