import { replay } from '@core/run/run'
import { emptyRun } from '@core/run/runState'
import type { Happening } from '@core/schema/event'
import { sheet } from '@core/fixtures/workroom'
import { logOf, SHEET, T0, uuid, wholeJob } from '@core/fixtures/logs'
import { classicCyanotype } from '@library/processes/classicCyanotype'
import type { SheetInRoom } from '../../state/workroom.store'
import { readReadings, type ReadingDraft } from './measure.draft'
import { dryDownNote, fadingNote, settlingNote, settlingOf } from './printNotes'
import { found, standingIdOf, ThreadTexts, wordsOf, type PrintFilter } from './printSearch'
import { exampleOf, rangeOf, VALUES, type ValueId } from './printValues'
import { sheetColour, standingWords, wantsLook } from '../../words/printWords'

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
    [inRoom(8), 800, 'waiting: expose'],
    [inRoom(9), 1000, 'exposing'],
    [inRoom(14), 1600, 'washing'],
    [inRoom(16), 2000, /^drying, check tomorrow \d\d:\d\d$/],
    [inRoom(16), 90_000, 'dry check due'],
    [inRoom(16, [90_000, judged('dry', 'keep')]), 90_100, /^dry, kept, check /],
    [inRoom(16, [90_000, judged('dry', 'again')]), 1_300_000, 'two-week check due'],
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
  const names = {
    papers: new Map([[uuid(2), { id: uuid(2), name: 'Heron rag', note: '', changedAt: T0 }]]),
    lights: new Map(),
    bottles: new Map(),
  }
  const hung = inRoom(16, [90_000, judged('dry', 'keep', 'The marks are readable')])
  const one = { ...hung, sheet: { ...hung.sheet, paperId: uuid(2), edition: { number: 2, of: 7 } } }
  const texts = new ThreadTexts()
  const ask = (list: readonly SheetInRoom[], filter: Partial<PrintFilter>) =>
    found(list, { words: '', portfolio: '', processId: '', standing: '', ...filter }, (each) =>
      texts.of([each], names),
    )

  it.each([
    ['tide', true],
    ['TIDE gauge', true],
    ['gauge readable', true],
    ['sheet 7', true],
    ['cyanotype', true],
    ['kept', true],
    ['heron', true],
    ['edition 2', true],
    ['january 2026', true],
    ['“marks are readable”', true],
    ['"gauge readable"', false],
    ['', true],
    ['buoy', false],
    ['tide buoy', false],
  ])('“%s” is %s', (words, isFound) => expect(ask([one], { words })).toEqual(isFound ? [one] : []))

  it('looks into reasons and notes too, and into every layer', () => {
    const aside = inRoom(
      9,
      [1000, { type: 'noted', text: 'lamp flickers' }],
      [1001, { type: 'setAside', reason: 'fogged in the drawer' }],
    )
    expect(ask([aside], { words: 'flickers drawer' })).toEqual([aside])
    const layers = found([one], { words: 'flickers', portfolio: '', processId: '', standing: '' }, () =>
      texts.of([aside, one], names),
    )
    expect(layers).toEqual([one])
  })

  it('sifts by portfolio, process and standing', () => {
    const again = inRoom(16, [90_000, judged('dry', 'again')])
    expect(ask([one, again, inRoom(9)], { standing: 'again' })).toEqual([again])
    expect(ask([one], { standing: 'kept', portfolio: one.sheet.portfolio })).toEqual([one])
    expect(ask([one], { portfolio: 'Another' })).toEqual([])
    expect(ask([one], { processId: 'van-dyke' })).toEqual([])
    expect([inRoom(0), inRoom(9), inRoom(16)].map(standingIdOf)).toEqual(['work', 'work', 'line'])
  })

  it('makes each text once, until what it names has changed', () => {
    expect(texts.of([one], names)).toBe(texts.of([one], names))
    const renamed = {
      ...names,
      papers: new Map([[uuid(2), { ...names.papers.get(uuid(2))!, name: 'Crane' }]]),
    }
    expect(texts.of([one], renamed)).toContain('crane')
  })

  it('takes words apart at blanks, and leaves alone what is quoted', () => {
    expect(wordsOf('two "as it stands" “and so” end')).toEqual(['two', 'as it stands', 'and so', 'end'])
    expect(wordsOf('"never closed')).toEqual(['never closed'])
  })
})

