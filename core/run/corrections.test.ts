import { begun, logOf, SHEET, T0, uuid, wholeJob } from '../fixtures/logs'
import { CoreError } from '../errors'
import type { Happening } from '../schema/event'
import { correctionsFor, misfit, stepEntriesOf, type RightStep } from './corrections'
import { replay } from './run'

const at = (seconds: number) => T0 + seconds * 1000
const drawn = [
  { bottleId: uuid(7), component: 'iron', millilitres: 0.1 },
  { bottleId: uuid(8), component: 'ferricyanide', millilitres: 0.12 },
]
const dose = { by: 'meter', seconds: 520, millijoulesPerCm2: 2600, silentSeconds: 8 } as const
/** The whole job, with what was drawn and what the exposure came to. */
const job = wholeJob.map(([seconds, what]): [number, Happening] => [
  seconds,
  what.type !== 'stepFinished'
    ? what
    : what.step === 'mix'
      ? { ...what, drawn }
      : what.step === 'expose'
        ? { ...what, dose }
        : what,
])
const entriesOf = (id: string, log = logOf(job)) =>
  stepEntriesOf(SHEET, log).find(({ step }) => step.planned.id === id)!
/** The step after it was corrected. */
function corrected(id: string, right: RightStep) {
  const corrections = correctionsFor(entriesOf(id), right)
  const state = replay(SHEET, logOf([...job, ...corrections.map((one): [number, Happening] => [3000, one])]))
  return { corrections, step: state.steps.find(({ planned }) => planned.id === id)! }
}

describe('the entries of a step', () => {
  it('are what began and ended it; a step that flows on has no start of its own', () => {
    const entries = stepEntriesOf(SHEET, logOf(job))
    expect(
      entries.map(({ step, start, end, ownsStart }) => [
        step.planned.id,
        start?.index,
        end?.index,
        ownsStart,
      ]),
    ).toEqual([
      ['mix', undefined, 5, false],
      ['spread', 5, 6, false],
      ['dry', 6, 7, false],
      ['expose', 8, 12, true],
      ['wash', 13, 15, true],
      ['hang', 15, undefined, false],
    ])
  })

  it('are none before work begins, and those that count after a correction', () => {
    expect(stepEntriesOf(SHEET, logOf([[0, begun]]))).toEqual([])
    const moved: Happening = { type: 'corrected', eventId: uuid(1012), right: { at: at(1400) } }
    expect(entriesOf('expose', logOf([...job, [3000, moved]])).end?.at).toBe(at(1400))
  })
})

describe('corrections of a step', () => {
  it('are none where nothing differs', () => {
    const same = { startedAt: at(900), finishedAt: at(1460) }
    expect(correctionsFor(entriesOf('expose'), same)).toEqual([])
    expect(correctionsFor(entriesOf('mix'), { drops: { iron: 2, ferricyanide: 2 } })).toEqual([])
  })

  it('take from the bottles what the right drops need', () => {
    const { step } = corrected('mix', { drops: { iron: 3, ferricyanide: 2 } })
    expect(step.drops).toEqual({ iron: 3, ferricyanide: 2 })
    expect(step.drawn.map(({ millilitres }) => millilitres)).toEqual([expect.closeTo(0.15, 9), 0.12])
  })

  it('give an exposure the dose of its right time, by the mean of its light', () => {
    // 540 s were recorded, a look of 20 s left out; 600 s are right.
    const { step, corrections } = corrected('expose', { startedAt: at(840) })
    expect(corrections).toHaveLength(2)
    expect(step.startedAt).toBe(at(840))
    expect(step.dose).toEqual({
      ...dose,
      seconds: expect.closeTo((520 * 600) / 540, 6),
      millijoulesPerCm2: expect.closeTo((2600 * 600) / 540, 6),
    })
  })

  it('take a pause that was not entered off its time and its dose', () => {
    const { step } = corrected('expose', { pauses: [{ from: at(1300), to: at(1354) }] })
    expect(step.holds).toContainEqual({ from: at(1300), to: at(1354) })
    expect(step.dose?.seconds).toBeCloseTo(520 * 0.9, 6)
  })

  it('leave the start of a step that flows on to the step before', () =>
    expect(correctionsFor(entriesOf('dry'), { startedAt: at(50) })).toEqual([]))
})

describe('a misfit', () => {
  it('is said for whoever corrects; what is clear already stays, and so does what is no refusal', () => {
    const refusal = (code: string) => new CoreError({ code, field: 'sheet', problem: 'p', remedy: 'r' })
    expect(misfit(refusal('other-step'))).toMatchObject({ code: 'does-not-fit' })
    for (const code of ['not-yet', 'log-gone', 'nothing-to-correct'])
      expect(misfit(refusal(code))).toMatchObject({ code })
    const fault = new Error('disk')
    expect(misfit(fault)).toBe(fault)
  })
})
