import type { ProcessDefinition } from '../schema/definition'
import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { replay } from './run'
import { storyOf, type StoryLine } from './story'

/** Only names matter to a story. */
const definition = {
  components: [
    { id: 'iron', name: 'Iron' },
    { id: 'ferricyanide', name: 'Ferricyanide' },
  ],
  steps: [
    { id: 'mix', title: 'Mixing' },
    { id: 'spread', title: 'Coating' },
    { id: 'dry', title: 'Drying' },
    { id: 'expose', title: 'Exposure' },
    { id: 'wash', title: 'Washing' },
    { id: 'hang', title: 'Hanging' },
  ],
} as unknown as ProcessDefinition

const plain = (text: string) => text.replace(/\u00a0/g, ' ')
const tell = (happened: readonly (readonly [number, Happening])[]): StoryLine[] =>
  storyOf(SHEET, logOf(happened), definition)
const line = (happened: readonly (readonly [number, Happening])[], what: string) =>
  plain(tell(happened).find((one) => one.what === what)?.detail ?? '(nothing)')
const finish = (step: string): Happening => ({ type: 'stepFinished', step })

describe('a story', () => {
  it('is empty before anything happened, and in the order of what happened after', () => {
    expect(storyOf(SHEET, [], definition)).toEqual([])
    const stamps = tell(wholeJob).map((one) => one.at)
    expect(stamps).toEqual([...stamps].sort((a, b) => a - b))
  })

  it('dates each step at its end: a second count hours later is not part of the first morning', () => {
    const hours = 3600
    const late: readonly (readonly [number, Happening])[] = [
      [0, begun],
      [1, { type: 'dropped', component: 'iron', change: 2 }],
      [2 * hours, { type: 'dropped', component: 'ferricyanide', change: 2 }],
      [2 * hours + 10, finish('mix')],
      [2 * hours + 100, finish('spread')],
    ]
    const told = tell(late).map(({ what, at }) => [what, (at - T0) / 1000])
    expect(told).toEqual([
      ['Mixing', 2 * hours + 10],
      ['Coating', 2 * hours + 100],
      // Under way: since when.
      ['Drying', 2 * hours + 100],
    ])
  })

  it('blames no hand for a few seconds', () => {
    expect(line([...wholeJob.slice(0, 15), [1500 + 296, finish('wash')]], 'Washing')).not.toContain('under')
    expect(line([...wholeJob.slice(0, 15), [1500 + 200, finish('wash')]], 'Washing')).toContain(
      'under the minimum',
    )
  })

  it('tells what was corrected and what was entered late, by how much', () => {
    const amended: readonly (readonly [number, Happening])[] = [
      ...wholeJob,
      [3000, { type: 'corrected', eventId: uuid(1012), right: { at: T0 + 1400_000 } }],
      [3001, { type: 'enteredLate', happenedAt: T0 + 1701_000, what: { type: 'waterChanged', step: 'wash' } }],
      [3002, { type: 'corrected', eventId: uuid(1005), right: { drops: [{ component: 'iron', count: 3 }] } }],
    ]
    expect(tell(amended).slice(-3).map(({ what, detail }) => plain(`${what}: ${detail}`))).toEqual([
      'Corrected: Exposure, end: 1 min earlier than first recorded',
      'Entered later: Washing, water change, 21 min 40 s after it happened',
      'Corrected: Mixing, end: Iron 3 drops',
    ])
    expect(line(amended, 'Exposure')).toMatch(/^8 min/)
    expect(line(amended, 'Mixing')).toBe('Iron 3 drops, planned 2, Ferricyanide 2 drops')
  }) // prettier-ignore

  it('tells when drops differ from the plan', () => {
    const over: readonly (readonly [number, Happening])[] = [
      [0, begun],
      [1, { type: 'dropped', component: 'iron', change: 3 }],
      [2, { type: 'dropped', component: 'ferricyanide', change: 2 }],
    ]
    expect(line(over, 'Mixing')).toBe('Iron 3 drops, planned 2, Ferricyanide 2 drops')
  })

  it.each<[string, number, string]>([
    ['as planned', 900 + 480, '8 min, as planned'],
    ['a breath late, as planned', 900 + 484, '8 min 4 s, as planned'],
    ['longer', 900 + 540, '9 min, planned 8 min'],
    ['shorter', 900 + 240, '4 min, planned 8 min'],
    ['forgotten', 900 + 720, '12 min, planned 8 min, over-exposed'],
  ])('tells an exposure that was %s', (_, ended, told) => {
    expect(line([...wholeJob.slice(0, 9), [ended, finish('expose')]], 'Exposure')).toBe(told)
  })

  it('says an exposure that was changed beside what it was changed to', () =>
    expect(
      line(
        [
          ...wholeJob.slice(0, 9),
          [1000, { type: 'exposureChanged', step: 'expose', plannedSeconds: 605, said: '+1/3 stop' }],
          [900 + 607, finish('expose')],
        ],
        'Exposure',
      ),
    ).toBe('10 min 7 s, planned 10 min 5 s (changed by +1/3 stop)'))

  it('tells a coat that took too long and a drying cut short', () => {
    expect(line([...wholeJob.slice(0, 6), [10 + 150, finish('spread')]], 'Coating')).toBe(
      '2 min 30 s, 30 s over',
    )
    expect(line([...wholeJob.slice(0, 7), [100 + 480, finish('dry')]], 'Drying')).toBe(
      '8 min, 2 min under the minimum',
    )
  })

  it('counts looks and waters, one and many', () => {
    const water: Happening = { type: 'waterChanged', step: 'wash' }
    expect(line([...wholeJob.slice(0, 14), [1510, water], [1900, finish('wash')]], 'Washing')).toBe(
      '6 min 40 s, 1 change of water',
    )
    expect(
      line([...wholeJob.slice(0, 14), [1510, water], [1600, water], [1900, finish('wash')]], 'Washing'),
    ).toContain('2 changes of water')
  })

  it('says what is still going', () => {
    expect(line(wholeJob.slice(0, 9), 'Exposure')).toBe('in progress')
    expect(line(wholeJob, 'Hanging')).toBe('in progress')
  })

  it('leaves out what was taken back', () => {
    const undone: readonly (readonly [number, Happening])[] = [
      ...wholeJob.slice(0, 9),
      [1000, { type: 'noted', text: 'a slip' }],
      [1001, { type: 'undone', eventId: uuid(1009) }],
    ]
    expect(tell(undone).some((one) => one.what === 'Note')).toBe(false)
  })

  it('tells notes, photographs, judgements and ends in their own tone', () => {
    const told = tell([
      ...wholeJob,
      [1900, { type: 'photographed', photoId: uuid(50) }],
      [
        2000,
        {
          type: 'judged',
          moment: 'wet',
          verdict: 'undecided',
          whites: 'yellow',
          shadows: 'thin',
          highlights: 'veiled',
          note: '',
        },
      ],
      [90_000, { type: 'judged', moment: 'dry', verdict: 'again', note: 'More light.' }],
      [90_010, { type: 'noted', text: 'Lamp is old.' }],
      [90_020, { type: 'setAside', reason: 'Yellow.' }],
    ])
    expect(told.slice(-5).map((one) => [one.tone, one.what, one.detail])).toEqual([
      ['note', 'Photo added', ''],
      ['judgement', 'Wet check', 'not decided, shadows too light, highlights grey, whites yellow'],
      ['judgement', 'Dry check', 'print it again, More light.'],
      ['note', 'Note', 'Lamp is old.'],
      ['ended', 'Set aside', 'Yellow.'],
    ])
  })

  it('keeps the id of a step that the process no longer knows', () => {
    const bare = { ...definition, steps: [] } as ProcessDefinition
    expect(storyOf(SHEET, logOf(wholeJob), bare).map((one) => one.what)).toContain('expose')
  })

  it('tells each coat under its own number, and what was said of it', () => {
    const [first, ...others] = wholeJob
    const begun = first![1] as Extract<Happening, { type: 'begun' }>
    const steps = begun.steps.flatMap((step) =>
      step.id === 'spread'
        ? [
            { ...step, coat: 1 },
            { ...step, id: 'spread-2', of: 'spread', coat: 2, begins: 'press' as const },
          ]
        : [step],
    )
    const log = logOf([
      [0, { ...begun, steps }],
      ...others.slice(0, 6),
      [101, { type: 'coatJudged', coat: 1, said: 'short' }],
      [102, { type: 'coatJudged', coat: 1, said: 'over', byMillilitres: 0.25 }],
      [110, { type: 'stepStarted', step: 'spread-2' }],
      [180, { type: 'stepFinished', step: 'spread-2' }],
    ])
    const told = storyOf(SHEET, log, definition).map((one) =>
      `${one.what}: ${one.detail}`.replace(/\u00a0/g, ' '),
    )
    expect(told.some((line) => line.includes(', coat 2: 1 min 10 s'))).toBe(true)
    expect(told).toContain('Coat 1: not enough')
    expect(told).toContain('Coat 1: too much, by 0.25 ml')
    // The later word on a coat stands.
    expect(replay(SHEET, log).coatsJudged).toEqual([{ coat: 1, said: 'over', byMillilitres: 0.25 }])
  })
})