describe('prints by a value', () => {
  const within = (id: ValueId, from: string, to: string, one: SheetInRoom) => rangeOf(id, { from, to }, 'cm')?.(one)
  const hung = inRoom(16, [90_000, { type: 'measured', moment: 'dry', by: 'typed', readings: [{ of: 'black', name: '', density: 1.42 }, { of: 'white', name: '', density: 0.08 }] }])
  const one = { ...hung, sheet: { ...hung.sheet, widthMillimetres: 200, heightMillimetres: 250, coats: 2, coverageMillilitresPerM2: 45 } }
  const unread = { ...one, state: { ...one.state, measurements: [], room: null } }
  const roomed = { ...one, state: { ...one.state, room: { at: T0, celsius: 21.5, relativeHumidity: 38 } } }

  it.each<[ValueId, string, string, boolean]>([
    ['black', '1.4', '', true],
    ['black', '', '1.4', false],
    ['black', '1,4', '1.42', true],
    ['black', '1.5', '1.3', true],
    ['white', '90', '', true],
    ['white', '', '90', false],
    ['humidity', '30', '40', true],
    ['humidity', '40', '', false],
    ['celsius', '20', '22', true],
    ['side', '25', '25', true],
    ['side', '10 in', '', false],
    ['coats', '2', '2', true],
    ['coverage', '', '40', false],
    ['made', '2026', '2026', true],
    ['made', '2026-01', '', true],
    ['made', '', '2025-12-31', false],
    ['made', '2026-02', '2026-01', true],
  ])('%s from “%s” to “%s”', (id, from, to, isFound) => expect(within(id, from, to, roomed)).toBe(isFound))

  it('by the exposure that it was given, in minutes where no unit is written', () => {
    const step = one.state.steps.find((each) => each.planned.kind === 'expose')!
    const given = { ...one, state: { ...one.state, steps: one.state.steps.map((each) => (each === step ? { ...each, dose: { by: 'meter' as const, seconds: 500 } } : each)) } }
    expect(within('exposure', '8', '9', given)).toBe(true)
    expect(within('exposure', '8:21', '', given)).toBe(false)
    expect(within('exposure', '', '500 s', given)).toBe(true)
    const planned = { ...inRoom(0), sheet: { ...sheet, exposureSeconds: 480 } }
    expect(within('exposure', '8', '8', planned)).toBe(true)
  })

  it('leaves out what nobody read, and asks nothing while both ends are open', () => {
    expect(within('black', '0', '4', unread)).toBe(false)
    expect(within('humidity', '0', '', unread)).toBe(false)
    expect(rangeOf('black', { from: ' ', to: '' }, 'in')).toBeNull()
  })

  it.each<[ValueId, string, string, 'from' | 'to']>([
    ['black', 'deep', '', 'from'],
    ['exposure', '8', 'long', 'to'],
    ['made', '2026-13', '', 'from'],
    ['made', '', '2026-02-30', 'to'],
    ['side', 'large', '', 'from'],
  ])('refuses %s from “%s” to “%s” beside its field', (id, from, to, field) =>
    expect(() => rangeOf(id, { from, to }, 'cm')).toThrow(expect.objectContaining({ refusal: expect.objectContaining({ field }) })))

  it('has an example for each that it can read itself', () => {
    for (const { id } of VALUES) expect(rangeOf(id, { from: exampleOf(id), to: exampleOf(id) }, 'cm')).not.toBeNull()
  })

  it('sifts along with words and standings', () => {
    const filter = { words: 'tide', portfolio: '', processId: '', standing: '' } as const
    expect(found([roomed, unread], filter, () => 'tide', rangeOf('black', { from: '1', to: '' }, 'cm'))).toEqual([roomed])
    expect(found([roomed], { ...filter, words: 'buoy' }, () => 'tide', rangeOf('black', { from: '1', to: '' }, 'cm'))).toEqual([])
  })
}) // prettier-ignore

