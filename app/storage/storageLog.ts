import type { WorkroomDb } from './workroomDb'

/** Rows small enough that the browser keeps them in its log and not in files of their own. */
const FILLER_BYTES = 40_000
const ROUNDS = 8
const ROWS = 25

/**
 * Makes the browser begin a new log file for its storage.
 *
 * A write that finds the disk full leaves a torn record in the log of Chromium's storage. The data before it can be read
 * once more; what is written behind it makes the browser take the whole storage for damaged at the next start but one, and
 * delete it. Some megabytes written and removed make it put everything into a table and start a new log. Measured with
 * a small disk: without this, all was gone in every trial; with three megabytes and more, in none.
 */
export async function renewStorageLog(db: WorkroomDb): Promise<void> {
  for (let round = 0; round < ROUNDS; round++)
    await db.transaction('rw', db.device, async () => {
      const ids = Array.from({ length: ROWS }, (_, n) => `filler-${n}`)
      await db.device.bulkPut(ids.map((id) => ({ id, value: new Uint8Array(FILLER_BYTES) })))
      await db.device.bulkDelete(ids)
    })
}

const MARK = 'ember-sheet-storage'
const SHEETS = 'ember-sheet-count'

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}
function write(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  } catch {
    // A browser that keeps nothing still works for this visit.
  }
}

/** Remembers, beside the storage, how many sheets it holds: an empty one tells nothing about what was lost. */
export const rememberSheets = (count: number): void => write(SHEETS, String(count))

/** How many sheets were here when the storage was last used, where it holds none now. */
export async function sheetsLost(db: WorkroomDb): Promise<number> {
  const remembered = Number(read(SHEETS) ?? 0)
  return remembered > 0 && (await db.sheets.count()) === 0 ? remembered : 0
}

/** Remembers, beside the storage, how it was left. */
const mark = (how: 'open' | 'clean') => write(MARK, how)

/** Whether a window that uses the storage is open elsewhere; `false` where the browser does not tell. */
async function isOpenElsewhere(): Promise<boolean> {
  if (!('locks' in navigator)) return false
  const { held } = await navigator.locks.query()
  const isOpen = held?.some(({ name }) => name === MARK) ?? false
  // Held until this window closes.
  void navigator.locks.request(MARK, { mode: 'shared' }, () => new Promise(() => undefined))
  return isOpen
}

/**
 * Follows one window's use of the storage. A window that was killed, or that met a full disk, leaves its mark: the next
 * one renews the log before anything is lost.
 *
 * @returns a way to tell that a write met a full disk, and that it has been seen to.
 */
export async function watchStorage(db: WorkroomDb): Promise<{ fault: () => void; seenTo: () => void }> {
  let isSound = true
  const wasLeftOpen = read(MARK) === 'open' && !(await isOpenElsewhere())
  mark('open')
  if (wasLeftOpen) await renewStorageLog(db)
  addEventListener('pagehide', () => isSound && mark('clean'))
  addEventListener('pageshow', () => mark('open'))
  return {
    fault: () => {
      isSound = false
    },
    seenTo: () => {
      isSound = true
    },
  }
}
