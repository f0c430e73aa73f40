/** So long nothing has been written for: the work is over, for now. */
const REST_MS = 30 * 60_000
const DAY_MS = 86_400_000
const MONTH_MS = 30 * DAY_MS

/** What is known of the workroom and of its backups. Moments in milliseconds, 0 for never. */
export interface BackupMoments {
  changedAt: number
  backedUpAt: number
  now: number
  isClockRunning: boolean
}

/** What decides whether a backup is made without being asked for. */
interface BackupState extends BackupMoments {
  /** When the last try failed; 0 where it did not. */
  failedAt: number
  /** Whether a backup or the trial of one is under way. */
  isBusy: boolean
}

/**
 * Whether a backup is to be made now: work has changed something and has ended, or a day has gone by. After a failure
 * the next change has to come first.
 */
export function isBackupDue(state: BackupState): boolean {
  const { changedAt, backedUpAt, failedAt, now } = state
  if (changedAt <= backedUpAt || changedAt <= failedAt || state.isClockRunning || state.isBusy) return false
  return now - changedAt >= REST_MS || (backedUpAt > 0 && now - backedUpAt >= DAY_MS)
}

/** Whether a restore is to be tried again. */
export const isTrialDue = (triedAt: number, now: number): boolean => now - triedAt >= MONTH_MS

/** Whether the last backup is so old that it should worry, with work done since. */
export const isBackupOld = ({ changedAt, backedUpAt, now }: BackupMoments): boolean =>
  backedUpAt > 0 && changedAt > backedUpAt && now - backedUpAt >= 3 * DAY_MS

/** How long ago, in the largest unit that fits: `5 min`, `3 h`, `12 days`. */
export function ageSaid(at: number, now: number): string {
  const minutes = Math.max(0, Math.floor((now - at) / 60_000))
  if (minutes < 60) return `${minutes} min`
  if (minutes < 48 * 60) return `${Math.floor(minutes / 60)} h`
  return `${Math.floor(minutes / 1440)} days`
}
