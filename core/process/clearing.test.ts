import { clearingOf } from './clearing'

const tested = (...seconds: number[]) =>
  clearingOf({ clearing: seconds.map((s, at) => ({ at, seconds: s })) })

describe('clearing time of a fixer', () => {
  it('is nothing before a test', () => {
    expect(clearingOf({})).toBeNull()
    expect(tested()).toBeNull()
  })
  // Twice the fresh time is the end: common practice.
  it.each([
    [[40], false, 1],
    [[40, 79], false, 1.975],
    [[40, 60, 80], true, 2],
    [[40, 90, 70], false, 1.75],
  ])('%j', (seconds, isSpent, ratio) => {
    expect(tested(...seconds)).toMatchObject({ isSpent, ratio: { value: ratio } })
  })
})
