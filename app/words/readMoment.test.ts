import { momentIn, pastMomentIn } from './readMoment'

const now = new Date(2026, 4, 12, 10, 30).getTime()

describe('a moment that is typed', () => {
  it('is on the day of the moment near it, unless a day is typed', () => {
    expect(momentIn('9:05:20', now, 'x')).toBe(new Date(2026, 4, 12, 9, 5, 20).getTime())
    expect(momentIn('2026-02-28 23:00', now, 'x')).toBe(new Date(2026, 1, 28, 23).getTime())
  })

  it('has to have been, where it is one that happened', () => {
    expect(pastMomentIn('10:29', now, 'x')).toBe(new Date(2026, 4, 12, 10, 29).getTime())
    expect(() => pastMomentIn('13:00', now, 'x')).toThrow(/still to come/)
  })
})
