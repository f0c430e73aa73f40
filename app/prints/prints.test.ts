import { emptyRun, replay } from '@core/process/run'
import type { Happening } from '@core/record/event'
import { logOf, sheet, SHEET, T0, wholeJob } from '@core/fixtures/workroom'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import type { SheetInRoom } from '../data/workroom.store'
import { matches, sheetColour, standingWords, wantsLook } from './printWords'

const at = (seconds: number) => T0 + seconds * 1000
const inRoom = (count: number, ...more: (readonly [number, Happening])[]): SheetInRoom => ({
  sheet,
  definition: classicCyanotype,
  state: count ? replay(SHEET, logOf([...wholeJob.slice(0, count), ...more])) : emptyRun(SHEET),
})
const judged = (
  moment: 'dry' | 'settled',
  verdict: 'keep' | 'again' | 'undecided',
  note = '',
): Happening => ({
  type: 'judged',
  moment,
  verdict,
  note,
})

describe('how a print stands', () => {
  it.each<[SheetInRoom, number, string | RegExp]>([
    [inRoom(0), 0, 'planned'],
    [inRoom(1), 1, 'waiting: count the drops'],
    [inRoom(7), 200, 'drying in the dark'],
    [inRoom(8), 800, 'waiting: in the frame'],
    [inRoom(9), 1000, 'exposing'],
    [inRoom(14), 1600, 'washing'],
    [inRoom(16), 2000, /^on the line, look again tomorrow \d\d:\d\d$/],
    [inRoom(16), 90_000, 'due for a dry look'],
    [inRoom(16, [90_000, judged('dry', 'keep')]), 90_100, /^dry, kept, look again /],
    [inRoom(16, [90_000, judged('dry', 'again')]), 1_300_000, 'due for its settled look'],
    [inRoom(16, [1_300_000, judged('settled', 'keep')]), 1_300_001, 'dry, kept'],
    [inRoom(16, [1_300_000, judged('settled', 'again')]), 1_300_001, 'to be printed again'],
    [inRoom(9, [1000, { type: 'setAside', reason: 'fogged' }]), 1001, 'set aside'],
  ])('is said in words', (one, seconds, words) => {
    if (typeof words === 'string') expect(standingWords(one, at(seconds))).toBe(words)
    else expect(standingWords(one, at(seconds))).toMatch(words)
  })

  it('wants a look only when one is due', () => {
    expect(wantsLook(inRoom(16), at(2000))).toBe(false)
    expect(wantsLook(inRoom(16), at(90_000))).toBe(true)
    expect(wantsLook(inRoom(16, [90_000, judged('dry', 'keep')]), at(90_001))).toBe(false)
  })

  it('is drawn in the colour of its stage, and bare before it begins', () => {
    const { colours } = classicCyanotype
    expect([0, 1, 7, 9, 14, 16].map((count) => sheetColour(inRoom(count)))).toEqual([
      null,
      colours.wetCoat,
      colours.dryCoat,
      colours.dryCoat,
      colours.exposed,
      colours.print,
    ])
  })
})

describe('finding in any thread', () => {
  const one = inRoom(16, [90_000, judged('dry', 'keep', 'The marks are readable')])

  it.each([
    ['tide', true],
    ['TIDE gauge', true],
    ['gauge readable', true],
    ['sheet 7', true],
    ['cyanotype', true],
    ['kept', true],
    ['heron', true],
    ['', true],
    ['buoy', false],
    ['tide buoy', false],
  ])('“%s” is %s', (words, found) =>
    expect(matches(one, words, ['Heron rag', undefined], at(90_100))).toBe(found),
  )

  it('looks into reasons and notes too', () => {
    const aside = inRoom(
      9,
      [1000, { type: 'noted', text: 'lamp flickers' }],
      [1001, { type: 'setAside', reason: 'fogged in the drawer' }],
    )
    expect(matches(aside, 'flickers drawer', [], at(1002))).toBe(true)
  })
})
