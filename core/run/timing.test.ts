import { begun, logOf, SHEET, T0 } from '../fixtures/logs'
import type { ProcessDefinition } from '../schema/definition'
import type { Happening, PlannedStep } from '../schema/event'
import { nextRocking, paperDoubts, slipsOf } from './timing'
import { replay } from './run'
import { unknownProcess } from '../process/unknownProcess'

const practice = { standing: 'practice', source: 'common practice' } as const
const MINUTE = 60
const plan: PlannedStep[] = [
  { id: 'dry', station: 'coat', place: 'dark', kind: 'wait', begins: 'press', leastSeconds: 600, keepsLeastSeconds: 3600, keepsSeconds: 7200 },
  { id: 'expose', station: 'light', place: 'light', kind: 'expose', begins: 'press', plannedSeconds: 300 },
  { id: 'clear', station: 'wet', place: 'water', kind: 'bath', begins: 'press', leastSeconds: 120, mostSeconds: 300, rockSeconds: 30 },
  { id: 'wash', station: 'wet', place: 'water', kind: 'bath', begins: 'press', leastSeconds: 1800 },
  { id: 'hang', station: 'line', place: 'line', kind: 'hang', begins: 'atOnce' },
] // prettier-ignore

const words = (id: string, more: Partial<ProcessDefinition['steps'][number]>) => ({
  ...(unknownProcess('x').steps[0] ?? {}),
  id,
  ...more,
})
const definition = {
  ...unknownProcess('kallitype'),
  steps: [
    words('clear', {
      early: 'Iron is left.',
      late: { afterSeconds: 6 * MINUTE, means: 'The paper does not suit.', blames: 'paper' },
      time: { leastSeconds: 120, mostSeconds: 300, ...practice },
    }),
    words('wash', {}),
  ],
} as ProcessDefinition

/** A run in which the coat lay so long, and the clearing and the wash lasted so long, in seconds. */
function runOf(lay: number, cleared: number, washed: number) {
  const at = [0, 1, 700, 700 + lay, 1000 + lay, 1010 + lay, 1010 + lay + cleared, 1020 + lay + cleared]
  const what: Happening[] = [
    { ...begun, steps: plan } as Happening,
    { type: 'stepStarted', step: 'dry' },
    { type: 'stepFinished', step: 'dry' },
    { type: 'stepStarted', step: 'expose' },
    { type: 'stepFinished', step: 'expose' },
    { type: 'stepStarted', step: 'clear' },
    { type: 'stepFinished', step: 'clear' },
    { type: 'stepStarted', step: 'wash' },
    { type: 'stepFinished', step: 'wash' },
  ]
  const moments = [...at, 1020 + lay + cleared + washed]
  return replay(SHEET, logOf(what.map((one, i) => [moments[i]!, one] as const)))
}
const slips = (...times: [number, number, number]) => slipsOf(runOf(...times), definition, T0 + 1e9)

describe('what came early or late', () => {
  it('is nothing where all was done in time', () => expect(slips(4000, 240, 1800)).toEqual([]))

  it('takes no notice of a hand that was a little quick', () => expect(slips(4000, 118, 1760)).toEqual([]))

  it('names a bath that was left too soon, with what that means', () =>
    expect(slips(4000, 60, 1800)).toEqual([
      {
        stepId: 'clear',
        wordsId: 'clear',
        kind: 'early',
        seconds: 60,
        means: 'Iron is left.',
        blames: 'hand',
      },
    ]))

  // Common practice: a kallitype that needs over 5 to 6 minutes in the acid is on a paper that does not suit.
  it.each([
    [5 * MINUTE, 0],
    [6 * MINUTE, 0],
    [6 * MINUTE + 10, 1],
    [9 * MINUTE, 1],
  ])('blames the paper for %d s in the acid %d times', (seconds, times) => {
    const state = runOf(4000, seconds, 1800)
    expect(paperDoubts([{ state, definition }], T0 + 1e9)).toHaveLength(times)
  })

  it('tells of a wash that was cut short in general words where the process has none', () =>
    expect(slips(4000, 200, 300)[0]).toMatchObject({
      kind: 'early',
      seconds: 1500,
      means: expect.stringMatching(/shorter than its minimum/),
    }))

  it('makes nothing of a water that was drawn out', () => {
    const water = { ...definition, steps: [words('clear', {})] } as ProcessDefinition
    expect(slipsOf(runOf(4000, 900, 1800), water, T0 + 1e9)).toEqual([])
    const solution = { ...definition, steps: [words('clear', { tray: 'acid' })] } as ProcessDefinition
    expect(slipsOf(runOf(4000, 900, 1800), solution, T0 + 1e9)[0]).toMatchObject({
      kind: 'late',
      blames: 'hand',
    })
  })

  it('tells of a coat that was taken up damp', () => {
    const log = logOf([
      [0, { ...begun, steps: plan } as Happening],
      [1, { type: 'stepStarted', step: 'dry' }],
      [300, { type: 'stepFinished', step: 'dry' }],
    ])
    expect(slipsOf(replay(SHEET, log), definition, T0 + 1e9)[0]).toMatchObject({
      kind: 'early',
      means: expect.stringMatching(/damp/),
    })
  })

  it('tells of a coat that had not rested, and of one past its life', () => {
    // Coated 699 s before it was found dry.
    expect(slips(1000, 200, 1800)[0]).toMatchObject({ kind: 'coatEarly', seconds: 3600 - 699 - 1000 })
    expect(slips(9000, 200, 1800)[0]).toMatchObject({ kind: 'coatLate', seconds: 699 + 9000 - 7200 })
  })

  it('speaks while the print still lies in the acid', () => {
    const log = logOf(
      [
        { ...begun, steps: plan.slice(2) } as Happening,
        { type: 'stepStarted', step: 'clear' } as Happening,
      ].map((one, i) => [i, one] as const),
    )
    const state = replay(SHEET, log)
    expect(slipsOf(state, definition, T0 + 361_000)).toEqual([])
    expect(slipsOf(state, definition, T0 + 400_000)[0]).toMatchObject({ kind: 'late', blames: 'paper' })
    const [step] = state.steps
    expect(nextRocking(step!, T0 + 1000)).toBe(T0 + 31_000)
    expect(nextRocking(step!, T0 + 31_000)).toBe(T0 + 61_000)
    expect(nextRocking({ ...step!, status: 'done' }, T0 + 31_000)).toBeNull()
  })
})
