import { clocksOf, type ClockReading } from '@core/run/deadlines'
import { replay } from '@core/run/run'
import { logOf, SHEET, T0, wholeJob } from '@core/fixtures/logs'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import { figureText } from './figureText'
import { endWords, isLate, lateWords, ledgeFigure, ledgeLine, stillExposing } from './clockWords'
import { agoSaid, dayOf, momentSaid, timeOfDay } from './moments'
import { planNotes } from './planNotes'
import { cautionNotes, stepNotes } from './stepNotes'

const plain = (text: string) => text.replace(/\u00a0/g, ' ')
const read = (count: number, seconds: number): ClockReading =>
  clocksOf(replay(SHEET, logOf(wholeJob.slice(0, count))), T0 + seconds * 1000)[0]!

describe('the ledge', () => {
  it.each<[string, number, number, string, RegExp, string]>([
    ['coating', 6, 30, '1:40', /^being coated$/, 'coating time is over'],
    ['drying', 7, 160, '9:00', /^drying in the dark$/, 'dry in the dark: minimum time reached, check now'],
    ['exposing', 9, 1000, '6:20', /^exposing$/, 'exposure done'],
    ['exposing, past the end', 9, 900 + 480 + 12, '+0:12', /^exposing$/, 'exposure done'],
    ['held for a look', 10, 1150, '4:00', /^exposing, held$/, 'exposure done'],
    ['washing', 14, 1560, '4:00', /^washing$/, 'wash: minimum time reached, check now'],
    ['a waiting coat', 8, 100 + 3600, '1:00:00', /^print before \d\d:\d\d$/, 'the coat is too old'],
  ])('of %s', (_, count, seconds, figure, line, end) => {
    const clock = read(count, seconds)
    expect(ledgeFigure(clock)).toBe(figure)
    expect(ledgeLine(classicCyanotype, clock, T0 + seconds * 1000)).toMatch(line)
    expect(endWords(classicCyanotype, clock)).toBe(end)
  })

  it('says long times in hours', () => {
    expect(plain(ledgeFigure({ ...read(8, 800), remainingSeconds: 4 * 3600 + 125 }))).toBe('4 h 2 min')
  })

  it('of a clock that was left for hours says what to do instead of counting seconds', () => {
    const left = { ...read(9, 1000), remainingSeconds: -(3600 + 55 * 60 + 41) }
    expect(plain(ledgeFigure(left))).toBe('+1 h 55 min')
    expect(isLate(left)).toBe(true)
    expect(lateWords(classicCyanotype, left)).toMatch(/^overdue: finish exposure/)
    expect(lateWords(classicCyanotype, read(7, 160))).toMatch(/^check now: /)
    expect(isLate({ ...left, remainingSeconds: -3599 })).toBe(false)
    expect(lateWords(classicCyanotype, { ...read(8, 800), remainingSeconds: -7200 })).toBe(
      'the coat is too old',
    )
  })

  it('of an exposure past its end says how far, and from half as much again that it is over-exposed', () => {
    const past = (seconds: number) => read(9, 900 + 480 + seconds)
    expect(plain(stillExposing(past(90)))).toBe('still exposing, 1 min 30 s past its end')
    expect(plain(stillExposing(past(240)))).toBe('still exposing, 4 min past its end, over-exposed')
  })

  it('shows the second it is in until that second is over', () => {
    expect(ledgeFigure({ ...read(9, 1000), remainingSeconds: 0.2 })).toBe('0:01')
    expect(ledgeFigure({ ...read(9, 1000), remainingSeconds: 0 })).toBe('0:00')
  })
})

describe('moments', () => {
  const noon = new Date(2026, 2, 4, 12, 0).getTime()
  const hours = (count: number) => noon + count * 3_600_000

  it.each([
    [2, '14:00'],
    [-3, '09:00'],
    [20, 'tomorrow 08:00'],
    [-20, 'yesterday 16:00'],
    [13, 'tomorrow 01:00'],
    [365 * 24, '4 Mar 2027'],
    [-365 * 24, '4 Mar 2025'],
    [72, 'Sat 7 Mar'],
    [-72, 'Sun 1 Mar'],
  ])('%d hours from noon is said “%s”', (count, said) => expect(momentSaid(hours(count), noon)).toBe(said))

  it('that are past are said by their age, and never before now', () => {
    expect(agoSaid(hours(-3), noon)).toMatch(/^3.h ago$/)
    expect(agoSaid(noon - 15_000, noon)).toBe('just now')
    expect(agoSaid(noon + 15_000, noon)).toBe('just now')
  })

  it('name days and hours', () => {
    expect(dayOf(noon)).toBe('Wed 4 Mar')
    expect(timeOfDay(noon)).toBe('12:00')
  })
})

describe('figureText', () => {
  const figure = (value: number, unit: string) => ({
    value,
    unit,
    working: { words: '', formula: '', inputs: [], standing: 'practice' as const, source: '' },
  })

  it.each([
    [2.0026, 'ml', '2.00 ml'],
    [12.5, '% w/v', '12.5 % w/v'],
    [480, 's', '8 min'],
    [40, 'drops', '40 drops'],
    [0.15185, 'mol/l', '0.152 mol/l'],
  ])('writes %d %s as “%s”', (value, unit, text) => expect(plain(figureText(figure(value, unit)))).toBe(text))
})

describe('planNotes', () => {
  const titles = (...paper: ['yes' | 'no', boolean]) =>
    planNotes(classicCyanotype, {}, ...paper).map((note) => note.title)

  it('warn of chalk, but not where an acid has taken it out', () => {
    expect(titles('yes', false)).toContain('This paper is buffered')
    expect(titles('yes', true)).not.toContain('This paper is buffered')
    expect(titles('no', false)).not.toContain('This paper is buffered')
  })
})

describe('stepNotes', () => {
  it('tell what to look for, every caution, and why', () => {
    const mix = classicCyanotype.steps.find((step) => step.id === 'mix')!
    const notes = stepNotes(classicCyanotype, mix)
    expect(notes.map((note) => note.title)).toEqual([
      'What to look for',
      'Safety: potassium ferricyanide',
      'Safety: ferric ammonium citrate',
      'Why: count the drops',
      'Good practice',
    ])
    expect(notes.filter((note) => note.tone === 'caution')).toHaveLength(2)
  })

  it('say nothing where there is no step or no such caution', () => {
    expect(stepNotes(classicCyanotype, null)).toEqual([])
    expect(cautionNotes(classicCyanotype, 'plutonium')).toEqual([])
  })
})
