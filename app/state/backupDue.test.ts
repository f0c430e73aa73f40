import { ageSaid, isBackupDue, isBackupOld, isTrialDue } from './backupDue'

const MINUTE = 60_000
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR
const now = Date.UTC(2026, 10, 29, 18)
const at = (changed: number, backedUp: number, isClockRunning = false) => ({
  changedAt: changed ? now - changed : 0,
  backedUpAt: backedUp ? now - backedUp : 0,
  now,
  isClockRunning,
})

describe('a backup', () => {
  it.each([
    ['nothing was ever written', at(0, 0), false],
    ['nothing was written since the last one', at(5 * HOUR, 4 * HOUR), false],
    ['work is going on', at(10 * MINUTE, 4 * HOUR), false],
    ['the work has ended half an hour ago', at(30 * MINUTE, 4 * HOUR), true],
    ['there was none yet and the work has ended', at(40 * MINUTE, 0), true],
    ['there was none yet and work is going on', at(MINUTE, 0), false],
    ['work is going on and the last one is a day old', at(MINUTE, DAY), true],
    ['a clock runs, though all else would have it', at(2 * HOUR, 3 * DAY, true), false],
  ])('where %s: %#', (_, moments, due) =>
    expect(isBackupDue({ ...moments, failedAt: 0, isBusy: false })).toBe(due),
  )

  it('waits while the one before is tried, and is made when that has ended', () => {
    const moments = at(30 * MINUTE, 4 * HOUR)
    expect(isBackupDue({ ...moments, failedAt: 0, isBusy: true })).toBe(false)
    expect(isBackupDue({ ...moments, failedAt: 0, isBusy: false })).toBe(true)
  })

  it('that failed is not tried again and again, but after the next change', () => {
    const state = { ...at(30 * MINUTE, 4 * HOUR), isBusy: false }
    expect(isBackupDue({ ...state, failedAt: now - MINUTE })).toBe(false)
    expect(isBackupDue({ ...state, failedAt: now - HOUR })).toBe(true)
  })

  it('worries when it is three days old with work done since, and not while there is no work', () => {
    expect(isBackupOld(at(HOUR, 3 * DAY))).toBe(true)
    expect(isBackupOld(at(HOUR, 2 * DAY))).toBe(false)
    expect(isBackupOld(at(40 * DAY, 39 * DAY))).toBe(false)
  })

  it('is tried once a month', () => {
    expect(isTrialDue(0, now)).toBe(true)
    expect(isTrialDue(now - 29 * DAY, now)).toBe(false)
    expect(isTrialDue(now - 30 * DAY, now)).toBe(true)
  })

  it.each([
    [now + MINUTE, '0 min'],
    [now - 5 * MINUTE, '5 min'],
    [now - 59 * MINUTE, '59 min'],
    [now - 47 * HOUR, '47 h'],
    [now - 48 * HOUR, '2 days'],
  ])('says its age', (when, said) => expect(ageSaid(when, now)).toBe(said))
})
