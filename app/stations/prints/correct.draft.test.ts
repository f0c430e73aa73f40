import { logOf, SHEET, uuid, wholeJob } from '@core/fixtures/logs'
import { stepEntriesOf } from '@core/run/corrections'
import {
  missable,
  momentText,
  readCorrections,
  stepDrafts,
  type MissedDraft,
  type StepDraft,
} from './correct.draft'

const entries = stepEntriesOf(SHEET, logOf(wholeJob))
const names = { step: (one: (typeof entries)[number]) => one.step.planned.id, component: (id: string) => id }
const nothing: MissedDraft = { what: '', at: '', until: '' }
/** What the form asks for after one step was written over. */
function asked(id: string, change: Partial<StepDraft>, missed = nothing) {
  const drafts = stepDrafts(entries, names).map((one) => (one.id === id ? { ...one, ...change } : one))
  return readCorrections(entries, drafts, missed)
}
const endOfExposure = entries.find(({ step }) => step.planned.id === 'expose')!.end!.at
const onTheDay = (hours: number, minutes: number, seconds = 0) =>
  new Date(endOfExposure).setHours(hours, minutes, seconds, 0)

describe('the form of corrections', () => {
  it('asks for nothing where nothing was written', () => expect(asked('expose', {})).toEqual([]))

  it('shows a start only where the step has one of its own', () =>
    expect(stepDrafts(entries, names).map(({ id, started, finished }) => [id, started !== undefined, finished !== undefined])).toEqual([
      ['mix', false, true],
      ['spread', false, true],
      ['dry', false, true],
      ['expose', true, true],
      ['wash', true, true],
      ['hang', false, false],
    ])) // prettier-ignore

  it('takes a time without a day as one of the recorded day', () =>
    expect(asked('expose', { finished: '14:05:20' })).toEqual([
      { type: 'corrected', eventId: uuid(1012), right: { at: onTheDay(14, 5, 20) } },
    ]))

  it('reads a moment as it writes it', () =>
    expect(asked('expose', { finished: momentText(endOfExposure + 60_000) })).toMatchObject([
      { right: { at: Math.floor((endOfExposure + 60_000) / 1000) * 1000 } },
    ]))

  it('corrects drops', () =>
    expect(
      asked('mix', { drops: [{ component: 'iron', name: 'iron', count: '3' }, { component: 'ferricyanide', name: 'f', count: '2' }] }),
    ).toEqual([{ type: 'corrected', eventId: uuid(1005), right: { drops: [{ component: 'iron', count: 3 }] } }])) // prettier-ignore

  it('enters a pause and a change of water late', () => {
    expect(missable(entries, names).map(({ id }) => id)).toEqual(['expose/looked', 'wash/waterChanged'])
    expect(asked('', {}, { what: 'expose/looked', at: '14:00', until: '14:02' })).toEqual([
      { type: 'enteredLate', happenedAt: onTheDay(14, 0), what: { type: 'looked', step: 'expose' } },
      { type: 'enteredLate', happenedAt: onTheDay(14, 2), what: { type: 'returned', step: 'expose' } },
    ])
    expect(asked('', {}, { what: 'wash/waterChanged', at: '14:30', until: '' })).toMatchObject([
      { happenedAt: onTheDay(14, 30), what: { type: 'waterChanged', step: 'wash' } },
    ])
  })

  it.each<[string, () => unknown, string]>([
    ['a time that is none', () => asked('expose', { finished: 'noon' }), 'expose/finished'],
    ['a time that was wiped out', () => asked('expose', { finished: '' }), 'expose/finished'],
    ['drops that are none', () => asked('mix', { drops: [{ component: 'iron', name: 'iron', count: '2.5' }] }), 'mix/iron'],
    ['a missed entry without its time', () => asked('', {}, { what: 'wash/waterChanged', at: '', until: '' }), 'missed/at'],
    ['a pause without its end', () => asked('', {}, { what: 'expose/looked', at: '14:00', until: '' }), 'missed/until'],
  ])('names the field of %s', (_, read, field) =>
    expect(read).toThrow(expect.objectContaining({ refusal: expect.objectContaining({ field }) })),
  ) // prettier-ignore
})