describe('what is measured', () => {
  const rows = (...typed: [string, string][]): ReadingDraft[] =>
    typed.map(([density, lab], i) => ({
      of: (['black', 'white', 'patch'] as const)[i]!,
      name: '',
      density,
      lab,
    }))

  it('is read as it is written, with a comma or a colour', () => {
    expect(readReadings(rows(['1,42', ''], ['', '95 0.5 -2']))).toEqual([
      { of: 'black', name: '', density: 1.42 },
      { of: 'white', name: '', lab: [95, 0.5, -2] },
    ])
    expect(readReadings(rows(['', ''], ['', ''], ['0.7', '']))).toEqual([
      { of: 'patch', name: 'patch 1', density: 0.7 },
    ])
  })

  it.each<[[string, string][], string]>([
    [[['', '']], 'nothing'],
    [[['black', '']], 'unreadable'],
    [[['9', '']], 'out-of-range'],
    [[['1.4', '20 3']], 'unreadable'],
  ])('%j is refused', (typed, code) =>
    expect(() => readReadings(rows(...typed))).toThrow(expect.objectContaining({ code })),
  )
})

describe('a print over the years', () => {
  const read = (moment: 'wet' | 'dry' | 'later', black: number, white: number): Happening => ({
    type: 'measured',
    moment,
    by: 'typed',
    readings: [
      { of: 'black', name: '', density: black },
      { of: 'white', name: '', density: white },
    ],
  })

  it('shows how it has changed, and says nothing of one that was read once', () => {
    expect(fadingNote(inRoom(16, [90_000, read('dry', 1.4, 0.07)]), at(90_001))).toEqual([])
    const [note] = fadingNote(
      inRoom(16, [90_000, read('dry', 1.4, 0.07)], [9e7, read('later', 1.18, 0.12)]),
      at(9e7),
    )
    expect(note?.tone).toBe('caution')
    expect(note?.lines[0]).toMatch(/^black: density −0\.22 since /)
  })

  it('tells what drying does, and what to look for in the tray', () => {
    const kept = inRoom(
      16,
      [2000, read('wet', 1.2, 0.1)],
      [90_000, read('dry', 1.45, 0.08)],
      [90_001, judged('dry', 'keep')],
    )
    const other = { ...inRoom(16), sheet: { ...sheet, id: uuid(77) } }
    const [note] = dryDownNote(other, [kept])
    expect(note?.lines.join(' ')).toMatch(
      /For a black of 1\.37 above paper white when dry, aim for 1\.\d\d in the tray/,
    )
    expect(dryDownNote(other, [])).toEqual([])
  })

  const blue = (moment: 'dry' | 'settled', lab: [number, number, number]): Happening => ({
    type: 'measured',
    moment,
    by: 'typed',
    readings: [{ of: 'black', name: '', lab }],
  })
  const settled = (n: number, to: [number, number, number]): SheetInRoom => ({
    ...inRoom(16, [90_000, blue('dry', [26, 1, -24])], [1_300_000, blue('settled', to)]),
    sheet: { ...sheet, id: uuid(80 + n) },
  })

  it('tells a print that is dry what others came to, and says nothing where none moved', () => {
    const dry = inRoom(16, [90_000, blue('dry', [27, 1, -22])])
    const others = [0, 1, 2, 3].map((n) => settled(n, [23, 1, -32]))
    const [note] = settlingNote(dry, settlingOf(dry, [dry, ...others]), at(100_000))
    expect(note?.title).toBe('Colour settling')
    expect(note?.lines).toHaveLength(1)
    expect(note?.lines[0]).toMatch(/^Dmax: will settle by about ΔE₀₀ \d\.\d, to L\* a\* b\* \d\d\.\d 1\.0 −2\d\.\d, as 4\sprints of the process on this paper did\./) // prettier-ignore
    const elsewhere = others.slice(1).map((one) => ({ ...one, sheet: { ...one.sheet, paperId: uuid(66) } }))
    expect(settlingNote(dry, settlingOf(dry, [others[0]!, ...elsewhere]), at(100_000))[0]?.lines[0]).toMatch(/as 4\sprints of the process, 1 of them on this paper, did\./) // prettier-ignore
    expect(settlingNote(dry, settlingOf(dry, [dry]), at(100_000))).toEqual([])
    expect(settlingNote(dry, settlingOf(dry, [dry, settled(0, [26, 1, -24])]), at(100_000))).toEqual([])
  })

  it('says whether the colour still moves', () => {
    const lines = (to: [number, number, number]) => settlingNote(settled(0, to), [], at(1_300_001))[0]?.lines.join()
    expect(lines([22, 1, -34])).toMatch(/^Dmax: still changing, ΔE₀₀ 0\.\d a day since/)
    expect(lines([26, 1, -24.4])).toMatch(/^Dmax: stable since/)
  }) // prettier-ignore
})
