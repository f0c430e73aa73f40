import fc from 'fast-check'
import { cueWords, stripCues, stripTimes, type StripPlan } from './strip'

const plan: StripPlan = { firstSeconds: 60, lastSeconds: 480, count: 4, spacing: 'ratio', card: 'covers' }

describe('a test strip', () => {
  it.each([
    ['ratio', [60, 120, 240, 480]],
    ['time', [60, 200, 340, 480]],
  ] as const)('by a like %s', (spacing, times) => {
    const found = stripTimes({ ...plan, spacing })
    times.forEach((seconds, i) => expect(found[i]).toBeCloseTo(seconds, 9))
  })

  it('covers step after step', () => {
    const cues = stripCues(plan)
    expect(cues.map((cue) => [Math.round(cue.atSeconds), cueWords(plan, cue)])).toEqual([
      [60, 'Cover to step 1'],
      [120, 'Cover to step 2'],
      [240, 'Cover to step 3'],
    ])
  })

  it('frees them the other way', () => {
    const freeing = { ...plan, card: 'frees' as const }
    expect(stripCues(freeing).map((cue) => [Math.round(cue.atSeconds), cueWords(freeing, cue)])).toEqual([
      [240, 'Pull the card back to step 2'],
      [360, 'Pull the card back to step 1'],
      [420, 'Remove the card'],
    ])
  })

  it('gives every mark its time, whichever way the card goes', () => {
    const plans = fc.record({
      firstSeconds: fc.integer({ min: 5, max: 100 }),
      lastSeconds: fc.integer({ min: 101, max: 4000 }),
      count: fc.integer({ min: 2, max: 24 }),
      spacing: fc.constantFrom('time' as const, 'ratio' as const),
      card: fc.constantFrom('covers' as const, 'frees' as const),
    })
    fc.assert(
      fc.property(plans, (one) => {
        const cues = stripCues(one)
        stripTimes(one).forEach((seconds, i) => {
          // Mark i + 1 is in the light while the card does not reach it.
          const free = [...cues, { atSeconds: one.lastSeconds, mark: 0 }].reduce((sum, cue, n) => {
            const reaches = n === 0 ? (one.card === 'covers' ? 0 : one.count - 1) : cues[n - 1]!.mark
            const since = n === 0 ? 0 : cues[n - 1]!.atSeconds
            return sum + (i + 1 > reaches ? cue.atSeconds - since : 0)
          }, 0)
          expect(free).toBeCloseTo(seconds, 6)
        })
      }),
    )
  })

  it.each([
    ['count', { count: 1 }],
    ['count', { count: 2.5 }],
    ['first', { firstSeconds: 0 }],
    ['last', { lastSeconds: 60 }],
  ])('refuses a wrong %s', (field, change) =>
    expect(() => stripTimes({ ...plan, ...change })).toThrow(
      expect.objectContaining({ code: 'out-of-range', refusal: expect.objectContaining({ field }) }),
    ),
  )
})
