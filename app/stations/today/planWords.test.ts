import { T0 } from '@core/fixtures/logs'
import { CoreError } from '@core/errors'
import { becauseLine, preparationLine, reasonLine, refusalLine, slipLine } from './planWords'
import { readTime } from './readTime'

const named = (id: string) => `Sheet ${id}`
const plain = (text: string) => text.replace(/\u00a0/g, ' ')

describe('why there is no plan', () => {
  it.each([
    [{ kind: 'pins' }, /moved by hand/],
    [{ kind: 'finishBy', endsAt: T0 }, /The best plan found ends at/],
    [{ kind: 'sheet', sheetId: '7' }, /^Sheet 7 cannot be printed/],
    [{ kind: 'room', more: 'frames' }, /One more frame/],
    [{ kind: 'room', more: 'washPlaces' }, /in the wash/],
    [{ kind: 'without', sheetId: '9' }, /without Sheet 9/],
    [
      { kind: 'waits', sheetId: '3', stepIds: ['dry', 'expose'] },
      /^Sheet 3: the times of “dry” and “expose” contradict/,
    ],
    [{ kind: 'tooLong', sheetIds: ['3', '4'] }, /^Sheet 3, Sheet 4 take longer/],
    [{ kind: 'tooLong', sheetIds: ['3'] }, /^Sheet 3 takes longer/],
  ] as const)('%o', (reason, said) => expect(reasonLine(reason, named, T0, (_, step) => step)).toMatch(said))

  it('says of a moved step what is in its way and what would do', () => {
    expect(refusalLine({ kind: 'itsOwn', earliest: T0 }, named, T0).remedy).toMatch(/earliest start is/)
    expect(refusalLine({ kind: 'another', sheetId: '3' }, named, T0).problem).toBe(
      'Sheet 3 needs the same equipment at that time.',
    )
    expect(refusalLine({ kind: 'together' }, named, T0).remedy).toMatch(/less far/)
  })
})

describe('what slipped and what is due', () => {
  it('is said in minutes', () => {
    const slip = { sheetId: '5', stepId: 'x', seconds: 610, isWaiting: true }
    expect(plain(slipLine(slip, named, 'in the frame'))).toBe(
      'Sheet 5: in the frame has been waiting for 10 min.',
    )
    expect(plain(slipLine({ ...slip, isWaiting: false }, named, 'in the frame'))).toBe(
      'Sheet 5: in the frame started 10 min late.',
    )
  })

  it('names a preparation and its reason', () => {
    const one = {
      kind: 'make',
      id: 'gum',
      what: 'Gum',
      beginBy: 0,
      wantedAt: 0,
      because: 'ripens',
    } as const
    expect(plain(preparationLine({ ...one, millilitres: 40 }))).toBe('Make Gum, 40 ml')
    expect(becauseLine(one)).toBe('it needs time to rest')
    expect(preparationLine({ ...one, kind: 'treat', what: 'Rag' })).toBe('Remove the chalk from Rag')
  })
})

describe('a time of day', () => {
  const noon = new Date(2026, 2, 2, 12, 0).getTime()
  it.each([
    ['14:30', 150],
    ['13', 60],
    ['9.15', 21 * 60 + 15],
    ['12:00', 24 * 60],
  ])('%s is the next such moment', (text, minutes) =>
    expect(readTime(text, noon, 'start')).toBe(noon + minutes * 60_000),
  )
  it('is nothing where nothing is written', () => {
    expect(readTime(' ', noon, 'start')).toBeNull()
    expect(readTime('now', noon, 'start')).toBeNull()
  })
  it.each(['25:00', '12:60', 'noon', '1:2:3'])('%s is none', (text) =>
    expect(() => readTime(text, noon, 'start')).toThrow(CoreError),
  )
})
