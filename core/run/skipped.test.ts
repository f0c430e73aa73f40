import { T0, begun, logOf, plan, SHEET, wholeJob } from '../fixtures/logs'
import type { Happening } from '../schema/event'
import { lifeBefore } from './coatLife'
import { dryForLayerAt } from './layers'
import { dueLooks, placeOf } from './place'
import { replay } from './run'
import { stepInHand } from './runState'
import { missingSeconds } from './shortened'
import { threadOf } from './thread'

const cameIn = (how: 'coated' | 'exposed' | 'finished'): Happening =>
  ({ ...begun, cameIn: how }) as Extract<Happening, { type: 'begun' }>
const after = (...happened: [number, Happening][]) => replay(SHEET, logOf(happened))
const leaveOut = (step: string): Happening => ({ type: 'stepLeftOut', step })

describe('a sheet that comes in half-way', () => {
  it('goes on at the first station that is not behind it, and nothing before is dated', () => {
    const coated = after([0, cameIn('coated')])
    expect([placeOf(coated), stepInHand(coated)?.planned.id]).toEqual(['light', 'expose'])
    expect(coated.steps.slice(0, 3).map(({ skipped, startedAt, finishedAt }) => [skipped, startedAt, finishedAt]))
      .toEqual(Array(3).fill(['doneBefore', undefined, undefined])) // prettier-ignore
    expect(placeOf(after([0, cameIn('exposed')]))).toBe('wet')
  })
  it('can be judged and measured at once where it is finished, and waits for no check', () => {
    const finished = after(
      [0, cameIn('finished')],
      [60, { type: 'judged', moment: 'later', verdict: 'keep', note: '' }],
    )
    expect(placeOf(finished)).toBe('finished')
    expect(finished.judgements).toHaveLength(1)
    expect(dueLooks(after([0, cameIn('finished')]))).toEqual([{ id: 'later', dueAt: T0 }])
    expect(dueLooks(finished)).toEqual([])
    expect(dryForLayerAt(after([0, cameIn('finished')]))).toBe(T0)
  })
  it('is worked on like any other from there', () => {
    const state = after(
      [0, cameIn('coated')],
      [60, { type: 'stepStarted', step: 'expose' }],
      [540, { type: 'stepFinished', step: 'expose' }],
    )
    expect(placeOf(state)).toBe('wet')
    expect(threadOf(state, T0 + 540_000).filter(({ ahead }) => !ahead).map(({ stepId }) => stepId)).toEqual([
      'expose', 'expose', 'wash',
    ]) // prettier-ignore
  })
})

describe('a step that is left out', () => {
  const coated = wholeJob.slice(0, 6)

  it('was not done: it has no times, and what flows on from it has to be begun', () => {
    const state = replay(SHEET, logOf([...coated, [20, leaveOut('spread')]]))
    const [, spread, dry] = state.steps
    expect([spread?.skipped, spread?.startedAt, spread?.finishedAt]).toEqual([
      'leftOut',
      undefined,
      undefined,
    ])
    expect([dry?.status, stepInHand(state)?.planned.id]).toEqual(['waiting', 'dry'])
  })
  it('says nothing about the age of the coat', () => {
    const log = logOf([...wholeJob.slice(0, 7), [110, leaveOut('dry')]])
    const steps = replay(SHEET, log).steps.map((step, i) =>
      i === 1 ? { ...step, planned: { ...step.planned, keepsSeconds: 3600 } } : step,
    )
    // The coat was on at 100 s, when spreading ended.
    expect(lifeBefore(steps, 3)).toMatchObject({ from: T0 + 100_000, notAfter: T0 + 3_700_000 })
  })
  it('lengthens the step that makes up for it, as if it had been cut to nothing', () => {
    const steps = plan.map((step) =>
      step.id === 'wash' ? { ...step, ifShort: { lengthens: 'rinse', toSeconds: 3600 } } : step,
    )
    const rinse = { ...plan[4]!, id: 'rinse', leastSeconds: 600 }
    const withRinse = { ...begun, steps: steps.toSpliced(5, 0, rinse), cameIn: 'exposed' } as Happening
    const state = after([0, withRinse], [10, leaveOut('wash')])
    expect(state.steps[5]).toMatchObject({ planned: { leastSeconds: 3600 }, lengthenedBy: 'wash' })
  })
  it('cannot be the drying of the print, nor a mix of which drops are in the glass', () => {
    const refusing = (code: string) => expect.objectContaining({ code })
    expect(() => replay(SHEET, logOf([...wholeJob, [1900, leaveOut('hang')]]))).toThrow(refusing('not-left-out'))
    expect(() => replay(SHEET, logOf([...wholeJob.slice(0, 2), [5, leaveOut('mix')]]))).toThrow(
      refusing('not-left-out'),
    )
    expect(() => replay(SHEET, logOf([[0, begun], [5, leaveOut('wash')]]))).toThrow(refusing('other-step'))
  }) // prettier-ignore
  it('comes back with an undo', () => {
    const log = logOf([...coated, [20, leaveOut('spread')]])
    const undone: Happening = { type: 'undone', eventId: log.at(-1)!.id }
    const state = replay(SHEET, logOf([...coated, [20, leaveOut('spread')], [30, undone]]))
    expect([stepInHand(state)?.planned.id, state.steps[1]?.status]).toEqual(['spread', 'running'])
  })
})

describe('a hair dryer', () => {
  it('dries sooner, and no one is blamed for the time it saves', () => {
    const dried = (byHairDryer?: true) =>
      replay(SHEET, logOf([...wholeJob.slice(0, 7), [200, { type: 'stepFinished', step: 'dry', ...(byHairDryer && { byHairDryer }) }]]))
    expect(missingSeconds(dried().steps[2]!)).toBe(500)
    expect(missingSeconds(dried(true).steps[2]!)).toBe(0)
  }) // prettier-ignore
})
