import type { StepState } from '../run/runState'
import { markSeconds } from './stripProgress'

const strip = { firstSeconds: 60, lastSeconds: 480, count: 4, spacing: 'ratio', card: 'covers' } as const
const exposed = (over: Partial<StepState>) => ({ plannedSeconds: 480, ...over }) as StepState

describe('what each mark had', () => {
  it('is the plan, and for the last the clock', () => {
    expect(markSeconds(strip, exposed({})).map(Math.round)).toEqual([60, 120, 240, 480])
    expect(markSeconds(strip, exposed({ dose: { by: 'meter', seconds: 500 } })).map(Math.round)).toEqual([
      60, 120, 240, 500,
    ])
    expect(markSeconds(strip, exposed({ dose: { by: 'meter', seconds: 200 } })).map(Math.round)).toEqual([
      60, 120, 200, 200,
    ])
  })
  it('is longer for all where the card frees them', () =>
    expect(
      markSeconds({ ...strip, card: 'frees' }, exposed({ dose: { by: 'model', seconds: 500 } })).map(
        Math.round,
      ),
    ).toEqual([80, 140, 260, 500]))
  it('stretches with more that was given', () =>
    expect(markSeconds(strip, exposed({ plannedSeconds: 960 })).map(Math.round)).toEqual([
      120, 240, 480, 960,
    ]))
})
